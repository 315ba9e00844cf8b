import { describe, expect, it } from 'vitest'
import { tryPlan } from '../testing/fuzz/any-plan'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { accepted } from './accepted'
import type { AdviceChange } from './advice'
import { contradictions } from './contradictions'
import { changesApart } from './changes-apart'
import { ADVICE_RULES } from './rules/index'

const CHANGES = ADVICE_RULES.flatMap(({ change, ...rule }) => (change ? [{ ...rule, change }] : []))
/** One brings what the other speaks against: that is said too. */
const pulls = (one: (typeof CHANGES)[number], other: (typeof CHANGES)[number]) =>
  (one.brings ?? []).some((trait) => other.avoids?.includes(trait))
const PAIRS = CHANGES.flatMap((one, i) => CHANGES.slice(i + 1).map((other) => [one, other] as const))

const FOOT = { ...FIVE_BY_FIVE, tipFromToe: 38, tipBy: 'radiograph' } as const

describe('two pieces of advice', () => {
  it.each([
    [{ modification: 'heart-bar' }, { modification: 'hinged-expander' }, /heart bar beside hinged/],
    [{ breakoverSchool: 'landmark' }, { breakoverSchool: 'radiographic' }, /school of breakover/],
    [{ fit: 'supportive' }, { fit: 'conservative' }, /the fit/],
  ] as [AdviceChange, AdviceChange, RegExp][])('%j and %j are told apart', (one, other, said) => {
    expect(changesApart(one, other).join()).toMatch(said)
    expect(changesApart(other, one).length).toBe(changesApart(one, other).length)
    expect(changesApart(one, one)).toEqual([])
    expect(changesApart(one, undefined)).toEqual([])
  })

  it('are on one shoe both, or are said to pull apart, every pair of them', () => {
    expect(PAIRS.length).toBeGreaterThan(100)
    for (const [one, other] of PAIRS) {
      if (changesApart(one.change, other.change).length > 0 || pulls(one, other) || pulls(other, one))
        continue
      const both = accepted(accepted(PLAIN_SHOE, one.change).shoe, other.change)
      expect(both.clash, `${one.code}, ${other.code}`).toBeUndefined()
      const plan = tryPlan({ foot: FOOT, shoe: both.shoe })
      // What leaves no room is refused where it is put on, and says why.
      if (!plan) {
        expect(accepted(accepted(PLAIN_SHOE, one.change).shoe, other.change, FOOT).refused).toBeDefined()
        continue
      }
      // The school of breakover is the foot's: nothing of the shoe.
      const kept = [one, other].map(({ code, change: { breakoverSchool: _school, ...change } }) => ({
        ...{ code, codes: [code], topic: 'shoe' as const, title: '', school: '', against: '', reason: '' },
        ...{ soFar: [], failed: false, clashes: [], change },
      }))
      expect(contradictions(kept, both.shoe, plan), `${one.code}, ${other.code}`).toEqual([])
    }
  })
})
