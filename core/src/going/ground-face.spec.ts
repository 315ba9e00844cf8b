import fc from 'fast-check'
import { expect, it } from 'vitest'
import { inside, regionOf } from '../geometry/inside'
import { barForm, sectionOutline, type SectionForm } from '../shoe/section-form'
import { groundFaceAt } from './ground-face'
import { plateElements } from './plate-elements'

const flat = barForm({ shape: 'flat', width: 20, thickness: 8, material: 'steel' })

/** Where a line up from a place of the ground first meets the section as it is drawn. */
function lowestOf(form: SectionForm, u: number): number {
  const outline = sectionOutline(form)
  const heights = outline.flatMap(([a, z], i) => {
    const [b, y] = outline[(i + 1) % outline.length]!
    return a < u === b < u ? [] : [z + ((y - z) * (u - a)) / (b - a)]
  })
  return Math.min(...heights)
}

it('the ground face lies where the section is drawn, whatever was forged or rasped', () => {
  const forms: SectionForm[] = [
    flat,
    { ...flat, outerGround: [5, 3], innerGround: [2, 2] },
    { ...flat, bend: { from: 9, slope: 0.3, of: 'section' } },
    { ...flat, bend: { from: 9, slope: 0.2, of: 'ground' } },
    barForm({ shape: 'concave', width: 20, thickness: 10, material: 'steel' }),
  ]
  for (const form of forms)
    for (const u of [0.5, 3, 7, 11, 16, 19.5]) expect(groundFaceAt(form, u)).toBeCloseTo(lowestOf(form, u), 6)
  const half = barForm({ shape: 'half-round', width: 20, thickness: 8, material: 'steel' })
  for (const u of [2, 6, 10, 15])
    expect(Math.abs(groundFaceAt(half, u) - lowestOf(half, u))).toBeLessThan(0.1)
  const creased = { ...flat, crease: { from: 8, width: 6, depth: 4 } }
  expect(groundFaceAt(creased, 8)).toBe(4)
  expect(groundFaceAt(creased, 12)).toBe(0)
})

it('a plate cut up keeps its area, its edge and its middle', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 140, noNaN: true }),
      fc.double({ min: 20, max: 140, noNaN: true }),
      fc.double({ min: -50, max: 50, noNaN: true }),
      (wide, tall, x) => {
        const edge = [
          [x, 0],
          [x + wide, 0],
          [x + wide, tall],
          [x, tall],
        ] as const
        const pieces = plateElements(edge, () => 1.5, wide * tall)
        const area = pieces.reduce((sum, one) => sum + one.area, 0)
        expect(area).toBeCloseTo(wide * tall, 6)
        expect(pieces.reduce((sum, one) => sum + one.edge, 0)).toBeCloseTo(2 * (wide + tall), 6)
        expect(pieces.reduce((sum, { at, area: a }) => sum + at[0] * a, 0) / area).toBeCloseTo(
          x + wide / 2,
          6,
        )
        expect(pieces.every(({ z }) => z === 1.5)).toBe(true)
      },
    ),
  )
})

it('a point lies inside a circle as its distance says, and outside beyond its box', () => {
  const circle = regionOf(
    Array.from(
      { length: 360 },
      (_, i) => [Math.cos((i * Math.PI) / 180), Math.sin((i * Math.PI) / 180)] as const,
    ),
  )
  fc.assert(
    fc.property(
      fc.double({ min: -2, max: 2, noNaN: true }),
      fc.double({ min: -2, max: 2, noNaN: true }),
      (x, y) => {
        const far = Math.hypot(x, y)
        if (Math.abs(far - 1) < 1e-3) return
        expect(inside(circle, [x, y])).toBe(far < 1)
      },
    ),
    { numRuns: 300 },
  )
})
