/** A sheet of paper, mm, upright. */
export interface Paper {
  name: string
  width: number
  height: number
}

/** Sizes: ISO 216 (A4), ANSI Y14.1 (letter, 8 1/2 x 11 in). */
export const PAPERS = {
  a4: { name: 'A4', width: 210, height: 297 },
  letter: { name: 'US Letter', width: 215.9, height: 279.4 },
} as const satisfies Record<string, Paper>
export type PaperName = keyof typeof PAPERS

/** Lying on its side. */
export const turned = ({ name, width, height }: Paper): Paper => ({ name, width: height, height: width })

/** No printer prints nearer to the edge than this, mm. */
export const MARGIN = 10

/** Points of a PDF in a millimetre: 72 to the inch. */
export const POINTS = 72 / 25.4
