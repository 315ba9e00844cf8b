import { trackLength } from '../geometry/track'
import type { Section } from '../records/shoe'
import type { Rims } from './rims'
import { sectionArea } from './section'

/**
 * The bar along the shoe. s runs over the centroid's path from the middle of the toe, negative on the lateral branch,
 * positive on the medial one. Every modification of the bar is a change of this profile.
 */
export interface Profile {
  s: readonly number[]
  /** Width as it lies under the foot, mm. */
  width: readonly number[]
  /** Height, mm. */
  thickness: readonly number[]
  /** Section area, mm2. */
  area: readonly number[]
}

/** The constant profile of a plain shoe. */
export function plainProfile(rims: Rims, toeStation: number, section: Section): Profile {
  const s = [-toeStation, 0, trackLength(rims.centroid) - toeStation]
  return {
    s,
    width: s.map(() => section.width),
    thickness: s.map(() => section.thickness),
    area: s.map(() => sectionArea(section)),
  }
}

/** Volume between the toe and s in mm3, negative toward the lateral heel; the area runs straight between entries. */
export function volumeTo(profile: Profile, s: number): number {
  const { s: places, area } = profile
  if (s === 0) return 0
  const step = Math.sign(s)
  const start = places.findIndex((place) => place === 0)
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

/** The whole volume, mm3. */
export const profileVolume = (profile: Profile): number =>
  volumeTo(profile, profile.s[profile.s.length - 1]!) - volumeTo(profile, profile.s[0]!)
