import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { depthAt, springOf, standOn, type Element } from './footing'
import { plateElements } from './plate-elements'

const GROUND = { stiffness: 0.05, edge: 0 }
const LOAD = 3_000

/** A rectangle of L across and B along, its middle in the origin. */
const rectangle = (long: number, broad: number): Vec[] => [
  [-long / 2, -broad / 2],
  [long / 2, -broad / 2],
  [long / 2, broad / 2],
  [-long / 2, broad / 2],
]
const cutUp = (edge: readonly Vec[], area: number, fine = 1): Element[] =>
  plateElements(edge, () => 0, area, fine)

const [L, B] = [60, 120]
const footing = cutUp(rectangle(L, B), L * B)

const within = (value: number, wanted: number, share: number) =>
  expect(Math.abs(value / wanted - 1), `${value} against ${wanted}`).toBeLessThan(share)

describe('a rigid plate on springs', () => {
  it('stands as the footing formula says inside the kernel: q = P/A (1 +- 6e/B), foundation engineering texts', () => {
    for (const e of [0, 5, 12, B / 6 - 0.5]) {
      const { plane } = standOn(footing, GROUND, LOAD, [0, e])!
      const q = (y: number) => depthAt(plane, [0, y]) * GROUND.stiffness
      within(q(B / 2), (LOAD / (L * B)) * (1 + (6 * e) / B), 0.005)
      expect(q(-B / 2)).toBeCloseTo((LOAD / (L * B)) * (1 - (6 * e) / B), 2)
    }
  })

  it('and beyond it, where part comes up: q_max = 2P / (3 L (B/2 - e))', () => {
    for (const e of [25, 35, 45]) {
      const { plane, forces } = standOn(footing, GROUND, LOAD, [0, e])!
      within(depthAt(plane, [0, B / 2]) * GROUND.stiffness, (2 * LOAD) / (3 * L * (B / 2 - e)), 0.005)
      // What bears is three times as long as the load lies from the edge.
      const clear = footing.filter(({ area }, i) => area > 0 && forces[i] === 0).map(({ at }) => at[1])
      expect(Math.abs(Math.max(...clear) - (B / 2 - 3 * (B / 2 - e)))).toBeLessThan(1.5)
    }
  })

  it('a circle under a load aside of its middle: q_max = P/A (1 + 4e/r) up to a quarter of its radius', () => {
    const r = 50
    const circle = Array.from({ length: 720 }, (_, i): Vec => [
      r * Math.cos((i * Math.PI) / 360),
      r * Math.sin((i * Math.PI) / 360),
    ])
    const pieces = cutUp(circle, Math.PI * r * r)
    for (const e of [0, 6, r / 4]) {
      const { plane } = standOn(pieces, GROUND, LOAD, [e, 0])!
      within(depthAt(plane, [r, 0]) * GROUND.stiffness, (LOAD / (Math.PI * r * r)) * (1 + (4 * e) / r), 0.005)
    }
  })

  it('cut up finer it stands the same, to half a hundredth', () => {
    const at: Vec = [9, 31]
    const coarse = standOn(cutUp(rectangle(L, B), L * B, 3), GROUND, LOAD, at)!
    const fine = standOn(cutUp(rectangle(L, B), L * B, 0.8), GROUND, LOAD, at)!
    within(depthAt(coarse.plane, [L / 2, B / 2]), depthAt(fine.plane, [L / 2, B / 2]), 0.005)
  })

  it('nowhere pulls, and answers its load in force and moments, wherever it stands', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.49, max: 0.49, noNaN: true }),
        fc.double({ min: -0.49, max: 0.49, noNaN: true }),
        fc.double({ min: 1, max: 60_000, noNaN: true }),
        fc.double({ min: 0.002, max: 100, noNaN: true }),
        (across, along, newtons, stiffness) => {
          const at: Vec = [across * L * 0.95, along * B * 0.95]
          const { forces } = standOn(cutUp(rectangle(L, B), L * B, 4), { stiffness, edge: 0.1 }, newtons, at)!
          expect(Math.min(...forces)).toBeGreaterThanOrEqual(0)
          const pieces = cutUp(rectangle(L, B), L * B, 4)
          const sum = (weight: (place: Vec) => number) =>
            forces.reduce((total, force, i) => total + force * weight(pieces[i]!.at), 0)
          expect(Math.abs(sum(() => 1) / newtons - 1)).toBeLessThan(1e-6)
          expect(Math.abs(sum(([x]) => x) / newtons - at[0])).toBeLessThan(1e-4)
          expect(Math.abs(sum(([, y]) => y) / newtons - at[1])).toBeLessThan(1e-4)
        },
      ),
      { numRuns: 100, seed: 141 },
    )
  })

  it('does not stand where the load lies outside it, or nothing bears', () => {
    expect(standOn(footing, GROUND, LOAD, [0, B / 2 + 1])).toBeUndefined()
    expect(standOn(footing, GROUND, LOAD, [L, 0])).toBeUndefined()
    expect(standOn([], GROUND, LOAD, [0, 0])).toBeUndefined()
  })

  it('an edge holds by its length, and what is soft gives with the ground', () => {
    const piece: Element = { at: [0, 0], z: 0, area: 100, edge: 0 }
    expect(springOf(piece, { stiffness: 0.2, edge: 5 })).toBeCloseTo(20, 9)
    expect(springOf({ ...piece, area: 0, edge: 30 }, { stiffness: 0.2, edge: 5 })).toBeCloseTo(150, 9)
    // Two alike, one behind the other, are half as stiff.
    expect(springOf({ ...piece, soft: 0.2 }, { stiffness: 0.2, edge: 5 })).toBeCloseTo(10, 9)
  })
})
