import { describe, expect, it } from 'vitest'
import { planShoe } from '../plan/plan'
import { CREASE_WIDTH } from '../shoe/moulded/crease-room'
import { FIVE_BY_FIVE } from '../testing/samples'
import { shoeOfSize, sizeOf } from '../testing/sizes'
import { drilledHoles, nailsPerSide } from './drilled'

/** Wide enough that nothing is sawn: the crease lies where it was moulded. */
const shoe = (thickness: number, crease: number, nails = {}) =>
  shoeOfSize(
    sizeOf(296, { kind: 'plate-cored', web: 26, thickness, crease, holes: { lateral: [], medial: [] } }),
    { nails },
  )
const drilledOf = (...asked: Parameters<typeof shoe>) => {
  const plan = planShoe(FIVE_BY_FIVE, shoe(...asked))
  return { plan, drilled: plan.moulded!.drilled }
}

describe('nails of a moulded shoe', () => {
  it('are as many a side as the foot is wide', () => {
    expect([95, 104.9, 105, 130, 144.9, 145, 180].map(nailsPerSide)).toEqual([3, 3, 4, 4, 4, 5, 5])
    const plan = drilledHoles(undefined, 130)
    expect([plan.lateral.driven, plan.medial.holes]).toEqual([[1, 2, 3, 4], 4])
    expect(drilledHoles({ lateral: [1, 3], medial: { holes: 2 } }, 130)).toMatchObject({
      lateral: { holes: 4, driven: [1, 3] },
      medial: { holes: 2, driven: [1, 2] },
    })
  })

  it('go in over the white line of this foot, not where some other foot would want them', () => {
    const { plan } = drilledOf(11, 5)
    for (const nail of plan.nails) expect(nail.insideWall).toBeCloseTo(nail.wallThickness, 0)
  })

  it('begin in the crease and come out where they should: height over run is the lean', () => {
    for (const [thickness, crease] of [
      [8, 4],
      [11, 5],
      [14, 3],
      [14, 7],
    ] as const) {
      const { drilled, plan } = drilledOf(thickness, crease)
      expect(drilled).toHaveLength(8)
      for (const hole of drilled) {
        const across = hole.insetAbove - hole.inset
        expect(Math.tan((hole.lean * Math.PI) / 180) * across).toBeCloseTo(thickness, 6)
        const { lean, wallAngle } = plan.nails.find(
          ({ branch, number }) => branch === hole.branch && number === hole.number,
        )!
        expect(lean).toBeCloseTo(hole.lean, 9)
        expect(hole.leansMore).toBeCloseTo(wallAngle - lean, 9)
        // In the crease, but for holes that no drill could lean to.
        if (lean > 35.01 && lean < 99.99) {
          expect(hole.inset).toBeGreaterThan(crease - plan.moulded!.deepest - 0.01)
          expect(hole.inset).toBeLessThan(crease + CREASE_WIDTH + 0.01)
        }
      }
    }
  })

  it('lean with the wall where the crease allows it, and more where it lies further out', () => {
    const near = drilledOf(11, 5).drilled
    expect(near.filter(({ leansMore }) => Math.abs(leansMore) < 1e-9).length).toBeGreaterThan(3)
    const out = drilledOf(11, 0).drilled
    const thick = drilledOf(6, 0).drilled
    expect(out.at(-1)!.leansMore).toBeGreaterThanOrEqual(0)
    // Less far to go up, the same way across: a thinner shoe wants more lean.
    expect(Math.max(...thick.map(({ leansMore }) => leansMore))).toBeGreaterThan(
      Math.max(...out.map(({ leansMore }) => leansMore)),
    )
  })

  it('lean as they are told to, the drill begun accordingly', () => {
    const { drilled } = drilledOf(11, 5, { lateral: { each: [{ number: 2, lean: 60 }] } })
    const second = drilled.find(({ branch, number }) => branch === 'lateral' && number === 2)!
    expect(second.lean).toBe(60)
    expect(second.insetAbove - second.inset).toBeCloseTo(11 / Math.tan(Math.PI / 3), 9)
  })
})
