import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { distance, type Vec } from '../geometry/vector'
import { planShoe, type Plan } from '../plan/plan'
import { anyPlan, requestOf, tryPlan } from '../testing/fuzz/any-plan'
import { inMm, made, type Given } from '../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { shoeOfSize, sizeOf } from '../testing/sizes'
import { PART_ENDS } from '../terms/trying'

const longOf = (points: readonly Vec[]) =>
  points.reduce((sum, point, i) => (i === 0 ? 0 : sum + distance(points[i - 1]!, point)), 0)
const across = (points: readonly Vec[]) => distance(points[0]!, points[points.length - 1]!)
/** On a foot of 127 mm both ways, from 19.05 x 7.9375 flat steel. */
const framed = (modifications: Given) =>
  planShoe(
    { ...FIVE_BY_FIVE, width: 127, length: 127, heelWidth: 88.9, toeAngle: 52, wallThickness: 9.5 },
    {
      section: { width: 19.05, thickness: 7.9375, shape: 'flat', material: 'steel' },
      fit: 'general',
      modifications,
    },
  )
const bentOnes = (plan: Plan) => plan.iron.heats.filter(({ straight }) => !straight)

describe('the shapes between', () => {
  it('begin with the bar as it is cut and end in the pattern, whatever is made on whatever foot', () => {
    fc.assert(
      fc.property(anyPlan, (any) => {
        const plan = tryPlan(requestOf(any))
        if (!plan) return
        const { heats, cutLength, closing } = plan.iron
        const pattern = plan.outline.centreline
        const last = heats.at(-1)!.shape
        const from = last.findIndex((point) => distance(point, pattern[0]!) === 0)
        expect(last.slice(from, from + pattern.length)).toEqual(pattern)
        if (closing === 0) expect(last.length).toBe(pattern.length)
        if (heats[0]!.straight) expect(longOf(heats[0]!.shape)).toBeCloseTo(cutLength, 9)
      }),
      { numRuns: 40 },
    )
  })

  // Figures of an independent calculation on the same foot.
  it.each([
    ['wedge', 'upset', 400.3, 306.0],
    ['slide-shoe', 'upset', 279.6, 305.1],
    ['wide-outer-branch', 'upset', 314.1, 305.1],
    ['wide-toe', 'upset', 295.8, 302.0],
    ['trailer', 'upset', 332.8, 324.8],
    ['toe-clip', 'clips', 312.2, 306.0],
    ['side-clips', 'clips', 318.4, 306.0],
  ] as const)('%s: what is %s on the straight bar has come together', (kind, stage, cut, after) => {
    const { heats, centrelineLength } = framed([{ kind }]).iron
    const lengths = heats.filter(({ straight }) => straight).map(({ shape }) => longOf(shape))
    expect(Math.abs(lengths[0]! - cut)).toBeLessThan(0.8)
    // Bent, the middle of a web that changes runs a little aslant, and is longer by it; where a trailer is upset it
    // lies further out in the bend.
    const off = (shape: readonly Vec[]) => Math.abs(longOf(shape) - after)
    expect(off(heats.filter((one) => one.stage === stage).at(-1)!.shape)).toBeLessThan(
      kind === 'trailer' ? 1.5 : 0.8,
    )
    for (const { shape, straight } of heats)
      if (!straight)
        expect(Math.abs(longOf(shape) - centrelineLength)).toBeLessThan(kind === 'trailer' ? 4 : 0.8)
  })

  it('hold the same steel before and after it is upset: a wedge summed on its own', () => {
    const { iron, section, outline } = framed([{ kind: 'wedge', rise: 3 }])
    const [cut, upset] = iron.heats.map(({ measures }) => measures.map(({ value }) => value))
    // Nothing at the toe, all of it at the heels, evenly along the foot: summed over the middle of the web.
    const steel = (cut![0]! - upset![0]!) * section.thickness
    const ys = outline.centreline.map(([, y]) => y)
    const [foremost, hindmost] = [Math.max(...ys), Math.min(...ys)]
    const raised = outline.centreline.slice(1).reduce((sum, point, i) => {
      const share = (foremost - (point[1] + ys[i]!) / 2) / (foremost - hindmost)
      return sum + 3 * share * distance(point, outline.centreline[i]!)
    }, 0)
    expect(Math.abs(steel / raised - 1)).toBeLessThan(0.06)
    const clip = framed([{ kind: 'toe-clip', width: 24, height: 20, thickness: 4 }]).iron
    const volume = 24 * 20 * 4 * (Math.PI / 4 - 1 / 3)
    const [before, drawn] = clip.heats.map(({ shape }) => longOf(shape))
    expect((before! - drawn!) * section.width * section.thickness).toBeCloseTo(volume, 0)
  })

  it('spread first, then draw: a wide toe comes together before its branches grow', () => {
    const lengths = framed([{ kind: 'wide-toe' }])
      .iron.heats.filter(({ straight }) => straight)
      .map(({ shape }) => longOf(shape))
    expect(lengths).toHaveLength(3)
    expect(lengths[1]).toBeLessThan(lengths[0]!)
    expect(lengths[2]).toBeGreaterThan(lengths[1]!)
  })

  it('carry the bar that closes the shoe behind its heels along, and turn it where that is done', () => {
    for (const [kind, long] of [
      ['egg-bar', 380.4],
      ['hinged-expander', 431.2],
    ] as const) {
      const { heats } = framed([{ kind }]).iron
      for (const { shape } of heats) expect(Math.abs(longOf(shape) - long)).toBeLessThan(0.2)
    }
    const { heats } = framed([{ kind: 'egg-bar' }]).iron
    const weld = heats.findIndex(({ stage }) => stage === 'weld')
    expect(across(heats[weld - 1]!.shape)).toBeGreaterThan(20)
    expect(across(heats[weld]!.shape)).toBeLessThan(0.5)
  })

  it('bend toe and heel as usual before they are squared and turned out', () => {
    const squared = framed([{ kind: 'squared-toe', behindToe: 12 }])
    const toes = squared.iron.heats.filter(({ stage }) => stage === 'toe')
    const foremost = (shape: readonly Vec[]) => Math.max(...shape.map(([, y]) => y))
    const flat = (shape: readonly Vec[]) => longOf(shape.filter(([, y]) => y > foremost(shape) - 0.5))
    expect(flat(toes[1]!.shape)).toBeGreaterThan(1.5 * flat(toes[0]!.shape))
    const trailed = framed([{ kind: 'trailer' }])
    const [heels, turned] = trailed.iron.heats.filter(({ stage }) => stage === 'heels')
    expect(turned!.shape[0]![0] - heels!.shape[0]![0]).toBeGreaterThan(10)
    expect(turned!.shape).toEqual(trailed.outline.centreline)
  })

  it('have the web moved where it is seated out, and not before', () => {
    const { heats } = framed([{ kind: 'seating-out' }]).iron
    const long = heats.map(({ shape }) => longOf(shape))
    const at = heats.findIndex(({ text }) => inMm(text).includes('Seat out'))
    expect(long[at - 1]! - long[at]!).toBeGreaterThan(1)
    expect(long[at - 1]).toBeCloseTo(long[0]!, 1)
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
    const { cutLength, branches } = plan.iron
    const told = [cutLength, branches.lateral, branches.medial]
    first!.measures.forEach(({ value }, i) => expect(value).toBeCloseTo(told[i]!, 9))
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
    const { lateral, medial } = iron.heelToCut!
    expect(lateral).toBeGreaterThan(0)
    const long = iron.heats.map(({ shape }) => longOf(shape))
    // As long as it came until it is cut, then what is left.
    const off = iron.heats.flatMap(({ text }, i) => (inMm(text).startsWith('Cut ') ? [i] : []))
    expect(long[off[0]! - 1]).toBeCloseTo(330, 0)
    expect(long[off[0]! - 1]! - long[off.at(-1)!]!).toBeCloseTo(lateral + medial, 1)
    expect(words).toContain('off the outer heel')
    expect(words).toMatch(iron.openBy! > 0 ? /it opens by/ : /it closes by/)
  })

  it('are none where it cannot be bent: it lies in its shape from the first', () => {
    const plan = planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(330, { kind: 'polymer' })))
    for (const { shape } of plan.iron.heats) expect(shape).toEqual(plan.outline.centreline)
    expect(plan.iron.heats.map(({ text }) => text)).toEqual(plan.moulded!.words)
  })
})
