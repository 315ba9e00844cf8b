import type { Foot } from './measurements'
import type { FootOutline } from './outline'

/** Degrees the wall stands steeper at the buttress than at the widest part (from memory). */
const HEEL_STEEPER = 5

/**
 * How steep the wall stands at a station of the outline, in degrees from the ground, measured square to the wall.
 * Eases from the toe angle at the toe to the side angles at the widest part and a little beyond to the buttress.
 */
export function wallAngleAt(foot: Foot, outline: FootOutline, station: number): number {
  const lateral = station < outline.toe
  const side = lateral ? foot.lateralWallAngle : foot.medialWallAngle
  const widest = lateral ? outline.lateralWidest : outline.medialWidest
  const fromToe = (station - outline.toe) / (widest - outline.toe)
  if (fromToe <= 1) return foot.toeAngle + (side - foot.toeAngle) * ease(fromToe)
  const end = lateral ? 0 : outline.track.stations[outline.track.stations.length - 1]!
  const toHeel = Math.min(1, (station - widest) / (end - widest))
  return side + HEEL_STEEPER * ease(toHeel)
}

/** 0 to 1 with level ends. */
const ease = (u: number): number => u * u * (3 - 2 * u)
