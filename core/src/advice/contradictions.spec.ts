import { describe, expect, it } from 'vitest'
import { planShoe } from '../plan/plan'
import type { FootInput } from '../records/foot'
import type { ShoeInput } from '../records/shoe'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import type { Advice } from './advice'
import { contradictions } from './contradictions'

const advice = (given: Partial<Advice>): Advice => ({
  code: 'this',
  codes: ['this'],
  topic: 'shoe',
  title: 'This',
  school: '',
  against: '',
  reason: '',
  soFar: [],
  failed: false,
  clashes: [],
  ...given,
})

/** What of a shoe goes against a piece of advice that was accepted. */
function against(
  given: Partial<Advice>,
  shoe: Partial<ShoeInput> = {},
  foot: Partial<FootInput> = {},
): string[] {
  const asked: ShoeInput = { ...PLAIN_SHOE, ...shoe }
  const plan = planShoe({ ...FIVE_BY_FIVE, ...foot }, asked)
  return contradictions([advice(given)], asked, plan).flatMap(({ why }) => why)
}

describe('contradictions', () => {
  it('are none where the shoe does what was accepted', () => {
    const change = { fit: 'supportive', modification: 'wedge', nailSchool: 'laminitic' } as const
    const shoe: Partial<ShoeInput> = {
      fit: 'supportive',
      modifications: [{ kind: 'wedge' }],
      nails: { school: 'laminitic', lateral: [], medial: [] },
    }
    expect(against({ change }, shoe)).toEqual([])
  })
  it('name each part of it that was changed since', () => {
    expect(against({ change: { fit: 'supportive' } })).toEqual(['the fit is general'])
    expect(against({ change: { modification: 'pad' } })).toEqual(['pad and packing is not on it'])
    expect(against({ change: { driven: { lateral: [1, 2], medial: [1] } } })).toEqual([
      'driven are outer 1, 2, 3 and inner 1, 2, 3',
    ])
    expect(against({ change: { nailSchool: 'laminitic' } })).toEqual([
      'the nails keep to the limits of the sound foot',
    ])
    expect(against({ change: { breakoverSchool: 'landmark' } })).toEqual([
      'the breakover is that of the perimeter school',
    ])
  })
  it('go by what a fit comes to, not by its name', () => {
    const { fit } = planShoe(FIVE_BY_FIVE, { ...PLAIN_SHOE, fit: 'supportive' })
    const own = { spread: fit.spread, heelLength: fit.heelLength, toeSetBack: fit.toeSetBack }
    expect(against({ change: { fit: 'supportive' } }, { fit: own })).toEqual([])
    expect(against({ change: { fit: 'supportive' } }, { fit: { ...own, heelLength: 0 } })).toEqual([
      'the fit is one of your own',
    ])
  })
  it('tell what the shoe has about it that the advice speaks against', () => {
    expect(against({ avoids: ['trailer'] }, { modifications: [{ kind: 'trailer' }] })).toEqual([
      'lateral trailer brings trailer',
    ])
    expect(against({ avoids: ['long heels'] }, { fit: 'supportive' })).toEqual(['the fit brings long heels'])
    expect(against({ avoids: ['long heels'] }, { fit: 'flush' })).toEqual([])
    expect(
      against({ avoids: ['many nails'] }, { nails: { lateral: [1, 2, 3, 4], medial: [1, 2, 3, 4] } }),
    ).toEqual(['a set of 8 brings many nails'])
    expect(against({ avoids: ['toe nails'] })).toEqual(['a nail ahead of the widest part brings toe nails'])
  })
  it('do not hold against advice what it brings itself', () => {
    const both: Partial<Advice> = {
      avoids: ['closed sole'],
      brings: ['closed sole'],
      change: { modification: 'pad' },
    }
    expect(against(both, { modifications: [{ kind: 'pad' }] })).toEqual([])
  })
})
