/** What a limit on a foot says; with no shoe there is no nail either. `words` is one nobody could read for certain: it is told wherever nails are placed. */
export const NAIL_LIMIT_RULES = ['behind the widest part', 'no nails', 'no shoe', 'words'] as const
export type NailLimitRule = (typeof NAIL_LIMIT_RULES)[number]

/** Where a limit comes from. */
export const NAIL_LIMIT_SOURCES = ['found', 'diagnosed', 'radiograph', 'vet'] as const
export type NailLimitSource = (typeof NAIL_LIMIT_SOURCES)[number]

/** What the vet may set for the nails of a foot. */
export const VET_NAIL_RULES = ['behind the widest part', 'no nails'] as const
export type VetNailRule = (typeof VET_NAIL_RULES)[number]

/** The rule as a farrier reads it. */
export const NAIL_LIMIT_WORDS: Readonly<Record<Exclude<NailLimitRule, 'words'>, string>> = {
  'behind the widest part': 'no nail ahead of the widest part',
  'no nails': 'no nail at all',
  'no shoe': 'no shoe over it',
}
