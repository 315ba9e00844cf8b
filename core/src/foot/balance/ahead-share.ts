/**
 * What lies ahead of the widest part, in words: “42 %” of the bearing.
 *
 * @param ratio of what lies ahead to what lies behind
 */
export const aheadShare = (ratio: number): string => `${Math.round((100 * ratio) / (1 + ratio))} %`
