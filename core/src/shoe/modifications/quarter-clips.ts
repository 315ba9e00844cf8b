import { nearestStation, placeAt } from '../../geometry/track'
import { wallAngleAt } from '../../foot/wall'
import { toeStation } from '../rims'
import { CLIP_FIELDS, clipEdge, clipVolume } from './clip'
import type { Modification, ShoeContext, Values } from './modification'
import { withVolume } from './reshape'

/** The stations of the two clips on the outer rim, lateral first: the same way from the toe on either side. */
const stations = ({ rims }: ShoeContext, values: Values): [number, number] => [
  rims.toe - values['fromToe']!,
  rims.toe + values['fromToe']!,
]

/** Two clips at the toe quarters: for a thin wall with few nails, and against turning. */
export const quarterClips: Modification = {
  kind: 'quarter-clips',
  label: 'Quarter clips',
  purpose: 'For a thin wall with few nails and against twisting; the two hold like about four nails.',
  fields: [
    ...CLIP_FIELDS,
    {
      key: 'fromToe',
      label: 'Along the rim from the toe',
      kind: 'length',
      where:
        'From the middle of the toe along the rim to the middle of each clip: ahead of or between the first two holes.',
      range: ({ rims }) => [15, (rims.medialBend - rims.toe) * 0.9],
      fallback: ({ rims }) => (rims.medialBend - rims.toe) * 0.43,
    },
  ],
  holdsLike: 4,
  reshape: (profile, context, values) => {
    const toe = toeStation(context.rims)
    return stations(context, values).reduce((bar, station) => {
      const s = nearestStation(context.rims.centroid, placeAt(context.rims.outer, station).point) - toe
      return withVolume(bar, s - values['width']! / 2, s + values['width']! / 2, clipVolume(values))
    }, profile)
  },
  parts: (context, values) =>
    stations(context, values).map((station, i) => ({
      label: i === 0 ? 'Outer quarter clip' : 'Inner quarter clip',
      layer: 'clip' as const,
      edge: clipEdge(context, station, values),
      volume: 0,
    })),
  tell: (context, values) => {
    const [lateral, medial] = stations(context, values).map((station) => {
      const beside = nearestStation(context.outline.track, placeAt(context.rims.outer, station).point)
      return Math.round(wallAngleAt(context.foot, context.outline, beside))
    })
    return [
      `Clips lean at ${lateral}° outside and ${medial}° inside, as the wall there. Draw them before the bar is shaped.`,
    ]
  },
}
