import type { Nail } from '../nails/nails'
import { SCHOOLS_OF_NAILING } from '../nails/schools'
import type { CautionRule } from './context'
import { length, told } from '../notices/told'

/** Exits further apart than this are seen, mm (common practice, no source). */
const EXIT_SPREAD = 6

/** Cautions that come from the nails. Empty holes are judged but warn only of pricking. */
export const nailCautions: CautionRule = ({ nails, nailing, heldByClips }) => {
  const driven = nails.filter((nail) => nail.driven)
  const with_ = (...verdicts: Nail['verdict'][]) => driven.filter((nail) => verdicts.includes(nail.verdict))
  const found: ReturnType<CautionRule> = []
  const pricking = with_('would-prick')
  if (pricking.length > 0) {
    found.push({
      code: 'nail-pricks',
      severity: 'stop',
      title: 'Nail would prick',
      text: told`${names(pricking)}: ${pricking[0]!.why}`,
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
      text: told`${names(close)}: ${close[0]!.why}`,
      action: 'Punch it finer, take a slimmer nail, or leave it out.',
    })
  }
  const low = with_('low', 'misses')
  if (low.length > 0) {
    found.push({
      code: 'nail-low',
      severity: 'caution',
      title: 'Nail holds little wall',
      text: told`${names(low)}: ${low[0]!.why}`,
      action: 'Punch it coarser or take a wider web.',
    })
  }
  const off = with_('too-low', 'too-high', 'never-out')
  if (off.length > 0) {
    found.push({
      code: 'nail-exit',
      severity: off.some(({ verdict }) => verdict === 'never-out') ? 'stop' : 'caution',
      title: 'Nail comes out in the wrong place',
      text: told`${names(off)}: ${off[0]!.why}`,
      action: 'Lean it as the wall leans there, or move its hole.',
    })
  }
  const inTheWay = with_('in-the-way')
  if (inTheWay.length > 0) {
    found.push({
      code: 'nail-in-the-way',
      severity: 'caution',
      title: 'Nail where the wall does not hold',
      text: told`${names(inTheWay)}: ${inTheWay[0]!.why}`,
      action: 'Move the hole along the crease, or leave it empty.',
    })
  }
  for (const school of SCHOOLS_OF_NAILING.filter(({ name }) => name === nailing.school)) {
    const beyond = driven.filter((nail) => nail.beyond)
    if (beyond.length === 0) continue
    found.push({
      code: 'nail-beyond-limit',
      severity: 'caution',
      title: `Nail beyond the limit: ${school.label.toLowerCase()}`,
      text: `${names(beyond)}: ${beyond[0]!.beyond === 'forward' ? 'too far forward' : 'too far back'}. ${school.rule}`,
      action: 'Move the hole within the limit, or leave it empty.',
    })
  }
  const { size, need, unknownSize, exits } = nailing
  if (unknownSize !== undefined) {
    found.push({
      code: 'nail-size-unknown',
      severity: 'note',
      title: `Nail “${unknownSize}” is not on the shelf`,
      text: 'It is not in the table of nails any more.',
      action: 'Choose another, or put it back into the table.',
    })
  }
  if (need && !size && unknownSize === undefined) {
    found.push({
      code: 'nail-none-fits',
      severity: 'caution',
      title: 'No nail on the shelf fits',
      text: told`It must reach ${length(need.length)} and be no thicker than ${length(need.shank, 'fine')}.`,
      action: 'Punch the holes finer, take a thinner shoe, or add a nail to the table.',
    })
  }
  if (need && size && size.length < need.length - 1) {
    found.push({
      code: 'nail-short',
      severity: 'caution',
      title: 'Nail too short to clinch',
      text: told`${size.name} is ${length(size.length)} long; the longest way takes ${length(need.length)}.`,
      action: 'Take a longer nail.',
    })
  }
  if (need && size && size.shank > need.shank + 0.1) {
    found.push({
      code: 'nail-stout',
      severity: 'caution',
      title: 'Nail stout for this wall',
      text: told`${size.name} is ${length(size.shank, 'fine')} thick; a wall this thin splits above ${length(need.shank, 'fine')}.`,
      action: 'Take a slimmer nail.',
    })
  }
  if (exits && exits.high - exits.low > EXIT_SPREAD) {
    found.push({
      code: 'exits-spread',
      severity: 'note',
      title: 'Clinches not in one line',
      text: told`The exits spread over ${length(exits.high - exits.low)}.`,
      action: 'Lean each nail as the wall leans there; even out the insets.',
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
