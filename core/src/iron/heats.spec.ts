import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { distance, type Vec } from '../geometry/vector'
import { planShoe, type Plan } from '../plan/plan'
import { anyPlan, requestOf, tryPlan } from '../testing/fuzz/any-plan'
import { inMm, made } from '../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { shoeOfSize, sizeOf } from '../testing/sizes'
import { PART_ENDS } from '../terms/trying'

const longOf = (points: readonly Vec[]) =>
  points.reduce((sum, point, i) => (i === 0 ? 0 : sum + distance(points[i - 1]!, point)), 0)
const across = (points: readonly Vec[]) => distance(points[0]!, points[points.length - 1]!)
const bentOnes = (plan: Plan) => plan.iron.heats.filter(({ straight }) => !straight)

describe('the shapes between', () => {
  it('keep the bar as long as it is, and end in the pattern, whatever is made on whatever foot', () => {
    fc.assert(
      fc.property(anyPlan, (any) => {
        const plan = tryPlan(requestOf(any))
        if (!plan) return
        const pattern = plan.outline.centreline
        for (const { shape } of bentOnes(plan)) expect(longOf(shape) - longOf(pattern)).toBeCloseTo(0, 9)
        expect(plan.iron.heats.at(-1)!.shape).toEqual(pattern)
      }),
      { numRuns: 40 },
    )
  })

  it('close step by step, and the toe keeps its place', () => {
    const plan = made([], { fit: 'general' })
    const heats = bentOnes(plan)
    const gaps = heats.map(({ shape }) => across(shape))
    gaps.slice(1).forEach((gap, i) => expect(gap).toBeLessThanOrEqual(gaps[i]! + 1e-9))
    const toes = heats.map(({ marks }) => marks[0]!.at)
    for (const toe of toes) expect(distance(toe, toes[0]!)).toBeLessThan(1e-9)
    // One branch after the other: the outer first.
    const [outer, inner] = heats.filter(({ stage }) => stage === 'quarters')
    expect(outer!.shape.at(-1)).not.toEqual(inner!.shape.at(-1))
    expect(distance(outer!.shape[0]!, inner!.shape[0]!)).toBeLessThan(1e-9)
  })

  it('are what a hand works out where the toe is a half circle', () => {
    // Half-widths and toe depth 60 mm under a 20 mm bar: the middle of the web runs at 50 mm about the origin.
    const plan = planShoe(
      { ...FIVE_BY_FIVE, width: 120, length: 128, heelWidth: 84, widestFromToe: 60, toeShape: 2 },
      { ...PLAIN_SHOE, section: { ...PLAIN_SHOE.section, width: 20 }, fit: 'flush' },
    )
    const half = longOf(plan.outline.centreline) / 2
    const quarters = plan.iron.heats.find(({ stage }) => stage === 'toe quarters')!
    const arc = half * PART_ENDS['toe quarter']
    const angle = arc / 50
    const out = 50 * Math.sin(angle) + (half - arc) * Math.cos(angle)
    expect(quarters.measures[0]!.value).toBeGreaterThan(2 * out - 3)
    expect(quarters.measures[0]!.value).toBeLessThan(2 * out + 3)
    const down = 50 * (1 - Math.cos(angle)) + (half - arc) * Math.sin(angle)
    expect(Math.abs(quarters.measures[1]!.value - Math.hypot(out, down))).toBeLessThan(1)
  })

  it('run on straight beyond what is bent', () => {
    const plan = made([], { fit: 'general' })
    const { shape } = plan.iron.heats.find(({ stage }) => stage === 'toe')!
    const [a, b, c] = [shape[0]!, shape[10]!, shape[20]!]
    expect((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])).toBeCloseTo(0, 6)
  })

  it('are measured as they are drawn: three lengths put both ends where they lie', () => {
    const plan = made([{ kind: 'trailer' }], { fit: 'general' })
    for (const { shape, measures, marks } of bentOnes(plan)
      .filter(({ stage }) => stage !== 'heels')
      .slice(0, 3)) {
      expect(measures[0]!.value).toBeCloseTo(across(shape), 9)
      expect(measures[1]!.value).toBeCloseTo(distance(marks[0]!.at, shape[0]!), 9)
      expect(measures[2]!.value).toBeCloseTo(distance(marks[0]!.at, shape.at(-1)!), 9)
    }
    const { measures } = plan.iron.heats.at(-1)!
    expect(measures[1]!.value).toBeCloseTo(plan.heels.outside, 6)
  })

  it('begin with the bar as it is cut', () => {
    const plan = made([{ kind: 'wide-toe' }], { fit: 'general' })
    const [first] = plan.iron.heats
    expect(across(first!.shape)).toBeCloseTo(plan.iron.cutLength, 9)
    expect(first!.measures.map(({ value }) => value)).toEqual([
      plan.iron.cutLength,
      plan.iron.branches.lateral,
      plan.iron.branches.medial,
    ])
  })
})

describe('the heats of a factory shoe', () => {
  const wide = { ...FIVE_BY_FIVE, width: 131 }

  it('begin as it lies in the box and end in the pattern', () => {
    const plan = planShoe(wide, shoeOfSize(sizeOf(300)))
    const [first] = plan.iron.heats
    expect(Math.abs(across(first!.shape) - plan.iron.asSold!.heelsMiddle)).toBeLessThan(1.5)
    expect(plan.iron.heats.at(-1)!.shape).toEqual(plan.outline.centreline)
    const words = plan.iron.heats.map(({ text }) => inMm(text)).join(' ')
    expect(words).not.toMatch(/Cut the bar|Stamp the holes/)
  })

  it('say what is cut off a heel that is long, and which way it goes in all', () => {
    const { iron } = planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(330)))
    const words = iron.heats.map(({ text }) => inMm(text)).join(' ')
    expect(iron.heelToCut!.lateral).toBeGreaterThan(0)
    expect(words).toContain('off the outer heel')
    expect(words).toMatch(iron.openBy! > 0 ? /it opens by/ : /it closes by/)
  })

  it('are none where it cannot be bent: it lies in its shape from the first', () => {
    const plan = planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(330, { kind: 'polymer' })))
    for (const { shape } of plan.iron.heats) expect(shape).toEqual(plan.outline.centreline)
    expect(plan.iron.heats.map(({ text }) => text)).toEqual(plan.moulded!.words)
  })
})
