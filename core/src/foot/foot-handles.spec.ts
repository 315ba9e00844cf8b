import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { FootInput } from '../records/foot'
import { FIVE_BY_FIVE } from '../testing/samples'
import { asTaken, footHandles } from './foot-handles'
import type { FootFigureKey } from './figures'
import { heldWithin } from './handle'
import { readFoot } from './measurements'

/** Everything a handle is made of, for a foot as it was taken. */
function read(input: FootInput) {
  const foot = readFoot(input)
  if (!foot.ok) throw new Error(JSON.stringify(foot.problems))
  return { input, ...foot.value }
}

const handlesOf = (input: FootInput, what?: 'landmarks') => footHandles(read(input), what)

/** The foot after a handle was pulled along its way by so many mm. */
function pulled(input: FootInput, id: string, by: number, what?: 'landmarks'): FootInput {
  const now = read(input)
  const handle = footHandles(now, what).find((one) => one.id === id)!
  const key = handle.path.slice('foot.'.length) as FootFigureKey
  const value = heldWithin(handle, handle.value + by * handle.per)
  return { ...input, [key]: asTaken(key, value, input, now.foot) }
}

/** How far a handle came along its way, counted from the toe. */
function came(input: FootInput, after: FootInput, id: string, what?: 'landmarks'): number {
  const place = (foot: FootInput) => {
    const handle = handlesOf(foot, what).find((one) => one.id === id)!
    // The frame begins at the widest part; the sheet is counted from the toe.
    const { widestFromToe } = read(foot).foot
    return [handle.point[0], handle.point[1] - widestFromToe] as const
  }
  const { along } = handlesOf(input, what).find((one) => one.id === id)!
  const [from, to] = [place(input), place(after)]
  return (to[0] - from[0]) * along[0] + (to[1] - from[1]) * along[1]
}

describe('handles of the foot', () => {
  const ids = handlesOf(FIVE_BY_FIVE).map(({ id }) => id)
  const landmarks = handlesOf(FIVE_BY_FIVE, 'landmarks').map(({ id }) => id)

  it('follow the hand, all of them', () => {
    const anyOf = fc.oneof(
      fc.record({ id: fc.constantFrom(...ids), what: fc.constant(undefined) }),
      fc.record({ id: fc.constantFrom(...landmarks), what: fc.constant('landmarks' as const) }),
    )
    fc.assert(
      fc.property(anyOf, fc.double({ min: -2, max: 2, noNaN: true }), ({ id, what }, by) => {
        const after = pulled(FIVE_BY_FIVE, id, by, what)
        // Where the figure ends, so does the handle.
        const handle = handlesOf(FIVE_BY_FIVE, what).find((one) => one.id === id)!
        const free = handle.value + by * handle.per
        fc.pre(free > handle.range[0] && free < handle.range[1])
        expect(came(FIVE_BY_FIVE, after, id, what)).toBeCloseTo(by, 1)
      }),
    )
  })

  it('move the outer half-width where that was typed, and leave the inner side alone', () => {
    const input = { ...FIVE_BY_FIVE, lateralHalfWidth: 66 }
    expect(handlesOf(input)[0]!.path).toBe('foot.lateralHalfWidth')
    const after = pulled(input, 'width-inner', -3)
    expect(after).toMatchObject({ lateralHalfWidth: 66, width: 130 })
  })

  it('stand at the outside of heels that were measured to the middle of the web', () => {
    const input: FootInput = { ...FIVE_BY_FIVE, heelMeasure: 'middle of web', heelWeb: 20, heelWidth: 68 }
    const heel = handlesOf(input).find(({ id }) => id === 'heel-outer')!
    expect(heel.value).toBe(88)
    expect(heel.point[0]).toBe(44)
    // Half of what the width grows by shows on either side.
    expect(pulled(input, 'heel-outer', 2).heelWidth).toBeCloseTo(72, 6)
  })

  it('hold a figure within what is possible beside the others', () => {
    // Not narrower than the heels allow, not heels wider than the foot: the bounds of the figures' own table.
    expect(pulled(FIVE_BY_FIVE, 'width-inner', 900).width).toBeCloseTo(88.9 / 0.96, 1)
    expect(pulled(FIVE_BY_FIVE, 'heel-outer', 900).heelWidth).toBeCloseTo(127 * 0.96, 1)
    expect(pulled(FIVE_BY_FIVE, 'length', 900).length).toBeCloseTo(127 * 1.6, 1)
  })

  it('wait for what is never guessed and are in its place once it is known', () => {
    const tip = (input: FootInput) =>
      handlesOf(input, 'landmarks').find(({ path }) => path === 'foot.tipFromToe')!
    expect(tip(FIVE_BY_FIVE).unset).toBe(true)
    const known = tip({ ...FIVE_BY_FIVE, tipFromToe: 31 })
    expect(known.unset).toBeUndefined()
    expect(known.value).toBe(31)
    expect(read(FIVE_BY_FIVE).foot.widestFromToe - known.point[1]).toBeCloseTo(31, 6)
  })
})
