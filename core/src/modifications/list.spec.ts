import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyPlan, tryPlan } from '../testing/fuzz/any-plan'
import { MODIFICATIONS } from './index'
import {
  clashWith,
  offersBeside,
  withModification,
  withoutModification,
  withValue,
  type ModificationList,
} from './list'

const LIST: ModificationList = [{ kind: 'wedge', rise: 4 }, { kind: 'toe-clip' }]

describe('the list of modifications', () => {
  it('takes one more with its defaults, and none twice', () => {
    expect(withModification(LIST, 'crease')).toEqual([...LIST, { kind: 'crease' }])
    expect(withModification(LIST, 'wedge')).toBe(LIST)
  })

  it('gives one up and leaves the others in their order', () => {
    expect(withoutModification(LIST, 0)).toEqual([{ kind: 'toe-clip' }])
  })

  it('changes one figure of one of them, and gives it back to its default', () => {
    expect(withValue(LIST, 1, 'width', 22)).toEqual([LIST[0], { kind: 'toe-clip', width: 22 }])
    expect(withValue(LIST, 0, 'rise', undefined)).toEqual([{ kind: 'wedge' }, LIST[1]])
    expect(LIST[0]).toEqual({ kind: 'wedge', rise: 4 })
  })

  it('offers everything that is not on the shoe, once, with what stands against it', () => {
    const offers = offersBeside([{ kind: 'egg-bar' }]).flatMap((group) => group.offers)
    expect(offers.map(({ kind }) => kind).sort()).toEqual(
      MODIFICATIONS.map(({ kind }) => kind)
        .filter((kind) => kind !== 'egg-bar')
        .sort(),
    )
    // A heel that is closed by one bar is not closed by another.
    expect(offers.find(({ kind }) => kind === 'straight-bar')!.clash).toBe(
      clashWith([{ kind: 'egg-bar' }], 'straight-bar'),
    )
    expect(offers.find(({ kind }) => kind === 'straight-bar')!.clash).toBeTruthy()
    expect(offers.find(({ kind }) => kind === 'toe-clip')!.clash).toBeUndefined()
  })
})

describe('a figure beside the defaults of the others', () => {
  it.each([
    ['egg-bar', 'behindBulbs'],
    ['heart-bar', 'inset'],
    ['crease', 'mouth'],
    ['crease', 'fromRim'],
  ])('is possible from end to end of its own range: %s, %s', (kind, key) => {
    fc.assert(
      fc.property(anyPlan, fc.double({ min: 0, max: 1, noNaN: true }), ({ foot, section, fit }, share) => {
        const with_ = (figures: Record<string, number>) =>
          tryPlan({ foot, shoe: { section, fit, modifications: [{ kind, ...figures }] } })
        const ranges = with_({})?.modifications[0]!.ranges
        fc.pre(ranges !== undefined)
        const [low, high] = ranges[key]!
        expect(with_({ [key]: Math.min(high, low + (high - low) * share) })).toBeDefined()
      }),
      { numRuns: 60 },
    )
  })
})
