import { describe, expect, it } from 'vitest'
import type { ShoeInput } from '../records/shoe'
import { PLAIN_SHOE } from '../testing/samples'
import { accepted } from './accepted'

describe('what is accepted', () => {
  it('changes fit, nails and modifications at once, and nothing else', () => {
    const { shoe, clash } = accepted(PLAIN_SHOE, {
      fit: 'supportive',
      driven: { lateral: [1, 2], medial: [1] },
      modification: 'wedge',
    })
    expect(shoe).toEqual({
      ...PLAIN_SHOE,
      fit: 'supportive',
      nails: { lateral: { driven: [1, 2] }, medial: { driven: [1] } },
      modifications: [...(PLAIN_SHOE.modifications ?? []), { kind: 'wedge' }],
    })
    expect(clash).toBeUndefined()
  })

  it('keeps the nail and the school that were chosen when other holes are driven', () => {
    const chosen: ShoeInput = { ...PLAIN_SHOE, nails: { school: 'laminitic', size: 'E 6' } }
    const { shoe } = accepted(chosen, { driven: { lateral: [1], medial: [1] } })
    expect(shoe.nails).toMatchObject({ size: 'E 6', school: 'laminitic', lateral: { driven: [1] } })
  })

  it('takes the school of the nails beside the holes it names', () => {
    const { shoe } = accepted(PLAIN_SHOE, {
      nailSchool: 'laminitic',
      driven: { lateral: [1, 2], medial: [1, 2] },
    })
    expect(shoe.nails).toMatchObject({ school: 'laminitic', lateral: { driven: [1, 2] } })
  })

  it('leaves off what cannot stand beside what is on the shoe, and says why', () => {
    const bar = { ...PLAIN_SHOE, modifications: [{ kind: 'egg-bar' }] }
    const { shoe, clash } = accepted(bar, { fit: 'supportive', modification: 'straight-bar' })
    expect(clash).toBeTruthy()
    expect(shoe.modifications).toEqual(bar.modifications)
    expect(shoe.fit).toBe('supportive')
    // Where nothing is changed, nothing is there to be saved or undone.
    expect(accepted(bar, { modification: 'straight-bar' }).shoe).toBe(bar)
    expect(accepted(bar, { breakoverSchool: 'thirds' }).shoe).toBe(bar)
    expect(accepted(bar, { modification: 'egg-bar' }).shoe).toBe(bar)
    // What is on it already is no clash with itself.
    expect(accepted(bar, { modification: 'egg-bar' }).clash).toBeUndefined()
  })
})
