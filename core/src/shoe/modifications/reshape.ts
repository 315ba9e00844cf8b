import { placeAt, trackLength } from '../../geometry/track'
import type { Profile } from '../profile'
import { toeStation, type Rims } from '../rims'

/** Width, thickness and area at a place of the profile, straight between its entries. */
function at(profile: Profile, s: number): { width: number; thickness: number; area: number } {
  const { s: places } = profile
  let i = 1
  while (i < places.length - 1 && places[i]! < s) i++
  const share = Math.min(1, Math.max(0, (s - places[i - 1]!) / (places[i]! - places[i - 1]!)))
  const between = (list: readonly number[]) => list[i - 1]! + (list[i]! - list[i - 1]!) * share
  return { width: between(profile.width), thickness: between(profile.thickness), area: between(profile.area) }
}

/** The same profile with more entries; s = 0 stays one of them. */
function withPlaces(profile: Profile, more: readonly number[]): Profile {
  const low = profile.s[0]!
  const high = profile.s[profile.s.length - 1]!
  const inside = more.filter((s) => s > low && s < high)
  const s = [...new Set([...profile.s, ...inside])].sort((a, b) => a - b)
  const entries = s.map((place) => at(profile, place))
  return {
    s,
    width: entries.map(({ width }) => width),
    thickness: entries.map(({ thickness }) => thickness),
    area: entries.map(({ area }) => area),
  }
}

/** How near beside a step its two entries lie, mm. */
const STEP = 1e-6

/** More metal in the bar between two places, mm3, spread evenly: where a clip is drawn from it, say. */
export function withVolume(profile: Profile, from: number, to: number, volume: number): Profile {
  const dense = withPlaces(profile, [from - STEP, from, to, to + STEP])
  const more = volume / (to - from)
  return {
    ...dense,
    area: dense.area.map((area, i) => (dense.s[i]! >= from && dense.s[i]! <= to ? area + more : area)),
  }
}

/** Entries a wedge is drawn with: its thickness runs straight toward the heel, not along the bent bar. */
const PIECES = 40

/** Thickness raised by an amount that depends on where the bar lies under the foot; the section keeps its shape. */
export function withThickness(profile: Profile, rims: Rims, raise: (y: number) => number): Profile {
  const end = trackLength(rims.centroid)
  const toe = toeStation(rims)
  const dense = withPlaces(
    profile,
    Array.from({ length: PIECES + 1 }, (_, i) => (end * i) / PIECES - toe),
  )
  const raises = dense.s.map((s) => raise(placeAt(rims.centroid, s + toe).point[1]))
  return {
    ...dense,
    thickness: dense.thickness.map((thickness, i) => thickness + raises[i]!),
    area: dense.area.map((area, i) => (area * (dense.thickness[i]! + raises[i]!)) / dense.thickness[i]!),
  }
}
