import { outOfRange } from '../notices/range'
import type { Problem } from '../notices/problem'
import { HALVES, type Half } from '../terms/half'
import type { NailLimit } from '../records/foot'
import type { Overruled, ShoeInput } from '../records/shoe'
import type { NailSchoolName } from '../terms/nail-schools'

/** What is said of one hole apart from the others. Lengths in mm, lean in degrees from the ground. */
export interface HoleChange {
  number: number
  /** Along the outer rim from the middle of the toe. */
  fromToe?: number
  /** From the outer rim. */
  inset?: number
  lean?: number
  /** How high its nail came out when it was driven. */
  seen?: number
}

/** The nails of one branch. */
export interface BranchNails {
  holes: number
  driven: number[]
  /** Of its first and its last hole, mm along the outer rim from the middle of the toe; the others lie evenly between. */
  first?: number
  last?: number
  each: HoleChange[]
}

/** Which holes there are, where, and which are driven, completed. */
export interface NailPlan extends Record<Half, BranchNails> {
  school: NailSchoolName
  /** The holes were made in the factory: they are an offer, and nobody moves them. */
  made?: boolean
  /** The size that is used; suggested where it is not said. */
  size?: string
  /** What limits the nails of this foot, each with the reason it was overruled with, where it was. */
  limits?: readonly (NailLimit & { overruled?: string })[]
  overruled?: Overruled[]
}

/** Four holes a branch, the first three of each driven: six nails, as usual. */
const USUAL = { holes: 4, driven: [1, 2, 3] }

/** Completes the nails of a shoe. */
export function resolveNails(nails: ShoeInput['nails']): NailPlan {
  const branch = (name: Half): BranchNails => {
    const given = nails?.[name]
    const { each = [], ...asked } = Array.isArray(given) ? { driven: given } : (given ?? {})
    const holes = asked.holes ?? USUAL.holes
    const driven = asked.driven ?? USUAL.driven.filter((n) => n <= holes)
    return { ...asked, holes, driven: [...new Set(driven)].sort((a, b) => a - b), each }
  }
  return {
    lateral: branch('lateral'),
    medial: branch('medial'),
    school: nails?.school ?? 'sound',
    ...(nails?.size !== undefined && { size: nails.size }),
    ...(nails?.overruled && { overruled: nails.overruled }),
  }
}

/** Ranges of what may be said of a hole; where it may lie follows from the shoe and is looked at there. */
const HOLE_RANGES = {
  inset: ['from the outer rim', 'length', [1, 40]],
  lean: ['lean', 'angle', [35, 100]],
  seen: ['came out at', 'length', [1, 90]],
} as const

/** Problems of holes and nails that cannot be. */
export function checkNails(plan: NailPlan): Problem[] {
  const problems: Problem[] = []
  for (const branch of HALVES) {
    const { holes, driven, each } = plan[branch]
    const name = branch === 'lateral' ? 'outer' : 'inner'
    if (!Number.isInteger(holes) || holes < 0 || holes > MOST_HOLES) {
      problems.push({
        path: `shoe.nails.${branch}.holes`,
        message: `Holes in the ${branch} branch: ${holes} is not possible, there are 0 to ${MOST_HOLES}`,
      })
      continue
    }
    for (const number of driven) {
      if (Number.isInteger(number) && number >= 1 && number <= holes) continue
      problems.push({
        path: `shoe.nails.${branch}.driven`,
        message: `Nail in hole ${number} of the ${branch} branch: its holes are numbered 1 to ${holes}`,
      })
    }
    for (const hole of each) {
      for (const [key, [label, kind, range]] of Object.entries(HOLE_RANGES)) {
        const value = hole[key as keyof typeof HOLE_RANGES]
        if (value === undefined) continue
        const path = `shoe.nails.${branch}.${hole.number}.${key}`
        const problem = outOfRange(path, `Hole ${name} ${hole.number}, ${label}`, kind, value, range)
        if (problem) problems.push(problem)
      }
    }
  }
  return problems
}

/** The same branch with something else said of one hole; undefined takes back what was said. */
export function withHole<K extends keyof Omit<HoleChange, 'number'>>(
  nails: BranchNails,
  number: number,
  key: K,
  value: number | undefined,
): BranchNails {
  const { [key]: _old, ...rest } = nails.each.find((hole) => hole.number === number) ?? { number }
  const changed = (value === undefined ? rest : { ...rest, [key]: value }) as HoleChange
  const others = nails.each.filter((hole) => hole.number !== number)
  const each = Object.keys(changed).length > 1 ? [...others, changed] : others
  return { ...nails, each: each.sort((a, b) => a.number - b.number) }
}

/** The most holes a branch has. */
export const MOST_HOLES = 6

/** A nail driven, or its hole left empty. */
export const withDriven = (nails: BranchNails, number: number, driven: boolean): BranchNails => {
  const others = nails.driven.filter((one) => one !== number)
  return { ...nails, driven: driven ? [...others, number].sort((a, b) => a - b) : others }
}

/** A branch with so many holes: what was said of those that are gone goes with them. */
export function withHoles(nails: BranchNails, count: number): BranchNails {
  const holes = Math.min(MOST_HOLES, Math.max(0, count))
  return {
    ...nails,
    holes,
    driven: nails.driven.filter((number) => number <= holes),
    each: nails.each.filter(({ number }) => number <= holes),
  }
}

/** The first or the last hole put somewhere, mm from the toe; undefined leaves it to the school. */
export function withEnd(nails: BranchNails, end: 'first' | 'last', fromToe: number | undefined): BranchNails {
  const { [end]: _old, ...rest } = nails
  return fromToe === undefined ? rest : { ...rest, [end]: fromToe }
}

/** The same nails by another school: holes that were put somewhere by hand belong to the school they were put for. */
export function bySchool(plan: NailPlan, school: NailSchoolName): NailPlan {
  if (school === plan.school) return plan
  const free = (branch: BranchNails): BranchNails =>
    branch.each.reduce(
      (nails, { number }) => withHole(nails, number, 'fromToe', undefined),
      withEnd(withEnd(branch, 'first', undefined), 'last', undefined),
    )
  return { ...plan, lateral: free(plan.lateral), medial: free(plan.medial), school }
}
