import type { Nail } from '../nails/nails'
import type { CautionRule } from './context'

/** Cautions that come from the nails. Empty holes are judged but warn only of pricking. */
export const nailCautions: CautionRule = ({ nails, heldByClips }) => {
  const driven = nails.filter((nail) => nail.driven)
  const with_ = (...verdicts: Nail['verdict'][]) => driven.filter((nail) => verdicts.includes(nail.verdict))
  const found: ReturnType<CautionRule> = []
  const pricking = with_('would-prick')
  if (pricking.length > 0) {
    found.push({
      code: 'nail-pricks',
      severity: 'stop',
      title: 'Nail would prick',
      text: `${names(pricking)}: ${pricking[0]!.why}`,
      action:
        'Leave the hole empty or punch it finer. If a horse is pricked: pull the nail, say so, call the vet.',
    })
  }
  const close = with_('close')
  if (close.length > 0) {
    found.push({
      code: 'nail-close',
      severity: 'caution',
      title: 'Nail close',
      text: `${names(close)}: ${close[0]!.why}`,
      action: 'Punch it finer, take a slimmer nail, or leave it out.',
    })
  }
  const low = with_('low', 'misses')
  if (low.length > 0) {
    found.push({
      code: 'nail-low',
      severity: 'caution',
      title: 'Nail holds little wall',
      text: `${names(low)}: ${low[0]!.why}`,
      action: 'Punch it coarser or take a wider web.',
    })
  }
  const held = driven.filter((nail) => nail.heldByWeb)
  if (held.length > 0) {
    found.push({
      code: 'web-misses-white-line',
      severity: 'note',
      title: 'Holes held by the web',
      text: `${names(held)}: the web does not reach over the white line with steel on both sides.`,
      action: 'A wider bar, or a hole as coarse as the web allows.',
    })
  }
  if (driven.length + heldByClips < 4 || driven.length < 2) {
    found.push({
      code: 'few-nails',
      severity: 'caution',
      title:
        driven.length === 0 ? 'No nails' : `Only ${driven.length} ${driven.length === 1 ? 'nail' : 'nails'}`,
      text: 'A shoe with few nails comes loose.',
      action: 'Four at the least; clips reckon for about two each.',
    })
  }
  if (heldByClips > 0 && driven.length >= 4 && driven.length + heldByClips > 9) {
    found.push({
      code: 'clips-and-nails',
      severity: 'note',
      title: `${driven.length} nails and clips`,
      text: `The clips hold like about ${heldByClips} nails.`,
      action: 'Fewer nails may do.',
    })
  }
  if (driven.length > 8) {
    found.push({
      code: 'many-nails',
      severity: 'caution',
      title: `${driven.length} nails`,
      text: 'Each nail weakens the wall; more than eight seldom hold better.',
      action: 'Six is usual.',
    })
  }
  return found
}

const names = (nails: readonly Nail[]): string =>
  nails.map(({ branch, number }) => `${branch === 'lateral' ? 'outer' : 'inner'} ${number}`).join(', ')
