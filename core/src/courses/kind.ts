import type { Told } from '../notices/told'
import type { CourseKey, Doer } from '../terms/courses'
import type { Sign } from '../terms/signs'

/** A step as the rules of a course have it. */
export interface StepRule {
  /** Days after the start. */
  day: number
  who: Doer
  label: Told
  /** What is done. */
  text?: Told
  /** What is measured and booked. */
  measure?: { label: string; kind: 'length' | 'angle' | 'number' }
  /** What would stop it. */
  stops?: string
}

/** Figures of the modification a course follows from, as it was put on the shoe. */
export type CourseFigures = Readonly<Record<string, string | number>>

/** The rules of a course (common practice, no source), as data. */
export interface CourseKind {
  key: CourseKey
  label: string
  use: string
  /** The vet leads: who it is must be said. */
  vetLeads?: true
  /** Modifications and advice it follows from. */
  follows: { modifications?: readonly string[]; advice?: readonly string[] }
  /** A step that was late puts off all that come after it by as much. */
  inTurn?: true
  steps: readonly StepRule[]
  /** The steps as the shoe asks for them, where they follow from its figures. */
  stepsFor?: (figures: CourseFigures) => readonly StepRule[]
  /** What should come if it works. */
  signs: readonly Sign[]
  /** What the owner does meanwhile, in plain words. */
  meanwhile: readonly Told[]
  /** What pain or failure looks like, for the owner. */
  pain: readonly string[]
  /** What stops the whole course. */
  stops: readonly string[]
}

/** The steps of a course, by the figures of the shoe where they are known. */
export const stepRules = ({ steps, stepsFor }: CourseKind, figures?: CourseFigures): readonly StepRule[] =>
  figures && stepsFor ? stepsFor(figures) : steps
