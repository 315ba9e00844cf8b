import { describe, expect, it } from 'vitest'
import { planeArea } from '../geometry/plane-area'
import type { Vec } from '../geometry/vector'
import type { Plan } from '../plan/plan'
import { formatLength, inches } from '../units/length'
import { writeTold, type Told } from '../notices/told'
import { crossBars, TWELVE_GAUGE } from './expander-pieces'
import { COMMON_SECTIONS } from '../shoe/common-sections'
import { ALUMINIUM, codes, inMm, made, problemsOf } from '../testing/made'

const part = (plan: Plan, label: string) => plan.parts.find((one) => one.label === label)!
const span = (edge: readonly Vec[], axis: 0 | 1) =>
  Math.max(...edge.map((point) => point[axis])) - Math.min(...edge.map((point) => point[axis]))
const plain = made([])
const inInches = (sentence: Told) => writeTold(sentence, { unit: 'in', denominator: 16 })

describe('hospital plate', () => {
  it('lies inside the inner rim by its clearance, all round', () => {
    const widest = (clearance: number) =>
      Math.max(...part(made([{ kind: 'hospital-plate', clearance }]), 'Hospital plate').edge.map(([x]) => x))
    const inner = Math.max(...plain.outline.inner.map(([x]) => x))
    expect(inner - widest(1)).toBeCloseTo(1, 1)
    expect(inner - widest(3)).toBeCloseTo(3, 1)
  })

  it('says how much of the thread holds, and warns under 55 %', () => {
    const held = (drill: number, thread: string) =>
      made([{ kind: 'hospital-plate', drill: drill * 25.4, thread }])
    expect(inMm(held(13 / 64, '1/4-20').modifications[0]!.told[0]!)).toContain('72 %')
    expect(codes(held(13 / 64, '1/4-20'))).not.toContain('plate-thread')
    expect(inMm(held(7 / 32, '1/4-20').modifications[0]!.told[0]!)).toContain('48 %')
    expect(codes(held(7 / 32, '1/4-20'))).toContain('plate-thread')
    expect(codes(held(7 / 32, '1/4-28'))).not.toContain('plate-thread')
  })

  it('is its own piece to cut, with two or three screws and a bar for them', () => {
    const plan = made([{ kind: 'hospital-plate', screws: 3 }])
    expect(plan.iron.parts.map(({ label }) => label)).toEqual(['Bar for the plate', 'Hospital plate'])
    expect(plan.parts.filter(({ label }) => label.startsWith('Screw'))).toHaveLength(3)
    expect(
      made([{ kind: 'hospital-plate', screws: 2 }]).parts.filter(({ label }) => label.startsWith('Screw')),
    ).toHaveLength(2)
    const bar = plan.iron.parts[0]!
    expect([bar.width, bar.thickness]).toEqual([inches(1), inches(1 / 4)])
  })

  it('is even on an even foot', () => {
    expect(
      planeArea(part(made([{ kind: 'hospital-plate' }]), 'Hospital plate').edge).centroid[0],
    ).toBeCloseTo(0, 1)
  })

  it('is refused with half a screw, and over a frog plate', () => {
    expect(problemsOf([{ kind: 'hospital-plate', screws: 2.5 }])[0]!.message).toContain('two or three')
    expect(problemsOf([{ kind: 'hospital-plate' }, { kind: 'heart-bar' }])[0]!.message).toContain(
      'covers the frog',
    )
  })
})

describe('pad and packing', () => {
  it('weighs its own stuff, not steel: area x thickness x 1150 kg/m3', () => {
    const plan = made([{ kind: 'pad', thickness: 5 }])
    const { area } = planeArea(plan.parts[0]!.edge)
    expect(plan.iron.weight - plain.iron.weight).toBeCloseTo(area * 5 * 1150e-6, 3)
    expect(plan.iron.cutLength).toBeCloseTo(plain.iron.cutLength, 9)
  })

  it('makes the nails longer by its thickness and must be packed', () => {
    const plan = made([{ kind: 'pad', thickness: 6 }])
    // Through the pad, and out higher: it enters the horn deeper for leaning on through it.
    const way = ({ nails }: typeof plan) =>
      Math.max(
        ...nails
          .filter(({ driven }) => driven)
          .map(({ exitHeight, lean }) => exitHeight / Math.sin((lean * Math.PI) / 180)),
      )
    expect(way(plan)).toBeGreaterThan(way(plain))
    expect(plan.nailing.need!.length - plain.nailing.need!.length).toBeCloseTo(6 + way(plan) - way(plain), 9)
    expect(codes(plan)).toContain('pad-packed')
    expect(codes(made([{ kind: 'pad', shape: 'rim' }]))).not.toContain('pad-packed')
  })

  it('lets a leaning nail enter the horn deeper by what it leans on through it: under 8 mm the first two prick', () => {
    const asked = { fit: 'general' as const, foot: { heelWidth: 88.9 } }
    const bare = made([], asked)
    const padded = made([{ kind: 'pad', thickness: 8 }], asked)
    padded.nails.forEach((nail, i) => {
      const shift = 8 / Math.tan((nail.lean * Math.PI) / 180)
      expect(nail.insideWall - bare.nails[i]!.insideWall).toBeCloseTo(shift, 9)
      expect(nail.deepest).toBeCloseTo(bare.nails[i]!.deepest + shift, 9)
      // The hole stays where it is in the shoe.
      expect(nail.inset).toBeCloseTo(bare.nails[i]!.inset, 9)
    })
    expect(bare.nails.every(({ verdict }) => verdict === 'sound')).toBe(true)
    const pricking = padded.nails.filter(({ verdict }) => verdict === 'would-prick')
    expect(pricking.map(({ number }) => number)).toEqual(expect.arrayContaining([1, 2]))
    expect(codes(padded)).toContain('nail-pricks')
  })

  it('a rim pad is the shoe’s own outline; a full one covers the foot', () => {
    const rim = made([{ kind: 'pad', shape: 'rim' }]).parts[0]!
    const full = made([{ kind: 'pad', shape: 'full' }]).parts[0]!
    expect(planeArea(rim.edge).area).toBeCloseTo(planeArea(plain.outline.body).area, 6)
    expect(planeArea(full.edge).area).toBeGreaterThan(planeArea(plain.outline.foot).area * 0.98)
  })

  it('is refused under a hospital plate', () => {
    expect(problemsOf([{ kind: 'pad' }, { kind: 'hospital-plate' }])[0]!.message).toContain('must come off')
  })
})

describe('hinged heel expander', () => {
  it('a resting measure of 1 1/4 in gives 1 3/8, 1 1/2, 1 5/8 and 1 3/4', () => {
    const bars = crossBars({ resting: inches(1.25), step: inches(1 / 8), bars: 4 })
    ;[1.375, 1.5, 1.625, 1.75].forEach((inch, i) => expect(bars[i]).toBeCloseTo(inches(inch), 9))
    const plan = made([{ kind: 'hinged-expander', resting: inches(1.25) }])
    const told = plan.modifications[0]!.told.map(inInches)
    expect(told[0]).toMatch(/^Cross bar 1: 1 3\/8" hole to hole, .* long, stamped LF 1\.$/)
    expect(told[3]).toContain('Cross bar 4: 1 3/4" hole to hole')
    // As long as the piece that is cut.
    const [first] = plan.iron.parts.filter(({ label }) => label === 'Cross bar 1')
    expect(told[0]).toContain(`${formatLength(first!.length, { unit: 'in', denominator: 16 })} long`)
  })

  it('adds two inches to the egg-bar measure for hinge and overlap', () => {
    const plan = made([{ kind: 'hinged-expander' }])
    const egg = made([{ kind: 'egg-bar' }]).iron.closing
    expect(plan.iron.closing - egg).toBeCloseTo(inches(2), 6)
    expect(plan.iron.cutLength).toBeCloseTo(plain.iron.cutLength + plan.iron.closing, 6)
  })

  it('fits bar after bar 7 to 10 days apart', () => {
    const { course } = made([{ kind: 'hinged-expander', days: 8 }]).modifications[0]!
    expect(course).toHaveLength(4)
    for (let i = 1; i < course.length; i++) {
      expect(course[i]!.fromDay - course[i - 1]!.fromDay).toBeGreaterThanOrEqual(7)
      expect(course[i]!.toDay - course[i - 1]!.toDay).toBeLessThanOrEqual(10)
    }
  })

  it('has side plates of 12 gauge sheet: 0.1046 in (Manufacturers’ Standard Gauge)', () => {
    expect(TWELVE_GAUGE).toBeCloseTo(2.657, 3)
    const plan = made([{ kind: 'hinged-expander' }])
    expect(plan.iron.parts.find(({ label }) => label === 'Outer side plate')!.thickness).toBe(TWELVE_GAUGE)
    expect(span(part(plan, 'Cross bar 1').edge, 0)).toBeCloseTo(
      Number(plan.modifications[0]!.values['resting']) + inches(1 / 8),
      6,
    )
  })

  it('is refused of aluminium, with half a bar, beside bars, and always carries its caution', () => {
    expect(
      problemsOf([{ kind: 'hinged-expander' }], { section: { material: 'aluminium' } })[0]!.message,
    ).toContain('choose steel')
    expect(problemsOf([{ kind: 'hinged-expander', bars: 3.5 }])[0]!.message).toContain('whole number')
    expect(problemsOf([{ kind: 'hinged-expander' }, { kind: 'straight-bar' }])[0]!.message).toContain(
      'would hold',
    )
    expect(codes(made([{ kind: 'hinged-expander' }]))).toContain('expander-pain')
  })
})

describe('four-rail plate', () => {
  const plate = (values: Record<string, number> = {}, foot = {}) =>
    made([{ kind: 'four-rail-plate', ...values }], { section: ALUMINIUM, foot })

  it('breaks over beneath the tip of P3 where it is known, and stops where it is not', () => {
    const known = plate({}, { tipFromToe: 38, tipBy: 'radiograph' })
    expect(known.modifications[0]!.values['behindToe']).toBe(38)
    expect(codes(known)).not.toContain('four-rail-no-tip')
    expect(codes(plate())).toContain('four-rail-no-tip')
    expect(codes(plate({ behindToe: 25 }, { tipFromToe: 38 }))).toContain('four-rail-ahead')
  })

  it('raises the back by atan(rail / breakover to the ends of the rails): a hand-worked case, told as it is made', () => {
    const plan = plate({ rail: 10, behindToe: 30, spread: 0 }, { palmarAngle: 8 })
    // The rails stand on their hind ends, which lie a little ahead of the heel ends.
    const railY = Math.max(...plan.parts.flatMap(({ taper }) => (taper ? [taper[1]] : [])))
    const lift = (Math.atan(10 / (plan.foot.widestFromToe - 30 - railY)) * 180) / Math.PI
    expect(plan.balance.raised).toBeCloseTo(lift, 1)
    const raised = plan.balance.raised
    expect(inMm(plan.modifications[0]!.told[0]!)).toContain(`${raised.toFixed(1)}°`)
    expect(plan.modifications[0]!.told[1]).toContain(`${(8 + raised).toFixed(1)}° to the ground`)
    expect(plate({ rail: 0 }).balance.raised).toBe(0)
    expect(plate({ rail: 0 }).parts.some(({ label }) => label.includes('rail'))).toBe(false)
  })

  it('is nailed only behind the widest part', () => {
    const plan = plate()
    expect(plan.nailing.school).toBe('laminitic')
    for (const nail of plan.nails) expect(nail.y).toBeLessThan(1)
  })

  it('has four rails, two a branch, alike on an even foot', () => {
    const rails = plate().parts.filter(({ label }) => label.endsWith('rail'))
    expect(rails).toHaveLength(4)
    expect(rails[0]!.volume).toBeCloseTo(rails[2]!.volume, 3)
  })

  it('is refused of steel', () => {
    expect(problemsOf([{ kind: 'four-rail-plate' }])[0]!.message).toContain('1 x 3/8 or 1 x 1/2')
    const light = { ...ALUMINIUM, width: inches(3 / 4), thickness: inches(1 / 4) }
    expect(problemsOf([{ kind: 'four-rail-plate' }], { section: light })[0]!.message).toContain('1 x 3/8')
    for (const { section } of COMMON_SECTIONS.filter(({ name }) => name.startsWith('aluminium')))
      expect(problemsOf([{ kind: 'four-rail-plate' }], { section })).toEqual([])
  })
})

describe('side clips', () => {
  it('stand at the widest part, hold like nails, and cannot stand on an expander', () => {
    const plan = made([{ kind: 'side-clips' }])
    const [outer] = plan.parts.map(({ edge }) => planeArea(edge).centroid)
    expect(outer![1]).toBeCloseTo(0, 0)
    expect(plan.iron.marks.filter(({ label }) => label === 'Clip')).toHaveLength(2)
    expect(problemsOf([{ kind: 'side-clips' }, { kind: 'hinged-expander' }])[0]!.message).toContain(
      'from spreading',
    )
    expect(codes(made([{ kind: 'side-clips' }, { kind: 'quarter-clips' }]))).toContain('together')
  })
})
