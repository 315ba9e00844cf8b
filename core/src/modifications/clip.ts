import { nearestStation, placeAt } from '../geometry/track'
import { along, scale, turnRight, type Vec } from '../geometry/vector'
import { thinnerWall } from '../foot/thinner-wall'
import { wallAngleAt } from '../foot/wall'
import type { Gathered } from '../shoe/profile'
import { toeStation } from '../shoe/rims'
import {
  fieldsOf,
  type FiguresOf,
  type ModificationHandle,
  type ModificationWith,
  type ShoePart,
  type ShoeContext,
} from './modification'

/** The figures of one clip (amounts: common practice, no source). */
export const CLIP_FIELDS = fieldsOf([
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
    fallback: ({ foot }) => thinnerWall(foot) * 0.5,
  },
])
type ClipFigures = FiguresOf<typeof CLIP_FIELDS>

/**
 * Share of the block it would fill that is left of a clip: its sides run in like half an ellipse while it thins to
 * nothing at its tip, the integral of (1 - v) sqrt(1 - v2) from root to tip.
 */
export const CLIP_TAPER = Math.PI / 4 - 1 / 3

/** mm3 drawn from the bar for one clip. */
export const clipVolume = ({ width, height, thickness }: ClipFigures): number =>
  width * height * thickness * CLIP_TAPER

/** What one clip about a station of the outer rim takes from the bar. */
export function clipGathered({ rims }: ShoeContext, station: number, values: ClipFigures): Gathered {
  const s = nearestStation(rims.centroid, placeAt(rims.outer, station).point) - toeStation(rims)
  return { from: s - values.width / 2, to: s + values.width / 2, volume: clipVolume(values) }
}

/** How the wall stands beside a station of the outer rim, degrees. */
export const wallBeside = ({ foot, outline, rims }: ShoeContext, station: number): number =>
  wallAngleAt(foot, outline, nearestStation(outline.track, placeAt(rims.outer, station).point))

/** The clip as a piece: a low bow on the outer rim about a station, seen on the sole. */
export function clipPart(
  context: ShoeContext,
  label: string,
  station: number,
  values: ClipFigures,
): ShoePart {
  const { width, height, thickness } = values
  const { rims } = context
  const steps = 10
  const inner: Vec[] = []
  const outer: Vec[] = []
  for (let i = 0; i <= steps; i++) {
    const u = i / steps
    const { point, tangent } = placeAt(rims.outer, station + (u - 0.5) * width)
    inner.push(point)
    outer.push(along(point, turnRight(tangent), thickness * (0.35 + 0.65 * Math.sin(Math.PI * u) ** 0.5)))
  }
  return {
    label,
    layer: 'clip',
    edge: [...outer, ...inner.reverse()],
    volume: 0,
    tongue: { station, width, height, thickness, lean: wallBeside(context, station) },
  }
}

/** The side of a clip, pulled along the rim. */
export function widthHandle({ rims }: ShoeContext, station: number, width: number): ModificationHandle {
  const { point, tangent } = placeAt(rims.outer, station + width / 2)
  return { field: 'width', point, along: tangent, per: 2 }
}

/** The tip of a clip seen from the side, pulled up. */
export function heightHandle(context: ShoeContext, station: number, height: number): ModificationHandle {
  const y = placeAt(context.rims.outer, station).point[1]
  return { field: 'height', point: [y, context.section.thickness + height], along: [0, 1], view: 'side' }
}

/** Both ways along the rim from the toe, lateral first. */
export const pairOf = ({ rims }: ShoeContext, fromToe: number): [number, number] => [
  rims.toe - fromToe,
  rims.toe + fromToe,
]

/** The middle of the inner one of a pair, pulled along the rim away from the toe. */
export function pairHandle(context: ShoeContext, fromToe: number): ModificationHandle {
  const { point, tangent } = placeAt(context.rims.outer, pairOf(context, fromToe)[1])
  return { field: 'fromToe', point, along: scale(tangent, 1) }
}

/** What a pair of clips does, wherever on the rim it stands: two clips hold like about four nails. */
export function clipPair(
  name: string,
): Omit<
  ModificationWith<ClipFigures & { fromToe: number }>,
  'kind' | 'group' | 'label' | 'purpose' | 'fields'
> {
  const each = (context: ShoeContext, values: { fromToe: number }) => pairOf(context, values.fromToe)
  return {
    holdsLike: 4,
    gather: (context, values) =>
      each(context, values).map((station) => clipGathered(context, station, values)),
    parts: (context, values) =>
      each(context, values).map((station, i) =>
        clipPart(context, `${i === 0 ? 'Outer' : 'Inner'} ${name} clip`, station, values),
      ),
    handles: (context, values) => [
      pairHandle(context, values.fromToe),
      widthHandle(context, each(context, values)[1], values.width),
    ],
    marks: (context, values) => each(context, values).map((station) => ({ label: 'Clip', station })),
    forging: () => [
      { stage: 'clips', text: `Draw both ${name} clips before shaping, then shape in the next heat.` },
    ],
    tell: (context, values) => {
      const [outside, inside] = each(context, values).map((station) =>
        Math.round(wallBeside(context, station)),
      )
      return [`The ${name} clips lean at ${outside}° outside and ${inside}° inside, as the wall there.`]
    },
  }
}
