import { expect, it } from 'vitest'
import { madeUpPhotograph } from '../made-up/photograph'
import type { Vec } from '../geometry/vector'
import { CARDS, cornersOf } from './card'
import { aboveOf, fromAbove, inAbove } from './from-above'
import { viewAbove } from './height'
import { cardSeen } from './trace-photo'
import { placeAt } from './view'

const off = (a: Vec, b: Vec) => Math.hypot(a[0] - b[0], a[1] - b[1])

it('a photograph taken askew comes out as from straight above: its card is square there, and to scale', () => {
  const { picture, truth } = madeUpPhotograph({
    object: 'foot',
    card: 'square',
    seed: 5,
    width: 2000,
    height: 0,
    tilt: 25,
  })
  const seen = cardSeen(picture, 'square')
  if (!seen.ok) throw new Error(seen.problem)
  const corners = cornersOf(CARDS[0]!)
  const [toe, lateral, medial] = (['toe', 'lateralHeel', 'medialHeel'] as const).map((key) =>
    placeAt(seen.view, truth.taps[key]),
  ) as [Vec, Vec, Vec]
  const frame = aboveOf([...corners.flat(), ...truth.outline], toe, [lateral, medial], seen.view)
  const above = fromAbove(picture, seen.view, frame)
  expect([above.width, above.height]).toEqual([frame.width, frame.height])
  // The marks are found again, by the library that knows nothing of planes, where the frame says they lie.
  const again = cardSeen(above, 'square')
  if (!again.ok) throw new Error(again.problem)
  expect(again.marks).toHaveLength(4)
  for (const mark of again.marks)
    mark.corners.forEach((corner, i) => {
      // Pixels are counted by their middles there, by their edges here.
      const [x, y] = inAbove(frame, corners[mark.id]![i]!)
      expect(off(corner, [x - 0.5, y - 0.5]) * frame.mmPerPixel).toBeLessThan(0.25)
    })
  // The toe is up, the heels level below it.
  const [a, b, front] = [lateral, medial, toe].map((place) => inAbove(frame, place)) as [Vec, Vec, Vec]
  expect(front[0]).toBeCloseTo((a[0] + b[0]) / 2, 6)
  expect(front[1]).toBeLessThan(a[1])
  // As long as it is: by the truth, which is in the card's plane.
  expect(off(a, b) * frame.mmPerPixel).toBeCloseTo(off(lateral, medial), 6)
  expect(viewAbove(seen.view, 0)).toEqual(seen.view)
})

it('what the photograph does not show is left black, and a frame is never larger than is kept', () => {
  const data = new Uint8ClampedArray(40 * 30 * 4).fill(200)
  const view = { homography: [0.1, 0, 20, 0, -0.1, 15, 0, 0, 1], bend: 0, width: 40, height: 30 }
  const frame = aboveOf(
    [
      [-900, 0],
      [900, 0],
    ],
    [0, 700],
    [
      [-50, 0],
      [50, 0],
    ],
    view,
  )
  expect(Math.max(frame.width, frame.height)).toBeLessThanOrEqual(2_400)
  const above = fromAbove({ width: 40, height: 30, data }, view, frame)
  const at = (place: Vec) => {
    const [x, y] = inAbove(frame, place).map(Math.floor) as [number, number]
    return above.data[(y * above.width + x) * 4]
  }
  expect(at([0, 20])).toBe(200)
  expect(at([0, 300])).toBe(0)
})
