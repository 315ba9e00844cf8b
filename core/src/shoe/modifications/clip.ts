import { placeAt } from '../../geometry/track'
import { along, turnRight, type Vec } from '../../geometry/vector'
import type { ModificationField, ShoeContext, Values } from './modification'

/** The figures of one clip (amounts: common practice, no source). */
export const CLIP_FIELDS: readonly ModificationField[] = [
  {
    key: 'width',
    label: 'Width at the root',
    kind: 'length',
    where: 'Along the rim, where the clip is drawn from the bar.',
    range: () => [10, 45],
    fallback: ({ foot }) => foot.width * 0.18,
  },
  {
    key: 'height',
    label: 'Height',
    kind: 'length',
    where: 'Up the wall from the foot surface.',
    range: () => [8, 45],
    fallback: ({ foot }) => foot.width * 0.15,
  },
  {
    key: 'thickness',
    label: 'Thickness at the root',
    kind: 'length',
    where: 'About half the wall: it is let into the wall flush, never hammered onto it.',
    range: () => [1.5, 9],
    fallback: ({ foot }) => foot.wallThickness * 0.5,
  },
]

/** A drawn clip tapers to a thin round tip: about this share of the block it would fill (common practice, no source). */
const TAPER = 0.45

/** mm3 drawn from the bar for one clip. */
export const clipVolume = ({ width = 0, height = 0, thickness = 0 }: Values): number =>
  width * height * thickness * TAPER

/** The clip as it is seen on the sole: a low bow on the outer rim about a station, mm along the rim. */
export function clipEdge(
  { rims }: ShoeContext,
  station: number,
  { width = 0, thickness = 0 }: Values,
): Vec[] {
  const steps = 10
  const inner: Vec[] = []
  const outer: Vec[] = []
  for (let i = 0; i <= steps; i++) {
    const u = i / steps
    const { point, tangent } = placeAt(rims.outer, station + (u - 0.5) * width)
    inner.push(point)
    outer.push(along(point, turnRight(tangent), thickness * (0.35 + 0.65 * Math.sin(Math.PI * u) ** 0.5)))
  }
  return [...outer, ...inner.reverse()]
}
