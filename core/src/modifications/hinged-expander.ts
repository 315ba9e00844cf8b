import { placeAt, trackLength, type Track } from '../geometry/track'
import { barDay, USUAL_BARS } from '../terms/cross-bars'
import { inches } from '../units/length'
import { sectionArea } from '../shoe/section-form'
import { behindHeels, closingRun, runVolume } from './closing-run'
import { usualEggRun } from './egg-bar'
import { innerRimAt } from './heel-bar'
import { round } from './kit'
import {
  BEYOND_HOLE,
  crossBar,
  crossBars,
  DRILLED_LUG,
  drilledLug,
  sidePlate,
  type BarSet,
} from './expander-pieces'
import type { FootOutline } from '../foot/outline'
import { aheadOfWidest, behindWidest } from '../nails/limits'
import { namedNails } from '../nails/named-nails'
import type { Nail } from '../nails/nails'
import type { Caution } from '../notices/caution'
import { fieldsOf, modificationOf, type ShoeContext } from './modification'
import { besideRun } from './run-outline'
import { length, told } from '../notices/told'

const fields = fieldsOf([
  {
    key: 'resting',
    label: 'Resting measure',
    kind: 'length',
    ofFoot: true,
    where: 'Between the middles of the two holes in the drilled lugs, foot at rest: measured and booked.',
    range: ({ foot }) => [15, foot.heelWidth],
    fallback: (context) => restingGuess(context),
  },
  {
    key: 'bars',
    label: 'Cross bars in the set',
    kind: 'number',
    where: 'Four as a rule.',
    range: () => [1, 8],
    fallback: () => USUAL_BARS.bars,
  },
  {
    key: 'step',
    label: 'Each longer by',
    kind: 'length',
    where: told`${length(inches(1 / 8))} as a rule.`,
    range: () => [1, 4],
    fallback: () => USUAL_BARS.step,
  },
  {
    key: 'days',
    label: 'Days from bar to bar',
    kind: 'number',
    where: '7 to 10.',
    range: () => [7, 21],
    fallback: () => USUAL_BARS.days,
  },
])

/** Hinge and overlap take this beyond the egg-bar measure. */
const HINGE_AND_LAP = inches(2)
/** Where the drilled lugs stand: share of the foot's length ahead of the buttress line. */
const PLATES_AT = 0.14

/** Height of the holes in the foot's frame, y. */
const holeY = ({ foot }: ShoeContext): number => foot.widestFromToe - foot.length * (1 - PLATES_AT)

/** x of the inner rim on either side where the drilled lugs are welded. */
function plateSides(context: ShoeContext): [number, number] | undefined {
  const y = holeY(context)
  const lateral = innerRimAt(context, y, 1)
  const medial = innerRimAt(context, y, -1)
  return lateral === undefined || medial === undefined ? undefined : [lateral, medial]
}

/** Distance of the holes' middles with the foot at rest, mm, unless it was measured. */
const restingGuess = (context: ShoeContext): number => {
  const sides = plateSides(context)
  return sides ? sides[0] - sides[1] - DRILLED_LUG.height * 2 : 40
}

/** Middle of the lapped heels, y: a lap's width behind the heel ends. */
const lapY = ({ rims, section }: ShoeContext): number => {
  const { points } = rims.centreline
  return Math.min(points[0]![1], points[points.length - 1]![1]) - section.width * 0.9
}

/** The bar that is turned across behind the heels, mm3: as of an egg bar, and the hinge and the lap beyond it; raised as the heels are. */
function closingVolume(context: ShoeContext): number {
  const { section, raisedBehind } = context
  const thickness = section.thickness + (raisedBehind?.(lapY(context)) ?? 0)
  return (
    runVolume(usualEggRun(context), section, raisedBehind) +
    HINGE_AND_LAP * sectionArea({ ...section, thickness })
  )
}

/** How long that bar is once it is as thick as the heels are: round behind them, with hinge and lap, mm. */
const closingLength = (context: ShoeContext): number => trackLength(usualEggRun(context)) + HINGE_AND_LAP

/** Over so much of its way a lap ends, mm. */
const LAP_ENDS = 1

/**
 * How high the turned heels are along their run: one over the other in its middle, over as much of it as holds all of the
 * bar that is turned.
 *
 * @param volume of that bar, mm3
 */
function lapped(context: ShoeContext, run: Track, volume: number): number[] {
  const { section, raisedBehind } = context
  const single = run.points.map(([, y]) => section.thickness + (raisedBehind?.(y) ?? 0))
  const whole = trackLength(run)
  const more = volume / runVolume(run, section, raisedBehind) - 1
  const long = Math.min(whole, more * whole)
  const layers = more * whole > whole ? more : 1
  return single.map((height, i) => {
    const off = Math.abs(run.stations[i]! - whole / 2)
    const over = long === whole ? 1 : Math.min(1, Math.max(0, (long / 2 - off) / LAP_ENDS + 0.5))
    return height * (1 + layers * over)
  })
}

/** The rivet of the hinge: stainless, 3/16 in. */
const RIVET = inches(3 / 16)

/** Heels narrower than this share of the foot's width are drawn together (usual is 0.7; from memory). */
const CONTRACTED = 0.64

/** A nail so far behind the widest part holds the heel that is to open, mm. */
const HOLDS_HEEL = 3

/** Nails behind the widest part hold what the expander opens. */
function heelNails(outline: FootOutline, nails: readonly Nail[]): Caution[] {
  const holding = nails.filter(
    ({ driven, footStation }) =>
      driven && !aheadOfWidest(outline, footStation) && behindWidest(outline, footStation) > HOLDS_HEEL,
  )
  if (holding.length === 0) return []
  const most = Math.max(...holding.map(({ footStation }) => behindWidest(outline, footStation)))
  return [
    {
      code: 'expander-heel-nails',
      severity: 'stop',
      title: 'Nails hold the heels that are to open',
      text: told`${namedNails(holding)}: up to ${length(most)} behind the widest part. The heels tear at them or stay as they are.`,
      action: 'Nail ahead of the widest part only.',
    },
  ]
}

/** A set that opens by more than this is more than one set is made for, and than any, mm (1/2 in and a little; 1 in). */
const OPENS_FAR = 16
const OPENS_TOO_FAR = inches(1)

/** How far a set of bars opens the heels. */
function openedFar({ bars, step }: Omit<BarSet, 'resting'>): Caution[] {
  const by = bars * step
  if (by <= OPENS_FAR) return []
  return [
    {
      code: 'expander-far',
      severity: by > OPENS_TOO_FAR ? 'stop' : 'caution',
      title: told`Opens the heels by ${length(by)}`,
      text: told`Four bars of ${length(inches(1 / 8), 'fine')} are a set, ${length(inches(1 / 2))} together. More at a time tears and lames.`,
      action: 'Fewer bars, or shorter steps; begin the next set from a new resting measure at the reset.',
    },
  ]
}

/** A shoe in two halves that opens the heels bar by bar. */
export const hingedExpander = modificationOf({
  kind: 'hinged-expander',
  ofBar: true,
  group: 'plates',
  label: 'Hinged heel expander',
  purpose: 'Two halves hinged at the toe, opened bar by bar: contracted heels in a foot that is kept soft.',
  brings: ['bar', 'long heels'],
  fields,
  excludes: {
    'egg-bar': 'The expander brings its own lapped heels',
    'straight-bar': 'A bar welded between the heels would hold what the expander opens',
    'heart-bar': 'A bar welded between the heels would hold what the expander opens',
    'hospital-plate': 'A bar welded between the heels would hold what the expander opens',
    'toe-clip': 'The hinge stands where the clip would be drawn',
    'side-clips': 'Side clips hold the foot from spreading',
    trailer: 'Its heels are turned across and lapped; they cannot be turned out',
    'slide-shoe': 'Its heels are turned across and lapped',
    'wide-toe': 'The toe is cut in two for the hinge; it cannot be upset',
    pad: 'The side plates and bars lie against the sole; a pad leaves them no room',
  },
  refuse: (context, values) => {
    if (context.section.material === 'aluminium') return 'hinge and plates are welded of steel; choose steel'
    if (!Number.isInteger(values.bars)) return 'the set has a whole number of bars'
    const sides = plateSides(context)
    if (!sides) return 'the branches end before the place of the drilled lugs; carry them further back'
    return behindHeels(context, lapY(context)) > 2
      ? undefined
      : 'there is no room behind the heels for the lap'
  },
  parts: (context, values) => {
    const { section, rims, raisedBehind } = context
    const run = closingRun(context, lapY(context))
    const { edge, outline } = besideRun(rims, run, section.width)
    const volume = closingVolume(context)
    const [lateral, medial] = plateSides(context)!
    const y = holeY(context)
    const toe = placeAt(rims.outer, rims.toe).point
    return [
      {
        label: 'Hinge, lap and turned heels',
        layer: 'bar',
        edge,
        join: { outline, welds: [] },
        between: [0, section.thickness + (raisedBehind?.(lapY(context)) ?? 0)],
        swept: { as: 'bar', line: run.points, section, heights: lapped(context, run, volume) },
        volume,
        ofTheBar: volume / sectionArea(section),
        turned: { length: closingLength(context), run: run.points },
      },
      {
        label: 'Hinge and its rivet',
        layer: 'fitting',
        edge: round([toe[0], toe[1] - section.width / 2], section.width * 0.8),
        volume: 0,
      },
      sidePlate('Outer side plate', [lateral, y], -1),
      sidePlate('Inner side plate', [medial, y], 1),
      drilledLug('Outer drilled lug', [lateral, y], -1),
      drilledLug('Inner drilled lug', [medial, y], 1),
      ...crossBars(values).map((bar, i) => crossBar(bar, i, y)),
    ]
  },
  handles: (context, values) => [
    { field: 'resting', point: [values.resting / 2, holeY(context)], along: [1, 0], per: 2 },
  ],
  hindmost: (context) => lapY(context) - context.section.width / 2,
  forging: () => [
    { stage: 'heels', moves: 'closing', text: 'Turn both heels across and lap them behind.' },
    {
      stage: 'pieces',
      text: told`Cut the shoe in two at the toe; hinge it with a ${length(RIVET, 'drill')} stainless rivet, its front edge hard-faced.`,
    },
    {
      stage: 'pieces',
      text: 'Weld side plates against the bars and drilled lugs beside them; drill the cross bars and stamp each.',
    },
    {
      stage: 'on the foot',
      text: 'Measure between the hole middles at rest and book it. Made a little large.',
    },
  ],
  drilled: () => [{ what: 'Hinge, for its rivet', drill: RIVET, count: 1 }],
  course: (_context, { bars, days }) =>
    Array.from({ length: bars }, (_, i) => ({
      label: `Cross bar ${i + 1}`,
      fromDay: barDay(i + 1, days),
      toDay: barDay(i + 1, days),
    })),
  tell: ({ foot }, values) => [
    ...crossBars(values).map(
      (bar, i) =>
        told`Cross bar ${i + 1}: ${length(bar)} hole to hole, ${length(bar + 2 * BEYOND_HOLE)} long, stamped ${foot.side} ${i + 1}.`,
    ),
    'Stamp the horse’s letter on each bar too.',
    told`At the reset the shoe goes ${length(inches(1 / 4))} to ${length(inches(1 / 2))} further back.`,
  ],
  cautions: ({ section, assumed, foot, outline }, values, { nails }) => [
    ...heelNails(outline, nails),
    ...openedFar(values),
    ...(foot.heelWidth > foot.width * CONTRACTED
      ? [
          {
            code: 'expander-not-contracted',
            severity: 'caution' as const,
            title: 'These heels are not contracted',
            text: told`Across them are ${length(foot.heelWidth)} of a foot ${length(foot.width)} wide: about what is usual.`,
            action: 'An expander is for heels drawn together. Ask the vet what it is to bring.',
          },
        ]
      : []),
    {
      code: 'expander-pain',
      severity: 'caution',
      title: 'Heel expander',
      text: 'Overdone it hurts and lames. Only into a foot kept soft; about 90 days, up to 6 months in grown horses.',
      action: 'To the vet’s plan. Any pain: stop, take the bar out.',
    },
    ...(assumed.includes('heelWidth')
      ? []
      : values.resting > foot.heelWidth * 0.75
        ? [
            {
              code: 'expander-resting',
              severity: 'caution' as const,
              title: 'Resting measure is wide',
              text: 'It is more than three quarters of the heel width.',
              action: 'Measure between the middles of the holes again, foot at rest.',
            },
          ]
        : []),
    ...(section.thickness > inches(5 / 16)
      ? [
          {
            code: 'expander-section',
            severity: 'note' as const,
            title: 'Heavy bar for an expander',
            text: '5/8 x 1/4, 3/4 x 1/4 or 1/2 x 1/4 are usual.',
            action: 'Take a lighter bar.',
          },
        ]
      : []),
  ],
})
