import { addWhenAsked } from '../geometry/when-asked'
import { length, told, type Told } from '../notices/told'
import { lengthStep, roundLength, type LengthStyle } from '../units/length'
import { byHalf, type Half } from '../terms/half'
import type { Heat } from './heats'
import type { BarMark, Iron } from './iron'

/**
 * Parts of a whole as they are written, so that what is written adds up: each is rounded down to what a rule shows, and
 * those that lose most by it take what is left (largest remainder).
 *
 * @param total mm; as it is written it is the sum of what comes back
 * @param parts that come to the total, mm
 */
export function shownParts(total: number, parts: readonly number[], style: LengthStyle): number[] {
  const step = lengthStep(style)
  const whole = parts.map((part) => Math.floor(part / step + 1e-9))
  const left = Math.round(total / step) - whole.reduce((sum, one) => sum + one, 0)
  const remainder = (i: number) => parts[i]! / step - whole[i]!
  const first = parts.map((_, i) => i).sort((a, b) => remainder(b) - remainder(a) || a - b)
  return whole.map((one, i) => (one + (first.indexOf(i) < left ? 1 : 0)) * step)
}

/** A difference of two lengths as it is written beside both of them: of what is written, mm. */
export const shownDifference = (a: number, b: number, style: LengthStyle): number =>
  roundLength(a, style) - roundLength(b, style)

/**
 * The iron as it is written: every length is rounded once, and what is part of another is rounded with it. Both branches
 * come to the cut, a mark's two distances to its branch, and what a rule of thumb differs by is what the two figures
 * beside it differ by. Where nothing is written the iron itself is what counts.
 */
export function shownIron<T extends Iron & { heats?: Heat[] }>(iron: T, style: LengthStyle): T {
  const at = (mm: number) => roundLength(mm, style)
  const cutLength = at(iron.cutLength)
  const [lateral, medial] = shownParts(
    iron.cutLength,
    [iron.branches.lateral, iron.branches.medial],
    style,
  ) as [number, number]
  const branches = { lateral, medial }
  const { learned } = iron
  const settled = {
    ...plainOf(iron),
    ...{ cutLength, branches, closing: at(iron.closing) },
    learned: learned === 0 ? 0 : cutLength - at(iron.cutLength - learned),
    marks: iron.marks.map((mark) => shownMark(mark, branches, at)),
    ...(iron.heelLeft && { heelLeft: byHalf((half) => at(iron.heelLeft![half])) }),
    ...(iron.heelToCut && { heelToCut: byHalf((half) => at(iron.heelToCut![half])) }),
  }
  return addWhenAsked(settled, {
    plainCut: () => at(iron.plainCut),
    rules: () =>
      iron.rules.map(({ name, length: long }) => ({
        ...{ name, length: at(long) },
        difference: shownDifference(long, iron.plainCut, style),
      })),
    ...('heats' in iron && {
      heats: () => iron.heats!.map((heat) => shownHeat(heat, style)),
    }),
  }) as unknown as T
}

/** What is not worked out only when it is asked for. */
const plainOf = ({ parts, openBy, size, asSold, centrelineLength, volume, weight }: Iron) => ({
  ...{ parts, centrelineLength, volume, weight },
  ...(openBy !== undefined && { openBy }),
  ...(size !== undefined && { size }),
  ...(asSold && { asSold }),
})

function shownMark(mark: BarMark, branches: Record<Half, number>, at: (mm: number) => number): BarMark {
  if (mark.branch === null) return { ...mark, fromEnd: branches.lateral }
  const own = branches[mark.branch]
  // What closes the shoe behind a heel is laid off from the end, everything else from the toe mark.
  const fromMiddle = mark.kind === 'heel-end' ? own - at(mark.fromEnd) : Math.min(own, at(mark.fromMiddle))
  return { ...mark, fromMiddle, fromEnd: own - fromMiddle }
}

/** The straight bar is laid out by its whole length and both branches, which come to it. */
function shownHeat(heat: Heat, style: LengthStyle): Heat {
  const [whole, ...branches] = heat.measures.map(({ value }) => value)
  if (!heat.straight || whole === undefined) return heat
  const shown = [roundLength(whole, style), ...shownParts(whole, branches, style)]
  return { ...heat, measures: heat.measures.map((one, i) => ({ ...one, value: shown[i]! })) }
}

/** What stands beside a cut that logged jobs corrected; nothing where they did not, or by less than is written. */
export const correctedTold = (
  iron: Pick<Iron, 'cutLength' | 'learned'>,
  style: LengthStyle,
): Told | undefined =>
  shownDifference(iron.cutLength, iron.cutLength - iron.learned, style) === 0
    ? undefined
    : told`Corrected by logged jobs: ${length(iron.cutLength - iron.learned)} by geometry.`
