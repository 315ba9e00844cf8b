import type { Vec } from '../geometry/vector'
import { draws } from './drawn'
import type { Thing } from './things'

type Colour = readonly [number, number, number]

/** A stalk: from where to where, how wide, mm, and how bright. */
interface Stalk {
  from: Vec
  to: Vec
  wide: number
  bright: number
}

const COLOUR: Colour = [214, 184, 122]
/** So many stalks lie on a square of 100 mm. */
const DENSE = 70

const stalkAt = (draw: () => number, [x, y]: Vec, long: number): Stalk => {
  const way = draw() * Math.PI
  const [dx, dy] = [(Math.cos(way) * long) / 2, (Math.sin(way) * long) / 2]
  return { from: [x - dx, y - dy], to: [x + dx, y + dy], wide: 1.6 + draw() * 3, bright: 0.6 + draw() * 0.55 }
}

/** Stalks that lie to and fro on a square piece of ground, mm. */
export function straws(seed: number, piece: number): Stalk[] {
  const draw = draws(seed + 311)
  return Array.from({ length: Math.round((piece / 100) ** 2 * DENSE) }, () =>
    stalkAt(draw, [draw() * piece, draw() * piece], 40 + draw() * 90),
  )
}

/** A few that lie over the edge of a foot, as they do where it was set down. */
export function straysOver({ outline }: Pick<Thing, 'outline'>, seed: number): Stalk[] {
  const draw = draws(seed + 517)
  return Array.from({ length: 6 }, () =>
    stalkAt(draw, outline[Math.floor(draw() * outline.length)]!, 16 + draw() * 30),
  )
}

/** Squares in which stalks are looked for, mm. */
const CELL = 6

/** The colour of the uppermost stalk at a place; nothing between them. */
export function strawOver(stalks: readonly Stalk[]): (x: number, y: number) => Colour | undefined {
  const cells = new Map<string, Stalk[]>()
  const put = (stalk: Stalk, x: number, y: number) => {
    const key = `${Math.floor(x / CELL)} ${Math.floor(y / CELL)}`
    const known = cells.get(key)
    if (!known) cells.set(key, [stalk])
    else if (!known.includes(stalk)) known.push(stalk)
  }
  for (const stalk of stalks) {
    const { from, to, wide } = stalk
    const steps = Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / 2)
    for (let k = 0; k <= steps; k++)
      for (const [ox, oy] of [
        [-wide, -wide],
        [wide, -wide],
        [-wide, wide],
        [wide, wide],
        [0, 0],
      ] as const)
        put(
          stalk,
          from[0] + ((to[0] - from[0]) * k) / steps + ox,
          from[1] + ((to[1] - from[1]) * k) / steps + oy,
        )
  }
  return (x, y) => {
    const near = cells.get(`${Math.floor(x / CELL)} ${Math.floor(y / CELL)}`)
    if (!near) return undefined
    for (let i = near.length - 1; i >= 0; i--) {
      const { from, to, wide, bright } = near[i]!
      const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
      const long = Math.hypot(dx, dy)
      const along = ((x - from[0]) * dx + (y - from[1]) * dy) / long
      const beside = ((x - from[0]) * dy - (y - from[1]) * dx) / long
      if (along < 0 || along > long || Math.abs(beside) > wide / 2) continue
      // Round: bright along its back, dark at its sides.
      const round = bright * (1.05 - 0.45 * ((2 * beside) / wide) ** 2)
      return [COLOUR[0] * round, COLOUR[1] * round, COLOUR[2] * round]
    }
    return undefined
  }
}
