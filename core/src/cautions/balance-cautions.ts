import { aheadShare } from '../foot/balance/ahead-share'
import { ruleOf, type OneCaution } from './context'

/** How far apart bearing ahead of and behind the widest part may be before it is said (common practice, no source). */
const UNEVEN = 1.2

/** An axis broken by so much is more than worth a note, degrees (common practice, no source). */
const BROKEN = 6

/** Heels so far ahead of the plumb line have run forward, mm (common practice, no source). */
const RUN_FORWARD = 12

const widestPart: OneCaution = ({ widest }) =>
  widest.odd || (widest.estimates.length > 1 && widest.agreed === undefined)
    ? {
        code: widest.odd ? 'widest-part-odd' : 'widest-part-disagrees',
        severity: widest.odd ? 'note' : 'caution',
        title: widest.odd ? 'One estimate of the widest part stands off' : 'The widest part is not agreed',
        text: widest.verdict,
        action: 'Trim to the sole plane, dress the flares, and look for the widest part again.',
      }
    : undefined

const longToe: OneCaution = ({ balance }) =>
  balance.ratio > UNEVEN
    ? {
        code: 'long-toe',
        severity: 'caution',
        title: 'More bearing ahead than behind',
        text: `Of the shoe’s bearing ${aheadShare(balance.ratio)} lies ahead of the widest part: breakover is late and the heels are overloaded.`,
        action: 'Set the breakover back, or carry the heels further back under the limb.',
      }
    : undefined

const brokenAxis: OneCaution = ({ balance: { hoofPastern: axis } }) => {
  if (!axis || axis.verdict === 'straight') return undefined
  const back = axis.verdict === 'broken back'
  const broken = Math.abs(axis.broken)
  return {
    code: back ? 'broken-back' : 'broken-forward',
    severity: broken >= BROKEN ? 'caution' : 'note',
    title: `Hoof-pastern axis ${axis.verdict} by ${broken.toFixed(0)}°`,
    text: back
      ? 'The pastern stands steeper than the wall: the deep tendon and the heels carry more.'
      : 'The wall stands steeper than the pastern: the joint and the toe carry more.',
    action:
      'Change it by a little at each visit. Where the horse is lame or the foot is upright, ask the vet first.',
  }
}

const aheadOfPlumb: OneCaution = ({ foot }) =>
  foot.plumbBehind !== undefined && foot.plumbBehind > RUN_FORWARD
    ? {
        code: 'heels-ahead-of-plumb',
        severity: 'caution',
        title: 'Heels lie ahead of the plumb line',
        text: 'The heels have run forward under the foot and no longer stand under the limb.',
        action:
          'Bring them back to the widest part of the frog as the horn allows; support behind them meanwhile.',
      }
    : undefined

const palmarLow: OneCaution = ({ foot }) =>
  foot.palmarAngle !== undefined && foot.palmarAngle <= 0
    ? {
        code: 'palmar-angle-low',
        severity: 'caution',
        title: 'Palmar angle level or below',
        text: 'The heels of the coffin bone lie as low as its tip or lower.',
        action: 'The vet reads the radiograph and sets the angle that is wanted; work to that plan.',
      }
    : undefined

/** The underside of P3 stands no steeper than this to the ground (2 to 10 is usual, from memory), nor than that, degrees. */
const STEEP = 10
const TOO_STEEP = 15

/** Less of a raise than this is none, degrees. */
const RAISED = 0.5

const palmarHigh: OneCaution = ({ foot: { palmarAngle }, balance: { raised } }) => {
  if (palmarAngle === undefined || raised < RAISED || palmarAngle + raised <= STEEP) return undefined
  const on = palmarAngle + raised
  return {
    code: 'palmar-angle-high',
    severity: on > TOO_STEEP ? 'stop' : 'caution',
    title: `Palmar angle ${on.toFixed(0)}° on this shoe`,
    text: `The coffin bone stands at ${palmarAngle.toFixed(0)}° already and is raised by ${raised.toFixed(1)}°: its tip is driven down and the toe of the sole carries it.`,
    action: 'Lower the raise. The vet reads the radiograph and sets the angle that is wanted.',
  }
}

/** Cautions that come from proportion, breakover and the line of the limb. */
export const balanceCautions = ruleOf(widestPart, longToe, brokenAxis, aheadOfPlumb, palmarLow, palmarHigh)
