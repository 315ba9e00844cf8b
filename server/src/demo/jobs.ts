import { planShoe, styleOfShoe, type FootInput, type ShoeInput, type Side } from '@crescent/core'
import type { Practice } from '../practice'
import { chance, idFor } from './made-up'

/** Bars as wide as these are logged: the heavy ones, on which a wrong cut is dear, mm. */
const LOGGED_FROM = 30

/** How much more bar this farrier needs than is predicted, as a share, and how far single jobs scatter. */
const NEEDED = 0.013
const SCATTER = 0.006

/** One shoe of a visit as it was made. */
interface Made {
  visitId: string
  side: Side
  foot: FootInput
  shoe: ShoeInput
  at: { createdAt: string; updatedAt: string }
}

/** How a heavy shoe was cut and what was left over, made up. */
export function seedJob(practice: Practice, { visitId, side, foot, shoe, at }: Made): void {
  if (shoe.stock || shoe.section.width < LOGGED_FROM) return
  const predicted = planShoe(foot, shoe).iron.cutLength
  const needed = predicted * (1 + NEEDED + (chance(visitId, side, 'job') - 0.5) * 2 * SCATTER)
  // Cut to the next quarter inch, and the rest cut off the heels.
  const used = Math.ceil(needed / 6.35) * 6.35
  practice.jobs.bringIn({
    ...{ id: idFor('job', visitId, side), version: 1, visitId, side },
    ...{ section: shoe.section, style: styleOfShoe(shoe), predicted, used, left: used - needed },
    ...{ heats: 7 + Math.round(chance(visitId, side, 'heats') * 3), counted: true },
    ...at,
  })
}
