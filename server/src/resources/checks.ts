import { dayOn } from '../database/day-on'
import {
  checkJob,
  checkSize,
  checkWorkshop,
  lookProblems,
  problem,
  readFoot,
  resolveWorkshop,
  type FootRecord,
  type Job,
  type Look,
  type Problem,
  type PromisedCall,
  type Size,
  type Visit,
  type WorkshopRecord,
} from '@crescent/core'
import { courseProblems, type Course } from '@crescent/core/courses'

/** A finished visit may lie so far ahead: two clocks seldom agree to the hour. */
const AHEAD_DAYS = 2

const DAY = 24 * 3_600_000

/** What of a record cannot be though its form is right. The same for what is sent and for what is brought in. */
export const CHECKS = {
  visit: ({ date, state }: Visit): Problem[] => {
    const last = dayOn(new Date(Date.now() + AHEAD_DAYS * DAY))
    return state === 'done' && date > last
      ? [problem('date', `A visit that is finished lies between 1990-01-01 and ${last}`)]
      : []
  },
  footRecord: ({ foot }: FootRecord): Problem[] => {
    const read = readFoot(foot)
    return read.ok ? [] : read.problems
  },
  size: (size: Size): Problem[] => checkSize(size, ''),
  course: (course: Course): Problem[] => courseProblems(course),
  call: ({ about }: PromisedCall): Problem[] =>
    about.trim() === '' ? [problem('about', 'Say what the call is about')] : [],
  job: (job: Job): Problem[] => checkJob(job),
  look: (look: Look): Problem[] => lookProblems(look),
  workshop: ({ figures }: WorkshopRecord): Problem[] => checkWorkshop(resolveWorkshop(figures)),
}
