import type { Told } from '../notices/told'
import { groundFrame, type RadiographPoints } from './frame'

/** What lies where it cannot: two places and what is said where the first does not lie above, or ahead of, the second. */
const RULES = [
  {
    above: ['T', 'S1'],
    said: 'The sole under the tip is marked above the tip of P3: a sole of less than nothing is not planned on. Mark it again.',
  },
  {
    above: ['U', 'S2'],
    said: 'The sole under the wing is marked above the underside of P3. Mark it again.',
  },
  {
    ahead: ['B', 'H'],
    said: 'The foremost ground contact lies behind the hindmost. Are toe and heel of the ground the right way round?',
  },
  {
    ahead: ['T', 'U'],
    said: 'The tip of P3 lies behind its wing. Are toe and heel of the ground the right way round?',
  },
] as const

/** What of the marked places cannot be, in words: nothing is planned on them until they are put right. */
export function markingProblems(points: RadiographPoints, mmPerPixel: number): Told[] {
  const at = groundFrame(points, mmPerPixel)
  if (!at) return []
  return RULES.flatMap((rule) => {
    const [one, other] = 'above' in rule ? rule.above : rule.ahead
    if (!points[one] || !points[other]) return []
    const axis = 'above' in rule ? 1 : 0
    return at(one)[axis] > at(other)[axis] ? [] : [rule.said]
  })
}
