import { describe, expect, it } from 'vitest'
import { PLAIN_SHOE } from '../testing/samples'
import { planShoe } from '../plan/plan'
import type { ShoeInput } from '../records/shoe'
import { FIVE_BY_FIVE } from '../testing/samples'
import { sizeOf } from '../testing/sizes'
import { rankSizes } from './rank'
import { madeByHand, takenSize } from './take'

describe('a size taken', () => {
  const shoe: ShoeInput = { ...PLAIN_SHOE, modifications: [{ kind: 'crease' }, { kind: 'toe-clip' }] }
  const coarse = sizeOf(305, {
    holes: {
      lateral: [34, 54, 74, 94].map((fromToe, i) => ({ fromToe, inset: i === 1 ? 16 : 9.5 })),
      medial: [],
    },
  })

  it('keeps what can be made of it, and leaves holes empty that would prick', () => {
    const [one] = rankSizes(FIVE_BY_FIVE, 'general', [coarse])
    const taken = takenSize(shoe, coarse, one!.holes, 'id')
    expect(taken.modifications).toEqual([{ kind: 'toe-clip' }])
    expect(taken.nails).toEqual({ lateral: { driven: [1, 3, 4] }, medial: { driven: [] } })
    const { nails, iron } = planShoe(FIVE_BY_FIVE, taken)
    expect(iron.size).toBe('S305')
    expect(nails.filter(({ driven, verdict }) => driven && verdict === 'would-prick')).toEqual([])
  })

  it('without holes has them made where this foot wants them, as a shoe turned by hand', () => {
    const blank = { ...coarse, holes: { lateral: [], medial: [] } }
    const [one] = rankSizes(FIVE_BY_FIVE, 'general', [blank])
    expect(one!.possible).toBe(true)
    const { nails } = planShoe(FIVE_BY_FIVE, takenSize({ ...PLAIN_SHOE }, blank, one!.holes, 'id'))
    const byHand = planShoe(FIVE_BY_FIVE, PLAIN_SHOE).nails
    expect(nails.map(({ branch, number }) => [branch, number])).toEqual(
      byHand.map(({ branch, number }) => [branch, number]),
    )
    expect(nails.filter(({ driven }) => driven).length).toBeGreaterThanOrEqual(4)
    expect(nails.every(({ verdict }) => verdict === 'sound' || verdict === 'close')).toBe(true)
  })

  it('is made by hand again of the plain bar; what is made by hand stays as it is', () => {
    const taken = takenSize(shoe, coarse, [], 'id')
    expect(madeByHand(taken)).toEqual({ ...PLAIN_SHOE, modifications: [{ kind: 'toe-clip' }] })
    expect(madeByHand(shoe)).toBe(shoe)
  })
})
