import { describe, expect, it } from 'vitest'
import { placeAt, nearestStation, track, trackLength } from '../geometry/track'
import { distance, type Vec } from '../geometry/vector'
import type { Plan } from '../plan/plan'
import { ALUMINIUM, codes, made, problemsOf } from '../testing/made'
import { PLAIN_SHOE } from '../testing/samples'
import { inches } from '../units/length'

const part = (plan: Plan, label: string) => plan.parts.find((one) => one.label === label)!
const extent = (edge: readonly Vec[], axis: 0 | 1) => {
  const all = edge.map((point) => point[axis])
  return { from: Math.min(...all), to: Math.max(...all), span: Math.max(...all) - Math.min(...all) }
}

describe('pieces beside the branches', () => {
  it('the expander’s side plates and drilled lugs are boxes of their stock, inside the branches, level with one another', () => {
    const plan = made([{ kind: 'hinged-expander' }])
    const [outer, inner] = [part(plan, 'Outer side plate'), part(plan, 'Inner side plate')]
    // Strip of 3/4 in, 48 mm long, standing on its edge.
    for (const rudder of [outer, inner]) {
      expect(rudder.stock!.width).toBeCloseTo(inches(3 / 4), 9)
      expect(extent(rudder.edge, 1).span).toBeCloseTo(48, 9)
      expect(extent(rudder.edge, 0).span).toBeCloseTo(rudder.stock!.thickness, 9)
    }
    const plate = part(plan, 'Outer drilled lug')
    expect(extent(plate.edge, 1).span).toBeCloseTo(plate.stock!.length, 9)
    expect(extent(plate.edge, 0).span).toBeCloseTo(plate.stock!.thickness, 9)
    const middle = ({ from, to }: { from: number; to: number }) => (from + to) / 2
    expect(middle(extent(outer.edge, 1))).toBeCloseTo(middle(extent(plate.edge, 1)), 9)
    // Toward the frog from the outer branch, and from the inner one.
    expect(extent(outer.edge, 0).to).toBeLessThan(extent(plate.edge, 0).to)
    expect(extent(inner.edge, 0).from).toBeGreaterThan(extent(part(plan, 'Inner drilled lug').edge, 0).from)
    expect(extent(inner.edge, 0).to).toBeLessThan(extent(outer.edge, 0).from)
    const heels = part(plan, 'Hinge, lap and turned heels')
    expect(heels.join!.welds).toEqual([])
  })

  it('a plate with rails takes a bar of an inch and up, three eighths and up', () => {
    const refused = (width: number, thickness: number) =>
      problemsOf([{ kind: 'four-rail-plate' }], { section: { ...ALUMINIUM, width, thickness } }).length > 0
    expect(refused(25.4, 9.525)).toBe(false)
    expect(refused(24, 9)).toBe(false)
    expect(refused(23.9, 9.525)).toBe(true)
    expect(refused(25.4, 8.9)).toBe(true)
  })

  it('a trailer shows the line it is turned to, and where the inner heel is cut across from its seat', () => {
    const plan = made([{ kind: 'trailer' }], { foot: { side: 'LH' } })
    const guides = plan.modifications[0]!.guides
    expect(guides.map(({ label }) => label)).toEqual(['line of the trailer', 'inner heel cut'])
    const [inner, seat] = guides[1]!.line
    expect(inner![0]).toBeLessThan(0)
    expect(seat![0]).toBeGreaterThan(0)
    // Both in the steel: no further from the rims' middle than half a web.
    expect(Math.abs(inner![1] - seat![1])).toBeLessThan(12)
    const shoe = track(
      plan.outline.centreline,
      plan.outline.centreline.map((_, i, all) => {
        const [a, b] = [all[Math.max(0, i - 1)]!, all[Math.min(all.length - 1, i + 1)]!]
        const long = distance(a, b)
        return [(b[0] - a[0]) / long, (b[1] - a[1]) / long]
      }),
    )
    for (const point of [inner!, seat!])
      expect(distance(placeAt(shoe, nearestStation(shoe, point)).point, point)).toBeLessThan(1.5)
    expect(trackLength(shoe)).toBeGreaterThan(250)
  })

  it('a trailer is warned of from the gap between the first two inner holes on', () => {
    const plain = made([{ kind: 'trailer' }], { foot: { side: 'LH' } })
    const holes = plain.nails.filter(({ branch }) => branch === 'medial').map(({ fromToe }) => fromToe)
    const gap = (holes[0]! + holes[1]!) / 2
    const turned = (aim: number) => codes(made([{ kind: 'trailer', aim }], { foot: { side: 'LH' } }))
    expect(turned(gap - 0.2)).not.toContain('trailer-aim')
    expect(turned(gap + 0.2)).toContain('trailer-aim')
  })

  it('a rolled toe rises 0.45 mm for a millimetre ahead of its line where steel allows it', () => {
    const bends = made([{ kind: 'rolled-toe', behindToe: 6 }]).cuts.flatMap(({ form }) => form.bend ?? [])
    expect(bends.length).toBeGreaterThan(3)
    const steepest = Math.max(...bends.map(({ slope }) => slope))
    // From memory, common practice: rather less than half as high as long.
    expect(steepest).toBeGreaterThan(0.4)
    expect(steepest).toBeLessThanOrEqual(0.45 + 1e-9)
  })
})

it.each(['rolled-toe', 'perimeter-bevel', 'boxing', 'safeing', 'crease', 'seating-out'])(
  'a finished shoe with %s is nowhere heavier than the bar that was forged for it',
  (kind) => {
    // The toe of a small foot in a wide bar: its inner rim turns so tightly that paths can hardly be compared.
    for (const asked of [{}, { section: { width: 28 }, foot: { width: 95, length: 98, heelWidth: 66 } }]) {
      const { profile } = made([{ kind }], asked)
      for (const [i, area] of profile.area.entries())
        expect(profile.finished[i]!).toBeLessThanOrEqual(area + 1e-9)
      expect(Math.min(...profile.finished)).toBeGreaterThan(0)
    }
  },
)

describe('what nobody gave a figure for', () => {
  it('is made as the trade makes it', () => {
    const valuesOf = (kind: string, asked = {}) => made([{ kind }], asked).modifications[0]!.values
    // Rails of 3/8 in (from memory); a crease 7 mm wide, a third of a narrow bar.
    expect(valuesOf('four-rail-plate', { section: ALUMINIUM })['rail']).toBeCloseTo(inches(3 / 8), 9)
    expect(valuesOf('crease', { section: { width: 25.4 } })['mouth']).toBe(7)
    expect(valuesOf('crease', { section: { width: 18 } })['mouth']).toBeCloseTo(18 * 0.34, 9)
  })

  it('a cross bar is a rod of a quarter inch across the foot, its first one level with the drilled lugs', () => {
    const plan = made([{ kind: 'hinged-expander' }])
    const rod = part(plan, 'Cross bar 1').edge
    expect(extent(rod, 1).span).toBeCloseTo(inches(1 / 4), 9)
    expect(extent(rod, 0).from).toBeCloseTo(-extent(rod, 0).to, 9)
    const plate = extent(part(plan, 'Outer drilled lug').edge, 1)
    expect((extent(rod, 1).from + extent(rod, 1).to) / 2).toBeCloseTo((plate.from + plate.to) / 2, 9)
  })

  it('the heels of an expander are turned across as high as a forged wedge raises them, as those of an egg bar are', () => {
    const closing = (kind: string, rise: number) =>
      made([...(rise > 0 ? [{ kind: 'wedge', rise, made: 'forged from the bar' }] : []), { kind }]).iron
        .closing
    const beyondEgg = (rise: number) => closing('hinged-expander', rise) - closing('egg-bar', rise)
    // Two inches of hinge and lap, and what little lies between the two runs.
    expect(beyondEgg(0)).toBeCloseTo(inches(2), 0)
    const higher = 1 + 10 / PLAIN_SHOE.section.thickness
    expect(beyondEgg(10) / beyondEgg(0) / higher).toBeCloseTo(1, 0)
    expect(beyondEgg(10)).toBeGreaterThan(inches(4))
  })
})
