import { placeAt, trackLength } from '../../geometry/track'
import { along, turnRight, type Vec } from '../../geometry/vector'
import type { Half } from '../../foot/half'
import { webAt } from '../rims'
import type { SectionForm } from '../section-form'
import type { Part, ShoeContext, Values } from './modification'

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

/** A round thing as it is seen from below. */
export const round = ([x, y]: Vec, diameter: number): Vec[] =>
  Array.from({ length: 20 }, (_, i): Vec => {
    const turn = (i / 20) * 2 * Math.PI
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
): Part => ({ label, layer: 'dressed', face, edge: strip(context, from, to, inset), volume: 0 })

/** A round bar has no edges to bevel and no face to crease. */
export const roundBar = ({ section }: ShoeContext): string | undefined =>
  section.shape === 'half-round' ? 'a half-round bar has no edges; choose a flat or concave one' : undefined

/** Foremost and hindmost bearing of the shoe, y. */
export function bearing({ rims }: ShoeContext): { toeY: number; heelY: number } {
  const end = (station: number) => placeAt(rims.outer, station).point[1]
  return { toeY: end(rims.toe), heelY: Math.min(end(0), end(trackLength(rims.outer))) }
}

/** 1 inside a run of shares, fading to 0 at its ends: steel is not forged in steps. A run from 0 on goes on over the toe. */
export function runOut(share: number, [from, to]: readonly [number, number], over = 0.15): number {
  const into = from <= 0 ? 1 : ease((share - from) / over)
  return Math.min(into, ease((to - share) / over))
}

/** 0 to 1 with level ends; 0 and 1 beyond them. */
export function ease(u: number): number {
  const v = Math.min(1, Math.max(0, u))
  return v * v * (3 - 2 * v)
}

/** The same section with a bevel never less than it had. */
export const bevelled = (
  form: SectionForm,
  edge: 'outerGround' | 'innerGround' | 'outerFoot' | 'innerFoot',
  across: number,
  up: number,
): SectionForm => {
  const [a, b] = form[edge]
  const most = { across: form.width * 0.9, up: form.thickness * 0.8 }
  return {
    ...form,
    [edge]: [Math.max(a, Math.min(across, most.across)), Math.max(b, Math.min(up, most.up))],
  }
}

/** Works something out once for each shoe. */
export function perShoe<T>(work: (context: ShoeContext) => T): (context: ShoeContext) => T {
  const known = new WeakMap<ShoeContext, { result: T }>()
  return (context) => {
    const found = known.get(context) ?? { result: work(context) }
    known.set(context, found)
    return found.result
  }
}

/** The same for each set of figures: a plan asks for one thing to refuse, to draw, to tell and to place handles. */
export function once<T>(
  work: (context: ShoeContext, values: Values) => T,
): (context: ShoeContext, values: Values) => T {
  const ofShoe = perShoe(() => new WeakMap<Values, { result: T }>())
  return (context, values) => {
    const known = ofShoe(context)
    const found = known.get(values) ?? { result: work(context, values) }
    known.set(values, found)
    return found.result
  }
}
