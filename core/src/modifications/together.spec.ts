import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { followed } from '../testing/fuzz/checks'
import { planShoe } from '../plan/plan'
import { FIVE_BY_FIVE } from '../testing/samples'
import { inches } from '../units/length'
import { profileVolume } from '../shoe/profile'
import { DENSITY } from '../shoe/section'
import { barForm, formArea, sectionOutline } from '../shoe/section-form'
import { PLAIN_SHOE } from '../shoe/starting-shoe'
import { bevelled } from './kit'
import { codes, made, type Given, inMm } from '../testing/made'

const heels = (modifications: Given, fit: 'general' | 'conservative' = 'conservative') =>
  made(modifications, { fit }).balance

describe('what the made shoe stands on', () => {
  it('is the whole of it: an egg bar bears to the bulbs and shares the load', () => {
    const egg = heels([{ kind: 'egg-bar' }])
    const open = heels([])
    for (const { shortOfBulbs } of egg.heels) expect(shortOfBulbs).toBeCloseTo(0, 0)
    expect(open.heels[0]!.shortOfBulbs).toBeGreaterThan(10)
    expect(egg.ratio).toBeLessThan(open.ratio - 0.1)
    expect(egg.behind).toBeCloseTo(FIVE_BY_FIVE.length - egg.ahead + 15, 0)
  })

  it('and a wedge under it is flatter: its rise goes over the whole bearing', () => {
    const angle = (given: Given) =>
      Number(
        /by ([\d.]+)°/.exec(
          inMm(made(given).modifications.find(({ kind }) => kind === 'wedge')!.told[0]!),
        )![1],
      )
    const rise = 6
    const open = angle([{ kind: 'wedge', rise }])
    const egg = angle([{ kind: 'wedge', rise }, { kind: 'egg-bar' }])
    const { ahead, behind } = heels([{ kind: 'egg-bar' }])
    expect(egg).toBeCloseTo((Math.atan(rise / (ahead + behind)) * 180) / Math.PI, 1)
    expect(egg).toBeLessThan(open - 0.2)
  })

  it('does not reach ahead of the breakover asked for, where it is said to be there', () => {
    for (const behindToe of [8.9, 29.7]) {
      const plan = made([{ kind: 'four-rail-plate', behindToe: behindToe + 20 }], {
        section: { width: 25.4, thickness: 9.525, material: 'aluminium' },
      })
      expect(plan.balance.ahead).toBeCloseTo(plan.foot.widestFromToe - behindToe - 20, 0)
    }
  })
})

describe('branches behind the buttress', () => {
  const across = (heelWidth: number, fit: 'slide' | 'supportive', width = 19.05) =>
    planShoe(
      { ...FIVE_BY_FIVE, width: 110, length: 118, heelWidth },
      { ...PLAIN_SHOE, section: { ...PLAIN_SHOE.section, width }, fit },
    )

  it('run straight back: long heels stay as far apart as the foot', () => {
    expect(across(76, 'slide').heels.outside).toBeGreaterThan(76)
    const supportive = across(98, 'supportive')
    expect(supportive.heels.outside).toBeGreaterThan(98)
    expect(codes(across(76, 'slide'))).not.toContain('web-on-frog')
  })

  it('so the design for sliding raises no warning of its own', () => {
    const plan = planShoe(
      { ...FIVE_BY_FIVE, side: 'LH' },
      {
        ...PLAIN_SHOE,
        section: { ...PLAIN_SHOE.section, width: 25.4 },
        fit: 'slide',
        modifications: [{ kind: 'slide-shoe' }],
      },
    )
    expect(codes(plan)).not.toContain('web-on-frog')
  })
})

describe('an expander', () => {
  it('weighs what is cut for it, and takes 2 in more than an egg bar', () => {
    const open = made([])
    const egg = made([{ kind: 'egg-bar' }])
    const expander = made([{ kind: 'hinged-expander' }])
    expect(expander.iron.cutLength - egg.iron.cutLength).toBeCloseTo(inches(2), 1)
    const lap = expander.parts.find(({ label }) => label.startsWith('Hinge,'))!
    expect(lap.volume * DENSITY.steel * 1e-6).toBeCloseTo(
      ((expander.iron.cutLength - open.iron.cutLength) * open.iron.weight) / open.iron.cutLength,
      3,
    )
  })

  it('gives every cross bar its weight, and carries one of them', () => {
    const { iron } = made([{ kind: 'hinged-expander', bars: 4 }])
    const bars = iron.parts.filter(({ label }) => label.startsWith('Cross bar'))
    expect(bars).toHaveLength(4)
    for (const { weight, length } of bars)
      expect(weight).toBeCloseTo((Math.PI / 4) * inches(1 / 4) ** 2 * length * DENSITY.steel * 1e-6, 6)
    expect(iron.weight - made([{ kind: 'hinged-expander', bars: 1 }]).iron.weight).toBeCloseTo(0, 6)
  })
})

describe('metal', () => {
  it('is not made: what is seated out of a wedged branch widens it by what its height there leaves', () => {
    const cut = (...given: Given) => made(given).iron.cutLength
    const seated = { kind: 'seating-out' }
    const alone = cut(seated) - cut()
    const wedged = cut({ kind: 'wedge', rise: 10 }, seated) - cut({ kind: 'wedge', rise: 10 })
    expect(alone).toBeLessThan(0)
    expect(wedged).toBeLessThan(1)
    const plan = made([{ kind: 'wedge', rise: 10 }, seated])
    for (const { place, form } of plan.cuts) {
      if (place.share < 0.3 || place.share > 0.6) continue
      const before = PLAIN_SHOE.section.width * form.thickness
      expect(formArea(form) / before).toBeCloseTo(1, 2)
    }
  })

  it('never has less than no height: two bevels of one edge share it', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    const edge = fc.constantFrom(
      'outerGround' as const,
      'innerGround' as const,
      'outerFoot' as const,
      'innerFoot' as const,
    )
    fc.assert(
      fc.property(fc.array(fc.tuple(edge, share, share), { maxLength: 8 }), (bevels) => {
        const bar = barForm(PLAIN_SHOE.section)
        const form = bevels.reduce(
          (now, [which, across, up]) => bevelled(now, which, across * bar.width, up * bar.thickness),
          bar,
        )
        expect(form.thickness - form.outerGround[1] - form.outerFoot[1]).toBeGreaterThan(0.5)
        expect(form.thickness - form.innerGround[1] - form.innerFoot[1]).toBeGreaterThan(0.5)
        expect(form.width - form.outerGround[0] - form.innerGround[0]).toBeGreaterThan(0.5)
        expect(form.width - form.outerFoot[0] - form.innerFoot[0]).toBeGreaterThan(0.5)
        for (const [u, z] of sectionOutline(form)) {
          expect(u).toBeGreaterThanOrEqual(-1e-9)
          expect(z).toBeGreaterThanOrEqual(-1e-9)
        }
      }),
    )
    const plan = made([
      { kind: 'perimeter-bevel', across: 11.4, up: 6.3 },
      { kind: 'boxing', size: 5.5 },
    ])
    for (const { form } of plan.cuts)
      expect(form.thickness - form.outerGround[1] - form.outerFoot[1]).toBeGreaterThan(0)
  })
})

describe('a high wedge', () => {
  const high = { kind: 'wedge', rise: 12 }

  it('says what it asks of the bar, and may be a piece of its own: then the cut stays as it was', () => {
    const forged = made([high])
    expect(codes(forged)).toContain('wedge-thick')
    const plain = made([])
    for (const how of ['welded on', 'riveted on']) {
      const set = made([{ ...high, made: how }])
      expect(codes(set)).not.toContain('wedge-thick')
      expect(set.iron.cutLength).toBeCloseTo(plain.iron.cutLength, 6)
      expect(set.iron.parts.map(({ label }) => label)).toEqual([
        'Wedge on the outer branch',
        'Wedge on the inner branch',
      ])
      // It stands as high as the forged one and weighs about the same.
      expect(set.cuts[0]!.form.thickness).toBeCloseTo(forged.cuts[0]!.form.thickness, 6)
      expect(set.iron.weight / forged.iron.weight).toBeCloseTo(1, 1)
      expect(profileVolume(set.profile)).toBeCloseTo(profileVolume(plain.profile), 6)
    }
  })

  it('a low one is nobody’s worry', () =>
    expect(codes(made([{ kind: 'wedge', rise: 3 }]))).not.toContain('wedge-thick'))

  it('asks for longer nails at the back', () => {
    const need = (given: Given) => made(given).nailing.need!.length
    expect(need([high])).toBeGreaterThan(need([]) + 1)
  })
})

describe('a nail', () => {
  it('leaned until it comes out low, or high, is not sound; one followed step by step agrees', () => {
    const nails = (lean: number) => ({ lateral: { each: [{ number: 2, lean }] } })
    const second = (lean: number) =>
      made([], { fit: 'general', nails: nails(lean), foot: { lateralWallAngle: 58 } }).nails[1]!
    expect(second(100).exitHeight).toBeLessThan(11)
    expect(second(100).verdict).toBe('too-low')
    const plan = made([], { fit: 'general', nails: nails(72) })
    const { exit, deepest } = followed(plan.nails[1]!, plan)
    expect(exit).toBeCloseTo(plan.nails[1]!.exitHeight, 0)
    expect(deepest).toBeCloseTo(plan.nails[1]!.deepest, 0)
  })

  it('pricks in a pad that carries it inward', () => {
    const plan = made([{ kind: 'pad', thickness: 8 }], { fit: 'general' })
    expect(plan.nails.slice(0, 2).map(({ verdict }) => verdict)).toEqual(['would-prick', 'would-prick'])
  })
})

describe('rules of thumb', () => {
  it('speak of a plain shoe: fit, bars and trailers leave them alone, and nobody is warned of them', () => {
    const general = made([], { fit: 'general' }).iron
    for (const plan of [
      made([], { fit: 'slide' }),
      made([{ kind: 'egg-bar' }]),
      made([{ kind: 'trailer' }], { fit: 'general' }),
    ]) {
      expect(plan.iron.plainCut).toBeCloseTo(general.cutLength, 6)
      expect(plan.iron.rules).toEqual(general.rules)
      expect(codes(plan)).not.toContain('rules-disagree')
    }
    expect(general.plainCut).toBeCloseTo(general.cutLength, 9)
  })
})

describe('a hospital plate', () => {
  const held = (given: Given[number]) => made([{ ...given, kind: 'hospital-plate' }])

  it('is drilled for its thread unless told otherwise, and warned of on either side', () => {
    const fine = held({ kind: '', thread: '1/4-28' })
    expect(fine.modifications[0]!.values['drill']).toBeCloseTo(inches(7 / 32), 9)
    expect(inMm(fine.modifications[0]!.told[0]!)).toContain('67 %')
    for (const plan of [fine, held({ kind: '' })]) {
      expect(codes(plan)).not.toContain('plate-thread')
      expect(codes(plan)).not.toContain('plate-thread-full')
    }
    expect(codes(held({ kind: '', thread: '1/4-28', drill: inches(13 / 64) }))).toContain('plate-thread-full')
  })
})
