import type { Course, CourseEntry } from '../records/course'

/** Steps that are neither done nor left out, by their days. */
export const openSteps = ({ steps, ended, archived }: Course): CourseEntry[] =>
  ended || archived
    ? []
    : steps
        .filter(({ done, skipped }) => done === null && !skipped)
        .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0))

/** How a step stands on a day. */
export type StepState = 'overdue' | 'today' | 'coming'

export const stepState = ({ date }: Pick<CourseEntry, 'date'>, day: string): StepState =>
  date < day ? 'overdue' : date === day ? 'today' : 'coming'
