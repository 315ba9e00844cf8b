/** The fits that have a name; their numbers are in `shoe/fit.ts`. */
export const FIT_NAMES = ['flush', 'general', 'supportive', 'conservative', 'slide'] as const
export type FitName = (typeof FIT_NAMES)[number]
