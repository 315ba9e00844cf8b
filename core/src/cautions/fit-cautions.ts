import { placeAt, trackLength } from '../geometry/track'
import { distance } from '../geometry/vector'
import { COIN } from '../shoe/fit'
import { asTheBulbs, turnedIn } from '../shoe/turned-in'
import type { CautionRule } from './context'

/** A turn that is less than this is not seen, radians. */
const SEEN = 0.02

/** Cautions that come from how the shoe stands on the foot. */
export const fitCautions: CautionRule = ({ foot, fit, outline, rims, landmarks, section, suggestion }) => {
  const found: ReturnType<CautionRule> = []
  if (fit.spread < COIN) {
    found.push({
      code: 'no-room-to-spread',
      severity: fit.name === 'flush' ? 'note' : 'caution',
      title: 'No room to spread',
      text: 'Less than a coin of room at the heels: the foot soon grows over the shoe.',
      action: 'Short cycles only, or give the heels room.',
    })
  }
  // The outer corner of a branch is what is stepped on.
  const ends = [0, trackLength(rims.outer)].map((station) => placeAt(rims.outer, station).point[1])
  const heelY = Math.min(...ends)
  if (fit.heelLength < 0) {
    found.push({
      code: 'heel-uncovered',
      severity: 'caution',
      title: 'Heel not covered',
      text: 'The shoe ends ahead of the buttress: its end presses into the seat of corn.',
      action: 'Carry the branches back to cover the buttress.',
    })
  }
  if (heelY < landmarks.bulbY - 0.5) {
    found.push({
      code: 'heel-behind-bulbs',
      severity: 'caution',
      title: 'Branches behind the bulbs',
      text: 'Long heels are stepped off in mud, in herds and by a hind foot that reaches.',
      action:
        'For ordinary work end at the plumb line from the bulbs. Look at stride, going and company first.',
    })
  }
  if (
    fit.behind === 'to the bulbs' &&
    fit.heelLength > 0 &&
    turnedIn(fit, foot, outline, section.width) < asTheBulbs(foot) - SEEN
  ) {
    found.push({
      code: 'bulbs-not-followed',
      severity: 'note',
      title: 'Branches not turned in as far as the bulbs',
      text: 'With this bar the frog needs the room between the heels: they turn in only as far as leaves it free.',
      action: 'Take a narrower bar, or leave them straight back.',
    })
  }
  const gap = distance(placeAt(rims.inner, 0).point, placeAt(rims.inner, trackLength(rims.inner)).point)
  if (gap < foot.frogWidth * 0.8) {
    found.push({
      code: 'web-on-frog',
      severity: 'caution',
      title: 'Web over the frog',
      text: 'The branches close over the frog at the heels: dirt packs in and the frog is pinched.',
      action: 'Take a narrower bar, open the heels or end the branches sooner.',
    })
  }
  if (section.width > suggestion.section.width * 1.45 && fit.name !== 'slide') {
    found.push({
      code: 'wide-web',
      severity: 'note',
      title: 'Wide web for this foot',
      text: `${suggestion.name} is the usual bar. A wide web lies over more sole and weighs more.`,
      action: 'Seat out the inner foot surface well.',
    })
  }
  if (section.width < suggestion.section.width * 0.7) {
    found.push({
      code: 'narrow-web',
      severity: 'note',
      title: 'Narrow web for this foot',
      text: `${suggestion.name} is the usual bar. A narrow web wears through and sinks in soft going.`,
      action: 'Check that every hole still has steel on both sides.',
    })
  }
  return found
}
