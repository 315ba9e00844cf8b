import type { Vec } from '../geometry/vector'

/** A drawing at true size, mm: x to the right, y up, as it lies on the bench. */
export interface Drawing {
  title: string
  layers: readonly Layer[]
}

/** What is drawn in one way, named by the trade's word for it. */
export interface Layer {
  name: string
  /** How it is drawn: cut along it, or only look at it. */
  stroke: Stroke
  lines: readonly DrawnLine[]
  holes?: readonly Hole[]
  words?: readonly Words[]
}

export const STROKES = ['cut', 'look', 'fine'] as const
export type Stroke = (typeof STROKES)[number]

/** How wide each is drawn, mm, and its dashes. */
export const DRAWN_AS: Readonly<Record<Stroke, { width: number; dashes?: readonly number[] }>> = {
  cut: { width: 0.35 },
  look: { width: 0.25, dashes: [2, 1] },
  fine: { width: 0.18 },
}

export interface DrawnLine {
  points: readonly Vec[]
  closed: boolean
}

/** A round hole, mm; without a diameter only its middle is marked. */
export interface Hole {
  at: Vec
  diameter?: number
}

/** Words in a drawing, from their lower left corner. */
export interface Words {
  text: string
  at: Vec
  /** Height of the letters, mm. */
  height: number
}

/** How far the arms of a cross reach that marks a hole's middle, mm. */
const CROSS = 1.5

/** The two lines of the cross at a hole's middle. */
export const crossAt = ({ at: [x, y], diameter = 0 }: Hole): DrawnLine[] => {
  const reach = diameter / 2 + CROSS
  return [
    {
      points: [
        [x - reach, y],
        [x + reach, y],
      ],
      closed: false,
    },
    {
      points: [
        [x, y - reach],
        [x, y + reach],
      ],
      closed: false,
    },
  ]
}

/** The room a drawing takes, mm: left, bottom, right and top. Words reach as far as letters of usual width do. */
export function boundsOf({ layers }: Drawing): { left: number; bottom: number; right: number; top: number } {
  const box = { left: Infinity, bottom: Infinity, right: -Infinity, top: -Infinity }
  const take = (x: number, y: number) => {
    box.left = Math.min(box.left, x)
    box.bottom = Math.min(box.bottom, y)
    box.right = Math.max(box.right, x)
    box.top = Math.max(box.top, y)
  }
  for (const { lines, holes = [], words = [] } of layers) {
    for (const { points } of [...lines, ...holes.flatMap(crossAt)]) for (const [x, y] of points) take(x, y)
    for (const { text, at, height } of words) {
      take(...at)
      take(at[0] + text.length * height * LETTER, at[1] + height)
    }
  }
  return box
}

/** A letter is so wide for its height, about. */
const LETTER = 0.6

/** A drawing with every place put elsewhere; words keep the way they are read. */
export function moved(drawing: Drawing, to: (point: Vec) => Vec): Drawing {
  return {
    ...drawing,
    layers: drawing.layers.map((layer) => ({
      ...layer,
      lines: layer.lines.map((line) => ({ ...line, points: line.points.map(to) })),
      ...(layer.holes && { holes: layer.holes.map((hole) => ({ ...hole, at: to(hole.at) })) }),
      ...(layer.words && { words: layer.words.map((words) => ({ ...words, at: to(words.at) })) }),
    })),
  }
}

/** As it is seen from its other side, for marking out on the face that looks at the marker. */
export const mirrored = (drawing: Drawing): Drawing => moved(drawing, ([x, y]) => [-x, y])
