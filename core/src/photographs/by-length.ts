import { distance, type Vec } from '../geometry/vector'
import type { SeenPlane } from './plane'
import type { View } from './view'

/**
 * The plane of a picture without a card: taken from straight above, its scale by one length in it. Rougher than a card: a
 * camera that looks askew makes what is further away smaller, and nothing here says how askew it looked.
 *
 * @param from pixels of one end of what was measured
 * @param to pixels of its other end
 * @param long mm between them
 */
export function planeByLength(
  from: Vec,
  to: Vec,
  long: number,
  { width, height }: Pick<View, 'width' | 'height'>,
): SeenPlane {
  const fine = distance(from, to) / long
  return {
    view: { homography: [fine, 0, width / 2, 0, -fine, height / 2, 0, 0, 1], bend: 0, width, height },
    residual: 0,
  }
}
