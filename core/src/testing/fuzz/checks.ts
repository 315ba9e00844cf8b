import { planeArea } from '../../geometry/plane-area'
import { distance, type Vec } from '../../geometry/vector'
import type { Nail } from '../../nails/nails'
import type { Plan } from '../../plan/plan'
import { USUAL_WORKSHOP } from '../../workshop/workshop'
import { tryPlan, type Request } from './any-plan'
import { lengthsOf } from './figures'

/** Every path in a plan at which there is a number that is none. */
export function notNumbers(value: unknown, path = 'plan'): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} is ${value}`]
  if (value === null || typeof value !== 'object') return []
  return Object.entries(value).flatMap(([key, one]) => notNumbers(one, `${path}.${key}`))
}

/** Whether a point lies inside a closed line: an odd number of edges to its right. */
export function isInside([x, y]: Vec, edge: readonly Vec[]): boolean {
  let inside = false
  edge.forEach((a, i) => {
    const b = edge[(i + 1) % edge.length]!
    if (a[1] > y !== b[1] > y && x < a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1])) inside = !inside
  })
  return inside
}

/** How far a point lies from a line, closed or open, mm. */
export function apartFrom(point: Vec, line: readonly Vec[], closed = false): number {
  let least = Infinity
  for (let i = 0; i + (closed ? 0 : 1) < line.length; i++) {
    const a = line[i]!
    const b = line[(i + 1) % line.length]!
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
    const long = dx * dx + dy * dy
    const u =
      long === 0 ? 0 : Math.min(1, Math.max(0, ((point[0] - a[0]) * dx + (point[1] - a[1]) * dy) / long))
    least = Math.min(least, distance(point, [a[0] + dx * u, a[1] + dy * u]))
  }
  return least
}

/** How finely a nail is followed up the wall, mm. */
const STEP = 0.05

/**
 * A nail followed step by step from the foot surface of the shoe through whatever lies under the horn and up the wall,
 * with nothing of the flight's formula: its greatest depth, and how high it comes out.
 */
export function followed(nail: Nail, plan: Plan): { deepest: number; exit: number } {
  const cot = (degrees: number) => 1 / Math.tan((degrees * Math.PI) / 180)
  const at: Vec = [nail.x, nail.y]
  const inside = apartFrom(at, plan.outline.foot) * (isInside(at, plan.outline.foot) ? 1 : -1)
  const start = inside + plan.nailing.padding * cot(nail.lean)
  let deepest = start
  let z = 0
  for (; z < 120; z += STEP) {
    const x = start + z * cot(nail.lean) - (z * z) / (2 * USUAL_WORKSHOP.turningRadius)
    const depth = x - z * cot(nail.wallAngle)
    if (depth < 0) break
    deepest = Math.max(deepest, depth)
  }
  return { deepest, exit: z }
}

/** Lowest exit of a nail that may be called sound, mm: a little lower than Crescent's own limit. */
const SOUND_EXIT = 10

/** The middle line of a plain shoe turns by no more than this from one piece of it to the next, radians: a web too wide for its foot makes a corner, a knot turns back. */
const TURNS = 2.5
/** Pieces that are shorter nobody sees, mm. */
const HOOK = 0.4

/** Knots in the middle line of a shoe without modifications: where it turns back on itself. */
function knotFaults({ modifications, outline: { centreline } }: Plan): string[] {
  if (modifications.length > 0) return []
  const pieces = centreline
    .slice(1)
    .map((to, i): Vec => [to[0] - centreline[i]![0], to[1] - centreline[i]![1]])
    .filter(([x, y]) => Math.hypot(x, y) > HOOK)
  const turns = pieces.slice(1).map(([x, y], i) => {
    const [u, v] = pieces[i]!
    return Math.abs(Math.atan2(u * y - v * x, u * x + v * y))
  })
  const most = Math.max(...turns)
  return most > TURNS ? [`the centreline of a plain shoe turns by ${most.toFixed(2)} at once`] : []
}

function nailFaults(plan: Plan): string[] {
  return plan.nails.flatMap((nail) => {
    if (nail.verdict !== 'sound') return []
    const name = `sound nail ${nail.branch} ${nail.number}`
    const { deepest, exit } = followed(nail, plan)
    const hairline = plan.foot.dorsalLength * Math.sin((plan.foot.toeAngle * Math.PI) / 180)
    const limit = nail.wallThickness + plan.foot.whiteLineWidth
    const faults: string[] = []
    if (deepest > limit + 0.1)
      faults.push(`${name} would prick: ${deepest.toFixed(2)} of ${limit.toFixed(2)}`)
    if (exit < SOUND_EXIT || exit > hairline) faults.push(`${name} comes out at ${exit.toFixed(1)}`)
    if (nail.behindWall > 1.01) faults.push(`${name} stands ${nail.behindWall.toFixed(1)} behind the wall`)
    return faults
  })
}

/** How far outside what it must lie in a piece may be for the chords of curves, mm. */
const CHORD = 0.1

/** Points of a piece that lie outside the region they must lie in. */
function outside(label: string, edge: readonly Vec[], within: readonly Vec[]): string[] {
  const out = edge.filter((point) => !isInside(point, within) && apartFrom(point, within, true) > CHORD)
  const worst = Math.max(0, ...out.map((point) => apartFrom(point, within, true)))
  return out.length > 0 ? [`${label} reaches ${worst.toFixed(2)} mm outside`] : []
}

function placeFaults(plan: Plan): string[] {
  const { outer, inner } = plan.outline
  // Behind the shorter branch the line across the heels is no rim.
  const heels = Math.max(outer[0]![1], outer.at(-1)![1])
  const ahead = inner.filter(([, y]) => y > heels + 0.5)
  const faults = outside('inner rim beyond the outer', ahead, outer)
  for (const { label, edge } of plan.parts) {
    if (label === 'Frog plate') {
      const rear = Math.min(...plan.landmarks.frog.map(([, y]) => y))
      const onFrog = edge.filter(([, y]) => y > rear + plan.foot.frogLength * 0.15)
      faults.push(...outside('frog plate outside the frog', onFrog, plan.landmarks.frog))
      if (planeArea(edge).area < 1) faults.push('frog plate of nothing')
    }
    if (label === 'Hospital plate') {
      const back = Math.min(...edge.map(([, y]) => y))
      const middle = edge.filter(([x, y]) => Math.abs(x) > 13 && y > back + 1)
      faults.push(...outside('hospital plate beyond the inner rim', middle, inner))
    }
  }
  for (const { x, y, branch, number } of plan.nails) {
    if (y > heels && (!isInside([x, y], outer) || isInside([x, y], inner)))
      faults.push(`hole ${branch} ${number} off the web`)
  }
  return faults
}

/** A change of cut beyond this for a tenth of a millimetre is looked into; it is a jump where it stays, mm. */
const LOOKED_INTO = 1
const A_JUMP = 0.5
const HALVINGS = 9

/** Jumps of the cut when one figure moves by 0.1 mm: what is left of the change when the stretch is halved and halved. */
export function jumpAt(request: Request, figure: number): string | undefined {
  const lengths = lengthsOf(request)
  const { name, at, moved } = lengths[figure % lengths.length]!
  const cut = (by: number) => tryPlan(moved(by))?.iron.cutLength
  let low = { by: 0, cut: cut(0) }
  let high = { by: 0.1, cut: cut(0.1) }
  if (low.cut === undefined || high.cut === undefined || Math.abs(high.cut - low.cut) <= LOOKED_INTO) return
  const whole = high.cut - low.cut
  for (let i = 0; i < HALVINGS; i++) {
    const by = (low.by + high.by) / 2
    const middle = { by, cut: cut(by) }
    if (middle.cut === undefined) return
    if (Math.abs(middle.cut - low.cut!) > Math.abs(high.cut! - middle.cut)) high = middle
    else low = middle
  }
  const left = Math.abs(high.cut! - low.cut!)
  return left > A_JUMP
    ? `the cut jumps by ${left.toFixed(2)} mm (${whole.toFixed(2)} in 0.1) where ${name} is about ${(at + low.by).toFixed(3)}`
    : undefined
}

/** Everything wrong with a plan that was made. */
export const faultsOf = (plan: Plan): string[] => [
  ...notNumbers(plan).slice(0, 3),
  ...nailFaults(plan),
  ...knotFaults(plan),
  ...placeFaults(plan),
]
