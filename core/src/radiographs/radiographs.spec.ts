import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { madeLimb, USUAL_LIMB, type Exposure, type LimbTruth } from '../made-up/limb'
import { inMm } from '../testing/made'
import { RADIOGRAPH_POINT_KEYS } from '../terms/radiograph-points'
import { RADIOGRAPH_FIGURES, radiographFigures, TAPPING } from './figures'
import { middleOfCircle, type RadiographPoints } from './frame'
import { LEAST_SOLE, trimPlan } from './trim-plan'

const STRAIGHT: Exposure = { mmPerPixel: 0.25, turn: 0, looksLeft: false }
const wanted = { palmarAngle: 5, soleDepth: 15, behindTip: 0 }

const read = (points: RadiographPoints, mmPerPixel = 0.25) =>
  Object.fromEntries(radiographFigures(points, mmPerPixel).map((one) => [one.key, one]))

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const anyLimb: fc.Arbitrary<LimbTruth> = fc.record({
  palmarAngle: between(-8, 22),
  wallAngle: between(44, 62),
  rotation: between(-4, 15),
  alignment: between(-15, 15),
  sinking: between(0, 25),
  wallLow: between(12, 28),
  soleTip: between(4, 25),
  breakoverAhead: between(-5, 45),
  lever: between(20, 80),
  bearingLength: between(80, 150),
  tipAheadOfApex: between(0, 30),
})
const anyExposure: fc.Arbitrary<Exposure> = fc.record({
  mmPerPixel: between(0.08, 0.6),
  turn: between(-12, 12),
  looksLeft: fc.boolean(),
})

describe('figures of a lateral radiograph', () => {
  it('are those it was made with, however it was taken and whichever way the foot looks', () => {
    fc.assert(
      fc.property(anyLimb, anyExposure, (truth, exposure) => {
        const found = read(madeLimb(truth, exposure), exposure.mmPerPixel)
        for (const [key, value] of Object.entries(truth)) expect(found[key]!.value, key).toBeCloseTo(value, 6)
        expect(found['ahead']!.value).toBeCloseTo(truth.lever / truth.bearingLength, 9)
      }),
    )
  })

  it('by hand: a bone at 5 degrees, 60 mm long, has its wing 5.25 mm higher than its tip', () => {
    const points = madeLimb(USUAL_LIMB, STRAIGHT)
    expect((points.T[1] - points.U[1]) * 0.25).toBeCloseTo(60 * 0.08749, 2)
    expect(read(points)['palmarAngle']!.value).toBeCloseTo(5, 9)
    // A quarter of a millimetre a pixel: 18 mm of sole are 72 pixels.
    expect(read({ ...points, S1: [points.T[0], points.T[1] + 72] })['soleTip']!.value).toBeCloseTo(18, 9)
  })

  it('name what they lack, and are not guessed', () => {
    const { U: _wing, G1: _ground, ...points } = madeLimb(USUAL_LIMB, STRAIGHT)
    const found = read(points)
    expect(found['palmarAngle']).toMatchObject({
      value: null,
      lacks: ['Underside of P3, behind', 'Ground, in front'],
    })
    expect(radiographFigures({}, 1).every(({ value, lacks }) => value === null && lacks!.length > 0)).toBe(
      true,
    )
  })

  it('are uncertain as figures of shaken places scatter', () => {
    const points = madeLimb(USUAL_LIMB, STRAIGHT)
    let state = 4
    const random = () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647
    const normal = () => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random())
    const shaken = Array.from({ length: 4_000 }, () =>
      read(
        Object.fromEntries(
          Object.entries(points).map(([key, [x, y]]) => [
            key,
            [x + (normal() * TAPPING) / 0.25, y + (normal() * TAPPING) / 0.25],
          ]),
        ),
      ),
    )
    for (const { key } of RADIOGRAPH_FIGURES) {
      const values = shaken.map((one) => one[key]!.value!)
      const mean = values.reduce((a, b) => a + b, 0) / values.length
      const scatter = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length)
      const { uncertainty } = read(points)[key]!
      expect(uncertainty! / scatter, key).toBeGreaterThan(0.85)
      expect(uncertainty! / scatter, key).toBeLessThan(1.15)
    }
  })

  it('are nothing, and no fault, where places lie upon each other', () => {
    fc.assert(
      fc.property(
        fc.dictionary(
          fc.constantFrom(...RADIOGRAPH_POINT_KEYS),
          fc.tuple(fc.integer({ min: -2, max: 2 }), fc.integer({ min: -2, max: 2 })),
        ),
        fc.constantFrom(0.001, 1, 50),
        (points, mmPerPixel) => {
          for (const { value, uncertainty } of radiographFigures(points, mmPerPixel)) {
            if (value === null) expect(uncertainty).toBeNull()
            else expect(Number.isFinite(value) && Number.isFinite(uncertainty)).toBe(true)
          }
          trimPlan(points, mmPerPixel, wanted)
        },
      ),
      { numRuns: 2_000 },
    )
  })

  it('have the middle of the joint where a circle through three places has it', () => {
    expect(middleOfCircle([5, 0], [0, 5], [-5, 0])).toEqual([0, 0])
    expect(middleOfCircle([0, 0], [1, 1], [3, 3])).toBeUndefined()
  })
})

describe('trim and shoe planned on a radiograph', () => {
  it('brings the palmar angle that is wanted: trim and shoe together', () => {
    fc.assert(
      fc.property(anyLimb, between(-2, 18), (truth, palmarAngle) => {
        const plan = trimPlan(madeLimb(truth, STRAIGHT), 0.25, { ...wanted, palmarAngle })!
        expect(Math.min(plan.trimToe, plan.trimHeel, plan.raise)).toBeGreaterThanOrEqual(0)
        // Under the tip as much is left as must be, whatever is wanted.
        expect(plan.soleAfterTrim).toBeGreaterThanOrEqual(Math.min(LEAST_SOLE, truth.soleTip) - 1e-9)
        if (palmarAngle >= truth.palmarAngle) expect(plan.palmarAfterShoe).toBeCloseTo(palmarAngle, 6)
        else expect(plan.palmarAfterShoe).toBeGreaterThanOrEqual(palmarAngle - 1e-6)
      }),
    )
  })

  it('by hand: 120 mm of bearing from 2 to 7 degrees want 10.5 mm; 3 mm of sole to spare go first', () => {
    const limb = madeLimb({ ...USUAL_LIMB, palmarAngle: 2, soleTip: 18, breakoverAhead: 20 }, STRAIGHT)
    const plan = trimPlan(limb, 0.25, { palmarAngle: 7, soleDepth: 15, behindTip: 3 })!
    const lift = 120 * (Math.tan((7 * Math.PI) / 180) - Math.tan((2 * Math.PI) / 180))
    expect(lift).toBeCloseTo(10.54, 2)
    expect(plan.trimToe + plan.raise).toBeCloseTo(lift, 6)
    // The tip lies 100 of 120 mm ahead of the heel: 3 mm there are 3.6 at the toe.
    expect(plan.trimToe).toBeCloseTo(3.6, 6)
    expect(plan.soleAfterTrim).toBeCloseTo(15, 6)
    expect(plan.leverAfter).toBeCloseTo(USUAL_LIMB.lever - 20 - 3, 6)
  })

  it('takes nothing where the sole is thin, and says so', () => {
    const plan = trimPlan(madeLimb({ ...USUAL_LIMB, palmarAngle: 1, soleTip: 9 }, STRAIGHT), 0.25, wanted)!
    expect(plan.trimToe).toBe(0)
    expect(plan.raise).toBeGreaterThan(5)
    expect(plan.notes.map(inMm).join(' ')).toMatch(/9 mm of sole.*vet/)
  })

  it('brings a steep bone down by the heel as far as its sole goes, the rest later', () => {
    const plan = trimPlan(madeLimb({ ...USUAL_LIMB, palmarAngle: 20 }, STRAIGHT), 0.25, wanted)!
    expect(plan.trimHeel).toBeGreaterThan(10)
    expect(plan.raise).toBe(0)
    expect(plan.palmarAfterShoe).toBeLessThan(20)
  })
})
