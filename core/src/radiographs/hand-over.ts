import type { RadiographFigure } from './figures'
import type { TrimPlan } from './trim-plan'

/** Figures of the foot that a lateral radiograph gives; mm and degrees. */
export interface FootFromRadiograph {
  palmarAngle?: number
  soleDepth?: number
  tipFromToe?: number
}

/** What a foot takes over from the figures that were read, as far as there are any. */
export function footFromRadiograph(figures: readonly RadiographFigure[]): FootFromRadiograph {
  const value = (key: string) => {
    const read = figures.find((one) => one.key === key)?.value
    return read === null || read === undefined ? undefined : tenths(read)
  }
  const [palmarAngle, soleDepth, tipFromToe] = ['palmarAngle', 'soleTip', 'tipFromToe'].map(value)
  return {
    ...(palmarAngle !== undefined && { palmarAngle }),
    ...(soleDepth !== undefined && { soleDepth }),
    ...(tipFromToe !== undefined && { tipFromToe }),
  }
}

/** No tap is finer than a tenth; nothing is nothing, and not less than it. */
const tenths = (value: number): number => Math.round(value * 10) / 10 + 0

/** A way in which a shoe carries out the plan. */
export interface CarriedOut {
  key: 'breakover' | 'wedge' | 'rocker-toe' | 'four-rail-plate'
  label: string
  /** The modification that is put on and its figures; nothing: the school of breakover alone. */
  put: (plan: TrimPlan) => { kind: string; values: Record<string, number> } | undefined
}

/** Less of a rise than this is not forged, mm. */
const LEAST_RISE = 1

const rise = ({ raise }: TrimPlan): number => tenths(Math.max(LEAST_RISE, raise))
const toe = ({ breakoverFromToe }: TrimPlan): Record<string, number> =>
  breakoverFromToe === undefined ? {} : { behindToe: tenths(breakoverFromToe) }

/** Ways to carry a plan out on the shoe. Another is an entry here. */
export const CARRIED_OUT: readonly CarriedOut[] = [
  { key: 'breakover', label: 'Breakover only', put: () => undefined },
  { key: 'wedge', label: 'Wedge', put: (plan) => ({ kind: 'wedge', values: { rise: rise(plan) } }) },
  { key: 'rocker-toe', label: 'Rocker toe', put: (plan) => ({ kind: 'rocker-toe', values: toe(plan) }) },
  {
    key: 'four-rail-plate',
    label: 'Four-rail plate',
    // Rails are never lower than this on the plate itself.
    put: (plan) => ({
      kind: 'four-rail-plate',
      values: { ...toe(plan), rail: tenths(Math.max(3, plan.raise)) },
    }),
  },
]
