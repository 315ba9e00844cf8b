import { rotated, turnRight, unit, type Vec } from '../geometry/vector'
import type { ShoePart } from '../modifications/modification'
import type { Plan } from '../plan/plan'
import { radians } from '../units/angle'
import { depthAt, type Plane } from './footing'

/** How a shoe that slides holds and slips. */
export interface Slip {
  /** Ground that its edges push ahead of them along the line of travel, mm2: the more, the more it holds. */
  ploughed: number
  /** The same to the side: what keeps it from drifting off the line. */
  sideHold: number
  /** Edges that face the line of travel, mm. */
  edges: number
  /** Between the heel ends, mm, and as a share of the widest place between the branches: what dirt must leave through. */
  heelGap: number
  heelOpen: number
  /** Web at the toe, mm. */
  toeWeb: number
}

/**
 * How much ground a shoe pushes ahead of it when it slides: every edge that faces the way, as deep as it lies. Compared, not
 * measured: of two shoes on one ground the one that pushes less is the slicker.
 *
 * @param plane how the ground face lies against the surface of the ground, depth in mm
 * @param travel degrees from straight ahead; plus toward the outside
 */
export function slipOf(plan: Plan, plane: Plane, travel = 0): Slip {
  const ahead = rotated([0, 1], -radians(travel))
  const side = turnRight(ahead)
  let [ploughed, sideHold, edges] = [0, 0, 0]
  const count = (ring: readonly Vec[], depthOf: (at: Vec) => number) =>
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!
      const long = Math.hypot(b[0] - a[0], b[1] - a[1])
      if (long === 0) return
      // Outlines run so that the steel lies to their left; holes the other way round.
      const out = turnRight(unit([b[0] - a[0], b[1] - a[1]]))
      const depth = depthOf([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2])
      const faces = Math.max(0, out[0] * ahead[0] + out[1] * ahead[1]) * long
      edges += faces
      ploughed += faces * depth
      sideHold += (Math.abs(out[0] * side[0] + out[1] * side[1]) / 2) * long * depth
    })
  for (const ring of plan.outline.whole) count(ring, (at) => Math.max(0, depthAt(plane, at)))
  // What stands out of the ground face goes in first, and no deeper than it stands out: from there on the shoe's own edges do.
  for (const part of plan.parts)
    if (standsOut(part))
      count(leftHanded(part.edge), (at) =>
        Math.min(outBy(part, at), Math.max(0, depthAt(plane, at) + outBy(part, at))),
      )
  return { ploughed, sideHold, edges, ...opening(plan) }
}

/** Studs, rails, hard metal: pieces that stand out of the ground face. */
const standsOut = ({ face, spare, between, edge }: ShoePart): boolean =>
  !spare && face === 'ground' && between !== undefined && between[0] < 0 && edge.length > 2

/** How far a piece stands out of the ground face at a place, mm. */
function outBy({ between, taper }: ShoePart, [, y]: Vec): number {
  const whole = -between![0]
  if (!taper) return whole
  return whole * Math.min(1, Math.max(0, (taper[0] - y) / (taper[0] - taper[1])))
}

/** A closed line walked so that what it bounds lies to its left. */
const leftHanded = (edge: readonly Vec[]): readonly Vec[] => {
  const doubled = edge.reduce((sum, [x, y], i) => {
    const [u, v] = edge[(i + 1) % edge.length]!
    return sum + x * v - u * y
  }, 0)
  return doubled >= 0 ? edge : [...edge].reverse()
}

/** How the branches open to the heels. */
function opening({ outline, cuts }: Plan): Pick<Slip, 'heelGap' | 'heelOpen' | 'toeWeb'> {
  const { inner } = outline
  const across = (points: readonly Vec[]) => {
    const xs = points.map(([x]) => x)
    return Math.max(...xs) - Math.min(...xs)
  }
  const heelGap = inner[0]![0] - inner[inner.length - 1]![0]
  const toe = cuts.reduce((a, b) => (b.place.fromToe < a.place.fromToe ? b : a))
  return { heelGap, heelOpen: heelGap / across(inner), toeWeb: toe.form.width }
}
