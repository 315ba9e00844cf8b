import type { Track } from '../geometry/track'

/**
 * The ground outline of a foot, walked from the lateral buttress round the toe to the medial buttress
 * (counter-clockwise in the frame x lateral, y toward the toe, origin on the frog axis at the widest part).
 */
export interface FootOutline {
  track: Track
  /** Stations on the track in mm: widest points and toe; the buttresses are its two ends. */
  lateralWidest: number
  toe: number
  medialWidest: number
}

/** An outline walked in equal numbers of steps from heel to widest place, to toe, to widest place, to heel. */
export const fourPieces = (track: Track, steps: number): FootOutline => ({
  track,
  lateralWidest: track.stations[steps]!,
  toe: track.stations[2 * steps]!,
  medialWidest: track.stations[3 * steps]!,
})
