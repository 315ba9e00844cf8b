import type { CourseKind } from '../kind'

const BACK = 'Lameness, or the toe worn more than before: raise it again and call the vet.'

/** Club foot: heels lowered a little at each visit, breakover eased. */
export const clubFoot: CourseKind = {
  key: 'club-foot',
  label: 'Club foot',
  use: 'Heels come down a little at a time, breakover eased; the tendon must follow.',
  vetLeads: true,
  follows: { advice: ['club-slowly', 'club-breakover'] },
  inTurn: true,
  steps: [
    {
      day: 0,
      who: 'farrier',
      label: 'First trim',
      text: 'Heels down only as far as they still meet the ground when it stands square; toe eased.',
      measure: { label: 'Toe angle', kind: 'angle' },
      stops: BACK,
    },
    {
      day: 28,
      who: 'farrier',
      label: 'A little lower',
      measure: { label: 'Toe angle', kind: 'angle' },
      stops: BACK,
    },
    {
      day: 56,
      who: 'farrier',
      label: 'A little lower again',
      measure: { label: 'Toe angle', kind: 'angle' },
      stops: BACK,
    },
    {
      day: 60,
      who: 'vet',
      label: 'The vet looks',
      text: 'Whether trim alone is enough, or the tendon needs more.',
      measure: { label: 'Palmar angle', kind: 'angle' },
    },
  ],
  signs: [
    { key: 'heels-meet', asks: 'Heels meet the ground' },
    { key: 'dish', asks: 'Dish in the front wall smaller' },
    { key: 'stride', asks: 'Steps out longer' },
  ],
  meanwhile: [
    'Walk out on firm level ground every day as agreed.',
    'Watch whether the heel comes down at each step.',
  ],
  pain: ['Standing on the toe, a swollen tendon, going short after the trim.'],
  stops: ['Lameness after a trim.'],
}
