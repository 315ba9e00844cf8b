import type { BreakoverSchool } from '../school'

/** A touch behind the tip is allowed, mm (from memory; the vet sets it). */
const TOUCH = 3

/** Straight beneath the tip of P3 on the lateral radiograph. */
export const radiographic: BreakoverSchool = {
  key: 'radiographic',
  label: 'Radiographic',
  rule: 'Straight beneath the tip of P3, never ahead of it; a touch behind is allowed.',
  use: 'Club and laminitic feet, to the vet’s plan.',
  vetLeads: true,
  place({ foot }) {
    if (foot.tipFromToe === undefined)
      return { found: false, lacks: ['a lateral radiograph with the tip of P3'] }
    if (foot.tipBy !== 'radiograph')
      return { found: false, lacks: ['a radiograph: a tip found by hoof tester will not do'] }
    const y = foot.widestFromToe - foot.tipFromToe
    return { found: true, y, rearY: y - TOUCH, used: ['tip of P3 by radiograph'] }
  },
}
