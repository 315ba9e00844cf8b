import { addDays } from '@crescent/core'
import { formatISO } from 'date-fns'
import type { Practice } from '../practice'
import { idFor, stamp } from './made-up'

/** A call of the demo, so many days from today. */
interface MadeUp {
  horse: string
  inDays: number
  whom?: string
  about: string
  /** What came of it, where it was made. */
  said?: string
}

const CALLS: readonly MadeUp[] = [
  { horse: 'Buttercup', inDays: -2, whom: 'Dr Ina Sedge', about: 'New radiographs before the next rails?' },
  { horse: 'Lantern', inDays: 3, about: 'How the hard-faced shoes hold on the coach road.' },
  {
    ...{ horse: 'Fallow', inDays: -12, about: 'Sore after the trim?' },
    said: 'Short for two days, sound since.',
  },
]

/** Calls that were promised: one late, one to come, one made. */
export function seedCalls(practice: Practice, today: Date): void {
  const day = formatISO(today, { representation: 'date' })
  for (const { horse, inDays, whom = '', about, said } of CALLS) {
    const date = addDays(day, inDays)
    practice.calls.bringIn({
      ...{ id: idFor('call', horse, about), version: 1, horseId: idFor('horse', horse), date, whom, about },
      ...{ phone: '', done: said === undefined ? null : date, said: said ?? '', archived: false },
      ...stamp(today),
    })
  }
}
