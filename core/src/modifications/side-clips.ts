import { CLIP_FIELDS, clipPair } from './clip'
import { fieldsOf, modificationOf } from './modification'

const fields = fieldsOf([
  ...CLIP_FIELDS,
  {
    key: 'fromToe',
    label: 'Along the rim from the toe',
    kind: 'length',
    ofFoot: true,
    where:
      'From the middle of the toe along the rim to the middle of each clip: about the bend of the quarter.',
    range: ({ rims }) => [(rims.medialBend - rims.toe) * 0.6, (rims.medialBend - rims.toe) * 1.3],
    fallback: ({ rims }) => rims.medialBend - rims.toe,
  },
])

/** Two clips at the widest part: the shoe cannot be spread by the foot, and cannot shift sideways. */
export const sideClips = modificationOf({
  kind: 'side-clips',
  ofMetal: true,
  group: 'clips',
  label: 'Side clips',
  purpose: 'At the widest part: hold a split or spreading wall together, and the shoe against side thrust.',
  fields,
  warns: { 'quarter-clips': 'Four clips: let in too many and little wall is left between them' },
  ...clipPair('side'),
  cautions: () => [
    {
      code: 'side-clips-bind',
      severity: 'note',
      title: 'Side clips bind the foot',
      text: 'Clips behind the bend of the quarter hold the heels from spreading.',
      action: 'Only where that is wanted, and for a cycle at a time.',
    },
  ],
})
