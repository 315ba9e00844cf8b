import { problem, type Problem } from '../notices/problem'
import { outOfRange } from '../notices/range'
import { length, told } from '../notices/told'
import type { SizeFacts } from '../records/size'
import { usualWidth } from './as-sold'
import { FROM_ENDS, LEAST_APART } from './hole-room'
import { BAR_RANGES } from './section'
import { HALVES } from '../terms/half'

/** What factory shoes come in: from a foal's to a heavy horse's. */
export const SIZE_RANGES = {
  web: BAR_RANGES.width,
  thickness: BAR_RANGES.thickness,
  length: [120, 700],
  pitch: [35, 100],
  weight: [20, 3000],
} as const

/** As wide as a shoe of its length can be shaped in the factory, as a share of what is usual. */
const WIDTH_SHARES = [0.75, 1.3] as const

/** A branch turns about so much from toe to heel, radians: its outer rim is longer than its centreline by half the web times that. */
const BRANCH_TURNS = 1.6

/** Problems of a size that no shoe can have, or that contradict each other. */
export function checkSize(facts: SizeFacts, at = 'shoe.stock.facts'): Problem[] {
  const { web, thickness, length: long, holes, width, weight } = facts
  const known = [
    outOfRange(`${at}.web`, 'Web', 'length', web, SIZE_RANGES.web),
    outOfRange(`${at}.thickness`, 'Thickness', 'length', thickness, SIZE_RANGES.thickness),
    outOfRange(`${at}.length`, 'Length along the centreline', 'length', long, SIZE_RANGES.length),
    facts.crease === undefined
      ? undefined
      : outOfRange(`${at}.crease`, 'Crease, from the outer rim', 'length', facts.crease, [0, web / 2]),
    weight === undefined
      ? undefined
      : outOfRange(`${at}.weight`, 'Weight', 'weight', weight, SIZE_RANGES.weight),
  ].filter((one) => one !== undefined)
  if (known.length > 0) return known
  const usual = usualWidth(facts)
  const wide = width ?? usual
  if (web > wide / 2)
    return [
      problem(
        `${at}.web`,
        told`Web: ${length(web)} is more than half the width of the shoe, ${length(wide)}; it lies between ${length(SIZE_RANGES.web[0])} and ${length(wide / 2)}`,
      ),
    ]
  const possible = [usual * WIDTH_SHARES[0], usual * WIDTH_SHARES[1]] as const
  const odd =
    width === undefined
      ? undefined
      : outOfRange(`${at}.width`, 'Width for its length', 'length', width, possible)
  return [
    ...(odd ? [odd] : []),
    ...HALVES.flatMap((branch) =>
      checkHoles(holes[branch], branch === 'lateral' ? 'Outer' : 'Inner', `${at}.holes.${branch}`, facts),
    ),
  ]
}

/** Problems of the holes in one branch: on the steel, on the branch, in their order. */
function checkHoles(
  holes: SizeFacts['holes']['lateral'],
  name: string,
  at: string,
  { web, length: long }: SizeFacts,
): Problem[] {
  const range = [FROM_ENDS, long / 2 + (BRANCH_TURNS * web) / 2 - FROM_ENDS] as const
  return holes.flatMap(({ fromToe, inset, pitch }, i): Problem[] => {
    const before = holes[i - 1]
    const hole = `${name} hole ${i + 1}`
    const found = [
      outOfRange(`${at}.${i}.fromToe`, `${hole}, from the toe`, 'length', fromToe, range),
      outOfRange(`${at}.${i}.inset`, `${hole}, from the outer rim`, 'length', inset, [1, web - 1]),
      pitch === undefined
        ? undefined
        : outOfRange(`${at}.${i}.pitch`, `${hole}, pitch`, 'angle', pitch, SIZE_RANGES.pitch),
    ].filter((one) => one !== undefined)
    if (found.length > 0 || before === undefined || fromToe >= before.fromToe + LEAST_APART) return found
    return [
      problem(
        `${at}.${i}.fromToe`,
        told`${name} holes ${i} and ${i + 1}: ${length(fromToe - before.fromToe)} apart; there are at least ${length(LEAST_APART)} between two, in their order from the toe`,
      ),
    ]
  })
}
