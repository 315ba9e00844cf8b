import type { CourseKind } from '../kind'

/** Young horse's limbs: short steps, looked at often, the vet early. */
export const youngLimbs: CourseKind = {
  key: 'young-limbs',
  label: 'Young horse’s limbs',
  use: 'Small trims often while the limb can still follow; the vet early.',
  vetLeads: true,
  follows: {},
  inTurn: true,
  steps: [
    {
      day: 0,
      who: 'vet',
      label: 'Looked at by the vet',
      text: 'Which joint, how far, how long there is: growth plates close early.',
    },
    {
      day: 0,
      who: 'farrier',
      label: 'First trim',
      text: 'Level to the limb, little at a time; extension only as the vet says.',
      measure: { label: 'Turn of the limb', kind: 'angle' },
    },
    { day: 14, who: 'farrier', label: 'Again', measure: { label: 'Turn of the limb', kind: 'angle' } },
    { day: 28, who: 'farrier', label: 'Again', measure: { label: 'Turn of the limb', kind: 'angle' } },
    {
      day: 42,
      who: 'vet',
      label: 'The vet judges',
      text: 'Goes straight, stays, or needs more than a rasp.',
      measure: { label: 'Turn of the limb', kind: 'angle' },
    },
  ],
  signs: [
    { key: 'straighter', asks: 'Limb straighter' },
    { key: 'even-wear', asks: 'Wears evenly' },
  ],
  meanwhile: ['Firm level ground, short times out, as the vet says.'],
  pain: ['Lameness, heat at a joint, lying down more.'],
  stops: ['Pain, or the other limb giving way.'],
}
