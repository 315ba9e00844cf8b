import type { Caution } from '../notices/caution'
import { collectCautions } from '../cautions/cautions'
import { balanceOf, widestKnown, type Balance } from '../foot/balance/balance'
import { breakover } from '../foot/balance/breakover'
import type { FootFigureKey } from '../foot/figures'
import { landmarks, type Landmarks } from '../foot/landmarks'
import { readFoot, type Foot } from '../foot/measurements'
import { footOutline } from '../foot/outline'
import { widestPart, type WidestPart } from '../foot/widest-part'
import { placeAt, trackLength, type Track } from '../geometry/track'
import type { Vec } from '../geometry/vector'
import { workIron, type Iron } from '../iron/iron'
import { checkHolePlaces, placeHoles } from '../nails/holes'
import { clearStretches, type ClearStretch } from '../nails/keep-clear'
import { checkNails, resolveNails } from '../nails/nail-plan'
import { chooseNail, type Nailing } from '../nails/nailing'
import { judgeNails, type Nail } from '../nails/nails'
import { problem, ProblemError, type Problem } from '../notices/problem'
import type { FootInput } from '../records/foot'
import type { Section, ShoeInput, WorkshopInput } from '../records/shoe'
import { suggestSection, type SuggestedSection } from '../shoe/common-sections'
import { checkFit, resolveFit, type Fit } from '../shoe/fit'
import { buildBar, cutAt, modifiedRims, type SectionCut } from '../modifications/build'
import { coverOf } from '../shoe/cover'
import { forgingOrder, type ForgingStep } from '../modifications/forging'
import { groundContact } from '../modifications/ground'
import { plainLay } from '../shoe/lay'
import type { Profile } from '../shoe/profile'
import type {
  CourseStep,
  Guide,
  ModificationHandle,
  Part,
  ShoeContext,
  Values,
} from '../modifications/modification'
import { refusals, resolveModifications, warningsOf, type Chosen } from '../modifications/resolve'
import { layRims, plainLength, shoeBody, type Rims } from '../shoe/rims'
import { centroidFromOuter, checkSection } from '../shoe/section'
import { length, told, type Told } from '../notices/told'
import { checkWorkshop, resolveWorkshop } from '../workshop/workshop'

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
  }
  landmarks: Landmarks
  /** The widest part as it was seen. */
  widest: WidestPart
  balance: Balance
  /** The shoe across its heel ends, mm, the ways farriers compare it: outside, and middle to middle of the web. */
  heels: { outside: number; middleOfWeb: number }
  profile: Profile
  /** The finished section at each place, from heel to heel. */
  cuts: SectionCut[]
  /** Pieces beside the branches, as they are drawn and cut. */
  parts: Part[]
  /** Each modification with its defaults and what it comes to, in words. */
  modifications: PlannedModification[]
  /** The order of the work. */
  forging: ForgingStep[]
  iron: Iron
  suggestion: SuggestedSection
  nails: Nail[]
  nailing: Nailing
  /** What the nails keep clear of, as stretches of the outline. */
  keepClear: ClearStretch[]
  cautions: Caution[]
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
}

/**
 * From a foot and a shoe to iron, nails and cautions: the one way through.
 *
 * @throws ProblemError with every figure that is missing or not possible
 */
export function planShoe(footInput: FootInput, shoe: ShoeInput, workshopInput: WorkshopInput = {}): Plan {
  const workshop = resolveWorkshop(workshopInput)
  const asked = resolveNails(shoe.nails)
  const problems: Problem[] = [
    ...checkSection(shoe.section),
    ...checkNails(asked),
    ...checkWorkshop(workshop),
  ]
  const read = readFoot(footInput)
  if (!read.ok) throw new ProblemError([...read.problems, ...problems])
  const { foot, assumed, questions } = read.value
  const fit = resolveFit(shoe.fit, foot)
  problems.push(...checkFit(fit, foot))
  if (problems.length > 0) throw new ProblemError(problems)

  const { section } = shoe
  const outline = footOutline(foot)
  const lay = plainLay(fit, foot, outline, section.width)
  const centroidShare = centroidFromOuter(section) / section.width
  const plain = layRims(outline, lay, centroidShare)
  if (isShut(plain)) throw new ProblemError([tooWide(section.width, foot)])
  if (branchesMeet(plain)) throw new ProblemError([meeting(fit)])
  const widest = widestPart(footInput)
  const marks = landmarks(foot, outline)
  const schoolY = breakover({
    foot,
    assumed,
    widestKnown: widestKnown(assumed, widest),
    heelEndY: Math.min(...heelEndsOf(plain)),
  }).y
  const plainContext: ShoeContext = {
    ...{ foot, assumed, outline, landmarks: marks, fit, section, plain, rims: plain },
    holes: placeHoles(foot, outline, plain, asked),
    ...(schoolY !== undefined && { schoolY }),
  }
  const { chosen, problems: refused } = resolveModifications(shoe.modifications, plainContext)
  if (refused.length > 0) throw new ProblemError(refused)
  const rims = modifiedRims(chosen, { lay, rims: plain, centroidShare }, outline, plainContext)
  if (isShut(rims)) throw new ProblemError([shutBy(chosen, foot)])
  const context = closedBehind(chosen, rims === plain ? plainContext : { ...plainContext, rims })
  const impossible = refusals(chosen, context)
  if (impossible.length > 0) throw new ProblemError(impossible)
  if (branchesMeet(rims)) throw new ProblemError([meeting(fit)])

  const { profile, cuts } = buildBar(chosen, context)
  const parts = chosen.flatMap(({ modification, values }) => modification.parts?.(context, values) ?? [])
  const nailPlan = chosen.reduce(
    (nailed, { modification, values }) => modification.nails?.(nailed, context, values) ?? nailed,
    asked,
  )
  const misplaced = checkHolePlaces(rims, outline, nailPlan)
  if (misplaced.length > 0) throw new ProblemError(misplaced)
  const holes = placeHoles(foot, outline, rims, nailPlan)
  const clear = clearStretches(footInput.keepClear ?? [], outline)
  const padding = chosen.reduce(
    (sum, { modification, values }) => sum + (modification.padding?.(values) ?? 0),
    0,
  )
  const nails = judgeNails(foot, outline, holes, nailPlan, workshop, clear, padding)
  const nailing = chooseNail(nails, nailPlan, thicknessAtNails(nails, cuts), padding, workshop.nailSizes)
  const work = chosen.flatMap(({ modification, values }) => modification.marks?.(context, values) ?? [])
  const general = plainLay(resolveFit('general', foot), foot, outline, section.width)
  const usual = plainLength(outline, general, section.width, centroidShare)
  const iron = workIron(foot, section, rims, profile, holes, workshop, parts, work, usual)
  const suggestion = suggestSection(foot, fit.name)
  const { foremost, hindmost } = groundContact(cuts, parts)
  const balance = balanceOf({ foot, assumed, widest, heelEnds: hindmost, shoeToeY: foremost })
  return {
    foot,
    assumed,
    section,
    fit,
    outline: {
      foot: outline.track.points,
      outer: rims.outer.points,
      inner: rims.inner.points,
      centreline: rims.centreline.points,
      body: shoeBody(rims),
    },
    landmarks: marks,
    widest,
    balance,
    heels: heelWidths(rims),
    profile,
    cuts,
    parts,
    modifications: chosen.map(({ modification, values }) => ({
      kind: modification.kind,
      values,
      ranges: Object.fromEntries(
        modification.fields.flatMap((field) =>
          field.options ? [] : [[field.key, field.range(plainContext)] as const],
        ),
      ),
      told: modification.tell?.(context, values) ?? [],
      handles: modification.handles?.(context, values) ?? [],
      guides: modification.guides?.(context, values) ?? [],
      course: modification.course?.(context, values) ?? [],
    })),
    forging: forgingOrder(
      chosen.flatMap(({ modification, values }) => modification.forging?.(context, values) ?? []),
      iron.branches,
    ),
    iron,
    suggestion,
    nails,
    nailing,
    keepClear: clear,
    cautions: collectCautions({
      foot,
      questions,
      landmarks: marks,
      widest,
      balance,
      section,
      suggestion,
      fit,
      rims,
      iron,
      nails,
      nailing,
      cover: rims === plain ? [] : coverOf(outline, rims.outer),
      outline,
      chosen: chosen.flatMap(({ modification, values }) => modification.cautions?.(context, values) ?? []),
      together: warningsOf(chosen),
      heldByClips: chosen.reduce((sum, { modification }) => sum + (modification.holdsLike ?? 0), 0),
    }),
  }
}

/** What a bar behind the heels changes for every other modification: where the bearing ends, and how high the shoe is there. */
function closedBehind(chosen: readonly Chosen[], context: ShoeContext): ShoeContext {
  const ends = chosen.flatMap(({ modification, values }) => modification.hindmost?.(context, values) ?? [])
  if (ends.length === 0) return context
  const closed: ShoeContext = { ...context, closedAtY: Math.min(...ends) }
  const raised = chosen.filter(({ modification }) => modification.rise)
  if (raised.length === 0) return closed
  const heel = closed.rims.places[0]!
  return {
    ...closed,
    raisedBehind: (y) =>
      raised.reduce(
        (sum, { modification, values }) =>
          sum + modification.rise!({ ...heel, point: [heel.point[0], y] }, closed, values),
        0,
      ),
  }
}

/** The thickest steel a driven nail goes through, mm: a wedge makes the hindmost the longest. */
const thicknessAtNails = (nails: readonly Nail[], cuts: readonly SectionCut[]): number =>
  Math.max(
    0,
    ...nails.flatMap(({ driven, branch, fromToe }) =>
      driven ? [cutAt(cuts, branch, fromToe).form.thickness] : [],
    ),
  )

/** y of the outer corners of the heels, lateral first. */
function heelEndsOf({ outer }: Rims): [number, number] {
  return [outer.points[0]![1], outer.points.at(-1)![1]]
}

/** Least room between the two heel ends, mm: less and the branches of an open shoe lie on each other. */
const HEEL_GAP = 2

/** Across the heel ends of the shoe. */
function heelWidths({ outer, centreline }: Rims): Plan['heels'] {
  const across = (t: Track) => placeAt(t, 0).point[0] - placeAt(t, trackLength(t)).point[0]
  return { outside: across(outer), middleOfWeb: across(centreline) }
}

/** The inner corners of the heels, lateral first: they must not pass each other. */
function branchesMeet({ inner }: Rims): boolean {
  const lateral = placeAt(inner, 0).point
  const medial = placeAt(inner, trackLength(inner)).point
  return lateral[0] - medial[0] < HEEL_GAP
}

/** The web leaves no opening worth the name. */
const isShut = ({ inner, outer, centroid }: Rims): boolean =>
  inner.points.length < 2 || centroid.points.length < 2 || trackLength(inner) < trackLength(outer) / 4

/** Modifications that spread the web until nothing is left within it. */
const shutBy = (chosen: readonly Chosen[], foot: Foot): Problem => {
  const last = chosen.filter(({ modification: { lay, forge } }) => lay ?? forge).at(-1)!
  return problem(
    `shoe.modifications.${last.at}.kind`,
    told`${last.modification.label}: with it the web leaves no opening in a foot ${length(foot.width)} wide; take a narrower bar or spread it less`,
  )
}

const meeting = (fit: Fit): Problem =>
  problem(
    'shoe.fit.heelLength',
    told`Branch behind the buttress: with ${length(fit.heelLength)} the two branches meet; end them sooner or take a narrower bar`,
  )

const tooWide = (width: number, foot: Foot): Problem =>
  problem(
    'shoe.section.width',
    told`Bar width: ${length(width)} leaves no opening in a foot ${length(foot.width)} wide`,
  )
