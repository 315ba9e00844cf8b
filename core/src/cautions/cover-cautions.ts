import { mostUncovered } from '../shoe/cover'
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
  const least = behindToe.reduce((worst, one) => (one.stands < worst.stands ? one : worst), {
    footStation: 0,
    stands: 0,
  })
  if (least.stands > -mostUncovered(foot) - SEEN) return []
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
