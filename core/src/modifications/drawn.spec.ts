import { describe, expect, it } from 'vitest'
import { planeArea } from '../geometry/plane-area'
import { distance, type Vec } from '../geometry/vector'
import type { Plan } from '../plan/plan'
import { barFor, inMm, made } from '../testing/made'
import { MODIFICATIONS } from './index'
import { signedVolume, solidOf } from '../views/solid'

const planOf = (kind: string, values: Record<string, number> = {}): Plan => {
  const section = barFor(kind)
  return made([{ kind, ...values }], section ? { section } : {})
}
const KINDS = MODIFICATIONS.map(({ kind }) => kind)

/** How far a point lies from the nearest of some lines, mm. */
function apart(point: Vec, lines: readonly (readonly Vec[])[]): number {
  let least = Infinity
  for (const line of lines)
    for (let i = 0; i + 1 < line.length; i++) {
      const [a, b] = [line[i]!, line[i + 1]!]
      for (let u = 0; u <= 8; u++)
        least = Math.min(
          least,
          distance(point, [a[0] + ((b[0] - a[0]) * u) / 8, a[1] + ((b[1] - a[1]) * u) / 8]),
        )
    }
  return least
}

const closed = (edge: readonly Vec[]): readonly Vec[] => [...edge, edge[0]!]

describe('of every modification', () => {
  it.each(KINDS)('the work of a %s is told step by step, in words', (kind) => {
    const plan = planOf(kind)
    const own = MODIFICATIONS.find((one) => one.kind === kind)!
    const plain = made([]).forging.length
    if (own.forging) expect(plan.forging.length).toBeGreaterThan(plain)
    for (const { stage, text } of plan.forging) {
      expect(stage).toMatch(/^[a-z][a-z ]+$/)
      expect(inMm(text)).toMatch(/^[A-Z0-9].{8,}[.;:)]$/s)
    }
  })

  it.each(KINDS)(
    'the pieces of a %s are closed, stand on or under something and weigh what they hold',
    (kind) => {
      const { parts, outline } = planOf(kind)
      const body = Math.abs(planeArea(outline.body).area)
      for (const { label, edge, between, join, stock, volume } of parts) {
        for (const point of edge) expect(point.every(Number.isFinite), label).toBe(true)
        if (between) {
          expect(between, label).toHaveLength(2)
          expect(between[1], label).toBeGreaterThan(between[0])
        }
        if (join) {
          const all = planeArea(join.outline ?? edge).area
          // What is joined reaches into the branches, and no further than they are wide.
          expect(all, label).toBeGreaterThanOrEqual(planeArea(edge).area - 1e-6)
          expect(all, label).toBeLessThan(planeArea(edge).area * 1.35)
          for (const weld of join.welds) {
            expect(weld.length, label).toBeGreaterThanOrEqual(2)
            for (const point of weld) expect(apart(point, [closed(edge)]), label).toBeLessThan(0.5)
          }
        }
        if (stock) {
          const { width, thickness, length, count = 1 } = stock
          const cut = width * thickness * length * count
          expect(cut, label).toBeGreaterThan(0)
          // A piece is no larger than what is cut for it, pads and plates for the whole foot included.
          if (volume > 0) expect(volume / count, label).toBeLessThan(width * thickness * length * 1.05)
        }
      }
      const whole = outline.whole.reduce((sum, ring) => sum + signed(ring), 0)
      expect(Math.abs(whole)).toBeGreaterThan(body * 0.85)
    },
  )

  it.each(KINDS)('what is held of a %s on the sole lies on what it changes', (kind) => {
    const plan = planOf(kind)
    const lines = [
      plan.outline.outer,
      plan.outline.inner,
      plan.outline.centreline,
      plan.outline.foot,
      ...plan.outline.whole.map(closed),
      ...plan.parts.map(({ edge }) => closed(edge)),
      ...plan.modifications[0]!.guides.map(({ line }) => line),
    ]
    for (const { field, point, view } of plan.modifications[0]!.handles)
      if (view !== 'side') expect(apart(point, lines), field).toBeLessThan(HELD[kind] ?? 2)
  })

  it.each(KINDS)('the solid of a %s is right side out', (kind) => {
    for (const { label, mesh } of solidOf(planOf(kind))) expect(signedVolume(mesh), label).toBeGreaterThan(0)
  })
})

/** Handles that stand apart from what they change, so that a thumb finds them, mm. */
const HELD: Record<string, number> = {
  'slide-shoe': 2.1,
  // As deep as the bevel reaches.
  'perimeter-bevel': 3.2,
  // On the line over which the drawn toe breaks over, in the middle of the bar.
  'four-rail-plate': 13,
}

const signed = (ring: readonly Vec[]): number =>
  ring.reduce((sum, [x, y], i) => {
    const [u, v] = ring[(i + 1) % ring.length]!
    return sum + (x * v - u * y) / 2
  }, 0)

describe('the bulbs', () => {
  it('reach back to their line and lie between the buttresses', () => {
    const { foot, landmarks } = made([])
    const back = foot.widestFromToe - foot.length - foot.bulbLine
    const ys = landmarks.bulbs.map(([, y]) => y)
    expect(Math.min(...ys)).toBeGreaterThan(back - 1.5)
    expect(Math.min(...ys)).toBeLessThan(back + 1.5)
    const xs = landmarks.bulbs.map(([x]) => x)
    expect(Math.max(...xs)).toBeLessThan(foot.heelWidth / 2 + 3)
    expect(Math.min(...xs)).toBeGreaterThan(-foot.heelWidth / 2 - 3)
    expect(landmarks.bulbY).toBeCloseTo(back, 6)
  })
})
