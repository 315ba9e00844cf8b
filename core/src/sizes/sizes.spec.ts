import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trackLength } from '../geometry/track'
import { ProblemError } from '../notices/problem'
import { planShoe, type Plan } from '../plan/plan'
import { shoeSchema, type ShoeInput } from '../records/shoe'
import { lengthFromSold, soldCentreline, soldMeasures, soldRim, soldWidth, widthOf } from '../shoe/as-sold'
import { checkSize } from '../shoe/check-size'
import { anyFoot } from '../testing/any-foot'
import { codes, inMm } from '../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { shoeOfSize, sizeOf } from '../testing/sizes'
import { rankSizes } from './rank'
import { madeByHand, takenSize } from './take'
import { weighed } from './use'

/** The length of a polyline by itself, mm. */
const walked = (points: readonly (readonly [number, number])[]): number =>
  points.reduce(
    (sum, [x, y], i) => (i === 0 ? 0 : sum + Math.hypot(x - points[i - 1]![0], y - points[i - 1]![1])),
    0,
  )

const problemsOf = (work: () => unknown): string[] => {
  try {
    work()
    return []
  } catch (error) {
    return (error as ProblemError).problems.map(({ path }) => path)
  }
}

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
        expect(plan.iron.centrelineLength).toBeCloseTo(length, 8)
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
        problemsOf(() => planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(305), { modifications: [{ kind }] }))),
        kind,
      ).toEqual([])
    for (const kind of ['trailer', 'wide-toe', 'egg-bar', 'crease'])
      expect(
        problemsOf(() => planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(305), { modifications: [{ kind }] }))),
        kind,
      ).toEqual(['shoe.modifications.0.kind'])
  })

  it('is refused by name where no bending brings it to the foot', () => {
    expect(
      problemsOf(() =>
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

describe('the shape of a factory shoe in the box', () => {
  it('has the length and the width that were said, by walking it', () => {
    for (const feet of ['front', 'hind', 'either'] as const) {
      const facts = sizeOf(310, { feet, width: 132 })
      expect(trackLength(soldCentreline(facts))).toBeCloseTo(310, 6)
      expect(walked(soldCentreline(facts).points) / 310).toBeGreaterThan(0.998)
      expect(widthOf(soldRim(facts))).toBeCloseTo(132, 6)
    }
  })

  it('is as wide as usual where nobody said, and grows with its length', () => {
    for (const feet of ['front', 'hind', 'either'] as const) {
      const usual = sizeOf(310, { feet })
      expect(widthOf(soldRim(usual))).toBeCloseTo(soldWidth(usual), 1)
      expect(soldWidth(sizeOf(330, { feet }))).toBeGreaterThan(soldWidth(usual) + 5)
    }
    // The 5 x 5 in foot of the rules of thumb takes 12 in of bar (common practice).
    expect(soldWidth(sizeOf(304.8))).toBeGreaterThan(123)
    expect(soldWidth(sizeOf(304.8))).toBeLessThan(133)
  })

  it('is found again from the width and the length it is sold by', () => {
    const facts = sizeOf(310, { width: 131 })
    const { toeToHeels, width, heelsMiddle, heelsOutside } = soldMeasures(facts)
    expect(lengthFromSold({ feet: 'front', web: 20, width, toeToHeels })).toBeCloseTo(310, 5)
    expect(heelsOutside - heelsMiddle).toBeGreaterThan(15)
    expect(heelsOutside - heelsMiddle).toBeLessThan(20.001)
  })
})

describe('what a size cannot be', () => {
  it('names the figure', () => {
    const paths = (more: Parameters<typeof sizeOf>[1]) =>
      checkSize(sizeOf(305, more), '').map(({ path }) => path)
    expect(paths({})).toEqual([])
    expect(paths({ web: 70 })).toEqual(['.web'])
    expect(paths({ web: 55, length: 180 })).toEqual(['.web'])
    expect(paths({ width: 90 })).toEqual(['.width'])
    expect(paths({ length: 60 })).toEqual(['.length'])
    const hole = (fromToe: number, inset = 9) => ({
      lateral: [
        { fromToe: 40, inset: 9 },
        { fromToe, inset },
      ],
      medial: [],
    })
    expect(paths({ holes: hole(200) })).toEqual(['.holes.lateral.1.fromToe'])
    expect(paths({ holes: hole(44) })).toEqual(['.holes.lateral.1.fromToe'])
    expect(paths({ holes: hole(60, 25) })).toEqual(['.holes.lateral.1.inset'])
    expect(checkSize(sizeOf(305, { web: 70 }))[0]!.message).toMatch(/between 6 mm and 60 mm/)
  })

  it('is read from what is sent: a bar by itself, a bar as stock, a size; and nothing is refused', () => {
    const section = { shape: 'flat', width: 19, thickness: 8, material: 'steel' }
    expect(shoeSchema.parse({ section, fit: 'general' })).toEqual({ section, fit: 'general' })
    expect(shoeSchema.parse({ stock: { kind: 'bar', section }, fit: 'general' })).toEqual({
      section,
      fit: 'general',
    })
    const facts = sizeOf(305)
    const read = shoeSchema.parse({ stock: { kind: 'size', facts }, fit: 'general' })
    expect(read.stock!.facts).toEqual(facts)
    expect(read.section).toEqual({ shape: 'flat', width: 20, thickness: 8, material: 'steel' })
    expect(shoeSchema.parse(read)).toEqual(read)
    expect(shoeSchema.safeParse({ fit: 'general' }).error!.issues[0]!.path).toEqual(['section'])
  })
})

describe('sizes ranked for a foot', () => {
  const sizes = [275, 290, 297, 305, 313, 321, 335, 350].map((length) => sizeOf(length))

  it('answers what planning each of them answers', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 118, max: 136, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        (width, lead) => {
          const foot = { ...FIVE_BY_FIVE, width, quarterLead: lead, length: width }
          for (const one of rankSizes(foot, 'general', sizes)) {
            const { iron, balance, nails } = planShoe(foot, shoeOfSize(one.facts))
            expect(one.openBy).toBeCloseTo(iron.openBy!, 1)
            for (const branch of ['lateral', 'medial'] as const) {
              expect(one.heelLeft[branch]).toBeCloseTo(iron.heelLeft![branch], 1)
              const heel = balance.heels.find((found) => found.branch === branch)!
              expect(Math.abs(one.heelBehind[branch] - heel.behindButtress)).toBeLessThan(0.15)
            }
            expect(one.holes.map(({ verdict }) => verdict)).toEqual(nails.map(({ verdict }) => verdict))
          }
        },
      ),
      { numRuns: 12 },
    )
  })

  it('puts first what needs least, and what cannot be laid last', () => {
    const ranked = rankSizes(FIVE_BY_FIVE, 'general', sizes)
    expect(ranked[0]!.label).toBe('S305')
    expect(inMm(ranked[0]!.reasons[0]!)).toBe('Matches the outline as it comes from the box.')
    const possible = ranked.map((one) => one.possible)
    expect(possible.lastIndexOf(true)).toBeLessThan(possible.indexOf(false))
    expect(ranked.find(({ label }) => label === 'S275')!.possible).toBe(false)
    for (const [i, one] of ranked.slice(1).entries())
      if (one.possible) expect(one.cost).toBeGreaterThanOrEqual(ranked[i]!.cost)
  })

  it('for a horse on hills takes the size down, a little opened, where the size up matches and has too much heel', () => {
    // Between two sizes: the one up matches the outline.
    const foot = { ...FIVE_BY_FIVE, width: 129.5, length: 124 }
    const two = [sizeOf(299, { width: 125.5 }), sizeOf(314, { width: 129.5 })]
    const usual = rankSizes(foot, 'general', two)
    const up = usual.find(({ label }) => label === 'S314')!
    expect(inMm(up.reasons[0]!)).toMatch(/^Matches the outline/)
    expect(up.heelLeft.lateral).toBeGreaterThan(3.2)
    const hills = rankSizes(foot, 'general', two, { work: 'hauling' })
    expect(hills[0]!.label).toBe('S299')
    const why = hills
      .find(({ label }) => label === 'S314')!
      .reasons.map(inMm)
      .join(' ')
    expect(why).toMatch(/too much heel for hill work/)
  })

  it('rules out a size with a hole inside the white line, and says which', () => {
    const coarse = sizeOf(305, {
      label: 'coarse',
      holes: {
        lateral: [
          { fromToe: 40, inset: 9.5 },
          { fromToe: 60, inset: 15 },
        ],
        medial: [{ fromToe: 40, inset: 9.5 }],
      },
    })
    const ranked = rankSizes(FIVE_BY_FIVE, 'general', [coarse, sizeOf(313)])
    expect(ranked.map(({ label, possible }) => [label, possible])).toEqual([
      ['S313', true],
      ['coarse', false],
    ])
    expect(ranked[1]!.reasons.map(inMm).join(' ')).toMatch(/Outer hole 2 lies 5\.5 mm inside the white line/)
  })

  it('closes a shoe that is a quarter of an inch too wide, and says so', () => {
    const [only] = rankSizes({ ...FIVE_BY_FIVE, width: FIVE_BY_FIVE.width - 6.35 }, 'general', [
      sizeOf(305, { width: 127 }),
    ])
    expect(only!.openBy).toBeCloseTo(-6.35, 0)
    expect(inMm(only!.reasons[0]!)).toMatch(/^Close it by 6/)
  })

  it('bends no moulded shoe, and trims it where it is wider', () => {
    const of = (width: number) =>
      rankSizes(FIVE_BY_FIVE, 'general', [sizeOf(305, { kind: 'polymer', width })])[0]!
    expect(of(127).possible).toBe(true)
    expect(of(122).possible).toBe(false)
    expect(inMm(of(122).reasons[0]!)).toMatch(/moulded: it cannot be bent/)
    expect(of(133).possible).toBe(true)
    expect(inMm(of(133).reasons[0]!)).toMatch(/trim it outside, never into the crease/)
  })

  it('says how the toe is to be reshaped: pointed where the foot is, rounded where the foot is broad', () => {
    const of = (toeShape: number, more = {}) =>
      rankSizes({ ...FIVE_BY_FIVE, toeShape }, 'general', [sizeOf(303, more)])[0]!
    expect(Math.abs(of(2).reshapeToe)).toBeLessThan(1.5)
    const [pointed, broad] = [of(1.7), of(2.4)]
    expect(pointed.reshapeToe).toBeGreaterThan(3)
    expect(broad.reshapeToe).toBeLessThan(-3)
    expect(pointed.reasons.map(inMm).join(' ')).toMatch(/Point its toe: \d+(\.\d)? mm rounder/)
    expect(broad.reasons.map(inMm).join(' ')).toMatch(/Round its toe/)
    expect(pointed.cost).toBeGreaterThan(of(2).cost)
    // A hind shoe is more pointed: less of it is left to do on a pointed foot.
    expect(of(1.7, { feet: 'hind' }).reshapeToe).toBeLessThan(pointed.reshapeToe - 1)
    expect(of(1.7, { kind: 'polymer' }).reasons.map(inMm).join(' ')).toMatch(/stays so/)
  })

  it('lets accepted advice weigh, and says so', () => {
    expect(weighed({ advice: ['mud-herd-fit'] }).againstLong[0]).toMatch(/advice accepted/)
    expect(weighed({ advice: ['thin-wall-clips'] }).nails).toBeGreaterThan(1)
    const first = (advice: string[]) =>
      rankSizes(
        FIVE_BY_FIVE,
        'general',
        [sizeOf(303, { width: 126 }), sizeOf(303, { kind: 'polymer', label: 'gives', width: 127.5 })],
        { advice },
      )[0]!
    expect(first([]).label).toBe('S303')
    expect(first(['polymer-rim']).label).toBe('gives')
    expect(first(['polymer-rim']).reasons.map(inMm).join(' ')).toMatch(/asked for by a sole/)
  })

  it('weighs what the horse does, and what the farrier says over it', () => {
    expect(weighed({}).longHeels).toBe(1)
    expect(weighed({ work: 'racing' }).longHeels).toBe(3)
    expect(weighed({ going: 'mud', living: 'in a herd' }).againstLong).toEqual([
      'mud',
      'a herd that steps on it',
    ])
    expect(weighed({ work: 'racing', weights: { longHeels: 0.5 } }).longHeels).toBe(0.5)
  })
})

describe('a size taken', () => {
  const shoe: ShoeInput = { ...PLAIN_SHOE, modifications: [{ kind: 'crease' }, { kind: 'toe-clip' }] }
  const coarse = sizeOf(305, {
    holes: {
      lateral: [34, 54, 74, 94].map((fromToe, i) => ({ fromToe, inset: i === 1 ? 16 : 9.5 })),
      medial: [],
    },
  })

  it('keeps what can be made of it, and leaves holes empty that would prick', () => {
    const [one] = rankSizes(FIVE_BY_FIVE, 'general', [coarse])
    const taken = takenSize(shoe, coarse, one!.holes, 'id')
    expect(taken.modifications).toEqual([{ kind: 'toe-clip' }])
    expect(taken.nails).toEqual({ lateral: { driven: [1, 3, 4] }, medial: { driven: [] } })
    const { nails, iron } = planShoe(FIVE_BY_FIVE, taken)
    expect(iron.size).toBe('S305')
    expect(nails.filter(({ driven, verdict }) => driven && verdict === 'would-prick')).toEqual([])
  })

  it('is made by hand again of the plain bar; what is made by hand stays as it is', () => {
    const taken = takenSize(shoe, coarse, [], 'id')
    expect(madeByHand(taken)).toEqual({ ...PLAIN_SHOE, modifications: [{ kind: 'toe-clip' }] })
    expect(madeByHand(shoe)).toBe(shoe)
  })
})
