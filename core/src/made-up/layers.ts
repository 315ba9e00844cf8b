import type { Vec } from '../geometry/vector'
import { cornersOf, type Card } from '../photographs/card'
import { squaresOf } from '../photographs/squares'
import { draws, grain, mottled } from './drawn'
import { boxOf, distanceFrom } from './near-line'
import { straws, straysOver, strawOver } from './straw'
import type { Thing } from './things'

/** What lies under foot and card; the first four are drawn where none is asked for. */
export const GROUNDS = ['mat', 'concrete', 'planks', 'earth', 'straw', 'rubber'] as const
export const USUAL_GROUNDS = GROUNDS.slice(0, 4)
export type Ground = (typeof GROUNDS)[number]

type Colour = readonly [number, number, number]

const GROUND: Record<Ground, { colour: Colour; rough: number; fine: number }> = {
  mat: { colour: [52, 54, 58], rough: 10, fine: 14 },
  concrete: { colour: [172, 168, 160], rough: 16, fine: 12 },
  planks: { colour: [168, 128, 84], rough: 22, fine: 10 },
  earth: { colour: [122, 98, 74], rough: 26, fine: 22 },
  straw: { colour: [118, 94, 58], rough: 20, fine: 18 },
  rubber: { colour: [50, 49, 50], rough: 7, fine: 9 },
}

/** The grain of the ground repeats, as in a mirror, after so many. */
const REPEATS = 600
/** mm of ground that is drawn round the middle of card and thing. */
const GROUND_REACH = 200

/** A flat layer of colours: `grains` to a mm from its lower left corner, with how much of it there is. */
export interface Layer {
  left: number
  bottom: number
  wide: number
  high: number
  grains: number
  /** Red, green, blue, share there. */
  data: Float32Array
}

/** A layer over a box whose corners lie on whole mm, so that straight edges of a card fall between grains. */
function layer(box: { left: number; right: number; bottom: number; top: number }, grains: number): Layer {
  const [left, bottom] = [Math.floor(box.left), Math.floor(box.bottom)]
  const [wide, high] = [Math.ceil(box.right - left) * grains, Math.ceil(box.top - bottom) * grains]
  return { left, bottom, wide, high, grains, data: new Float32Array(wide * high * 4) }
}

/** What lies at a place, mm: three colours and how much of it there is, put into `data` from `i` on. */
type Grains = (x: number, y: number, data: Float32Array, i: number) => void

function filled(into: Layer, at: Grains): Layer {
  const { left, bottom, wide, high, grains, data } = into
  for (let j = 0, i = 0; j < high; j++)
    for (let k = 0; k < wide; k++, i += 4) at(left + (k + 0.5) / grains, bottom + (j + 0.5) / grains, data, i)
  return into
}

function put4(data: Float32Array, i: number, red: number, green: number, blue: number, share: number): void {
  data[i] = red
  data[i + 1] = green
  data[i + 2] = blue
  data[i + 3] = share
}

/** A grain of the ground that is worked out once for a piece of it. */
function repeating(grains: number, at: (x: number, y: number) => number): (x: number, y: number) => number {
  const piece = new Float32Array(REPEATS * REPEATS)
  for (let i = 0; i < piece.length; i++)
    piece[i] = at((i % REPEATS) / grains, Math.floor(i / REPEATS) / grains)
  const within = (value: number): number => {
    const i = Math.abs(Math.floor(value * grains)) % (2 * REPEATS)
    return i < REPEATS ? i : 2 * REPEATS - 1 - i
  }
  return (x, y) => piece[within(y) * REPEATS + within(x)]!
}

/** What share of a grain lies inside an edge that is `off` mm away. */
const shareInside = (off: number, grains: number): number => Math.min(1, Math.max(0, 0.5 + off * grains))

/** A place of a piece that is laid on and on, as in a mirror, mm. */
function mirrored(value: number, piece: number): number {
  const at = Math.abs(value) % (2 * piece)
  return at < piece ? at : 2 * piece - at
}

/** The ground with the card on it, and the soft shadow of what lies over it. */
export function groundLayer(
  ground: Ground,
  card: Card,
  thing: Thing,
  height: number,
  seed: number,
  grains: number,
): Layer {
  const { colour, rough, fine } = GROUND[ground]
  const [cx, cy] = [mean(thing.body, 0) / 2, mean(thing.body, 1) / 2]
  const box = {
    left: cx - GROUND_REACH,
    right: cx + GROUND_REACH,
    bottom: cy - GROUND_REACH,
    top: cy + GROUND_REACH,
  }
  const strawAt = ground === 'straw' ? strawOver(straws(seed, REPEATS / grains)) : undefined
  const over = ground === 'straw' ? strawOver(straysOver(thing, seed)) : undefined
  const grainAt = repeating(grains, (x, y) => {
    if (ground === 'rubber' && Math.hypot((x % 26) - 13, (y % 26) - 13) < 6) return 16

    const streak = ground === 'planks' ? mottled(x * 0.02, y * 0.5, seed) : mottled(x * 0.05, y * 0.05, seed)
    return rough * streak + fine * mottled(x * 0.6, y * 0.6, seed + 9)
  })
  const marks = cornersOf(card).map((corners, id) => ({ corner: corners[3]!, squares: squaresOf(id) }))
  const module = card.mark / marks[0]!.squares.length
  const { paper, opening } = card
  const shadow = distanceFrom(thing.body)
  const fall = 2 + height * 0.3
  return filled(layer(box, grains), (x, y, data, i) => {
    const onPaper = Math.abs(x) < paper[0] && Math.abs(y) < paper[1]
    const hole = opening && Math.abs(x) < opening[0] && Math.abs(y) < opening[1]
    // Shadow falls to one side, softly: least where the thing lies on the ground.
    const dark = 1 - 0.22 * smooth((shadow(x - fall, y + fall) + 5) / 8)
    if (onPaper && !hole) {
      const white = 238 + 4 * grain(x * 3, y * 3, seed)
      const black = marks.some(({ corner, squares }) => {
        const [column, row] = [(x - corner[0]) / module, squares.length - (y - corner[1]) / module]
        return squares[Math.floor(row)]?.[Math.floor(column)] ?? false
      })
      const value = (black ? 22 : white) * dark
      return put4(data, i, value, value, value * 0.985, 1)
    }
    const boards = ground === 'planks' ? (Math.abs((((y % 90) + 90) % 90) - 45) > 43.5 ? 0.45 : 1) : 1
    const shade = grainAt(x, y)
    const bright = boards * dark
    const straw = over?.(x, y) ?? strawAt?.(mirrored(x, REPEATS / grains), mirrored(y, REPEATS / grains))
    if (straw) return put4(data, i, straw[0] * bright, straw[1] * bright, straw[2] * bright, 1)
    put4(data, i, (colour[0] + shade) * bright, (colour[1] + shade) * bright, (colour[2] + shade) * bright, 1)
  })
}

/** Horn that is hardly told from dark rubber. */
const DARK_HORN: Colour = [84, 76, 70]

/** The sole of a foot: wall with its fibres, white line, sole, frog. */
export function footLayer(
  { body, outline, taps }: Thing,
  seed: number,
  grains: number,
  ground: Ground,
  alike = 0,
): Layer {
  const draw = draws(seed + 77)
  const over = ground === 'straw' ? strawOver(straysOver({ outline }, seed)) : undefined
  const usual: Colour = draw() < 0.5 ? [112, 100, 90] : [196, 178, 150]
  const own = ground === 'rubber' ? DARK_HORN : usual
  const horn = own.map((value, c) => value + alike * (GROUND[ground].colour[c]! - value)) as unknown as Colour
  const sole: Colour = [184 + draw() * 14, 156 + draw() * 12, 128 + draw() * 12]
  const off = distanceFrom(outline)
  const [ax, ay] = [
    (taps.lateralHeel[0] + taps.medialHeel[0]) / 2,
    (taps.lateralHeel[1] + taps.medialHeel[1]) / 2,
  ]
  const long = Math.hypot(taps.toe[0] - ax, taps.toe[1] - ay)
  const way = [(taps.toe[0] - ax) / long, (taps.toe[1] - ay) / long] as const
  return filled(layer(boxOf(body, 3), grains), (x, y, data, i) => {
    const inside = off(x, y)
    const there = shareInside(inside, grains)
    if (there === 0) return
    const straw = over?.(x, y)
    if (straw) return put4(data, i, straw[0], straw[1], straw[2], there)
    const [forward, side] = [
      (x - ax) * way[0] + (y - ay) * way[1],
      Math.abs((x - ax) * way[1] - (y - ay) * way[0]),
    ]
    const frog = forward < long * 0.62 && side < (long * 0.62 - forward) * 0.3 + 3
    const shade = 14 * mottled(x * 0.25, y * 0.25, seed + 3) + 7 * grain(x * 2.2, y * 2.2, seed + 4)
    let seen: Colour = sole
    if (inside < 9.5) seen = horn
    else if (inside < 11.5) seen = [206, 186, 138]
    else if (frog) seen = [98, 86, 80]
    // The wall turns away at its edge and is a little darker there.
    const edge = 1 - 0.12 * Math.exp(-inside / 1.2)
    put4(data, i, (seen[0] + shade) * edge, (seen[1] + shade) * edge, (seen[2] + shade) * edge, there)
  })
}

/** A shoe fresh from the anvil: grey iron, scale on it, a crease with its holes. */
export function shoeLayer({ body, holes }: Thing, seed: number, grains: number): Layer {
  const off = distanceFrom(body)
  return filled(layer(boxOf(body, 3), grains), (x, y, data, i) => {
    const inside = off(x, y)
    const there = shareInside(inside, grains)
    if (there === 0) return
    const hole = holes.some(([hx, hy]) => Math.hypot(x - hx, y - hy) < 2.4)
    const scale = 14 * mottled(x * 0.2, y * 0.2, seed + 3) + 8 * grain(x * 1.7, y * 1.7, seed + 4)
    const edge = 1 + 0.15 * Math.exp(-inside / 0.8)
    const value = hole ? 14 : (98 + scale) * edge
    put4(data, i, value * 0.97, value, value * 1.06, there)
  })
}

const smooth = (u: number): number => {
  const t = Math.min(1, Math.max(0, u))
  return t * t * (3 - 2 * t)
}
const mean = (points: readonly Vec[], axis: 0 | 1): number =>
  points.reduce((sum, point) => sum + point[axis], 0) / points.length
