import { distance, type Vec } from '../geometry/vector'
import { lengthAlong, nearestAlong, pointAlong } from '../geometry/walked'
import { placeAt } from '../geometry/track'
import type { ForgingStage, ForgingStep } from '../modifications/forging'
import type { NailHole } from '../nails/holes'
import { soldCentreline } from '../shoe/as-sold'
import { shoeMeasures } from '../shoe/measures'
import type { Rims } from '../shoe/rims'
import type { SizeFacts } from '../records/size'
import { HALVES, type Half } from '../terms/half'
import { PART_ENDS, type BranchPart } from '../terms/trying'
import type { Told } from '../notices/told'
import { takenOn, turnsAsOn, type Reach } from './taken-on'

/** Something to lay a rule on, and what it should show, mm. */
export interface HeatMeasure {
  what: string
  value: number
  /** From where to where it is laid. */
  between: readonly [Vec, Vec]
}

/** One step of the work, and the shape the shoe should have when it is done. Lengths in mm, in the foot's frame. */
export interface Heat {
  stage: ForgingStage
  text: Told
  /** The middle of the web, from the lateral to the medial end. */
  shape: readonly Vec[]
  /** It still is a straight bar. */
  straight: boolean
  measures: HeatMeasure[]
  /** Where the punch marks of toe and holes lie on it. */
  marks: { label: string; at: Vec }[]
}

/** What the shapes between are worked out from. */
export interface HeatedShoe {
  rims: Rims
  holes: readonly NailHole[]
  /** Bar that each branch takes, toe mark to end, mm. */
  branches: Readonly<Record<Half, number>>
  /** Bar beyond the heels that closes the shoe behind them, mm. */
  closing: number
  /** The factory shoe it is shaped from; nothing for a bar, and for a shoe that cannot be bent. */
  size?: SizeFacts
  /** It cannot be bent: it lies in its shape from the first step on. */
  moulded: boolean
}

/** How far along its branch the bar is bent when a stage is done. */
const BENT_TO: Partial<Record<ForgingStage, BranchPart>> = {
  toe: 'toe',
  'toe quarters': 'toe quarter',
  quarters: 'quarter',
  heels: 'heel',
}

/**
 * The order of the work with the shape after each step: bent as far as that step goes, from the toe outward, and beyond it
 * as it was before. Nothing is stretched: the bar is as long in each as in the finished shoe. Where two steps share a stage
 * the first of them turns the outer branch, the second the inner.
 */
export function heatsOf(steps: readonly ForgingStep[], shoe: HeatedShoe): Heat[] {
  const { rims, size, branches, moulded } = shoe
  const pattern = rims.centreline.points
  const toe = toeOf(rims)
  const whole = lengthAlong(pattern)
  const full: Reach = { lateral: toe, medial: whole - toe }
  const before = size && turnsInBox(size, pattern, toe)
  const reached: Record<Half, number> = moulded ? { ...full } : { lateral: -1, medial: -1 }
  let bar = !size && !moulded
  return steps.map((step): Heat => {
    const part = BENT_TO[step.stage]
    if (part) {
      bar = false
      const halves = step.branch ? [step.branch] : HALVES
      for (const half of halves)
        reached[half] = Math.max(reached[half], part === 'heel' ? full[half] : full[half] * PART_ENDS[part])
    }
    if (bar) return straightBar(step, branches, rims)
    // What comes after the shaping finds the shoe in its shape.
    const shape = takenOn(pattern, toe, reached, before)
    const done = shape === pattern
    return {
      ...step,
      shape,
      straight: false,
      measures: done ? closedMeasures(rims, shoe.closing) : openMeasures(shape, toe, shoe.closing),
      marks: marksOn(shape, pattern, shoe, toe),
    }
  })
}

/** A rule laid from one place to another. */
const laid = (what: string, from: Vec, to: Vec): HeatMeasure => ({
  ...{ what, value: distance(from, to) },
  between: [from, to],
})

/** The bar before anything is bent, toe mark where the toe will be. */
function straightBar(step: ForgingStep, { lateral, medial }: HeatedShoe['branches'], rims: Rims): Heat {
  const { point: toe } = placeAt(rims.centreline, toeOf(rims))
  const [outer, inner]: Vec[] = [
    [toe[0] + lateral, toe[1]],
    [toe[0] - medial, toe[1]],
  ]
  return {
    ...step,
    shape: [outer!, inner!],
    straight: true,
    measures: [
      laid('The whole bar', outer!, inner!),
      laid('Toe mark to the outer end', toe, outer!),
      laid('Toe mark to the inner end', toe, inner!),
    ],
    marks: [{ label: 'Toe', at: toe }],
  }
}

/** Along the middle of the web from the lateral heel to the middle of the toe, mm, by its points. */
function toeOf(rims: Rims): number {
  const toe = placeAt(rims.outer, rims.toe).point
  return nearestAlong(rims.centreline.points, toe).station
}

/** Three lengths fix where both ends lie against the toe mark. */
function openMeasures(shape: readonly Vec[], toe: number, closing: number): HeatMeasure[] {
  const at = pointAlong(shape, toe)
  const [outer, inner] = [shape[0]!, shape[shape.length - 1]!]
  const end = closing > 0 ? 'heel mark' : 'end'
  return [
    laid(`Across, from ${end} to ${end}, in the middle of the web`, outer, inner),
    laid(`Straight from the toe mark to the outer ${end}`, at, outer),
    laid(`Straight from the toe mark to the inner ${end}`, at, inner),
  ]
}

/** What the finished shape is compared by at the anvil. */
function closedMeasures(rims: Rims, closing: number): HeatMeasure[] {
  const { width, heelsOutside, length } = shoeMeasures(rims, closing > 0)
  return [
    { what: 'Width at the widest, outside', ...width },
    { what: 'Across the heels, outside', ...heelsOutside },
    {
      what: closing > 0 ? 'Toe to a rule across the heel marks' : 'Toe to a rule across the heels',
      ...length,
    },
  ]
}

const marksOn = (shape: readonly Vec[], pattern: readonly Vec[], { holes }: HeatedShoe, toe: number) => [
  { label: 'Toe', at: pointAlong(shape, toe) },
  ...holes.map(({ number, x, y }) => ({
    label: String(number),
    at: pointAlong(shape, nearestAlong(pattern, [x, y]).station),
  })),
]

/** How a factory shoe turns in its box at each corner of its pattern. */
function turnsInBox(size: SizeFacts, pattern: readonly Vec[], toe: number): number[] {
  const { points } = soldCentreline(size)
  return turnsAsOn(points, lengthAlong(points) / 2, pattern, toe)
}
