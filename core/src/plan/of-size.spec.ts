import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ProblemError } from '../notices/problem'
import { anyFoot } from '../testing/any-foot'
import { codes, refusedBy } from '../testing/made'
import { FIVE_BY_FIVE } from '../testing/samples'
import { RASPED } from '../shoe/to-cut'
import { FIT_NAMES } from '../terms/fits'
import { HALVES, type Half } from '../terms/half'
import { shoeOfSize, sizeOf } from '../testing/sizes'
import { planShoe, type Plan } from './plan'

/** The length of a polyline by itself, mm. */
const walked = (points: readonly (readonly [number, number])[]): number =>
  points.reduce(
    (sum, [x, y], i) => (i === 0 ? 0 : sum + Math.hypot(x - points[i - 1]![0], y - points[i - 1]![1])),
    0,
  )

describe('a factory shoe laid on a foot', () => {
  it('keeps its length, whatever foot it is bent to', () => {
    fc.assert(
      fc.property(anyFoot, fc.double({ min: 0.92, max: 1.1, noNaN: true }), (foot, share) => {
        const length = 305 * (foot.width / 127) * share
        let plan: Plan
        try {
          plan = planShoe(foot, shoeOfSize(sizeOf(length, { holes: { lateral: [], medial: [] } })))
        } catch (error) {
          // A narrow foot's heels meet behind a long shoe: that is told.
          expect(error).toBeInstanceOf(ProblemError)
          return
        }
        expect(plan.iron.centrelineLength).toBeCloseTo(length, 6)
        // Chords are shorter than their curve by a hair.
        expect(walked(plan.outline.centreline) / length).toBeGreaterThan(0.998)
        expect(walked(plan.outline.centreline)).toBeLessThan(length + 1e-6)
      }),
      { numRuns: 60 },
    )
  })

  it('keeps its length under a toe that is set back and heels that are set out', () => {
    for (const kind of ['squared-toe', 'lateral-extension', 'seating-out']) {
      const plan = planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(305), { modifications: [{ kind }] }))
      expect(plan.iron.centrelineLength, kind).toBeCloseTo(305, 5)
    }
  })

  it('moves its heels forward when it is opened: they are as far apart as the bar is long', () => {
    const heels = [0, 4, 8].map(
      (wider) =>
        planShoe({ ...FIVE_BY_FIVE, width: FIVE_BY_FIVE.width + wider }, shoeOfSize(sizeOf(305))).balance
          .heels[0]!.behindButtress,
    )
    expect(heels[1]!).toBeLessThan(heels[0]! - 1)
    expect(heels[2]!).toBeLessThan(heels[1]! - 1)
  })

  it('says how far to open or close it, and what heel is left over', () => {
    const wide = planShoe({ ...FIVE_BY_FIVE, width: FIVE_BY_FIVE.width + 6 }, shoeOfSize(sizeOf(305))).iron
    const plain = planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(305))).iron
    expect(wide.openBy! - plain.openBy!).toBeCloseTo(6, 1)
    const long = planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(325))).iron
    // Twenty more of bar is ten more at each heel, a little less where the branch bends in.
    expect(long.heelLeft!.lateral - plain.heelLeft!.lateral).toBeGreaterThan(7)
    expect(long.heelLeft!.lateral - plain.heelLeft!.lateral).toBeLessThan(10.5)
    expect(long.heelToCut!.lateral).toBe(long.heelLeft!.lateral)
    expect(plain.heelToCut!.lateral).toBe(0)
  })

  it('leaves nothing once the heels are cut as it says, on any fit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FIT_NAMES),
        fc.double({ min: 305, max: 350, noNaN: true }),
        fc.constantFrom(undefined, 'rolled-toe', 'squared-toe'),
        (fit, long, kind) => {
          const of = (cutOff?: Record<Half, number>) =>
            planShoe(FIVE_BY_FIVE, {
              ...shoeOfSize(sizeOf(long), {
                stock: { kind: 'size', facts: sizeOf(long), ...(cutOff && { cutOff }) },
              }),
              fit,
              ...(kind && { modifications: [{ kind }] }),
            }).iron
          const { heelToCut, heelLeft } = of()
          for (const branch of HALVES) {
            if (heelToCut![branch] === 0) expect(heelLeft![branch]).toBeLessThanOrEqual(RASPED)
            else expect(of(heelToCut).heelLeft![branch]).toBeCloseTo(0, 4)
          }
        },
      ),
      { numRuns: 40 },
    )
  })

  it('takes off what is cut from its heels', () => {
    const cut = planShoe(
      FIVE_BY_FIVE,
      shoeOfSize(sizeOf(325), { stock: { kind: 'size', facts: sizeOf(325), cutOff: { medial: 6 } } }),
    )
    expect(cut.iron.centrelineLength).toBeCloseTo(319, 5)
    expect(cut.iron.heelLeft!.lateral).toBeGreaterThan(cut.iron.heelLeft!.medial + 4)
  })

  it('has its holes where they were punched, not where this foot would want them', () => {
    const facts = sizeOf(305, {
      holes: { lateral: [{ fromToe: 40, inset: 14 }], medial: [{ fromToe: 44, inset: 7, pitch: 60 }] },
    })
    const { nails } = planShoe(FIVE_BY_FIVE, shoeOfSize(facts))
    expect(nails.map(({ fromToe, inset, heldByWeb }) => [fromToe, inset, heldByWeb])).toEqual([
      [40, 14, false],
      [44, 7, false],
    ])
    expect(nails[0]!.verdict).toBe('would-prick')
    expect(nails[1]!.lean).toBe(60)
  })

  it('weighs what it is said to weigh, and as its section comes to where nobody said', () => {
    const said = planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(305, { weight: 340 }))).iron.weight
    expect(said).toBeCloseTo(340, 6)
    const derived = planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(305))).iron.weight
    expect(derived / (20 * 8 * 305 * 7.85e-3)).toBeCloseTo(1, 2)
  })

  it('is drawn with the clips and the crease it comes with, once', () => {
    const labels = (facts: ReturnType<typeof sizeOf>, more = {}) =>
      planShoe(FIVE_BY_FIVE, shoeOfSize(facts, more)).parts.map(({ label }) => label)
    const plain = { kind: 'plain-steel' } as const
    expect(labels(sizeOf(305, plain))).toEqual([])
    expect(labels(sizeOf(305))).toEqual(['Outer crease', 'Inner crease'])
    expect(labels(sizeOf(305, { ...plain, clips: 'toe' }))).toEqual(['Toe clip'])
    expect(labels(sizeOf(305, { ...plain, clips: 'quarter' }))).toEqual([
      'Outer quarter clip',
      'Inner quarter clip',
    ])
    const drawn = { modifications: [{ kind: 'toe-clip' }] }
    expect(labels(sizeOf(305, { ...plain, clips: 'toe' }), drawn)).toEqual(['Toe clip'])
    // The crease lies where the holes are.
    const [outer] = planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(305))).parts
    expect(outer!.edge.length).toBeGreaterThan(8)
    // What it weighs is what it weighs, however it is drawn.
    const weight = (more: object) =>
      planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(305, { weight: 340, ...more }))).iron.weight
    expect(weight({ clips: 'toe' })).toBeCloseTo(340, 6)
  })

  it('takes clips, bars that are welded on and pads, and refuses what is made while a bar is straight', () => {
    for (const kind of [
      'toe-clip',
      'rolled-toe',
      'boxing',
      'safeing',
      'straight-bar',
      'heart-bar',
      'pad',
      'studs',
    ])
      expect(
        refusedBy(() => planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(305), { modifications: [{ kind }] }))),
        kind,
      ).toEqual([])
    for (const kind of ['trailer', 'wide-toe', 'egg-bar', 'crease'])
      expect(
        refusedBy(() => planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(305), { modifications: [{ kind }] }))),
        kind,
      ).toEqual(['shoe.modifications.0.kind'])
  })

  it('is refused by name where no bending brings it to the foot', () => {
    expect(
      refusedBy(() =>
        planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(130, { holes: { lateral: [], medial: [] } }))),
      ),
    ).toEqual(['shoe.stock.facts.length'])
  })

  it('is cautioned of: moulded and off, far off, short, of the other pair', () => {
    const of = (facts: ReturnType<typeof sizeOf>) => codes(planShoe(FIVE_BY_FIVE, shoeOfSize(facts)))
    expect(of(sizeOf(305))).not.toContain('size-far-off')
    expect(of(sizeOf(345))).toContain('size-far-off')
    expect(of(sizeOf(290, { kind: 'polymer' }))).toContain('size-cannot-be-bent')
    expect(of(sizeOf(285))).toContain('size-too-short')
    expect(of(sizeOf(305, { feet: 'hind' }))).toContain('size-of-other-feet')
  })
})
