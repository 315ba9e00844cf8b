import { add, rotated, type Vec } from '../geometry/vector'
import { CARDS, cornersOf, type Card } from '../photographs/card'
import { squaresOf } from '../photographs/squares'
import type { Picture } from '../photographs/picture'
import type { SevenTaps } from '../photographs/taps'
import { cameraAt, type Camera } from './camera'
import { draws, grain, mottled } from './drawn'
import { boxOf, distanceFrom } from './near-line'
import { shoeOf, soleOf, someFoot, type Thing } from './things'

/** How a made-up photograph is taken; what is not said follows from the seed. */
export interface PhotoWish {
  seed: number
  object?: 'foot' | 'shoe'
  /** Degrees from straight above. */
  tilt?: number
  /** What the thing lies above the card, mm. */
  height?: number
  ground?: Ground
  card?: Card['key']
  /** The wall has the colour of the ground: what no eye can tell, no tracing should claim. */
  alike?: boolean
  width?: number
  /** How far taps lie beside their places, mm. */
  tapping?: number
}

export const GROUNDS = ['mat', 'concrete', 'planks', 'earth'] as const
export type Ground = (typeof GROUNDS)[number]

/** What is true of it: mm in the card's plane (origin in the middle of its marks), taps in pixels. */
export interface PhotoTruth {
  seed: number
  object: 'foot' | 'shoe'
  card: Card['key']
  centreDistance: number
  height: number
  focal35: number
  tilt: number
  ground: Ground
  taps: SevenTaps
  /** What the foot measures, or the foot that the shoe was made for, mm. */
  foot: { width: number; length: number; heelWidth: number }
  outline: Vec[]
  inner?: Vec[]
  holes?: Vec[]
  /** Corners of the four marks in pixels. */
  marks: Vec[][]
}

type Colour = readonly [number, number, number]

const GROUND: Record<Ground, { colour: Colour; rough: number; fine: number }> = {
  mat: { colour: [52, 54, 58], rough: 10, fine: 14 },
  concrete: { colour: [172, 168, 160], rough: 16, fine: 12 },
  planks: { colour: [168, 128, 84], rough: 22, fine: 10 },
  earth: { colour: [122, 98, 74], rough: 26, fine: 22 },
}

/** Grains of a thing and of the ground to a mm, for a picture of this width: finer ones would not be seen in it. */
const grainsFor = (width: number) => (width > 2400 ? { thing: 6, ground: 4 } : { thing: 4, ground: 3 })
/** The grain of the ground repeats, as in a mirror, after so many. */
const REPEATS = 600
/** mm of ground that is drawn round the middle of card and thing. */
const GROUND_REACH = 200

/** A flat layer of colours: `grains` to a mm from its lower left corner, with how much of it there is. */
interface Layer {
  left: number
  bottom: number
  wide: number
  high: number
  grains: number
  /** Red, green, blue, share there. */
  data: Float32Array
}

/** A photograph of a foot's sole or of a shoe beside a scale card, made up, with all that is true of it. */
export function madeUpPhotograph(wish: PhotoWish): { picture: Picture; truth: PhotoTruth } {
  const draw = draws(wish.seed)
  const object = wish.object ?? 'foot'
  const ground = wish.ground ?? GROUNDS[Math.floor(draw() * GROUNDS.length)]!
  const foot = someFoot(draw)
  const thing = object === 'foot' ? soleOf(foot) : shoeOf(foot)
  const key = wish.card ?? 'square'
  const card = CARDS.find((each) => each.key === key)!
  const height = wish.height ?? 0
  // The thing lies beside the card, or in the middle of the sheet, a little turned.
  const turn = ((draw() - 0.5) * 30 * Math.PI) / 180
  const beside: Vec =
    key === 'square' ? [(draw() < 0.5 ? 1 : -1) * (150 + draw() * 12), (draw() - 0.5) * 40] : [0, -4]
  const placed = (point: Vec): Vec => add(rotated(point, key === 'square' ? turn : turn / 5), beside)
  const put: Thing = {
    outline: thing.outline.map(placed),
    ...(thing.inner && { inner: thing.inner.map(placed) }),
    body: thing.body.map(placed),
    holes: thing.holes.map(placed),
    taps: Object.fromEntries(
      Object.entries(thing.taps).map(([name, at]) => [name, placed(at)]),
    ) as unknown as SevenTaps,
  }
  const width = wish.width ?? 4000
  const tilt = wish.tilt ?? draw() * 30
  const focal35 = 24 + Math.round(draw() * 4)
  const camera = cameraAt({
    ...{ width, height: Math.round(width * 0.75), tilt, toward: draw() * 360, turn: (draw() - 0.5) * 20 },
    middle: key === 'square' ? [beside[0] * 0.5, beside[1] * 0.4] : [0, 0],
    across: (key === 'square' ? 265 : 340) / Math.cos((tilt * Math.PI) / 180),
    bend: (draw() - 0.5) * 0.02,
    focal35,
  })
  const light = lightOver(draw, camera)
  const picture = taken(camera, {
    below: groundLayer(ground, card, put, height, wish.seed, grainsFor(width).ground),
    above:
      object === 'foot'
        ? footLayer(put, wish.seed, grainsFor(width).thing, wish.alike ? GROUND[ground].colour : undefined)
        : shoeLayer(put, wish.seed, grainsFor(width).thing),
    height,
    light,
    soft: 0.5 + draw() * 0.8,
    noise: 2 + draw() * 3,
    seed: wish.seed,
  })
  const tapping = wish.tapping ?? 3
  const tapped = ([x, y]: Vec): Vec => {
    const [way, off] = [draw() * 2 * Math.PI, Math.sqrt(draw()) * tapping]
    return camera.pixelOf([x + Math.cos(way) * off, y + Math.sin(way) * off], height)
  }
  return {
    picture,
    truth: {
      ...{ seed: wish.seed, object, card: key, centreDistance: card.across, height, focal35, tilt, ground },
      taps: Object.fromEntries(
        Object.entries(put.taps).map(([name, at]) => [name, tapped(at)]),
      ) as unknown as SevenTaps,
      foot: { width: foot.width, length: foot.length, heelWidth: foot.heelWidth },
      outline: put.outline,
      ...(put.inner && { inner: put.inner, holes: put.holes }),
      marks: cornersOf(card).map((corners) => corners.map((corner) => camera.pixelOf(corner, 0))),
    },
  }
}

/** A light from one side and a vignette: how bright a pixel is, times. */
function lightOver(draw: () => number, { width, height }: Camera): (u: number, v: number) => number {
  const [way, steep, bright] = [draw() * 2 * Math.PI, 0.15 + draw() * 0.3, 0.85 + draw() * 0.2]
  const half = Math.hypot(width, height) / 2
  return (u, v) => {
    const [x, y] = [(u - width / 2) / half, (v - height / 2) / half]
    return bright * (1 + steep * (x * Math.cos(way) + y * Math.sin(way))) * (1 - 0.18 * (x * x + y * y))
  }
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

/** The ground with the card on it, and the soft shadow of what lies over it. */
function groundLayer(
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
  const grainAt = repeating(grains, (x, y) => {
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
    put4(data, i, (colour[0] + shade) * bright, (colour[1] + shade) * bright, (colour[2] + shade) * bright, 1)
  })
}

/** The sole of a foot: wall with its fibres, white line, sole, frog. */
function footLayer({ body, outline, taps }: Thing, seed: number, grains: number, colour?: Colour): Layer {
  const draw = draws(seed + 77)
  const usual: Colour = draw() < 0.5 ? [112, 100, 90] : [196, 178, 150]
  const horn = colour ?? usual
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
function shoeLayer({ body, holes }: Thing, seed: number, grains: number): Layer {
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

interface Scene {
  below: Layer
  above: Layer
  height: number
  light: (u: number, v: number) => number
  /** Pixels by which the lens is soft, and how much its grains differ. */
  soft: number
  noise: number
  seed: number
}

function taken(camera: Camera, { below, above, height, light, soft, noise, seed }: Scene): Picture {
  const { width, height: high } = camera
  const draw = draws(seed + 5)
  const raw = new Float32Array(width * high * 3)
  const [under, over] = [new Float32Array(4), new Float32Array(4)]
  for (let v = 0, i = 0; v < high; v++)
    for (let u = 0; u < width; u++, i += 3) {
      const place = camera.placeAt([u, v], 0)
      sampled(below, onGround(below, place), under)
      sampled(above, height === 0 ? place : camera.placeAt([u, v], height), over)
      const [share, bright] = [over[3]!, light(u, v)]
      // Colours of the layer are weighed by how much there is of it.
      for (let k = 0; k < 3; k++) raw[i + k] = (over[k]! + under[k]! * (1 - share)) * bright
    }
  softened(raw, width, high, soft)
  const data = new Uint8ClampedArray(width * high * 4)
  for (let i = 0, j = 0; j < data.length; i += 3, j += 4) {
    const off = (draw() + draw() - 1) * 3 * noise
    data[j] = raw[i]! + off
    data[j + 1] = raw[i + 1]! + off
    data[j + 2] = raw[i + 2]! + off
    data[j + 3] = 255
  }
  return { width, height: high, data }
}

/** The ground goes on: beyond its edge as in a mirror. */
function onGround({ left, bottom, wide, high, grains }: Layer, [x, y]: Vec): Vec {
  const within = (value: number, from: number, long: number): number => {
    const over = (((value - from) % (2 * long)) + 2 * long) % (2 * long)
    return from + (over > long ? 2 * long - over : over)
  }
  return [
    within(x, left + 1 / grains, wide / grains - 3 / grains),
    within(y, bottom + 1 / grains, high / grains - 3 / grains),
  ]
}

/** What a layer has at a place, between its grains; nothing beyond it. Colours come weighed by their share. */
function sampled({ left, bottom, wide, high, grains, data }: Layer, [x, y]: Vec, into: Float32Array): void {
  const [u, v] = [(x - left) * grains - 0.5, (y - bottom) * grains - 0.5]
  const [k, j] = [Math.floor(u), Math.floor(v)]
  into[0] = into[1] = into[2] = into[3] = 0
  if (k < 0 || j < 0 || k + 1 >= wide || j + 1 >= high) return
  const [s, t] = [u - k, v - j]
  const at = (j * wide + k) * 4
  const above = at + wide * 4
  const one = (1 - s) * (1 - t) * data[at + 3]!
  const two = s * (1 - t) * data[at + 7]!
  const three = (1 - s) * t * data[above + 3]!
  const four = s * t * data[above + 7]!
  into[3] = one + two + three + four
  if (into[3] === 0) return
  for (let c = 0; c < 3; c++)
    into[c] =
      one * data[at + c]! + two * data[at + 4 + c]! + three * data[above + c]! + four * data[above + 4 + c]!
}

/** So many columns are softened at once: what is read together lies together. */
const STRIPE = 384

/** A soft lens: each colour spread over its neighbours along a row, then along a column. */
function softened(raw: Float32Array, width: number, high: number, soft: number): void {
  const reach = Math.ceil(soft * 2.5)
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * soft * soft)),
  )
  const sum = kernel.reduce((a, b) => a + b)
  const weights = Float32Array.from(kernel, (value) => value / sum)
  const row = width * 3
  const line = new Float32Array(row)
  for (let from = 0; from < raw.length; from += row) {
    line.set(raw.subarray(from, from + row))
    for (let i = reach * 3; i < row - reach * 3; i++) {
      let value = 0
      for (let k = 0; k < weights.length; k++) value += weights[k]! * line[i + (k - reach) * 3]!
      raw[from + i] = value
    }
  }
  const before = new Float32Array(STRIPE * high)
  for (let left = 0; left < row; left += STRIPE) {
    const wide = Math.min(STRIPE, row - left)
    for (let v = 0; v < high; v++) before.set(raw.subarray(v * row + left, v * row + left + wide), v * STRIPE)
    for (let v = reach; v < high - reach; v++)
      for (let i = 0; i < wide; i++) {
        let value = 0
        for (let k = 0; k < weights.length; k++) value += weights[k]! * before[(v + k - reach) * STRIPE + i]!
        raw[v * row + left + i] = value
      }
  }
}
