/** A count with its word: `1 horse`, `3 horses`. */
export const many = (count: number, one: string, more = `${one}s`): string =>
  `${count} ${count === 1 ? one : more}`
