import type { Vec } from '../geometry/vector'
import type { Caution } from '../notices/caution'
import { length, told } from '../notices/told'
import {
  fieldsOf,
  type FiguresOf,
  type ModificationHandle,
  type ShoePart,
  type ShoeContext,
} from './modification'

/** The figures of a bar between the heels. */
export const BAR_FIELDS = fieldsOf([
  {
    key: 'width',
    label: 'Width of the bar',
    kind: 'length',
    where: 'From its front to its back edge.',
    range: () => [8, 45],
    fallback: ({ section }) => section.width,
  },
  {
    key: 'thickness',
    label: 'Thickness of the bar',
    kind: 'length',
    where: 'Its height; as the branches unless the frog must clear it.',
    range: () => [3, 16],
    fallback: ({ section }) => section.thickness,
  },
])

/** How far a bar is drawn on into the branches it is welded to, mm: less than any web. */
const INTO_BRANCH = 3

/** x of the inner rim at a height y of the foot's frame on one side; undefined where it does not reach so far back. */
export function innerRimAt({ rims }: ShoeContext, y: number, sign: 1 | -1): number | undefined {
  const points = rims.inner.points
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!]
    if (a[0] * sign < 0 && b[0] * sign < 0) continue
    if (a[1] < y === b[1] < y) continue
    return a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1])
  }
  return undefined
}

/**
 * A straight piece between the inner rims, its back edge where the inner corners of the heels lie. Its ends follow the
 * rims and are bevelled over half the thickness each for the weld.
 */
export function barBetweenHeels(
  context: ShoeContext,
  label: string,
  width: number,
  thickness: number,
): ShoePart | undefined {
  const { inner } = context.rims
  const back = Math.max(inner.points[0]![1], inner.points[inner.points.length - 1]![1]) + 0.01
  const front = back + width
  const corners = [
    [back, 1],
    [front, 1],
    [front, -1],
    [back, -1],
  ] as const
  const edge: Vec[] = []
  for (const [y, sign] of corners) {
    const x = innerRimAt(context, y, sign)
    if (x === undefined) return undefined
    edge.push([x, y])
  }
  const gap = (edge[0]![0] - edge[3]![0] + edge[1]![0] - edge[2]![0]) / 2
  const longest = Math.max(edge[0]![0] - edge[3]![0], edge[1]![0] - edge[2]![0])
  return {
    label,
    layer: 'bar',
    edge,
    join: {
      // Its ends follow the rims: drawn on into the branches they are one with them.
      outline: edge.map(([x, y], i): Vec => [x + corners[i]![1] * INTO_BRANCH, y]),
      welds: [
        [edge[0]!, edge[1]!],
        [edge[2]!, edge[3]!],
      ],
    },
    between: [0, thickness],
    volume: gap * width * thickness,
    stock: { width, thickness, length: longest + thickness },
  }
}

/** The front edge of the bar, pulled forward. */
export function barHandles(
  context: ShoeContext,
  { width, thickness }: FiguresOf<typeof BAR_FIELDS>,
): ModificationHandle[] {
  const bar = barBetweenHeels(context, '', width, thickness)
  return bar ? [{ field: 'width', point: [0, bar.edge[1]![1]], along: [0, 1] }] : []
}

/** A bar stands no more than this out of the shoe's own height, mm (common practice, no source). */
const PROUD = 1

/** What is said of a bar that is thicker than the shoe it is welded into: it meets ground or frog before the shoe does. */
export function proudCautions({ section }: ShoeContext, thickness: number): Caution[] {
  const by = thickness - section.thickness
  if (by <= PROUD) return []
  return [
    {
      code: 'bar-proud',
      severity: by > section.thickness / 2 ? 'stop' : 'caution',
      title: told`The bar stands ${length(by, 'fine')} out of the shoe`,
      text: told`It is ${length(thickness, 'fine')} thick in a shoe of ${length(section.thickness, 'fine')}: the horse stands on it before the branches bear, or it presses on the frog at every step.`,
      action: 'Take a bar as thick as the shoe, or thinner where the frog must clear it.',
    },
  ]
}
