import type { Half } from '../terms/half'
import type { FootInput } from '../records/foot'
import type { ShoeInput } from '../records/shoe'
import { planShoe } from './plan'
import { ProblemError } from '../notices/problem'
import { modification } from '../modifications/index'

/**
 * A design taken up for another foot: what was said of it in lengths of the foot grows or shrinks with the foot, what
 * is possible there bounds it; holes go back to the school's places, and exits seen on the other horse stay there.
 *
 * @param from the foot it was made for
 * @param to the foot it is taken up for, where that was measured
 */
export function refit(shoe: ShoeInput, from: FootInput, to: FootInput | undefined): ShoeInput {
  const share = to ? to.width / from.width : 1
  const { nails, ...rest } = shoe
  const branch = (which: Half) => {
    const given = nails?.[which]
    if (given === undefined || Array.isArray(given)) return given
    const { holes, driven } = given
    return { ...(holes !== undefined && { holes }), ...(driven && { driven }) }
  }
  const [lateral, medial] = [branch('lateral'), branch('medial')]
  const refitted: ShoeInput = {
    ...rest,
    fit: typeof shoe.fit === 'string' ? shoe.fit : scaled(shoe.fit, share),
    modifications: (shoe.modifications ?? []).map(({ kind, ...figures }) => ({
      kind,
      ...Object.fromEntries(
        Object.entries(figures).map(([key, value]) => {
          const field = modification(kind)?.fields.find((one) => one.key === key)
          const grows = field && !field.options && field.ofFoot === true && typeof value === 'number'
          return [key, grows ? value * share : value]
        }),
      ),
    })),
    ...(nails && {
      nails: {
        ...(nails.school && { school: nails.school }),
        ...(nails.size !== undefined && { size: nails.size }),
        ...(lateral && { lateral }),
        ...(medial && { medial }),
      },
    }),
  }
  return to ? withinRanges(refitted, to) : refitted
}

const scaled = <T extends object>(figures: T, share: number): T =>
  Object.fromEntries(
    Object.entries(figures).map(([key, value]) => [key, typeof value === 'number' ? value * share : value]),
  ) as T

/** Figures of modifications drawn into what is possible on this foot; one that cannot be known is left to its default. */
function withinRanges(shoe: ShoeInput, foot: FootInput): ShoeInput {
  const modifications = (shoe.modifications ?? []).map(({ kind, ...figures }) => {
    try {
      const { ranges } = planShoe(foot, { ...shoe, modifications: [{ kind }] }).modifications[0]!
      const kept = Object.entries(figures).map(([key, value]) => {
        const range = ranges[key]
        return [
          key,
          typeof value === 'number' && range ? Math.min(range[1], Math.max(range[0], value)) : value,
        ] as const
      })
      return { kind, ...Object.fromEntries(kept) }
    } catch (error) {
      // Why it cannot be made is told on the bench.
      if (error instanceof ProblemError) return { kind, ...figures }
      throw error
    }
  })
  return { ...shoe, modifications }
}
