import type { Cup, Twist } from '../terms/trying'

const TWIST_WORDS: Record<Twist, string> = {
  level: 'No twist: both branches lie in one plane.',
  'outer heel up':
    'Twisted, the outer heel up: hold the toe on the anvil’s face, the outer branch foot surface up, and strike it down just ahead of its heel; look again.',
  'inner heel up':
    'Twisted, the inner heel up: hold the toe on the anvil’s face, the inner branch foot surface up, and strike it down just ahead of its heel; look again.',
}

const CUP_WORDS: Record<Cup, string> = {
  flat: 'Flat: no daylight under it on the anvil’s face.',
  'stands on toe and heels':
    'Hollow beneath: daylight under the quarters. Turn it foot surface down on the face and strike the quarters, both branches alike.',
  'rocks on its quarters':
    'Bowed: it rocks on its quarters. Ground surface down, strike the toe, then each heel, till it stops rocking.',
}

/** What was sighted of a shoe along its branches, and where to strike. Twist comes first: a twisted shoe looks cupped. */
export const levelWords = (twist: Twist | undefined, cup: Cup | undefined): string[] => [
  ...(twist ? [TWIST_WORDS[twist]] : []),
  ...(cup ? [CUP_WORDS[cup]] : []),
]
