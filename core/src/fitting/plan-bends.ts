import { problem, ProblemError } from '../notices/problem'
import { outOfRange } from '../notices/range'
import { length, told, type Told } from '../notices/told'
import type { Vec } from '../geometry/vector'
import { planShoe } from '../plan/plan'
import type { FootInput } from '../records/foot'
import type { ShoeInput } from '../records/shoe'
import { HALVES, type Half } from '../terms/half'
import { bendPlan, TOLERANCE, type BendPlan, type PlannedBend } from './bend-plan'
import { centrelineOf, lineLength, runsBackward, type Centreline } from './centreline'
import { lineMeasures, likelyShape, rightMeasures, shapeByPoints, type AnvilMeasures } from './likely-shape'
import { patternThrough } from './pattern-through'
import { throughPoints } from './through-points'
import { centrelineOfPlan, landmarksOf, onTheHorn, placeInWords, type Landmark } from './place-words'

/** What a shape is brought to: a planned shoe, or a line of points. */
export type BendTarget = { foot: FootInput; shoe: ShoeInput } | { points: readonly Vec[] }

/** What is known of the shape on the anvil: points along its centreline, or three measures. */
export type AnvilShape = { points: readonly Vec[] } | AnvilMeasures

/** A correction as it is told at the anvil. */
export interface ToldBend extends PlannedBend {
  opens: boolean
  place: string
  how: Told
}

export interface ToldBendPlan extends Omit<BendPlan, 'bends'> {
  bends: ToldBend[]
  /** How sure the shape is that it starts from, and what no bend takes away. */
  notes: Told[]
}

/** How far off a shape may be left, mm. */
const TOLERANCES = [0.2, 20] as const

/** A shape longer or shorter than its pattern by more than this is another shoe or another cut, mm. */
const ANOTHER_LENGTH = 4

/** Noise in points makes a line longer; by this share nobody worries. */
const NOISY = 0.04

/**
 * The fewest corrections from a shape on the anvil to its pattern.
 *
 * @param branches that may be bent; both unless only one was seen off
 * @throws ProblemError where target or shape is not possible, by figure
 */
export function planBends(
  target: BendTarget,
  shape: AnvilShape,
  tolerance = TOLERANCE,
  branches: readonly Half[] = HALVES,
): ToldBendPlan {
  const odd = outOfRange('tolerance', 'Tolerance', 'length', tolerance, TOLERANCES)
  if (odd) throw new ProblemError([odd])
  const aim = read(target)
  const { pattern, landmarks } = aim
  const { line, longer, notes } = shapeOf(shape, aim)
  const readings = 'points' in shape ? shape.points.length : undefined
  const plan = bendPlan(pattern, line, tolerance, branches, readings)
  // What is longer or shorter than its pattern is not right, however well it lies.
  const within = plan.within && longer === 0
  return {
    ...plan,
    within,
    bends: plan.bends.map((bend): ToldBend => {
      const place = placeInWords(bend, pattern, landmarks)
      return { ...bend, opens: bend.angle > 0, place, how: onTheHorn(bend, place) }
    }),
    notes: [
      ...notes,
      ...certainty(plan),
      ...(longer === 0 ? outcome(plan, tolerance) : [lengthNote(longer)]),
    ],
  }
}

/** What a shape is brought to: the line, what it measures, and what its places are called. */
interface Aim {
  pattern: Centreline
  landmarks: Landmark[]
  measures: (heelMeasure: AnvilMeasures['heelMeasure']) => AnvilMeasures
}

function read(target: BendTarget): Aim {
  if ('points' in target) {
    const pattern = lineOf(target.points, 'target.points')
    return { pattern, landmarks: [], measures: (way) => lineMeasures(pattern, way) }
  }
  const plan = planShoe(target.foot, target.shoe)
  const pattern = centrelineOfPlan(plan)
  return { pattern, landmarks: landmarksOf(plan, pattern), measures: (way) => rightMeasures(plan, way) }
}

/** Fewer points say nothing of a shape. */
const LEAST_POINTS = 7

function lineOf(points: readonly Vec[], path: string): Centreline {
  if (points.length < LEAST_POINTS)
    throw new ProblemError([
      problem(path, `${points.length} points: at least ${LEAST_POINTS} along the centreline are needed`),
    ])
  const line = centrelineOf(throughPoints(points))
  const long = outOfRange(path, 'Length along the points', 'length', lineLength(line), [100, 900])
  if (long) throw new ProblemError([long])
  return line
}

/** The shape as it was told, and by how much no bend makes it longer or shorter, mm: 0 where that is as near as it is told. */
function shapeOf(
  shape: AnvilShape,
  { pattern, measures }: Aim,
): { line: Centreline; longer: number; notes: Told[] } {
  if ('points' in shape) {
    const { points } = lineOf(shape.points, 'shape.points')
    if (runsBackward(points, pattern.points))
      throw new ProblemError([
        problem(
          'shape.points',
          'These points run the other way round than the pattern: list them from the outer heel over the toe to the inner, as the foot is drawn, or turn the shoe over',
        ),
      ])
    const line = shapeByPoints(patternThrough(shape.points, pattern.points) ?? points, pattern)
    const longer = lineLength(line) - lineLength(pattern)
    const off = Math.abs(longer) > Math.max(ANOTHER_LENGTH, lineLength(pattern) * NOISY)
    return { line, longer: off ? longer : 0, notes: [] }
  }
  const { line, longer } = likelyShape(pattern, measures(shape.heelMeasure), shape)
  return {
    line,
    longer: Math.abs(longer) > ANOTHER_LENGTH ? longer : 0,
    notes: [
      'Three measures tell width, heels and length, not which branch is off: both are taken alike. Look along each before striking.',
    ],
  }
}

const lengthNote = (longer: number): Told =>
  told`The shape is ${length(Math.abs(longer))} ${longer > 0 ? 'longer' : 'shorter'} along the bar than its pattern: no bend changes that. ${longer > 0 ? 'Cut the heels, or take a smaller size.' : 'Another cut or a larger size is needed.'}`

/** Points that scatter by less than this lie as well as a pencil draws, mm. */
const DRAWN = 0.2

const certainty = ({ noise }: BendPlan): Told[] =>
  noise < DRAWN
    ? []
    : [
        told`The points scatter by ${length(noise, 'fine')} either way: how far it is off is no surer than that.`,
      ]

function outcome({ within, unsure, residual, bends, before }: BendPlan, tolerance: number): Told[] {
  if (within && bends.length === 0)
    return [told`It lies within ${length(tolerance)} of its pattern: leave it alone.`]
  if (within) return []
  if (unsure)
    return [
      told`It may be ${length(residual)} off${bends.length > 0 ? ' then' : ''}, but points so few, or scattered so, do not say where: take more of them, or look along each branch, before striking.`,
    ]
  return [
    told`Bending brings it no nearer than ${length(residual)} (it is ${length(before)} off now): wrong size or wrong cut.`,
  ]
}
