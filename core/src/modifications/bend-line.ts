import { turnRight, type Vec } from '../geometry/vector'
import type { BarPlace } from '../shoe/profile'
import type { SectionForm } from '../shoe/section-form'
import { perShoe } from './kit'
import type { FigureField, ModificationHandle, ShoePart, ShoeContext } from './modification'

/** Where a toe that is rolled or rocked begins to rise: from the school in use, else a little behind the toe. */
export const breakoverField = {
  key: 'behindToe',
  label: 'Breakover behind toe',
  kind: 'length',
  ofFoot: true,
  where:
    'From the toe of the foot back to where the shoe begins to rise; the school in use gives it where it can.',
  range: ({ foot }) => [0, foot.widestFromToe * 0.7],
  fallback: ({ foot, schoolY }) => {
    const bySchool = foot.widestFromToe - (schoolY() ?? foot.widestFromToe)
    return bySchool < 1 ? (foot.wornBreakover ?? foot.length * 0.05) : bySchool
  },
} as const satisfies FigureField

/** Where a rim runs nearly straight back, a line across the foot is taken to cross it no more slantwise than this. */
const LEAST_FORWARD = 0.2

/**
 * What lies ahead of a line across the foot at one place of the shoe, as a bend of its section: nothing behind the line.
 *
 * @param slope height for a millimetre straight forward
 * @param of whether the whole section is bent up, or only its ground face taken away
 */
export function bentAhead(
  { point, tangent }: BarPlace,
  line: number,
  slope: number,
  of: 'section' | 'ground',
): SectionForm['bend'] {
  const ahead = point[1] - line
  if (ahead <= 0) return undefined
  // Square across the web the line lies further in than it does straight back.
  const forward = Math.max(LEAST_FORWARD, turnRight(tangent)[1])
  return { from: ahead / forward, slope: slope * forward, of }
}

/** The foremost place of the rim ahead of a line, mm. */
export const mostAhead = (context: ShoeContext, line: number): number =>
  Math.max(1, foremostOf(context) - line)

const foremostOf = perShoe(({ rims }: ShoeContext): number =>
  rims.outer.points.reduce((most, point) => Math.max(most, point[1]), -Infinity),
)

/** The part of the shoe that lies ahead of a line across it: bounded by the outer and the inner rim. */
export function aheadOf({ rims }: ShoeContext, y: number): Vec[] {
  const cut = (points: readonly Vec[]): Vec[] => {
    const kept: Vec[] = []
    points.forEach((point, i) => {
      const before = points[i - 1]
      if (before && before[1] < y !== point[1] < y) {
        const share = (y - before[1]) / (point[1] - before[1])
        kept.push([before[0] + (point[0] - before[0]) * share, y])
      }
      if (point[1] >= y) kept.push(point)
    })
    return kept
  }
  return [...cut(rims.outer.points), ...cut(rims.inner.points).reverse()]
}

/** A dressed toe as it is drawn. */
export const dressedToe = (context: ShoeContext, label: string, behindToe: number): ShoePart => ({
  label,
  layer: 'dressed',
  face: 'ground',
  edge: aheadOf(context, context.foot.widestFromToe - behindToe),
  volume: 0,
})

/** The line a toe breaks over at, pulled back from the toe. */
export const lineHandle = ({ foot }: ShoeContext, values: { behindToe: number }): ModificationHandle[] => [
  { field: 'behindToe', point: [0, foot.widestFromToe - values.behindToe], along: [0, -1] },
]
