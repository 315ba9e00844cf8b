import { limitWords } from '../nails/limits'
import type { Caution } from '../notices/caution'
import { sentence } from '../notices/sentence'
import { NAIL_LIMIT_WORDS, type NailLimitSource } from '../terms/nail-limits'
import type { CautionRule } from './context'

/** Who set a limit, as its title begins. */
const SET_BY: Readonly<Record<NailLimitSource, string>> = {
  found: 'Found on this foot',
  diagnosed: 'Diagnosed',
  radiograph: 'Read off the radiograph',
  vet: 'The vet’s limit',
}

/** What limits the nails of this foot: held to, overruled, or only told because nobody could read it for certain. */
export const nailLimitCautions: CautionRule = ({ nailing: { limits = [] } }) =>
  limits.map((limit): Caution => {
    if (limit.rule === 'words')
      return {
        code: 'vet-limit',
        severity: 'caution',
        title: 'The vet’s limit',
        text: limit.why,
        action: 'Read it before you shape and before you nail; ask the vet where it is not clear.',
      }
    if (limit.rule === 'no shoe')
      return {
        code: 'no-shoe',
        severity: 'stop',
        title: 'No shoe over it',
        text: limit.why,
        action: 'Leave it bare until the vet allows a shoe, and say so where it was found, in Look.',
      }
    const rule = NAIL_LIMIT_WORDS[limit.rule]
    return limit.overruled === undefined
      ? {
          code: 'nail-limit',
          severity: 'caution',
          title: `${SET_BY[limit.by]}: ${limitWords(limit)}`,
          text: limit.why,
          action: 'The holes follow from it. The vet leads.',
        }
      : {
          code: 'nail-limit-overruled',
          severity: 'caution',
          title: `Overruled: ${rule}`,
          text: `${sentence(limit.why)} Overruled because: ${limit.overruled}`,
          action: 'Say so to the vet and the owner. Pain at any nail: pull it and stop.',
        }
  })
