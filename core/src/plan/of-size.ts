import type { Foot } from '../foot/measurements'
import type { Iron } from '../iron/iron'
import { ProblemError, problem } from '../notices/problem'
import { length, told } from '../notices/told'
import type { SizeFacts } from '../records/size'
import { soldMeasures, soldWidth, widthOf } from '../shoe/as-sold'
import { keptLength } from '../shoe/kept-length'
import type { Moulded } from '../shoe/moulded/lay-moulded'
import { toCut } from '../shoe/to-cut'
import type { Lay } from '../shoe/lay'
import type { Rims } from '../shoe/rims'
import { DENSITY } from '../shoe/section'
import type { Half } from '../terms/half'
import type { Asked } from './read'

/**
 * The lay of a shoe that is as long as it came from the factory; that of a bar is as long as it is asked to be.
 *
 * @throws ProblemError where it is much too small or too large for the foot
 */
export function layOfSize({ stock, foot }: Asked, lay: Lay, rimsOf: (lay: Lay) => Rims): Lay {
  if (!stock) return lay
  const { facts, cutOff } = stock
  const lengths = {
    lateral: facts.length / 2 - (cutOff?.lateral ?? 0),
    medial: facts.length / 2 - (cutOff?.medial ?? 0),
  }
  const kept = keptLength(lay, lengths, rimsOf, foot.length)
  if (kept) return kept
  throw outOfReach(facts, foot)
}

const outOfReach = (facts: SizeFacts, foot: Foot) =>
  new ProblemError([
    problem(
      'shoe.stock.facts.length',
      told`${facts.label}: a shoe ${length(facts.length)} long cannot be laid on a foot ${length(foot.width)} wide and ${length(foot.length)} long`,
    ),
  ])

/** Off by more than this share of the foot's width, a shoe that cannot be bent is not laid at all. */
const MOST_OFF = 0.25

/**
 * A moulded shoe that is not far too small or too large for the foot.
 *
 * @throws ProblemError where it is
 */
export function keptInReach(moulded: Moulded, facts: SizeFacts, foot: Foot): Moulded {
  if (Math.abs(moulded.widthWanted - soldWidth(facts)) <= foot.width * MOST_OFF) return moulded
  throw outOfReach(facts, foot)
}

const both = (of: (branch: Half) => number): Record<Half, number> => ({
  lateral: of('lateral'),
  medial: of('medial'),
})

/** The iron of a factory shoe: nothing is cut from a bar, it is opened or closed, and its heels are cut. */
export function ironOfSize(
  bar: Iron,
  facts: SizeFacts,
  {
    beyondFit,
    moulded,
    rims,
    section,
  }: Pick<Asked, 'section'> & {
    beyondFit?: Record<Half, number>
    moulded?: Moulded
    rims: Rims
  },
): Iron {
  const heelLeft = moulded?.heelLeft ?? beyondFit ?? both(() => 0)
  const worked = bar.volume * DENSITY[section.material] * 1e-6
  // What it weighs in the box is known better than what its section comes to; what is sawn off is gone.
  const boxed = section.width * section.thickness * facts.length * DENSITY[section.material] * 1e-6
  const kept = moulded ? worked / boxed : 1
  const weight = bar.weight + (facts.weight === undefined ? 0 : facts.weight * kept - worked)
  return {
    ...bar,
    ...{ weight, heelLeft, size: facts.label },
    openBy: (moulded?.widthWanted ?? widthOf(rims.outer)) - soldWidth(facts),
    heelToCut: moulded?.heelToCut ?? both((branch) => toCut(heelLeft[branch])),
    asSold: soldMeasures(facts),
  }
}
