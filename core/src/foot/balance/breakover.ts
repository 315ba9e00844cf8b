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
  const schools = BREAKOVER_SCHOOLS.map(({ place, ...school }): SchoolResult => {
    const answer = place(context)
    if (!answer.found) return { ...school, answer }
    return { ...school, answer, lever: answer.y, ratio: answer.y / -context.heelEndY }
  })
  const inUse = context.foot.breakoverSchool
  const answer = schools.find(({ key }) => key === inUse)?.answer
  return { schools, inUse, ...(answer?.found && { y: answer.y }) }
}
