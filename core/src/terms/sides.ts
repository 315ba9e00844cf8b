/** Left and right, fore and hind. */
export const SIDES = ['LF', 'RF', 'LH', 'RH'] as const
export type Side = (typeof SIDES)[number]
