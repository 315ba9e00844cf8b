import { planBends } from '../../fitting/plan-bends'
import { centrelineOfPlan } from '../../fitting/place-words'
import { rightMeasures } from '../../fitting/likely-shape'
import { lengthAlong, pointAlong } from '../../geometry/walked'
import { shownIron } from '../../iron/shown'
import type { Plan } from '../../plan/plan'
import { DENSITY } from '../../shoe/section'
import { HEEL_MEASURES } from '../../terms/foot-choices'
import { formatLength, parseLength, type LengthStyle } from '../../units/length'
import { signedVolume, solidOf } from '../../views/solid'
import type { Request } from './any-plan'

/** What the solid may weigh more or less than is told, as a share. */
const WEIGHS = 0.005
/** Sections that turn about their own inner edge overlap in the solid. */
const onTheSpot = ({ cuts }: Plan) => cuts.some(({ place, form }) => 1 - place.bend * form.width < 0.1)

/** Of what is drawn as a solid, in g; what weighs nothing of its own is only shown. */
export function solidWeight(plan: Plan): number {
  return solidOf(plan).reduce((sum, { label, mesh }) => {
    const part = plan.parts.find((one) => one.label === label)
    if (part && part.volume === 0 && !part.tongue) return sum
    return sum + signedVolume(mesh) * (part?.density ?? DENSITY[plan.section.material]) * 1e-6
  }, 0)
}

function weightFaults(plan: Plan): string[] {
  if (onTheSpot(plan)) return []
  const [told, solid] = [plan.iron.weight, solidWeight(plan)]
  return Math.abs(solid / told - 1) <= WEIGHS
    ? []
    : [`the shoe is told to weigh ${told.toFixed(1)}, its solid weighs ${solid.toFixed(1)}`]
}

/** What a straight bar may be longer or shorter than what is bent from it, as a share: the middle of a web that changes runs aslant, a concave bar is longer outside. */
const ASLANT = 0.06

function heatFaults(plan: Plan): string[] {
  const { heats, cutLength } = plan.iron
  const [first] = heats
  const last = heats[heats.length - 1]!
  const straight = heats.filter((heat) => heat.straight)
  const long = (heat: (typeof heats)[number]) => lengthAlong(heat.shape)
  const faults: string[] = []
  if (first!.straight && Math.abs(long(first!) - cutLength) > 1e-6)
    faults.push(`the first heat is ${long(first!).toFixed(2)} long, the cut ${cutLength.toFixed(2)}`)
  const closed = plan.iron.closing > 0
  const end = closed ? long(last) : lengthAlong(plan.outline.centreline)
  if (Math.abs(long(last) - end) > 1e-6) faults.push(`the last heat is no pattern`)
  const upset = straight[straight.length - 1]
  const seated = plan.modifications.some(({ kind }) => kind === 'seating-out' || kind === 'crease')
  if (upset && !seated && Math.abs(long(upset) / end - 1) > ASLANT)
    faults.push(`straight and upset it is ${long(upset).toFixed(1)} long, bent ${end.toFixed(1)}`)
  return faults
}

/** A right shoe that is measured as told, and by so many points of its own line, is right. */
function triedFaults(plan: Plan, request: Request, count: number): string[] {
  const way = HEEL_MEASURES[count % HEEL_MEASURES.length]!
  const read = (mm: number) => Math.round(mm * 10) / 10
  const { width, heelWidth, length } = rightMeasures(plan, way)
  const told = { width: read(width), heelWidth: read(heelWidth), heelMeasure: way, length: read(length) }
  const { points } = centrelineOfPlan(plan)
  const long = lengthAlong(points)
  const few = Array.from({ length: count }, (_, i) => pointAlong(points, (long * i) / (count - 1)))
  return [
    ['measured as told', planBends(request, told)] as const,
    [`by ${count} of its points`, planBends(request, { points: few })] as const,
  ].flatMap(([how, { within, bends }]) =>
    within && bends.length === 0 ? [] : [`a right shoe ${how} has ${bends.length} bends`],
  )
}

const STYLES: readonly LengthStyle[] = [
  { unit: 'in', denominator: 16 },
  { unit: 'in', denominator: 32 },
  { unit: 'mm', denominator: 16 },
]

/** A length as it is read off the screen, mm. */
function read(mm: number, style: LengthStyle): number {
  const parsed = parseLength(formatLength(mm, style), style.unit)
  return parsed.ok ? parsed.mm : NaN
}

/** Parts that do not add up to their whole as both are written. */
function sumFaults(plan: Plan): string[] {
  return STYLES.flatMap((style) => {
    const iron = shownIron(plan.iron, style)
    const [cut, lateral, medial] = [iron.cutLength, iron.branches.lateral, iron.branches.medial].map((mm) =>
      read(mm, style),
    ) as [number, number, number]
    const bar = iron.heats.filter(({ straight }) => straight).map(({ measures }) => measures)
    const sums = [
      ['the branches', lateral + medial, cut] as const,
      ...iron.marks.map(
        ({ label, branch, fromMiddle, fromEnd }) =>
          [
            label,
            read(fromMiddle, style) + read(fromEnd, style),
            branch === 'medial' ? medial : lateral,
          ] as const,
      ),
      ...bar.map(
        ([whole, outer, inner]) =>
          [
            'the straight bar',
            read(outer!.value, style) + read(inner!.value, style),
            read(whole!.value, style),
          ] as const,
      ),
    ]
    return sums.flatMap(([what, parts, whole]) =>
      Math.abs(parts - whole) < 1e-6 ? [] : [`${what} come to ${parts}, written ${whole} in ${style.unit}`],
    )
  })
}

/**
 * Everything wrong with what is made: its weight beside its solid, its shapes between the heats, what it measures when it is
 * right, its sums as they are written.
 *
 * @param count of points that it is tried by, 7 at least
 */
export const madeFaults = (plan: Plan, request: Request, count: number): string[] => [
  ...weightFaults(plan),
  ...heatFaults(plan),
  ...triedFaults(plan, request, count),
  ...sumFaults(plan),
]
