import type { Vec } from '../geometry/vector'
import type { FigureKind } from '../units/figure'

/** A place on a drawing where a hand takes hold of a figure: where it is, and how the figure follows a pull. */
export interface Handle {
  /** A name of its own among the handles that are shown together. */
  id: string
  /** The figure it stands for: `foot.width`, `fit.spread`, `mod.wedge.rise`, `nails.lateral.2.fromToe`. */
  path: string
  label: string
  kind: FigureKind
  value: number
  range: readonly [number, number]
  /** On the sole: in the foot's frame. From the side: y of that frame and height above the ground. */
  point: Vec
  view: 'sole' | 'side'
  /** Unit direction along which a pull changes the figure, and by how much for a millimetre. */
  along: Vec
  readonly per: number
  /** Its figure is never guessed and was not measured: the handle waits where the figure usually is. */
  unset?: boolean
}

/** The value a pull brings a handle's figure to: within what is possible, to a hundredth. */
export const heldWithin = ({ range: [low, high] }: Handle, value: number): number =>
  Math.round(Math.min(high, Math.max(low, value)) * 100) / 100
