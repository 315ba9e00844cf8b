import type { CourseKind } from '../kind'

const STOPS = 'Tender, bleeding or the seam running higher: stop and call the vet.'

/** Wall separated or resected: heart bar, the frog's share taken back by stages as the wall grows down. */
export const wall: CourseKind = {
  key: 'wall',
  label: 'Separated or resected wall',
  use: 'The frog carries while the wall grows down; the bar is loosened by stages.',
  vetLeads: true,
  follows: {
    modifications: ['heart-bar'],
    advice: ['resected-heart-bar', 'separation-nails', 'founder-heart-bar'],
  },
  inTurn: true,
  steps: [
    {
      day: 0,
      who: 'farrier',
      label: 'Heart bar on',
      text: 'Loaded by hand first: any pain, it comes off. Dress what was opened; seal only what is dry.',
      measure: { label: 'Seam below the hairline', kind: 'length' },
      stops: STOPS,
    },
    {
      day: 3,
      who: 'owner',
      label: 'First report',
      text: 'How it stands and walks; heat at the frog or not.',
    },
    {
      day: 35,
      who: 'farrier',
      label: 'Reset, plate a little looser',
      measure: { label: 'Seam below the hairline', kind: 'length' },
      stops: STOPS,
    },
    {
      day: 70,
      who: 'farrier',
      label: 'Reset, looser again',
      measure: { label: 'Seam below the hairline', kind: 'length' },
      stops: STOPS,
    },
    {
      day: 105,
      who: 'farrier',
      label: 'Plain bar or open shoe',
      text: 'Where the new wall bears; with the vet’s word.',
      measure: { label: 'Seam below the hairline', kind: 'length' },
    },
  ],
  signs: [
    { key: 'closing', asks: 'Separation closing, growing down' },
    { key: 'frog-sound', asks: 'Frog and bars without bruise' },
    { key: 'nails-hold', asks: 'Nail holes holding' },
  ],
  meanwhile: ['Keep what was opened dry and clean; pack as shown.', 'Dry ground, no mud.'],
  pain: ['Going short, pointing the foot, heat at the frog: the plate may press.'],
  stops: ['Pain under the plate: it comes off.'],
}
