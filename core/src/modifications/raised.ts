import type { Vec } from '../geometry/vector'
import { degrees } from '../units/angle'
import type { SectionCut } from './build'
import { onGround } from './ground'
import type { ShoePart } from './modification'

/** How much the foot surface of a shoe rises to the heels, degrees: between the widest part and the heels. */
export function seatTilt(cuts: readonly SectionCut[]): number {
  const heel = cuts[0]!
  const widest = cuts.reduce((near, one) =>
    Math.abs(one.place.point[1]) < Math.abs(near.place.point[1]) ? one : near,
  )
  const run = widest.place.point[1] - heel.place.point[1]
  return degrees(Math.atan2(heel.form.thickness - widest.form.thickness, run))
}

/**
 * By how many degrees a made shoe raises the heels on a hard floor, against the foot as trimmed: its foot surface rises
 * to the heels, and what stands out of its ground face lifts it as a whole.
 */
export const raisedOnFloor = (cuts: readonly SectionCut[], parts: readonly ShoePart[]): number =>
  seatTilt(cuts) + floorTilt(cuts, parts)

/** How the ground face of a shoe lies on a hard floor that is loaded beneath the widest part, degrees; plus: heels up. */
function floorTilt(cuts: readonly SectionCut[], parts: readonly ShoePart[]): number {
  const out = parts.flatMap(standingOut)
  // Most shoes lie flat.
  if (out.length === 0) return 0
  const hull = lowerHull([...bearingPlaces(cuts), ...out])
  const i = hull.findIndex(([y]) => y >= 0)
  if (i < 1) return 0
  const [rear, front] = [hull[i - 1]!, hull[i]!]
  return degrees(Math.atan2(front[1] - rear[1], front[0] - rear[0]))
}

/** The places of the branches that lie on the ground: y, and height 0. */
const bearingPlaces = (cuts: readonly SectionCut[]): Vec[] =>
  cuts.flatMap(({ place, form }): Vec[] => {
    const [from, to] = onGround(form)
    const outward = -place.tangent[0]
    return from > to ? [] : [from, to].map((inset): Vec => [place.point[1] - outward * inset, 0])
  })

/** What of a piece stands out of the ground face: y and height, mm. */
function standingOut({ face, spare, between, taper, edge }: ShoePart): Vec[] {
  if (spare || face !== 'ground' || !between || between[0] >= 0) return []
  const [low, high] = between
  if (!taper) return edge.map(([, y]): Vec => [y, low])
  const [from, to] = taper
  const corners = edge.map(([, y]): Vec => {
    const share = Math.min(1, Math.max(0, (from - y) / (from - to)))
    return [y, high + (low - high) * share]
  })
  // It may reach its full depth between two corners.
  return edge.some(([, y]) => y < to) ? [...corners, [to, low]] : corners
}

/** The line a floor lies along beneath places, from behind forward. */
function lowerHull(places: readonly Vec[]): Vec[] {
  const hull: Vec[] = []
  for (const place of [...places].sort((a, b) => a[0] - b[0] || a[1] - b[1])) {
    while (hull.length > 1 && !turnsUp(hull[hull.length - 2]!, hull[hull.length - 1]!, place)) hull.pop()
    hull.push(place)
  }
  return hull
}

const turnsUp = (a: Vec, b: Vec, c: Vec): boolean =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) > 0
