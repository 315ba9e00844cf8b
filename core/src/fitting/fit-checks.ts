import type { Foot } from '../foot/measurements'
import { length, told, type Told } from '../notices/told'
import { COIN } from '../shoe/fit'
import type { Half } from '../terms/half'

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

/**
 * Reads the checks of a fit as figures: room for the heels to spread, both sides alike, heel ends as far from the bulbs, the
 * toe on the line of the frog. Only of what was measured.
 *
 * @param foot length from toe to buttress line, mm: how far the toe lies from where a shoe turns; and how far the plumb line
 *   of the bulbs lies behind the buttress, mm
 */
export function fitChecks(
  { room, toBulb, toeOff, ...eyed }: SeenOnFoot,
  foot: Pick<Foot, 'length' | 'bulbLine'>,
): FitCheck[] {
  const found: FitCheck[] = []
  const rooms = [room?.lateral, room?.medial].filter((value) => value !== undefined)
  if (rooms.length > 0) {
    const least = Math.min(...rooms)
    found.push({
      key: 'room',
      right: least >= COIN,
      words:
        least >= COIN
          ? told`Room to spread: ${length(least, 'fine')} at least.`
          : told`Only ${length(Math.max(0, least), 'fine')} of room: less than a coin, ${length(COIN, 'fine')}. Open that heel.`,
    })
  }
  const sides = (seen: Partial<Record<Half, number>> | undefined) =>
    seen?.lateral !== undefined && seen.medial !== undefined ? seen.lateral - seen.medial : undefined
  const wider = sides(room)
  if (wider !== undefined)
    found.push({
      key: 'room-alike',
      ...alike(wider, 'room', 'The shoe lies to that side: move it, or bend the other.'),
    })
  for (const branch of ['lateral', 'medial'] as const) {
    const short = toBulb?.[branch]
    if (short === undefined) continue
    const behind = foot.bulbLine - short
    const whose = branch === 'lateral' ? 'Outer' : 'Inner'
    const right = behind >= -COVERS
    found.push({
      key: 'heels-cover',
      right,
      words: right
        ? told`${whose} heel ends ${length(Math.max(0, behind))} behind the buttress: it is covered.`
        : told`${whose} heel ends ${length(-behind)} before the buttress: the branch is too short, or the shoe lies too far forward.`,
    })
  }
  const further = sides(toBulb)
  if (further !== undefined)
    found.push({
      key: 'heels-alike',
      ...alike(further, 'to the bulb', 'That branch is shorter, or the shoe is turned.'),
    })
  if (toeOff !== undefined) {
    const turned = (Math.atan2(toeOff, foot.length) * 180) / Math.PI
    const square = Math.abs(turned) < SQUARE
    found.push({
      key: 'square',
      right: square,
      words: square
        ? 'Square: the middle of the toe is on the line of the frog.'
        : `Turned ${Math.abs(turned).toFixed(1)}° to the ${turned > 0 ? 'outside' : 'inside'}: pull, set it square, and drive again.`,
    })
  }
  for (const key of ['safed', 'clipsFlush', 'nothingPast'] as const) {
    const right = eyed[key]
    if (right !== undefined) found.push({ key, right, words: BY_EYE[key][right ? 0 : 1] })
  }
  return found
}

function alike(difference: number, what: string, otherwise: string): Pick<FitCheck, 'right' | 'words'> {
  return Math.abs(difference) <= ALIKE
    ? { right: true, words: `Alike on both sides: ${what}.` }
    : {
        right: false,
        words: told`${length(Math.abs(difference))} more ${what} on the ${difference > 0 ? 'outside' : 'inside'}. ${otherwise}`,
      }
}
