import { newLook, type FootRecord, type Look, type Visit } from '@crescent/core'
import { FOOT } from '../testing/samples'
import { changeOf } from './change-data'

const visit = (id: string, date: string) => ({ id, date }) as Visit
const record = (visitId: string, foot: Partial<FootRecord['foot']>, side: 'LF' | 'RF' = 'LF') =>
  ({ visitId, side, foot: { ...FOOT, side, ...foot } }) as FootRecord
const look = (visitId: string, dorsalLength: number): Look => {
  const bare = newLook(`look ${visitId}`, visitId)
  return { ...bare, feet: { ...bare.feet, LF: { ...bare.feet.LF, untrimmed: { dorsalLength } } } }
}

describe('changeOf', () => {
  const history = {
    visits: [visit('c', '2026-03-26'), visit('b', '2026-02-12'), visit('a', '2026-01-01')],
    footRecords: [
      record('c', { width: 129, dorsalLength: 80, frogApex: 36, barsFromToe: 62 }),
      record('a', { width: 127, dorsalLength: 80 }),
      record('b', { width: 128 }),
      record('b', { width: 90 }, 'RF'),
    ],
    looks: [look('b', 92), look('c', 93)],
  }

  it('follows one foot in the order of its visits', () => {
    const { series } = changeOf(history, 'LF')
    const width = series.find(({ followed }) => followed === 'width')!
    expect(width.measured.map(({ value }) => value)).toEqual([127, 128, 129])
    expect(width.trend?.perWeek).toBeCloseTo(1 / 6, 2)
  })

  it('counts growth only where both ends of a cycle were measured', () => {
    // From a to b both are known: 12 mm in six weeks. At b the toe length after the trim was not measured.
    expect(changeOf(history, 'LF').growth).toMatchObject({ cycles: 1, perWeek: 2 })
    expect(changeOf(history, 'RF').growth).toBeUndefined()
  })

  it('takes a widest part that was agreed for a measured one, and a default for none', () => {
    const proportion = changeOf(history, 'LF').series.find(({ followed }) => followed === 'proportion')!
    expect(proportion.measured.map(({ date }) => date)).toEqual(['2026-03-26'])
  })
})
