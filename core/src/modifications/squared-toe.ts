import { track, trackLength, type Track } from '../geometry/track'
import { unit, type Vec } from '../geometry/vector'
import type { OuterRim } from '../shoe/lay'
import { stationBeside } from '../shoe/rims'
import { breakoverField, lineHandle } from './bend-line'
import { fieldsOf, modificationOf } from './modification'

const fields = fieldsOf([
  breakoverField,
  {
    key: 'easing',
    label: 'Easing of the corners',
    kind: 'length',
    ofFoot: true,
    where: 'How round the two corners of the toe are.',
    range: () => [4, 30],
    fallback: ({ foot }) => foot.width * 0.08,
  },
])

/**
 * The outer rim with everything ahead of a line drawn back to it, its corners eased: y becomes the lower branch of the
 * hyperbola (y - y')(limit - y') = ease2 / 4, so that the rim keeps its direction unbroken and its foremost point
 * lies on the line.
 */
export function squaredRim(rim: OuterRim, line: number, easing: number): OuterRim {
  const { points, tangents } = rim.track
  const foremost = Math.max(...points.map(([, y]) => y))
  if (foremost - line < 1e-6) return rim
  const limit = line + (easing * easing) / (4 * (foremost - line))
  const squared: Track = track(
    points.map(([x, y]): Vec => [x, (y + limit - Math.sqrt((y - limit) ** 2 + easing ** 2)) / 2]),
    tangents.map(([tx, ty], i) => {
      const d = points[i]![1] - limit
      return unit([tx, (ty * (1 - d / Math.sqrt(d * d + easing * easing))) / 2])
    }),
  )
  const moved = (station: number) => stationBeside(rim.track, squared, station)
  return {
    track: squared,
    lateralBend: moved(rim.lateralBend),
    toe: moved(rim.toe),
    medialBend: Math.min(trackLength(squared), moved(rim.medialBend)),
  }
}

/** The toe of the shoe set straight across under the wall. */
export const squaredToe = modificationOf({
  kind: 'squared-toe',
  group: 'toe',
  label: 'Squared toe',
  purpose: 'The toe forged straight across and set back under the wall: breakover back, nothing to tread on.',
  fields,
  refuse: ({ rims, foot }, values) => {
    const foremost = Math.max(...rims.outer.points.map(([, y]) => y))
    return foremost < foot.widestFromToe - values.behindToe - 0.5
      ? 'the rim lies behind this line already; set the breakover further back'
      : undefined
  },
  lay: (lay, { foot }, values) => ({
    ...lay,
    rework: (rim) => squaredRim(lay.rework(rim), foot.widestFromToe - values.behindToe, values.easing),
  }),
  handles: lineHandle,
  forging: () => [
    { stage: 'toe', moves: 'rim', text: 'Forge the toe straight across before the toe quarters are bent.' },
  ],
  tell: () => ['Leave the wall ahead of the shoe: dress only its edge.'],
  cautions: ({ foot }, values) =>
    values.behindToe > foot.toeWallThickness + foot.whiteLineWidth
      ? [
          {
            code: 'squared-behind-white-line',
            severity: 'caution',
            title: 'Toe squared behind the white line',
            text: 'The wall of the toe carries on nothing and the sole comes to bear.',
            action: 'Seat out the sole side of the web, or set it back less and roll it.',
          },
        ]
      : [],
})
