import type { Vec } from '../../geometry/vector'
import { markName } from '../../iron/iron'
import { shownIron } from '../../iron/shown'
import { formatLength } from '../../units/length'
import type { Words } from '../drawing'
import { open, ring, type TrueSize } from './template'

/** Height of the figures at the marks, and how far they stand from the bar, mm. */
const LETTERS = 3
const BESIDE = 2

/** The straight bar with every mark across it, to lay along the bar and punch through; the outer end on the right. */
export const STRIP: TrueSize = {
  kind: 'strip',
  faces: 'ground side up',
  missing: 'A factory shoe is not marked on a bar: there is no strip of it',
  from: 'bench',
  draw: ({ iron, section }, style) => {
    if (iron.size !== undefined) return []
    const { lateral, medial } = iron.branches
    const half = section.width / 2
    const edge: Vec[] = [
      [lateral, half],
      [-medial, half],
      [-medial, -half],
      [lateral, -half],
    ]
    const written = shownIron(iron, style).marks
    const marks = iron.marks.map((mark, i) => ({
      ...mark,
      written: written[i]!.fromMiddle,
      x: mark.branch === 'lateral' ? mark.fromMiddle : -mark.fromMiddle,
    }))
    const words = marks.map((mark, i): Words => ({
      // Neighbours stand in rows of their own.
      at: [mark.x, i % 2 === 0 ? half + BESIDE : -half - BESIDE - LETTERS],
      height: LETTERS,
      text: mark.kind === 'toe' ? 'toe' : `${markName(mark)} ${formatLength(mark.written, style)}`,
    }))
    return [
      { name: 'Bar', stroke: 'cut', lines: [ring(edge)] },
      {
        name: 'Marks',
        stroke: 'fine',
        lines: marks.map(({ x }) =>
          open([
            [x, half],
            [x, -half],
          ]),
        ),
        words,
      },
    ]
  },
}
