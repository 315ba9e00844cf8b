import { nearestStation, placeAt, trackLength } from '../geometry/track'
import type { Foot } from '../foot/measurements'
import type { NailHole } from '../nails/holes'
import type { Section } from '../records/shoe'
import { profileVolume, volumeTo, type Profile } from '../shoe/profile'
import type { Rims } from '../shoe/rims'
import { DENSITY, sectionArea } from '../shoe/section'
import { inches } from '../units/length'
import type { Workshop } from '../workshop'

export type Branch = 'lateral' | 'medial'

/** A place to mark on the straight bar. */
export interface BarMark {
  kind: 'toe' | 'hole' | 'heel-end'
  label: string
  /** The branch it lies on; none for the toe. */
  branch: Branch | null
  /** From the toe mark, along the bar, mm. */
  fromMiddle: number
  /** From the end of its own branch (the toe mark: from the lateral end), mm. */
  fromEnd: number
}

/** What to cut and where to mark it. Lengths in mm. */
export interface Iron {
  cutLength: number
  centrelineLength: number
  /** mm3 */
  volume: number
  /** g */
  weight: number
  /** Bar each branch takes, toe mark to end. They differ on a foot whose branches differ. */
  branches: Record<Branch, number>
  rules: { name: string; length: number; difference: number }[]
  marks: BarMark[]
}

/**
 * Cut length by volume, weight and marks. A bent bar whose section is dressed back to size holds area times the
 * path of its centroid (Pappus-Guldin), so the straight bar is as long as its volume over its area.
 */
export function workIron(
  foot: Foot,
  section: Section,
  rims: Rims,
  profile: Profile,
  holes: readonly NailHole[],
  workshop: Workshop,
): Iron {
  const area = sectionArea(section)
  const onBar = (s: number) => volumeTo(profile, s) / area
  const volume = profileVolume(profile)
  // Scale and the workshop's own correction are shared by both ends.
  const extra = (workshop.scaleLoss + workshop.correction) / 2
  const branches = {
    lateral: -onBar(profile.s[0]!) + extra,
    medial: onBar(profile.s[profile.s.length - 1]!) + extra,
  }
  const cutLength = branches.lateral + branches.medial
  return {
    cutLength,
    centrelineLength: trackLength(rims.centreline),
    volume,
    weight: volume * DENSITY[section.material] * 1e-6,
    branches,
    rules: rulesOfThumb(foot, cutLength),
    marks: barMarks(rims, holes, branches, onBar),
  }
}

/** The two rules of thumb for a plain shoe (common practice, no source), and how much longer they are. */
function rulesOfThumb(foot: Foot, cutLength: number): Iron['rules'] {
  return [
    { name: 'width + length + 2 in', length: foot.width + foot.length + inches(2) },
    { name: 'twice the width + 2 in', length: 2 * foot.width + inches(2) },
  ].map((rule) => ({ ...rule, difference: rule.length - cutLength }))
}

function barMarks(
  rims: Rims,
  holes: readonly NailHole[],
  branches: Record<Branch, number>,
  onBar: (s: number) => number,
): BarMark[] {
  const toe = toeStation(rims)
  const holeMarks = holes.map((hole): BarMark => {
    const along = Math.abs(onBar(nearestStation(rims.centroid, [hole.x, hole.y]) - toe))
    return {
      kind: 'hole',
      label: `Hole ${hole.number}`,
      branch: hole.branch,
      fromMiddle: along,
      fromEnd: branches[hole.branch] - along,
    }
  })
  const heelEnd = (branch: Branch): BarMark => ({
    kind: 'heel-end',
    label: 'Heel end',
    branch,
    fromMiddle: branches[branch],
    fromEnd: 0,
  })
  const toeMark: BarMark = {
    kind: 'toe',
    label: 'Middle of toe',
    branch: null,
    fromMiddle: 0,
    fromEnd: branches.lateral,
  }
  const place = (mark: BarMark) => (mark.branch === 'lateral' ? -mark.fromMiddle : mark.fromMiddle)
  return [heelEnd('lateral'), toeMark, ...holeMarks, heelEnd('medial')].sort((a, b) => place(a) - place(b))
}

/** The station of the middle of the toe on the centroid's path. */
export const toeStation = (rims: Rims): number =>
  nearestStation(rims.centroid, placeAt(rims.outer, rims.toe).point)
