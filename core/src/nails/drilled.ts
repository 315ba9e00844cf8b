import type { FootOutline } from '../foot/outline'
import type { Foot } from '../foot/measurements'
import { wallAngleAt } from '../foot/wall'
import type { ShoeInput } from '../records/shoe'
import { byHalf, type Half } from '../terms/half'
import { cotangent } from '../units/angle'
import type { NailHole } from './holes'
import { resolveNails, withHole, type NailPlan } from './nail-plan'

/** Nails a side of a moulded shoe by the width of the foot, mm (common practice, no source for the limits). */
const PER_SIDE = [
  { upTo: 105, nails: 3 },
  { upTo: 145, nails: 4 },
  { upTo: Infinity, nails: 5 },
] as const

/** How many nails hold a moulded shoe on each side of such a foot, unless somebody says otherwise. */
export const nailsPerSide = (width: number): number => PER_SIDE.find(({ upTo }) => width < upTo)!.nails

/** The nails of a moulded shoe: holes drilled where this foot wants them, as many a side as its size asks for. */
export function drilledHoles(nails: ShoeInput['nails'], width: number): NailPlan {
  const count = nailsPerSide(width)
  const all = Array.from({ length: count }, (_, i) => i + 1)
  const asked = (branch: Half) => {
    const given = nails?.[branch]
    if (Array.isArray(given)) return { holes: Math.max(count, ...given), driven: given }
    return { holes: count, ...(given?.holes === undefined && { driven: all }), ...given }
  }
  return resolveNails({ ...nails, ...byHalf(asked) })
}

/** Where a drill begins on the ground face, and how it leans to come out where the wall wants it. */
export interface Starter {
  branch: Half
  number: number
  /** Along the trimmed rim from the middle of the toe, mm. */
  fromToe: number
  /** From the trimmed rim in, on the ground face and on the foot face, mm. */
  inset: number
  insetAbove: number
  /** Degrees from the ground; and how much less upright than the wall stands there. */
  lean: number
  leansMore: number
}

/** No drill is held flatter or steeper than so, degrees. */
const LEANS = [35, 100] as const

/** Less than this the drill begins where it ends, mm. */
const UPRIGHT = 0.01

/**
 * Where to start each hole on the ground face of a thick shoe. A head sits in the crease, and the blade must come out of
 * the shoe over the white line: where the crease is not where a nail leaning with the wall would begin, the lean makes
 * up for the thickness.
 *
 * @param thickness of the shoe, mm
 * @param crease where it begins and ends, from the trimmed rim, mm, beside a hole
 */
export function starters(
  { foot, outline }: { foot: Foot; outline: FootOutline },
  holes: readonly NailHole[],
  plan: NailPlan,
  thickness: number,
  crease: (hole: NailHole) => readonly [number, number],
): Starter[] {
  return holes.map((hole) => {
    const wall = wallAngleAt(foot, outline, hole.footStation)
    const said = plan[hole.branch].each.find(({ number }) => number === hole.number)?.lean
    const [from, to] = crease(hole)
    const natural = hole.inset - thickness * cotangent(said ?? wall)
    const inset = said === undefined ? Math.min(to, Math.max(from, natural)) : natural
    const across = hole.inset - inset
    const needed = Math.abs(across) < UPRIGHT ? 90 : (Math.atan2(thickness, across) * 180) / Math.PI
    const lean = said ?? Math.min(LEANS[1], Math.max(LEANS[0], needed))
    return {
      ...{ branch: hole.branch, number: hole.number, fromToe: hole.fromToe },
      ...{ inset: hole.inset - thickness * cotangent(lean), insetAbove: hole.inset },
      ...{ lean, leansMore: wall - lean },
    }
  })
}

/** The same nails, each leaning as its hole is drilled. */
export const leaningAsDrilled = (plan: NailPlan, drilled: readonly Starter[]): NailPlan =>
  drilled.reduce(
    (nails, { branch, number, lean }) => ({
      ...nails,
      [branch]: withHole(nails[branch], number, 'lean', lean),
    }),
    plan,
  )
