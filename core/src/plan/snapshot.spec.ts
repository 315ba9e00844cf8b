import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { planShoe } from './plan'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { MODIFICATIONS } from '../modifications/index'
import { snapshotOf } from './snapshot'
import { snapshotSchema } from '../records/snapshot'

const area = (points: readonly Vec[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], i) => {
      const [nx, ny] = points[(i + 1) % points.length]!
      return sum + x * ny - nx * y
    }, 0) / 2,
  )

describe('snapshotOf', () => {
  it('keeps of the lines what is needed to see the shoe: fewer points, the same area', () => {
    const plan = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
    const { outline } = snapshotOf(plan)
    expect(outline.body.length).toBeLessThan(plan.outline.body.length * 0.7)
    expect(area(outline.body) / area(plan.outline.body)).toBeCloseTo(1, 2)
    expect(area(outline.foot) / area(plan.outline.foot)).toBeCloseTo(1, 2)
  })

  it('can be read back from a file, whatever is made of the bar', () => {
    for (const { kind } of MODIFICATIONS) {
      const material = kind === 'four-rail-plate' ? 'aluminium' : 'steel'
      const section =
        material === 'steel'
          ? PLAIN_SHOE.section
          : ({ shape: 'flat', width: 25.4, thickness: 9.525, material } as const)
      const snapshot = snapshotOf(
        planShoe(FIVE_BY_FIVE, { ...PLAIN_SHOE, section, modifications: [{ kind }] }),
      )
      const read = snapshotSchema.safeParse(JSON.parse(JSON.stringify(snapshot)))
      expect(read.error?.issues, kind).toBeUndefined()
      expect(read.data, kind).toEqual(JSON.parse(JSON.stringify(snapshot)))
    }
  })

  it('with figures no shoe has is none', () => {
    const snapshot = snapshotOf(planShoe(FIVE_BY_FIVE, PLAIN_SHOE))
    for (const wrong of [
      { weight: -1 },
      { cutLength: 1e9 },
      { outline: { ...snapshot.outline, body: [[1, 2, 3]] } },
      { nails: [{ ...snapshot.nails[0], verdict: 'fine' }] },
    ])
      expect(snapshotSchema.safeParse({ ...snapshot, ...wrong }).success).toBe(false)
  })
})
