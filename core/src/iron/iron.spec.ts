import { describe, expect, it } from 'vitest'
import { planShoe } from '../plan/plan'
import { made } from '../testing/made'
import { branchVolume } from '../testing/referee/referee'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { inches } from '../units/length'

const CIRCLE_QUARTER = Math.PI / 2

describe('the bar of a foot whose toe is nearly a half circle', () => {
  // Half-widths and toe depth 60 mm: the toe half of the rim is a circle of 60 mm (to 0.03 %, as cubics draw it),
  // so its centreline under a 20 mm bar runs at 50 mm. Worked by hand.
  const plan = planShoe(
    { ...FIVE_BY_FIVE, width: 120, length: 128, heelWidth: 84, widestFromToe: 60, toeShape: 2 },
    { ...PLAIN_SHOE, section: { ...PLAIN_SHOE.section, width: 20 }, fit: 'flush' },
  )

  it('puts each hole where its share of the arc lies on the straight bar', () => {
    // Holes stand at 34 % to 96 % of the way from toe to bend; along the centreline that is 50 mm times the angle.
    const shares = [0.34, 0.34 + 0.62 / 3, 0.34 + (2 * 0.62) / 3, 0.96]
    const holes = plan.iron.marks.filter((mark) => mark.kind === 'hole' && mark.branch === 'medial')
    holes.forEach((hole, i) => {
      const worked = 50 * CIRCLE_QUARTER * shares[i]!
      expect(Math.abs(hole.fromMiddle - worked)).toBeLessThan(0.3)
    })
  })

  it('marks the toe in the middle, both branches being the same', () => {
    const toe = plan.iron.marks.find((mark) => mark.kind === 'toe')!
    expect(toe.fromEnd).toBeCloseTo(plan.iron.cutLength / 2, 3)
    expect(toe.branch).toBeNull()
    expect(plan.cautions.map((caution) => caution.code)).not.toContain('toe-off-middle')
  })
})

describe('uneven branches', () => {
  const plan = planShoe({ ...FIVE_BY_FIVE, lateralHalfWidth: 69 }, PLAIN_SHOE)

  it('take uneven bar, and the toe mark is given from the end', () => {
    const { branches, cutLength, marks } = plan.iron
    expect(branches.lateral).toBeGreaterThan(branches.medial + 3)
    expect(branches.lateral + branches.medial).toBeCloseTo(cutLength, 9)
    expect(marks.find((mark) => mark.kind === 'toe')!.fromEnd).toBeCloseTo(branches.lateral, 9)
  })
})

describe('a section whose middle lies elsewhere than the bar’s', () => {
  it('takes its area along its own way: a broad deep seat pushes steel out to where the way is longer', () => {
    const seated = made([{ kind: 'seating-out', across: 13, depth: 5 }], {
      section: { width: 25, thickness: 10.5 },
    })
    // The referee walks each section's own middle, in chords.
    const walked = branchVolume(seated) / (25 * 10.5)
    expect(Math.abs(seated.iron.cutLength - walked) / walked).toBeLessThan(0.003)
    // Along the middle of the bar it would come out shorter by some millimetres.
    expect(seated.iron.centrelineLength).toBeLessThan(walked - 2)
  })
})

describe('rules of thumb', () => {
  it('are those of the trade, with their difference from the cut', () => {
    const { iron } = planShoe(
      { ...FIVE_BY_FIVE, width: inches(4.5), length: inches(4.75), heelWidth: inches(3) },
      PLAIN_SHOE,
    )
    expect(iron.rules.map((rule) => rule.length / 25.4)).toEqual([
      expect.closeTo(11.25, 9),
      expect.closeTo(11, 9),
    ])
    for (const rule of iron.rules) expect(iron.cutLength + rule.difference).toBeCloseTo(rule.length, 9)
  })
})

describe('weight', () => {
  it('follows the metal and the section, not the foot’s side', () => {
    const steel = planShoe(FIVE_BY_FIVE, PLAIN_SHOE).iron
    const aluminium = planShoe(FIVE_BY_FIVE, {
      ...PLAIN_SHOE,
      section: { ...PLAIN_SHOE.section, material: 'aluminium' },
    }).iron
    expect(aluminium.weight / steel.weight).toBeCloseTo(2700 / 7850, 9)
    expect(planShoe({ ...FIVE_BY_FIVE, side: 'RF' }, PLAIN_SHOE).iron.weight).toBe(steel.weight)
    // A usual steel fore shoe weighs between 10 and 16 ounces (from memory).
    expect(steel.weight / 28.35).toBeGreaterThan(10)
    expect(steel.weight / 28.35).toBeLessThan(16)
  })
})

describe('work that is marked on the bar', () => {
  it('stands on its own branch: the seat of a trailer on the outer one', () => {
    const plan = planShoe(FIVE_BY_FIVE, {
      ...PLAIN_SHOE,
      fit: 'conservative',
      modifications: [{ kind: 'trailer' }],
    })
    const seat = plan.iron.marks.find(({ label }) => label === 'Heel seat')!
    expect(seat.branch).toBe('lateral')
    expect(seat.fromMiddle + seat.fromEnd).toBeCloseTo(plan.iron.branches.lateral, 6)
    expect(plan.iron.marks.indexOf(seat)).toBeLessThan(
      plan.iron.marks.findIndex(({ kind }) => kind === 'toe'),
    )
  })

  it('gathers a clip’s metal over its own width, no more', () => {
    const clip = planShoe(FIVE_BY_FIVE, { ...PLAIN_SHOE, modifications: [{ kind: 'toe-clip', width: 24 }] })
    const bare = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
    const usual = bare.profile.area[0]!
    const thick = clip.profile.s.filter((_, i) => clip.profile.area[i]! > usual + 0.5)
    expect(Math.max(...thick) - Math.min(...thick)).toBeCloseTo(24, 1)
  })
})
