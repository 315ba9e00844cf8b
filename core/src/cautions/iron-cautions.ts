import { inches } from '../units/length'
import type { CautionRule } from './context'

/** Cautions that come from the bar and from working it. */
export const ironCautions: CautionRule = ({ iron, section, stock }) => {
  const found: ReturnType<CautionRule> = []
  if (!stock && Math.abs(iron.branches.lateral - iron.branches.medial) > inches(1 / 8)) {
    const longer = iron.branches.lateral > iron.branches.medial ? 'outer' : 'inner'
    found.push({
      code: 'toe-off-middle',
      severity: 'note',
      title: 'Toe is not the middle of the bar',
      text: `The ${longer} branch takes more bar. Mark the toe from the ends as listed, not at half length.`,
      action: 'Punch one branch so that outer and inner never swap.',
    })
  }
  if (section.material === 'steel') {
    found.push({
      code: 'hot-seating',
      severity: 'note',
      title: 'Hot seating',
      text: 'The hoof conducts badly, but heat reaches live tissue in the end. Smoke frightens some horses; hay burns.',
      action: 'No more than 15 s of contact in any 30 s. Eyes and ears protected.',
    })
  }
  if (section.material === 'aluminium') {
    found.push({
      code: 'aluminium',
      severity: 'caution',
      title: 'Aluminium',
      text: 'It gives no colour before it melts, and its dust mixed with steel dust can burn violently.',
      action: 'Bend cold or just warm, test with a wooden handle, grind on a wheel of its own.',
    })
  }
  return found
}
