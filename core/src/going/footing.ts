import type { Vec } from '../geometry/vector'
import type { Ground } from '../terms/goings'

/** A small piece of what may meet the ground. */
export interface Element {
  at: Vec
  /** Its underside above the level of the shoe's ground face, mm; minus below it. */
  z: number
  /** mm2 that bear. */
  area: number
  /** mm of edge that cut in. */
  edge: number
  /** N/mm3 of something soft between shoe and ground, where there is some. */
  soft?: number
}

/** How deep a level of a rigid shoe lies in the ground: depth = c + p x + q y, mm. */
export interface Plane {
  c: number
  p: number
  q: number
}

/** A rigid plate on springs as it stands. */
export interface Standing {
  plane: Plane
  /** N on each element, in their order. */
  forces: number[]
}

/** Rock and road for the arithmetic: so stiff that nothing is seen to sink, and still a number. */
const RIGID = 1e6

/** Steps that are tried before a load is said to have no footing; some six are taken where there is one. */
const MOST_STEPS = 200

/** Out of balance that is left, as a share of the load. */
const BALANCED = 1e-9

/** N for a mm of sink that an element brings. */
export function springOf({ area, edge, soft }: Element, ground: Ground): number {
  const stiffness = Math.min(ground.stiffness, RIGID)
  // Two springs one behind the other.
  const k = soft === undefined ? stiffness : (stiffness * soft) / (stiffness + soft)
  return k * area + ground.edge * edge
}

export const depthAt = ({ c, p, q }: Plane, [x, y]: Vec): number => c + p * x + q * y

/**
 * A rigid plate on a bed of springs that push and do not pull (Winkler foundation; foundation engineering texts): where
 * it comes to rest under a load at a point. The energy is convex, so Newton's steps with halving find its one lowest
 * place. Nothing where the load stands outside all that bears: it would tip over.
 */
export function standOn(
  elements: readonly Element[],
  ground: Ground,
  newtons: number,
  [loadX, loadY]: Vec,
): Standing | undefined {
  const springs = elements.map((one) => springOf(one, ground))
  const all = springs.reduce((sum, one) => sum + one, 0)
  if (!(all > 0)) return undefined
  // About the load: the moments to be balanced are then nothing, and the numbers small.
  const xs = elements.map(({ at }) => (at[0] - loadX) / SPAN)
  const ys = elements.map(({ at }) => (at[1] - loadY) / SPAN)
  const lowest = Math.min(...elements.map(({ z }) => z))
  let plane: [number, number, number] = [lowest + newtons / all, 0, 0]
  let now = energyOf(elements, springs, xs, ys, plane, newtons)
  for (let step = 0; step < MOST_STEPS && outOfBalance(now, newtons) > BALANCED; step++) {
    const { force, moment } = now
    let next = now
    let taken = plane
    // Where what is pressed lies on one line nothing holds the plate across it, and a step goes anywhere: it is held more.
    for (let ease = EASE; ease <= 1 && next === now; ease *= EASED) {
      const way = solved(now.bed, [newtons - force, -moment[0], -moment[1]], all * ease)
      let reach = 1
      for (let halved = 0; halved < MOST_HALVINGS; halved++, reach /= 2) {
        taken = [plane[0] + way[0] * reach, plane[1] + way[1] * reach, plane[2] + way[2] * reach]
        const there = energyOf(elements, springs, xs, ys, taken, newtons)
        if (!isBetter(there, now, newtons)) continue
        next = there
        break
      }
    }
    // No step leads lower: what is left is the last digits of the arithmetic.
    if (next === now) break
    plane = taken
    now = next
  }
  if (!(outOfBalance(now, newtons) < STANDS)) return undefined
  const [c, p, q] = [plane[0], plane[1] / SPAN, plane[2] / SPAN]
  return {
    plane: { c: c - p * loadX - q * loadY, p, q },
    forces: springs.map((k, i) => k * Math.max(0, sinkOf(plane, xs[i]!, ys[i]!, elements[i]!.z))),
  }
}

/** Slopes are reckoned over so many mm, so that the three unknowns are of one size. */
const SPAN = 60

/** A hand's weight on a matrix that may have no inverse, as a share of all springs. */
const EASE = 1e-13

/** So many times more where a step leads nowhere. */
const EASED = 1e3

const MOST_HALVINGS = 40

/** Force and moments that nothing answers, as a share of the load. */
const outOfBalance = ({ force, moment }: Pressed, newtons: number): number =>
  Math.hypot(force - newtons, ...moment) / newtons

/** Energies nearer than this share of each other are the same to the arithmetic. */
const SAME = 1e-12

/** Whether a plate lies lower than before; where energies no longer tell, whether it is more in balance. */
function isBetter(next: Pressed, now: Pressed, newtons: number): boolean {
  const gain = now.energy - next.energy
  if (Math.abs(gain) > SAME * Math.abs(now.energy)) return gain > 0
  return outOfBalance(next, newtons) < outOfBalance(now, newtons)
}

/** Out of balance with which a plate is still said to stand. */
const STANDS = 1e-7

const sinkOf = (plane: readonly number[], x: number, y: number, z: number): number =>
  plane[0]! + plane[1]! * x + plane[2]! * y - z

/** What is pressed at one depth: its energy, and force, moments and springs that follow from it. */
interface Pressed {
  energy: number
  force: number
  moment: readonly [number, number]
  /** Sums of the springs: alone, by x, by y, by xx, xy and yy. */
  bed: readonly [number, number, number, number, number, number]
}

/** Energy, and its first and second derivatives, of all that is pressed. Plain numbers: it runs over thousands of elements. */
function energyOf(
  elements: readonly Element[],
  springs: readonly number[],
  xs: readonly number[],
  ys: readonly number[],
  plane: readonly number[],
  newtons: number,
): Pressed {
  let [work, force, mx, my] = [0, 0, 0, 0]
  let [kx, ky, kxx, kxy, kyy, k] = [0, 0, 0, 0, 0, 0]
  for (let i = 0; i < elements.length; i++) {
    const x = xs[i]!
    const y = ys[i]!
    const sink = sinkOf(plane, x, y, elements[i]!.z)
    if (sink <= 0) continue
    const spring = springs[i]!
    const push = spring * sink
    work += (push * sink) / 2
    force += push
    mx += push * x
    my += push * y
    k += spring
    kx += spring * x
    ky += spring * y
    kxx += spring * x * x
    kxy += spring * x * y
    kyy += spring * y * y
  }
  return {
    energy: work - newtons * plane[0]!,
    force,
    moment: [mx, my],
    bed: [k, kx, ky, kxx, kxy, kyy],
  }
}

/** The step that three equations ask for, by Cramer's rule. */
function solved(
  [k, kx, ky, kxx, kxy, kyy]: readonly [number, number, number, number, number, number],
  [a, b, c]: readonly [number, number, number],
  ease: number,
): [number, number, number] {
  const [d, e, f] = [k + ease, kxx + ease, kyy + ease]
  const whole = d * (e * f - kxy * kxy) - kx * (kx * f - kxy * ky) + ky * (kx * kxy - e * ky)
  return [
    (a * (e * f - kxy * kxy) - kx * (b * f - kxy * c) + ky * (b * kxy - e * c)) / whole,
    (d * (b * f - kxy * c) - a * (kx * f - kxy * ky) + ky * (kx * c - b * ky)) / whole,
    (d * (e * c - b * kxy) - kx * (kx * c - b * ky) + a * (kx * kxy - e * ky)) / whole,
  ]
}
