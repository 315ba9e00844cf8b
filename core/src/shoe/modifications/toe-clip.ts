import { CLIP_FIELDS, clipEdge, clipVolume } from './clip'
import type { Modification } from './modification'
import { withVolume } from './reshape'

/** One clip in the middle of the toe. */
export const toeClip: Modification = {
  kind: 'toe-clip',
  label: 'Toe clip',
  purpose: 'Holds the shoe from sliding back; reckoned to hold like about two nails.',
  fields: CLIP_FIELDS,
  holdsLike: 2,
  reshape: (profile, _context, values) =>
    withVolume(profile, -values['width']! / 2, values['width']! / 2, clipVolume(values)),
  parts: (context, values) => [
    { label: 'Toe clip', layer: 'clip', edge: clipEdge(context, context.rims.toe, values), volume: 0 },
  ],
  tell: ({ foot }) => [
    `Toe clip leans at ${Math.round(foot.toeAngle)}°, as the wall there. Draw it before the bar is shaped.`,
  ],
  cautions: ({ foot }, values) =>
    values['thickness']! > foot.toeWallThickness * 0.6
      ? [
          {
            code: 'clip-thick',
            severity: 'caution',
            title: 'Clip thick for this wall',
            text: 'Let in flush it would take more than half the wall; hammered on it presses.',
            action: 'Draw it thinner.',
          },
        ]
      : [],
}
