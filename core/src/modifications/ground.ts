import type { Half } from '../terms/half'
import type { SectionCut } from './build'
import type { ShoePart } from './modification'
import type { SectionForm } from '../shoe/section-form'

/** What of the made shoe stands on level ground, y in the foot's frame, mm. */
export interface GroundContact {
  /** Its foremost place: there the shoe breaks over. */
  foremost: number
  /** Its hindmost place on either side; one and the same where a bar closes the shoe behind its heels. */
  hindmost: Record<Half, number>
}

/** What of a section lies on the ground, from and to, in from the outer rim; nothing where the first is the larger. */
export function onGround({ shape, width, outerGround, innerGround, bend }: SectionForm): [number, number] {
  const rises = bend?.from ?? 0
  if (shape === 'half-round') return [Math.max(width / 2, rises), width / 2]
  return [Math.max(outerGround[0], rises), width - innerGround[0]]
}

/**
 * Reads the bearing from the sections as they are made: bevelled and bent edges do not bear, bars behind the heels do.
 *
 * @param parts bars welded or turned behind the heels count as steel on the ground; clips, plates and fittings do not
 */
export function groundContact(cuts: readonly SectionCut[], parts: readonly ShoePart[]): GroundContact {
  let foremost = -Infinity
  const hindmost: Record<Half, number> = { lateral: Infinity, medial: Infinity }
  for (const { place, form } of cuts) {
    const [from, to] = onGround(form)
    if (from > to) continue
    const outward = -place.tangent[0]
    // A section that lies aslant reaches furthest at one end of what bears of it.
    const one = place.point[1] - outward * from
    const other = place.point[1] - outward * to
    foremost = Math.max(foremost, one, other)
    hindmost[place.branch] = Math.min(hindmost[place.branch], one, other)
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
