import { describe, expect, it } from 'vitest'
import type { ShoeInput } from '../records/shoe'
import { planShoe } from '../plan/plan'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { describeProblem } from '../notices/range'
import type { LengthStyle } from '../units/length'
import { accepted } from './accepted'
import { ADVICE_RULES } from './rules/index'

const MM: LengthStyle = { unit: 'mm', denominator: 16 }

describe('what is accepted', () => {
  it('changes fit, nails and modifications at once, and nothing else', () => {
    const { shoe, clash } = accepted(PLAIN_SHOE, {
      fit: 'supportive',
      driven: { lateral: [1, 2], medial: [1] },
      modification: 'wedge',
    })
    expect(shoe).toEqual({
      ...PLAIN_SHOE,
      fit: 'supportive',
      nails: { lateral: { driven: [1, 2] }, medial: { driven: [1] } },
      modifications: [...(PLAIN_SHOE.modifications ?? []), { kind: 'wedge' }],
    })
    expect(clash).toBeUndefined()
  })

  it('keeps the nail and the school that were chosen when other holes are driven', () => {
    const chosen: ShoeInput = { ...PLAIN_SHOE, nails: { school: 'laminitic', size: 'E 6' } }
    const { shoe } = accepted(chosen, { driven: { lateral: [1], medial: [1] } })
    expect(shoe.nails).toMatchObject({ size: 'E 6', school: 'laminitic', lateral: { driven: [1] } })
  })

  it('takes the school of the nails beside the holes it names', () => {
    const { shoe } = accepted(PLAIN_SHOE, {
      nailSchool: 'laminitic',
      driven: { lateral: [1, 2], medial: [1, 2] },
    })
    expect(shoe.nails).toMatchObject({ school: 'laminitic', lateral: { driven: [1, 2] } })
  })

  it('leaves off what cannot stand beside what is on the shoe, and says why', () => {
    const bar = { ...PLAIN_SHOE, modifications: [{ kind: 'egg-bar' }] }
    const { shoe, clash } = accepted(bar, { fit: 'supportive', modification: 'straight-bar' })
    expect(clash).toBeTruthy()
    expect(shoe.modifications).toEqual(bar.modifications)
    expect(shoe.fit).toBe('supportive')
    // Where nothing is changed, nothing is there to be saved or undone.
    expect(accepted(bar, { modification: 'straight-bar' }).shoe).toBe(bar)
    expect(accepted(bar, { breakoverSchool: 'thirds' }).shoe).toBe(bar)
    expect(accepted(bar, { modification: 'egg-bar' }).shoe).toBe(bar)
    // What is on it already is no clash with itself.
    expect(accepted(bar, { modification: 'egg-bar' }).clash).toBeUndefined()
  })

  it('puts on nothing that the foot has no room for, and says why; without a foot nobody knows', () => {
    // An egg bar that ends before the bulb line: heels that reach it leave it no room.
    const egg = {
      ...PLAIN_SHOE,
      fit: 'general' as const,
      modifications: [{ kind: 'egg-bar', behindBulbs: 0 }],
    }
    const { shoe, refused } = accepted(egg, { fit: 'supportive' }, FIVE_BY_FIVE)
    expect(shoe).toBe(egg)
    expect(refused!.map((one) => describeProblem(one, MM)).join()).toMatch(/bulb line|lies between/)
    expect(accepted(egg, { fit: 'supportive' }).shoe.fit).toBe('supportive')
    // What cannot be made as it is, is changed all the same: it may be what mends it.
    const broken = { ...egg, fit: 'supportive' as const }
    expect(accepted(broken, { fit: 'general' }, FIVE_BY_FIVE).shoe.fit).toBe('general')
  })

  it('can all be taken one after the other, in any order, and what comes of it can be made', () => {
    const all = ADVICE_RULES.flatMap(({ change }) => change ?? [])
    // Several rules ask for the same.
    const changes = [...new Map(all.map((one) => [JSON.stringify(one), one])).values()]
    expect(changes.length).toBeGreaterThan(10)
    for (const one of changes)
      for (const other of changes) {
        const first = accepted(PLAIN_SHOE, one, FIVE_BY_FIVE).shoe
        expect(() => planShoe(FIVE_BY_FIVE, accepted(first, other, FIVE_BY_FIVE).shoe)).not.toThrow()
      }
  }, 60_000)
})
