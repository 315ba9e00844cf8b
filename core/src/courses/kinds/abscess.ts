import type { CourseKind } from '../kind'

/** Abscess: the vet opens it; shoe off or window, packing, closed when dry. */
export const abscess: CourseKind = {
  key: 'abscess',
  label: 'Abscess',
  use: 'Opened by the vet, drained and packed until it is dry, then shod again.',
  vetLeads: true,
  follows: { advice: ['abscess-open', 'rot-open'] },
  steps: [
    {
      day: 0,
      who: 'vet',
      label: 'Opened and drained',
      text: 'Shoe off. The vet opens it; tetanus cover is the vet’s question.',
    },
    {
      day: 1,
      who: 'owner',
      label: 'Packed daily',
      text: 'Clean, pack as the vet said, keep it dry and covered. Once a day until it stays dry.',
    },
    {
      day: 5,
      who: 'farrier',
      label: 'Look at it',
      text: 'Dry? Smell, softness, tender to the tester?',
      stops: 'Still wet or tender: the vet again.',
    },
    {
      day: 10,
      who: 'farrier',
      label: 'Shod again',
      text: 'Dry and sound only. Hole filled or covered; no nail near it.',
      stops: 'Wet, tender or lame: the shoe waits.',
    },
  ],
  signs: [
    { key: 'dry', asks: 'Dry where it drained' },
    { key: 'sound', asks: 'Sound at the walk' },
  ],
  meanwhile: [
    'Change the packing every day with clean hands; dry bed.',
    'Write down the day it first stays dry.',
  ],
  pain: ['Lame again, swelling up the leg, a smell, a new wet place at the hairline.'],
  stops: ['Swelling up the leg or fever: the vet the same day.'],
}
