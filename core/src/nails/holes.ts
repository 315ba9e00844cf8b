import type { Problem } from '../problem'
import type { Foot } from '../foot/measurements'
import { nearestStation, placeAt } from '../geometry/track'
import { along, turnRight } from '../geometry/vector'
import type { FootOutline } from '../foot/outline'
import { wallThicknessAt } from '../foot/wall'
import type { Branch } from '../iron/iron'
import type { Section, ShoeInput } from '../records/shoe'
import type { Rims } from '../shoe/rims'

/** A hole as it is punched. */
export interface NailHole {
  branch: Branch
  /** Counted from the toe, 1 first. */
  number: number
  x: number
  y: number
  /** From the outer rim, mm. */
  inset: number
  /** From the wall's outer ground edge inward, mm. */
  insideWall: number
  /** Where it lies on the foot's outline, station in mm. */
  footStation: number
  /** Of the wall there, mm. */
  wallThickness: number
  driven: boolean
  /** The web could not carry the hole where the wall wants it. */
  heldByWeb: boolean
}

/** Which holes there are and which are driven, completed. */
export type NailPlan = Record<Branch, { holes: number; driven: number[] }>

/** Four holes a branch, the first three of each driven: six nails, as usual. */
const USUAL = { holes: 4, driven: [1, 2, 3] }

/** First and last hole as shares of the rim from the toe to the bend of the quarter (common practice, no source). */
const FIRST = 0.34
const LAST = 0.96

/** Steel that must stay between a hole's middle and either rim, mm. */
const LAND = 4.5

/** Completes the nails of a shoe. */
export function resolveNails(nails: ShoeInput['nails']): NailPlan {
  const branch = (name: Branch) => {
    const given = nails?.[name]
    const asked = Array.isArray(given) ? { driven: given } : given
    const holes = asked?.holes ?? USUAL.holes
    const driven = asked?.driven ?? USUAL.driven.filter((n) => n <= holes)
    return { holes, driven: [...new Set(driven)].sort((a, b) => a - b) }
  }
  return { lateral: branch('lateral'), medial: branch('medial') }
}

/** Problems of nails in holes that are not there. */
export function checkNails(plan: NailPlan): Problem[] {
  const problems: Problem[] = []
  for (const branch of ['lateral', 'medial'] as const) {
    const { holes, driven } = plan[branch]
    if (!Number.isInteger(holes) || holes < 0 || holes > 6) {
      problems.push({
        path: `shoe.nails.${branch}.holes`,
        message: `Holes in the ${branch} branch: ${holes} is not possible, there are 0 to 6`,
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
  }
  return problems
}

/**
 * Places the holes evenly between the toe quarter and the bend of the quarter, each over the outer edge of the
 * white line, or as near to it as the web allows.
 */
export function placeHoles(
  foot: Foot,
  outline: FootOutline,
  rims: Rims,
  section: Section,
  plan: NailPlan,
): NailHole[] {
  return (['lateral', 'medial'] as const).flatMap((branch) => {
    const bend = branch === 'lateral' ? rims.lateralBend : rims.medialBend
    const { holes, driven } = plan[branch]
    return Array.from({ length: holes }, (_, i): NailHole => {
      const share = holes === 1 ? (FIRST + LAST) / 2 : FIRST + ((LAST - FIRST) * i) / (holes - 1)
      const rim = placeAt(rims.outer, rims.toe + (bend - rims.toe) * share)
      const footStation = nearestStation(outline.track, rim.point)
      const wall = placeAt(outline.track, footStation)
      const outward = turnRight(wall.tangent)
      // How far the rim stands outside the wall here; minus where it is set back under it.
      const stands = (rim.point[0] - wall.point[0]) * outward[0] + (rim.point[1] - wall.point[1]) * outward[1]
      const wallThickness = wallThicknessAt(foot, outline, footStation)
      const wanted = wallThickness + stands
      const inset = Math.min(section.width - LAND, Math.max(LAND, wanted))
      const point = along(rim.point, turnRight(rim.tangent), -inset)
      return {
        branch,
        number: i + 1,
        x: point[0],
        y: point[1],
        inset,
        insideWall: inset - stands,
        footStation,
        wallThickness,
        driven: driven.includes(i + 1),
        heldByWeb: Math.abs(inset - wanted) > 0.5,
      }
    })
  })
}
