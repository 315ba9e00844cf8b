import { length, told, type Told } from '../notices/told'
import { degrees, radians } from '../units/angle'
import { joint, RADIOGRAPH_FIGURES, toeOnGround, type RadiographFigure } from './figures'
import { groundFrame, type OnGround, type RadiographPoints } from './frame'
import { onTrimmed, type RaspLine } from './trimmed'

/** Less sole than this is never left, anywhere under P3, mm (common practice, no source). */
export const LEAST_SOLE = 15

/** What is wanted of trim and shoe together. Angles in degrees, lengths in mm. */
export interface Wanted {
  palmarAngle: number
  /** Sole to keep under the tip; never less than {@link LEAST_SOLE}. */
  soleDepth: number
  /** How far behind the tip the shoe shall break over; 0 straight beneath it. */
  behindTip: number
}

/** How the wanted angle is come by: what the rasp takes, what the shoe adds. mm and degrees, of the foot as trimmed. */
export interface TrimPlan extends RaspLine {
  /** By how many degrees the shoe is to raise the heels, for what the trim could not bring. */
  raise: number
  palmarAfterTrim: number
  palmarAfterShoe: number
  /** Sole left under the tip. */
  soleAfterTrim: number
  /** Sole left under the wing; missing where it was not marked. */
  soleUnderWing?: number
  /** Where the shoe shall break over: behind the toe of the trimmed wall; missing without the front wall. */
  breakoverFromToe?: number
  /** The same from the hindmost bearing forward, along the trimmed ground. */
  breakoverAt: number
  /** Lever of the toe then; missing without the coffin joint. */
  leverAfter?: number
  /** Every figure that can be read, as it will be once the foot is trimmed: what foot and shoe take over. */
  trimmed: RadiographFigure[]
  notes: Told[]
}

/** The places a plan cannot do without. */
const NEEDED = ['T', 'U', 'B', 'H', 'S1'] as const

/**
 * Plans trim and shoe from a lateral radiograph: the trim takes what the sole allows first, the shoe brings the rest. The
 * vet leads: this is what is talked over, not what is done alone.
 *
 * @returns undefined where ground, bearing, P3 or the sole under its tip were not marked, or lie where they cannot
 */
export function trimPlan(
  points: RadiographPoints,
  mmPerPixel: number,
  { palmarAngle, soleDepth, behindTip }: Wanted,
): TrimPlan | undefined {
  const at = groundFrame(points, mmPerPixel)
  if (!at || NEEDED.some((key) => points[key] === undefined)) return undefined
  const [tip, wing] = [at('T'), at('U')]
  const long = at('B')[0] - at('H')[0]
  if (!(long > 0 && tip[0] > wing[0])) return undefined
  const foot: Foot = { points, at, long, keep: Math.max(LEAST_SOLE, soleDepth) }
  const before = solesOf(foot, NO_RASP)
  if (before.tip <= 0 || (before.wing ?? 1) <= 0) return undefined
  const now = degrees(Math.atan2(wing[1] - tip[1], tip[0] - wing[0]))
  const turn = palmarAngle - now
  const trims = turn > 0 ? raisedBy(foot, turn) : loweredBy(foot, -turn)
  const trimmed = onTrimmed(at, trims)
  const after = solesOf(foot, trims)
  const palmarAfterTrim = now + degrees(Math.atan((trims.trimToe - trims.trimHeel) / long))
  const raise = Math.max(0, palmarAngle - palmarAfterTrim)
  const figures = figuresOn(trimmed, points)
  const breakover = trimmed('T')[0] - behindTip
  const middle = has(points, 'O1', 'O2', 'O3') ? joint(trimmed) : undefined
  const toe = has(points, 'W1', 'W2') ? toeOnGround(trimmed) : undefined
  return {
    ...{ trimToe: trims.trimToe, trimHeel: trims.trimHeel },
    ...{ raise: raise < TURNED ? 0 : raise, palmarAfterTrim },
    palmarAfterShoe: palmarAfterTrim + (raise < TURNED ? 0 : raise),
    soleAfterTrim: after.tip,
    ...(after.wing !== undefined && { soleUnderWing: after.wing }),
    ...(toe !== undefined && { breakoverFromToe: toe[0] - breakover }),
    breakoverAt: breakover - trimmed('H')[0],
    ...(middle && { leverAfter: breakover - middle[0] }),
    trimmed: figures,
    notes: [...trims.notes, ...thinSoles(before)],
  }
}

/** A foot on its radiograph, as far as the rasp needs it. mm. */
interface Foot {
  points: RadiographPoints
  at: OnGround
  /** Of the bearing, from heel to toe. */
  long: number
  /** Sole to keep under the tip. */
  keep: number
}

/** What the rasp takes, and what is to be said of it. */
interface Trims extends RaspLine {
  notes: Told[]
}

const NO_RASP: RaspLine = { trimToe: 0, trimHeel: 0 }

/** What is less than this nobody rasps, mm; and nobody forges, degrees. */
const RASPED = 0.05
const TURNED = 0.05

const has = (points: RadiographPoints, ...keys: (keyof RadiographPoints)[]): boolean =>
  keys.every((key) => points[key] !== undefined)

/** What is left of the sole under tip and wing, square to the ground that the rasp has made, mm. */
function solesOf({ points, at }: Foot, rasp: RaspLine): { tip: number; wing?: number } {
  const trimmed = onTrimmed(at, rasp)
  const left = (bone: 'T' | 'U', sole: 'S1' | 'S2') => trimmed(bone)[1] - trimmed(sole)[1]
  return { tip: left('T', 'S1'), ...(points.S2 && { wing: left('U', 'S2') }) }
}

/** No sole is thinner than it must be after the rasp: between tip and wing it is as thick as they are, or thicker. */
function spares(foot: Foot, rasp: RaspLine): boolean {
  const { tip, wing } = solesOf(foot, rasp)
  return tip >= foot.keep && (wing === undefined || wing >= LEAST_SOLE)
}

/** The most that can be taken at one end of the bearing, mm, and no more than is wanted. */
function most(foot: Foot, wanted: number, rasp: (taken: number) => RaspLine): number {
  if (spares(foot, rasp(wanted))) return wanted
  if (!spares(foot, rasp(0))) return 0
  let [can, cannot] = [0, wanted]
  for (let i = 0; i < 50; i++) {
    const half = (can + cannot) / 2
    if (spares(foot, rasp(half))) can = half
    else cannot = half
  }
  return can < RASPED ? 0 : can
}

/** The heel is to stand higher by so many degrees: the toe is trimmed as far as the sole allows. */
function raisedBy(foot: Foot, turn: number): Trims {
  const wanted = foot.long * Math.tan(radians(turn))
  const trimToe = most(foot, wanted, (taken) => ({ trimToe: taken, trimHeel: 0 }))
  const notes =
    wanted > RASPED && trimToe < RASPED
      ? [
          told`There is no sole to spare (${length(solesOf(foot, NO_RASP).tip, 'fine')} under the tip): nothing is taken at the toe.`,
        ]
      : []
  return { trimToe, trimHeel: 0, notes }
}

/** The heel is to stand lower by so many degrees: it is trimmed as far as the sole under tip and wing allows. */
function loweredBy(foot: Foot, turn: number): Trims {
  const wanted = foot.long * Math.tan(radians(turn))
  const trimHeel = most(foot, wanted, (taken) => ({ trimToe: 0, trimHeel: taken }))
  const notes: Told[] = []
  if (!foot.points.S2)
    notes.push('The sole under the wing is not marked: how much the heel can spare is not known.')
  if (wanted - trimHeel > RASPED)
    notes.push(
      told`The heel can spare ${length(trimHeel, 'fine')} of ${length(wanted, 'fine')} now: the rest over the next visits.`,
    )
  return { trimToe: 0, trimHeel, notes }
}

const thinSoles = ({ tip }: { tip: number }): Told[] =>
  tip < LEAST_SOLE
    ? [
        told`Under the tip there are ${length(tip, 'fine')} of sole: protect it, and talk to the vet before any trim.`,
      ]
    : []

/** What can be read of the foot as trimmed. A plan is no measurement: it has no error of its own. */
const figuresOn = (at: OnGround, points: RadiographPoints): RadiographFigure[] =>
  RADIOGRAPH_FIGURES.map(({ key, unit, from, read }) => {
    const value = has(points, ...from) ? read(at) : undefined
    return { key, unit, value: value ?? null, uncertainty: null }
  })
