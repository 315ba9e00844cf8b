import type { CautionRule } from './context'

/** Cautions that come from the foot alone. Angle limits are from memory. */
export const footCautions: CautionRule = ({ foot, questions }) => {
  const found = [...questions]
  if (foot.toeAngle >= 62) {
    found.push({
      code: 'upright-foot',
      severity: 'caution',
      title: 'Upright foot',
      text: `A toe angle of ${Math.round(foot.toeAngle)}° may be a club foot. Lowering its heels at a stroke strains the tendon.`,
      action: 'Grade it, look at the pair, and ask the vet before changing the angle.',
    })
  }
  if (foot.toeAngle <= 44) {
    found.push({
      code: 'low-toe',
      severity: 'caution',
      title: 'Low toe angle',
      text: 'A long low toe delays breakover and loads the heels.',
      action: 'Dress the flare before measuring, and set the breakover back.',
    })
  }
  if (foot.toeAngle - foot.heelAngle > 5) {
    found.push({
      code: 'heels-run-forward',
      severity: 'caution',
      title: 'Heels run forward',
      text: `Heels stand ${Math.round(foot.toeAngle - foot.heelAngle)}° lower than the toe: they crush, and the bearing moves ahead of the limb.`,
      action:
        'Bring the heels back to the widest part of the frog if there is horn for it; support the foot behind.',
    })
  }
  if (foot.wallThickness < 6.5) {
    found.push({
      code: 'thin-wall',
      severity: 'caution',
      title: 'Thin wall',
      text: 'There is little room between the outside and live tissue.',
      action:
        'Slim nails, fewer of them, each over the white line. Two quarter clips can stand in for nails.',
    })
  }
  if (foot.soleDepth !== undefined && foot.soleDepth < 9) {
    found.push({
      code: 'thin-sole',
      severity: 'caution',
      title: 'Thin sole',
      text: 'Steel that touches this sole bruises it.',
      action: 'Seat the foot surface out well, never hot-fit long, and ask the vet what the sole needs.',
    })
  }
  return found
}
