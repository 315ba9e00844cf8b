import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newLook } from '../look/new-look'
import { findingKind, type FindingKindKey } from '../terms/finding-kinds'
import { PLACES } from '../terms/places'
import { readFoot } from '../foot/measurements'
import { FIVE_BY_FIVE } from '../testing/samples'
import type { FootInput, Side } from '../records/foot'
import type { FootLook, Look } from '../records/look'
import { MODIFICATIONS } from '../modifications/index'
import { advise } from './advise'
import { ADVICE_RULES } from './rules/index'

const ID = '3f0c6a52-6f0e-4a3e-8f5e-0a1b2c3d4e5f'

interface Given {
  side?: Side
  ways?: Partial<Look['ways']>
  vet?: Look['vet']['diagnosis']
  legs?: Side[]
  foot?: Partial<FootLook>
  found?: [FindingKindKey, number][]
  measured?: Partial<FootInput>
  weeksSince?: number
}

function look({ side = 'LF', ways, vet, legs, foot, found = [] }: Given): Look {
  const bare = newLook(ID, ID)
  const findings = found.map(([kind, grade]) => ({
    id: ID,
    kind,
    grade,
    place: PLACES.find(({ part }) => part === findingKind(kind).parts[0])!.key,
    note: '',
    answer: 'new' as const,
    since: '2026-09-01',
  }))
  return {
    ...bare,
    vet: { ...bare.vet, diagnosis: vet ?? 'none', who: 'Dr Ebb', ...(legs && { legs }) },
    ways: { ...bare.ways, ...ways },
    feet: { ...bare.feet, [side]: { ...bare.feet[side], ...foot, findings } },
  }
}

function adviceFor(given: Given) {
  const read = given.measured && readFoot({ ...FIVE_BY_FIVE, ...given.measured })
  return advise({
    side: given.side ?? 'LF',
    look: look(given),
    cycleWeeks: 7,
    ...(read?.ok && { foot: read.value.foot }),
    ...(given.weeksSince !== undefined && { weeksSince: given.weeksSince }),
  })
}
const codes = (given: Given) => adviceFor(given).map(({ code }) => code)

/** For each rule a case in which it speaks (common practice: handbook facts, no source). */
const CASES: [string, Given][] = [
  ['abscess-open', { found: [['track', 2]] }],
  ['abscess-plate', { found: [['track', 3]] }],
  ['founder-breakover', { vet: 'founder' }],
  ['founder-nails', { vet: 'founder' }],
  ['founder-heart-bar', { found: [['rings', 2]] }],
  ['founder-four-rail', { vet: 'founder' }],
  ['founder-trim', { vet: 'founder' }],
  ['suspensory-wedge', { vet: 'suspensory strain' }],
  ['suspensory-sinking-heels', { vet: 'suspensory strain' }],
  ['navicular-early-breakover', { vet: 'navicular pain' }],
  ['navicular-wedge', { vet: 'navicular pain' }],
  ['navicular-egg-bar', { vet: 'navicular pain' }],
  ['hospital-plate', { found: [['puncture', 1]] }],
  ['resected-heart-bar', { found: [['resected-wall', 1]] }],
  ['tendon-support', { vet: 'tendon injury' }],
  ['contracted-room', { found: [['contracted', 1]] }],
  ['contracted-expander', { found: [['contracted', 3]] }],
  ['contracted-frog', { found: [['contracted', 2]] }],
  ['heels-supportive', { measured: { toeAngle: 52, heelAngle: 44 } }],
  ['heels-breakover', { measured: { plumbBehind: 20 } }],
  ['club-slowly', { found: [['club', 1]] }],
  ['club-breakover', { found: [['club', 2]] }],
  ['thin-wall-clips', { measured: { wallThickness: 5 } }],
  ['toe-clip', { foot: { lost: true } }],
  ['broken-wall-nails', { found: [['broken-wall', 1]] }],
  ['separation-nails', { found: [['separation', 1]] }],
  ['flare-fit', { found: [['flare', 1]] }],
  ['crack-support', { found: [['crack', 2]] }],
  ['seat-out', { found: [['thin-sole', 1]] }],
  ['polymer-rim', { found: [['flat-sole', 1]] }],
  ['pad', { found: [['bruise', 1]], ways: { going: 'rock' } }],
  ['rot-open', { found: [['rot', 1]] }],
  ['frog-support', { found: [['frog-small', 1]] }],
  ['outside-wide-branch', { foot: { landing: 'outside first' } }],
  ['outside-trailer', { side: 'LH', foot: { landing: 'outside first' } }],
  ['toe-first', { foot: { landing: 'toe first' } }],
  ['brushes-inner', { ways: { interference: ['brushes'] } }],
  ['reach-fore', { ways: { interference: ['forges'] } }],
  ['reach-hind', { side: 'RH', ways: { interference: ['overreaches'] } }],
  ['jumping-fit', { ways: { work: 'jumping' } }],
  ['racing-fit', { ways: { work: 'racing' } }],
  ['sliding-fit', { side: 'LH', ways: { work: 'sliding and turning' } }],
  ['road-wear', { ways: { going: 'road' } }],
  ['road-grip', { ways: { work: 'driving on roads' } }],
  ['rest-joints', { ways: { work: 'driving on roads' } }],
  ['hauling-bar', { ways: { work: 'hauling' } }],
  ['mud-herd-fit', { ways: { living: 'in a muddy herd' } }],
  ['lost-shoe', { foot: { lost: true } }],
  ['shorter-cycle', { weeksSince: 12 }],
]

describe('advice', () => {
  it('over an abscess nothing is said of what a shoe could do better, until the vet allows one', () => {
    const given: Given = { found: [['track', 3]], ways: { going: 'road', work: 'driving on roads' } }
    const told = adviceFor(given)
    expect(told[0]!.code).toBe('abscess-open')
    expect(told.every(({ vetLeads, topic }) => vetLeads || topic === 'care' || topic === 'cycle')).toBe(true)
    expect(codes({ ways: given.ways! })).toContain('road-wear')
    expect(told.map(({ code }) => code)).not.toContain('road-wear')
  })

  it('has a case here for every rule, and no code twice', () => {
    expect(CASES.map(([code]) => code).sort()).toEqual(ADVICE_RULES.map(({ code }) => code).sort())
  })

  it('says nothing about a sound foot nothing is known of', () => expect(codes({})).toEqual([]))

  it.each(CASES)('%s speaks where it should', (code, given) => {
    const advice = adviceFor(given).find((one) => one.code === code)
    expect(advice?.reason).toMatch(/\w{3}/)
    expect(advice?.against).toMatch(/\w{3}/)
    expect(advice?.school).toMatch(/\w{3}/)
  })

  it('shows both schools of a suspensory strain, each with what it clashes with', () => {
    const advice = adviceFor({ vet: 'suspensory strain', ways: { going: 'rock' } })
    expect(advice.map(({ school }) => school)).toEqual(['raised heels', 'sinking heels'])
    expect(advice.every(({ vetLeads }) => vetLeads)).toBe(true)
    expect(advice[0]!.clashes[0]!.code).toBe('suspensory-sinking-heels')
    expect(advice[1]!.clashes[0]!.code).toBe('suspensory-wedge')
    expect(advice[1]!.reason).toContain('hard ground')
  })

  it('shows a trailer that is wanted against the muddy herd that speaks against it', () => {
    const advice = adviceFor({
      side: 'LH',
      foot: { landing: 'outside first' },
      ways: { living: 'in a muddy herd' },
    })
    const trailer = advice.find(({ code }) => code === 'outside-trailer')!
    expect(trailer.clashes).toEqual([
      { code: 'mud-herd-fit', title: expect.any(String) as string, over: ['trailer', 'long heels'] },
    ])
    expect(advice.find(({ code }) => code === 'mud-herd-fit')!.clashes.map(({ code }) => code)).toContain(
      'outside-trailer',
    )
  })

  it('keeps to the foot: fore rules for fore feet, hind rules for hind feet', () => {
    const ways: Given['ways'] = { interference: ['forges'] }
    expect(codes({ side: 'LF', ways })).toContain('reach-fore')
    expect(codes({ side: 'LH', ways })).not.toContain('reach-fore')
    expect(codes({ side: 'LF', foot: { landing: 'outside first' } })).not.toContain('outside-trailer')
  })

  it('keeps a diagnosis to the legs that are named, and says so where none is', () => {
    const vet = 'tendon injury' as const
    expect(codes({ side: 'LH', vet, legs: ['LH'] })).toContain('tendon-support')
    expect(codes({ side: 'RH', vet, legs: ['LH'] })).toEqual([])
    expect(adviceFor({ side: 'RH', vet })[0]!.reason).toContain('In which leg is not written down')
  })

  it('says the same thing once, with the reasons of all who say it', () => {
    const [fit, ...rest] = adviceFor({
      vet: 'tendon injury',
      ways: { work: 'jumping' },
      measured: { plumbBehind: 20 },
    }).filter(({ change }) => change?.fit === 'supportive')
    expect(rest).toEqual([])
    expect(fit!.codes).toEqual(['tendon-support', 'heels-supportive', 'jumping-fit'])
    expect(fit!.reason).toMatch(/tendon injury.*plumb line.*jumper/)
    expect(fit!.vetLeads).toBe(true)
  })

  it('never asks twice for the same change, whatever is found', () => {
    const spoken = fc.subarray(
      CASES.map(([, given]) => given),
      { maxLength: 8 },
    )
    fc.assert(
      fc.property(spoken, (givens) => {
        const changes = adviceFor(givens.reduce((all, one) => ({ ...all, ...one }), {})).flatMap(
          ({ change }) => (change ? [JSON.stringify(change)] : []),
        )
        expect(new Set(changes).size).toBe(changes.length)
      }),
    )
  })

  it('puts on the shoe only modifications that can be planned', () => {
    const known = MODIFICATIONS.map(({ kind }) => kind)
    const brought = ADVICE_RULES.flatMap(({ change }) => change?.modification ?? [])
    expect(brought.length).toBeGreaterThan(3)
    expect(known).toEqual(expect.arrayContaining(brought))
  })

  it('leaves what is gone out of account', () => {
    const rotten = look({ found: [['rot', 2]] })
    rotten.feet.LF.findings[0]!.answer = 'gone'
    expect(advise({ side: 'LF', look: rotten, cycleWeeks: 7 })).toEqual([])
  })
})
