import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planeArea } from '../geometry/plane-area'
import { MODIFICATIONS } from '../modifications/index'
import type { Plan } from '../plan/plan'
import { GOINGS, groundOf, type GoingKey } from '../terms/goings'
import { anyPlan, requestOf, tryPlan } from '../testing/fuzz/any-plan'
import { barFor, inMm, made, refusedBy, type Given } from '../testing/made'
import { bearingOf } from './bearing'
import { goingOf, goingOn, placesOf, type Going } from './going'
import { depthAt } from './footing'
import { goingWords } from './words'

const NEWTONS = 3_000
const on = (plan: Plan, kind: GoingKey, at?: readonly [number, number]): Going =>
  goingOf(plan, { ground: groundOf(kind), load: { newtons: NEWTONS, ...(at && { at }) } })
const shod = (...modifications: Given) => made(modifications, { fit: 'general' })
const words = (going: Going): string => goingWords(going).map(inMm).join(' ')

const areaOf = (plan: Plan): number =>
  bearingOf(plan).reduce((sum, { area, part }) => sum + (part === 'pad' ? 0 : area), 0)

/** What closed lines cover, holes taken off. */
const covered = (rings: Plan['outline']['whole']): number =>
  rings.reduce((sum, ring) => {
    const doubled = ring.reduce((d, [x, y], i) => {
      const [u, v] = ring[(i + 1) % ring.length]!
      return d + x * v - u * y
    }, 0)
    return sum + doubled / 2
  }, 0)

describe('a load that springs cannot tell of', () => {
  it('near the edge in sand turns the shoe over: that is said, not how far', () => {
    const plan = shod()
    expect(refusedBy(() => on(plan, 'sand arena', [60, 0]))).toEqual(['load.at'])
    expect(refusedBy(() => on(plan, 'sand arena', [0, 0]))).toEqual([])
  })

  it('deeper than the wall is high is not told', () => {
    const plan = shod()
    const pieces = bearingOf(plan)
    const whole = pieces.reduce((sum, { area }) => sum + area, 0)
    // In the middle of all that bears it sinks level.
    const middle = (axis: 0 | 1) => pieces.reduce((sum, { at, area }) => sum + at[axis] * area, 0) / whole
    const load = { newtons: 5_000, at: [middle(0), middle(1)] as const }
    const sunk = () => goingOf(plan, { ground: { stiffness: 0.008, edge: 0 }, load })
    expect(refusedBy(sunk)).toEqual(['load.newtons'])
  })

  it('whatever is told tilts no more than 12 degrees and sinks no deeper than the wall', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -65, max: 65, noNaN: true }),
        fc.double({ min: -60, max: 55, noNaN: true }),
        fc.constantFrom(...GOINGS.map(({ key }) => key)),
        (x, y, kind) => {
          const plan = shod()
          try {
            const { tilt, deepest } = on(plan, kind, [x, y])
            expect(Math.max(Math.abs(tilt.foreAft), Math.abs(tilt.sideways))).toBeLessThanOrEqual(12)
            expect(deepest).toBeLessThan(100)
          } catch (error) {
            expect((error as { problems?: unknown }).problems, String(error)).toBeDefined()
          }
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('what of a made shoe may bear', () => {
  it('is the shoe, no more and no less: its area, whatever is turned or welded to it', () => {
    for (const modifications of [
      [],
      [{ kind: 'egg-bar' }],
      [{ kind: 'straight-bar' }],
      [{ kind: 'trailer' }],
    ]) {
      const plan = shod(...modifications)
      const wanted = covered(plan.outline.whole)
      expect(Math.abs(areaOf(plan) / wanted - 1), JSON.stringify(modifications)).toBeLessThan(0.012)
    }
    const heart = shod({ kind: 'heart-bar' })
    const plate = heart.parts.find(({ layer }) => layer === 'plate')!
    const frog = bearingOf(heart).filter(({ part }) => part === 'frogPlate')
    expect(frog.reduce((sum, { area }) => sum + area, 0)).toBeCloseTo(planeArea(plate.edge).area, 6)
  })

  it('is found for every modification, at its own height', () => {
    for (const { kind } of MODIFICATIONS) {
      const plan = made([{ kind }], { section: barFor(kind) ?? {} })
      const bearing = bearingOf(plan)
      expect(bearing.length, kind).toBeGreaterThan(300)
      expect(
        bearing.every(({ area, edge, z }) => area >= 0 && edge >= 0 && Number.isFinite(z)),
        kind,
      ).toBe(true)
    }
    const studs = bearingOf(shod({ kind: 'studs', height: 4 }))
    expect(new Set(studs.filter(({ part }) => part === 'grip').map(({ z }) => z))).toEqual(new Set([-4]))
    const pad = bearingOf(shod({ kind: 'pad' })).filter(({ part, area }) => part === 'pad' && area > 0)
    // It lies on the shoe, and only what no steel hides can meet the ground.
    expect(new Set(pad.map(({ z }) => z))).toEqual(new Set([shod().section.thickness]))
    expect(pad.reduce((sum, { area }) => sum + area, 0)).toBeLessThan(
      planeArea(shod().outline.outer).area - areaOf(shod()) * 0.9,
    )
  })
})

describe('how a shoe stands', () => {
  it('under its own middle it sinks alike, by load over stiffness and area', () => {
    const plan = shod()
    const bearing = bearingOf(plan)
    const area = bearing.reduce((sum, one) => sum + one.area, 0)
    const middle = [0, 1].map(
      (axis) => bearing.reduce((sum, { at, area: a }) => sum + at[axis]! * a, 0) / area,
    )
    const going = on(plan, 'sand arena', [middle[0]!, middle[1]!])
    const sink = NEWTONS / (groundOf('sand arena').stiffness * area)
    for (const place of Object.values(going.sink)) expect(place).toBeCloseTo(sink, 5)
    expect(going.tilt.foreAft).toBeCloseTo(0, 6)
    expect(going.contactShare).toBe(1)
    expect(going.pressure.max).toBeCloseTo(NEWTONS / area, 6)
  })

  it('answers its load to a millionth on every one of 2,000 shoes, and pulls nowhere', () => {
    let stood = 0
    const fine = 7
    for (const drawn of fc.sample(anyPlan, { numRuns: 2_600, seed: 14 })) {
      const plan = tryPlan(requestOf(drawn))
      if (!plan) continue
      const kind = GOINGS[stood % GOINGS.length]!.key
      const bearing = bearingOf(plan, undefined, fine)
      const at = [plan.foot.width * 0.1 * Math.sin(stood), plan.foot.length * 0.12 * Math.cos(stood)] as const
      const going = goingOn(plan, bearing, {
        ground: { ...groundOf(kind), edge: 0 },
        load: { newtons: NEWTONS, at },
      })
      stood += 1
      const sum = (weight: (x: number, y: number) => number) =>
        going.bed.reduce((total, { pressure, area, at: [x, y] }) => total + pressure * area * weight(x, y), 0)
      expect(Math.abs(sum(() => 1) / NEWTONS - 1)).toBeLessThan(1e-6)
      expect(Math.abs(sum((x) => x) / NEWTONS - at[0]) / plan.foot.width).toBeLessThan(1e-6)
      expect(Math.abs(sum((_, y) => y) / NEWTONS - at[1]) / plan.foot.length).toBeLessThan(1e-6)
      expect(going.bed.every(({ pressure }) => pressure >= 0)).toBe(true)
      expect(Object.values(going.shares).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
    }
    expect(stood).toBeGreaterThanOrEqual(2_000)
  }, 240_000)

  it('tells its places where they lie', () => {
    const plan = shod({ kind: 'wide-toe' })
    const going = on(plan, 'turf', [8, -10])
    const { toe, heels } = placesOf(plan)
    expect(going.sink.toe).toBeCloseTo(depthAt(going.plane, toe), 9)
    expect(going.sink.lateralHeel).toBeCloseTo(depthAt(going.plane, heels[0]), 9)
    // The load lies to the outside: that side goes deeper.
    expect(going.sink.lateralHeel).toBeGreaterThan(going.sink.medialHeel)
    expect(going.tilt.sideways).toBeGreaterThan(0)
    expect(going.pressure.at[0]).toBeGreaterThan(0)
  })

  it('a load beside the shoe is refused by figure', () => {
    expect(refusedBy(() => on(shod(), 'turf', [0, 120]))).toEqual(['load.at'])
  })

  it('a pad or deep going: the sole comes down only where nothing covers it', () => {
    expect(on(shod(), 'sand arena').soleMeets).toBe(true)
    expect(on(shod(), 'packed track').soleMeets).toBe(false)
    expect(on(shod({ kind: 'pad' }), 'deep sand').soleMeets).toBe(false)
    expect(words(on(shod(), 'deep sand'))).toContain('more than it is thick')
  })
})

describe('facts of the trade', () => {
  const plain = shod()

  it('a wide toe and narrow heels let the heels sink in soft going, and do nothing on rock', () => {
    const wide = shod({ kind: 'wide-toe' })
    for (const kind of ['sand arena', 'deep sand', 'turf', 'mud'] as const) {
      expect(on(wide, kind).tilt.foreAft).toBeGreaterThan(on(plain, kind).tilt.foreAft + 0.5)
      expect(words(on(wide, kind))).toContain('The heels sink')
    }
    expect(on(wide, 'rock').tilt).toEqual({ foreAft: 0, sideways: 0 })
    expect(Math.abs(on(wide, 'road').tilt.foreAft)).toBeLessThan(0.05)
    expect(words(on(wide, 'rock'))).toContain('does not give')
  })

  it('an egg bar holds the heels up against an open heel', () => {
    const egg = shod({ kind: 'egg-bar' })
    const heels = ({ sink }: Going) => (sink.lateralHeel + sink.medialHeel) / 2
    expect(heels(on(egg, 'sand arena'))).toBeLessThan(heels(on(plain, 'sand arena')) - 1)
    expect(on(egg, 'sand arena').shares.bar).toBeGreaterThan(0.05)
  })

  it('a frog plate takes load from the walls, packing some where the ground gives, none on rock', () => {
    const heart = on(shod({ kind: 'heart-bar' }), 'sand arena')
    const walls = ({ shares }: Going) => (shares.toe ?? 0) + shares.lateralBranch! + shares.medialBranch!
    expect(heart.shares.frogPlate).toBeGreaterThan(0.08)
    expect(walls(heart)).toBeLessThan(walls(on(plain, 'sand arena')) - 0.15)
    const packed = (kind: GoingKey) =>
      goingOf(plain, {
        ground: groundOf(kind),
        load: { newtons: NEWTONS },
        packing: { covers: 'frog', stiffness: 0.07 },
      }).shares.packing!
    expect(packed('sand arena')).toBeGreaterThan(0.05)
    expect(packed('sand arena')).toBeLessThan(heart.shares.frogPlate! + 0.1)
    expect(packed('rock')).toBeLessThan(1e-3)
  })

  it('a trailer and a wide outer branch resist rolling to their side', () => {
    const outward = [25, -10] as const
    for (const kind of ['trailer', 'wide-outer-branch', 'lateral-extension'])
      expect(on(shod({ kind }), 'turf', outward).tilt.sideways, kind).toBeLessThan(
        on(plain, 'turf', outward).tilt.sideways,
      )
  })

  it('studs stand on a hard floor and sink in soft ground', () => {
    const studs = shod({ kind: 'studs', height: 6 })
    const floor = on(studs, 'rock')
    expect(floor.onFloor.foreAft).toBeLessThan(-2)
    expect(floor.tilt.foreAft).toBe(0)
    expect(floor.shares.grip).toBeGreaterThan(0.5)
    expect(on(studs, 'deep sand').shares.grip).toBeLessThan(0.15)
  })

  it('in every going the stiffer is sunk into less', () => {
    const sinks = GOINGS.filter(({ edge }) => edge === 0).map(({ key }) => on(plain, key).sink.lateralHeel)
    expect([...sinks].sort((a, b) => a - b)).toEqual(sinks)
  })
})
