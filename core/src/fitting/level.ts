import type { BranchPart, Cup, Twist } from '../terms/trying'

/** How a shoe is laid on the anvil's face, and where it is struck: what is struck goes down. */
export interface Strikes {
  down: 'ground surface' | 'foot surface'
  parts: readonly BranchPart[]
}

/** Laid as it was looked at, what stands off the face is struck down to it. */
export const CUP_STRIKES: Readonly<Record<Exclude<Cup, 'flat'>, Strikes>> = {
  'stands on toe and heels': { down: 'ground surface', parts: ['quarter'] },
  'rocks on its quarters': { down: 'ground surface', parts: ['toe', 'heel'] },
}

const TWIST_WORDS: Record<Twist, string> = {
  level: 'No twist: both branches lie in one plane.',
  'outer heel up':
    'Twisted, the outer heel up: hold the toe on the anvil’s face, the outer branch foot surface up, and strike it down just ahead of its heel; look again.',
  'inner heel up':
    'Twisted, the inner heel up: hold the toe on the anvil’s face, the inner branch foot surface up, and strike it down just ahead of its heel; look again.',
}

/** Lays it down as it is struck. */
const laid = (cup: keyof typeof CUP_STRIKES): string => {
  const { down } = CUP_STRIKES[cup]
  return `${down.charAt(0).toUpperCase()}${down.slice(1)} down`
}

const CUP_WORDS: Record<Cup, string> = {
  flat: 'Flat: no daylight under it on the anvil’s face.',
  'stands on toe and heels': `Hollow beneath: daylight under the quarters. ${laid('stands on toe and heels')} on the face, strike the quarters down, both branches alike, till no daylight shows.`,
  'rocks on its quarters': `Bowed: it rocks on its quarters. ${laid('rocks on its quarters')}, strike the toe, then each heel, till it stops rocking.`,
}

/** What was sighted of a shoe along its branches, and where to strike. Twist comes first: a twisted shoe looks cupped. */
export const levelWords = (twist: Twist | undefined, cup: Cup | undefined): string[] => [
  ...(twist ? [TWIST_WORDS[twist]] : []),
  ...(cup ? [CUP_WORDS[cup]] : []),
]
