import type { Caution } from '../notices/caution'
import type { Landmarks } from '../foot/landmarks'
import type { Foot } from '../foot/measurements'
import type { FootFigureKey } from '../foot/figures'
import type { FootOutline } from '../foot/outline'
import type { Vec } from '../geometry/vector'
import type { NailHole } from '../nails/holes'
import type { NailPlan } from '../nails/nail-plan'
import type { Nail } from '../nails/nails'
import type { Section } from '../records/shoe'
import type { FigureKind } from '../units/figure'
import type { Fit } from '../shoe/fit'
import type { ForgingStep } from './forging'
import type { Swept } from './swept'
import type { Lay, LayPlace } from '../shoe/lay'
import type { BarPlace, Gathered } from '../shoe/profile'
import type { Rims } from '../shoe/rims'
import type { SectionForm } from '../shoe/section-form'
import type { PieceKind } from '../terms/template-kinds'
import type { Trait } from '../terms/traits'
import type { Told } from '../notices/told'

/**
 * What a modification is worked out from. Its fields and its lay are told the plain shoe laid under the foot;
 * everything else the shoe as all its modifications have laid it.
 */
export interface ShoeContext {
  foot: Foot
  assumed: readonly FootFigureKey[]
  outline: FootOutline
  landmarks: Landmarks
  fit: Fit
  section: Section
  /** It is a factory shoe, not turned from a bar. */
  ofSize: boolean
  rims: Rims
  /** The plain shoe, before any modification. */
  plain: Rims
  /** Where the holes of the plain shoe lie; worked out when it is asked for. */
  plainHoles: () => readonly NailHole[]
  /** Breakover by the school in use, y in the foot's frame, where it has an answer; worked out when it is asked for. */
  schoolY: () => number | undefined
  /** Where a bar closes the shoe behind its heels: its back edge, y. */
  closedAtY?: number
  /** Height added to the bar at a height of the foot's frame behind the heel ends, mm. */
  raisedBehind?: (y: number) => number
}

interface AnyField {
  key: string
  label: string
  where: Told
}

/** A figure of a modification: its field, range, default and help. */
export interface FigureField extends AnyField {
  kind: FigureKind
  /** It is laid out on the foot and grows with it; other lengths are of the bar. */
  ofFoot?: boolean
  options?: undefined
  /** What is possible beside the figures before it in the list. */
  range: (context: ShoeContext, before: Values) => readonly [number, number]
  /** What is taken where it is not said; the figures before it in the list are known. */
  fallback: (context: ShoeContext, before: Values) => number
}

/** A choice of a modification: one of several, by name. */
export interface ChoiceField extends AnyField {
  options: readonly string[]
  /** What is taken where it is not said. */
  fallback: (context: ShoeContext, before: Values) => string
}

export type ModificationField = FigureField | ChoiceField

/** Every figure and choice of a modification, given or taken by default; mm, degrees or plain numbers as its fields say. */
export type Values = Readonly<Record<string, number | string>>

/** What the fields of one modification come to: its own figures, and its choices by their names. */
export type FiguresOf<F extends readonly ModificationField[]> = {
  readonly [P in F[number] as P['key']]: P extends { options: readonly (infer O)[] } ? O : number
}

/** The fields of a modification, with the names of its figures known. */
export const fieldsOf = <const F extends readonly ModificationField[]>(fields: F): F => fields

/** Bar that is turned behind the heels. */
export interface TurnedBar {
  /** mm. */
  length: number
  /** The middle of its web, from the lateral heel to the medial one; what is longer laps over itself. */
  run: readonly Vec[]
}

/** A piece beside the bar of the branches: seen on the drawing, and with its own line on the iron slip. */
export interface ShoePart {
  label: string
  /** How it is drawn: on the ground, up the wall, under frog or sole, between shoe and foot, screwed in, or only dressed. */
  layer: 'bar' | 'clip' | 'plate' | 'pad' | 'fitting' | 'dressed'
  /** The side of the shoe it is seen on, where it is not seen on both. */
  face?: 'ground' | 'foot'
  /** Closed, in the foot's frame. */
  edge: readonly Vec[]
  /** Made with the shoe and not in it: it has its line on the slip, the shoe does not weigh it. */
  spare?: boolean
  /** mm3 of material added to the shoe; 0 where it is drawn from the bar or only dressed. */
  volume: number
  /** From its underside to its top above the ground, mm; a flat bar's height where it is not said. */
  between?: readonly [number, number]
  /** What stands in it and fills it: closed lines within its edge. */
  pierced?: readonly (readonly Vec[])[]
  /** No upright block over its edge but a section carried along a line. */
  swept?: Swept
  /** Its underside comes down from nothing at the first y to its full depth at the second: rails. */
  taper?: readonly [number, number]
  /** A clip: about which station of the outer rim, its size, and how it leans with the wall, degrees. */
  tongue?: { station: number; width: number; height: number; thickness: number; lean: number }
  /** kg/m3, where it is not of the bar's metal. */
  density?: number
  /** One with the branches, turned from the same bar or welded to it: drawn as one outline with them, a line at each weld. */
  join?: { outline?: readonly Vec[]; welds: readonly (readonly Vec[])[] }
  /** Bar it takes on beyond the heel ends, where it is turned from the same bar: mm, half at either end. */
  ofTheBar?: number
  /** How that bar lies once it is as thick as the heels and turned behind them. */
  turned?: TurnedBar
  /** What to cut for it, where it is a piece of its own: width, thickness, length in mm, and how many alike. */
  stock?: { width: number; thickness: number; length: number; count?: number }
  /** Cut by a template of its own: along its edge, or along another where it is not drawn as it is cut. */
  template?: {
    kind: PieceKind
    edge?: readonly Vec[]
    /** mm; without a diameter the middle is punched. */
    holes?: readonly { at: Vec; diameter?: number }[]
  }
}

/** A handle on the drawing: where it stands and how a figure follows the hand. */
export interface ModificationHandle {
  /** The field it changes. */
  field: string
  point: Vec
  /** Unit direction along which a pull changes the figure. */
  along: Vec
  /** Change of the figure for a millimetre of pull; 1 where it is not said. */
  per?: number
  /** Where it is seen: on the sole, or from the side, where x is y of the foot's frame and y the height. */
  view?: 'side'
}

/** A construction line that shows a rule. */
export interface Guide {
  label: string
  line: readonly Vec[]
}

/** A place of the bar to mark because something is made there: station on the outer rim. */
export interface WorkMark {
  label: string
  station: number
}

/** Something that is due some days after the shoe went on. */
export interface CourseStep {
  label: string
  fromDay: number
  toDay: number
}

/** Holes that are drilled for a modification. Diameter in mm. */
export interface DrilledHoles {
  what: string
  drill: number
  count: number
  /** The thread that is cut into them. */
  tap?: string
}

/** Where a modification is looked for. */
export const MODIFICATION_GROUPS = [
  { key: 'clips', label: 'Clips' },
  { key: 'toe', label: 'Toe and breakover' },
  { key: 'heels', label: 'Heels and bars' },
  { key: 'branches', label: 'Branches' },
  { key: 'plates', label: 'Plates, pads, expander' },
  { key: 'wear', label: 'Wear and grip' },
  { key: 'surfaces', label: 'Crease and edges' },
] as const
export type ModificationGroup = (typeof MODIFICATION_GROUPS)[number]['key']

/** What is read of the shoe as it is made, for what is told of it. */
export interface MadeShoe {
  /** Degrees by which it raises the heels on a hard floor. */
  raised: number
  nails: readonly Nail[]
}

/** One modification: what it is for, its figures, and what it does to outline, bar, breakover, nails and cautions. */
export interface ModificationWith<V> {
  kind: string
  group: ModificationGroup
  label: string
  purpose: string
  fields: readonly ModificationField[]
  /** Kinds it cannot stand beside, each with the reason. Said by one of the two. */
  excludes?: Readonly<Record<string, string>>
  /** What it brings to a shoe that advice may ask for or speak against. */
  brings?: readonly Trait[]
  /** Its metal is drawn, upset or turned while the bar is straight: no factory shoe is made so. */
  ofBar?: true
  /** It is forged of the metal or welded to it: no moulded shoe is made so. */
  ofMetal?: true
  /** Kinds it may stand beside with a warning. */
  warns?: Readonly<Record<string, string>>
  /** Why it cannot be made for this foot and shoe, where it cannot. */
  refuse?: (context: ShoeContext, values: V) => Told | undefined
  /** A change of the outline: branches, reach, web. */
  lay?: (lay: Lay, context: ShoeContext, values: V) => Lay
  /** Height forged onto the bar at a place, mm. */
  rise?: (place: LayPlace, context: ShoeContext, values: V) => number
  /** Height of a piece of its own set on the bar at a place, mm: the shoe stands higher, the bar does not bring it. */
  setOn?: (place: LayPlace, context: ShoeContext, values: V) => number
  /** Edges and faces forged: the metal moves aside and the web grows by it. */
  forge?: (form: SectionForm, place: LayPlace, context: ShoeContext, values: V) => SectionForm
  /** Edges rasped or ground: the bar must bring the metal, the finished shoe has lost it. */
  rasp?: (form: SectionForm, place: BarPlace, context: ShoeContext, values: V) => SectionForm
  /** Metal gathered in the bar: what a clip is drawn from, an upset. */
  gather?: (context: ShoeContext, values: V) => Gathered[]
  parts?: (context: ShoeContext, values: V) => ShoePart[]
  /** How far back it carries the bearing behind the heel ends, y in the foot's frame. */
  hindmost?: (context: ShoeContext, values: V) => number
  /** Nails it stands in for. */
  holdsLike?: number
  /** What it leaves of the holes. */
  nails?: (plan: NailPlan, context: ShoeContext, values: V) => NailPlan
  /** Between shoe and wall, mm: nails are longer by it. */
  padding?: (values: V) => number
  handles?: (context: ShoeContext, values: V) => ModificationHandle[]
  /** Marks on the straight bar beside holes and heel ends. */
  marks?: (context: ShoeContext, values: V) => WorkMark[]
  guides?: (context: ShoeContext, values: V) => Guide[]
  /** When it is done while the shoe is made. */
  forging?: (context: ShoeContext, values: V) => ForgingStep[]
  /** What follows in the weeks after. */
  course?: (context: ShoeContext, values: V) => CourseStep[]
  /** What is drilled for it, and tapped. */
  drilled?: (context: ShoeContext, values: V) => DrilledHoles[]
  /** What it comes to, in words, for the slip. */
  tell?: (context: ShoeContext, values: V, made: MadeShoe) => Told[]
  cautions?: (context: ShoeContext, values: V, made: MadeShoe) => Caution[]
}

/** One of all modifications: nobody who goes through the list knows its figures by name. */
export type Modification = ModificationWith<Values>

/** A modification whose hooks are told the figures of its own fields, by name. */
export const modificationOf = <const F extends readonly ModificationField[]>(
  one: ModificationWith<FiguresOf<F>> & { fields: F },
): Modification => one as unknown as Modification
