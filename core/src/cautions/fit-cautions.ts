import { placeAt, trackLength } from '../geometry/track'
import { distance } from '../geometry/vector'
import { COIN } from '../shoe/fit'
import { asTheBulbs, turnedIn } from '../shoe/turned-in'
import { ruleOf, type OneCaution } from './context'

/** A turn that is less than this is not seen, radians. */
const SEEN = 0.02

/** A branch stands behind the bulbs from so much on, mm. */
const BEHIND = 0.5

/** Between the heels the frog wants so much of its width (common practice, no source). */
const FROG_FREE = 0.8

/** A bar so many times as wide as the usual one of the foot is wide, or narrow (common practice, no source). */
const WIDE = 1.45
const NARROW = 0.7

const noRoom: OneCaution = ({ fit }) =>
  fit.spread < COIN
    ? {
        code: 'no-room-to-spread',
        severity: fit.name === 'flush' ? 'note' : 'caution',
        title: 'No room to spread',
        text: 'Less than a coin of room at the heels: the foot soon grows over the shoe.',
        action: 'Short cycles only, or give the heels room.',
      }
    : undefined

const heelUncovered: OneCaution = ({ fit }) =>
  fit.heelLength < 0
    ? {
        code: 'heel-uncovered',
        severity: 'caution',
        title: 'Heel not covered',
        text: 'The shoe ends ahead of the buttress: its end presses into the seat of corn.',
        action: 'Carry the branches back to cover the buttress.',
      }
    : undefined

const behindBulbs: OneCaution = ({ rims, landmarks }) => {
  // The outer corner of a branch is what is stepped on.
  const ends = [0, trackLength(rims.outer)].map((station) => placeAt(rims.outer, station).point[1])
  if (Math.min(...ends) >= landmarks.bulbY - BEHIND) return undefined
  return {
    code: 'heel-behind-bulbs',
    severity: 'caution',
    title: 'Branches behind the bulbs',
    text: 'Long heels are stepped off in mud, in herds and by a hind foot that reaches.',
    action:
      'For ordinary work end at the plumb line from the bulbs. Look at stride, going and company first.',
  }
}

const bulbsNotFollowed: OneCaution = ({ foot, fit, outline, section }) =>
  fit.behind === 'to the bulbs' &&
  fit.heelLength > 0 &&
  turnedIn(fit, foot, outline, section.width) < asTheBulbs(foot) - SEEN
    ? {
        code: 'bulbs-not-followed',
        severity: 'note',
        title: 'Branches not turned in as far as the bulbs',
        text: 'With this bar the frog needs the room between the heels: they turn in only as far as leaves it free.',
        action: 'Take a narrower bar, or leave them straight back.',
      }
    : undefined

const webOnFrog: OneCaution = ({ foot, rims: { inner } }) => {
  const gap = distance(placeAt(inner, 0).point, placeAt(inner, trackLength(inner)).point)
  if (gap >= foot.frogWidth * FROG_FREE) return undefined
  return {
    code: 'web-on-frog',
    severity: 'caution',
    title: 'Web over the frog',
    text: 'The branches close over the frog at the heels: dirt packs in and the frog is pinched.',
    action: 'Take a narrower bar, open the heels or end the branches sooner.',
  }
}

const wideWeb: OneCaution = ({ fit, section, suggestion }) =>
  section.width > suggestion.section.width * WIDE && fit.name !== 'slide'
    ? {
        code: 'wide-web',
        severity: 'note',
        title: 'Wide web for this foot',
        text: `${suggestion.name} is the usual bar. A wide web lies over more sole and weighs more.`,
        action: 'Seat out the inner foot surface well.',
      }
    : undefined

const narrowWeb: OneCaution = ({ section, suggestion }) =>
  section.width < suggestion.section.width * NARROW
    ? {
        code: 'narrow-web',
        severity: 'note',
        title: 'Narrow web for this foot',
        text: `${suggestion.name} is the usual bar. A narrow web wears through and sinks in soft going.`,
        action: 'Check that every hole still has steel on both sides.',
      }
    : undefined

/** Cautions that come from how the shoe stands on the foot. */
export const fitCautions = ruleOf(
  noRoom,
  heelUncovered,
  behindBulbs,
  bulbsNotFollowed,
  webOnFrog,
  wideWeb,
  narrowWeb,
)
