import { expect, it } from 'vitest'
import { laidPictures } from './over'

const picture = (more: Partial<Parameters<typeof laidPictures>[0]>): Parameters<typeof laidPictures>[0] => ({
  ...{ kind: 'radiograph', width: 1000, height: 800, mmPerPixel: 0.2, marks: {} },
  ...more,
})
/** Where a place of the upper picture comes to lie, by the transform as a browser reads it. */
const carried = (transform: string, [x, y]: readonly [number, number]) => {
  const [a, b, c, d, e, f] = transform.match(/-?[\d.]+(e-?\d+)?/g)!.map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  return [a * x + c * y + e, b * x + d * y + f]
}

it('lays radiographs bone on bone, at the scale both have, whatever else is marked', () => {
  const below = picture({ marks: { E: [400, 200], T: [600, 500], U: [300, 520], W1: [5, 5] } })
  // Twice as coarse, turned by a quarter, moved; its wall lies elsewhere.
  const turned = ([x, y]: number[]): [number, number] => [-y! / 2 + 700, x! / 2 + 30]
  const above = picture({
    mmPerPixel: 0.4,
    marks: { E: turned([400, 200]), T: turned([600, 500]), U: turned([300, 520]), W1: [900, 700] },
  })
  const over = laidPictures(below, above)
  expect(over).toMatchObject({ scaled: true, words: 'Bone on bone: by top, tip and underside of P3.' })
  expect(over.off!).toBeLessThan(1e-6)
  const [x, y] = carried(over.transform, turned([600, 500])) as [number, number]
  expect(x).toBeCloseTo(600, 6)
  expect(y).toBeCloseTo(500, 6)
})

it('without a scale on both makes one as large as the other, and says so', () => {
  const below = picture({ kind: 'side', mmPerPixel: null, marks: { a1: [0, 0], a2: [100, 0] } })
  const above = picture({ kind: 'side', marks: { a1: [10, 10], a2: [10, 60] } })
  const over = laidPictures(below, above)
  expect(over.scaled).toBe(false)
  expect(over.words).toContain('as large as the other')
  expect(carried(over.transform, [10, 60])[0]).toBeCloseTo(100, 6)
})

it('with nothing marked on both lies middle on middle, to scale where there is one', () => {
  const over = laidPictures(picture({ kind: 'front' }), picture({ kind: 'front', mmPerPixel: 0.1 }))
  expect(over.words).toContain('Middle on middle')
  expect(carried(over.transform, [500, 400])).toEqual([500, 400])
  expect(carried(over.transform, [0, 400])).toEqual([250, 400])
  // Neither knows its scale: the larger is made to fit.
  const fitted = laidPictures(
    picture({ mmPerPixel: null }),
    picture({ mmPerPixel: null, width: 4000, height: 4000 }),
  )
  expect(carried(fitted.transform, [0, 0])).toEqual([100, 0])
})
