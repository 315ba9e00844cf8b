import { area as clipperArea } from 'clipper2-ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyFoot } from '../testing/any-foot'
import { planeArea } from '../geometry/plane-area'
import { MODIFICATIONS } from '../modifications/index'
import { planShoe, type Plan } from './plan'
import { ProblemError } from '../notices/problem'
import type { FootInput } from '../records/foot'
import type { ShoeInput } from '../records/shoe'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { inches } from '../units/length'

const plan = (foot: Partial<FootInput> = {}, shoe: Partial<ShoeInput> = {}, workshop = {}): Plan =>
  planShoe({ ...FIVE_BY_FIVE, ...foot }, { ...PLAIN_SHOE, ...shoe }, workshop)

/** Made for the outer branch, or the heel on one side. */
const ONE_SIDED = ['trailer', 'lateral-extension', 'wide-outer-branch', 'safeing', 'studs']

const codes = (p: Plan) => p.cautions.map((caution) => caution.code)

function problemsOf(run: () => unknown): string[] {
  try {
    run()
  } catch (error) {
    if (error instanceof ProblemError) return error.problems.map((problem) => problem.path)
    throw error
  }
  return []
}

describe('the 5 x 5 in foot', () => {
  it('takes about 11 3/4 in of 3/4 in bar; both rules of thumb say 12', () => {
    const { iron } = plan({}, { fit: 'conservative' })
    expect(iron.centrelineLength / 25.4).toBeGreaterThan(11.55)
    expect(iron.centrelineLength / 25.4).toBeLessThan(11.9)
    for (const rule of iron.rules) {
      expect(rule.length).toBeCloseTo(inches(12), 9)
      // They speak of a plain shoe in general fit, whatever fit this one has.
      expect(rule.difference).toBeCloseTo(inches(12) - plan().iron.cutLength, 9)
    }
  })

  it('cuts by volume: a flat bar as long as its centreline, a concave one as its centroid', () => {
    const flat = plan().iron
    expect(flat.cutLength).toBeCloseTo(flat.centrelineLength, 6)
    expect(flat.weight).toBeCloseTo(flat.cutLength * 19.05 * 7.9375 * 7850e-6, 6)
    const concave = plan({}, { section: { ...PLAIN_SHOE.section, shape: 'concave' } }).iron
    // Its metal lies further out, so it runs a longer way round.
    expect(concave.cutLength).toBeGreaterThan(concave.centrelineLength + 1)
  })

  it('has the area of centreline times width (Pappus in the plane), also by a polygon library', () => {
    const { outline, iron } = plan()
    const ring = [...outline.outer, ...outline.inner.slice().reverse()]
    // The rings are chords of their curves: a thousandth of the area is what they leave out at most.
    expect(Math.abs(planeArea(ring).area / (iron.centrelineLength * 19.05) - 1)).toBeLessThan(0.001)
    const theirs = Math.abs(clipperArea(ring.map(([x, y]) => ({ x, y }))))
    expect(planeArea(ring).area / theirs).toBeCloseTo(1, 9)
  })

  it('drives six sound nails over the white line, exits in one line', () => {
    const nails = plan().nails.filter((nail) => nail.driven)
    expect(nails).toHaveLength(6)
    for (const nail of nails) {
      expect(nail.verdict).toBe('sound')
      expect(nail.insideWall).toBeCloseTo(FIVE_BY_FIVE.wallThickness, 1)
      // A first guess of the line is a third of the way up a wall of 2 1/4 to 3 in (common practice).
      expect(nail.exitHeight).toBeGreaterThan(15)
      expect(nail.exitHeight).toBeLessThan(26)
    }
    const heights = nails.map((nail) => nail.exitHeight)
    expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(0.5)
    // Common practice: the toe leans most, quarters stand steeper.
    expect(nails[0]!.lean).toBeLessThan(nails[2]!.lean)
    // Sound feet: nothing behind the widest part.
    for (const nail of plan().nails) expect(nail.y).toBeGreaterThanOrEqual(0)
  })
})

describe('properties of any plan', () => {
  it('lists marks in order, each distance adding up to its branch', () => {
    fc.assert(
      fc.property(anyFoot, (foot) => {
        const { iron } = planShoe(foot, PLAIN_SHOE)
        const placed = iron.marks.map((m) => (m.branch === 'lateral' ? -m.fromMiddle : m.fromMiddle))
        expect(placed).toEqual([...placed].sort((a, b) => a - b))
        expect(iron.marks).toHaveLength(11)
        for (const mark of iron.marks) {
          if (mark.branch) expect(mark.fromMiddle + mark.fromEnd).toBeCloseTo(iron.branches[mark.branch], 6)
        }
        expect(iron.branches.lateral + iron.branches.medial).toBeCloseTo(iron.cutLength, 6)
      }),
      { numRuns: 40 },
    )
  })

  it('mirrors: outer and inner swapped give the mirrored shoe and the same cut', () => {
    fc.assert(
      fc.property(anyFoot, (foot) => {
        const angles = { lateralWallAngle: 70, medialWallAngle: 80 }
        const one = planShoe({ ...foot, ...angles }, PLAIN_SHOE)
        const swapped = {
          ...foot,
          lateralHalfWidth: foot.width - foot.lateralHalfWidth!,
          quarterLead: -foot.quarterLead!,
          lateralWallAngle: 80,
          medialWallAngle: 70,
        }
        const other = planShoe(swapped, PLAIN_SHOE)
        expect(other.iron.cutLength).toBeCloseTo(one.iron.cutLength, 6)
        expect(other.iron.branches.lateral).toBeCloseTo(one.iron.branches.medial, 6)
        const last = one.outline.outer.length - 1
        one.outline.outer.forEach(([x, y], i) => {
          expect(other.outline.outer[last - i]![0]).toBeCloseTo(-x, 6)
          expect(other.outline.outer[last - i]![1]).toBeCloseTo(y, 6)
        })
      }),
      { numRuns: 30 },
    )
  })

  it('mirrors whatever is made of it: a wall thinner inside is as thin as one thinner outside', () => {
    // What is made for one side only has no mirror image; pieces of their own take no bar.
    const even = MODIFICATIONS.filter(({ kind }) => !ONE_SIDED.includes(kind)).map(({ kind }) => kind)
    fc.assert(
      fc.property(
        anyFoot,
        fc.double({ min: 0.45, max: 1, noNaN: true }),
        fc.constantFrom(...even),
        (foot, share, kind) => {
          const thin = Math.max(2.5, foot.wallThickness * share)
          const shoe = { ...PLAIN_SHOE, modifications: [{ kind }] }
          const plan = (walls: Partial<FootInput>) => {
            try {
              return planShoe({ ...foot, ...walls }, shoe)
            } catch (error) {
              if (error instanceof ProblemError) return undefined
              throw error
            }
          }
          const inside = plan({ medialWallThickness: thin, lateralWallAngle: 70, medialWallAngle: 80 })
          const outside = plan({
            ...{ wallThickness: Math.max(3, thin), medialWallThickness: foot.wallThickness },
            lateralHalfWidth: foot.width - foot.lateralHalfWidth!,
            quarterLead: -foot.quarterLead!,
            ...{ lateralWallAngle: 80, medialWallAngle: 70 },
          })
          fc.pre(thin >= 3 && inside !== undefined && outside !== undefined)
          // An edge that is dressed on one side only is felt, in hundredths of a mm.
          expect(Math.abs(outside.iron.cutLength - inside.iron.cutLength)).toBeLessThan(0.1)
          expect(outside.suggestion.name).toBe(inside.suggestion.name)
          expect(outside.nailing.size).toEqual(inside.nailing.size)
          // Questions are of the figure that was typed.
          const codes = (of: typeof inside) =>
            of.cautions
              .map(({ code }) => code)
              .filter((code) => !code.startsWith('question-'))
              .sort()
          expect(codes(outside)).toEqual(codes(inside))
        },
      ),
      { numRuns: 150 },
    )
  })

  it('a wall that is thin inside alone is told as thin, with its side', () => {
    const told = (walls: Partial<FootInput>) =>
      planShoe({ ...FIVE_BY_FIVE, wallThickness: 9.5, ...walls }, PLAIN_SHOE).cautions.find(
        ({ code }) => code === 'thin-wall',
      )?.title
    expect(told({ medialWallThickness: 4 })).toBe('Thin wall on the inner side')
    expect(told({ wallThickness: 4, medialWallThickness: 9.5 })).toBe('Thin wall on the outer side')
    expect(told({})).toBeUndefined()
  })

  it('scales: everything larger by a share gives a bar longer by that share', () => {
    fc.assert(
      fc.property(anyFoot, fc.double({ min: 0.8, max: 1.25, noNaN: true }), (foot, k) => {
        const fit = { spread: 2, heelLength: 3, toeSetBack: 0 }
        const section = PLAIN_SHOE.section
        const bigger = Object.fromEntries(
          Object.entries(foot).map(([key, value]) => [
            key,
            typeof value === 'number' && !/Angle|Shape/.test(key) ? value * k : value,
          ]),
        ) as FootInput
        fc.pre(bigger.wallThickness <= 25 && bigger.wallThickness >= 3 && bigger.width <= 300)
        const one = planShoe(foot, { section, fit })
        const two = planShoe(bigger, {
          section: { ...section, width: section.width * k },
          fit: { spread: 2 * k, heelLength: 3 * k },
        })
        expect(two.iron.cutLength / one.iron.cutLength).toBeCloseTo(k, 4)
      }),
      { numRuns: 30 },
    )
  })

  it('is monotone: a wider or longer foot never needs a shorter bar', () => {
    fc.assert(
      fc.property(anyFoot, fc.double({ min: 0.5, max: 12, noNaN: true }), (foot, more) => {
        const base: FootInput = {
          side: foot.side,
          width: foot.width,
          length: foot.length,
          heelWidth: foot.heelWidth,
          toeAngle: foot.toeAngle,
          wallThickness: foot.wallThickness,
        }
        const cut = planShoe(base, PLAIN_SHOE).iron.cutLength
        expect(planShoe({ ...base, width: base.width + more }, PLAIN_SHOE).iron.cutLength).toBeGreaterThan(
          cut,
        )
        expect(planShoe({ ...base, length: base.length + more }, PLAIN_SHOE).iron.cutLength).toBeGreaterThan(
          cut,
        )
      }),
      { numRuns: 60 },
    )
  })
})

describe('workshop', () => {
  it('adds scale loss and correction to the cut, half at each end', () => {
    const bare = plan().iron
    const own = plan({}, {}, { scaleLoss: 3, correction: 2 }).iron
    expect(own.cutLength).toBeCloseTo(bare.cutLength + 5, 9)
    expect(own.branches.lateral).toBeCloseTo(bare.branches.lateral + 2.5, 9)
    expect(own.marks[1]!.fromMiddle).toBeCloseTo(bare.marks[1]!.fromMiddle, 9)
  })

  it('brings nails out lower when they turn more tightly', () => {
    expect(plan({}, {}, { turningRadius: 15 }).nails[0]!.exitHeight).toBeLessThan(plan().nails[0]!.exitHeight)
  })
})

describe('refusals name every figure at once', () => {
  it.each([
    [{ heelWidth: 150 }, {}, {}, ['foot.heelWidth']],
    [{}, { modifications: [{ kind: 'wings' }] }, {}, ['shoe.modifications.0.kind']],
    [
      { toeAngle: 200 },
      { section: { ...PLAIN_SHOE.section, width: 90 } },
      {},
      ['foot.toeAngle', 'shoe.section.width'],
    ],
    [{}, { fit: { spread: 60 } }, { turningRadius: 1 }, ['workshop.turningRadius', 'shoe.fit.spread']],
    [{}, { nails: { lateral: { driven: [7] } } }, {}, ['shoe.nails.lateral.driven']],
    // Long heels on a narrow foot: an open shoe whose branches would lie on each other.
    [
      { width: 90, length: 90, heelWidth: 46 },
      { fit: { heelLength: 30 }, section: { ...PLAIN_SHOE.section, width: 24 } },
      {},
      ['shoe.fit.heelLength'],
    ],
    [
      { width: 90, length: 90, heelWidth: 50 },
      { section: { ...PLAIN_SHOE.section, width: 58 } },
      {},
      ['shoe.section.width'],
    ],
  ])('%j %j %j', (foot, shoe, workshop, paths) => {
    expect(problemsOf(() => plan(foot, shoe as Partial<ShoeInput>, workshop))).toEqual(paths)
  })
})

describe('cautions', () => {
  it('stops a nail that would prick, in a thin wall under a set-back toe', () => {
    const p = plan(
      { wallThickness: 4 },
      { fit: { toeSetBack: 12 }, nails: { lateral: { driven: [1] }, medial: { driven: [1] } } },
    )
    expect(p.nails.some((nail) => nail.driven && nail.verdict === 'would-prick')).toBe(true)
    expect(p.cautions[0]).toMatchObject({ code: 'nail-pricks', severity: 'stop' })
    expect(p.cautions[0]!.action).toContain('vet')
  })

  it.each([
    ['heel-uncovered', {}, { fit: { heelLength: -8 } }],
    ['heel-behind-bulbs', {}, { fit: 'slide' }],
    ['bulbs-not-followed', { frogWidth: 55 }, { fit: { heelLength: 15, behind: 'to the bulbs' } }],
    ['no-room-to-spread', {}, { fit: 'flush' }],
    ['aluminium', {}, { section: { ...PLAIN_SHOE.section, material: 'aluminium' } }],
    ['hot-seating', {}, {}],
    ['upright-foot', { toeAngle: 68 }, {}],
    ['low-toe', { toeAngle: 42 }, {}],
    ['heels-run-forward', { heelAngle: 40 }, {}],
    ['thin-wall', { wallThickness: 5 }, {}],
    ['thin-sole', { soleDepth: 6 }, {}],
    ['few-nails', {}, { nails: { lateral: { driven: [1] }, medial: { driven: [] } } }],
    [
      'many-nails',
      {},
      { nails: { lateral: { holes: 5, driven: [1, 2, 3, 4, 5] }, medial: { driven: [1, 2, 3, 4] } } },
    ],
    ['toe-off-middle', { lateralHalfWidth: 70 }, {}],
    ['web-on-frog', { heelWidth: 64 }, { section: { ...PLAIN_SHOE.section, width: 25 } }],
    ['web-misses-white-line', { wallThickness: 14 }, { section: { ...PLAIN_SHOE.section, width: 15 } }],
    ['wide-web', {}, { section: { ...PLAIN_SHOE.section, width: 30 } }],
    ['narrow-web', { width: 150 }, { section: { ...PLAIN_SHOE.section, width: 12.7 } }],
  ])('%s', (code, foot, shoe) => {
    const found = plan(foot, shoe as Partial<ShoeInput>).cautions.find((caution) => caution.code === code)
    expect(found?.text.length).toBeGreaterThan(10)
    expect(found?.action.length).toBeGreaterThan(5)
    if (code !== 'hot-seating') expect(codes(plan())).not.toContain(code)
  })
})

describe('rules of thumb', () => {
  it('speak of what this workshop cuts: its loss and its correction are in the plain cut', () => {
    const none = plan({}, {}, { scaleLoss: 0, correction: 0 }).iron
    const some = plan({}, {}, { scaleLoss: 3, correction: 2 }).iron
    expect(some.plainCut - none.plainCut).toBeCloseTo(5, 9)
    expect(some.rules[0]!.difference - none.rules[0]!.difference).toBeCloseTo(-5, 9)
  })
})

describe('the wall', () => {
  it('is thinner at the heels than at the toe unless it was measured, and no thicker than a foot can have', () => {
    const { foot } = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
    expect(foot.heelWallThickness).toBeLessThan(foot.wallThickness)
    expect(foot.toeWallThickness).toBeGreaterThan(foot.wallThickness)
    for (const key of ['heelWallThickness', 'medialWallThickness'] as const)
      expect(problemsOf(() => planShoe({ ...FIVE_BY_FIVE, [key]: 24 }, PLAIN_SHOE))).toEqual([`foot.${key}`])
  })
})
