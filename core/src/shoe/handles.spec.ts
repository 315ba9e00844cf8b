import { describe, expect, it } from 'vitest'
import { along } from '../geometry/vector'
import { planShoe } from '../plan'
import { FIVE_BY_FIVE } from '../samples'
import { nailHandles, shoeHandles, withFigure } from './handles'
import { MODIFICATIONS } from './modifications'
import { barFor, shoeWith } from './modifications/made'
import { distance } from '../geometry/vector'

const shoeOf = (kind: string) => {
  const section = barFor(kind)
  return shoeWith([{ kind }], section ? { section } : {})
}

describe('handles', () => {
  it.each(MODIFICATIONS.map(({ kind }) => kind))('%s has one, and its figure follows the hand', (kind) => {
    const shoe = shoeOf(kind)
    const plan = planShoe(FIVE_BY_FIVE, shoe)
    const own = shoeHandles(plan).filter(({ path }) => path.startsWith(`mod.${kind}.`))
    expect(own.length).toBeGreaterThan(0)
    for (const handle of own) {
      const [low, high] = handle.range
      // Pulled by a millimetre and a half, to whichever side there is room.
      const way = handle.value + 1.5 * Math.abs(handle.per) <= high ? 1.5 : -1.5
      const value = Math.min(high, Math.max(low, handle.value + way * handle.per))
      let pulled
      try {
        pulled = planShoe(FIVE_BY_FIVE, withFigure(shoe, handle.path, value, plan))
      } catch {
        continue
      }
      const now = shoeHandles(pulled).find(({ path }) => path === handle.path)!
      expect(now.value).toBeCloseTo(value, 9)
      // Where the figure may go on growing the handle goes with the hand, not against it.
      const moved = distance(now.point, along(handle.point, handle.along, way))
      expect(moved, handle.path).toBeLessThan(1.5 * 2)
    }
  })

  it('of bar and fit change what they say', () => {
    const shoe = shoeWith([])
    const plan = planShoe(FIVE_BY_FIVE, shoe)
    for (const [path, key] of [
      ['fit.heelLength', 'heelLength'],
      ['fit.spread', 'spread'],
    ] as const)
      expect(planShoe(FIVE_BY_FIVE, withFigure(shoe, path, 6, plan)).fit[key]).toBe(6)
    expect(withFigure(shoe, 'section.width', 22, plan).section.width).toBe(22)
  })

  it('of the holes run along the crease', () => {
    const shoe = shoeWith([])
    const plan = planShoe(FIVE_BY_FIVE, shoe)
    for (const handle of nailHandles(plan)) {
      const pulled = planShoe(FIVE_BY_FIVE, withFigure(shoe, handle.path, handle.value + 3, plan))
      const now = nailHandles(pulled).find(({ path }) => path === handle.path)!
      expect(distance(now.point, along(handle.point, handle.along, 3))).toBeLessThan(1)
    }
  })
})
