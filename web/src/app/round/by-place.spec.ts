import type { HorseSummary, Round, RoundCall, RoundStep } from '@crescent/core'
import { duePlaces } from './by-place'

const horse = (name: string, place: string, due: string) => ({ id: name, name, place, due }) as HorseSummary
const step = (place: string, date: string) => ({ id: `${place} ${date}`, place, date }) as RoundStep
const call = (place: string, date: string) => ({ id: `${place} ${date}`, place, date }) as RoundCall

const round = (changes: Partial<Round>): Round =>
  ({ overdue: [], due: [], seen: [], steps: [], calls: [], ...changes }) as unknown as Round

describe('what is due, place by place', () => {
  it('puts together what stands at one place, the most pressing place first, none last', () => {
    const places = duePlaces(
      round({
        overdue: [horse('Parsley', 'Upper Anness', '2026-11-19')],
        due: [
          horse('Dunlin', 'Pella', '2026-12-02'),
          horse('Nock', '', '2026-11-01'),
          horse('Quiver', 'Pella ', '2026-12-03'),
        ],
        steps: [step('Wick', '2026-11-28'), step('Pella', '2026-11-10')],
        calls: [call('Wick', '2026-11-29')],
      }),
    )
    expect(places.map(({ place, first }) => [place, first])).toEqual([
      // The step at Pella is the longest overdue.
      ['Pella', '2026-11-10'],
      ['Upper Anness', '2026-11-19'],
      ['Wick', '2026-11-28'],
      ['', '2026-11-01'],
    ])
    expect(places[0]!.horses.map(({ name }) => name)).toEqual(['Dunlin', 'Quiver'])
    expect([places[2]!.steps.length, places[2]!.calls.length]).toEqual([1, 1])
  })

  it('loses nothing: every horse, step and call stands at one place', () => {
    const all = round({
      overdue: [horse('A', 'X', '2026-11-19')],
      due: [horse('B', 'Y', '2026-12-01')],
      steps: [step('X', '2026-12-02'), step('Z', '2026-12-02')],
      calls: [call('', '2026-12-03')],
    })
    const count = duePlaces(all).reduce(
      (sum, { horses, steps, calls }) => sum + horses.length + steps.length + calls.length,
      0,
    )
    expect(count).toBe(5)
    expect(duePlaces(round({}))).toEqual([])
  })
})
