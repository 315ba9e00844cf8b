import type { FootOutline } from '../foot/outline'
import { branchRun } from './branch-run'
import { figureAlong } from '../geometry/figure-along'
import { parallel, rawParallel, type Parallel } from '../geometry/parallel'
import { nearestStation, placeAt, sliceTrack, trackLength, type Track } from '../geometry/track'
import { add, distance, mix, scale, type Vec } from '../geometry/vector'
import { addWhenAsked, onceAsked } from '../geometry/when-asked'
import type { Lay, LayPlace, OuterRim } from './lay'

/** The lines of a shoe, each walked from the lateral to the medial heel end. */
export interface Rims extends Omit<OuterRim, 'track'> {
  outer: Track
  inner: Track
  centreline: Parallel
  /** Path of the section's centroid, along which the bar's volume runs. */
  centroid: Parallel
  /** What is laid, at each point of the outer rim, and how wide the web is there, mm. */
  places: readonly LayPlace[]
  web: readonly number[]
}

/**
 * Lays the shoe's rims along the foot.
 *
 * @param centroidShare how far in from the outer rim the section's centroid lies, as a share of the web
 */
export function layRims(outline: FootOutline, lay: Lay, centroidShare: number): Rims {
  const { run, start } = branchRun(outline.track, lay)
  // The slice counts its stations from its own start; the lay is told the foot's.
  const raw = rawParallel(run, (station) => lay.reach(station - start))
  const onRim = (footStation: number) => stationBeside(run, raw, footStation + start)
  const { track: outer, ...stations } = lay.rework({
    track: raw,
    lateralBend: onRim(outline.lateralWidest),
    toe: onRim(outline.toe),
    medialBend: onRim(outline.medialWidest),
  })
  const places = outer.points.map((point, i) => placeOf(outer, stations.toe, i, point))
  const web = places.map(lay.web)
  const inward = (share: number) => parallelBy(outer, web, share)
  // Of a plain shoe that is laid anew by its modifications nobody asks for these.
  const centreline = onceAsked(() => inward(0.5))
  return addWhenAsked(
    { ...stations, outer, places, web },
    {
      inner: () => inward(1),
      centreline,
      centroid: () => (centroidShare === 0.5 ? centreline() : inward(centroidShare)),
    },
  )
}

/** How long the bar of a plain shoe is, mm: the path of its section's centroid, and nothing else of its rims. */
export function plainLength(outline: FootOutline, lay: Lay, width: number, centroidShare: number): number {
  const { run, start } = branchRun(outline.track, lay)
  const outer = rawParallel(run, (station) => lay.reach(station - start))
  return trackLength(parallel(outer, -width * centroidShare))
}

function placeOf(outer: Track, toe: number, i: number, point: Vec): LayPlace {
  const station = outer.stations[i]!
  const long = trackLength(outer)
  const lateral = station < toe
  const fromToe = Math.abs(station - toe)
  return {
    branch: lateral ? 'lateral' : 'medial',
    share: fromToe / (lateral ? toe : long - toe),
    fromToe,
    fromHeel: lateral ? station : long - station,
    point,
  }
}

/** The line inside the outer rim at a share of the web. */
function parallelBy(outer: Track, web: readonly number[], share: number): Parallel {
  if (web.every((width) => width === web[0])) return parallel(outer, -web[0]! * share)
  return parallel(outer, (station) => -figureAlong(outer.stations, web, station) * share)
}

/** The web at a station of the outer rim, mm. */
export const webAt = ({ outer, web }: Rims, station: number): number =>
  figureAlong(outer.stations, web, station)

/** The station on a point-for-point parallel that lies beside a station of its source. */
export function stationBeside(source: Track, beside: Track, station: number): number {
  let i = 1
  while (i + 1 < source.stations.length && source.stations[i]! < station) i++
  const from = source.stations[i - 1]!
  const share = (station - from) / (source.stations[i]! - from)
  return beside.stations[i - 1]! + share * (beside.stations[i]! - beside.stations[i - 1]!)
}

/** The whole shoe as one closed outline, heel ends rounded as they come off the rasp. */
export function shoeBody(rims: Pick<Rims, 'outer' | 'inner' | 'web'>): Vec[] {
  const narrowest = Math.min(rims.web[0]!, rims.web[rims.web.length - 1]!)
  const radius = Math.min(narrowest * 0.35, trackLength(rims.outer) / 20)
  const shorten = (t: Track) => sliceTrack(t, radius, trackLength(t) - radius)
  const outer = shorten(rims.outer)
  const inner = shorten(rims.inner)
  const ends = { outer: trackLength(rims.outer), inner: trackLength(rims.inner) }
  const lateral = heelEnd(placeAt(rims.outer, 0).point, placeAt(rims.inner, 0).point, radius)
  const medial = heelEnd(placeAt(rims.outer, ends.outer).point, placeAt(rims.inner, ends.inner).point, radius)
  return [
    ...outer.points,
    ...rounded(outer.points[outer.points.length - 1]!, medial.outerCorner, medial.fromOuter),
    ...rounded(medial.fromInner, medial.innerCorner, inner.points[inner.points.length - 1]!),
    ...inner.points.slice().reverse(),
    ...rounded(inner.points[0]!, lateral.innerCorner, lateral.fromInner),
    ...rounded(lateral.fromOuter, lateral.outerCorner, outer.points[0]!),
  ]
}

function heelEnd(outerCorner: Vec, innerCorner: Vec, radius: number) {
  const share = Math.min(0.5, radius / Math.max(radius, distance(outerCorner, innerCorner)))
  return {
    outerCorner,
    innerCorner,
    fromOuter: mix(outerCorner, innerCorner, share),
    fromInner: mix(innerCorner, outerCorner, share),
  }
}

/** Points of the parabola that leaves `from` toward `corner` and arrives at `to` from it. */
function rounded(from: Vec, corner: Vec, to: Vec): Vec[] {
  return [0.2, 0.4, 0.6, 0.8].map((t) =>
    add(add(scale(from, (1 - t) ** 2), scale(corner, 2 * t * (1 - t))), scale(to, t * t)),
  )
}

/** The station of the middle of the toe on the centroid's path. */
export const toeStation = (rims: Rims): number =>
  nearestStation(rims.centroid, placeAt(rims.outer, rims.toe).point)
