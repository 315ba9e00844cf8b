import type { OldShoe } from '../records/look'

/**
 * How the old shoe stood at the end of its cycle: bearing ahead of its widest part over bearing behind it.
 *
 * @param length of the foot as it was found, toe to buttress line, mm
 * @returns undefined where something was not read, or the readings leave no bearing on one side
 */
export function endProportion({ breakover, widest, heelEnds }: OldShoe, length: number): number | undefined {
  if (breakover === undefined || widest === undefined || heelEnds === undefined) return undefined
  const ahead = widest - breakover
  const behind = length + heelEnds - widest
  return ahead > 0 && behind > 0 ? ahead / behind : undefined
}
