import type { CourseKind } from '../kind'

/** Hard-faced and plate-cored shoes: resets counted, wear booked. */
export const road: CourseKind = {
  key: 'road',
  label: 'Shoe that is reset',
  use: 'Hard-faced on roads, or plate-cored: pulled, trimmed and put on again until it is through.',
  follows: { modifications: ['hard-facing'], advice: ['road-wear'] },
  steps: [
    {
      day: 0,
      who: 'farrier',
      label: 'New shoe on',
      measure: { label: 'Thickness at the toe', kind: 'length' },
    },
    {
      day: 42,
      who: 'farrier',
      label: 'First reset',
      text: 'Book what is left at the toe; another reset only if it lasts another cycle.',
      measure: { label: 'Thickness at the toe', kind: 'length' },
      stops: 'Less than a third of the bar left anywhere, or the core bare: a new shoe.',
    },
    {
      day: 84,
      who: 'farrier',
      label: 'Second reset',
      measure: { label: 'Thickness at the toe', kind: 'length' },
      stops: 'Less than a third of the bar left anywhere, or the core bare: a new shoe.',
    },
    {
      day: 126,
      who: 'farrier',
      label: 'New shoes',
      text: 'On paved roads hard-facing lasts about 18 to 24 weeks.',
      measure: { label: 'Thickness at the toe', kind: 'length' },
    },
  ],
  signs: [
    { key: 'wear', asks: 'Wear even' },
    { key: 'nails-hold', asks: 'Nail holes holding' },
    { key: 'joints', asks: 'No jarring: steps freely on hard ground' },
  ],
  meanwhile: ['Look for loose clinches and lost studs before each journey.'],
  pain: ['Slipping, going short on hard ground, a shoe that rattles.'],
  stops: ['Worn through or loose: it comes off.'],
}
