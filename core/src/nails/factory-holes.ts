import type { ShoeInput } from '../records/shoe'
import type { SizeFacts } from '../records/size'
import { byHalf, type Half } from '../terms/half'
import { resolveNails, type BranchNails, type HoleChange, type NailPlan } from './nail-plan'

/** It comes with holes. */
export const isPunched = ({ holes }: Pick<SizeFacts, 'holes'>): boolean =>
  holes.lateral.length + holes.medial.length > 0

/** The nails of a factory shoe: its holes as they were punched, driven as it is asked for. */
export function factoryHoles({ holes }: SizeFacts, nails: ShoeInput['nails']): NailPlan {
  // None were punched: they are made where this foot wants them.
  if (!isPunched({ holes })) return resolveNails(nails)
  const counted = (branch: Half) => {
    const given = nails?.[branch]
    return { ...(Array.isArray(given) ? { driven: given } : given), holes: holes[branch].length }
  }
  const plan = resolveNails({ ...nails, ...byHalf(counted) })
  const asPunched = (branch: Half): BranchNails => ({
    holes: holes[branch].length,
    driven: plan[branch].driven,
    each: holes[branch].map(({ fromToe, inset, pitch }, i): HoleChange => {
      const { lean = pitch, seen } = plan[branch].each.find(({ number }) => number === i + 1) ?? {}
      return {
        number: i + 1,
        fromToe,
        inset,
        ...(lean !== undefined && { lean }),
        ...(seen !== undefined && { seen }),
      }
    }),
  })
  return { ...plan, made: true, ...byHalf(asPunched) }
}
