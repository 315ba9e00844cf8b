/** Text as the search compares it: lower case, without accents, single spaces. */
export const fold = (text: string): string =>
  text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/\s+/g, ' ').trim()

/** The words of a search, folded: each is looked for with `instr` in a text that was folded when it was stored. */
export const wordsOf = (search: string): string[] =>
  fold(search)
    .split(' ')
    .filter((word) => word !== '')
    .slice(0, 8)
