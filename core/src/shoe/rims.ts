import type { FootOutline } from '../foot/outline'
import { parallel, rawParallel } from '../geometry/parallel'
import { nearestStation, placeAt, sliceTrack, trackLength, type Track } from '../geometry/track'
import { add, distance, mix, scale, type Vec } from '../geometry/vector'
import { fitReach, type Fit } from './fit'

/** The lines of a plain shoe, each walked from the lateral to the medial heel end. */
export interface Rims {
  outer: Track
  inner: Track
  centreline: Track
  /** Path of the section's centroid, along which the bar's volume runs. */
  centroid: Track
  /** Stations on the outer rim: bends of the quarters and toe. */
  lateralBend: number
  toe: number
  medialBend: number
}

/**
 * Lays the shoe's rims along the foot.
 *
 * @param width of the bar in mm
 * @param centroidInset from the outer rim to the section's centroid, mm
 */
export function layRims(outline: FootOutline, fit: Fit, width: number, centroidInset: number): Rims {
  const end = trackLength(outline.track)
  const run = sliceTrack(outline.track, -fit.heelLength, end + fit.heelLength)
  // The slice counts its stations from its own start; the fit is told by the foot's.
  const reach = fitReach(fit, outline)
  const outer = rawParallel(run, (station) => reach(station - fit.heelLength))
  const onRim = (footStation: number) => stationBeside(run, outer, footStation + fit.heelLength)
  const centreline = parallel(outer, -width / 2)
  return {
    outer,
    inner: parallel(outer, -width),
    centreline,
    centroid: centroidInset === width / 2 ? centreline : parallel(outer, -centroidInset),
    lateralBend: onRim(outline.lateralWidest),
    toe: onRim(outline.toe),
    medialBend: onRim(outline.medialWidest),
  }
}

/** The station on a point-for-point parallel that lies beside a station of its source. */
function stationBeside(source: Track, beside: Track, station: number): number {
  const i = Math.max(
    1,
    source.stations.findIndex((s) => s >= station),
  )
  const from = source.stations[i - 1]!
  const share = (station - from) / (source.stations[i]! - from)
  return beside.stations[i - 1]! + share * (beside.stations[i]! - beside.stations[i - 1]!)
}

/** The whole shoe as one closed outline, heel ends rounded as they come off the rasp. */
export function shoeBody(rims: Rims, width: number): Vec[] {
  const radius = Math.min(width * 0.35, trackLength(rims.outer) / 20)
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
