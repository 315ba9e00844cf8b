import type { Foot } from '../foot/measurements'
import type { FootOutline } from '../foot/outline'
import { wallAngleAt } from '../foot/wall'
import type { Workshop } from '../workshop'
import { nailFlight } from './flight'
import type { NailHole } from './holes'

/** What is to be thought of a nail: only `sound` is driven without a second look. */
export type Verdict = 'sound' | 'low' | 'close' | 'misses' | 'would-prick'

/** A hole with the nail that would go into it. */
export interface Nail extends NailHole {
  /** Degrees from the ground: as the wall leans there. */
  lean: number
  exitHeight: number
  deepest: number
  verdict: Verdict
  /** The verdict in words, with why. */
  why: string
}

/** A hole nearer to the outside than this share of the wall holds too little of it (common practice, no source). */
const LOW_SHARE = 0.6

/** How each nail goes: lean as the wall leans there, exit, greatest depth, verdict. */
export function judgeNails(
  foot: Foot,
  outline: FootOutline,
  holes: readonly NailHole[],
  workshop: Workshop,
): Nail[] {
  return holes.map((hole) => {
    const wall = wallAngleAt(foot, outline, hole.footStation)
    const lean = wall
    // A hole outside the wall never enters it: there is no flight to speak of.
    const flight =
      hole.insideWall > 0
        ? nailFlight(hole.insideWall, lean, wall, workshop.turningRadius)
        : { exitHeight: 0, deepest: hole.insideWall }
    return {
      ...hole,
      lean,
      ...flight,
      ...judge({ wallThickness: hole.wallThickness, whiteLineWidth: foot.whiteLineWidth }, flight.deepest),
    }
  })
}

/** A verdict from how deep the nail goes, against the wall and the white line. */
export function judge(
  foot: Pick<Foot, 'wallThickness' | 'whiteLineWidth'>,
  deepest: number,
): { verdict: Verdict; why: string } {
  const { wallThickness: wall, whiteLineWidth: line } = foot
  const tell = (mm: number) => `${Math.round(mm * 2) / 2} mm`
  if (deepest <= 0) return { verdict: 'misses', why: 'Lies outside the wall: it would hold nothing.' }
  if (deepest > wall + line) {
    return {
      verdict: 'would-prick',
      why: `Goes ${tell(deepest - wall - line)} past the white line into live tissue. Do not drive.`,
    }
  }
  if (deepest > wall + line / 2) {
    return {
      verdict: 'close',
      why: `Only ${tell(wall + line - deepest)} short of live tissue: it may press.`,
    }
  }
  if (deepest < wall * LOW_SHARE) {
    return {
      verdict: 'low',
      why: `Lies ${tell(wall - deepest)} outside the white line: it comes out low and tears.`,
    }
  }
  return { verdict: 'sound', why: 'Over the outer edge of the white line, leaning with the wall.' }
}
