import { widestKnown } from '../foot/balance/balance'
import { breakoverInUse } from '../foot/balance/breakover'
import { landmarks, type Landmarks } from '../foot/landmarks'
import { footOutline, type FootOutline } from '../foot/outline'
import { widestPart, type WidestPart } from '../foot/widest-part'
import { onceAsked } from '../geometry/when-asked'
import { modifiedRims } from '../modifications/build'
import { closedBehind } from '../modifications/closed-behind'
import type { ShoeContext } from '../modifications/modification'
import { refusals, resolveModifications, type Chosen } from '../modifications/resolve'
import { placeHoles } from '../nails/holes'
import { ProblemError, type Problem } from '../notices/problem'
import { byHalf, type Half } from '../terms/half'
import { branchLengths } from '../shoe/kept-length'
import { plainLay, type Lay } from '../shoe/lay'
import { layMoulded, type Moulded } from '../shoe/moulded/lay-moulded'
import { layRims, type Rims } from '../shoe/rims'
import { centroidFromOuter } from '../shoe/section-form'
import { bends } from '../terms/size-kinds'
import { branchesMeet, isShut, meeting, shutBy, tooWide } from './no-room'
import { keptInReach, layOfSize } from './of-size'
import type { Asked } from './read'

/** The shoe laid under the foot, plain and with its modifications. */
export interface Laid extends Asked {
  outline: FootOutline
  landmarks: Landmarks
  widest: WidestPart
  centroidShare: number
  plain: Rims
  /** How the plain shoe lies: a factory shoe as long as it is. */
  lay: Lay
  rims: Rims
  /** How far each branch goes on behind its buttress, mm: as asked for, or as far as a factory shoe reaches. */
  heelLength: Record<Half, number>
  /** A factory shoe that is bent: how far each branch goes on beyond where the fit ends, along it, mm; minus falls short. */
  beyondFit?: Record<Half, number>
  /** A factory shoe that cannot be bent, as it is laid and trimmed. */
  moulded?: Moulded
  chosen: readonly Chosen[]
  /** The plain shoe, as the fields of modifications are told it. */
  plainContext: ShoeContext
  /** The shoe as all its modifications have laid it. */
  context: ShoeContext
}

/**
 * Lays the rims along the foot.
 *
 * @throws ProblemError where the bar leaves no room, or a modification cannot be made
 */
export function layShoe(asked: Asked): Laid {
  const { foot, fit, section, footInput } = asked
  const outline = footOutline(foot)
  const centroidShare = centroidFromOuter(section) / section.width
  const asWanted = plainLay(fit, foot, outline, section.width)
  const moulded = mouldedOf(asked, outline, asWanted)
  const lay = moulded?.lay ?? layOfSize(asked, asWanted, (lay) => layRims(outline, lay, centroidShare))
  const plain = layRims(outline, lay, centroidShare)
  const drawn = { outline, landmarks: landmarks(foot, outline), widest: widestPart(footInput) }
  const plainContext = contextOf(asked, plain, drawn)
  const { chosen, problems } = resolveModifications(asked.shoe.modifications, plainContext)
  refuse(...problems)
  const modified = (lay: Lay, bare = plain) =>
    modifiedRims(chosen, { lay, rims: bare, centroidShare }, outline, plainContext)
  const first = modified(lay)
  // What is set out or set back lies on a longer or a shorter way: a factory shoe keeps its length on that too.
  const again = asked.stock !== undefined && !moulded && first !== plain
  const kept = again ? layOfSize(asked, lay, (one) => modified(one)) : lay
  const rims = again ? modified(kept) : first
  if (isShut(rims))
    refuse(rims === plain || isShut(plain) ? tooWide(section.width, foot) : shutBy(chosen, foot))
  const context = closedBehind(chosen, rims === plain ? plainContext : { ...plainContext, rims })
  refuse(...refusals(chosen, context))
  if (branchesMeet(rims)) refuse(meeting(fit))
  const heelLength = kept.heelLength
  const beyondFit =
    asked.stock && !moulded && longerBy(rims, modified(asWanted, layRims(outline, asWanted, centroidShare)))
  return {
    ...{ ...asked, ...drawn, centroidShare, plain, rims, heelLength, chosen, plainContext, context },
    lay: kept,
    ...(moulded && { moulded }),
    ...(beyondFit && { beyondFit }),
  }
}

/** By how much the branches of one shoe are longer than those of another, mm. */
function longerBy(one: Rims, other: Rims): Record<Half, number> {
  const [long, wanted] = [branchLengths(one), branchLengths(other)]
  return byHalf((branch) => long[branch] - wanted[branch])
}

/** What cannot be bent is laid as it is. */
const mouldedOf = ({ stock, foot, fit }: Asked, outline: FootOutline, asWanted: Lay): Moulded | undefined =>
  stock && !bends(stock.facts.kind)
    ? keptInReach(layMoulded(stock.facts, stock, { foot, fit, outline, asWanted }), stock.facts, foot)
    : undefined

/** What modifications are told of the plain shoe. */
function contextOf(
  { foot, assumed, fit, section, stock, nailsAsked }: Asked,
  plain: Rims,
  { outline, landmarks, widest }: Pick<Laid, 'outline' | 'landmarks' | 'widest'>,
): ShoeContext {
  const heelEndY = Math.min(plain.outer.points[0]![1], plain.outer.points[plain.outer.points.length - 1]![1])
  const school = () => breakoverInUse({ foot, assumed, widestKnown: widestKnown(assumed, widest), heelEndY })
  return {
    ...{ foot, assumed, outline, landmarks, fit, section, plain, rims: plain, ofSize: stock !== undefined },
    plainHoles: onceAsked(() => placeHoles(foot, outline, plain, nailsAsked)),
    schoolY: onceAsked(school),
  }
}

function refuse(...problems: readonly Problem[]): void {
  if (problems.length > 0) throw new ProblemError(problems)
}
