import { add, rotated, type Vec } from '../geometry/vector'
import { CARDS, cornersOf, type Card } from '../photographs/card'
import type { Picture } from '../photographs/picture'
import type { SevenTaps } from '../photographs/taps'
import type { FootInput } from '../records/foot'
import { cameraAt } from './camera'
import { draws } from './drawn'
import { lightOver, taken } from './exposure'
import { footLayer, groundLayer, USUAL_GROUNDS, shoeLayer, type Ground } from './layers'
import { shoeOf, soleOf, someFoot, type Thing } from './things'

/** How a made-up photograph is taken; what is not said follows from the seed. */
export interface PhotoWish {
  seed: number
  /** Whose sole, or whose shoe. */
  foot?: FootInput
  object?: 'foot' | 'shoe'
  /** Degrees from straight above. */
  tilt?: number
  /** What the thing lies above the card, mm. */
  height?: number
  ground?: Ground
  card?: Card['key']
  /** By what share the wall has the colour of the ground (true: wholly): what no eye can tell, no tracing should claim. */
  alike?: boolean | number
  width?: number
  /** How far taps lie beside their places, mm. */
  tapping?: number
}

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
  /** Where a foot's wall ends, or a branch of a shoe is tapped: outer and inner. */
  heels: readonly [Vec, Vec]
  inner?: Vec[]
  holes?: Vec[]
  /** Corners of the four marks in pixels. */
  marks: Vec[][]
}

/** Grains of a thing and of the ground to a mm, for a picture of this width: finer ones would not be seen in it. */
const grainsFor = (width: number) => (width > 2400 ? { thing: 6, ground: 4 } : { thing: 4, ground: 3 })
/** A photograph of a foot's sole or of a shoe beside a scale card, made up, with all that is true of it. */
export function madeUpPhotograph(wish: PhotoWish): { picture: Picture; truth: PhotoTruth } {
  const draw = draws(wish.seed)
  const object = wish.object ?? 'foot'
  const ground = wish.ground ?? USUAL_GROUNDS[Math.floor(draw() * USUAL_GROUNDS.length)]!
  const any = someFoot(draw)
  const foot = wish.foot ?? any
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
        ? footLayer(put, wish.seed, grainsFor(width).thing, ground, Number(wish.alike ?? 0))
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
      heels: [put.taps.lateralHeel, put.taps.medialHeel],
      ...(put.inner && { inner: put.inner, holes: put.holes }),
      marks: cornersOf(card).map((corners) => corners.map((corner) => camera.pixelOf(corner, 0))),
    },
  }
}
