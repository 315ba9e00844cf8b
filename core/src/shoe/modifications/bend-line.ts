import type { Vec } from '../../geometry/vector'
import type { ModificationField, ModificationHandle, Part, ShoeContext, Values } from './modification'

/** Where a toe that is rolled or rocked begins to rise: from the school in use, else a little behind the toe. */
export const breakoverField: ModificationField = {
  key: 'behindToe',
  label: 'Breakover behind toe',
  kind: 'length',
  where:
    'From the toe of the foot back to where the shoe begins to rise; the school in use gives it where it can.',
  range: ({ foot }) => [0, foot.widestFromToe * 0.7],
  fallback: ({ foot, schoolY }) =>
    schoolY === undefined || foot.widestFromToe - schoolY < 1
      ? foot.length * 0.05
      : foot.widestFromToe - schoolY,
}

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
export const dressedToe = (context: ShoeContext, label: string, behindToe: number): Part => ({
  label,
  layer: 'dressed',
  face: 'ground',
  edge: aheadOf(context, context.foot.widestFromToe - behindToe),
  volume: 0,
})

/** The line a toe breaks over at, pulled back from the toe. */
export const lineHandle = ({ foot }: ShoeContext, values: Values): ModificationHandle[] => [
  { field: 'behindToe', point: [0, foot.widestFromToe - values['behindToe']!], along: [0, -1] },
]
