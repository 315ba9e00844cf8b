import type { Vec } from '../geometry/vector'
import { nearestAlong, stationsAlong } from '../geometry/walked'
import { formatFigure } from '../units/figure'
import { CARDS, cornersOf, MARK_IDS, type Card } from './card'
import { footEdge, type FollowedEdge, type Looks, type Progress } from './foot-edge'
import { viewAbove } from './height'
import { findMarks, type FoundMark } from './marks'
import type { Picture } from './picture'
import { planeSeen, type SeenPlane } from './plane'
import { fineness, placeAt, type View } from './view'
import { shoeEdge } from './shoe-edge'
import { PHOTO_TAPS, ROUND, type PhotoTap, type SevenTaps } from './taps'

/** What is asked of a photograph. */
export interface PhotoWork {
  object: 'foot' | 'shoe'
  card?: Card['key']
  /** From the middle of mark 0 to that of mark 1 as it was printed, mm. */
  centreDistance?: number
  /** What lies above the card's plane, mm. */
  height?: number
  /** Of the camera, mm on 35 mm film, where the picture says it. */
  focal35?: number
  /** Pixels of the upright picture. */
  taps: SevenTaps
  /** Of a foot that is known: its wall from the outer to the inner heel as it was measured, mm in a frame of its own. */
  wall?: readonly Vec[] | undefined
  /** Pixels on the edge of a foot that were tapped besides, where it was doubtful. */
  more?: readonly Vec[]
}

/** The plane of a card in a picture, with its marks. */
export interface CardSeen extends SeenPlane {
  marks: FoundMark[]
}

/** An outline out of a photograph, mm in the card's plane: origin in the middle of its marks, x from mark 0 to mark 1. */
export interface PhotoTrace {
  /** Of a foot closed round it, from the outer heel on over the toe; of a shoe its outer rim from heel to heel. */
  outline: Vec[]
  inner?: Vec[]
  holes?: Vec[]
  /** How far the marks lie from where they should, mm. */
  residual: number
  marks: { id: number; found: boolean }[]
  /** Stretches of the outline where its edge is doubtful: from and to, mm along it from its first point. */
  doubtful: [number, number][]
  /** How the plane of the thing itself comes into the picture. */
  view: View
}

/** What came of it: an outline, or a sentence that says why there is none. */
export type Traced<T> = ({ ok: true } & T) | { ok: false; problem: string }

/** An edge less clear than this asks for a look. */
const CLEAR = 0.34
/** A stretch that is shorter, mm, is a corner of the heel or a straw: nothing to look at. */
const SHORTEST = 4
/** Pixels to a mm that colours need. */
const COARSE = 4
/** The least that an edge needs, pixels to a mm. */
const LEAST_FINE = 1.5

/** The card in a picture. @param centreDistance mm between its marks 0 and 1 as printed; as meant where it is not said */
export function cardSeen(
  picture: Picture,
  key: Card['key'] = 'square',
  centreDistance?: number,
): Traced<CardSeen> {
  const { marks, twice } = findMarks(picture)
  const card = CARDS.find((each) => each.key === key)!
  if (twice.length > 0)
    return {
      ok: false,
      problem: `Two cards lie in the picture: mark ${twice[0]! + 1} is seen more than once. Take away or cover one of them.`,
    }
  if (marks.length === 0)
    return {
      ok: false,
      problem: 'No mark of the scale card was found: all four must be seen whole, sharp and without glare.',
    }
  if (marks.length < 3)
    return {
      ok: false,
      problem: `Only ${marks.length === 1 ? 'one mark' : 'two marks'} of the scale card ${marks.length === 1 ? 'was' : 'were'} found: at least three of four must be seen whole.`,
    }
  const by = (of: Card, some: readonly FoundMark[]): SeenPlane => {
    const corners = cornersOf(of, of === card && centreDistance ? centreDistance / card.across : 1)
    return planeSeen(
      some.flatMap(({ id }) => corners[id]!),
      some.flatMap((mark) => mark.corners),
      picture,
    )
  }
  const seen = by(card, marks)
  if (seen.residual <= MOST_RESIDUAL) return { ok: true, ...seen, marks }
  return { ok: false, problem: whyNoPlane(marks, card, by, seen.residual) }
}

/** Marks that lie further from where they should, root mean square in mm, are explained by no one plane. */
const MOST_RESIDUAL = 0.3

/** Why marks that were found make no plane: those of another card, one that belongs to a second card, a card that is bent. */
function whyNoPlane(
  marks: readonly FoundMark[],
  card: Card,
  by: (card: Card, marks: readonly FoundMark[]) => SeenPlane,
  residual: number,
): string {
  const other = CARDS.find((one) => one !== card && by(one, marks).residual <= MOST_RESIDUAL)
  if (other)
    return `These are the marks of the other card (“${other.label}”), not of “${card.label}”: choose that one.`
  const odd =
    marks.length === 4
      ? marks.find((mark) => {
          const others = marks.filter((one) => one !== mark)
          return by(card, others).residual <= MOST_RESIDUAL
        })
      : undefined
  const so = `The marks do not lie in one plane as those of one card do (off by ${formatFigure(residual, 'length')})`
  return odd
    ? `${so}: mark ${odd.id + 1} does not belong to the other three. Is there a second card, or is a corner bent up?`
    : `${so}: marks of two cards, a bent card, or one that is printed at another shape. Lay one card flat beside the foot.`
}

/** Follows the edge of a foot or a shoe in a photograph with a scale card. */
export function tracePhoto(
  picture: Picture,
  work: PhotoWork,
  progress: Progress = () => undefined,
): Traced<PhotoTrace> {
  const seen = cardSeen(picture, work.card, work.centreDistance)
  if (!seen.ok) return seen
  progress(0.3)
  const traced = traceIn(picture, seen, work, (share) => progress(0.3 + 0.7 * share))
  if (!traced.ok) return traced
  const found = new Set(seen.marks.map(({ id }) => id))
  return {
    ...traced,
    residual: seen.residual,
    marks: MARK_IDS.map((id) => ({ id, found: found.has(id) })),
  }
}

/** The same where the plane is known: by a card that was found before, or by a length in the picture. */
export function traceIn(
  picture: Picture,
  plane: SeenPlane,
  { object, height = 0, focal35, taps, wall, more = [] }: Omit<PhotoWork, 'card' | 'centreDistance'>,
  progress: Progress = () => undefined,
): Traced<Omit<PhotoTrace, 'residual' | 'marks'>> {
  const outside = PHOTO_TAPS.find(({ key }) => {
    const [u, v] = taps[key]
    return !(u >= 0 && v >= 0 && u < picture.width && v < picture.height)
  })
  if (outside) return { ok: false, problem: `${outside.label}: the tap lies outside the picture.` }
  const view = viewAbove(plane.view, height, focal35)
  const places = Object.fromEntries(
    PHOTO_TAPS.map(({ key }): [PhotoTap, Vec] => [key, placeAt(view, taps[key])]),
  ) as SevenTaps
  const problem = whyNoThing(places)
  if (problem) return { ok: false, problem }
  const fine = fineness(view, places.toe)
  if (!(fine >= LEAST_FINE))
    return {
      ok: false,
      problem: 'The picture is too coarse for an edge: take it from nearer, or at its full size.',
    }
  const by = Math.max(1, Math.min(6, Math.floor(fine / COARSE)))
  const looks: Looks = {
    full: { picture, view, by: 1 },
    coarse: { picture, view, by },
  }
  if (object === 'foot') {
    const besides = more.map((tap) => placeAt(view, tap))
    const edge = fromHeel(footEdge(looks, { taps: places, more: besides, known: wall }, progress), places)
    return {
      ok: true,
      outline: rounded(edge.line),
      doubtful: ofWall(edge, places, doubtfulOf(lookedAt(beside(edge, places), besides)), besides.length > 0),
      view,
    }
  }
  const { outer, inner, holes } = shoeEdge(looks, places, progress)
  const [rim, within] = [fromHeel(outer, places), fromHeel(inner, places)]
  return {
    ok: true,
    outline: rounded(rim.line),
    inner: rounded(within.line),
    holes: rounded(holes),
    doubtful: withEnds(rim, orAllOf(rim, doubtfulOf(rim))),
    view,
  }
}

/** Taps that cannot be a foot's or a shoe's, in words. */
function whyNoThing(places: SevenTaps): string | undefined {
  const off = (a: PhotoTap, b: PhotoTap) =>
    Math.hypot(places[a][0] - places[b][0], places[a][1] - places[b][1])
  const wide = off('lateralWidest', 'medialWidest')
  const long = (off('toe', 'lateralHeel') + off('toe', 'medialHeel')) / 2
  if (!(wide > 40 && wide < 320 && long > 40 && long < 360))
    return 'The taps lie too near to each other or too far apart for a foot or a shoe: tap each of the seven places once more.'
  const side = (key: PhotoTap) => {
    const [x, y] = places[key]
    const [ax, ay] = [
      (places.lateralHeel[0] + places.medialHeel[0]) / 2,
      (places.lateralHeel[1] + places.medialHeel[1]) / 2,
    ]
    return (places.toe[0] - ax) * (y - ay) - (places.toe[1] - ay) * (x - ax)
  }
  const outer = ['lateralHeel', 'lateralWidest', 'lateralToeQuarter'] as const
  const inner = ['medialHeel', 'medialWidest', 'medialToeQuarter'] as const
  const sign = Math.sign(side('lateralWidest'))
  if (!outer.every((key) => side(key) * sign > 0) || !inner.every((key) => side(key) * sign < 0))
    return 'The taps of the outer and of the inner side lie across each other: tap each of the seven places once more.'
  return undefined
}

/** A closed edge from the outer heel on over the toe; an open one from the outer heel on. */
function fromHeel(
  { line, clear, closed }: FollowedEdge,
  { lateralHeel, lateralWidest, medialHeel }: SevenTaps,
): FollowedEdge {
  const off = (i: number, [x, y]: Vec) => Math.hypot(line[i]![0] - x, line[i]![1] - y)
  if (!closed)
    return off(0, lateralHeel) <= off(0, medialHeel)
      ? { line, clear, closed }
      : { line: [...line].reverse(), clear: [...clear].reverse(), closed }
  const nearest = (tap: Vec) => line.reduce((best, _, i) => (off(i, tap) < off(best, tap) ? i : best), 0)
  const [start, next, end] = [lateralHeel, lateralWidest, medialHeel].map(nearest) as [number, number, number]
  const n = line.length
  const ahead = (from: number, to: number) => (to - from + n) % n
  const forward = ahead(start, next) < ahead(start, end)
  const order = Array.from({ length: n }, (_, i) => (forward ? start + i : start - i + n) % n)
  return { line: order.map((i) => line[i]!), clear: order.map((i) => clear[i]!), closed }
}

/** Taps lie so near to an edge that was followed rightly, mm: each of them, and all of them on the whole. */
const TAP_OFF = 4.6
const TAPS_OFF = 3.2
/** How far to both sides a tap that is off is a reason to look, mm. */
const LOOK = 15

/** An edge that does not keep to the taps is doubtful, however clear it is: it may be another one, the white line. */
function beside(edge: FollowedEdge, places: SevenTaps): FollowedEdge {
  const taps = ROUND.map((key) => places[key])
  const stations = stationsAlong(edge.line)
  const near = taps.map((tap) => nearestAlong(edge.line, tap, stations))
  if (near.reduce((sum, { off }) => sum + off, 0) / near.length > TAPS_OFF)
    return { ...edge, clear: edge.clear.map(() => 0) }
  const wrong = near.filter(({ off }) => off > TAP_OFF)
  return {
    ...edge,
    clear: edge.clear.map((clear, i) =>
      wrong.some(({ station }) => Math.abs(station - stations[i]!) < LOOK) ? 0 : clear,
    ),
  }
}

/** A tap besides settles its edge so far to both sides, where the edge keeps to it, mm. */
const SETTLES = 16
const KEPT_TO = 2.5

/** What a hand tapped besides is not asked again. */
function lookedAt(edge: FollowedEdge, besides: readonly Vec[]): FollowedEdge {
  const stations = stationsAlong(edge.line)
  const whole = stations[stations.length - 1]!
  const settled = besides
    .map((tap) => nearestAlong(edge.line, tap, stations))
    .filter(({ off }) => off < KEPT_TO)
  const near = (a: number, b: number) => Math.min(Math.abs(a - b), whole - Math.abs(a - b)) < SETTLES
  return {
    ...edge,
    clear: edge.clear.map((clear, i) =>
      settled.some(({ station }) => near(station, stations[i]!)) ? 1 : clear,
    ),
  }
}

/** Stretches that are not clear, those shorter than a few mm left out, those that nearly touch joined. */
function doubtfulOf({ line, clear }: FollowedEdge): [number, number][] {
  const stations = stationsAlong(line)
  const found: [number, number][] = []
  clear.forEach((value, i) => {
    if (value >= CLEAR) return
    const last = found[found.length - 1]
    if (last && stations[i]! - last[1] < 4) last[1] = stations[i]!
    else found.push([stations[i]!, stations[i]!])
  })
  return found.filter(([from, to]) => to - from >= SHORTEST).map(([from, to]) => [round(from), round(to)])
}

/** Where more of an edge than this is doubtful nobody is sure of the rest either: ground and wall look alike. */
const SURE_OF_NONE = 0.4

/** Doubtful stretches; all of the line where there are so many that none of it is sure. */
function orAllOf({ line }: Pick<FollowedEdge, 'line'>, stretches: [number, number][]): [number, number][] {
  const whole = stationsAlong(line).at(-1)!
  const doubtful = stretches.reduce((sum, [from, to]) => sum + to - from, 0)
  return doubtful > whole * SURE_OF_NONE ? [[0, round(whole)]] : stretches
}

/** The same of a foot's wall: how its edge runs behind the heels nobody asks. */
function ofWall(
  { line }: FollowedEdge,
  { medialHeel }: SevenTaps,
  stretches: [number, number][],
  /** A hand has begun to say where it runs: stretch by stretch there is less to ask. */
  begun: boolean,
): [number, number][] {
  const { station } = nearestAlong(line, medialHeel)
  const wall = { line: line.slice(0, stationsAlong(line).filter((at) => at <= station).length) }
  const own = stretches.flatMap(([from, to]): [number, number][] =>
    from < station ? [[from, Math.min(to, round(station))]] : [],
  )
  return begun ? own : orAllOf(wall, own)
}

/** Corners of a branch's end come out rounded, over so many mm. */
const ROUNDED_END = 9

/** The two ends of a rim are always to be looked at: its corners are rounded. They are no sign that the rest is not sure. */
function withEnds({ line }: FollowedEdge, stretches: [number, number][]): [number, number][] {
  const whole = round(stationsAlong(line).at(-1)!)
  if (stretches.some(([from, to]) => from === 0 && to === whole)) return stretches
  const between = stretches.filter(([from, to]) => to > ROUNDED_END && from < whole - ROUNDED_END)
  return [[0, ROUNDED_END], ...between, [whole - ROUNDED_END, whole]]
}

const round = (mm: number): number => Math.round(mm * 1000) / 1000
const rounded = (line: readonly Vec[]): Vec[] => line.map(([x, y]): Vec => [round(x), round(y)])
