import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyFoot } from '../testing/any-foot'
import { tryPlan } from '../testing/fuzz/any-plan'
import { faultsOf } from '../testing/fuzz/checks'
import { planeArea } from '../geometry/plane-area'
import { distance, type Vec } from '../geometry/vector'
import { planShoe, type Plan } from '../plan/plan'
import { type ProblemError } from '../notices/problem'
import type { FootInput } from '../records/foot'
import type { ShoeInput } from '../records/shoe'
import { FIVE_BY_FIVE } from '../testing/samples'
import { DENSITY } from '../shoe/section'
import { sectionArea } from '../shoe/section-form'
import { PLAIN_SHOE } from '../shoe/starting-shoe'
import { clashOf, MODIFICATIONS } from './index'
import { barFor, codes, made, problemsOf, shoeWith as shoe, type Given } from '../testing/made'

const plan = (modifications: Given, foot: Partial<FootInput> = {}, fit?: ShoeInput['fit']): Plan =>
  made(modifications, { foot, ...(fit && { fit }) })
const plain = plan([])
const { section } = PLAIN_SHOE

/** What is rasped away may weigh more than what is added. */
const TAKES_OFF = ['four-rail-plate', 'trailer']

/** Modifications of which any foot can wear one at a time, in a fit that ends at the buttress. */
const EACH = MODIFICATIONS.map(({ kind }) => kind)

describe('every modification', () => {
  it('can be made for a usual foot with nothing said but its name, and says what it is for', () => {
    for (const { kind, label, purpose, fields } of MODIFICATIONS) {
      const one = made([{ kind }], { ...(barFor(kind) && { section: barFor(kind)! }) })
      expect(one.modifications[0]!.kind).toBe(kind)
      expect(label.length * purpose.length).toBeGreaterThan(0)
      for (const [key, value] of Object.entries(one.modifications[0]!.values)) {
        const { options } = fields.find((field) => field.key === key)!
        expect(options ? options.includes(String(value)) : Number.isFinite(value)).toBe(true)
      }
    }
  })

  it.each(EACH)('%s: a figure out of its range is refused with the range', (kind) => {
    const field = MODIFICATIONS.find((one) => one.kind === kind)!.fields.find((one) => !one.options)
    const bar = barFor(kind)
    const [problem] = problemsOf([{ kind, [field!.key]: 5000 }], bar ? { section: bar } : {})
    expect(problem!.path).toBe(`shoe.modifications.0.${field!.key}`)
    expect(problem!.message).toMatch(/5000(\.00)?( mm)? is not possible here, it lies between/)
  })

  it('is refused by name where it is not known, given twice, or given a figure it does not have', () => {
    expect(problemsOf([{ kind: 'wings' }])[0]!.message).toContain('“wings” is not a modification')
    expect(problemsOf([{ kind: 'wedge' }, { kind: 'wedge' }])[0]!.message).toContain('on this shoe already')
    expect(problemsOf([{ kind: 'wedge', colour: 3 }])[0]!.path).toBe('shoe.modifications.0.colour')
  })

  it('takes a choice by its name alone', () => {
    expect(made([{ kind: 'wedge', made: 'welded on' }]).modifications[0]!.values['made']).toBe('welded on')
    for (const wrong of ['glued on', 1, '']) {
      const [problem] = problemsOf([{ kind: 'wedge', made: wrong }])
      expect(problem!.path).toBe('shoe.modifications.0.made')
      expect(problem!.message).toContain('is not one of forged from the bar, welded on, riveted on')
    }
  })

  it('has ranges that hold their own defaults, whatever the foot and the bar', () =>
    fc.assert(
      fc.property(
        anyFoot,
        fc.constantFrom(...EACH),
        fc.double({ min: 12, max: 32, noNaN: true }),
        (foot, kind, width) => {
          const section = { ...barFor(kind), width }
          let given: Plan
          try {
            given = planShoe(foot, shoe([{ kind }], { section }))
          } catch (error) {
            expect((error as ProblemError).problems.length).toBeGreaterThan(0)
            return
          }
          const { values, ranges } = given.modifications[0]!
          for (const [key, [low, high]] of Object.entries(ranges)) {
            expect(low, `${kind} ${key}`).toBeLessThanOrEqual(high)
            expect(values[key], `${kind} ${key}`).toBeGreaterThanOrEqual(low)
            expect(values[key], `${kind} ${key}`).toBeLessThanOrEqual(high)
          }
        },
      ),
      { numRuns: 120 },
    ))

  it('keeps holes, marks and nails in order, and adds weight where it adds metal, for any foot', () =>
    fc.assert(
      fc.property(anyFoot, fc.constantFrom(...EACH), (foot, kind) => {
        const bar = barFor(kind)
        const asked = bar ? { section: bar } : {}
        const bare = planShoe(foot, shoe([], asked))
        let shod: Plan
        try {
          shod = planShoe(foot, shoe([{ kind }], asked))
        } catch (error) {
          // Some feet have no room for a bar; they are told why.
          expect((error as ProblemError).problems[0]!.message).toMatch(
            /no room|no opening|no plate is left|already reach|meet|end before|lies between|would be left/,
          )
          return
        }
        if (shod.parts.some(({ volume }) => volume > 0) && !TAKES_OFF.includes(kind))
          expect(shod.iron.weight).toBeGreaterThan(bare.iron.weight - 1e-6)
        expect(
          shod.profile.finished.every((area, i) => area > 0 && area <= shod.profile.area[i]! + 1e-9),
        ).toBe(true)
        const places = shod.iron.marks.map((mark) =>
          mark.branch === 'lateral' ? -mark.fromMiddle : mark.fromMiddle,
        )
        expect([...places].sort((a, b) => a - b)).toEqual(places)
        for (const { edge, volume } of shod.parts.filter((one) => one.edge.length > 0)) {
          expect(edge.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y))).toBe(true)
          if (volume > 0) expect(planeArea(edge).area).toBeGreaterThan(0)
        }
      }),
      { numRuns: 100 },
    ))
})

describe('combinations', () => {
  it.each([
    ['straight-bar', 'egg-bar'],
    ['heart-bar', 'straight-bar'],
    ['egg-bar', 'heart-bar'],
    ['rocker-toe', 'rolled-toe'],
  ])('%s and %s are refused with the reason, either way round', (one, other) => {
    expect(clashOf(one, other)).toBe(clashOf(other, one))
    expect(problemsOf([{ kind: one }, { kind: other }])[0]!.message).toContain(clashOf(one, other)!)
    expect(problemsOf([{ kind: other }, { kind: one }])[0]!.message).toContain(clashOf(one, other)!)
  })

  it('others add up: a wedge with a toe clip and an egg bar', () => {
    const shod = plan([{ kind: 'wedge' }, { kind: 'toe-clip' }, { kind: 'egg-bar' }])
    expect(shod.iron.closing).toBeGreaterThan(50)
    expect(shod.parts).toHaveLength(2)
    expect(shod.iron.cutLength).toBeGreaterThan(plain.iron.cutLength)
  })
})

describe('clips', () => {
  it('take their metal from the bar: a hand-worked toe clip', () => {
    // 25 x 20 mm, 4 mm at the root, tapering to pi/4 - 1/3 of that: 904 mm3 of a 19.05 x 7.94 bar is 5.98 mm.
    const shod = plan([{ kind: 'toe-clip', width: 25, height: 20, thickness: 4 }])
    expect(shod.iron.cutLength - plain.iron.cutLength).toBeCloseTo(
      (25 * 20 * 4 * (Math.PI / 4 - 1 / 3)) / sectionArea(section),
      6,
    )
    // Half of it lies on either side, so every hole moves out by as much.
    const first = (one: Plan) =>
      one.iron.marks.find(({ label, branch }) => label === 'Hole 1' && branch === 'medial')!
    expect(first(shod).fromMiddle - first(plain).fromMiddle).toBeCloseTo(452.06 / sectionArea(section), 3)
  })

  it('move nothing ahead of them: quarter clips behind the first hole', () => {
    const shod = plan([{ kind: 'quarter-clips', fromToe: 70 }])
    const hole = (one: Plan, n: number) =>
      one.iron.marks.find((m) => m.label === `Hole ${n}` && m.branch === 'lateral')!
    expect(hole(shod, 1).fromMiddle).toBeCloseTo(hole(plain, 1).fromMiddle, 4)
    expect(hole(shod, 4).fromMiddle).toBeGreaterThan(hole(plain, 4).fromMiddle + 1)
  })

  it('stand symmetrically on an even foot and hold like nails', () => {
    const shod = planShoe(FIVE_BY_FIVE, {
      ...shoe([{ kind: 'quarter-clips' }]),
      nails: { lateral: [1, 3], medial: [1] },
    })
    const [outer, inner] = shod.parts.map(({ edge }) => planeArea(edge))
    expect(outer!.centroid[0]).toBeCloseTo(-inner!.centroid[0], 3)
    expect(outer!.area).toBeCloseTo(inner!.area, 3)
    expect(codes(shod)).not.toContain('few-nails')
  })

  it('that are too thick for the wall are told', () => {
    expect(codes(plan([{ kind: 'toe-clip', thickness: 8.5 }]))).toContain('clip-thick')
  })
})

describe('wedge', () => {
  it('steepens the hoof by atan(rise / bearing): a hand-worked case', () => {
    const shod = plan([{ kind: 'wedge', rise: 10 }])
    const bearing =
      Math.max(...shod.outline.outer.map(([, y]) => y)) - Math.min(...shod.outline.outer.map(([, y]) => y))
    const degrees = (Math.atan(10 / bearing) * 180) / Math.PI
    expect(shod.modifications[0]!.told[0]).toBe(`Steepens the hoof by ${degrees.toFixed(1)}°.`)
    expect(codes(shod)).toContain('wedge')
  })

  it('is plain at the toe, full at the heels, and its volume is that of its mean rise', () => {
    const shod = plan([{ kind: 'wedge', rise: 8 }])
    const { thickness } = shod.profile
    // The bar's middle lies half a web behind the foremost edge, where the wedge has begun already.
    expect(Math.min(...thickness) - section.thickness).toBeLessThan((8 * section.width * 0.55) / 127)
    expect(Math.max(...thickness)).toBeGreaterThan(section.thickness + 7.5)
    // The rise goes with y: its mean over the bar is that of the bar's own mean place.
    const mean = (shod.iron.volume - plain.iron.volume) / section.width / plain.iron.centrelineLength
    expect(mean).toBeGreaterThan(2.5)
    expect(mean).toBeLessThan(5)
  })
})

describe('rolled and rocker toe', () => {
  it('break over where they begin: at the school in use where it has an answer', () => {
    const measured = { widestFromToe: 62, breakoverSchool: 'landmark' } as const
    for (const kind of ['rolled-toe', 'rocker-toe']) {
      const shod = plan([{ kind }], measured)
      expect(shod.modifications[0]!.values['behindToe']).toBeCloseTo(62 - 57.15, 6)
      expect(shod.balance.toeLever).toBeCloseTo(57.15, 6)
      expect(shod.balance.aheadOfSchool).toBeCloseTo(0, 6)
    }
    expect(plan([{ kind: 'rolled-toe', behindToe: 10 }]).balance.leverSaved).toBeCloseTo(10, 6)
  })

  it('change nothing in the bar', () => {
    expect(plan([{ kind: 'rocker-toe' }]).iron.cutLength).toBeCloseTo(plain.iron.cutLength, 9)
  })

  it('draw what lies ahead of the line and nothing behind it', () => {
    const [toe] = plan([{ kind: 'rolled-toe', behindToe: 12 }]).parts
    const line = plain.foot.widestFromToe - 12
    expect(Math.min(...toe!.edge.map(([, y]) => y))).toBeCloseTo(line, 6)
  })
})

describe('bars', () => {
  it('straight: as long as the gap between the inner rims, with half its thickness for each bevel', () => {
    const shod = plan([{ kind: 'straight-bar', width: 20, thickness: 8 }])
    const [bar] = shod.parts
    const [a, b, c, d] = bar!.edge as [Vec, Vec, Vec, Vec]
    const widest = Math.max(a[0] - d[0], b[0] - c[0])
    expect(shod.iron.parts[0]!.length).toBeCloseTo(widest + 8, 6)
    expect(b[1] - a[1]).toBeCloseTo(20, 6)
    // Its corners lie on the inner rims.
    for (const corner of bar!.edge)
      expect(Math.min(...shod.outline.inner.map((point) => distance(point, corner)))).toBeLessThan(3.5)
    expect(planeArea(bar!.edge).area).toBeCloseTo(bar!.volume / 8, 3)
    expect(shod.iron.weight - plain.iron.weight).toBeCloseTo(bar!.volume * DENSITY.steel * 1e-6, 6)
  })

  it('egg: its back edge reaches the bulb line, and further by what is asked', () => {
    const back = (behindBulbs: number) =>
      Math.min(...plan([{ kind: 'egg-bar', behindBulbs }]).parts[0]!.edge.map(([, y]) => y))
    expect(back(0)).toBeCloseTo(plain.landmarks.bulbY, 1)
    expect(back(8)).toBeCloseTo(plain.landmarks.bulbY - 8, 1)
  })

  it('egg: its run is longer than the gap it closes, and its area is run by width', () => {
    const areaByLength = (behindBulbs: number) => {
      const shod = plan([{ kind: 'egg-bar', behindBulbs }])
      const length = shod.iron.closing
      const { centreline } = shod.outline
      expect(length).toBeGreaterThan(centreline[0]![0] - centreline.at(-1)![0])
      return planeArea(shod.parts[0]!.edge).area / (length * section.width)
    }
    expect(areaByLength(8)).toBeCloseTo(1, 2)
    // Turned tightly it is filled in its corners by what the bend upsets.
    expect(areaByLength(0)).toBeGreaterThan(1.005)
    expect(areaByLength(0)).toBeLessThan(1.03)
  })

  it('egg: its run is in the cut, half at either end beyond the heel marks', () => {
    const shod = plan([{ kind: 'egg-bar' }])
    expect(shod.iron.cutLength).toBeCloseTo(plain.iron.cutLength + shod.iron.closing, 6)
    const [first] = shod.iron.marks
    expect(first).toMatchObject({ kind: 'heel-end', branch: 'lateral' })
    expect(first!.fromEnd).toBeCloseTo(shod.iron.closing / 2, 9)
    expect(first!.fromMiddle).toBeCloseTo(plain.iron.marks[0]!.fromMiddle, 6)
  })

  it('egg: refused where the branches reach the bulbs already', () => {
    expect(problemsOf([{ kind: 'egg-bar' }], { fit: 'slide' })[0]!.message).toContain(
      'already reach the bulb line',
    )
  })
})

describe('heart bar', () => {
  const apex = { frogApex: 36 }
  const tipOf = (shod: Plan) => Math.max(...shod.parts[1]!.edge.map(([, y]) => y))

  it('follows the mapped frog: its point short of the true apex by the gap, its sides inside it', () => {
    const shod = plan([{ kind: 'heart-bar', apexGap: 12, inset: 3 }], apex)
    expect(tipOf(shod)).toBeCloseTo(shod.landmarks.frogApex[1] - 12, 1)
    const widest = Math.max(...shod.parts[1]!.edge.map(([x]) => x))
    expect(widest).toBeLessThan(Math.max(...shod.landmarks.frog.map(([x]) => x)) - 2.5)
    expect(tipOf(plan([{ kind: 'heart-bar', apexGap: 12 }], { frogApex: 42 }))).toBeCloseTo(
      tipOf(shod) - 6,
      1,
    )
  })

  it('is made for every inset, one no less than the next', () => {
    const areas = [4, 4.5, 5, 5.5, 6, 7, 8].map((inset) => {
      const shod = plan([{ kind: 'heart-bar', inset }], { ...apex, frogWidth: 50 })
      return planeArea(shod.parts[1]!.edge).area
    })
    areas.forEach((area, i) => {
      expect(area).toBeGreaterThan(300)
      if (i > 0) expect(area).toBeLessThan(areas[i - 1]!)
    })
  })

  it('is as wide a hair further back: no row is lost to rounding', () => {
    const width = (apexGap: number) => plan([{ kind: 'heart-bar', apexGap }], apex).parts[1]!.stock!.width
    for (let gap = 10; gap < 20; gap += 0.25) {
      expect(Math.abs(width(gap) - width(gap + 0.01))).toBeLessThan(0.1)
    }
  })

  it('lies within the frog, whatever the foot and the figures', () =>
    fc.assert(
      fc.property(
        anyFoot,
        fc.double({ min: 0.12, max: 0.45, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        (foot, far, inset) => {
          const input = { ...foot, frogApex: foot.length * far }
          const { foot: known } = planShoe(input, shoe([]))
          const heart = [{ kind: 'heart-bar', inset: known.frogWidth * inset }]
          const shod = tryPlan({ foot: input, shoe: shoe(heart) })
          if (shod) expect(faultsOf(shod).filter((fault) => fault.startsWith('frog plate'))).toEqual([])
        },
      ),
      { numRuns: 150 },
    ))

  it('does not turn inside out over a wide heel', () => {
    const wide = { width: 108.5, length: 101.1, heelWidth: 85.1, frogApex: 14 }
    const shod = tryPlan({ foot: { ...FIVE_BY_FIVE, ...wide }, shoe: shoe([{ kind: 'heart-bar' }]) })
    if (shod) expect(faultsOf(shod)).toEqual([])
  })

  it('has two pieces of its own to cut, symmetrical under an even foot', () => {
    const shod = plan([{ kind: 'heart-bar' }], apex)
    expect(shod.iron.parts.map(({ label }) => label)).toEqual(['Bar of the heart bar', 'Frog plate'])
    expect(planeArea(shod.parts[1]!.edge).centroid[0]).toBeCloseTo(0, 2)
  })

  it('is stopped while the true apex is only guessed', () => {
    expect(codes(plan([{ kind: 'heart-bar' }]))).toContain('heart-bar-apex')
    expect(codes(plan([{ kind: 'heart-bar' }], apex))).not.toContain('heart-bar-apex')
  })
})
