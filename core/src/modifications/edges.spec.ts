import { sectionArea, barForm, formArea, liftAt, sectionOutline } from '../shoe/section-form'
import { describe, expect, it } from 'vitest'
import { DENSITY } from '../shoe/section'
import { PLAIN_SHOE } from '../shoe/starting-shoe'
import { groundContact } from './ground'
import { planeArea } from '../geometry/plane-area'
import { distance, turnRight } from '../geometry/vector'
import { codes, made, problemsOf } from '../testing/made'
import type { Plan } from '../plan/plan'

const plain = made([])
const area = sectionArea(PLAIN_SHOE.section)
const cutAt = (plan: Plan, share: number, branch: 'lateral' | 'medial' = 'medial') =>
  plan.cuts
    .filter(({ place }) => place.branch === branch)
    .reduce((near, one) =>
      Math.abs(one.place.share - share) < Math.abs(near.place.share - share) ? one : near,
    ).form

describe('the section', () => {
  it('has the area of its outline, whatever is bevelled and creased', () => {
    const form = {
      ...barForm(PLAIN_SHOE.section),
      outerGround: [4, 3] as const,
      innerFoot: [6, 2] as const,
      outerFoot: [2, 2] as const,
      crease: { from: 9, width: 6, depth: 4 },
    }
    expect(planeArea(sectionOutline(form)).area).toBeCloseTo(formArea(form), 9)
    // 19.05 x 7.9375 less 6, 6, 2 and a groove of 6 by 4 with a floor of 0.4: 16.8.
    expect(formArea(form)).toBeCloseTo(19.05 * 7.9375 - 6 - 6 - 2 - 16.8, 9)
  })

  it('of a concave and a half-round bar is that of the bar', () => {
    for (const shape of ['concave', 'half-round'] as const) {
      const section = { ...PLAIN_SHOE.section, shape }
      const drawn = planeArea(sectionOutline(barForm(section))).area
      expect(Math.abs(drawn / sectionArea(section) - 1)).toBeLessThan(0.003)
    }
  })
})

describe('what is rasped away', () => {
  it.each(['boxing', 'safeing', 'perimeter-bevel', 'rolled-toe'])(
    '%s: the same bar, a lighter shoe',
    (kind) => {
      const plan = made([{ kind }])
      expect(plan.iron.cutLength).toBeCloseTo(plain.iron.cutLength, 6)
      expect(plan.iron.weight).toBeLessThan(plain.iron.weight)
    },
  )

  it('perimeter bevel, by hand: a triangle all the way round', () => {
    const plan = made([{ kind: 'perimeter-bevel', across: 6, up: 4 }])
    const lost = plain.iron.weight - plan.iron.weight
    // It lay 2 mm within the outer rim: a path 2 mm for every radian shorter than that, longer than the middle's.
    const { outer } = plain.outline
    const rim = outer.reduce((sum, point, i) => sum + (i ? distance(point, outer[i - 1]!) : 0), 0)
    const turn = (rim - plain.iron.centrelineLength) / (19.05 / 2)
    expect(lost).toBeCloseTo(12 * (rim - 2 * turn) * DENSITY.steel * 1e-6, 1)
    expect(plan.balance.leverSaved).toBeCloseTo(6, 6)
    expect(codes(made([{ kind: 'perimeter-bevel', across: 11.4 }], { section: { width: 19 } }))).toContain(
      'bevel-narrow',
    )
  })

  it('boxing only behind the bend of the quarter, safeing only inside unless asked', () => {
    const boxed = made([{ kind: 'boxing', size: 3 }])
    expect(cutAt(boxed, 0.8).outerFoot).toEqual([3, 3])
    expect(cutAt(boxed, 0.2).outerFoot).toEqual([0, 0])
    const inner = made([{ kind: 'safeing', size: 2 }])
    expect(cutAt(inner, 0.7, 'medial').outerGround).toEqual([2, 2])
    expect(cutAt(inner, 0.7, 'lateral').outerGround).toEqual([0, 0])
    const both = made([{ kind: 'safeing', size: 2, branches: 'both branches' }])
    expect(cutAt(both, 0.7, 'lateral').outerGround).toEqual([2, 2])
  })

  it('a rolled toe rises from its line forward and nowhere behind it', () => {
    // Within the web of the toe and far behind it: what bears is read from the sections.
    for (const behindToe of [10, 15, 37]) {
      const plan = made([{ kind: 'rolled-toe', behindToe }])
      const line = plan.foot.widestFromToe - behindToe
      for (const { place, form } of plan.cuts) expect(form.bend !== undefined).toBe(place.point[1] > line)
      expect(groundContact(plan.cuts, plan.parts).foremost).toBeCloseTo(line, 1)
      expect(plan.balance.leverSaved).toBeCloseTo(behindToe, 1)
    }
  })
})

describe('what is forged', () => {
  it('crease: the web grows by the groove, the bar stays as long and the shoe as heavy', () => {
    const plan = made([{ kind: 'crease', style: 'full', depth: 4, mouth: 6 }])
    const form = cutAt(plan, 0.4)
    // The groove of 16.8 mm2 pushes 16.8 / 7.9375 mm of web aside.
    expect(form.width).toBeCloseTo(19.05 + 16.8 / 7.9375, 6)
    expect(formArea(form)).toBeCloseTo(area, 6)
    expect(plan.iron.weight / plan.iron.cutLength).toBeCloseTo(plain.iron.weight / plain.iron.cutLength, 3)
    // The wider web runs further in, and so does its middle: a little less bar.
    const shorter = plain.iron.cutLength - plan.iron.cutLength
    expect(shorter).toBeGreaterThan(0)
    expect(shorter).toBeLessThan(5)
  })

  it('crease: a quarter one only at the nails, none nowhere; its ends are marked', () => {
    const quarter = made([{ kind: 'crease', style: 'quarter' }])
    expect(cutAt(quarter, 0.4).crease).toBeDefined()
    expect(cutAt(quarter, 0.02).crease).toBeUndefined()
    expect(quarter.iron.marks.filter(({ label }) => label === 'Crease ends')).toHaveLength(4)
    const none = made([{ kind: 'crease', style: 'none' }])
    expect(none.cuts.every(({ form }) => form.crease === undefined)).toBe(true)
    expect(none.iron.marks).toHaveLength(plain.iron.marks.length)
  })

  it('crease: refused by the name of its style, and where no steel is left beside it', () => {
    expect(problemsOf([{ kind: 'crease', style: 'wavy' }])[0]!.message).toContain(
      'not one of full, quarter, none',
    )
    // A millimetre and a half of steel stays beside it.
    expect(problemsOf([{ kind: 'crease', fromRim: 4, mouth: 8 }])[0]!.message).toContain(
      'lies between 5.5 mm and',
    )
  })

  it('seating out: moved, not lost; warned where the wall would stand on nothing', () => {
    const plan = made([{ kind: 'seating-out', across: 8, depth: 2 }])
    expect(cutAt(plan, 0.4).innerFoot).toEqual([8, 2])
    expect(cutAt(plan, 0.95).innerFoot).toEqual([0, 0])
    expect(formArea(cutAt(plan, 0.4))).toBeCloseTo(area, 6)
    expect(codes(made([{ kind: 'seating-out', across: 13 }]))).toContain('seating-wall')
    expect(codes(made([{ kind: 'seating-out', across: 4 }]))).not.toContain('seating-wall')
  })

  it('says so where a toe is squared behind the white line, or a branch stands out where it is trodden on', () => {
    const foot = { toeWallThickness: 10, whiteLineWidth: 3 }
    const squared = (behindToe: number) => codes(made([{ kind: 'squared-toe', behindToe }], { foot }))
    expect(squared(13.5)).toContain('squared-behind-white-line')
    expect(squared(12.5)).not.toContain('squared-behind-white-line')
    const out = (by: number) => codes(made([{ kind: 'lateral-extension', out: by }]))
    expect(out(6.5)).toContain('extension-stepped-on')
    expect(out(5.5)).not.toContain('extension-stepped-on')
  })

  it.each(['crease', 'seating-out', 'boxing', 'safeing', 'perimeter-bevel', 'rolled-toe'])(
    '%s: a half-round bar is refused with the reason',
    (kind) => {
      const [problem] = problemsOf([{ kind }], { section: { shape: 'half-round' } })
      expect(problem!.message).toContain('a half-round bar has no edges')
    },
  )
})

describe('a rocker toe', () => {
  it.each([5, 8.9, 20, 36.8])(
    'begins at its line over the whole width of the web: %d mm behind the toe',
    (behindToe) => {
      const plan = made([{ kind: 'rocker-toe', behindToe, rise: 5 }])
      const line = plan.foot.widestFromToe - behindToe
      for (const { place, form } of plan.cuts) {
        const out = turnRight(place.tangent)
        for (const [u, z] of sectionOutline({ ...form, thickness: 0 })) {
          const y = place.point[1] - out[1] * u
          // Where the rim runs nearly straight back it is bent about a line a little aslant.
          if (out[1] > 0.2) expect(z).toBeCloseTo(Math.max(0, ((y - line) * 5) / behindToe), 6)
        }
      }
      expect(Math.max(...plan.cuts.map(({ form }) => liftAt(form, 0)))).toBeCloseTo(5, 1)
      expect(plan.balance.leverSaved).toBeCloseTo(behindToe, 1)
      expect(plan.iron.weight).toBeCloseTo(plain.iron.weight, 6)
    },
  )
})

describe('hard-facing and studs', () => {
  it('weigh what their metal weighs, by hand', () => {
    const plan = made([{ kind: 'studs', diameter: 10, height: 4, place: 'heels' }])
    const two = 2 * Math.PI * 25 * 4 * DENSITY.steel * 1e-6
    expect(plan.iron.weight - plain.iron.weight).toBeCloseTo(two, 6)
    const faced = made([{ kind: 'hard-facing', height: 2, place: 'toe' }])
    const bead = planeArea(faced.parts[0]!.edge).area * 2 * DENSITY.steel * 1e-6
    expect(faced.iron.weight - plain.iron.weight).toBeCloseTo(bead, 6)
  })

  it('stand in pairs on an even foot; one alone is warned of', () => {
    const [outer, inner] = made([{ kind: 'studs' }]).parts.map(({ edge }) => planeArea(edge).centroid)
    expect(outer![0]).toBeCloseTo(-inner![0], 3)
    expect(codes(made([{ kind: 'studs', place: 'outer heel' }]))).toContain('stud-single')
  })

  it('are refused where they cannot be: aluminium cannot be faced, a stud needs steel beside it', () => {
    expect(
      problemsOf([{ kind: 'hard-facing' }], { section: { material: 'aluminium' } })[0]!.message,
    ).toContain('aluminium cannot be hard-faced')
    expect(problemsOf([{ kind: 'studs', diameter: 17 }])[0]!.path).toContain('diameter')
  })
})

describe('a bevel that meets a crease', () => {
  const creased = { kind: 'crease', style: 'full', mouth: 3, fromRim: 4, depth: 5 }
  const at = (up: number) =>
    made([creased, { kind: 'perimeter-bevel', up }]).cuts.find(
      ({ place }) => Math.abs(place.share - 0.4) < 0.02,
    )!

  it('ends at it while it is shallower: a groove is not rasped away by a millimetre', () => {
    const shallow = at(1).form
    expect(shallow.crease).toBeDefined()
    expect(shallow.outerGround[0]).toBeLessThanOrEqual(4 - 3 / 2 + 1e-9)
  })
})
