import { isPunched } from '../nails/factory-holes'
import type { Nail } from '../nails/nails'
import { length, told, type Told } from '../notices/told'
import type { FootInput } from '../records/foot'
import type { ShoeInput } from '../records/shoe'
import type { SizeFacts } from '../records/size'
import { onceAsked } from '../geometry/when-asked'
import { bends } from '../terms/size-kinds'
import type { Verdict } from '../terms/verdicts'
import { byHalf, type Half } from '../terms/half'
import { creaseFrom } from '../shoe/moulded/crease-room'
import { laidFoot, type LaidFoot } from './laid-foot'
import { mouldedOnFoot } from './read-moulded'
import { toeOff } from './toe-off'
import { sizeOnFoot, type SizeOnFoot } from './read-size'
import { weighed, type SizeUse, type Weighed } from './use'

/** A size as it stands among the others for one foot. Lengths in mm. */
export interface RankedSize extends Omit<SizeOnFoot, 'nails' | 'verdicts'> {
  label: string
  /** Its toe is so much rounder across the toe quarters than the foot's, once it is as wide; minus is more pointed. */
  reshapeToe: number
  /** Its toe is so far off that it is reshaped. */
  toeOff: boolean
  /** It can be shaped to this foot and nailed on it. */
  possible: boolean
  /** Each hole with its verdict, lateral ones first. */
  holes: { branch: Half; number: number; verdict: Nail['verdict']; why: Told }[]
  /** Holes that hold and hurt nothing. */
  nailsLeft: Record<Half, number>
  /** What speaks for it, and what against it. */
  reasons: Told[]
  /** What it would need, as it counts here; less is better. */
  cost: number
}

/** Opened or closed by more than this a shoe has lost its shape, mm (common practice, no source). */
const MOST_BENT = 16

/** A moulded shoe is laid as it is: so much narrower than the foot it may be, mm; wider, as far as it can be trimmed. */
const MOULDED_NARROW = 1.5

/** Heels that end this far before where they should carry nothing, mm; a school of long heels asks for it, not the foot. */
const MOST_SHORT = 9

/** A matched outline: off by less than this nobody bends it, mm. */
export const MATCHED = 1.6

/** What each thing costs: of a millimetre bent, of the toe reshaped, over and short behind, of a nail that is lost, of the wrong pair, of the other school, of one that has to be fetched first. */
const COSTS = { bending: 1, toe: 0.5, over: 1.1, short: 1.8, nail: 4, otherFeet: 20, moulded: 10, notHere: 8 }

/** Nails a branch should have at least. */
const ENOUGH = 3

/** Verdicts with which a nail is driven. */
const HOLDS: readonly Verdict[] = ['sound', 'close', 'low', 'too-high', 'too-low']

/**
 * All sizes for a foot, the best first: those that can be laid, by what they would need; then the others. One that does not
 * hang on the van comes behind those that do and need little more.
 *
 * @throws ProblemError with every figure of foot or fit that is missing or not possible
 */
export function rankSizes(
  foot: FootInput,
  fit: ShoeInput['fit'],
  sizes: readonly (SizeFacts & { onVan?: number })[],
  use: SizeUse = {},
): RankedSize[] {
  const laid = laidFoot(foot, fit)
  const weights = weighed(use)
  // One shape of toe for each kind of feet, whatever the size: compared once.
  const toes = new Map<string, number>()
  const toeFor = ({ feet, web }: SizeFacts): number => {
    const known = toes.get(feet) ?? toeOff(laid, web, feet)
    toes.set(feet, known)
    return known
  }
  return sizes
    .map((facts) => ranked(laid, facts, weights, toeFor(facts)))
    .sort((a, b) => Number(b.possible) - Number(a.possible) || a.cost - b.cost)
}

function ranked(
  laid: LaidFoot,
  facts: SizeFacts & { onVan?: number },
  weights: Weighed,
  reshapeToe: number,
): RankedSize {
  const moulded = !bends(facts.kind)
  const on = moulded ? mouldedOnFoot(laid, facts) : sizeOnFoot(laid, facts)
  const { nails, openBy, heelLeft, heelToCut, heelBehind, shortOfBulbs } = on
  const { onVan } = facts
  const fits = bendable(facts, openBy) && Math.min(heelLeft.lateral, heelLeft.medial) > -MOST_SHORT
  // The holes of what cannot be laid anyway are looked at only by who asks for them; a moulded shoe is drilled where the
  // foot wants it.
  const { verdicts } = on
  const punched = fits && !moulded && isPunched(facts)
  const [lateral, medial] = punched ? [verdicts('lateral'), verdicts('medial')] : [NONE, NONE]
  const possible = fits && !lateral.includes('would-prick') && !medial.includes('would-prick')
  const lost = possible && punched ? missing(holding(lateral)) + missing(holding(medial)) : 0
  const cost =
    heelCost(on, weights) +
    (Math.abs(openBy) * COSTS.bending + Math.abs(reshapeToe) * COSTS.toe) * weights.bending +
    lost * COSTS.nail * weights.nails +
    (moulded ? COSTS.moulded * weights.moulded : 0) +
    (madeFor(facts, laid) ? 0 : COSTS.otherFeet) +
    (onVan === 0 ? COSTS.notHere : 0)
  const reasons = onceAsked(() => reasonsFor(on, moulded ? [] : nails(), laid, weights, reshapeToe))
  // Spelt out: thousands are made for one table. What is only read of a few is worked out when it is read.
  return {
    label: facts.label,
    facts,
    possible,
    openBy,
    reshapeToe,
    toeOff: Math.abs(reshapeToe) >= TOE_OFF,
    heelLeft,
    heelToCut,
    heelBehind,
    shortOfBulbs,
    cost,
    get holes() {
      return nails().map(({ branch, number, verdict, why }) => ({ branch, number, verdict, why }))
    },
    get nailsLeft() {
      return byHalf((branch) => holding(verdicts(branch)))
    },
    get reasons() {
      return reasons()
    },
  }
}

const NONE: readonly Verdict[] = []

const holding = (verdicts: readonly Verdict[]): number => verdicts.filter((one) => HOLDS.includes(one)).length

const missing = (nails: number): number => Math.max(0, ENOUGH - nails)

const bendable = (facts: SizeFacts, openBy: number): boolean =>
  bends(facts.kind) ? Math.abs(openBy) <= MOST_BENT : openBy <= MOULDED_NARROW && openBy >= -creaseFrom(facts)

const madeFor = ({ feet }: SizeFacts, { foot }: LaidFoot): boolean =>
  feet === 'either' || (feet === 'front') === foot.side.endsWith('F')

const heelCost = ({ heelLeft }: Pick<SizeOnFoot, 'heelLeft'>, weights: Weighed): number =>
  [heelLeft.lateral, heelLeft.medial].reduce(
    (sum, left) =>
      sum + (left > 0 ? left * COSTS.over * weights.longHeels : -left * COSTS.short * weights.shortHeels) / 2,
    0,
  )

type OnFoot = Omit<SizeOnFoot, 'nails' | 'verdicts'>

/** What speaks for a size and against it, in words. */
function reasonsFor(
  on: OnFoot,
  nails: readonly Nail[],
  laid: LaidFoot,
  weights: Weighed,
  reshapeToe: number,
): Told[] {
  return [
    ...(madeFor(on.facts, laid) ? [] : [told`Shaped for ${on.facts.feet} feet.`]),
    outlineReason(on, reshapeToe),
    ...toeReasons(on.facts, reshapeToe),
    ...heelReasons(on, weights),
    ...(bends(on.facts.kind) ? holeReasons(nails) : mouldedReasons(weights)),
  ]
}

/** What is said of every shoe that cannot be bent: why it is here, and why it stands behind those that can. */
const mouldedReasons = ({ forMoulded }: Weighed): Told[] => [
  'Its holes are drilled where this foot needs them.',
  forMoulded.length > 0
    ? `Moulded: asked for by ${forMoulded.join(' and ')}.`
    : 'Moulded, and dearer: it comes behind a shoe that is bent unless the sole asks for it.',
]

function outlineReason({ facts, openBy }: OnFoot, reshapeToe: number): Told {
  const by = Math.abs(openBy)
  if (by < MATCHED)
    return Math.abs(reshapeToe) < TOE_OFF
      ? 'Matches the outline as it is sold.'
      : 'As wide as the foot as it is sold.'
  const way = openBy > 0 ? 'Open' : 'Close'
  if (bends(facts.kind))
    return by <= MOST_BENT
      ? told`${way} it by ${length(by)}.`
      : told`${openBy > 0 ? 'Too narrow' : 'Too wide'} by ${length(by)}: no bending brings it there.`
  if (openBy < 0 && by <= creaseFrom(facts))
    return told`Wider than the foot by ${length(by)}: trim it outside, never into the crease.`
  return openBy > 0
    ? told`Too narrow by ${length(by)}, and moulded: it cannot be bent.`
    : told`Too wide by ${length(by)}: its crease begins ${length(creaseFrom(facts))} from the rim, and no saw goes into it.`
}

/** A toe is reshaped only where it is off by more than this across the toe quarters, mm (common practice, no source). */
const TOE_OFF = 3

function toeReasons({ kind }: SizeFacts, off: number): Told[] {
  const by = Math.abs(off)
  if (by < TOE_OFF) return []
  const rounder = off > 0 ? 'rounder' : 'more pointed'
  if (!bends(kind)) return [told`Its toe is ${length(by)} ${rounder} across the toe quarters, and stays so.`]
  return [told`${off > 0 ? 'Point' : 'Round'} its toe: ${length(by)} ${rounder} across the toe quarters.`]
}

/** A heel nearer to where it should end than this is there, mm. */
const THERE = 2.4

function heelReasons({ heelLeft }: OnFoot, weights: Weighed): Told[] {
  const { lateral, medial } = heelLeft
  const because = (said: readonly string[]) => (said.length > 0 ? ` for ${said.join(' and ')}` : '')
  const one = (left: number, whose: string): Told =>
    left > 0
      ? told`${length(left)} too much ${whose}${because(weights.againstLong)}.`
      : told`${whose.charAt(0).toUpperCase()}${whose.slice(1)} ${length(-left)} short${because(weights.againstShort)}.`
  if (Math.abs(lateral) < THERE && Math.abs(medial) < THERE) return ['The heels end where they should.']
  if (Math.abs(lateral - medial) < THERE) return [one((lateral + medial) / 2, 'heel')]
  return [
    ...(Math.abs(lateral) < THERE ? [] : [one(lateral, 'outer heel')]),
    ...(Math.abs(medial) < THERE ? [] : [one(medial, 'inner heel')]),
  ]
}

function holeReasons(nails: readonly Nail[]): Told[] {
  const nameOf = ({ branch, number }: Nail) => `${branch === 'lateral' ? 'Outer' : 'Inner'} hole ${number}`
  const inside = nails.filter(({ verdict }) => verdict === 'would-prick')
  if (inside.length > 0)
    return inside.map(
      (nail) =>
        told`${nameOf(nail)} lies ${length(nail.insideWall - nail.wallThickness)} inside the white line: never a nail there.`,
    )
  const holding = nails.filter(({ verdict }) => HOLDS.includes(verdict)).length
  const ruledOut = nails.find(({ verdict }) => verdict === 'ruled-out')
  const limited = ruledOut ? [ruledOut.why] : []
  if (nails.length === 0) return ['It has no holes: they are punched or drilled where this foot needs them.']
  return [
    ...limited,
    holding === nails.length
      ? 'Every hole lies over the wall.'
      : `${holding} of its ${nails.length} holes can be driven.`,
  ]
}
