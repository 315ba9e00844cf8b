/** 128 bytes of anything, then four letters (DICOM PS3.10 7.1). */
export const PREAMBLE = 128
export const LETTERS = [68, 73, 67, 77] as const

export const hasLetters = (head: Uint8Array): boolean =>
  LETTERS.every((letter, i) => head[PREAMBLE + i] === letter)

/**
 * Whether bytes begin as a DICOM file does: with its letters, or, as some machines write them, with their first element at
 * once. That one is of the file's or of the picture's own group, and tells its kind in two capitals or has a short length.
 *
 * @param head the first 132 bytes or more
 */
export function looksLikeDicom(head: Uint8Array): boolean {
  return hasLetters(head) || bareForm(head) !== undefined
}

/** How a file without preamble begins: with its meta group, or with its data in one of two forms. */
export function bareForm(head: Uint8Array): 'meta' | 'explicit' | 'implicit' | undefined {
  if (head.length < 12 || head[1] !== 0 || head[3] !== 0 || (head[0] !== 2 && head[0] !== 8)) return undefined
  const capital = (byte: number | undefined) => byte !== undefined && byte >= 65 && byte <= 90
  const explicit = capital(head[4]) && capital(head[5])
  if (head[0] === 2) return explicit ? 'meta' : undefined
  if (explicit) return 'explicit'
  return head[6] === 0 && head[7] === 0 && head[5] === 0 ? 'implicit' : undefined
}
