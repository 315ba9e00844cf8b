import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Nail } from '../nails/nails'
import type { Nailing } from '../nails/nailing'
import { anyPlan, requestOf, tryPlan } from '../testing/fuzz/any-plan'
import { inMm } from '../testing/made'
import { shoeOfSize, sizeOf } from '../testing/sizes'
import { FIVE_BY_FIVE } from '../testing/samples'
import { planShoe } from '../plan/plan'
import type { CautionContext, CautionRule } from './context'
import { nailCautions } from './nail-cautions'
import { nailFlightCautions } from './nail-flight-cautions'

/** A nail that goes as it should, but for what is said. */
const nail = (said: Partial<Nail> = {}): Nail =>
  ({ branch: 'lateral', number: 1, driven: true, verdict: 'sound', why: 'because', ...said }) as Nail
const sixFine = [1, 2, 3].flatMap((number) => [nail({ number }), nail({ branch: 'medial', number })])
const NAILING: Nailing = { school: 'sound', padding: 0 }

const said = (
  rule: CautionRule,
  nails: readonly Nail[],
  { nailing = {}, heldByClips = 0 }: { nailing?: Partial<Nailing>; heldByClips?: number } = {},
) => rule({ nails, nailing: { ...NAILING, ...nailing }, heldByClips } as CautionContext)
const codesOf = (...asked: Parameters<typeof said>) => said(...asked).map(({ code }) => code)

describe('where driven nails go', () => {
  it.each([
    ['would-prick', 'nail-pricks', 'stop'],
    ['close', 'nail-close', 'caution'],
    ['low', 'nail-low', 'caution'],
    ['misses', 'nail-low', 'caution'],
    ['too-low', 'nail-exit', 'caution'],
    ['too-high', 'nail-exit', 'caution'],
    ['never-out', 'nail-exit', 'stop'],
    ['in-the-way', 'nail-in-the-way', 'caution'],
  ] as const)('%s is said as %s: %s, with the nails and why', (verdict, code, severity) => {
    const gone = [nail({ number: 2, verdict }), nail({ branch: 'medial', number: 3, verdict })]
    const found = said(nailFlightCautions, [...sixFine, ...gone])
    expect(found).toMatchObject([{ code, severity }])
    expect(inMm(found[0]!.text)).toBe('outer 2, inner 3: because')
    // A hole that stays empty comes out nowhere.
    expect(
      codesOf(
        nailFlightCautions,
        gone.map((one) => ({ ...one, driven: false })),
      ),
    ).toEqual([])
  })

  it('one nail that never comes out stops the work, whatever the others do', () => {
    const both = [nail({ verdict: 'too-low' }), nail({ number: 2, verdict: 'never-out' })]
    expect(said(nailFlightCautions, both)[0]!.severity).toBe('stop')
    expect(said(nailFlightCautions, both.slice(0, 1))[0]!.severity).toBe('caution')
  })

  it('is what is found in any plan: each verdict of a driven nail is said once, and nothing else is', () => {
    fc.assert(
      fc.property(anyPlan, (any) => {
        const plan = tryPlan(requestOf(any))
        fc.pre(plan !== undefined)
        const has = (...verdicts: string[]) =>
          plan.nails.some(({ driven, verdict }) => driven && verdicts.includes(verdict))
        const found = plan.cautions.map(({ code }) => code)
        expect(found.includes('nail-pricks')).toBe(has('would-prick'))
        expect(found.includes('nail-close')).toBe(has('close'))
        expect(found.includes('nail-low')).toBe(has('low', 'misses'))
        expect(found.includes('nail-exit')).toBe(has('too-low', 'too-high', 'never-out'))
        expect(found.includes('nail-in-the-way')).toBe(has('in-the-way'))
      }),
      { numRuns: 40 },
    )
  })
})

describe('size and number of the nails', () => {
  const need = { length: 50, shank: 4 }
  const size = { name: 'Five', length: 52, shank: 4 } as NonNullable<Nailing['size']>

  it('that fit are not spoken of', () => {
    expect(codesOf(nailCautions, sixFine, { nailing: { need, size, exits: { low: 20, high: 26 } } })).toEqual(
      [],
    )
  })

  it('none that fits is said with what it must be; one that is not on the shelf is said as that', () => {
    const [none] = said(nailCautions, sixFine, { nailing: { need } })
    expect(none!.code).toBe('nail-none-fits')
    expect(inMm(none!.text)).toContain('50 mm')
    expect(codesOf(nailCautions, sixFine, { nailing: { need, unknownSize: 'Gone' } })).toEqual([
      'nail-size-unknown',
    ])
  })

  it('a millimetre short still clinches, more does not; as stout as the wall allows is not stout', () => {
    const short = (length: number) =>
      codesOf(nailCautions, sixFine, { nailing: { need, size: { ...size, length } } })
    expect([short(49), short(48.9)]).toEqual([[], ['nail-short']])
    const stout = (shank: number) =>
      codesOf(nailCautions, sixFine, { nailing: { need, size: { ...size, shank } } })
    expect([stout(4.05), stout(4.2)]).toEqual([[], ['nail-stout']])
  })

  it('clinches over a quarter of an inch apart are not in one line', () => {
    const spread = (high: number) =>
      codesOf(nailCautions, sixFine, { nailing: { need, size, exits: { low: 20, high } } })
    expect([spread(25.5), spread(26.5)]).toEqual([[], ['exits-spread']])
  })

  it('two clips stand in for nails, never for both nails; with eight nails they are too many', () => {
    const driven = (count: number) =>
      [...sixFine, nail({ number: 4 }), nail({ branch: 'medial', number: 4 }), nail({ number: 5 })].slice(
        0,
        count,
      )
    const clips = (count: number, heldByClips = 0) => codesOf(nailCautions, driven(count), { heldByClips })
    expect([clips(3), clips(4), clips(8), clips(9)]).toEqual([['few-nails'], [], [], ['many-nails']])
    expect([clips(2, 4), clips(1, 4), clips(3, 1)]).toEqual([[], ['few-nails'], []])
    expect([clips(5, 4), clips(6, 4), clips(3, 8)]).toEqual([[], ['clips-and-nails'], []])
    expect(said(nailCautions, [])[0]!.title).toBe('No nails')
  })
})

describe('holes of a shoe that is bought', () => {
  it('inside the white line are counted while nobody drives them, and prick once somebody does', () => {
    // Punched far in, as for a much wider foot.
    const holes = [45, 60].map((fromToe) => ({ fromToe, inset: 17 }))
    const size = sizeOf(305, { holes: { lateral: holes, medial: [] } })
    const cautions = (driven: number[]) =>
      planShoe(FIVE_BY_FIVE, shoeOfSize(size, { nails: { lateral: { driven }, medial: { driven: [] } } }))
        .cautions
    const found = cautions([]).find(({ code }) => code === 'size-hole-inside')
    expect(found?.title).toBe('2 holes inside the white line')
    expect(inMm(found!.text)).toContain('outer 1, outer 2')
    const driven = cautions([1, 2]).map(({ code }) => code)
    expect(driven).not.toContain('size-hole-inside')
    expect(driven).toContain('nail-pricks')
  })
})
