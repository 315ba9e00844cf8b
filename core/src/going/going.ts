import { ProblemError, problem } from '../notices/problem'
import { length, told } from '../notices/told'
import type { Vec } from '../geometry/vector'
import type { Plan } from '../plan/plan'
import type { BearingPart, Ground } from '../terms/goings'
import { radians } from '../units/angle'
import { bearingOf, type Bearing, type Packing } from './bearing'
import { depthAt, standOn, type Plane } from './footing'

/** What a shoe stands on and under which load. */
export interface GoingAsked {
  ground: Ground
  load: {
    newtons: number
    /** Where it stands, in the foot's frame, mm; beneath the centre of rotation where it is not said. */
    at?: Vec
  }
  /** Packing under frog or sole. */
  packing?: Packing
}

/** How a made shoe stands in the ground. */
export interface Going {
  /** mm below where each place stands on a hard floor; minus: it comes up. */
  sink: { toe: number; lateralHeel: number; medialHeel: number }
  /** Degrees against how it stands on a hard floor: plus with the heels sinking, plus with the outer side sinking. */
  tilt: { foreAft: number; sideways: number }
  /** Degrees it tilts on a hard floor already: studs, rails and hard metal stand out of its ground face. */
  onFloor: { foreAft: number; sideways: number }
  /** Of all that may bear, the share that does. */
  contactShare: number
  /** Share of the load that each part carries; only parts the shoe has. */
  shares: Partial<Record<BearingPart, number>>
  /** N/mm2, and where it is greatest. */
  pressure: { max: number; at: Vec }
  /** How deep the deepest place of the ground face lies, mm: beyond the height of the shoe the sole comes down as well. */
  deepest: number
  /** Sole and frog would meet the ground too; they are not reckoned, so it sinks less than this. */
  soleMeets: boolean
  /** How its ground face lies, in the foot's frame, against the level it has on a hard floor. */
  plane: Plane
  /** The same against the surface of the ground: what of it lies in the ground, and how deep. */
  inGround: Plane
  /** What bears, with N/mm2 on each: for who draws it. */
  bed: readonly { at: Vec; area: number; part: BearingPart; pressure: number }[]
}

/** Beneath the centre of rotation, which is taken to lie over the widest part. */
export const BENEATH: Vec = [0, 0]

/** A hard floor. */
const FLOOR: Ground = { stiffness: Infinity, edge: 0 }

/**
 * How a made shoe stands: a rigid plate on springs, without tension.
 *
 * @throws ProblemError where the load stands outside the shoe, which would tip over, or where it turns over or sinks deeper
 * than springs can tell
 */
export function goingOf(plan: Plan, asked: GoingAsked): Going {
  const bearing = bearingOf(plan, asked.packing)
  const going = goingOn(plan, bearing, asked)
  refuseBeyond(plan, going)
  return going
}

/**
 * The same of pieces that are cut up already: they are the same in every going. Who carries is told even where the shoe
 * rolls over its toe; how it stands then is not to be told.
 */
export function goingOn(plan: Plan, bearing: readonly Bearing[], { ground, load }: GoingAsked): Going {
  const { newtons, at = BENEATH } = load
  const floor = standOn(bearing, FLOOR, newtons, at)
  const stands = ground.stiffness === Infinity ? floor : standOn(bearing, ground, newtons, at)
  if (!floor || !stands) throw new ProblemError([tipsOver(bearing)])
  const [deep, hard] = [stands.plane, floor.plane]
  const plane: Plane = { c: deep.c - hard.c, p: deep.p - hard.p, q: deep.q - hard.q }
  const carried = stands.forces.reduce((sum, one) => sum + one, 0)
  const bed = bearing.flatMap(({ at: place, area, part }, i) =>
    area > 0 ? [{ at: place, area, part, pressure: stands.forces[i]! / area }] : [],
  )
  const pressed = bed.filter(({ pressure }) => pressure > 0)
  const most = pressed.reduce((a, b) => (b.pressure > a.pressure ? b : a))
  const { toe, heels } = placesOf(plan)
  const tilt = {
    foreAft: degrees(-deep.q) - degrees(-hard.q),
    sideways: degrees(deep.p) - degrees(hard.p),
  }
  const deepest = Math.max(...[toe, ...heels].map((place) => depthAt(deep, place)))
  return {
    sink: {
      toe: depthAt(plane, toe),
      lateralHeel: depthAt(plane, heels[0]),
      medialHeel: depthAt(plane, heels[1]),
    },
    tilt,
    onFloor: { foreAft: degrees(-hard.q), sideways: degrees(hard.p) },
    contactShare: areaOf(pressed) / areaOf(bed),
    shares: sharesOf(bearing, stands.forces, carried),
    pressure: { max: most.pressure, at: most.at },
    deepest,
    soleMeets: !bed.some(({ part }) => part === 'pad') && deepest > plan.section.thickness,
    plane,
    inGround: deep,
    bed,
  }
}

const degrees = (slope: number): number => (Math.atan(slope) * 180) / Math.PI

const areaOf = (pieces: readonly { area: number }[]): number =>
  pieces.reduce((sum, { area }) => sum + area, 0)

function sharesOf(
  bearing: readonly Bearing[],
  forces: readonly number[],
  carried: number,
): Partial<Record<BearingPart, number>> {
  const shares: Partial<Record<BearingPart, number>> = {}
  bearing.forEach(({ part }, i) => (shares[part] = (shares[part] ?? 0) + forces[i]! / carried))
  return shares
}

/** The places whose sink is told: the middle of the toe's rim, and the middle of the web at either heel end. */
export function placesOf({ cuts }: Pick<Plan, 'cuts'>): { toe: Vec; heels: readonly [Vec, Vec] } {
  const toe = cuts.reduce((front, one) => (one.place.fromToe < front.place.fromToe ? one : front))
  return { toe: toe.place.point, heels: [cuts[0]!.place.middle, cuts[cuts.length - 1]!.place.middle] }
}

/** Springs tell how a shoe stands while it tilts a little: beyond this it turns over, and what they say is no fact, degrees. */
const MOST_TILT = 12

/** @throws ProblemError where what was worked out lies beyond what springs can tell */
function refuseBeyond({ foot }: Plan, { tilt, deepest }: Going): void {
  const wall = foot.dorsalLength * Math.sin(radians(foot.toeAngle))
  const most = Math.max(Math.abs(tilt.foreAft), Math.abs(tilt.sideways))
  if (most > MOST_TILT)
    throw new ProblemError([
      problem(
        'load.at',
        `The shoe turns over under this load: it would tilt by more than ${MOST_TILT}°, and how far is not to be told. Put the load nearer to its middle, or less of it.`,
      ),
    ])
  if (deepest > wall)
    throw new ProblemError([
      problem(
        'load.newtons',
        told`It would sink deeper than the wall is high (${length(wall)}): sole, frog and pastern carry by then, and how deep it goes is not to be told.`,
      ),
    ])
}

function tipsOver(bearing: readonly Bearing[]) {
  const ys = bearing.map(({ at }) => at[1])
  const xs = bearing.map(({ at }) => at[0])
  const [low, high] = [Math.min(...ys), Math.max(...ys)]
  const [inner, outer] = [Math.min(...xs), Math.max(...xs)]
  return problem(
    'load.at',
    told`The load does not stand on the shoe, which would tip over: from ${length(inner)} to ${length(outer)} across and from ${length(low)} to ${length(high)} forward of the widest part, within all that bears.`,
  )
}
