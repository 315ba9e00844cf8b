import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planeArea } from '../geometry/plane-area'
import { barForm, formArea, formCentroid, sectionOutline, type SectionForm } from './section-form'

const share = fc.double({ min: 0, max: 0.4, noNaN: true })
const bevel = fc.tuple(share, share)

/** Any flat bar with its edges taken off, a crease, or a ground face that rises. */
const anyForm: fc.Arbitrary<SectionForm> = fc
  .record({
    width: fc.double({ min: 12, max: 32, noNaN: true }),
    thickness: fc.double({ min: 5, max: 14, noNaN: true }),
    bevels: fc.tuple(bevel, bevel, bevel, bevel),
    made: fc.constantFrom('edges', 'crease', 'roll', 'bend'),
    at: fc.double({ min: 0.1, max: 1.6, noNaN: true }),
  })
  .map(({ width, thickness, bevels, made, at }) => {
    const form: SectionForm = barForm({ shape: 'flat', width, thickness, material: 'steel' })
    if (made === 'crease')
      return { ...form, crease: { from: width * 0.5, width: width * 0.3, depth: thickness * 0.4 } }
    if (made === 'roll')
      return { ...form, bend: { from: width * at, slope: (0.7 * thickness) / (width * at), of: 'ground' } }
    if (made === 'bend') return { ...form, bend: { from: width * at, slope: 0.3, of: 'section' } }
    const [outerGround, innerGround, outerFoot, innerFoot] = bevels.map(
      ([a, b]) => [a * width, b * thickness] as const,
    )
    return { ...form, outerGround, innerGround, outerFoot, innerFoot } as SectionForm
  })

describe('a section as it is made', () => {
  it('has the area and the middle that its outline has, by Green’s theorem', () =>
    fc.assert(
      fc.property(anyForm, (form) => {
        const drawn = planeArea(sectionOutline(form))
        expect(formArea(form) / drawn.area).toBeCloseTo(1, 6)
        expect(formCentroid(form)).toBeCloseTo(drawn.centroid[0], 6)
      }),
      { numRuns: 400 },
    ))

  it('has its middle nearer to the outer rim in a concave bar, and half way across a half-round one', () => {
    const bar = { width: 20, thickness: 10, material: 'steel' } as const
    expect(formCentroid(barForm({ ...bar, shape: 'half-round' }))).toBe(10)
    expect(formCentroid(barForm({ ...bar, shape: 'concave' }))).toBeLessThan(10)
  })
})
