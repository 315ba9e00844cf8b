import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planShoe } from '../plan/plan'
import { inMm } from '../testing/made'
import { FIVE_BY_FIVE } from '../testing/samples'
import { shoeOfSize, sizeOf } from '../testing/sizes'
import { rankSizes } from './rank'
import { weighed } from './use'
import { HALVES } from '../terms/half'

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
            for (const branch of HALVES) {
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
    expect(inMm(ranked[0]!.reasons[0]!)).toBe('Matches the outline as it is sold.')
    const possible = ranked.map((one) => one.possible)
    expect(possible.lastIndexOf(true)).toBeLessThan(possible.indexOf(false))
    expect(ranked.find(({ label }) => label === 'S275')!.possible).toBe(false)
    for (const [i, one] of ranked.slice(1).entries())
      if (one.possible) expect(one.cost).toBeGreaterThanOrEqual(ranked[i]!.cost)
  })

  it('puts one that hangs on the van before one that has to be fetched, where both fit about alike', () => {
    const [near, gone] = [
      { ...sizeOf(305, { label: 'Here' }), onVan: 2 },
      { ...sizeOf(305, { label: 'Gone' }), onVan: 0 },
    ]
    const first = (...of: Parameters<typeof rankSizes>[2]) =>
      rankSizes(FIVE_BY_FIVE, 'general', of).map(({ label }) => label)
    expect(first(gone, near)).toEqual(['Here', 'Gone'])
    // A shoe that fits is fetched before a bad one is bent.
    expect(first(gone, { ...sizeOf(335, { label: 'Long' }), onVan: 4 })[0]).toBe('Gone')
  })

  it('does not say that it matches where its toe is reshaped', () => {
    const square = { ...FIVE_BY_FIVE, toeShape: 2.6 }
    const [one] = rankSizes(square, 'general', [sizeOf(305, { width: 127 })])
    expect(one!.toeOff).toBe(true)
    expect(one!.reasons.map(inMm)).toEqual(
      expect.arrayContaining([expect.stringMatching(/its toe: /), 'As wide as the foot as it is sold.']),
    )
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
