import { nearestStation, placeAt, trackLength } from '../geometry/track'
import type { Vec } from '../geometry/vector'
import { addWhenAsked, onceAsked } from '../geometry/when-asked'
import type { Foot } from '../foot/measurements'
import type { NailHole } from '../nails/holes'
import type { Section } from '../records/shoe'
import type { ShoePart, WorkMark } from '../modifications/modification'
import { profileVolume, volumeTo, type Profile } from '../shoe/profile'
import { toeStation, type Rims } from '../shoe/rims'
import type { SoldMeasures } from '../shoe/as-sold'
import { DENSITY } from '../shoe/section'
import { sectionArea } from '../shoe/section-form'
import { inches } from '../units/length'
import type { Half } from '../terms/half'
import type { MarkKind } from '../terms/mark-kinds'
import type { Workshop } from '../workshop/workshop'

/** A place to mark on the straight bar. */
export interface BarMark {
  kind: MarkKind
  label: string
  /** The branch it lies on; none for the toe. */
  branch: Half | null
  /** From the toe mark, along the bar, mm. */
  fromMiddle: number
  /** From the end of its own branch (the toe mark: from the lateral end), mm. */
  fromEnd: number
}

/** What stands over a mark where there is little room: the hole's number, a word for the rest. */
export const markName = ({ kind, label }: Pick<BarMark, 'kind' | 'label'>): string =>
  kind === 'hole'
    ? label.replace('Hole ', '')
    : { toe: 'toe', 'heel-end': 'heel', work: label.toLowerCase() }[kind]

/** A piece that is cut apart from the bar: width, thickness and length in mm, weight in g. */
export interface IronPart {
  label: string
  /** How many alike; one where it is not said. */
  count?: number
  width: number
  thickness: number
  length: number
  weight: number
}

/** A rule of thumb for a plain shoe, and how much longer it is than what such a shoe takes, mm. */
export interface RuleOfThumb {
  name: 'width + length' | 'twice the width'
  length: number
  difference: number
}

/** Both rules add this to the foot's measures, mm. */
export const RULES_ADD = inches(2)

/** What to cut and where to mark it. Lengths in mm. */
export interface Iron {
  cutLength: number
  /** What of the cut was learned from logged jobs; minus where they took less. */
  learned: number
  centrelineLength: number
  /** Of the bar, mm3. */
  volume: number
  /** Of the whole shoe, g. */
  weight: number
  /** Bar that closes the shoe behind the heels; within the cut, half at either end. */
  closing: number
  /** Bar each branch takes, toe mark to end. They differ on a foot whose branches differ. */
  branches: Record<Half, number>
  /** Pieces beside the bar of the branches, each with what to cut for it. */
  parts: IronPart[]
  /** What a plain shoe in general fit takes of the same bar: what the rules of thumb speak of. */
  plainCut: number
  rules: RuleOfThumb[]
  marks: BarMark[]
  /** A factory shoe: wider than it lies in the box by this at its widest, mm; minus closes. */
  openBy?: number
  /** Its name. */
  size?: string
  /** How far each heel reaches beyond where the fit ends, along the branch, mm; minus falls short. */
  heelLeft?: Record<Half, number>
  /** What of it is worth cutting off, mm. */
  heelToCut?: Record<Half, number>
  /** What it measures in the box. */
  asSold?: SoldMeasures
}

/**
 * Cut length by volume, weight and marks. A bent bar whose section is dressed back to size holds area times the
 * path of its centroid (Pappus-Guldin), so the straight bar is as long as its volume over its area.
 *
 * @param plainPath of the centroid of a plain shoe in general fit, mm: its bar is as long; asked for when it is looked at
 */
export function workIron(
  foot: Foot,
  section: Section,
  rims: Rims,
  profile: Profile,
  holes: readonly NailHole[],
  workshop: Workshop,
  parts: readonly ShoePart[] = [],
  work: readonly WorkMark[] = [],
  plainPath = () => trackLength(rims.centroid),
): Iron {
  const area = sectionArea(section)
  const onBar = (s: number) => volumeTo(profile, s) / area
  const volume = profileVolume(profile)
  const density = DENSITY[section.material] * 1e-6
  const ofPart = (part: ShoePart) => part.volume * (part.density ? part.density * 1e-6 : density)
  const added = parts.reduce((sum, part) => sum + (part.spare ? 0 : ofPart(part)), 0)
  const own = workshop.scaleLoss + workshop.correction
  const learned = (volume / area + own) * (workshop.cutFactor - 1)
  // Scale, the workshop's own correction and what its jobs taught are shared by both ends.
  const extra = (own + learned) / 2
  // What closes the shoe behind the heels is turned from the same bar: half of it at either end.
  const closing = parts.reduce((sum, part) => sum + (part.ofTheBar ?? 0), 0)
  const branches = {
    lateral: -onBar(profile.s[0]!) + extra + closing / 2,
    medial: onBar(profile.s[profile.s.length - 1]!) + extra + closing / 2,
  }
  const cutLength = branches.lateral + branches.medial
  const plainCut = onceAsked(() => plainPath() + own)
  const settled = {
    cutLength,
    learned,
    centrelineLength: trackLength(rims.centreline),
    volume,
    weight: profileVolume(profile, profile.finished) * density + added,
    branches,
    parts: parts.flatMap((part) =>
      part.stock ? [{ label: part.label, ...part.stock, weight: ofPart(part) }] : [],
    ),
    closing,
    marks: barMarks(rims, holes, work, branches, closing / 2, onBar),
  }
  return addWhenAsked(settled, { plainCut, rules: () => rulesOfThumb(foot, plainCut()) })
}

/** The two rules of thumb (common practice, no source), beside the plain shoe they were made for. */
function rulesOfThumb(foot: Foot, plainCut: number): RuleOfThumb[] {
  return [
    { name: 'width + length' as const, length: foot.width + foot.length + RULES_ADD },
    { name: 'twice the width' as const, length: 2 * foot.width + RULES_ADD },
  ].map((rule) => ({ ...rule, difference: rule.length - plainCut }))
}

function barMarks(
  rims: Rims,
  holes: readonly NailHole[],
  work: readonly WorkMark[],
  branches: Record<Half, number>,
  beyondHeel: number,
  onBar: (s: number) => number,
): BarMark[] {
  const toe = toeStation(rims)
  const at = (point: Vec, branch: Half) => {
    const fromMiddle = Math.abs(onBar(nearestStation(rims.centroid, point) - toe))
    return { branch, fromMiddle, fromEnd: branches[branch] - fromMiddle }
  }
  const holeMarks = holes.map((hole): BarMark => ({
    kind: 'hole',
    label: `Hole ${hole.number}`,
    ...at([hole.x, hole.y], hole.branch),
  }))
  const workMarks = work.map(({ label, station }): BarMark => ({
    kind: 'work',
    label,
    ...at(placeAt(rims.outer, station).point, station < rims.toe ? 'lateral' : 'medial'),
  }))
  const heelEnd = (branch: Half): BarMark => ({
    kind: 'heel-end',
    label: 'Heel end',
    branch,
    fromMiddle: branches[branch] - beyondHeel,
    fromEnd: beyondHeel,
  })
  const toeMark: BarMark = {
    kind: 'toe',
    label: 'Middle of toe',
    branch: null,
    fromMiddle: 0,
    fromEnd: branches.lateral,
  }
  const place = (mark: BarMark) => (mark.branch === 'lateral' ? -mark.fromMiddle : mark.fromMiddle)
  return [heelEnd('lateral'), toeMark, ...holeMarks, ...workMarks, heelEnd('medial')].sort(
    (a, b) => place(a) - place(b),
  )
}
