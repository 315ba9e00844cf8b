import { figureAlong } from '../geometry/figure-along'
import { placeAt, type Track } from '../geometry/track'
import { add, cross, dot, subtract, unit, type Vec } from '../geometry/vector'
import type { LayPlace } from './lay'
import { toeStation, type Rims } from './rims'
import { formArea, formCentroid, type SectionForm } from './section-form'

/**
 * The bar along the shoe. s runs over the centroid's path from the middle of the toe, negative on the lateral branch,
 * positive on the medial one; 0 is one of the entries. Every modification of the bar is a change of this profile.
 */
export interface Profile {
  s: readonly number[]
  /** Width as it lies under the foot, mm. */
  width: readonly number[]
  /** Height, mm. */
  thickness: readonly number[]
  /** Section area the bar must bring, mm2: with what is drawn from it, and with what is rasped away afterwards. */
  area: readonly number[]
  /** Section area of the finished shoe, mm2: with what is drawn from it into clips. */
  finished: readonly number[]
}

/** A place of the bar with its station, its web, and the centroid of its section as it lies under the foot. */
export interface BarPlace extends LayPlace {
  s: number
  web: number
  middle: Vec
  /** Unit direction along the outer rim, from the lateral to the medial heel, and how it turns: radians for a mm. */
  tangent: Vec
  bend: number
  /** How much of the centroid's path runs square through the section: where the web changes it slants, and is longer. */
  square: number
}

/** Metal gathered in the bar between two stations, mm3: what a clip is drawn from, or an upset. */
export interface Gathered {
  from: number
  to: number
  volume: number
}

/** The places of the shoe's rims as stations of the bar, from heel to heel; s = 0 is one of them. */
export function barPlaces(rims: Rims): BarPlace[] {
  const { outer, centroid, places } = rims
  const toe = toeStation(rims)
  const found: BarPlace[] = []
  // A path that was not cut at a fold has a point beside each of the rim's.
  const whole = centroid.points.length === places.length
  places.forEach((place, i) => {
    const along = whole ? centroid.stations[i]! : figureAlong(centroid.beside, centroid.stations, i)
    const s = Math.abs(along - toe) < 1e-4 ? 0 : along - toe
    // Where the centroid's path was cut at a fold, several places of the rim lie beside one of its own.
    if (found.length === 0 || s > found[found.length - 1]!.s + 1e-9)
      found.push({
        // Spelt out: this runs at every place of every plan, and a spread takes ten times as long.
        branch: place.branch,
        share: place.share,
        fromToe: place.fromToe,
        fromHeel: place.fromHeel,
        point: place.point,
        s,
        web: rims.web[i]!,
        middle: whole ? centroid.points[i]! : placeAt(centroid, along).point,
        tangent: outer.tangents[i]!,
        bend: bendAt(outer, i),
        square: 1,
      })
  })
  // Under an even web the path runs square through every section.
  if (rims.web.some((web) => Math.abs(web - rims.web[0]!) > EVEN)) seeSquareness(found)
  if (!found.some(({ s }) => s === 0)) {
    const next = found.findIndex(({ s }) => s > 0)
    found.splice(next, 0, { ...found[next]!, s: 0 })
  }
  return found
}

/** Sees for each place how much of the path to its neighbours runs along the rim beside them. */
function seeSquareness(places: BarPlace[]): void {
  const runs = places.slice(1).map((after, i) => {
    const before = places[i]!
    const way = unit(add(before.tangent, after.tangent))
    return { along: dot(subtract(after.middle, before.middle), way), path: after.s - before.s }
  })
  places.forEach((place, i) => {
    const beside = [runs[i - 1], runs[i]].flatMap((run) => run ?? [])
    const path = beside.reduce((sum, run) => sum + run.path, 0)
    const along = beside.reduce((sum, run) => sum + run.along, 0)
    place.square = path > 0 ? Math.min(1, Math.max(LEAST_SQUARE, along / path)) : 1
  })
}

/** How a track turns about one of its points, radians for a millimetre; plus to the left. */
function bendAt({ tangents, stations }: Track, i: number): number {
  const before = Math.max(0, i - 1)
  const after = Math.min(tangents.length - 1, i + 1)
  const run = stations[after]! - stations[before]!
  return run === 0 ? 0 : cross(tangents[before]!, tangents[after]!) / run
}

/**
 * The profile from the section at each place.
 *
 * @param forms as forged, and as they are once rasped, beside each place
 * @param centroidShare how far in the bar's own centroid lies, as a share of the web: its path is what s runs over
 */
export function profileOf(
  places: readonly BarPlace[],
  forged: readonly SectionForm[],
  finished: readonly SectionForm[],
  gathered: readonly Gathered[],
  centroidShare: number,
): Profile {
  const area = countedAreas(forged, places, centroidShare)
  // Nothing is rasped on: where web turns about its own inner edge, less steel could count for more.
  const rasped = () =>
    countedAreas(finished, places, centroidShare, { forms: forged, areas: area }).map((one, i) =>
      Math.min(one, area[i]!),
    )
  const plain: Profile = {
    s: places.map(({ s }) => s),
    width: forged.map(({ width }) => width),
    thickness: forged.map(({ thickness }) => thickness),
    area,
    finished: finished === forged ? area : rasped(),
  }
  return withGathered(plain, gathered)
}

/** Webs that differ by less are even, mm. */
const EVEN = 1e-9

/** A path that slants more is not believed. */
const LEAST_SQUARE = 0.5

/** A path shorter than this share of the outer rim's is not believed. */
const LEAST_PATH = 0.3
/** A centroid no further off the bar's own than this lies on its path, mm. */
const ON_PATH = 1e-9

/**
 * Area of each section as it counts along the path of the bar's own centroid. Steel that is pushed outward by a seat, or
 * stays there when the inner edge is rasped, lies on a longer path than that (Pappus-Guldin for the section that is left).
 *
 * @param known what was counted before: most of a shoe is not rasped
 */
function countedAreas(
  forms: readonly SectionForm[],
  places: readonly BarPlace[],
  centroidShare: number,
  known?: { forms: readonly SectionForm[]; areas: readonly number[] },
): number[] {
  const counted: number[] = []
  let last: SectionForm | undefined
  let area = 0
  let centroid = 0
  // A plain loop: this runs at every place of every plan.
  for (let i = 0; i < forms.length; i++) {
    const form = forms[i]!
    if (known?.forms[i] === form) {
      counted.push(known.areas[i]!)
      continue
    }
    // Most of a shoe is the same bar at every place, one section for all of them.
    if (form !== last) {
      area = formArea((last = form))
      centroid = formCentroid(form, area)
    }
    const own = centroidShare * form.width
    const { bend, square } = places[i]!
    const through = area * square
    counted.push(
      Math.abs(centroid - own) < ON_PATH
        ? through
        : (through * Math.max(LEAST_PATH, 1 - bend * centroid)) / Math.max(LEAST_PATH, 1 - bend * own),
    )
  }
  return counted
}

/** How near beside a step its two entries lie, mm. */
const STEP = 1e-6

/** More metal between pairs of stations, spread evenly between each. */
function withGathered(profile: Profile, gathered: readonly Gathered[]): Profile {
  const real = gathered.filter(({ from, to }) => to > from)
  if (real.length === 0) return profile
  const dense = withPlaces(
    profile,
    real.flatMap(({ from, to }) => [from - STEP, from, to, to + STEP]),
  )
  const more = dense.s.map(() => 0)
  for (const { from, to, volume } of real) {
    const first = dense.s.findIndex((s) => s >= from)
    for (let i = first; i >= 0 && i < more.length && dense.s[i]! <= to; i++) more[i]! += volume / (to - from)
  }
  const raise = (list: readonly number[]) => list.map((area, i) => area + more[i]!)
  return { ...dense, area: raise(dense.area), finished: raise(dense.finished) }
}

/** The same profile with more entries. */
function withPlaces(profile: Profile, more: readonly number[]): Profile {
  const old = profile.s
  const low = old[0]!
  const high = old[old.length - 1]!
  const s = [...old]
  const dense = [profile.width, profile.thickness, profile.area, profile.finished].map((list) => [...list])
  for (const place of more) {
    if (!(place > low && place < high)) continue
    const next = s.findIndex((one) => one >= place)
    if (s[next] === place) continue
    const share = (place - s[next - 1]!) / (s[next]! - s[next - 1]!)
    for (const list of dense) list.splice(next, 0, list[next - 1]! + (list[next]! - list[next - 1]!) * share)
    s.splice(next, 0, place)
  }
  const [width, thickness, area, finished] = dense
  return { s, width: width!, thickness: thickness!, area: area!, finished: finished! }
}

/** Volume between the toe and s in mm3, negative toward the lateral heel; the area runs straight between entries. */
export function volumeTo(profile: Profile, s: number, area: readonly number[] = profile.area): number {
  const { s: places } = profile
  if (s === 0) return 0
  const step = Math.sign(s)
  const start = places.indexOf(0)
  let volume = 0
  for (let i = start; places[i + step] !== undefined; i += step) {
    const from = places[i]!
    const to = places[i + step]!
    const stop = step > 0 ? Math.min(to, s) : Math.max(to, s)
    const areaAtStop = area[i]! + ((area[i + step]! - area[i]!) * (stop - from)) / (to - from)
    volume += ((area[i]! + areaAtStop) / 2) * (stop - from)
    if (stop === s) break
  }
  return volume
}

/** Volumes between stations of the profile, each to the next, mm3. */
export function volumesBetween(profile: Profile, stations: readonly number[]): number[] {
  const { s, area } = profile
  let sum = 0
  const upTo = s.map((place, i) =>
    i === 0 ? 0 : (sum += ((area[i - 1]! + area[i]!) / 2) * (place - s[i - 1]!)),
  )
  const at = stations.map((station) => figureAlong(s, upTo, station))
  return at.slice(1).map((end, i) => end - at[i]!)
}

/** The whole volume, mm3. */
export const profileVolume = (profile: Profile, area: readonly number[] = profile.area): number =>
  volumeTo(profile, profile.s[profile.s.length - 1]!, area) - volumeTo(profile, profile.s[0]!, area)
