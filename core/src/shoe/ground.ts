import type { Half } from '../foot/half'
import { along, turnRight } from '../geometry/vector'
import type { SectionCut } from './build'
import type { Part } from './modifications/modification'
import { sectionOutline } from './section-form'

/** What of the made shoe stands on level ground, y in the foot's frame, mm. */
export interface GroundContact {
  /** Its foremost place: there the shoe breaks over. */
  foremost: number
  /** Its hindmost place on either side; one and the same where a bar closes the shoe behind its heels. */
  hindmost: Record<Half, number>
}

/** A place no higher than this above the ground bears on it, mm. */
const BEARS = 0.05

/**
 * Reads the bearing from the sections as they are made: bevelled and bent edges do not bear, bars behind the heels do.
 *
 * @param parts bars welded or turned behind the heels count as steel on the ground; clips, plates and fittings do not
 */
export function groundContact(cuts: readonly SectionCut[], parts: readonly Part[]): GroundContact {
  let foremost = -Infinity
  const hindmost: Record<Half, number> = { lateral: Infinity, medial: Infinity }
  for (const { place, form } of cuts) {
    const out = turnRight(place.tangent)
    for (const [inFromRim, height] of sectionOutline(form)) {
      if (height > BEARS) continue
      const [, y] = along(place.point, out, -inFromRim)
      foremost = Math.max(foremost, y)
      hindmost[place.branch] = Math.min(hindmost[place.branch], y)
    }
  }
  const behind = parts
    .filter(({ layer, face }) => layer === 'bar' && face === undefined)
    .flatMap(({ edge }) => edge.map(([, y]) => y))
  const closed = Math.min(Infinity, ...behind)
  return {
    foremost,
    hindmost: {
      lateral: Math.min(hindmost.lateral, closed),
      medial: Math.min(hindmost.medial, closed),
    },
  }
}
