import type { BreakoverSchoolName } from '../../records/foot'
import type { BreakoverSchool, SchoolAnswer, SchoolContext } from './school'
import { BREAKOVER_SCHOOLS } from './schools/index'

/** One school beside the others. */
export type SchoolResult = Pick<BreakoverSchool, 'key' | 'label' | 'rule' | 'use' | 'vetLeads'> & {
  answer: SchoolAnswer
  /** With the breakover there: toe lever over the widest part, mm, and ratio of bearing ahead to behind. */
  lever?: number
  ratio?: number
}

/** Where every school puts the breakover, and the one in use. */
export interface Breakover {
  schools: SchoolResult[]
  inUse: BreakoverSchoolName
  /** By the school in use, y in the foot's frame, mm; none where it lacks something. */
  y?: number
}

/** Asks every school. They are never mixed: the one in use answers or nothing does. */
export function breakover(context: SchoolContext): Breakover {
  const schools = BREAKOVER_SCHOOLS.map((school) => resultOf(school, context))
  const inUse = context.foot.breakoverSchool
  const answer = schools.find(({ key }) => key === inUse)?.answer
  return { schools, inUse, ...(answer?.found && { y: answer.y }) }
}

/** Where the school in use puts the breakover, y in the foot's frame, mm, without asking the others. */
export function breakoverInUse(context: SchoolContext): number | undefined {
  const answer = BREAKOVER_SCHOOLS.find(({ key }) => key === context.foot.breakoverSchool)?.place(context)
  return answer?.found ? answer.y : undefined
}

// Spelt out: this runs at every plan, and a copy of all but one part takes ten times as long.
function resultOf({ key, label, rule, use, vetLeads, place }: BreakoverSchool, context: SchoolContext) {
  const answer = place(context)
  const result: SchoolResult = { key, label, rule, use, answer }
  if (vetLeads) result.vetLeads = vetLeads
  if (!answer.found) return result
  result.lever = answer.y
  result.ratio = answer.y / -context.heelEndY
  return result
}
