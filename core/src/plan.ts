import type { Caution } from './cautions/caution'
import { collectCautions } from './cautions/cautions'
import { balanceOf, widestKnown, type Balance } from './foot/balance/balance'
import { breakover } from './foot/balance/breakover'
import type { FootFigureKey } from './foot/figures'
import { landmarks, type Landmarks } from './foot/landmarks'
import { readFoot, type Foot } from './foot/measurements'
import { footOutline } from './foot/outline'
import { widestPart, type WidestPart } from './foot/widest-part'
import { placeAt, trackLength, type Track } from './geometry/track'
import type { Vec } from './geometry/vector'
import { workIron, type Iron } from './iron/iron'
import { checkNails, placeHoles, resolveNails } from './nails/holes'
import { judgeNails, type Nail } from './nails/nails'
import { ProblemError, type Problem } from './problem'
import type { FootInput } from './records/foot'
import type { ShoeInput, WorkshopInput } from './records/shoe'
import { suggestSection, type SuggestedSection } from './shoe/common-sections'
import { checkFit, resolveFit, type Fit } from './shoe/fit'
import { plainProfile, type Profile } from './shoe/profile'
import type { Part, ShoeContext } from './shoe/modifications/modification'
import { resolveModifications, type Chosen } from './shoe/modifications/resolve'
import { layRims, shoeBody, toeStation, type Rims } from './shoe/rims'
import { centroidFromOuter, checkSection } from './shoe/section'
import { checkWorkshop, resolveWorkshop } from './workshop'

/** Everything Crescent knows about one shoe for one foot. Lengths in mm, angles in degrees, weight in g. */
export interface Plan {
  /** The foot with its defaults, and which figures are defaults. */
  foot: Foot
  assumed: FootFigureKey[]
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
  /** Pieces beside the branches, as they are drawn and cut. */
  parts: Part[]
  /** Each modification with its defaults and what it comes to, in words. */
  modifications: { kind: string; values: Readonly<Record<string, number>>; told: string[] }[]
  iron: Iron
  suggestion: SuggestedSection
  nails: Nail[]
  cautions: Caution[]
}

/**
 * From a foot and a shoe to iron, nails and cautions: the one way through.
 *
 * @throws ProblemError with every figure that is missing or not possible
 */
export function planShoe(footInput: FootInput, shoe: ShoeInput, workshopInput: WorkshopInput = {}): Plan {
  const workshop = resolveWorkshop(workshopInput)
  const nailPlan = resolveNails(shoe.nails)
  const problems: Problem[] = [
    ...checkSection(shoe.section),
    ...checkNails(nailPlan),
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
  const rims = layRims(outline, fit, section.width, centroidFromOuter(section))
  if (trackLength(rims.inner) < trackLength(rims.outer) / 4)
    throw new ProblemError([tooWide(section.width, foot)])
  if (branchesMeet(rims)) throw new ProblemError([meeting(fit)])
  const widest = widestPart(footInput)
  const marks = landmarks(foot, outline)
  const heelEnds = { lateral: rims.outer.points[0]![1], medial: rims.outer.points.at(-1)![1] }
  const schoolY = breakover({
    foot,
    assumed,
    widestKnown: widestKnown(assumed, widest),
    heelEndY: Math.min(heelEnds.lateral, heelEnds.medial),
  }).y
  const context: ShoeContext = {
    ...{ foot, assumed, outline, landmarks: marks, fit, section, rims },
    ...(schoolY !== undefined && { schoolY }),
  }
  const { chosen, problems: refused } = resolveModifications(shoe.modifications, context)
  if (refused.length > 0) throw new ProblemError(refused)
  const profile = chosen.reduce(
    (bar, { modification, values }) => modification.reshape?.(bar, context, values) ?? bar,
    plainProfile(rims, toeStation(rims), section),
  )
  const parts = chosen.flatMap(({ modification, values }) => modification.parts?.(context, values) ?? [])
  const holes = placeHoles(foot, outline, rims, section, nailPlan)
  const nails = judgeNails(foot, outline, holes, workshop)
  const iron = workIron(foot, section, rims, profile, holes, workshop, parts)
  const suggestion = suggestSection(foot, fit.name)
  const balance = balanceOf({
    foot,
    assumed,
    widest,
    heelEnds,
    shoeToeY: rollsAt(chosen, context),
  })
  return {
    foot,
    assumed,
    fit,
    outline: {
      foot: outline.track.points,
      outer: rims.outer.points,
      inner: rims.inner.points,
      centreline: rims.centreline.points,
      body: shoeBody(rims, section.width),
    },
    landmarks: marks,
    widest,
    balance,
    heels: heelWidths(rims),
    profile,
    parts,
    modifications: chosen.map(({ modification, values }) => ({
      kind: modification.kind,
      values,
      told: modification.tell?.(context, values) ?? [],
    })),
    iron,
    suggestion,
    nails,
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
      chosen: chosen.flatMap(({ modification, values }) => modification.cautions?.(context, values) ?? []),
      heldByClips: chosen.reduce((sum, { modification }) => sum + (modification.holdsLike ?? 0), 0),
    }),
  }
}

/** Where the shoe breaks over: at its toe, or where a modification sets it back. */
function rollsAt(chosen: readonly Chosen[], context: ShoeContext): number {
  const toe = placeAt(context.rims.outer, context.rims.toe).point[1]
  return chosen.reduce(
    (y, { modification, values }) => Math.min(y, modification.breakover?.(context, values) ?? y),
    toe,
  )
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

const meeting = (fit: Fit): Problem => ({
  path: 'shoe.fit.heelLength',
  message: `Branch behind the buttress: with ${Math.round(fit.heelLength)} mm the two branches meet; end them sooner or take a narrower bar`,
})

const tooWide = (width: number, foot: Foot): Problem => ({
  path: 'shoe.section.width',
  message: `Bar width: ${Math.round(width)} mm leaves no opening in a foot ${Math.round(foot.width)} mm wide`,
})
