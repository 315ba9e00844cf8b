import { placeAt } from '../geometry/track'
import { turnRight } from '../geometry/vector'
import { webAt } from '../shoe/rims'
import { stationAt } from './kit'
import type { ModificationHandle, ShoeContext } from './modification'

/** Handles on the inner rim: web at the toe and at the inner heel. */
export function toeWebHandles(context: ShoeContext): ModificationHandle[] {
  const one = (field: string, station: number): ModificationHandle => {
    const { point, tangent } = placeAt(context.rims.outer, station)
    const out = turnRight(tangent)
    const web = webAt(context.rims, station)
    return {
      field,
      point: [point[0] - out[0] * web, point[1] - out[1] * web],
      along: [-out[0], -out[1]],
    }
  }
  return [one('toeWeb', context.rims.toe), one('heelWeb', stationAt(context, 'medial', 0.95))]
}
