import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { footOutline } from '../foot/outline'
import { readFoot } from '../foot/measurements'
import { planShoe } from '../plan/plan'
import type { NailLimit } from '../records/foot'
import { rankSizes } from '../sizes/rank'
import { takenSize } from '../sizes/take'
import { anyFoot } from '../testing/any-foot'
import { FIVE_BY_FIVE } from '../testing/samples'
import { shoeWith } from '../testing/made'
import { shoeOfSize, sizeOf } from '../testing/sizes'
import { askedNails } from './asked-nails'
import { heldToLimits, keptNails, overruling, withoutOverruled } from './limits'

const FOUNDER: NailLimit = {
  rule: 'behind the widest part',
  by: 'diagnosed',
  why: 'The vet has diagnosed founder.',
}
const NONE: NailLimit = { rule: 'no nails', by: 'vet', why: 'Set by Dr Sedge.' }
const WORDS: NailLimit = { rule: 'words', by: 'vet', why: 'Keep the toe short' }
const foundered = { ...FIVE_BY_FIVE, limits: [FOUNDER] }
const codesOf = (plan: ReturnType<typeof planShoe>) => plan.cautions.map(({ code }) => code)

describe('what limits the nails of a foot', () => {
  it('sets the school by itself: every hole of any foundered foot stands behind the widest part', () => {
    fc.assert(
      fc.property(anyFoot, (foot) => {
        const { nails, nailing } = planShoe({ ...foot, limits: [FOUNDER] }, shoeWith([]))
        const read = readFoot(foot)
        if (!read.ok) throw new Error('no foot')
        const outline = footOutline(read.value.foot)
        expect(nailing.school).toBe('laminitic')
        for (const { branch, footStation, verdict } of nails) {
          expect(verdict).not.toBe('ruled-out')
          const behind =
            branch === 'lateral' ? outline.lateralWidest - footStation : footStation - outline.medialWidest
          expect(behind).toBeGreaterThan(-1)
        }
      }),
      { numRuns: 60 },
    )
  })

  it('holds whatever school was asked for before, and is told', () => {
    const plan = planShoe(foundered, { ...shoeWith([]), nails: { school: 'sound', lateral: { first: 27 } } })
    expect(plan.nailing.school).toBe('laminitic')
    expect(plan.cautions.find(({ code }) => code === 'nail-limit')).toMatchObject({
      title: 'Diagnosed: no nail ahead of the widest part',
      text: FOUNDER.why,
    })
  })

  it('rules out holes that stand ahead of the widest part all the same: a nail there is a stop', () => {
    const nails = { lateral: { each: [{ number: 1, fromToe: 40 }] } }
    // Put by hand after the limit was known, in its school.
    const plan = planShoe(foundered, { ...shoeWith([]), nails: { ...nails, school: 'laminitic' } })
    const first = plan.nails[0]!
    expect(first).toMatchObject({ verdict: 'ruled-out', ruledOut: FOUNDER })
    expect(first.why).toBe('Ruled out, no nail ahead of the widest part: The vet has diagnosed founder.')
    expect(plan.cautions[0]).toMatchObject({ code: 'nail-ruled-out', severity: 'stop' })
  })

  it('overruled with a reason lets the school be chosen, and the reason goes with the shoe', () => {
    const shoe = shoeWith([])
    const asked = overruling(askedNails(shoe, foundered), 'Agreed with Dr Sedge on the telephone')
    const nails = keptNails({ ...asked, school: 'sound' })
    expect(nails).not.toHaveProperty('limits')
    const plan = planShoe(foundered, { ...shoe, nails })
    expect(plan.nailing.school).toBe('sound')
    expect(codesOf(plan)).not.toContain('nail-ruled-out')
    const told = plan.cautions.find(({ code }) => code === 'nail-limit-overruled')!
    expect(told.severity).toBe('caution')
    expect(told.text).toContain('Agreed with Dr Sedge on the telephone')
    // Somebody else says so too by now: what was overruled was not his word.
    const both = { ...foundered, limits: [FOUNDER, { ...FOUNDER, by: 'vet' as const }] }
    expect(planShoe(both, { ...shoe, nails }).nailing.school).toBe('laminitic')
    expect(heldToLimits({ ...asked, school: 'laminitic' }).overruled).toBeUndefined()
    expect(withoutOverruled({ ...shoe, nails }).nails).not.toHaveProperty('overruled')
  })

  it('no nails at all: none is driven unless it is asked for by number, and then it is a stop', () => {
    const foot = { ...FIVE_BY_FIVE, limits: [NONE] }
    const free = planShoe(foot, shoeWith([]))
    expect(free.nails.some(({ driven }) => driven)).toBe(false)
    expect(codesOf(free)).not.toContain('nail-ruled-out')
    const asked = planShoe(foot, { ...shoeWith([]), nails: { lateral: [1], medial: [] } })
    expect(asked.cautions[0]).toMatchObject({ code: 'nail-ruled-out', severity: 'stop' })
  })

  it('words nobody could read for certain move nothing and are told', () => {
    const plan = planShoe({ ...FIVE_BY_FIVE, limits: [WORDS] }, shoeWith([]))
    expect(plan.nailing.school).toBe('sound')
    expect(plan.cautions.find(({ code }) => code === 'vet-limit')!.text).toBe(WORDS.why)
  })

  it('a factory shoe keeps its holes; those ahead of the widest part are ruled out and left empty', () => {
    const size = sizeOf(305)
    const [first] = rankSizes(foundered, 'general', [size])
    const ahead = first!.holes.filter(({ verdict }) => verdict === 'ruled-out')
    expect(ahead.length).toBeGreaterThan(0)
    const ways = [...first!.reasons].filter((one) => typeof one === 'string').join(' ')
    expect(ways).toContain('no nail ahead of the widest part')
    const taken = takenSize(shoeOfSize(size), size, first!.holes, '')
    const driven = planShoe(foundered, taken).nails.filter((nail) => nail.driven)
    expect(driven.some(({ verdict }) => verdict === 'ruled-out')).toBe(false)
    // As it is without the limit, it is another choice.
    const free = rankSizes(FIVE_BY_FIVE, 'general', [size])[0]!
    expect(free.holes.some(({ verdict }) => verdict === 'ruled-out')).toBe(false)
    expect(free.nailsLeft.lateral).toBeGreaterThan(first!.nailsLeft.lateral)
    // What ranks and what is told of each hole agree.
    expect(first!.nailsLeft.lateral).toBe(
      first!.holes.filter(({ branch, verdict }) => branch === 'lateral' && verdict === 'sound').length,
    )
  })
})
