/** Sentences as they are answered. */
export { toldSchema } from '@crescent/core/records/index'
