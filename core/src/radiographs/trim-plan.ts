import { length, told, type Told } from '../notices/told'
import { degrees, radians } from '../units/angle'
import { joint, toeOnGround } from './figures'
import { groundFrame, type RadiographPoints } from './frame'

/** Less sole than this is never left under the tip, mm (common practice, no source). */
export const LEAST_SOLE = 15

/** What is wanted of trim and shoe together. Angles in degrees, lengths in mm. */
export interface Wanted {
  palmarAngle: number
  /** Sole to keep under the tip; never less than {@link LEAST_SOLE}. */
  soleDepth: number
  /** How far behind the tip the shoe shall break over; 0 straight beneath it. */
  behindTip: number
}

/** How the wanted angle is come by: what the rasp takes, what the shoe adds. mm and degrees. */
export interface TrimPlan {
  /** Taken at the toe's end of the bearing, running out to nothing at the heel. */
  trimToe: number
  /** Taken at the heel, running out to nothing at the toe. */
  trimHeel: number
  /** Rail, wedge or rocker under the heel for what the trim could not bring. */
  raise: number
  palmarAfterTrim: number
  palmarAfterShoe: number
  soleAfterTrim: number
  /** Where the shoe shall break over: behind the toe of the wall, to mark on the sole; missing without the front wall. */
  breakoverFromToe?: number
  /** Lever of the toe then; missing without the coffin joint. */
  leverAfter?: number
  notes: Told[]
}

/**
 * Plans trim and shoe from a lateral radiograph: the trim takes what the sole allows first, the shoe brings the rest. The
 * vet leads: this is what is talked over, not what is done alone.
 *
 * @returns undefined where ground, bearing, P3 or the sole under its tip were not marked
 */
export function trimPlan(
  points: RadiographPoints,
  mmPerPixel: number,
  { palmarAngle, soleDepth, behindTip }: Wanted,
): TrimPlan | undefined {
  const { T, U, B, H, S1, S2, W1, W2, O1, O2, O3 } = points
  const at = groundFrame(points, mmPerPixel)
  if (!at || !T || !U || !B || !H || !S1) return undefined
  const [tip, wing, front, rear, sole] = [at('T'), at('U'), at('B'), at('H'), at('S1')]
  const long = front[0] - rear[0]
  const run = tip[0] - wing[0]
  if (!(long > 0 && run > 0)) return undefined
  const under = tip[1] - sole[1]
  const now = (wing[1] - tip[1]) / run
  const lift = long * (Math.tan(radians(palmarAngle)) - now)
  const overTip = (tip[0] - rear[0]) / long
  const trims =
    lift > 0
      ? raisedTo(lift, under - Math.max(LEAST_SOLE, soleDepth), overTip, under)
      : loweredTo(-lift, S2 && wing[1] - at('S2')[1] - LEAST_SOLE, (front[0] - wing[0]) / long)
  const { trimToe, trimHeel, raise } = trims
  const notes = [...trims.notes]
  const trimmed = now + (trimToe - trimHeel) / long
  if (under < LEAST_SOLE)
    notes.push(
      told`Under the tip there are ${length(under, 'fine')} of sole: protect it, and talk to the vet before any trim.`,
    )
  const breakover = tip[0] - behindTip
  const middle = O1 && O2 && O3 ? joint(at) : undefined
  const toe = W1 && W2 ? toeOnGround(at) : undefined
  return {
    ...{ trimToe, trimHeel, raise, notes },
    palmarAfterTrim: degrees(Math.atan(trimmed)),
    palmarAfterShoe: degrees(Math.atan(trimmed + raise / long)),
    soleAfterTrim: under - trimToe * overTip,
    ...(toe !== undefined && { breakoverFromToe: toe[0] - breakover }),
    ...(middle && { leverAfter: breakover - middle[0] }),
  }
}

/** What the rasp takes at toe and heel and the shoe adds, mm. */
type Trims = Pick<TrimPlan, 'trimToe' | 'trimHeel' | 'raise' | 'notes'>

/** A place as near as this to where the trim runs out to nothing is no measure for what it takes, as a share of its length. */
const LEAST_SHARE = 0.2

/** What is less than this nobody rasps, mm. */
const RASPED = 0.05

/**
 * The heel is to stand higher: the toe is trimmed as far as the sole allows, the shoe brings the rest.
 *
 * @param lift at the heel, mm
 * @param spare what the sole under the tip can spare of all that is there, mm
 * @param overTip where the tip stands, as a share of the bearing from its heel
 */
function raisedTo(lift: number, spare: number, overTip: number, under: number): Trims {
  // Tapered from the toe to the heel: under the tip it is less than at the toe's end.
  const trimToe = Math.min(lift, Math.max(0, spare) / Math.max(LEAST_SHARE, overTip))
  const raise = lift - trimToe
  const notes =
    raise > RASPED && trimToe < RASPED
      ? [
          told`There is no sole to spare under the tip (${length(under, 'fine')}): nothing is taken at the toe.`,
        ]
      : []
  return { trimToe, trimHeel: 0, raise, notes }
}

/**
 * The heel is to stand lower: it is trimmed as far as the sole under the wing allows.
 *
 * @param drop at the heel, mm
 * @param spare what the sole under the wing can spare, mm; nothing where it was not marked
 * @param overWing where the wing stands, as a share of the bearing from its toe
 */
function loweredTo(drop: number, spare: number | undefined, overWing: number): Trims {
  const most = spare === undefined ? Infinity : Math.max(0, spare) / Math.max(LEAST_SHARE, overWing)
  const trimHeel = Math.min(drop, most)
  const notes: Told[] = []
  if (spare === undefined)
    notes.push('The sole under the wing is not marked: how much the heel can spare is not known.')
  if (drop - trimHeel > RASPED)
    notes.push(
      told`The heel can spare ${length(trimHeel, 'fine')} of ${length(drop, 'fine')} now: the rest over the next visits.`,
    )
  return { trimToe: 0, trimHeel, raise: 0, notes }
}
