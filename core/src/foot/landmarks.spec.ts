import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planShoe } from '../plan/plan'
import { tryPlan } from '../testing/fuzz/any-plan'
import { PLAIN_SHOE } from '../testing/samples'
import { anyFoot } from '../testing/any-foot'
import type { Vec } from '../geometry/vector'

/** The sharpest corner of a line, degrees, places where it may turn sharply left out. */
function sharpest(line: readonly Vec[], sharp: (point: Vec) => boolean): number {
  let most = 0
  for (let i = 1; i + 1 < line.length; i++) {
    const [a, b, c] = [line[i - 1]!, line[i]!, line[i + 1]!]
    const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]]
    if (sharp(b) || Math.hypot(ux, uy) < 1e-9 || Math.hypot(vx, vy) < 1e-9) continue
    most = Math.max(most, (Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy)) * 180) / Math.PI)
  }
  return most
}

describe('frog and bulbs as they are drawn', () => {
  it('are round everywhere but at apex, cleft and where the bulbs meet, on any foot', () => {
    fc.assert(
      fc.property(anyFoot, (input) => {
        const plan = tryPlan({ foot: input, shoe: { ...PLAIN_SHOE, fit: 'conservative' } })
        if (!plan) return
        const { landmarks } = plan
        // A drawn line of some 30 points a side turns by less than this where it has no corner.
        expect(sharpest(landmarks.frog, ([x]) => Math.abs(x) < 1e-6)).toBeLessThan(40)
        expect(sharpest(landmarks.bulbs, ([x]) => Math.abs(x) < 1e-6)).toBeLessThan(30)
      }),
      { numRuns: 30 },
    )
  })

  it('lie evenly about the middle line', () => {
    const { landmarks } = planShoe(
      { side: 'LF', width: 127, length: 127, heelWidth: 89, toeAngle: 52, wallThickness: 9.5 },
      PLAIN_SHOE,
    )
    for (const line of [landmarks.frog, landmarks.bulbs])
      for (const [i, [x, y]] of line.entries()) {
        const [u, v] = line[line.length - 1 - i]!
        expect(x + u).toBeCloseTo(0, 9)
        expect(y - v).toBeCloseTo(0, 9)
      }
  })
})
