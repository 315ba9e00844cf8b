import { figureAlong } from '../geometry/figure-along'
import { distance, mix, type Vec } from '../geometry/vector'
import { lengthAlong, nearestAlong, pointAlong, stationsAlong } from '../geometry/walked'
import { segmentAt } from '../geometry/segment-at'
import { placeAt } from '../geometry/track'
import type { ForgingStage, ForgingStep } from '../modifications/forging'
import type { NailHole } from '../nails/holes'
import { soldCentreline } from '../shoe/as-sold'
import { shoeMeasures } from '../shoe/measures'
import type { Rims } from '../shoe/rims'
import type { SizeFacts } from '../records/size'
import { byHalf, HALVES, type Half } from '../terms/half'
import { PART_ENDS, type BranchPart } from '../terms/trying'
import type { Told } from '../notices/told'
import { closedEnds, type Closing } from './closed-ends'
import { pieceLengths, type Metal, type PieceLengths } from './metal'
import { takenOn, turnsAsOn, type Reach } from './taken-on'
import { workDone, type WorkDone } from './work-done'

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
  /** The middle of the web, from the lateral to the medial end of the bar. */
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
  /** Bar beyond the heels that closes the shoe behind them. */
  closing?: Closing
  /** What moves the metal of a shoe from bar; a factory shoe keeps its own. */
  metal?: Metal
  /** The rims before some of the chosen modifications have reworked them. */
  rimsWithout: (undone: ReadonlySet<number>) => Rims
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
 * as it was before; as long as its metal is by then. Where two steps share a stage the first of them turns the outer branch,
 * the second the inner.
 */
export function heatsOf(steps: readonly ForgingStep[], shoe: HeatedShoe): Heat[] {
  const { rims, moulded, closing } = shoe
  const pattern = patternOf(rims)
  const { toe, whole } = pattern
  const full: Reach = { lateral: toe, medial: whole - toe }
  // What one branch goes on beyond the other, as a trailer does, is no part of its quarter.
  const even = Math.min(full.lateral, full.medial)
  const reached: Record<Half, number> = moulded ? { ...full } : { lateral: -1, medial: -1 }
  let bar = !shoe.size && !moulded
  const lengths = shoe.metal && pieceLengths(shoe.metal, rims, pattern.lengths)
  const shapeWhen = shaping(shoe, pattern, lengths)
  const done = workDone(steps, shoe.metal?.gathered.length ?? 0)
  return steps.map(({ stage, text, branch }, i): Heat => {
    const heat = { stage, text, ...(branch && { branch }) }
    const part = BENT_TO[stage]
    if (part) {
      bar = false
      for (const half of branch ? [branch] : HALVES)
        reached[half] = Math.max(reached[half], part === 'heel' ? full[half] : even * PART_ENDS[part])
    }
    if (bar) return { ...heat, ...straightBar(branchesWhen(shoe, pattern, lengths!, done[i]!), pattern) }
    const core = shapeWhen({ ...reached }, done[i]!)
    const ends = closedEnds(core, closing, done[i]!.closed, raisedBy(shoe, done[i]!))
    return {
      ...heat,
      shape: [...ends.lateral, ...core, ...ends.medial],
      straight: false,
      measures:
        core === pattern.points
          ? closedMeasures(rims, closing !== undefined)
          : openMeasures(core, pattern.middle, closing !== undefined),
      marks: marksOn(core, pattern, shoe),
    }
  })
}

/** The centreline that the shoe has in the end, by its pieces. Lengths in mm. */
interface Pattern {
  points: readonly Vec[]
  stations: readonly number[]
  lengths: readonly number[]
  whole: number
  /** The middle of the toe along it, and where it lies. */
  toe: number
  middle: Vec
}

function patternOf(rims: Rims): Pattern {
  const { points } = rims.centreline
  const stations = stationsAlong(points)
  const toe = toeOf(rims)
  return {
    ...{ points, stations, toe, middle: pointAlong(points, toe, stations) },
    lengths: stations.slice(1).map((station, i) => station - stations[i]!),
    whole: stations[stations.length - 1]!,
  }
}

/** The bar of the branches by how far it is bent and what else is done. */
function shaping(
  shoe: HeatedShoe,
  { points, toe, whole }: Pattern,
  lengths: ((worked: WorkDone['worked']) => PieceLengths) | undefined,
): (reached: Reach, done: WorkDone) => readonly Vec[] {
  const before = shoe.size && turnsInBox(shoe.size, points, toe)
  return (reached, { worked, undone, cut }) => {
    const earlier = undone.size > 0 ? shoe.rimsWithout(undone) : undefined
    // What is bent through and has all its metal in place is the pattern itself.
    const settled =
      reached.lateral >= toe && reached.medial >= whole - toe && worked.every((how) => how === 'all')
    const line = takenOn(points, toe, reached, {
      ...(earlier && { turns: turnsAsOn(earlier.centreline.points, toeOf(earlier), points, toe) }),
      ...(before && { before }),
      ...(lengths && !settled && { lengths: lengths(worked) }),
    })
    return cut.lateral + cut.medial > 0 ? trimmed(line, cut) : line
  }
}

/** A line without so much at its ends, mm. */
function trimmed(line: readonly Vec[], cut: Readonly<Record<Half, number>>): Vec[] {
  const stations = stationsAlong(line)
  const whole = stations[stations.length - 1]!
  const at = (station: number) => pointAlong(line, station, stations)
  const left = line.filter((_, i) => stations[i]! > cut.lateral && stations[i]! < whole - cut.medial)
  return [at(cut.lateral), ...left, at(whole - cut.medial)]
}

/** Whether the metal is where it raises the heels: what closes the shoe behind them is raised with them. */
const raisedBy = ({ metal }: HeatedShoe, { worked }: WorkDone): boolean =>
  metal !== undefined && metal.raises.length > 0 && metal.raises.every((i) => worked[i] !== 'not')

/** How long each branch of the straight bar is, mm: as it is cut, less what its metal has come together since, or more. */
function branchesWhen(
  shoe: HeatedShoe,
  { stations, toe }: Pattern,
  lengths: (worked: WorkDone['worked']) => PieceLengths,
  done: WorkDone,
): Record<Half, number> {
  const sides = (worked: WorkDone['worked']): Record<Half, number> => {
    const along = [0]
    for (const long of lengths(worked).straight) along.push(along[along.length - 1]! + long)
    const lateral = figureAlong(stations, along, toe)
    return { lateral, medial: along[along.length - 1]! - lateral }
  }
  const [asCut, now] = [sides(done.worked.map(() => 'not')), sides(done.worked)]
  const { closing } = shoe
  const behind = closing && raisedBy(shoe, done) ? (closing.turned.length - closing.asCut) / 2 : 0
  return byHalf((half) => shoe.branches[half] + now[half] - asCut[half] + behind)
}

/** A rule laid from one place to another. */
const laid = (what: string, from: Vec, to: Vec): HeatMeasure => ({
  ...{ what, value: distance(from, to) },
  between: [from, to],
})

/** The bar before anything is bent, toe mark where the toe will be. */
function straightBar(
  { lateral, medial }: Record<Half, number>,
  { middle: toe }: Pattern,
): Omit<Heat, 'stage' | 'text'> {
  const [outer, inner]: Vec[] = [
    [toe[0] + lateral, toe[1]],
    [toe[0] - medial, toe[1]],
  ]
  return {
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
function openMeasures(core: readonly Vec[], toe: Vec, closed: boolean): HeatMeasure[] {
  const [outer, inner] = [core[0]!, core[core.length - 1]!]
  const end = closed ? 'heel mark' : 'end'
  return [
    laid(`Across, from ${end} to ${end}, in the middle of the web`, outer, inner),
    laid(`Straight from the toe mark to the outer ${end}`, toe, outer),
    laid(`Straight from the toe mark to the inner ${end}`, toe, inner),
  ]
}

/** What the finished shape is compared by at the anvil. */
function closedMeasures(rims: Rims, closed: boolean): HeatMeasure[] {
  const { width, heelsOutside, length } = shoeMeasures(rims, closed)
  return [
    { what: 'Width at the widest, outside', ...width },
    { what: 'Across the heels, outside', ...heelsOutside },
    { what: closed ? 'Toe to a rule across the heel marks' : 'Toe to a rule across the heels', ...length },
  ]
}

/** Toe and holes on a shape: each in the piece of the bar that it is punched into. */
function marksOn(
  core: readonly Vec[],
  { points, stations, middle }: Pattern,
  { holes }: HeatedShoe,
): Heat['marks'] {
  const on = (hole: Vec): Vec => {
    const { station } = nearestAlong(points, hole, stations)
    const i = segmentAt(stations, station)
    const share = (station - stations[i]!) / (stations[i + 1]! - stations[i]!)
    return mix(core[i]!, core[i + 1]!, share)
  }
  return [
    { label: 'Toe', at: middle },
    ...holes.map(({ number, x, y }) => ({ label: String(number), at: on([x, y]) })),
  ]
}

/** How a factory shoe turns in its box at each corner of its pattern. */
function turnsInBox(size: SizeFacts, pattern: readonly Vec[], toe: number): number[] {
  const { points } = soldCentreline(size)
  return turnsAsOn(points, lengthAlong(points) / 2, pattern, toe)
}
