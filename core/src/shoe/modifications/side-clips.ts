import { CLIP_FIELDS, clipGathered, clipPart, pairHandle, pairOf, wallBeside, widthHandle } from './clip'
import type { Modification } from './modification'

/** Two clips at the widest part: the shoe cannot be spread by the foot, and cannot shift sideways. */
export const sideClips: Modification = {
  kind: 'side-clips',
  group: 'clips',
  label: 'Side clips',
  purpose: 'At the widest part: hold a split or spreading wall together, and the shoe against side thrust.',
  fields: [
    ...CLIP_FIELDS,
    {
      key: 'fromToe',
      label: 'Along the rim from the toe',
      kind: 'length',
      where:
        'From the middle of the toe along the rim to the middle of each clip: about the bend of the quarter.',
      range: ({ rims }) => [(rims.medialBend - rims.toe) * 0.6, (rims.medialBend - rims.toe) * 1.3],
      fallback: ({ rims }) => rims.medialBend - rims.toe,
    },
  ],
  warns: { 'quarter-clips': 'Four clips: let in too many and little wall is left between them' },
  holdsLike: 4,
  gather: (context, values) =>
    pairOf(context, values['fromToe']!).map((station) => clipGathered(context, station, values)),
  parts: (context, values) =>
    pairOf(context, values['fromToe']!).map((station, i) =>
      clipPart(context, i === 0 ? 'Outer side clip' : 'Inner side clip', station, values),
    ),
  handles: (context, values) => [
    pairHandle(context, values['fromToe']!),
    widthHandle(context, pairOf(context, values['fromToe']!)[1], values['width']!),
  ],
  marks: (context, values) =>
    pairOf(context, values['fromToe']!).map((station) => ({ label: 'Clip', station })),
  forging: () => [
    { stage: 'clips', text: 'Draw both side clips before shaping, then shape in the next heat.' },
  ],
  tell: (context, values) => {
    const [outside, inside] = pairOf(context, values['fromToe']!).map((station) =>
      Math.round(wallBeside(context, station)),
    )
    return [`Side clips lean at ${outside}° outside and ${inside}° inside, as the wall there.`]
  },
  cautions: () => [
    {
      code: 'side-clips-bind',
      severity: 'note',
      title: 'Side clips bind the foot',
      text: 'Clips behind the bend of the quarter hold the heels from spreading.',
      action: 'Only where that is wanted, and for a cycle at a time.',
    },
  ],
}
