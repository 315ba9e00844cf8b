/**
 * A figure that runs through given ones without a corner, level at both ends and never beyond its neighbours: the
 * piecewise cubic of Fritsch and Carlson (SIAM J. Numer. Anal. 17, 1980), slopes as harmonic means.
 *
 * @param stops pairs of place, rising, and figure; at least one
 * @returns the figure at any place, level beyond the first and the last
 */
export function blended(stops: readonly (readonly [at: number, figure: number])[]): (at: number) => number {
  const rises = stops.slice(1).map(([at, figure], i) => (figure - stops[i]![1]) / (at - stops[i]![0]))
  const slopes = stops.map((_, i) => {
    const [before, after] = [rises[i - 1], rises[i]]
    if (before === undefined || after === undefined || before * after <= 0) return 0
    return (2 * before * after) / (before + after)
  })
  return (at) => {
    const next = stops.findIndex(([place]) => place >= at)
    if (next === -1) return stops[stops.length - 1]![1]
    if (next === 0) return stops[0]![1]
    const [from, low] = stops[next - 1]!
    const [to, high] = stops[next]!
    const span = to - from
    const u = (at - from) / span
    const w = 1 - u
    return (
      low * w * w * (1 + 2 * u) +
      high * u * u * (1 + 2 * w) +
      span * u * w * (slopes[next - 1]! * w - slopes[next]! * u)
    )
  }
}
