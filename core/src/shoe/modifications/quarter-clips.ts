import { CLIP_FIELDS, clipGathered, clipPart, pairHandle, pairOf, wallBeside, widthHandle } from './clip'
import type { Modification } from './modification'

/** Two clips at the toe quarters: for a thin wall with few nails, and against turning. */
export const quarterClips: Modification = {
  kind: 'quarter-clips',
  group: 'clips',
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
  gather: (context, values) =>
    pairOf(context, values['fromToe']!).map((station) => clipGathered(context, station, values)),
  parts: (context, values) =>
    pairOf(context, values['fromToe']!).map((station, i) =>
      clipPart(context, i === 0 ? 'Outer quarter clip' : 'Inner quarter clip', station, values),
    ),
  handles: (context, values) => [
    pairHandle(context, values['fromToe']!),
    widthHandle(context, pairOf(context, values['fromToe']!)[1], values['width']!),
  ],
  marks: (context, values) =>
    pairOf(context, values['fromToe']!).map((station) => ({ label: 'Clip', station })),
  forging: () => [
    { stage: 'clips', text: 'Draw both quarter clips before shaping, then shape in the next heat.' },
  ],
  tell: (context, values) => {
    const [outside, inside] = pairOf(context, values['fromToe']!).map((station) =>
      Math.round(wallBeside(context, station)),
    )
    return [`Quarter clips lean at ${outside}° outside and ${inside}° inside, as the wall there.`]
  },
}
