import type { Type } from '@angular/core'
import type { FootInput, Handle, Plan } from '@crescent/core'

/** A component of a step, brought when it is first shown. It takes what it needs from the desk and its services. */
export type Shown = () => Promise<Type<unknown>>

/** One way of looking at foot and shoe within a step. */
export interface BenchView {
  key: string
  label: string
  drawing: Shown
  /** It is read like a page: on a phone it is as tall as what is in it. */
  flow?: boolean
  /** It is fetched when somebody looks, not ahead of that. */
  heavy?: boolean
}

/** A step of the Bench. Everything of it lies in a folder of its own under `steps/`. */
export interface BenchStep {
  key: 'look' | 'map' | 'size' | 'shoe' | 'iron' | 'try' | 'nail'
  /** The key that opens it. */
  letter: string
  label: string
  /** It is there only once the foot and its shoe could be worked out; until then what is missing is asked for. */
  needsPlan: boolean
  /** It may be opened while something that was found still calls for the vet. */
  beforeGates: boolean
  /** Whose steps undo takes back. */
  undoes: 'look' | 'bench'
  /** What is measured and chosen. */
  panel: Shown
  /** What is seen; the first view unless another was chosen. */
  views: readonly [BenchView, ...BenchView[]]
  /** What stands beside the drawing. */
  beside: Shown
  /** What of this step stands in the slip, above what was agreed. */
  inSlip?: Shown
  /** The bar with its marks is part of it; elsewhere it is folded to a line. */
  showsBar?: true
  /** Widest part and breakover are drawn on the sole: the step in which they are judged. */
  judgesBalance?: boolean
  /** What can be taken hold of on the sole. */
  handles: (plan: Plan, foot: FootInput, landmarks: boolean) => readonly Handle[]
}
