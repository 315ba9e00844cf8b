import { describe, expect, it } from 'vitest'
import type { Finding, Look } from '../records/look'
import { limitsInWords } from './limits-in-words'
import { nailLimitsOf } from './nail-limits'
import { newLook } from './new-look'

const ID = '00000000-0000-4000-8000-000000000001'
const look = (vet: Partial<Look['vet']> = {}, findings: Partial<Finding>[] = []): Look => {
  const made = newLook(ID, ID)
  return {
    ...made,
    vet: { ...made.vet, ...vet },
    feet: { ...made.feet, LF: { ...made.feet.LF, findings: findings as Finding[] } },
  }
}
const rules = (of: Look, side: 'LF' | 'RF' = 'LF') =>
  nailLimitsOf(of, side).map(({ rule, by }) => `${by}: ${rule}`)

describe('limits that follow from the look', () => {
  it('founder, found or diagnosed, lets no nail be driven ahead of the widest part', () => {
    expect(rules(look({}, [{ kind: 'rings', place: 'foot', grade: 2, answer: 'new' }]))).toEqual([
      'found: behind the widest part',
    ])
    expect(rules(look({}, [{ kind: 'rings', place: 'foot', grade: 1, answer: 'new' }]))).toEqual([])
    expect(rules(look({}, [{ kind: 'rings', place: 'foot', grade: 2, answer: 'gone' }]))).toEqual([])
    expect(rules(look({ diagnosis: 'founder' }))).toEqual(['diagnosed: behind the widest part'])
  })

  it('of the leg it was diagnosed in, of all where that was not said', () => {
    const one = look({ diagnosis: 'founder', legs: ['LF'] })
    expect([rules(one, 'LF').length, rules(one, 'RF').length]).toEqual([1, 0])
    expect(rules(look({ diagnosis: 'founder' }), 'RF')).toHaveLength(1)
    expect(nailLimitsOf(look({ diagnosis: 'founder' }), 'LF')[0]!.why).toContain('not written down')
  })

  it('what was found at the visit before stands until somebody answers it', () => {
    const before = look({}, [
      { id: ID, kind: 'rings', place: 'foot', grade: 3, answer: 'new', note: '', since: '2026-11-01' },
    ])
    const now = newLook(ID, ID, before)
    expect(rules(now)).toEqual(['found: behind the widest part'])
    const gone = { ...before.feet.LF.findings[0]!, answer: 'gone' as const }
    const answered = { ...now, feet: { ...now.feet, LF: { ...now.feet.LF, findings: [gone] } } }
    expect(rules(answered)).toEqual([])
  })

  it('what the vet set, chosen and in words, stands once', () => {
    expect(rules(look({ nails: 'no nails', who: 'Dr Sedge' }))).toEqual(['vet: no nails'])
    expect(
      rules(look({ nails: 'behind the widest part', limits: 'No nail ahead of the widest part. Box rest.' })),
    ).toEqual(['vet: behind the widest part', 'vet: words'])
  })
})

describe('a limit in the vet’s own words', () => {
  it.each([
    ['no nail ahead of the widest part', 'behind the widest part'],
    ['No nails in front of the widest part', 'behind the widest part'],
    ['Nails only behind the widest part', 'behind the widest part'],
    ["don't nail the toe", 'behind the widest part'],
    ['Do not put any nails in the toe', 'behind the widest part'],
    ['keep nails out of the toe, never forward', 'behind the widest part'],
    ['heel nails only: nothing forward', 'behind the widest part'],
    ['No nails', 'no nails'],
    ['no nails at all', 'no nails'],
    ['Never nail this foot again without me', 'words'],
    ['as few nails as you can', 'words'],
    ['no pressure on the sole', 'words'],
    ['Nail the toe well', 'words'],
  ])('%s: %s', (text, rule) => {
    expect(limitsInWords(text).map((one) => one.rule)).toEqual([rule])
  })

  it('each sentence stands by itself; nothing is nothing', () => {
    expect(limitsInWords('Box rest\nNo nails; hay only.')).toEqual([
      { rule: 'words', why: 'Box rest' },
      { rule: 'no nails', why: 'No nails' },
      { rule: 'words', why: 'hay only' },
    ])
    expect(limitsInWords(' . ')).toEqual([])
  })
})
