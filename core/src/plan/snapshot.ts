import type { Snapshot } from '../records/snapshot'
import type { Plan } from './plan'
import { simplified } from '../geometry/simplified'
import type { Vec } from '../geometry/vector'

/** The part of a plan that is stored with a pattern. */
export function snapshotOf(plan: Plan): Snapshot {
  const { iron, nails, cautions, outline, parts } = plan
  // A piece that waits for its turn, as the next cross bar, is cut but not seen.
  const drawn = parts.filter(({ edge }) => edge.length > 2)
  return {
    cutLength: round(iron.cutLength, 2),
    centrelineLength: round(iron.centrelineLength, 2),
    weight: round(iron.weight, 1),
    marks: iron.marks.map((mark) => ({
      ...mark,
      fromMiddle: round(mark.fromMiddle, 2),
      fromEnd: round(mark.fromEnd, 2),
    })),
    nails: nails.map(keptNail),
    cautions: cautions.map(({ code, severity, title }) => ({ code, severity, title })),
    outline: {
      foot: roundLine(outline.foot),
      body: roundLine(outline.body),
      ...linesOf(
        'parts',
        drawn.filter(({ layer }) => layer !== 'pad'),
      ),
      ...linesOf(
        'behind',
        drawn.filter(({ layer }) => layer === 'pad'),
      ),
    },
  }
}

/** What is kept of a nail. */
const keptNail = (nail: Plan['nails'][number]): Snapshot['nails'][number] => ({
  branch: nail.branch,
  number: nail.number,
  x: round(nail.x, 2),
  y: round(nail.y, 2),
  driven: nail.driven,
  exitHeight: round(nail.exitHeight, 1),
  verdict: nail.verdict,
  insideWall: round(nail.insideWall, 2),
  lean: round(nail.lean, 2),
  wallAngle: round(nail.wallAngle, 2),
  alongWall: round(nail.alongWall, 1),
  ...(nail.seen !== undefined && { seen: nail.seen }),
})

const linesOf = (key: 'parts' | 'behind', parts: Plan['parts']) =>
  parts.length > 0 ? { [key]: parts.map(({ edge }) => roundLine(edge)) } : {}

/** Adding 0 turns -0, which JSON does not know, into 0. */
const round = (value: number, digits: number): number => Number(value.toFixed(digits)) + 0
/** Drawn lines are the bulk of what is kept: only the points that are needed to stay within a sixth of a millimetre. */
const roundLine = (line: readonly Vec[]): Vec[] =>
  simplified(line, 0.16).map(([x, y]) => [round(x, 1), round(y, 1)])
