import type { Caution } from '../notices/caution'
import { collectCautions } from '../cautions/cautions'
import type { Balance } from '../foot/balance/balance'
import type { FootFigureKey } from '../foot/figures'
import type { Landmarks } from '../foot/landmarks'
import type { Foot } from '../foot/measurements'
import type { WidestPart } from '../foot/widest-part'
import { union } from '../geometry/union'
import { addWhenAsked, onceAsked } from '../geometry/when-asked'
import type { Vec } from '../geometry/vector'
import { heatsOf, type Heat } from '../iron/heats'
import type { Iron } from '../iron/iron'
import type { SectionCut } from '../modifications/build'
import type { ForgingStep } from '../modifications/forging'
import type {
  CourseStep,
  DrilledHoles,
  Guide,
  MadeShoe,
  ModificationHandle,
  ShoePart,
  ShoeContext,
  Values,
} from '../modifications/modification'
import { warningsOf, type Chosen } from '../modifications/resolve'
import type { ClearStretch } from '../nails/keep-clear'
import type { Nailing } from '../nails/nailing'
import type { Nail } from '../nails/nails'
import type { Told } from '../notices/told'
import type { Section } from '../records/shoe'
import { suggestSection, type SuggestedSection } from '../shoe/common-sections'
import { coverOf } from '../shoe/cover'
import type { Fit } from '../shoe/fit'
import { heelWidths, shoeMeasures, type ShoeMeasures } from '../shoe/measures'
import type { Profile } from '../shoe/profile'
import { shoeBody, type Rims } from '../shoe/rims'
import type { Cut } from './iron'
import { mouldedPlan, type MouldedPlan } from './of-moulded'
import { heatedShoe } from './heated'
import { workOrder } from './work-order'

/** Everything Crescent knows about one shoe for one foot. Lengths in mm, angles in degrees, weight in g. */
export interface Plan {
  /** The foot with its defaults, and which figures are defaults. */
  foot: Foot
  assumed: FootFigureKey[]
  /** The bar it is made from. */
  section: Section
  fit: Fit
  /** Lines in the foot's frame, walked from the lateral to the medial heel; `body` is the shoe, closed. */
  outline: {
    foot: readonly Vec[]
    outer: readonly Vec[]
    inner: readonly Vec[]
    centreline: readonly Vec[]
    body: readonly Vec[]
    /** The shoe with every bar that is turned or welded to it, as one: closed lines, holes among them. */
    whole: readonly (readonly Vec[])[]
  }
  landmarks: Landmarks
  /** The widest part as it was seen. */
  widest: WidestPart
  balance: Balance
  /** The shoe across its heel ends, mm, the ways farriers compare it: outside, and middle to middle of the web. */
  heels: { outside: number; middleOfWeb: number }
  /** What the finished shoe is compared by, and where the rule lies. */
  measures: ShoeMeasures
  profile: Profile
  /** The finished section at each place, from heel to heel. */
  cuts: SectionCut[]
  /** Pieces beside the branches, as they are drawn and cut. */
  parts: ShoePart[]
  /** Each modification with its defaults and what it comes to, in words. */
  modifications: PlannedModification[]
  /** The order of the work. */
  forging: Pick<ForgingStep, 'stage' | 'text' | 'branch'>[]
  iron: Iron & {
    /** The same order, with the shape the shoe has after each step. */
    heats: Heat[]
  }
  suggestion: SuggestedSection
  nails: Nail[]
  nailing: Nailing
  /** What the nails keep clear of, as stretches of the outline. */
  keepClear: ClearStretch[]
  cautions: Caution[]
  /** Of a factory shoe that cannot be bent: where to saw, where to drill. */
  moulded?: MouldedPlan
}

/** A modification as it was worked out. */
export interface PlannedModification {
  kind: string
  values: Values
  /** What is possible for each figure here. */
  ranges: Readonly<Record<string, readonly [number, number]>>
  told: Told[]
  handles: ModificationHandle[]
  guides: Guide[]
  course: CourseStep[]
  drilled: DrilledHoles[]
}

/** What is told of a planned shoe. */
export function answer(cut: Cut): Plan {
  const { foot, assumed, section, fit, landmarks, widest, balance, profile, cuts, parts } = cut
  const { outline, rims, nails, nailing, keepClear, chosen, context, plainContext } = cut
  const suggestion = suggestSection(foot, fit.name)
  const moulded = mouldedPlan(cut)
  const forging = onceAsked(() => workOrder(cut, moulded))
  const { closing } = cut.iron
  const iron = addWhenAsked(cut.iron, {
    heats: () => heatsOf(forging(), heatedShoe(cut, moulded !== undefined)),
  })
  const lines = addWhenAsked(
    {
      foot: outline.track.points,
      outer: rims.outer.points,
      inner: rims.inner.points,
      centreline: rims.centreline.points,
    },
    { body: () => shoeBody(rims), whole: () => wholeOf(rims, parts) },
  )
  const [heels, cautions] = [heelWidths(rims), cautionsOf(cut, suggestion, moulded)]
  // In one go, what is there at times at the end: an object laid together from several is slow to make.
  // prettier-ignore
  const settled = {
    foot, assumed, section, fit, landmarks, widest, balance, profile, cuts, parts, iron,
    suggestion, nails, nailing, keepClear, heels, cautions, outline: lines,
    ...(moulded && { moulded }),
  }
  return addWhenAsked(settled, {
    modifications: () => chosen.map((one) => planned(one, context, plainContext, madeOf(cut))),
    forging: () => forging().map(({ stage, text, branch }) => ({ stage, text, ...(branch && { branch }) })),
    measures: () => shoeMeasures(rims, closing > 0),
  })
}

/** One modification, and what is only looked at of it. */
const planned = (
  { modification, values }: Chosen,
  context: ShoeContext,
  plainContext: ShoeContext,
  made: MadeShoe,
): PlannedModification =>
  addWhenAsked(
    { kind: modification.kind, values },
    {
      ranges: () =>
        Object.fromEntries(
          modification.fields.flatMap((field) =>
            field.options ? [] : [[field.key, field.range(plainContext, values)] as const],
          ),
        ),
      told: () => modification.tell?.(context, values, made) ?? [],
      handles: () => modification.handles?.(context, values) ?? [],
      guides: () => modification.guides?.(context, values) ?? [],
      course: () => modification.course?.(context, values) ?? [],
      drilled: () => modification.drilled?.(context, values) ?? [],
    },
  )

/** What modifications are told of the made shoe. */
const madeOf = ({ balance, nails }: Cut): MadeShoe => ({ raised: balance.raised, nails })

function cautionsOf(cut: Cut, suggestion: SuggestedSection, laid: MouldedPlan | undefined): Caution[] {
  const { chosen, own, context, outline, rims, plain } = cut
  return collectCautions({
    ...cut,
    moulded: laid,
    suggestion,
    cover: rims === plain ? [] : coverOf(outline, rims.outer),
    chosen: chosen.flatMap(
      ({ modification, values }) => modification.cautions?.(context, values, madeOf(cut)) ?? [],
    ),
    together: warningsOf(chosen),
    heldByClips: [...own, ...chosen].reduce(
      (sum, { modification }) => sum + (modification.holdsLike ?? 0),
      0,
    ),
  })
}

/** Branches and the bars that are one with them; heels that a bar goes on from are not rounded. */
function wholeOf(rims: Rims, parts: readonly ShoePart[]): readonly (readonly Vec[])[] {
  const joined = parts.filter(({ join, edge }) => join && edge.length > 2)
  if (joined.length === 0) return [shoeBody(rims)]
  const square = [...rims.outer.points, ...[...rims.inner.points].reverse()]
  return union([square, ...joined.map(({ edge, join }) => join?.outline ?? edge)])
}
