import type { Caution } from '../notices/caution'
import { length, told } from '../notices/told'
import { SEATED_OUT, type SoleRest } from '../terms/moulded'
import type { CautionContext, CautionRule } from './context'

/** A rim that lies inside the wall by more than this carries the sole, not the wall, mm (common practice, no source). */
const INSIDE = 2

/** Standing out by more than this it is stepped on, mm. */
const STANDS_OUT = 1.6

/** A flat rim of sole narrower than this holds nothing, mm (common practice, no source). */
const LEAST_RIM = 3

/** Cautions of a shoe that cannot be bent: it is laid as it is, and what does not fit is sawn or left. */
export const mouldedCautions: CautionRule = (context) => {
  const { moulded, stock } = context
  if (!moulded || !stock) return []
  const found: Caution[] = []
  if (moulded.insideWall > INSIDE)
    found.push({
      code: 'size-cannot-be-bent',
      severity: 'stop',
      title: told`Moulded, and ${length(moulded.insideWall)} inside the wall`,
      text: 'A moulded shoe is neither opened nor closed: it springs back and tears at the nails.',
      action: 'Take the next size up and trim it outside, never into the crease; or shift it on the foot.',
    })
  if (moulded.standsOut > STANDS_OUT)
    found.push({
      code: 'moulded-into-crease',
      severity: 'caution',
      title: told`Stands out ${length(moulded.standsOut)}`,
      text: 'So much more would have to be sawn off, and the crease is there: the heads would lose their hold.',
      action: 'Shift it to share what stands out, or take the next size down.',
    })
  found.push({
    code: 'moulded-never-hot',
    severity: 'note',
    title: 'Cold only',
    text: 'Heat melts it, and what burns is not to be breathed; its dust is not either.',
    action: 'Saw and rasp cold, out of the wind of the horse and your own; never hot seat it.',
  })
  // A plate in it keeps it from buckling.
  const flexible = stock.facts.kind === 'polymer'
  return [...found, ...soleCautions(context, moulded.onSole, flexible, stock.rest)]
}

/** Two schools: a flexible shoe wants a flat rim of sole to rest on; nothing may touch the sole. */
function soleCautions(
  { section }: CautionContext,
  { least, most }: { least: number; most: number },
  flexible: boolean,
  rest: SoleRest = 'flat rim',
): Caution[] {
  if (rest === 'flat rim' && flexible && least < LEAST_RIM)
    return [
      {
        code: 'moulded-buckles',
        severity: 'caution',
        title: least > 0 ? told`Only ${length(least)} of sole to rest on` : 'No rim of sole to rest on',
        text: 'A flexible shoe that rests on the wall alone can buckle inward.',
        action: told`Take a wider web than ${length(section.width)}, or one with a plate in it; leave a flat rim of sole.`,
      },
    ]
  if (rest === 'clear of the sole' && most > SEATED_OUT)
    return [
      {
        code: 'moulded-on-sole',
        severity: 'caution',
        title: told`${length(most)} of it lies under the sole`,
        text: 'By the school in use nothing may press on the sole, and this shoe reaches inside the white line.',
        action: 'Rasp its inner foot surface free, or fill beneath; check with a thin blade all round.',
      },
    ]
  return []
}
