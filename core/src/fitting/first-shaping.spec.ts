import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { pattern, furthest } from '../testing/farriers'
import { bent } from './bend'
import { bendPlan, TOLERANCE } from './bend-plan'
import { centrelineOf, lineLength, type Centreline } from './centreline'
import { straightBar } from './first-shaping'

describe('the first shaping of a straight bar', () => {
  const straight = { ...pattern, points: straightBar(pattern) }
  const found = bendPlan(pattern, straight)

  it('turns it to its pattern from the toe outward, alike on both sides of an even foot', () => {
    expect(found.within).toBe(true)
    expect(found.bends.length).toBeGreaterThan(5)
    expect(found.bends.length).toBeLessThan(15)
    const order = found.bends.map(({ fromToe }) => fromToe)
    expect([...order].sort((a, b) => a - b)).toEqual(order)
    // Every bend closes, none by more than a hammer does at once; together they turn the branches as the pattern turns.
    for (const { angle } of found.bends) {
      expect(angle).toBeLessThan(0)
      expect(angle).toBeGreaterThan(-45)
    }
    const turned = (branch: string) =>
      found.bends.reduce((sum, one) => (one.branch === branch ? sum + one.angle : sum), 0)
    expect(Math.abs(turned('lateral') - turned('medial'))).toBeLessThan(6)
    // A search of its own: the corners of few bends stand off the curve by a little more than is seen.
    expect(furthest(found.bends.reduce(bent, straight))).toBeLessThan(TOLERANCE * 1.5)
  })

  it('keeps its length, wherever the bar lies, and is the same in a mirror', () => {
    // Told at every half millimetre, so that a corner between two points cuts nothing off.
    const fine = centrelineOf(
      Array.from({ length: 601 }, (_, i): Vec => [lineLength(pattern) * (0.5 - i / 600), 0]),
    )
    const turned = found.bends.reduce(bent, fine)
    expect(Math.abs(lineLength(centrelineOf(turned.points)) - lineLength(pattern))).toBeLessThan(0.1)
    const aslant = straight.points.map(([x, y]): Vec => [x * 0.6 - y * 0.8 + 70, x * 0.8 + y * 0.6 - 20])
    const asItLies = bendPlan(pattern, { ...straight, points: aslant })
    expect(asItLies.bends.map(({ angle }) => angle.toFixed(2))).toEqual(
      found.bends.map(({ angle }) => angle.toFixed(2)),
    )
    const flip = (line: Centreline) => ({ ...line, points: line.points.map(([x, y]): Vec => [-x, y]) })
    const mirrored = bendPlan(flip(pattern), flip(straight))
    expect(mirrored.bends).toEqual(found.bends)
    expect(mirrored.shapes[0]!.map(([x, y]) => [-x, y])).toEqual(found.shapes[0])
  })
})
