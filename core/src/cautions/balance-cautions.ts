import type { CautionRule } from './context'

/** How far apart bearing ahead of and behind the widest part may be before it is said (common practice, no source). */
const UNEVEN = 1.2

/** Cautions that come from proportion, breakover and the line of the limb. */
export const balanceCautions: CautionRule = ({ foot, widest, balance }) => {
  const found: ReturnType<CautionRule> = []
  if (widest.odd || (widest.estimates.length > 1 && widest.agreed === undefined)) {
    found.push({
      code: widest.odd ? 'widest-part-odd' : 'widest-part-disagrees',
      severity: widest.odd ? 'note' : 'caution',
      title: widest.odd ? 'One estimate of the widest part stands off' : 'The widest part is not agreed',
      text: widest.verdict,
      action: 'Trim to the sole plane, dress the flares, and look for the widest part again.',
    })
  }
  if (balance.ratio > UNEVEN) {
    found.push({
      code: 'long-toe',
      severity: 'caution',
      title: 'More bearing ahead than behind',
      text: `The shoe bears ${balance.ratio.toFixed(2)} times as far ahead of the widest part as behind it: breakover is late and the heels are overloaded.`,
      action: 'Set the breakover back, or carry the heels further back under the limb.',
    })
  }
  const axis = balance.hoofPastern
  if (axis && axis.verdict !== 'straight') {
    const back = axis.verdict === 'broken back'
    found.push({
      code: back ? 'broken-back' : 'broken-forward',
      severity: Math.abs(axis.broken) >= 6 ? 'caution' : 'note',
      title: `Hoof-pastern axis ${axis.verdict} by ${Math.abs(axis.broken).toFixed(0)}°`,
      text: back
        ? 'The pastern stands steeper than the wall: the deep tendon and the heels carry more.'
        : 'The wall stands steeper than the pastern: the joint and the toe carry more.',
      action:
        'Change it by a little at each visit. Where the horse is lame or the foot is upright, ask the vet first.',
    })
  }
  if (foot.plumbBehind !== undefined && foot.plumbBehind > 12) {
    found.push({
      code: 'heels-ahead-of-plumb',
      severity: 'caution',
      title: 'Heels lie ahead of the plumb line',
      text: 'The heels have run forward under the foot and no longer stand under the limb.',
      action:
        'Bring them back to the widest part of the frog as the horn allows; support behind them meanwhile.',
    })
  }
  if (foot.palmarAngle !== undefined && foot.palmarAngle <= 0) {
    found.push({
      code: 'palmar-angle-low',
      severity: 'caution',
      title: 'Palmar angle level or below',
      text: 'The heels of the coffin bone lie as low as its tip or lower.',
      action: 'The vet reads the radiograph and sets the angle that is wanted; work to that plan.',
    })
  }
  return found
}
