/** Index of the last of some rising stations that does not lie beyond a place, by halving; never that of the last station. */
export function segmentAt(stations: readonly number[], station: number): number {
  let low = 0
  let high = stations.length - 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (stations[middle]! <= station) low = middle
    else high = middle
  }
  return low
}
