import { areaD, FillRule, unionD, type PathsD } from 'clipper2-ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyFoot } from '../testing/any-foot'
import { planeArea } from '../geometry/plane-area'
import type { Vec } from '../geometry/vector'
import { planShoe, type Plan } from '../plan/plan'
import { elevation, footSeat, silhouette } from './elevation'
import { MODIFICATIONS } from '../modifications/index'
import { barFor, made, shoeWith, inMm, type Given } from '../testing/made'
import type { Section } from '../records/shoe'
import { FIVE_BY_FIVE } from '../testing/samples'
import { tryPlan } from '../testing/fuzz/any-plan'
import { solidWeight } from '../testing/fuzz/made-faults'
import { profileVolume } from '../shoe/profile'
import { signedVolume, solidOf, type Mesh } from './solid'

const withKind = (kind: string): Plan => {
  const section = barFor(kind)
  return made([{ kind }], section ? { section } : {})
}
/** Volume of the solid of the bar with what is drawn out of it into clips, mm3. */
const solidBar = (plan: Plan) =>
  solidOf(plan)
    .filter(({ layer }) => layer === 'shoe' || layer === 'clip')
    .reduce((sum, { mesh }) => sum + signedVolume(mesh), 0)

describe('the solid', () => {
  it.each(MODIFICATIONS.map(({ kind }) => kind))(
    '%s: holds the volume of the profile to 1 in 100',
    (kind) => {
      const plan = withKind(kind)
      const profile = profileVolume(plan.profile, plan.profile.finished)
      expect(Math.abs(solidBar(plan) / profile - 1)).toBeLessThan(0.005)
    },
  )

  const BARS: Section[] = [
    { width: 19.05, thickness: 7.9375, shape: 'flat', material: 'steel' },
    { width: 19.05, thickness: 9.525, shape: 'concave', material: 'steel' },
    { width: 19.05, thickness: 9.525, shape: 'half-round', material: 'steel' },
    { width: 25.4, thickness: 12.7, shape: 'flat', material: 'aluminium' },
  ]
  const KINDS = MODIFICATIONS.map(({ kind }) => kind)
  /** How many of these could be made at all; each weighs what its solid does, to 1 in 200. */
  const weighed = (lists: readonly (readonly string[])[]) =>
    lists.filter((kinds, i) => {
      const plan = tryPlan({
        foot: FIVE_BY_FIVE,
        shoe: {
          section: BARS[i % BARS.length]!,
          fit: 'general',
          modifications: kinds.map((kind) => ({ kind })),
        },
      })
      if (plan)
        expect(Math.abs(solidWeight(plan) / plan.iron.weight - 1), kinds.join(', ')).toBeLessThan(0.005)
      return plan
    }).length

  it('weighs what is told, of every pair of modifications on every bar', () => {
    const pairs = KINDS.flatMap((one, i) => KINDS.slice(i + 1).map((other) => [one, other]))
    expect(weighed(pairs.flatMap((pair) => BARS.map(() => pair)))).toBeGreaterThan(600)
  })

  it('and of threes drawn at random', () => {
    const threes = fc.sample(fc.uniqueArray(fc.constantFrom(...KINDS), { minLength: 3, maxLength: 3 }), 1_000)
    expect(weighed(threes)).toBeGreaterThan(300)
  })

  it.each([
    [{ kind: 'straight-bar', thickness: 3 }],
    [{ kind: 'straight-bar', thickness: 16 }],
    [{ kind: 'straight-bar' }, { kind: 'wedge', rise: 8 }],
    [{ kind: 'heart-bar' }, { kind: 'wedge', rise: 8 }],
    [{ kind: 'heart-bar', thickness: 4 }],
  ] as Given[])('of a bar between the heels is as thick as the bar, not as the shoe: %j %j', (...given) => {
    const plan = made(given.filter((one) => one !== undefined))
    const volume = solidOf(plan).reduce((sum, { mesh }) => sum + signedVolume(mesh), 0)
    expect((volume * 7.85e-3) / plan.iron.weight).toBeCloseTo(1, 2)
  })

  it('does so for any foot', () =>
    fc.assert(
      fc.property(anyFoot, (foot) => {
        const plan = planShoe(foot, shoeWith([{ kind: 'wedge' }, { kind: 'toe-clip' }, { kind: 'boxing' }]))
        const profile = profileVolume(plan.profile, plan.profile.finished)
        expect(Math.abs(solidBar(plan) / profile - 1)).toBeLessThan(0.01)
      }),
      { numRuns: 30 },
    ))

  it.each(MODIFICATIONS.map(({ kind }) => kind))(
    '%s: its pieces hold the volume they are weighed by',
    (kind) => {
      const plan = withKind(kind)
      const solids = solidOf(plan)
      for (const { label, volume, tongue } of plan.parts) {
        const solid = solids.find((one) => one.label === label)
        if (volume === 0 || tongue || !solid) continue
        expect(Math.abs(signedVolume(solid.mesh) / volume - 1), label).toBeLessThan(0.01)
      }
    },
  )

  it('is closed: every edge is walked once each way', () => {
    const closed = ({ triangles }: Mesh) => {
      const edges = new Map<string, number>()
      for (let i = 0; i < triangles.length; i += 3) {
        for (let k = 0; k < 3; k++) {
          const [a, b] = [triangles[i + k]!, triangles[i + ((k + 1) % 3)]!]
          edges.set(`${a} ${b}`, (edges.get(`${a} ${b}`) ?? 0) + 1)
        }
      }
      return [...edges].every(
        ([key, times]) => times === 1 && edges.get(key.split(' ').reverse().join(' ')) === 1,
      )
    }
    for (const kind of MODIFICATIONS.map((one) => one.kind))
      for (const { mesh, label } of solidOf(withKind(kind)))
        expect(closed(mesh), `${kind}: ${label}`).toBe(true)
  })
})

describe('the outline', () => {
  /** Area by a general polygon library, overlaps counted once, mm2. */
  const clipperArea = (edge: readonly Vec[]): number => {
    const paths: PathsD = [edge.map(([x, y]) => ({ x, y, z: 0 }))]
    return Math.abs(unionD(paths, [], FillRule.NonZero, 6).reduce((sum, path) => sum + areaD(path), 0))
  }

  it.each(MODIFICATIONS.map(({ kind }) => kind))(
    '%s: shoe and pieces have the area a polygon library finds',
    (kind) => {
      const plan = withKind(kind)
      const edges = [
        plan.outline.body,
        ...plan.parts.map(({ edge }) => edge).filter((edge) => edge.length > 2),
      ]
      for (const edge of edges) {
        expect(Math.abs(planeArea(edge).area / clipperArea(edge) - 1)).toBeLessThan(0.0005)
      }
    },
  )
})

describe('the side view', () => {
  const extent = (line: readonly Vec[], axis: 0 | 1) =>
    [Math.min(...line.map((p) => p[axis])), Math.max(...line.map((p) => p[axis]))] as const

  it('of a plain shoe is a bar as long as the shoe and as high as it is thick', () => {
    const plan = made([])
    const line = elevation(plan.cuts, 'lateral')
    const ys = plan.outline.outer.map(([, y]) => y)
    expect(extent(line, 0)[0]).toBeCloseTo(Math.min(...ys), 1)
    expect(extent(line, 0)[1]).toBeCloseTo(Math.max(...ys), 1)
    expect(extent(line, 1)).toEqual([0, 7.9375])
    expect(planeArea(line).area).toBeCloseTo((Math.max(...ys) - Math.min(...ys)) * 7.9375, -1)
  })

  it('of an upright piece is its rectangle; of a clip, what leans with the wall', () => {
    const plan = made([
      { kind: 'toe-clip', height: 20 },
      { kind: 'studs', height: 5 },
    ])
    const line = (label: string) => silhouette(solidOf(plan).find((one) => one.label === label)!.mesh)
    const stud = line('Outer heel stud')
    expect(extent(stud, 1)).toEqual([-5, 0])
    expect(extent(stud, 0)[1] - extent(stud, 0)[0]).toBeCloseTo(9.525, 1)
    const clip = line('Toe clip')
    const lean = (plan.foot.toeAngle * Math.PI) / 180
    expect(extent(clip, 1)[1] - 7.9375).toBeCloseTo(20 * Math.sin(lean), 1)
    // Its tip lies back over the foot by its height's run.
    const tip = clip.filter(([, z]) => z > extent(clip, 1)[1] - 0.5).map(([y]) => y)
    expect(plan.foot.widestFromToe - Math.min(...tip)).toBeCloseTo(20 * Math.cos(lean), -0.5)
  })

  it('tells how the foot stands: level on a plain shoe, raised by a wedge, higher by a pad', () => {
    expect(footSeat(made([]).cuts, 0)).toEqual({ height: 7.9375, tilt: 0 })
    const wedged = made([{ kind: 'wedge', rise: 8 }])
    const { height, tilt } = footSeat(wedged.cuts, 3)
    expect(height).toBeCloseTo(7.9375 + 8 + 3, 0)
    // The wedge says its own angle over the whole bearing: the same slope.
    const told = Number(/by ([\d.]+)°/.exec(inMm(wedged.modifications[0]!.told[0]!))![1])
    expect(tilt).toBeGreaterThan(told - 0.4)
    expect(tilt).toBeLessThan(told + 0.4)
  })

  it('shows a wedge at the heels and a rocker at the toe', () => {
    expect(extent(elevation(made([{ kind: 'wedge', rise: 6 }]).cuts, 'medial'), 1)[1]).toBeGreaterThan(13)
    const rocked = elevation(made([{ kind: 'rocker-toe', behindToe: 20, rise: 5 }]).cuts, 'lateral')
    const toe = rocked.filter(([y]) => y > extent(rocked, 0)[1] - 0.5)
    expect(Math.min(...toe.map(([, z]) => z))).toBeGreaterThan(2)
  })
})
