import type { Vec } from '../geometry/vector'

/** The four marks of a scale card, clockwise from its top left. */
export const MARK_IDS = [0, 1, 2, 3] as const

/** The coded marks are of this public dictionary: 36 bits, twelve of them apart from every other. */
export const DICTIONARY = 'ARUCO_MIP_36h12'

/** A printed card: where its marks lie, in mm as it is meant to be printed. */
export interface Card {
  key: 'square' | 'frame'
  label: string
  /** From the middle of mark 0 to that of mark 1, and from that of mark 3 to that of mark 0. */
  across: number
  along: number
  /** Side of a mark with its black edge. */
  mark: number
  /** The paper from the middle of the marks out to its edge, and the opening that is cut into it for the foot. */
  paper: readonly [halfWide: number, halfHigh: number]
  opening?: readonly [halfWide: number, halfHigh: number]
}

export const CARDS: readonly Card[] = [
  { key: 'square', label: 'Card laid beside it', across: 100, along: 100, mark: 24, paper: [68, 68] },
  {
    key: 'frame',
    label: 'Sheet laid round it',
    // As large as A4 and US Letter both hold, the opening as wide as the rails at its sides allow.
    ...{ across: 168, along: 236, mark: 24, paper: [102, 136], opening: [92, 100] },
  },
]

/** The length of the printed line that is measured once, mm. */
export const PRINTED_LINE = 100

/**
 * Corners of a card's marks in its plane, mm, four for each mark clockwise from its top left. The origin lies in the middle
 * of the four marks, x runs from mark 0 to mark 1, y from mark 3 to mark 0.
 *
 * @param scale what the printer made of a mm: the measured length of the line over {@link PRINTED_LINE}
 */
export function cornersOf({ across, along, mark }: Card, scale = 1): Vec[][] {
  const half = mark / 2
  const middles: Vec[] = [
    [-across / 2, along / 2],
    [across / 2, along / 2],
    [across / 2, -along / 2],
    [-across / 2, -along / 2],
  ]
  return middles.map(([x, y]) =>
    (
      [
        [x - half, y + half],
        [x + half, y + half],
        [x + half, y - half],
        [x - half, y - half],
      ] as Vec[]
    ).map(([u, v]): Vec => [u * scale, v * scale]),
  )
}
