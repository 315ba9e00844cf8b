import { describe, expect, it } from 'vitest'
import { along, cross, distance, dot, subtract } from '../geometry/vector'
import { planShoe } from './plan'
import { FIVE_BY_FIVE } from '../testing/samples'
import { nailHandles, shoeHandles, withFigure } from './handles'
import { MODIFICATIONS } from '../modifications/index'
import { barFor, shoeWith } from '../testing/made'
import { PLAIN_SHOE } from '../shoe/starting-shoe'

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
      const room = handle.per > 0 ? high - handle.value : handle.value - low
      const pull = room >= 1.5 * Math.abs(handle.per) ? 1.5 : -1.5
      const value = handle.value + pull * handle.per
      const pulled = planShoe(FIVE_BY_FIVE, withFigure(shoe, handle.path, value, plan))
      const now = shoeHandles(pulled).find(({ path }) => path === handle.path)!
      expect(now.value).toBeCloseTo(value, 9)
      // It stays under the hand: it goes with the pull, and nowhere beside it.
      const moved = subtract(now.point, handle.point)
      expect(dot(moved, handle.along) / pull, handle.path).toBeGreaterThan(0.6)
      expect(dot(moved, handle.along) / pull, handle.path).toBeLessThan(1.4)
      expect(Math.abs(cross(moved, handle.along)), handle.path).toBeLessThan(0.8)
    }
  })

  it('the width of the bar is the bar’s, however wide the web was made at the toe', () => {
    const section = PLAIN_SHOE.section
    for (const kind of ['wide-toe', 'slide-shoe', 'crease', 'seating-out']) {
      const plan = planShoe(FIVE_BY_FIVE, shoeOf(kind))
      const handle = shoeHandles(plan).find(({ path }) => path === 'section.width')!
      expect(handle.value, kind).toBe(section.width)
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

  it('of the holes end where their neighbours begin: at its ends a hole can still be made', () => {
    const shoe = shoeWith([])
    const plan = planShoe(FIVE_BY_FIVE, shoe)
    for (const handle of nailHandles(plan)) {
      for (const end of handle.range) {
        const made = planShoe(FIVE_BY_FIVE, withFigure(shoe, handle.path, end, plan))
        expect(nailHandles(made).find(({ path }) => path === handle.path)!.value).toBe(end)
      }
    }
  })
})
