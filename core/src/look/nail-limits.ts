import type { NailLimit } from '../records/foot'
import type { Look } from '../records/look'
import type { Side } from '../terms/sides'
import { leftOpen } from './carry'
import { beforeShoe } from './gates'
import { founderSign } from './founder-signs'
import { limitsInWords } from './limits-in-words'

/**
 * What limits the nails of a foot by what was looked at: what was found (or found before and not answered yet), what was
 * diagnosed, and what the vet set. All of it is marked as coming from the look: it is worked out anew at each visit.
 */
export function nailLimitsOf(look: Look, side: Side): NailLimit[] {
  const { feet, vet } = look
  const sign = founderSign(leftOpen(feet[side]))
  const here = (vet.legs ?? []).length === 0 || vet.legs!.includes(side)
  const where = (vet.legs ?? []).length === 0 ? ' In which leg is not written down.' : ''
  return [
    ...beforeShoe(look, side).flatMap(({ forbids, title, action }) =>
      forbids ? [limit('no shoe', 'found', `${title}. ${action}`)] : [],
    ),
    ...(sign ? [limit('behind the widest part', 'found', sign)] : []),
    ...(here && vet.diagnosis === 'founder'
      ? [limit('behind the widest part', 'diagnosed', `The vet has diagnosed founder.${where}`)]
      : []),
    ...(here ? setByVet(vet) : []),
  ]
}

/** What the vet set, chosen or in words. */
function setByVet({ nails, limits, who }: Look['vet']): NailLimit[] {
  const by = who.trim() === '' ? 'The vet set it' : `Set by ${who.trim()}`
  return [
    ...(nails ? [limit(nails, 'vet', `${by}.`)] : []),
    ...limitsInWords(limits)
      .filter(({ rule }) => rule !== nails)
      .map(({ rule, why }) => limit(rule, 'vet', why)),
  ]
}

const limit = (rule: NailLimit['rule'], by: NailLimit['by'], why: string): NailLimit => ({
  ...{ rule, by, look: true },
  why: why.slice(0, 2_000),
})
