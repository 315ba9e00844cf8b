import { modification } from '../modifications/index'
import { canBeMadeOf } from '../modifications/list'
import type { ShoeInput } from '../records/shoe'
import type { SizeFacts } from '../records/size'
import { isPunched } from '../nails/factory-holes'
import { PLAIN_SHOE } from '../shoe/starting-shoe'
import { byHalf, type Half } from '../terms/half'
import { bends, sectionOf } from '../terms/size-kinds'
import type { Verdict } from '../terms/verdicts'
import type { RankedSize } from './rank'

/** Nails driven in a branch unless somebody says otherwise (common practice: six a shoe). */
const MOST_DRIVEN = 3

/** Holes that are left empty: they would prick, hold nothing, or stand where this foot may have no nail. */
const LEFT_EMPTY: readonly Verdict[] = ['would-prick', 'misses', 'ruled-out']

/**
 * A shoe made of a factory size instead of what it was made of: fit and what can be made of it stay, what is made while a
 * bar is straight does not go along, and holes that no nail belongs in are left empty.
 *
 * @param sizeId of the table it is taken from
 */
export function takenSize(
  { nails, modifications = [], ...shoe }: ShoeInput,
  facts: SizeFacts,
  holes: RankedSize['holes'],
  sizeId: string,
): ShoeInput {
  const driven = (branch: Half) => ({
    driven: holes
      .filter((hole) => hole.branch === branch && !LEFT_EMPTY.includes(hole.verdict))
      .map(({ number }) => number)
      .slice(0, MOST_DRIVEN),
  })
  const moulded = !bends(facts.kind)
  return {
    ...shoe,
    section: sectionOf(facts),
    stock: { kind: 'size', facts, sizeId },
    modifications: modifications.filter(({ kind }) => {
      const known = modification(kind)
      return !known || canBeMadeOf(known, moulded ? 'moulded' : 'size')
    }),
    // What is drilled, or punched here, has its nails by the size of the foot.
    nails: moulded || !isPunched(facts) ? withoutBranches(nails) : { ...nails, ...byHalf(driven) },
  }
}

const withoutBranches = ({
  lateral: _outer,
  medial: _inner,
  ...nails
}: NonNullable<ShoeInput['nails']> = {}) => nails

/** The same shoe turned from a bar: one that was a factory shoe begins with the plain bar and holes of its own. */
export function madeByHand(shoe: ShoeInput): ShoeInput {
  if (!shoe.stock) return shoe
  const { stock: _stock, nails: _nails, ...rest } = shoe
  return { ...rest, section: PLAIN_SHOE.section }
}
