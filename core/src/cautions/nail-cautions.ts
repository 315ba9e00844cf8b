import { ruling } from '../nails/limits'
import { length, told } from '../notices/told'
import type { Half } from '../terms/half'
import { ruleOf, type OneCaution } from './context'
import { namedNails } from '../nails/named-nails'

/** Exits further apart than this are seen, mm (common practice, no source). */
const EXIT_SPREAD = 6

/** A nail may be so much shorter, or so much thicker, than what is asked for, mm. */
const SHORTER = 1
const THICKER = 0.1

/** Fewer hold no shoe, clips reckoned with; more weaken the wall (common practice, no source). */
const FEWEST = 4
const MOST = 8

const unknownSize: OneCaution = ({ nailing: { unknownSize } }) =>
  unknownSize === undefined
    ? undefined
    : {
        code: 'nail-size-unknown',
        severity: 'note',
        title: `Nail “${unknownSize}” is not on the shelf`,
        text: 'It is not in the table of nails any more.',
        action: 'Choose another, or put it back into the table.',
      }

const noneFits: OneCaution = ({ nailing: { need, size, unknownSize } }) =>
  need && !size && unknownSize === undefined
    ? {
        code: 'nail-none-fits',
        severity: 'caution',
        title: 'No nail on the shelf fits',
        text: told`It must reach ${length(need.length)} and be no thicker than ${length(need.shank, 'fine')}.`,
        action: 'Punch the holes finer, take a thinner shoe, or add a nail to the table.',
      }
    : undefined

const tooShort: OneCaution = ({ nailing: { need, size } }) =>
  need && size && size.length < need.length - SHORTER
    ? {
        code: 'nail-short',
        severity: 'caution',
        title: 'Nail too short to clinch',
        text: told`${size.name} is ${length(size.length)} long; the longest way takes ${length(need.length)}.`,
        action: 'Take a longer nail.',
      }
    : undefined

const tooStout: OneCaution = ({ nailing: { need, size } }) =>
  need && size && size.shank > need.shank + THICKER
    ? {
        code: 'nail-stout',
        severity: 'caution',
        title: 'Nail stout for this wall',
        text: told`${size.name} is ${length(size.shank, 'fine')} thick; a wall this thin splits above ${length(need.shank, 'fine')}.`,
        action: 'Take a slimmer nail.',
      }
    : undefined

const exitsSpread: OneCaution = ({ nailing: { exits } }) =>
  exits && exits.high - exits.low > EXIT_SPREAD
    ? {
        code: 'exits-spread',
        severity: 'note',
        title: 'Clinches not in one line',
        text: told`The exits spread over ${length(exits.high - exits.low)}.`,
        action: 'Lean each nail as the wall leans there; even out the insets.',
      }
    : undefined

const heldByWeb: OneCaution = ({ nails }) => {
  const held = nails.filter((nail) => nail.driven && nail.heldByWeb)
  if (held.length === 0) return undefined
  return {
    code: 'web-misses-white-line',
    severity: 'note',
    title: 'Holes held by the web',
    text: `${namedNails(held)}: the web does not reach over the white line with steel on both sides.`,
    action: 'A wider bar, or a hole as coarse as the web allows.',
  }
}

const few: OneCaution = ({ nails, heldByClips, nailing: { limits = [] } }) => {
  // Where none may be driven that is said, and why.
  if (ruling(limits).some(({ rule }) => rule === 'no nails' || rule === 'no shoe')) return undefined
  const driven = nails.filter((nail) => nail.driven).length
  if (driven + heldByClips >= FEWEST && driven >= 2) return undefined
  return {
    code: 'few-nails',
    severity: 'caution',
    title: driven === 0 ? 'No nails' : `Only ${driven} ${driven === 1 ? 'nail' : 'nails'}`,
    text: 'A shoe with few nails comes loose.',
    action: 'Four at the least; clips reckon for about two each.',
  }
}

/** One branch may carry so many nails more than the other (common practice: four outside and three inside). */
const UNEVEN = 1

const oneSided: OneCaution = ({ nails, nailing: { limits = [] } }) => {
  if (ruling(limits).some(({ rule }) => rule === 'no nails' || rule === 'no shoe')) return undefined
  const on = (branch: Half) => nails.filter((nail) => nail.driven && nail.branch === branch).length
  const [outer, inner] = [on('lateral'), on('medial')]
  const [less, more] = outer < inner ? [outer, inner] : [inner, outer]
  if (more - less <= UNEVEN) return undefined
  const bare = outer < inner ? 'outer' : 'inner'
  return {
    code: 'nails-one-sided',
    severity: less === 0 ? 'stop' : 'caution',
    title: `${outer} ${outer === 1 ? 'nail' : 'nails'} outside, ${inner} inside`,
    text:
      less === 0
        ? `Nothing holds the ${bare} branch: the shoe turns about the other and tears it off.`
        : `The ${bare} branch is held by far less than the other: the shoe shifts on the foot.`,
    action: 'The outer branch may carry one more than the inner; drive as many inside as the wall allows.',
  }
}

const besideClips: OneCaution = ({ nails, heldByClips }) => {
  const driven = nails.filter((nail) => nail.driven).length
  if (heldByClips === 0 || driven < FEWEST || driven + heldByClips <= MOST + 1) return undefined
  return {
    code: 'clips-and-nails',
    severity: 'note',
    title: `${driven} nails and clips`,
    text: `The clips hold like about ${heldByClips} nails.`,
    action: 'Fewer nails may do.',
  }
}

const many: OneCaution = ({ nails }) => {
  const driven = nails.filter((nail) => nail.driven).length
  if (driven <= MOST) return undefined
  return {
    code: 'many-nails',
    severity: 'caution',
    title: `${driven} nails`,
    text: 'Each nail weakens the wall; more than eight seldom hold better.',
    action: 'Six is usual.',
  }
}

/** Cautions that come from the size of the nails and from how many there are. */
export const nailCautions = ruleOf(
  unknownSize,
  noneFits,
  tooShort,
  tooStout,
  exitsSpread,
  heldByWeb,
  few,
  oneSided,
  besideClips,
  many,
)
