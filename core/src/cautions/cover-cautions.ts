import { wallThicknessAt } from '../foot/wall'
import { mostUncovered, type Cover } from '../shoe/cover'
import type { CautionRule } from './context'
import { length, told } from '../notices/told'

/** What cannot be seen with the eye is no reason to speak, mm. */
const SEEN = 0.5

/** The wall behind the toe must stand on steel all round, whatever the outline was made into. */
export const coverCautions: CautionRule = ({ cover, outline, foot }) => {
  const behindToe = cover.filter(
    ({ footStation }) =>
      footStation < (outline.toe + outline.lateralWidest) / 2 ||
      footStation > (outline.toe + outline.medialWidest) / 2,
  )
  // How much more of the wall stands outside the steel than its thickness there allows.
  const beyond = ({ footStation, stands }: Cover) =>
    -stands - mostUncovered(wallThicknessAt(foot, outline, footStation))
  if (behindToe.length === 0) return []
  const least = behindToe.reduce((worst, one) => (beyond(one) > beyond(worst) ? one : worst))
  if (beyond(least) < SEEN) return []
  const half = least.footStation < outline.toe ? 'outer' : 'inner'
  return [
    {
      code: 'foot-uncovered',
      severity: 'caution',
      title: 'Foot not covered',
      text: told`On the ${half} side the wall stands ${length(-least.stands)} outside the shoe.`,
      action: 'Give the fit more room there, turn the shoe less, or start from a larger shoe.',
    },
  ]
}
