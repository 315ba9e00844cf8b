import type { Correction, Side } from '@crescent/core'
import type { Practice } from '../practice'
import { chance, idFor, stamp } from './made-up'

/** One shoe of a visit: on which foot, so many visits back from the last one. */
interface Tried {
  visitId: string
  at: Date
  side: Side
  shoe: string
  back: number
}

/** Shoes whose first shape was right, as a share. */
const RIGHT = 0.3

/** How a shoe was tried on, made up: this farrier turns his outer heels a little too tight and learns. */
export function seedTries(practice: Practice, { visitId, at, side, shoe, back }: Tried): void {
  const luck = (what: string) => chance(visitId, side, what)
  const needed = luck('right') < RIGHT ? [] : corrections(luck)
  const log = (number: number, fits: boolean, more: { corrections: Correction[]; minutes: number }) =>
    practice.tries.bringIn({
      ...{ id: idFor('try', visitId, side, String(number)), version: 1, visitId, side },
      ...{ shoe, handmade: true, walks: 1, heats: number === 1 ? 2 : 1, fits },
      before: needed.length > 0 && number === 1 ? 2 + luck('off') * 4 : 0.8,
      contacts: {},
      ...more,
      ...minutesAfter(at, number),
    })
  const usual = 9 + back * 0.5 + luck('minutes') * 5
  log(1, needed.length === 0, { corrections: needed, minutes: Math.round(usual) })
  if (needed.length > 0) log(2, true, { corrections: [], minutes: Math.round(usual * 0.4) })
}

/** So many minutes after the noon of a day: the first try of a shoe comes before its second. */
function minutesAfter(day: Date, minutes: number): { createdAt: string; updatedAt: string } {
  const at = new Date(Date.parse(stamp(day).createdAt) + minutes * 60_000).toISOString()
  return { createdAt: at, updatedAt: at }
}

function corrections(luck: (what: string) => number): Correction[] {
  const outer = 2 + luck('outer') * 4
  const heel: Correction = { branch: 'lateral', at: 'heel', angle: outer * 0.9, heelMoves: outer }
  const inner = (luck('inner') - 0.4) * 4
  const more: Correction = {
    ...{ branch: 'medial', at: luck('where') < 0.5 ? 'heel' : 'quarter' },
    ...{ angle: inner * 0.8, heelMoves: inner },
  }
  return luck('both') < 0.45 ? [heel, more] : [heel]
}
