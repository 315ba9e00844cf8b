import { nearestStation, placeAt } from '../geometry/track'
import { turnRight, type Vec } from '../geometry/vector'
import type { Half } from '../terms/half'
import type { FootOutline } from './outline'
import { regionsOf, type Region, type Stretch } from './regions'

/** How far one outline stands outside another in one place. More than 0: outside. mm. */
export interface RegionDifference {
  region: Region
  half: Half
  mean: number
  /** The furthest off, with its sign. */
  most: number
  /** Points of the first and of the second outline, side by side, for drawing the band between them. */
  band: readonly (readonly [Vec, Vec])[]
}

const SAMPLES = 12

/**
 * Lays one outline over another in the common frame, widest-part line on widest-part line and frog axis on frog axis,
 * and says by region how far the first stands outside the second.
 */
export function compareOutlines(one: FootOutline, other: FootOutline): RegionDifference[] {
  return regionsOf(one).map((stretch) =>
    differ(stretch, one, (point, outward) => {
      const place = placeAt(other.track, nearestStation(other.track, point))
      return {
        off: (point[0] - place.point[0]) * outward[0] + (point[1] - place.point[1]) * outward[1],
        on: place.point,
      }
    }),
  )
}

/**
 * Asymmetry about the frog's axis: how far each place of the lateral half stands outside the medial half, mirrored.
 */
export function asymmetry(outline: FootOutline): RegionDifference[] {
  const { points, tangents } = outline.track
  const length = outline.track.stations[points.length - 1]!
  const mirrored: FootOutline = {
    ...outline,
    track: {
      points: points.map(([x, y]): Vec => [-x, y]).reverse(),
      tangents: tangents.map(([x, y]): Vec => [x, -y]).reverse(),
      stations: outline.track.stations.map((s) => length - s).reverse(),
    },
  }
  return compareOutlines(outline, mirrored).filter(({ half }) => half === 'lateral')
}

function differ(
  { region, half, from, to }: Stretch,
  one: FootOutline,
  against: (point: Vec, outward: Vec) => { off: number; on: Vec },
): RegionDifference {
  const band: [Vec, Vec][] = []
  const offs: number[] = []
  for (let i = 0; i <= SAMPLES; i++) {
    const place = placeAt(one.track, from + ((to - from) * i) / SAMPLES)
    const { off, on } = against(place.point, turnRight(place.tangent))
    offs.push(off)
    band.push([place.point, on])
  }
  const most = offs.reduce((far, off) => (Math.abs(off) > Math.abs(far) ? off : far), 0)
  return { region, half, mean: offs.reduce((a, b) => a + b, 0) / offs.length, most, band }
}
