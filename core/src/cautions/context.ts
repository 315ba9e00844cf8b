import type { Foot, ReadFoot } from '../foot/measurements'
import type { Balance } from '../foot/balance/balance'
import type { Landmarks } from '../foot/landmarks'
import type { WidestPart } from '../foot/widest-part'
import type { Iron } from '../iron/iron'
import type { FootOutline } from '../foot/outline'
import type { Nailing } from '../nails/nailing'
import type { Nail } from '../nails/nails'
import type { Cover } from '../shoe/cover'
import type { Section, SizeStock } from '../records/shoe'
import type { SuggestedSection } from '../shoe/common-sections'
import type { Fit } from '../shoe/fit'
import type { Rims } from '../shoe/rims'
import type { Caution } from '../notices/caution'

/** Everything a rule may look at: the plan, worked out. */
export interface CautionContext {
  foot: Foot
  questions: ReadFoot['questions']
  landmarks: Landmarks
  widest: WidestPart
  balance: Balance
  section: Section
  stock?: SizeStock
  /** How a shoe that cannot be bent meets wall and sole, mm. */
  moulded?: { standsOut: number; insideWall: number; onSole: { least: number; most: number } }
  suggestion: SuggestedSection
  fit: Fit
  rims: Rims
  iron: Iron
  nails: readonly Nail[]
  nailing: Nailing
  outline: FootOutline
  /** How far the rim stands outside the wall all round, where a modification laid it anew. */
  cover: readonly Cover[]
  /** Cautions the modifications bring. */
  chosen: readonly Caution[]
  /** Modifications that stand together with a warning. */
  together: readonly { title: string; text: string }[]
  /** Nails the clips stand in for. */
  heldByClips: number
}

/** A rule looks at the plan and says what may go wrong. */
export type CautionRule = (context: CautionContext) => Caution[]

/** One thing that may go wrong; nothing where it does not. */
export type OneCaution = (context: CautionContext) => Caution | undefined

/** Several of them as one rule, said in their order. */
export const ruleOf =
  (...each: readonly OneCaution[]): CautionRule =>
  (context) =>
    each.flatMap((one) => one(context) ?? [])
