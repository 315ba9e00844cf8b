import type { Caution } from '../../cautions/caution'
import type { Landmarks } from '../../foot/landmarks'
import type { Foot } from '../../foot/measurements'
import type { FootFigureKey } from '../../foot/figures'
import type { FootOutline } from '../../foot/outline'
import type { Vec } from '../../geometry/vector'
import type { Section } from '../../records/shoe'
import type { FigureKind } from '../../units/figure'
import type { Fit } from '../fit'
import type { Profile } from '../profile'
import type { Rims } from '../rims'

/** What a modification is worked out from: the foot and the plain shoe laid under it. */
export interface ShoeContext {
  foot: Foot
  assumed: readonly FootFigureKey[]
  outline: FootOutline
  landmarks: Landmarks
  fit: Fit
  section: Section
  rims: Rims
  /** Breakover by the school in use, y in the foot's frame, where it has an answer. */
  schoolY?: number
}

/** A figure of a modification: its field, range, default and help. */
export interface ModificationField {
  key: string
  label: string
  kind: FigureKind
  where: string
  range: (context: ShoeContext) => readonly [number, number]
  fallback: (context: ShoeContext) => number
}

/** Every figure of a modification, given or taken by default; mm, degrees or plain numbers as its fields say. */
export type Values = Readonly<Record<string, number>>

/** A piece beside the bar of the branches: seen on the drawing, and with its own line on the iron slip. */
export interface Part {
  label: string
  /** How it is drawn: a bar on the ground, a clip on the wall's side, a plate under the frog, a place that is dressed. */
  layer: 'bar' | 'clip' | 'plate' | 'dressed'
  /** Closed, in the foot's frame. */
  edge: readonly Vec[]
  /** mm3 of metal added to the shoe; 0 where it is drawn from the bar or only dressed. */
  volume: number
  /** Bar it takes on beyond the heel ends, where it is turned from the same bar: mm, half at either end. */
  ofTheBar?: number
  /** What to cut for it, where it is a piece of its own: width, thickness, length in mm. */
  stock?: { width: number; thickness: number; length: number }
}

/** One modification: what it is for, its figures, and what it does to outline, bar, breakover, nails and cautions. */
export interface Modification {
  kind: string
  label: string
  purpose: string
  fields: readonly ModificationField[]
  /** Kinds it cannot stand beside, each with the reason. Said by one of the two. */
  excludes?: Readonly<Record<string, string>>
  /** Why it cannot be made for this foot and shoe, where it cannot. */
  refuse?: (context: ShoeContext, values: Values) => string | undefined
  /** A change of the bar's profile. */
  reshape?: (profile: Profile, context: ShoeContext, values: Values) => Profile
  parts?: (context: ShoeContext, values: Values) => Part[]
  /** Where the shoe breaks over with it, y in the foot's frame. */
  breakover?: (context: ShoeContext, values: Values) => number
  /** Nails it stands in for. */
  holdsLike?: number
  /** What it comes to, in words, for the slip. */
  tell?: (context: ShoeContext, values: Values) => string[]
  cautions?: (context: ShoeContext, values: Values) => Caution[]
}
