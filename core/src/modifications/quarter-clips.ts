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
      'From the middle of the toe along the rim to the middle of each clip: ahead of or between the first two holes.',
    range: ({ rims }) => [15, (rims.medialBend - rims.toe) * 0.9],
    fallback: ({ rims }) => (rims.medialBend - rims.toe) * 0.43,
  },
])

/** Two clips at the toe quarters: for a thin wall with few nails, and against turning. */
export const quarterClips = modificationOf({
  kind: 'quarter-clips',
  ofMetal: true,
  group: 'clips',
  label: 'Quarter clips',
  purpose: 'For a thin wall with few nails and against twisting; the two hold like about four nails.',
  fields,
  ...clipPair('quarter'),
})
