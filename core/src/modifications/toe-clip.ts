import { CLIP_FIELDS, clipGathered, clipPart, heightHandle, widthHandle } from './clip'
import { modificationOf } from './modification'

/** One clip in the middle of the toe. */
export const toeClip = modificationOf({
  kind: 'toe-clip',
  ofMetal: true,
  group: 'clips',
  label: 'Toe clip',
  purpose: 'Holds the shoe from sliding back; reckoned to hold like about two nails.',
  fields: CLIP_FIELDS,
  holdsLike: 2,
  gather: (context, values) => [clipGathered(context, context.rims.toe, values)],
  parts: (context, values) => [clipPart(context, 'Toe clip', context.rims.toe, values)],
  handles: (context, values) => [
    widthHandle(context, context.rims.toe, values.width),
    heightHandle(context, context.rims.toe, values.height),
  ],
  forging: () => [{ stage: 'clips', text: 'Draw the toe clip before shaping; drawing distorts the shape.' }],
  tell: ({ foot }) => [`Toe clip leans at ${Math.round(foot.toeAngle)}°, as the wall there.`],
  cautions: ({ foot }, values) =>
    values.thickness > foot.toeWallThickness * 0.6
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
})
