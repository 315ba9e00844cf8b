/** What is to be thought of a nail: only `sound` is driven without a second look. */
export const VERDICTS = [
  'sound',
  'low',
  'too-low',
  'too-high',
  'never-out',
  'close',
  'misses',
  'in-the-way',
  'ruled-out',
  'would-prick',
] as const
export type Verdict = (typeof VERDICTS)[number]
