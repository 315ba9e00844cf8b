import { modification, type Plan, type ShoeInput } from '@crescent/core'
import type { Slip } from '@crescent/core/going'

/** A modification that makes a shoe slide. */
const slides = (kind: string): boolean => modification(kind)?.brings?.includes('sliding') ?? false

export const isSlider = (shoe: ShoeInput | undefined): boolean =>
  shoe?.modifications?.some(({ kind }) => slides(kind)) ?? false

/** Shares nearer to each other than this are alike. */
const ALIKE = 0.02

/** Which of two designs is the slicker, by the ground their edges push ahead of them. */
export function slickerOf(mine: Slip, theirs: Slip, theirName: string): string {
  const share = theirs.ploughed / mine.ploughed
  if (!Number.isFinite(share) || Math.abs(share - 1) < ALIKE) return 'Both are alike slick on this ground.'
  const [name, by] = share > 1 ? (['This shoe', 1 - 1 / share] as const) : ([theirName, 1 - share] as const)
  return `${name} is the slicker: it pushes ${Math.round(by * 100)} % less ground ahead of it.`
}

/** By how much a shoe that slides is turned under its foot, degrees; nothing where it does not slide. */
export function turnOf(shoe: ShoeInput | undefined): number | undefined {
  const turn = shoe?.modifications?.find(({ kind }) => slides(kind))?.['turn']
  return typeof turn === 'number' ? turn : undefined
}

/** Nearer to the line of travel than this a shoe points along it, degrees. */
const IN_LINE = 0.75

/**
 * How a shoe that slides lies to the line of travel, how far it may be turned under the foot, and how the last one was.
 *
 * @param toeOut degrees by which the foot points outward of that line
 */
export function turnWords(
  modifications: Plan['modifications'],
  shoe: ShoeInput | undefined,
  last: ShoeInput | undefined,
  toeOut: number,
): string[] {
  const turn = modifications.find(({ kind }) => slides(kind))?.ranges['turn']
  const [before, now] = [turnOf(last), turnOf(shoe) ?? 0]
  const off = toeOut - now
  return [
    ...(turn
      ? [
          Math.abs(off) < IN_LINE
            ? 'It points along the line of travel.'
            : `It points ${Math.abs(off).toFixed(1)}° ${off > 0 ? 'outward' : 'inward'} of the line of travel.`,
        ]
      : []),
    ...(turn
      ? [
          `This shoe may be turned by up to ${turn[1].toFixed(1)}° to either side before the foot is uncovered.`,
        ]
      : []),
    ...(before !== undefined
      ? [`The last one was turned by ${before.toFixed(1)}°: its tracks tell whether that was right.`]
      : []),
  ]
}
