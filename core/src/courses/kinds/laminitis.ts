import type { CourseKind } from '../kind'

const VET = 'The vet’s word is needed before it goes on.'

/** Founder: radiographs before and after, the rails lowered by stages, the vet's word for each. */
export const laminitis: CourseKind = {
  key: 'laminitis',
  label: 'Founder',
  use: 'Judged by radiographs before and after; rails or wedge come down by stages, each with the vet’s word.',
  vetLeads: true,
  follows: {
    modifications: ['four-rail-plate'],
    advice: ['founder-four-rail', 'founder-heart-bar', 'founder-breakover', 'founder-trim'],
  },
  inTurn: true,
  steps: [
    {
      day: 0,
      who: 'vet',
      label: 'Radiograph before',
      text: 'Lateral, both feet of the pair, scale marker in the plane of the foot.',
      measure: { label: 'Palmar angle', kind: 'angle' },
      stops: VET,
    },
    {
      day: 0,
      who: 'vet',
      label: 'Radiograph after the shoe',
      text: 'In the shoe: underside of P3 parallel to it, breakover beneath the tip.',
      measure: { label: 'Sole under the tip', kind: 'length' },
      stops: VET,
    },
    {
      day: 35,
      who: 'farrier',
      label: 'Reset, rails as they were',
      text: 'Trim from the heels, never the face of the toe. Same height unless the vet says less.',
      measure: { label: 'Height of the rails', kind: 'length' },
      stops: 'More pain than before, a bulge or a seam at the coronet: stop and call the vet.',
    },
    {
      day: 36,
      who: 'vet',
      label: 'Radiograph of the reset',
      measure: { label: 'Sole under the tip', kind: 'length' },
      stops: VET,
    },
    {
      day: 70,
      who: 'farrier',
      label: 'Rails down a stage',
      text: 'A third lower, with the vet’s word.',
      measure: { label: 'Height of the rails', kind: 'length' },
      stops: VET,
    },
    {
      day: 105,
      who: 'farrier',
      label: 'Rails down again',
      text: 'Another third, with the vet’s word.',
      measure: { label: 'Height of the rails', kind: 'length' },
      stops: VET,
    },
    {
      day: 106,
      who: 'vet',
      label: 'Radiograph, and what comes after',
      measure: { label: 'Palmar angle', kind: 'angle' },
      stops: VET,
    },
  ],
  signs: [
    { key: 'comfort', asks: 'Stands and walks easier' },
    { key: 'sole', asks: 'Sole under the tip thicker' },
    { key: 'new-wall', asks: 'New wall grows straight down from the hairline' },
  ],
  meanwhile: [
    'Deep bed, small dry yard, no grass; feed as the vet says.',
    'Feel both feet for heat and a strong pulse morning and evening.',
    'No walking for exercise until the vet says so.',
  ],
  pain: ['Lying down more, leaning back, shifting from foot to foot, heat or a pounding pulse.'],
  stops: [
    'More pain, a bone that moves on the radiograph, a softening sole: the vet is called the same day.',
  ],
}
