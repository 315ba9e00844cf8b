import type { FootMap, Iron, Plan, SectionForm, ShoeInput, SideView, Vec } from '@crescent/core'
import type { CardShown } from './card-picture'

/** What is pointed out on a picture: lines, filled areas, places; in the frame of the picture's view, mm. */
export interface Marks {
  lines?: readonly (readonly Vec[])[]
  areas?: readonly (readonly Vec[])[]
  spots?: readonly Vec[]
}

/** The bare sole, toe up: the foot's frame. */
interface SolePicture {
  view: 'sole'
  marks: (map: FootMap) => Marks
}
/** The sole with its shoe: the foot's frame. */
interface ShodPicture {
  view: 'shod'
  /** What the shoe has beside a plain one. */
  shoe?: Partial<ShoeInput>
  marks?: (plan: Plan) => Marks
}
/** The foot from its side: x ahead of the buttress, y up. */
interface SidePicture {
  view: 'side'
  marks: (side: SideView) => Marks
}
/** A cut through the outer branch, outer rim on the left: u in from the rim, z up from the ground. */
interface CutPicture {
  view: 'cut'
  shoe?: Partial<ShoeInput>
  marks?: (form: SectionForm) => Marks
}
/** A cut through the wall at a hole, with the way of the nail. */
interface NailPicture {
  view: 'nail'
  hole: number
  /** How far in from the outer rim the hole lies, mm; as it would be placed where it is not said. */
  inset?: number
}

/** The straight bar, outer branch on the left: x along it from its outer end, y up from its middle. */
interface BarPicture {
  view: 'bar'
  marks: (iron: Iron) => Marks
}

/** How the scale card is laid for a photograph. */
interface LaidCardPicture {
  view: 'card'
  shows: CardShown
}

/** A picture that explains: drawn from the same geometry as the Bench, on a foot like any other. */
export type HelpPicture =
  SolePicture | ShodPicture | SidePicture | CutPicture | NailPicture | BarPicture | LaidCardPicture
