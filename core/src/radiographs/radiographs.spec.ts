import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { madeLimb, USUAL_LIMB, type Exposure, type LimbTruth } from '../made-up/limb'
import { inMm } from '../testing/made'
import { RADIOGRAPH_POINT_KEYS } from '../terms/radiograph-points'
import { RADIOGRAPH_FIGURES, radiographFigures, TAPPING } from './figures'
import { middleOfCircle, type RadiographPoints } from './frame'
import { markingProblems } from './marking-problems'
import { footFromRadiograph, limitsFromRadiograph } from './onto-foot'
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
/** One that has some sole under the wing, however P3 is turned. */
const plannable = anyLimb.filter(
  ({ soleTip, palmarAngle }) => soleTip + 60 * Math.tan((palmarAngle * Math.PI) / 180) > 0.1,
)
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

/** The foot as trimmed, by hand: turned so that the rasp's line lies level, apart from the code that plans. */
function trimmedByHand(truth: LimbTruth, { trimToe, trimHeel }: { trimToe: number; trimHeel: number }) {
  const front = truth.breakoverAhead
  const rear = front - truth.bearingLength
  const slope = (trimToe - trimHeel) / truth.bearingLength
  const line = (x: number) => trimHeel + slope * (x - rear)
  const turn = Math.atan(slope)
  /** Square to the line, and along it. */
  const above = (x: number, y: number) => (y - line(x)) * Math.cos(turn)
  const along = (x: number, y: number) => x * Math.cos(turn) + y * Math.sin(turn)
  const wing = truth.soleTip + 60 * Math.tan((truth.palmarAngle * Math.PI) / 180)
  const sole = (share: number) => {
    const [x, y] = [-60 * share, truth.soleTip + (wing - truth.soleTip) * share]
    return above(x, y)
  }
  const wall = (truth.wallAngle * Math.PI) / 180
  // The wall runs through a place square out from the tip; where it meets the line is the toe.
  const [wx, wy] = [truth.wallLow * Math.sin(wall), truth.soleTip + truth.wallLow * Math.cos(wall)]
  // y = wy - (x - wx) tan(wall) and y = line(x)
  const toe = (wy + wx * Math.tan(wall) - trimHeel + slope * rear) / (slope + Math.tan(wall))
  return { sole, turn: (turn * 180) / Math.PI, toeBehindTip: along(toe, line(toe)) - along(0, truth.soleTip) }
}

describe('trim and shoe planned on a radiograph', () => {
  it('brings the palmar angle that is wanted: trim and shoe together', () => {
    fc.assert(
      fc.property(plannable, between(-2, 18), (truth, palmarAngle) => {
        const plan = trimPlan(madeLimb(truth, STRAIGHT), 0.25, { ...wanted, palmarAngle })!
        expect(Math.min(plan.trimToe, plan.trimHeel, plan.raise)).toBeGreaterThanOrEqual(0)
        if (palmarAngle >= truth.palmarAngle + 0.1) expect(plan.palmarAfterShoe).toBeCloseTo(palmarAngle, 1)
        else expect(plan.palmarAfterShoe).toBeGreaterThanOrEqual(palmarAngle - 0.051)
        // Angles are put together as angles.
        expect(plan.palmarAfterTrim).toBeCloseTo(truth.palmarAngle + trimmedByHand(truth, plan).turn, 6)
        expect(plan.palmarAfterShoe).toBeCloseTo(plan.palmarAfterTrim + plan.raise, 9)
      }),
    )
  })

  it('leaves 15 mm of sole wherever there are as many, anywhere between tip and wing, however it trims', () => {
    fc.assert(
      fc.property(plannable, between(-5, 20), between(15, 20), (truth, palmarAngle, soleDepth) => {
        const plan = trimPlan(madeLimb(truth, STRAIGHT), 0.25, { ...wanted, palmarAngle, soleDepth })
        if (!plan) return
        const { sole } = trimmedByHand(truth, plan)
        expect(plan.soleAfterTrim).toBeCloseTo(sole(0), 1)
        if (plan.trimToe + plan.trimHeel > 0)
          for (const share of [0, 0.25, 0.5, 0.75, 1])
            expect(sole(share)).toBeGreaterThanOrEqual(LEAST_SOLE - 0.02)
        else expect(plan.soleAfterTrim).toBeCloseTo(truth.soleTip, 6)
      }),
      { numRuns: 1_000 },
    )
  })

  it('tells breakover, tip, sole and angle of the foot as trimmed', () => {
    fc.assert(
      fc.property(plannable, between(0, 15), between(0, 8), (truth, palmarAngle, behindTip) => {
        const plan = trimPlan(madeLimb(truth, STRAIGHT), 0.25, { ...wanted, palmarAngle, behindTip })!
        const byHand = trimmedByHand(truth, plan)
        expect(plan.breakoverFromToe).toBeCloseTo(byHand.toeBehindTip + behindTip, 6)
        const told = (key: string) => plan.trimmed.find((one) => one.key === key)!.value!
        expect(told('tipFromToe')).toBeCloseTo(byHand.toeBehindTip, 6)
        expect(told('palmarAngle')).toBeCloseTo(plan.palmarAfterTrim, 6)
        expect(told('soleTip')).toBeCloseTo(plan.soleAfterTrim, 9)
      }),
    )
  })

  it('by hand: 120 mm of bearing from 2 to 7 degrees; 3 mm of sole to spare go first, the shoe brings the rest', () => {
    const limb = madeLimb({ ...USUAL_LIMB, palmarAngle: 2, soleTip: 18, breakoverAhead: 20 }, STRAIGHT)
    const plan = trimPlan(limb, 0.25, { palmarAngle: 7, soleDepth: 15, behindTip: 3 })!
    // The tip lies 100 of 120 mm ahead of the heel: 3 mm there are 3.6 at the toe, and 1.7 degrees.
    expect(plan.trimToe).toBeCloseTo(3.6, 1)
    expect(plan.palmarAfterTrim).toBeCloseTo(2 + (Math.atan(plan.trimToe / 120) * 180) / Math.PI, 6)
    expect(plan.raise).toBeCloseTo(7 - plan.palmarAfterTrim, 9)
    expect(plan.soleAfterTrim).toBeGreaterThanOrEqual(15)
    expect(plan.soleAfterTrim).toBeLessThan(15.01)
    // Along the ground that is left the joint, 64 mm up, has come nearer to the breakover by its height times the turn.
    const turn = Math.atan(plan.trimToe / 120)
    expect(plan.leverAfter).toBeCloseTo((USUAL_LIMB.lever - 20) * Math.cos(turn) - 46 * Math.sin(turn) - 3, 3)
  })

  it('where the heels are lowered counts what that takes under the tip', () => {
    // Found in use: 15.2 mm were told where 12.7 were left.
    const truth = { ...USUAL_LIMB, palmarAngle: 14, soleTip: 15.2, breakoverAhead: 34 }
    const plan = trimPlan(madeLimb(truth, STRAIGHT), 0.25, { ...wanted, palmarAngle: 5 })!
    expect(trimmedByHand(truth, plan).sole(0)).toBeGreaterThanOrEqual(LEAST_SOLE - 0.01)
    expect(plan.trimHeel).toBeLessThan(1.2)
    expect(plan.notes.map(inMm).join(' ')).toContain('over the next visits')
  })

  it('takes nothing where the sole is thin, and says so', () => {
    const plan = trimPlan(madeLimb({ ...USUAL_LIMB, palmarAngle: 1, soleTip: 9 }, STRAIGHT), 0.25, wanted)!
    expect(plan.trimToe).toBe(0)
    expect(plan.raise).toBeCloseTo(4, 9)
    expect(plan.notes.map(inMm).join(' ')).toMatch(/9 mm of sole.*vet/)
  })

  it('brings a steep bone down by the heel as far as its sole goes, the rest later', () => {
    const plan = trimPlan(madeLimb({ ...USUAL_LIMB, palmarAngle: 20 }, STRAIGHT), 0.25, wanted)!
    expect(plan.trimHeel).toBeGreaterThan(5)
    expect(plan.raise).toBe(0)
    expect(plan.palmarAfterShoe).toBeLessThan(20)
  })
})

describe('a radiograph however it lies', () => {
  it('turned by any angle, looking either way, is read and planned the same', () => {
    fc.assert(
      fc.property(plannable, between(-180, 180), fc.boolean(), (truth, turn, looksLeft) => {
        const points = madeLimb(truth, { mmPerPixel: 0.25, turn, looksLeft })
        const found = read(points)
        for (const [key, value] of Object.entries(truth)) expect(found[key]!.value, key).toBeCloseTo(value, 6)
        const [here, straight] = [points, madeLimb(truth, STRAIGHT)].map((one) =>
          trimPlan(one, 0.25, wanted)!,
        )
        expect(here!.trimHeel).toBeCloseTo(straight!.trimHeel, 4)
        expect(here!.raise).toBeCloseTo(straight!.raise, 4)
      }),
    )
  })

  it('with a sole of less than nothing, or toe and heel the wrong way round, is not planned on and says why', () => {
    const points = madeLimb(USUAL_LIMB, STRAIGHT)
    expect(markingProblems(points, 0.25)).toEqual([])
    const negative = { ...points, S1: [points.T[0], points.T[1] - 8] as const }
    expect(trimPlan(negative, 0.25, wanted)).toBeUndefined()
    expect(markingProblems(negative, 0.25).map(inMm).join()).toContain('less than nothing')
    const swapped = { ...points, G1: points.G2, G2: points.G1 }
    expect(trimPlan(swapped, 0.25, wanted)).toBeUndefined()
    expect(markingProblems(swapped, 0.25).map(inMm).join()).toContain('the right way round')
  })

  it('P3 that has come away from the wall limits the nails', () => {
    const of = (rotation: number) =>
      limitsFromRadiograph(radiographFigures(madeLimb({ ...USUAL_LIMB, rotation }, STRAIGHT), 0.25))
    expect(of(4.5)).toEqual([])
    expect(of(9)).toEqual([
      { rule: 'behind the widest part', by: 'radiograph', why: 'P3 stands 9° steeper than the wall.' },
    ])
  })
})

it('the foot takes over what was read, to a tenth, and nothing that was not', () => {
  const points = madeLimb({ ...USUAL_LIMB, palmarAngle: 1, soleTip: 16 }, { ...STRAIGHT, mmPerPixel: 0.2 })
  const foot = footFromRadiograph(radiographFigures(points, 0.2))
  expect(foot).toMatchObject({ palmarAngle: 1, soleDepth: 16 })
  // By hand: the wall lies 17 mm square out from the tip at 52 degrees and meets the ground 16 mm below it.
  const byHand = 17 / Math.sin((52 * Math.PI) / 180) + 16 / Math.tan((52 * Math.PI) / 180)
  expect(foot.tipFromToe).toBeCloseTo(byHand, 1)
  const { W1: _wall, ...others } = points
  expect(footFromRadiograph(radiographFigures(others, 0.2))).toEqual({ palmarAngle: 1, soleDepth: 16 })
})
