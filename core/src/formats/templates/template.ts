import type { Vec } from '../../geometry/vector'
import type { Plan } from '../../plan/plan'
import type { TemplateKind } from '../../terms/template-kinds'
import type { LengthStyle } from '../../units/length'
import type { DrawnLine, Layer } from '../drawing'

/** A piece of the work drawn at true size. */
export interface TrueSize {
  kind: TemplateKind
  /** Which side of it looks up from the paper, in a word or two; nothing where its name says it. */
  faces: string
  /** What is said where a shoe has no such piece. */
  missing: string
  /** It is drawn as the foot's frame has it seen from the ground, or from the foot: lateral changes sides. */
  from: 'ground' | 'foot' | 'bench'
  /** Its layers in the foot's frame, mm; none where the shoe has no such piece. */
  draw: (plan: Plan, style: LengthStyle) => Layer[]
}

/** A closed line. */
export const ring = (points: readonly Vec[]): DrawnLine => ({ points, closed: true })
/** An open line. */
export const open = (points: readonly Vec[]): DrawnLine => ({ points, closed: false })
