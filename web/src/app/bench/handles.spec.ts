import { planShoe, type Foot, type FootFigureKey, type FootInput } from '@crescent/core'
import { PLAIN_SHOE } from '@crescent/core'
import { draggedValue, footHandles, heldWithin } from './handles'

const INPUT: FootInput = {
  side: 'LF',
  width: 127,
  length: 127,
  heelWidth: 89,
  toeAngle: 52,
  wallThickness: 9.5,
}

const footOf = (input: FootInput): Foot => planShoe(input, PLAIN_SHOE).foot
const completing =
  (input: FootInput) =>
  (key: FootFigureKey, value: number): Foot | undefined => {
    try {
      return footOf({ ...input, [key]: value })
    } catch {
      return undefined
    }
  }

describe('handles', () => {
  it.each([
    ['width-outer', 4],
    ['width-inner', -5],
    ['heel-outer', 3],
    ['heel-inner', -2],
    ['length', 6],
    ['widest', -3],
  ])('%s follows the hand by %d mm', (id, by) => {
    const { foot, assumed } = planShoe(INPUT, PLAIN_SHOE)
    const handle = footHandles(foot, assumed).find((one) => one.id === id)!
    const hand = handle.place(foot)[handle.axis] + by
    const value = draggedValue(handle, foot, hand, completing(INPUT))!
    const moved = footOf({ ...INPUT, [handle.key]: value })
    expect(handle.place(moved)[handle.axis]).toBeCloseTo(hand, 6)
  })

  it('moves the outer half-width where that was typed, and leaves the inner side alone', () => {
    const input = { ...INPUT, lateralHalfWidth: 66 }
    const { foot, assumed } = planShoe(input, PLAIN_SHOE)
    const [outer, inner] = footHandles(foot, assumed)
    expect(outer!.key).toBe('lateralHalfWidth')
    const value = draggedValue(inner!, foot, -64, completing(input))!
    expect(footOf({ ...input, width: value }).lateralHalfWidth).toBe(66)
    expect(value).toBeCloseTo(130, 6)
  })

  it('cannot be dragged to what is impossible', () => {
    const foot = footOf(INPUT)
    // Not narrower than the heels allow, not heels wider than the foot.
    expect(heldWithin('width', foot, 10)).toBeCloseTo(89 / 0.96, 6)
    expect(heldWithin('heelWidth', foot, 500)).toBeCloseTo(127 * 0.96, 6)
    const { assumed } = planShoe(INPUT, PLAIN_SHOE)
    const length = footHandles(foot, assumed).find((one) => one.id === 'length')!
    expect(draggedValue(length, foot, 900, completing(INPUT))).toBeCloseTo(127 * 1.6, 6)
  })
})
