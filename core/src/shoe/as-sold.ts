import { readFoot } from '../foot/measurements'
import { footOutline } from '../foot/outline'
import { parallel } from '../geometry/parallel'
import { placeAt, track, trackLength, type Track } from '../geometry/track'
import { unit, type Vec } from '../geometry/vector'
import { onceAsked } from '../geometry/when-asked'
import type { SizeFacts } from '../records/size'
import type { SizeFeet } from '../terms/size-kinds'
import { resolveFit } from './fit'
import { plainLay } from './lay'
import { lengthwise } from './measures'
import { layRims } from './rims'

/** What a shoe measures as it comes from the box, mm: outside at its widest, across its heels, toe to heel line. */
export interface SoldMeasures {
  width: number
  heelsOutside: number
  heelsMiddle: number
  toeToHeels: number
}

/** How factory shoes are shaped: length for a width, how round the toe is (common practice, no source for the amounts). */
const SHAPES: Record<SizeFeet, { side: 'LF' | 'LH'; ratio: number; toeShape: number }> = {
  front: { side: 'LF', ratio: 1, toeShape: 2 },
  hind: { side: 'LH', ratio: 1.05, toeShape: 1.85 },
  either: { side: 'LF', ratio: 1.02, toeShape: 1.95 },
}

/** The foot the shapes are drawn on; they are made larger and smaller from it. */
const DRAWN = 130

/** The outer rim of a made-up shoe of this shape, with how much shorter each millimetre inside it is. */
interface Shape {
  outer: Track
  width: number
  shorter: number
}

/** Drawn once each, when it is first asked for. */
const SHAPE: Record<SizeFeet, () => Shape> = {
  front: onceAsked(() => drawn('front')),
  hind: onceAsked(() => drawn('hind')),
  either: onceAsked(() => drawn('either')),
}

/** How shoes for these feet are shaped, whatever their size. */
export const soldShape = (feet: SizeFeet): Pick<Shape, 'outer' | 'width'> => SHAPE[feet]()

function drawn(feet: SizeFeet): Shape {
  const { side, ratio, toeShape } = SHAPES[feet]
  const read = readFoot({
    ...{ side, toeShape, width: DRAWN, length: DRAWN * ratio, heelWidth: DRAWN * 0.7 },
    ...{ toeAngle: 52, wallThickness: 9 },
  })
  if (!read.ok) throw new Error('The foot that factory shoes are drawn on cannot be read')
  const { foot } = read.value
  const outline = footOutline(foot)
  const web = 1
  const { outer } = layRims(outline, plainLay(resolveFit('general', foot), foot, outline, web), 0.5)
  return { outer, width: widthOf(outer), shorter: trackLength(outer) - trackLength(parallel(outer, -1)) }
}

/** Across a rim at its widest, mm. */
export function widthOf({ points }: Track): number {
  let least = Infinity
  let most = -Infinity
  for (const [x] of points) {
    if (x < least) least = x
    if (x > most) most = x
  }
  return most - least
}

/** As wide as a shoe of so long a centreline usually is, mm outside. */
export function usualWidth({ feet, length, web }: Pick<SizeFacts, 'feet' | 'length' | 'web'>): number {
  const shape = SHAPE[feet]()
  return (shape.width * (length + (shape.shorter * web) / 2)) / trackLength(shape.outer)
}

/** As wide as it comes from the box, mm outside: as said, else as usual for its length. */
export const soldWidth = (facts: SizeFacts): number => facts.width ?? usualWidth(facts)

/** The outer rim made wider and longer by these shares. */
function stretched({ points, tangents }: Track, across: number, along: number): Track {
  return track(
    points.map(([x, y]): Vec => [x * across, y * along]),
    tangents.map(([x, y]) => unit([x * across, y * along])),
  )
}

/** Between these a shoe is longer or shorter than usual for its width, as a share. */
const SHARES = [0.4, 2.5] as const

/** The share along at which an outcome is reached that grows with it, nearly straight: by secants, within a millionth of a millimetre. */
function shareFor(outcome: (along: number) => number, wanted: number): number {
  let [before, at] = [0.95, 1.05]
  let offBefore = outcome(before) - wanted
  for (let i = 0; i < 20; i++) {
    const off = outcome(at) - wanted
    if (Math.abs(off) < 1e-6 || off === offBefore) break
    const next = at - (off * (at - before)) / (off - offBefore)
    ;[before, offBefore] = [at, off]
    at = Math.min(SHARES[1], Math.max(SHARES[0], next))
  }
  return at
}

/** The centreline of a shoe whose outer rim is known, from the lateral to the medial heel. */
const middleOf = (outer: Track, web: number): Track => parallel(outer, -web / 2)

/** What is known of sizes that were asked for before: facts are never changed in place. */
const RIMS = new WeakMap<SizeFacts, Track>()

/** The outer rim of a factory shoe as it lies in the box, from the lateral to the medial heel. */
export function soldRim(facts: SizeFacts): Track {
  const known = RIMS.get(facts)
  if (known) return known
  const rim = drawnRim(facts)
  RIMS.set(facts, rim)
  return rim
}

function drawnRim(facts: SizeFacts): Track {
  const { outer, width } = SHAPE[facts.feet]()
  const across = soldWidth(facts) / width
  const long = (along: number) => trackLength(middleOf(stretched(outer, across, along), facts.web))
  return stretched(outer, across, shareFor(long, facts.length))
}

/** Its centreline. */
export const soldCentreline = (facts: SizeFacts): Track => middleOf(soldRim(facts), facts.web)

/** What a factory shoe measures before anybody bends it: as it is said where it is, else as its shape usually is. */
export function soldMeasures(facts: SizeFacts): SoldMeasures {
  const outer = soldRim(facts)
  const middle = middleOf(outer, facts.web)
  return {
    width: soldWidth(facts),
    heelsOutside: acrossHeels(outer),
    heelsMiddle: acrossHeels(middle),
    toeToHeels: toeToHeels(outer, facts.web),
  }
}

const acrossHeels = (line: Track): number =>
  placeAt(line, 0).point[0] - placeAt(line, trackLength(line)).point[0]

/** How far its branches reach behind its toe, mm: to where their outer edges end, as a fit counts it. */
export function soldReach(facts: SizeFacts): number {
  const { points } = soldRim(facts)
  return Math.max(...points.map(([, y]) => y)) - Math.min(points[0]![1], points[points.length - 1]![1])
}

/** To a rule across the heels, as of a shoe that is made here. */
const toeToHeels = (outer: Track, web: number): number =>
  lengthwise({ outer, inner: parallel(outer, -web), web: [web] }).value

/** The centreline of a shoe that is sold by its width and length, mm: its shape is taken as usual for its feet. */
export function lengthFromSold(sold: {
  feet: SizeFeet
  web: number
  width: number
  toeToHeels: number
}): number {
  const { outer, width } = SHAPE[sold.feet]()
  const across = sold.width / width
  const along = shareFor((share) => toeToHeels(stretched(outer, across, share), sold.web), sold.toeToHeels)
  return trackLength(middleOf(stretched(outer, across, along), sold.web))
}
