import { placeAt, trackLength, type Track } from '../geometry/track'
import type { Vec } from '../geometry/vector'
import { soldShape } from '../shoe/as-sold'
import type { SizeFeet } from '../terms/size-kinds'
import type { LaidFoot } from './laid-foot'

/** The toe is compared across so far behind its foremost point, as a share of the foot's length (common practice, no source). */
const BEHIND = 0.16

/** How far a line is wide at a height of it, mm: between where it comes up and where it goes down again. */
function widthAt({ points }: Track, y: number): number {
  const crossings: number[] = []
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!]
    if (a[1] < y === b[1] < y) continue
    crossings.push(a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]))
  }
  return crossings.length < 2 ? 0 : Math.max(...crossings) - Math.min(...crossings)
}

const foremost = (track: Track): number => Math.max(...track.points.map((point: Vec) => point[1]))

/**
 * How much rounder the toe of factory shoes of this shape is than a foot's, mm across both toe quarters once it is as wide
 * as the foot: plus wants pointing, minus wants rounding. The same for every size of a shape.
 *
 * @param web of the shoe, mm: which run of the foot it is compared with
 */
export function toeOff(laid: LaidFoot, web: number, feet: SizeFeet): number {
  const { rims, width } = laid.along(web)
  const shape = soldShape(feet)
  const share = width / shape.width
  const behind = laid.foot.length * BEHIND
  const shoe = widthAt(shape.outer, foremost(shape.outer) - behind / share) * share
  return shoe - widthAt(rims.outer, toeOf(rims.outer, rims.toe) - behind)
}

const toeOf = (outer: Track, toe: number): number =>
  placeAt(outer, Math.min(trackLength(outer), toe)).point[1]
