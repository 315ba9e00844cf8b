/** Which way a branch goes on behind the buttress. */
export const WAYS_BACK = ['straight back', 'to the bulbs'] as const
export type WayBack = (typeof WAYS_BACK)[number]
