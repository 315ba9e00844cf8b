import type { Foot } from '../foot/measurements'
import type { FootOutline } from '../foot/outline'
import { wallAngleAt, wallHeightAt } from '../foot/wall'
import { placeAt } from '../geometry/track'
import { along, turnRight, type Vec } from '../geometry/vector'
import { cotangent } from '../units/angle'
import type { Workshop } from '../workshop/workshop'
import { nailFlight } from './flight'
import type { NailHole } from './holes'
import type { Verdict } from '../terms/verdicts'
import { inTheWay, type ClearStretch } from './keep-clear'
import { limitWords, type StandingLimit } from './limits'
import type { NailPlan } from './nail-plan'
import { sentence } from '../notices/sentence'
import { length, told, type Told } from '../notices/told'

/** A hole with the nail that would go into it. */
export interface Nail extends NailHole {
  /** Degrees from the ground: as the wall leans there, or as it was said. */
  lean: number
  /** How much deeper it enters the horn than it leaves the shoe: it leans on through a pad between them, mm. */
  throughPad: number
  /** Of the wall there, degrees from the ground. */
  wallAngle: number
  /** Above the ground face of the wall, mm. */
  exitHeight: number
  /** Where it comes out, as seen from below: the wall leans in over its ground edge. */
  exit: Vec
  deepest: number
  verdict: Verdict
  /** The verdict in words, with why. */
  why: Told
  /** How high it came out when it was driven, mm. */
  seen?: number
}

/** A hole this far behind the buttress has no wall over it any more, mm: less than half a nail's shank. */
const BEHIND_WALL = 1

const NO_WALL = {
  verdict: 'misses',
  why: 'Lies behind the buttress: there is no wall, it would hold nothing.',
} as const

/** A hole nearer to the outside than this share of the wall holds too little of it (common practice, no source). */
const LOW_SHARE = 0.6

/**
 * How each nail goes: lean as the wall leans there unless said, exit, greatest depth, verdict.
 *
 * @param padding between the shoe's foot surface and the horn, mm: the nail leans straight on through it
 */
export function judgeNails(
  foot: Foot,
  outline: FootOutline,
  holes: readonly NailHole[],
  plan: NailPlan,
  workshop: Workshop,
  clear: readonly ClearStretch[] = [],
  padding = 0,
): Nail[] {
  return holes.map((hole) => {
    const said = plan[hole.branch].each.find(({ number }) => number === hole.number)
    const through = judgeHole(foot, outline, hole, said?.lean, workshop.turningRadius, padding)
    const { wallAngle, lean, throughPad, insideWall, flight, judged } = through
    const { verdict, why } = judgedWithin(hole, judged, clear)
    const nail: Nail = {
      // Spelt out, as `barPlaces` is: a dozen spreads a plan are felt.
      branch: hole.branch,
      number: hole.number,
      x: hole.x,
      y: hole.y,
      fromToe: hole.fromToe,
      inset: hole.inset,
      footStation: hole.footStation,
      behindWall: hole.behindWall,
      alongWall: hole.alongWall,
      wallThickness: hole.wallThickness,
      driven: hole.driven,
      heldByWeb: hole.heldByWeb,
      insideWall,
      throughPad,
      lean,
      wallAngle,
      exitHeight: flight.exitHeight,
      deepest: flight.deepest,
      exit: exitPoint(outline, hole.footStation, flight.exitHeight, wallAngle),
      verdict,
      why,
    }
    if (hole.ruledOut) nail.ruledOut = hole.ruledOut
    if (hole.beyond) nail.beyond = hole.beyond
    if (said?.seen !== undefined) nail.seen = said.seen
    return nail
  })
}

/** What is to be said of a nail by itself, and then by what limits this foot and by its wall: what pricks comes first. */
function judgedWithin(
  hole: NailHole,
  judged: Pick<Nail, 'verdict' | 'why'>,
  clear: readonly ClearStretch[],
): Pick<Nail, 'verdict' | 'why'> {
  if (judged.verdict === 'would-prick') return judged
  if (hole.ruledOut) return { verdict: 'ruled-out', why: ruledOutWhy(hole.ruledOut) }
  const mark = inTheWay(hole, clear)
  return mark ? { verdict: 'in-the-way', why: clearOf(mark.why) } : judged
}

const ruledOutWhy = (limit: StandingLimit): string =>
  `Ruled out, ${limitWords(limit)}: ${sentence(limit.why)}`

/** Where a hole lies against the wall, as far as its nail is judged by it. */
type AtTheWall = Pick<NailHole, 'footStation' | 'insideWall' | 'behindWall' | 'wallThickness'>

/**
 * How a nail goes through the wall at a hole, and what is to be said of it.
 *
 * @param said how it leans, degrees from the ground; as the wall leans where nobody said
 * @param padding mm
 */
export function judgeHole(
  foot: Foot,
  outline: FootOutline,
  hole: AtTheWall,
  said: number | undefined,
  turningRadius: number,
  padding = 0,
) {
  const wallAngle = wallAngleAt(foot, outline, hole.footStation)
  const lean = said ?? wallAngle
  const throughPad = padding * cotangent(lean)
  const insideWall = hole.insideWall + throughPad
  // A hole outside the wall never enters it: there is no flight to speak of.
  const flight =
    insideWall > 0
      ? nailFlight(insideWall, lean, wallAngle, turningRadius)
      : { exitHeight: 0, deepest: insideWall }
  const walls = { wallThickness: hole.wallThickness, whiteLineWidth: foot.whiteLineWidth }
  const exit = { height: flight.exitHeight, wall: wallHeightAt(foot, outline, hole.footStation) }
  const judged = hole.behindWall > BEHIND_WALL ? NO_WALL : judge(walls, flight.deepest, exit)
  return { wallAngle, lean, throughPad, insideWall, flight, judged }
}

/** The place on the face of the wall so high above its ground edge. */
function exitPoint(outline: FootOutline, station: number, height: number, wallAngle: number): Vec {
  const { point, tangent } = placeAt(outline.track, station)
  return along(point, turnRight(tangent), -height * cotangent(wallAngle))
}

const clearOf = (why: ClearStretch['why']): string =>
  why === 'old hole'
    ? 'Lies in an old hole: it would hold nothing there.'
    : `Lies in a ${why}: no nail into broken wall.`

/** A nail that comes out below this holds no wall worth the name, mm (from memory: half an inch is low already). */
const LEAST_EXIT = 11

/** Above this share of the wall there it goes into thin young horn (common practice: a third is a first guess). */
const MOST_EXIT = 0.75

/** Where a nail comes out, and how high the wall stands there, mm. */
export interface NailExit {
  height: number
  wall: number
}

/** A verdict from how deep the nail goes, against the wall and the white line, and from where it comes out. */
export function judge(
  foot: Pick<Foot, 'wallThickness' | 'whiteLineWidth'>,
  deepest: number,
  exit: NailExit,
): { verdict: Verdict; why: Told } {
  const { wallThickness: wall, whiteLineWidth: line } = foot
  if (deepest <= 0) return { verdict: 'misses', why: 'Lies outside the wall: it would hold nothing.' }
  if (deepest > wall + line) {
    return {
      verdict: 'would-prick',
      why: told`Goes ${length(deepest - wall - line)} past the white line into live tissue. Do not drive.`,
    }
  }
  if (exit.height >= exit.wall) {
    return {
      verdict: 'never-out',
      why: told`Leaned like this it stays in the horn up to the hairline at ${length(exit.wall)}.`,
    }
  }
  if (deepest > wall + line / 2) {
    return {
      verdict: 'close',
      why: told`Only ${length(wall + line - deepest)} short of live tissue: it may press.`,
    }
  }
  if (deepest < wall * LOW_SHARE) {
    return {
      verdict: 'low',
      why: told`Lies ${length(wall - deepest)} outside the white line: it comes out low and tears.`,
    }
  }
  if (exit.height > exit.wall * MOST_EXIT) {
    return {
      verdict: 'too-high',
      why: told`Comes out at ${length(exit.height)}, near the hairline at ${length(exit.wall)}: thin horn, and a long way through it.`,
    }
  }
  if (exit.height < LEAST_EXIT) {
    return {
      verdict: 'too-low',
      why: told`Comes out at ${length(exit.height)}: it tears out with the first chip of wall.`,
    }
  }
  return { verdict: 'sound', why: 'Over the outer edge of the white line, leaning with the wall.' }
}
