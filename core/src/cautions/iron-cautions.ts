import { inches } from '../units/length'
import { ruleOf, type OneCaution } from './context'

/** Branches that differ by more than this leave the toe off the middle of the bar, mm. */
const OFF_MIDDLE = inches(1 / 8)

const toeOffMiddle: OneCaution = ({ iron: { branches }, stock }) =>
  !stock && Math.abs(branches.lateral - branches.medial) > OFF_MIDDLE
    ? {
        code: 'toe-off-middle',
        severity: 'note',
        title: 'Toe is not the middle of the bar',
        text: `The ${branches.lateral > branches.medial ? 'outer' : 'inner'} branch takes more bar. Mark the toe from the ends as listed, not at half length.`,
        action: 'Punch one branch so that outer and inner never swap.',
      }
    : undefined

const hotSeating: OneCaution = ({ section }) =>
  section.material === 'steel'
    ? {
        code: 'hot-seating',
        severity: 'note',
        title: 'Hot seating',
        text: 'The hoof conducts badly, but heat reaches live tissue in the end. Smoke frightens some horses; hay burns.',
        action:
          'No more than 15 s of contact in any 30 s. Eyes and ears protected; nothing zinc-coated in the fire or under a torch.',
      }
    : undefined

const aluminium: OneCaution = ({ section }) =>
  section.material === 'aluminium'
    ? {
        code: 'aluminium',
        severity: 'caution',
        title: 'Aluminium',
        text: 'It gives no colour before it melts, and its dust mixed with steel dust can burn violently.',
        action: 'Bend cold or just warm, test with a wooden handle, grind on a wheel of its own.',
      }
    : undefined

/** Cautions that come from the bar and from working it. */
export const ironCautions = ruleOf(toeOffMiddle, hotSeating, aluminium)
