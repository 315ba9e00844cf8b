/** Text as the search compares it: lower case, without accents, single spaces. */
export const fold = (text: string): string =>
  text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/\s+/g, ' ').trim()

/** The words of a search. */
export const wordsOf = (search: string): string[] =>
  fold(search)
    .split(' ')
    .filter((word) => word !== '')
    .slice(0, 8)

/** The words of a search as LIKE patterns; signs that LIKE knows are taken as themselves (ESCAPE '\'). */
export const likeWords = (search: string): string[] =>
  wordsOf(search).map((word) => `%${word.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`)
