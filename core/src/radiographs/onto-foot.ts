import type { NailLimit } from '../records/foot'
import type { RadiographFigure } from './figures'

/** Figures of the foot that a lateral radiograph gives; mm and degrees. */
export interface FootFromRadiograph {
  palmarAngle?: number
  soleDepth?: number
  tipFromToe?: number
}

/**
 * What a foot takes over from the figures of a radiograph, as far as there are any: as they were read, or as they will be
 * once it is trimmed.
 */
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

/** P3 that stands steeper than the front of the wall by more than this has come away from it, degrees (from memory). */
const ROTATED = 5

/** What the figures that were read say of the nails: where P3 has come away from the wall, none ahead of the widest part. */
export function limitsFromRadiograph(figures: readonly RadiographFigure[]): NailLimit[] {
  const rotation = figures.find(({ key }) => key === 'rotation')?.value ?? 0
  if (rotation <= ROTATED) return []
  const why = `P3 stands ${rotation.toFixed(0)}° steeper than the wall.`
  return [{ rule: 'behind the widest part', by: 'radiograph', why }]
}
