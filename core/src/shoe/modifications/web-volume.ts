import type { ShoeContext } from './modification'

/** Bar gathered where the web is wider than the bar it is made from, mm of that bar: each stretch by its own width. */
export function profileVolumeOfWeb({ rims, section }: ShoeContext, web: (share: number) => number): number {
  const { places, centreline } = rims
  const beside = centreline.stations.length === places.length
  let gathered = 0
  for (let i = 1; i < places.length; i++) {
    const share = (places[i - 1]!.share + places[i]!.share) / 2
    const run = beside
      ? centreline.stations[i]! - centreline.stations[i - 1]!
      : Math.abs(places[i]!.fromToe - places[i - 1]!.fromToe)
    gathered += Math.max(0, web(share) / section.width - 1) * run
  }
  return gathered
}
