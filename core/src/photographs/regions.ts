import { bestPathAndRivals, type Costs } from './best-path'
import { outFrom, type Band } from './band'
import { Colours, labAt, type Lab } from './colours'
import type { Vec } from '../geometry/vector'
import type { Picture } from './picture'
import { seenAt, type View } from './view'

/** A picture of a plane, and how finely it is looked at. */
export interface Looked {
  picture: Picture
  view: View
  /** So many pixels across and down are looked at as one. */
  by: number
}

/** The colour at a place of the plane. */
export function colourOf({ picture, view, by }: Looked, place: Vec): Lab {
  return labAt(picture, seenAt(view, place), by)
}

/** Which stretch of a band, mm out from its line, is surely the thing, and which surely is not. */
export interface Sure {
  thing: readonly [number, number]
  ground: readonly [number, number]
  /** Whether the thing is sure to lie there at a place of the band; everywhere, where it is not said. */
  at?: readonly boolean[]
}

/** Offsets that are looked at: from, to and step, mm out from the line. Where a place may lie further off, it says so. */
export interface Offsets {
  from: number
  to: number
  step: number
}

/** Where an edge may lie at one place of a band, mm out from its line: from where to where, where most likely, and how surely. */
export interface Expected {
  from: number
  to: number
  most: number
  /** How far off it lies by the rule; Infinity where nothing is known. */
  sure: number
}

/** An edge that is as likely may lie so far beside the one that was found, mm. */
const BESIDE = 1.5

/** An edge by colours, mm out from its band, and how much less likely any other is at each place. */
export interface EdgeByColour {
  outs: number[]
  rivals: number[]
}

/** What one place may say at most, so that a patch of dirt does not outweigh a whole edge. */
const MOST_SAID = 2.5
/** How much colours near the place count against those of the whole line. */
const NEARBY = 0.5
const SECTORS = 16

/**
 * Where the thing ends and the ground begins, by colour alone: in each place of the band, mm out from its line. What lies
 * inside looks like the thing, what lies outside like the ground, seen along the whole line and nearby.
 *
 * @param stiff how little the edge may turn from place to place
 * @param expected where it may lie at each place of the band
 */
export function edgeByColour(
  looked: Looked,
  band: Band,
  sure: Sure,
  offsets: Offsets,
  stiff: number,
  expected?: readonly Expected[],
): EdgeByColour {
  const { from, to, step } = offsets
  const outs = Array.from({ length: Math.round((to - from) / step) + 1 }, (_, k) => from + k * step)
  const columns = band.points.length
  const colours = band.points.map((_, i) => outs.map((out) => colourOf(looked, outFrom(band, i, out))))
  const told = tell(looked, band, sure)
  const values = new Float32Array(columns * outs.length)
  for (let i = 0; i < columns; i++) {
    let inside = 0
    const at = i * outs.length
    for (let k = 0; k < outs.length; k++) {
      // An edge here leaves all before it inside.
      values[at + k] = -inside - CONTRAST * contrast(colours[i]!, k)
      if (expected) values[at + k]! += unlikely(expected[i]!, outs[k]!)
      inside += told(i, colours[i]![k]!) * step
    }
  }
  const costs: Costs = { columns, offsets: outs.length, values }
  const { path, rivals } = bestPathAndRivals(costs, stiff, 3, band.closed, Math.round(BESIDE / step))
  return { outs: path.map((k) => outs[k]!), rivals }
}

const unlikely = ({ from, to, most, sure }: Expected, out: number): number =>
  (out < from || out > to ? NEVER : 0) + EXPECTED * ((out - most) / sure) ** 2

/** How much what is known beforehand counts against what is seen. */
const EXPECTED = 3
/** What a place costs through which the edge may not run: more than all colours of a column can say. */
const NEVER = 200
/** How much an edge is worth where colours change quickly. */
const CONTRAST = 0.3

const contrast = (column: readonly Lab[], k: number): number => {
  const [a, b] = [column[Math.max(0, k - 2)]!, column[Math.min(column.length - 1, k + 2)]!]
  return Math.min(30, Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]))
}

/** How much a colour says that it is the thing (above 0) or the ground, near a place of the band. */
function tell(looked: Looked, band: Band, sure: Sure): (i: number, colour: Lab) => number {
  const columns = band.points.length
  const gathered = ([from, to]: readonly [number, number], at?: readonly boolean[]): Lab[][] =>
    band.points.map((_, i) =>
      Array.from({ length: at?.[i] === false ? 0 : 10 }, (_each, k) =>
        colourOf(looked, outFrom(band, i, from + ((to - from) * (k + 0.5)) / 10)),
      ),
    )
  const [thing, ground] = [gathered(sure.thing, sure.at), gathered(sure.ground)]
  const [allThing, allGround] = [new Colours(thing.flat()), new Colours(ground.flat())]
  const sectors = band.closed ? SECTORS : SECTORS - 2
  const near = (samples: Lab[][]) =>
    Array.from({ length: sectors }, (_, s) => {
      const middle = ((s + 0.5) / sectors) * columns
      const reach = (1.2 / sectors) * columns
      return new Colours(
        samples
          .filter((_, i) => {
            const off = Math.abs(i - middle)
            return (band.closed ? Math.min(off, columns - off) : off) <= reach
          })
          .flat(),
      )
    })
  const [nearThing, nearGround] = [near(thing), near(ground)]
  return (i, colour) => {
    const sector = Math.min(sectors - 1, Math.floor((i / columns) * sectors))
    const all = Math.log(allThing.of(colour) / allGround.of(colour))
    const here = Math.log(nearThing[sector]!.of(colour) / nearGround[sector]!.of(colour))
    const said = (1 - NEARBY) * all + NEARBY * here
    return Math.min(MOST_SAID, Math.max(-MOST_SAID, said))
  }
}
