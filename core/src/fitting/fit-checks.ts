import type { Foot } from '../foot/measurements'
import { length, told, type Told } from '../notices/told'
import { COIN } from '../shoe/fit'
import { HALVES, type Half } from '../terms/half'
import { degrees } from '../units/angle'

/** What was measured of a shoe held or nailed to the foot, mm. What was not looked at is not there. */
export interface SeenOnFoot {
  /** From the wall to the outer rim at the bend of the heel, on either side. */
  room?: Partial<Record<Half, number>>
  /** From each heel end back to the bulb. */
  toBulb?: Partial<Record<Half, number>>
  /** Seen with the eye: the inner branch is safed, the clips lie flush, nothing stands past the outline to be stepped on. */
  safed?: boolean
  clipsFlush?: boolean
  nothingPast?: boolean
  /** The middle of the toe beside the line of the frog, plus to the outside. */
  toeOff?: number
}

/** One thing that was looked at: whether it is right, and in words with what to do. */
export interface FitCheck {
  key: 'room' | 'room-alike' | 'heels-cover' | 'heels-alike' | 'square' | SeenByEye
  right: boolean
  words: Told
}

/** What is only seen, yes or no. */
export type SeenByEye = 'safed' | 'clipsFlush' | 'nothingPast'

/** Each of them in words, right and not, with what to do. */
const BY_EYE: Record<SeenByEye, readonly [right: string, wrong: string]> = {
  safed: [
    'The inner branch is safed.',
    'The inner branch is not safed: soften its ground edge, the heel above all, before it cuts the other leg.',
  ],
  clipsFlush: [
    'The clips lie flush in the wall.',
    'A clip stands off or presses: let its seat in deeper; never hammer it onto the wall.',
  ],
  nothingPast: [
    'Nothing stands past the outline to be stepped on.',
    'Something stands past the outline where the horse can step on it: shorten it, close it, or box the edge.',
  ],
}

/** Two sides differ when they differ by more than this, mm (common practice: an eighth of an inch is seen). */
const ALIKE = 3.2

/** A heel that ends before its buttress by less than this covers it, mm (common practice, no source). */
const COVERS = 1.6

/** A shoe turned by less than this stands square, degrees (common practice, no source). */
const SQUARE = 1.5

type Sides = Partial<Record<Half, number>> | undefined

/** The foot, as far as its checks ask: see {@link fitChecks}. */
type Held = Pick<Foot, 'length' | 'bulbLine'>

/** How much more the outside has than the inside; nothing where one was not measured. */
const moreOutside = (seen: Sides): number | undefined =>
  seen?.lateral !== undefined && seen.medial !== undefined ? seen.lateral - seen.medial : undefined

function roomToSpread({ room }: SeenOnFoot): FitCheck[] {
  const rooms = HALVES.map((half) => room?.[half]).filter((value) => value !== undefined)
  if (rooms.length === 0) return []
  const least = Math.min(...rooms)
  const right = least >= COIN
  return [
    {
      key: 'room',
      right,
      words: right
        ? told`Room to spread: ${length(least, 'fine')} at least.`
        : told`Only ${length(Math.max(0, least), 'fine')} of room: less than a coin, ${length(COIN, 'fine')}. Open that heel.`,
    },
  ]
}

const heelsCover = ({ toBulb }: SeenOnFoot, { bulbLine }: Held): FitCheck[] =>
  HALVES.flatMap((branch): FitCheck[] => {
    const short = toBulb?.[branch]
    if (short === undefined) return []
    const behind = bulbLine - short
    const whose = branch === 'lateral' ? 'Outer' : 'Inner'
    const right = behind >= -COVERS
    return [
      {
        key: 'heels-cover',
        right,
        words: right
          ? told`${whose} heel ends ${length(Math.max(0, behind))} behind the buttress: it is covered.`
          : told`${whose} heel ends ${length(-behind)} before the buttress: the branch is too short, or the shoe lies too far forward.`,
      },
    ]
  })

function square({ toeOff }: SeenOnFoot, foot: Held): FitCheck[] {
  if (toeOff === undefined) return []
  const turned = degrees(Math.atan2(toeOff, foot.length))
  const right = Math.abs(turned) < SQUARE
  return [
    {
      key: 'square',
      right,
      words: right
        ? 'Square: the middle of the toe is on the line of the frog.'
        : `Turned ${Math.abs(turned).toFixed(1)}° to the ${turned > 0 ? 'outside' : 'inside'}: pull, set it square, and drive again.`,
    },
  ]
}

const byEye = (seen: SeenOnFoot): FitCheck[] =>
  (['safed', 'clipsFlush', 'nothingPast'] as const).flatMap((key) => {
    const right = seen[key]
    return right === undefined ? [] : [{ key, right, words: BY_EYE[key][right ? 0 : 1] }]
  })

/**
 * Reads the checks of a fit as figures: room for the heels to spread, both sides alike, heel ends as far from the bulbs, the
 * toe on the line of the frog. Only of what was measured.
 *
 * @param foot length from toe to buttress line, mm: how far the toe lies from where a shoe turns; and how far the plumb line
 *   of the bulbs lies behind the buttress, mm
 */
export const fitChecks = (seen: SeenOnFoot, foot: Held): FitCheck[] => [
  ...roomToSpread(seen),
  ...alike('room-alike', seen.room, 'room', 'The shoe lies to that side: move it, or bend the other.'),
  ...heelsCover(seen, foot),
  ...alike('heels-alike', seen.toBulb, 'to the bulb', 'That branch is shorter, or the shoe is turned.'),
  ...square(seen, foot),
  ...byEye(seen),
]

function alike(key: FitCheck['key'], seen: Sides, what: string, otherwise: string): FitCheck[] {
  const more = moreOutside(seen)
  if (more === undefined) return []
  if (Math.abs(more) <= ALIKE) return [{ key, right: true, words: `Alike on both sides: ${what}.` }]
  return [
    {
      key,
      right: false,
      words: told`${length(Math.abs(more))} more ${what} on the ${more > 0 ? 'outside' : 'inside'}. ${otherwise}`,
    },
  ]
}
