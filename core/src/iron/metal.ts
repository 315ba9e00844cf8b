import { figureAlong } from '../geometry/figure-along'
import type { Worked } from '../modifications/partly-worked'
import { volumesBetween, type BarPlace, type Gathered, type Profile } from '../shoe/profile'
import type { LayPlace } from '../shoe/lay'
import { toeStation, type Rims } from '../shoe/rims'

/** The metal of a shoe from bar, and what moves it. */
export interface Metal {
  places: readonly BarPlace[]
  profile: Profile
  /** Section of the bar at a place while part of the work is done, mm2. */
  areaAt: (place: LayPlace, worked: readonly Worked[]) => number
  /** What each modification draws from the bar or upsets into it, in the order of the chosen. */
  gathered: readonly (readonly Gathered[])[]
  /** Those that push metal aside: the middle of the web lies elsewhere until they are done. */
  forges: readonly number[]
  /** Those that raise the bar. */
  raises: readonly number[]
}

/** How long each piece of the finished centreline is while part of the work is done, mm. */
export interface PieceLengths {
  straight: readonly number[]
  bent: readonly number[]
}

/**
 * Lengths of the pieces of the centreline by volume: every piece holds the metal it will have in the finished shoe, and is as
 * long as its section lets it be by then. What is gathered for a clip lies in the bar until the clip is drawn.
 *
 * @param finished how long the pieces are in the finished shoe, mm
 */
export function pieceLengths(
  { places, profile, areaAt, gathered, forges }: Metal,
  rims: Rims,
  finished: readonly number[],
): (worked: readonly Worked[]) => PieceLengths {
  const { centreline, centroid } = rims
  const toe = toeStation(rims)
  // Where the corners of the centreline lie on the path that the profile runs over.
  const corners = centreline.points.map(
    (_, i) => figureAlong(centroid.beside, centroid.stations, centreline.beside[i]!) - toe,
  )
  corners[0] = places[0]!.s
  corners[corners.length - 1] = places[places.length - 1]!.s
  const stations = places.map(({ s }) => s)
  const volumes = volumesBetween(profile, stations)
  const grown = (worked: readonly Worked[]): number[] => {
    const areas = places.map((place) => areaAt(place, worked))
    const done = gathered.flatMap((one, i) => (worked[i] === 'not' ? [] : one))
    let sum = 0
    const long = volumes.map((volume, i) => {
      const [from, to] = [stations[i]!, stations[i + 1]!]
      const left = volume - done.reduce((all, one) => all + within(one, from, to), 0)
      return (sum += (2 * left) / (areas[i]! + areas[i + 1]!))
    })
    const along = [0, ...long]
    const at = corners.map((s) => figureAlong(stations, along, s))
    return at.slice(1).map((end, i) => end - at[i]!)
  }
  const all = gathered.map((): Worked => 'all')
  const atLast = grown(all)
  return (worked) => {
    const straight = grown(worked)
    const pushed = forges.some((i) => worked[i] === 'not')
    const bent = pushed
      ? straight
      : straight.map((one, i) => (atLast[i]! > 0 ? (finished[i]! * one) / atLast[i]! : finished[i]!))
    return { straight, bent }
  }
}

/** How much of what is gathered lies between two stations, mm3. */
function within({ from, to, volume }: Gathered, low: number, high: number): number {
  const common = Math.min(to, high) - Math.max(from, low)
  return common > 0 && to > from ? (volume * common) / (to - from) : 0
}
