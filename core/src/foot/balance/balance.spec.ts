import { describe, expect, it } from 'vitest'
import { writeTold } from '../../notices/told'
import { planShoe } from '../../plan/plan'
import type { FootInput } from '../../records/foot'
import { FIVE_BY_FIVE } from '../../testing/samples'
import { PLAIN_SHOE } from '../../shoe/starting-shoe'
import type { SchoolResult } from './breakover'
import { hoofPastern } from './hoof-pastern'

const INCH = 25.4

function balance(
  input: Partial<FootInput> = {},
  fit: Parameters<typeof planShoe>[1]['fit'] = 'conservative',
) {
  return planShoe({ ...FIVE_BY_FIVE, ...input }, { ...PLAIN_SHOE, fit }).balance
}
const school = (key: SchoolResult['key'], input: Partial<FootInput> = {}) =>
  balance(input).breakover.schools.find((one) => one.key === key)!

/** y of the true apex, of the toe and of the heel end by hand, for a foot whose widest part lies 60 mm behind its toe. */
const MEASURED = { widestFromToe: 60, frogApex: 36 }

describe('the schools of breakover (hand-worked)', () => {
  it('landmark: 2 to 2 1/4 in ahead of the widest part', () => {
    const { answer } = school('landmark', MEASURED)
    expect(answer).toMatchObject({ found: true, y: 2.25 * INCH, rearY: 2 * INCH, used: ['widest part'] })
  })

  it('landmark: 1/4 in ahead of the tip of P3 where that was found', () => {
    // The tip lies 18 mm behind the toe, so 42 mm ahead of the widest part; a quarter inch more is 48.35.
    const { answer } = school('landmark', { ...MEASURED, tipFromToe: 18 })
    expect(answer).toMatchObject({ found: true, y: 48.35 })
  })

  it('landmark: never from a widest part that stands at its default, nor on a foot that is not ordinary', () => {
    expect(school('landmark').answer).toMatchObject({ found: false })
    const small = { width: 95, length: 98, heelWidth: 66, widestFromToe: 46 }
    const { answer } = school('landmark', small)
    const lacks = answer.found
      ? []
      : answer.lacks.map((one) => writeTold(one, { unit: 'in', denominator: 16 }))
    expect(lacks).toEqual([
      'a foot from 4 1/4" to 6" wide, for which its rule is made: find the tip of P3 instead',
    ])
  })

  it('landmark: estimates that agree are as good as a measured widest part', () => {
    expect(school('landmark', { frogApex: 36, barsFromToe: 62 }).answer.found).toBe(true)
  })

  it('thirds: a third of the bearing ahead of the true apex, two thirds behind', () => {
    // The apex lies 15 mm ahead of the widest part.
    const long = { ...MEASURED, frogApex: 45 }
    const { answer } = school('thirds', long)
    const [heel] = balance(long).heels
    const heelEnd = 60 - FIVE_BY_FIVE.length - heel!.behindButtress
    if (!answer.found) throw new Error('no answer')
    const bearing = answer.y - heelEnd
    expect((answer.y - 15) / bearing).toBeCloseTo(1 / 3, 9)
    expect(answer.y).toBeCloseTo(15 + (15 - heelEnd) / 2, 9)
  })

  it('thirds: lacks the apex where it was not found, and stops at the toe', () => {
    expect(school('thirds').answer).toEqual({ found: false, lacks: ['the true frog apex'] })
    const { answer } = school('thirds', { widestFromToe: 60, frogApex: 20 })
    expect(answer).toMatchObject({ found: true, y: 60 })
  })

  it('radiographic: straight beneath the tip, and only from a radiograph', () => {
    expect(school('radiographic').answer.found).toBe(false)
    expect(school('radiographic', { tipFromToe: 20 }).answer.found).toBe(false)
    expect(school('radiographic', { tipFromToe: 20, tipBy: 'hoof tester' }).answer.found).toBe(false)
    const { answer } = school('radiographic', { ...MEASURED, tipFromToe: 20, tipBy: 'radiograph' })
    // Still within the touch of what that school takes for the same place: 3 mm behind the tip (common practice, no source).
    expect(answer).toMatchObject({ found: true, y: 40, rearY: 37 })
  })

  it('perimeter: the trimmed toe, rolled where the old shoe was worn', () => {
    expect(school('perimeter', MEASURED).answer).toMatchObject({ found: true, y: 60 })
    expect(school('perimeter', { ...MEASURED, wornBreakover: 7 }).answer).toMatchObject({ y: 53 })
  })

  it('uses one school and never mixes them: a school that lacks something gives no breakover', () => {
    expect(balance().breakover).toMatchObject({ inUse: 'perimeter' })
    expect(balance({ breakoverSchool: 'radiographic' }).breakover.y).toBeUndefined()
    expect(balance({ ...MEASURED, breakoverSchool: 'landmark' }).breakover.y).toBeCloseTo(57.15, 9)
  })
})

describe('proportion about the widest part', () => {
  it('is bearing ahead over bearing behind, from the shoe as it is made', () => {
    const { ahead, behind, ratio } = balance({ ...FIVE_BY_FIVE, widestFromToe: 63.5, length: 127 })
    expect(ahead).toBeCloseTo(63.5, 1)
    // A conservative shoe ends at the buttress, but for the slant of its end.
    expect(Math.abs(behind - 63.5)).toBeLessThan(1.5)
    expect(ratio).toBeCloseTo(1, 1)
  })

  it('shortens the lever by what the toe is set back', () => {
    const { leverSaved, toeLever } = balance(MEASURED, { toeSetBack: 6 })
    expect(leverSaved).toBeCloseTo(6, 1)
    expect(toeLever).toBeCloseTo(54, 1)
  })

  it('measures each heel end against the bulbs and the plumb line', () => {
    const [outer, inner] = balance({ bulbLine: 15, plumbBehind: 20 }, { heelLength: 10 }).heels
    expect(outer!.behindButtress).toBeGreaterThan(5)
    expect(outer!.shortOfBulbs).toBeCloseTo(15 - outer!.behindButtress, 9)
    expect(outer!.shortOfPlumb).toBeCloseTo(20 - outer!.behindButtress, 9)
    expect(inner!.behindButtress).toBeCloseTo(outer!.behindButtress, 6)
    expect(balance().heels[0]!.shortOfPlumb).toBeUndefined()
  })
})

describe('hoofPastern', () => {
  it.each([
    [52, 53, 'straight'],
    [48, 55, 'broken back'],
    [60, 54, 'broken forward'],
  ] as const)('toe %d, pastern %d: %s', (toeAngle, pasternAngle, verdict) => {
    expect(hoofPastern({ toeAngle, pasternAngle })).toEqual({ broken: pasternAngle - toeAngle, verdict })
  })
  it('is unknown without the pastern', () => expect(hoofPastern({ toeAngle: 52 })).toBeUndefined())
})

describe('cautions of balance', () => {
  const codes = (input: Partial<FootInput>) =>
    planShoe({ ...FIVE_BY_FIVE, ...input }, PLAIN_SHOE).cautions.map(({ code }) => code)

  it.each([
    ['a long toe', { widestFromToe: 78 }, 'long-toe'],
    ['a broken axis', { pasternAngle: 60 }, 'broken-back'],
    ['an axis broken forward', { pasternAngle: 45 }, 'broken-forward'],
    ['heels ahead of the plumb line', { plumbBehind: 20 }, 'heels-ahead-of-plumb'],
    ['a palmar angle below level', { palmarAngle: -2 }, 'palmar-angle-low'],
    ['an odd estimate', { frogApex: 36, barsFromToe: 61, arcFromToe: 75 }, 'widest-part-odd'],
    ['estimates at odds', { barsFromToe: 61, arcFromToe: 75 }, 'widest-part-disagrees'],
  ])('%s', (_what, input, code) => {
    expect(codes(input)).toContain(code)
    expect(codes({})).not.toContain(code)
  })
})
