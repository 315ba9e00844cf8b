import { segmentAt } from './segment-at'

/**
 * A figure known at some stations, straight between them and level beyond them.
 *
 * @param stations rising, at least one
 * @param figures one beside each station
 */
export function figureAlong(
  stations: readonly number[],
  figures: readonly number[],
  station: number,
): number {
  const last = stations.length - 1
  if (stations[last] === station) return figures[last]!
  const low = segmentAt(stations, station)
  const high = Math.min(last, low + 1)
  const span = stations[high]! - stations[low]!
  const share = span === 0 ? 0 : Math.min(1, Math.max(0, (station - stations[low]!) / span))
  return figures[low]! + (figures[high]! - figures[low]!) * share
}
