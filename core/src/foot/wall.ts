import { ease } from '../geometry/ease'
import { placeAt } from '../geometry/track'
import { radians } from '../units/angle'
import type { Foot } from './measurements'
import type { FootOutline } from './outline'

/** Degrees the wall stands steeper at the buttress than at the widest part (from memory). */
const HEEL_STEEPER = 5

/**
 * How steep the wall stands at a station of the outline, in degrees from the ground, measured square to the wall.
 * Eases from the toe angle at the toe to the side angles at the widest part and a little beyond to the buttress.
 */
export function wallAngleAt(foot: Foot, outline: FootOutline, station: number): number {
  const { lateral, fromToe, toHeel } = whereAlong(outline, station)
  const side = lateral ? foot.lateralWallAngle : foot.medialWallAngle
  if (fromToe <= 1) return foot.toeAngle + (side - foot.toeAngle) * ease(fromToe)
  return side + HEEL_STEEPER * ease(toHeel)
}

/** The nails stand between these shares of the way from the toe to the widest part; there the measured wall holds. */
const NAILS_FROM = 0.3

/**
 * How thick the wall is at a station of the outline, mm at the ground: as measured where the nails go on that side,
 * easing to the toe's figure before them and to the heels' behind the widest part.
 */
export function wallThicknessAt(foot: Foot, outline: FootOutline, station: number): number {
  const { lateral, fromToe, toHeel } = whereAlong(outline, station)
  const atNails = lateral ? foot.wallThickness : foot.medialWallThickness
  if (fromToe < NAILS_FROM)
    return foot.toeWallThickness + (atNails - foot.toeWallThickness) * ease(fromToe / NAILS_FROM)
  return atNails + (foot.heelWallThickness - atNails) * ease(toHeel)
}

/** How high the wall stands over a station of the outline, mm: the hairline falls evenly from the toe to the heels. */
export function wallHeightAt(foot: Foot, { track }: FootOutline, station: number): number {
  const atToe = foot.dorsalLength * Math.sin(radians(foot.toeAngle))
  const behindToe = (foot.widestFromToe - placeAt(track, station).point[1]) / foot.length
  return atToe + (foot.heelHeight - atToe) * Math.min(1, Math.max(0, behindToe))
}

/** A station by its side and its share of the way from toe to widest part and from there to the buttress. */
function whereAlong(
  outline: FootOutline,
  station: number,
): { lateral: boolean; fromToe: number; toHeel: number } {
  const lateral = station < outline.toe
  const widest = lateral ? outline.lateralWidest : outline.medialWidest
  const end = lateral ? 0 : outline.track.stations[outline.track.stations.length - 1]!
  return {
    lateral,
    fromToe: (station - outline.toe) / (widest - outline.toe),
    toHeel: Math.max(0, Math.min(1, (station - widest) / (end - widest))),
  }
}
