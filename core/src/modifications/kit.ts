import { ease } from '../geometry/ease'
import { placeAt, trackLength } from '../geometry/track'
import { along, turnRight, type Vec } from '../geometry/vector'
import type { Half } from '../terms/half'
import { webAt } from '../shoe/rims'
import type { SectionForm } from '../shoe/section-form'
import type { ShoePart, ShoeContext } from './modification'

/** Station on the outer rim at a share of a branch, 0 at the middle of the toe, 1 at its end. */
export function stationAt({ rims }: ShoeContext, branch: Half, share: number): number {
  const end = branch === 'lateral' ? 0 : trackLength(rims.outer)
  return rims.toe + (end - rims.toe) * share
}

/** The middle of the web at a station of the outer rim. */
export function webMiddle({ rims }: Pick<ShoeContext, 'rims'>, station: number): Vec {
  const { point, tangent } = placeAt(rims.outer, station)
  return along(point, turnRight(tangent), -webAt(rims, station) / 2)
}

/** Sides that a round thing is drawn with: it lacks half a hundredth of its area. */
const ROUND_SIDES = 36

/** A round thing as it is seen from below. */
export const round = ([x, y]: Vec, diameter: number): Vec[] =>
  Array.from({ length: ROUND_SIDES }, (_, i): Vec => {
    const turn = (i / ROUND_SIDES) * 2 * Math.PI
    return [x + (Math.cos(turn) * diameter) / 2, y + (Math.sin(turn) * diameter) / 2]
  })

/** How closely a strip follows the rim, mm. */
const STRIP_STEP = 5

/** A strip along the rim between two stations, from one inset to another, mm in from the outer rim. */
export function strip(
  { rims }: ShoeContext,
  from: number,
  to: number,
  inset: (station: number) => readonly [number, number],
): Vec[] {
  const steps = Math.max(10, Math.ceil(Math.abs(to - from) / STRIP_STEP))
  const outer: Vec[] = []
  const inner: Vec[] = []
  for (let i = 0; i <= steps; i++) {
    const station = from + ((to - from) * i) / steps
    const { point, tangent } = placeAt(rims.outer, station)
    const [near, far] = inset(station)
    outer.push(along(point, turnRight(tangent), -near))
    inner.push(along(point, turnRight(tangent), -far))
  }
  return [...outer, ...inner.reverse()]
}

/** A strip along the rim that is drawn where the steel is dressed. */
export const dressed = (
  context: ShoeContext,
  label: string,
  face: 'ground' | 'foot',
  from: number,
  to: number,
  inset: (station: number) => readonly [number, number],
): ShoePart => ({ label, layer: 'dressed', face, edge: strip(context, from, to, inset), volume: 0 })

/** A round bar has no edges to bevel and no face to crease. */
export const roundBar = ({ section }: ShoeContext): string | undefined =>
  section.shape === 'half-round' ? 'a half-round bar has no edges; choose a flat or concave one' : undefined

/** 1 inside a run of shares, fading to 0 at its ends: steel is not forged in steps. A run from 0 on goes on over the toe. */
export function runOut(share: number, [from, to]: readonly [number, number], over = 0.15): number {
  const into = from <= 0 ? 1 : ease((share - from) / over)
  return Math.min(into, ease((to - share) / over))
}

type Edge = 'outerGround' | 'innerGround' | 'outerFoot' | 'innerFoot'

/** The edge above or below one, and the one across the web from it. */
const FACING: Record<Edge, { upright: Edge; level: Edge }> = {
  outerGround: { upright: 'outerFoot', level: 'innerGround' },
  innerGround: { upright: 'innerFoot', level: 'outerGround' },
  outerFoot: { upright: 'outerGround', level: 'innerFoot' },
  innerFoot: { upright: 'innerGround', level: 'outerFoot' },
}

/** A bevel takes no more than these shares of the web and of the height. */
export const MOST_ACROSS = 0.9
const MOST_UP = 0.8

/** Steel that stays between two bevels of one face, as a share of it. */
const BETWEEN = 0.1

/**
 * The same section with a bevel never less than it had, and never more than the bevels beside it leave: what two of
 * them would both take away is gone only once.
 */
export const bevelled = (form: SectionForm, edge: Edge, across: number, up: number): SectionForm => {
  const { upright, level } = FACING[edge]
  const [a, b] = form[edge]
  const most = {
    across: Math.min(form.width * MOST_ACROSS, form.width * (1 - BETWEEN) - form[level][0]),
    up: Math.min(form.thickness * MOST_UP, form.thickness * (1 - BETWEEN) - form[upright][1]),
  }
  const made = [Math.max(a, Math.min(across, most.across)), Math.max(b, Math.min(up, most.up))] as const
  return besideCrease({ ...form, [edge]: made }, edge)
}

/** A bevel of the ground edge ends at a crease; only one that reaches beyond its middle and is as deep takes it away. */
function besideCrease(form: SectionForm, edge: Edge): SectionForm {
  const { crease } = form
  if (edge !== 'outerGround' || !crease) return form
  const [across, up] = form.outerGround
  const near = crease.from - crease.width / 2
  if (across <= near) return form
  if (across < crease.from || up < crease.depth) return { ...form, outerGround: [near, up] }
  const { crease: _gone, ...rest } = form
  return rest
}

/**
 * Works something out once for each shoe: a plan asks for one thing to refuse, to draw, to tell and to place handles. Only
 * the last is remembered: plans come one after the other, and a table of them would have to be swept.
 */
export function perShoe<T>(work: (context: ShoeContext) => T): (context: ShoeContext) => T {
  let last: { context: ShoeContext; result: T } | undefined
  return (context) => {
    if (last?.context !== context) last = { context, result: work(context) }
    return last.result
  }
}

/** The same for each set of figures. */
export function once<V extends object, T>(
  work: (context: ShoeContext, values: V) => T,
): (context: ShoeContext, values: V) => T {
  let last: { context: ShoeContext; values: V; result: T } | undefined
  return (context, values) => {
    if (last?.context !== context || last.values !== values)
      last = { context, values, result: work(context, values) }
    return last.result
  }
}

/** Foremost and hindmost place of the shoe, y: the bar that closes it behind the heels is part of it. */
export const bearing = perShoe(({ rims, closedAtY }): { toeY: number; heelY: number } => {
  const end = (station: number) => placeAt(rims.outer, station).point[1]
  return {
    toeY: end(rims.toe),
    heelY: Math.min(end(0), end(trackLength(rims.outer)), closedAtY ?? Infinity),
  }
})
