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
  let low = 0
  let high = stations.length - 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (stations[middle]! <= station) low = middle
    else high = middle
  }
  if (stations[high] === station) return figures[high]!
  const span = stations[high]! - stations[low]!
  const share = span === 0 ? 0 : Math.min(1, Math.max(0, (station - stations[low]!) / span))
  return figures[low]! + (figures[high]! - figures[low]!) * share
}
