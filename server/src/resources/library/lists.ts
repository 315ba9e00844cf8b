import * as z from 'zod'
import {
  footRecordSchema,
  horseSchema,
  lookSchema,
  sizeSchema,
  ownerSchema,
  visitSchema,
  trySchema,
  jobSchema,
  callSchema,
  courseSchema,
  pictureSchema,
  workshopRecordSchema,
  storedPatternSchema,
} from '@crescent/core/records/index'
import { planShoe, ProblemError, type Problem, type StoredPattern } from '@crescent/core'
import { CHECKS } from '../checks'
import type { Practice } from '../../practice'
import type { Stored } from '../../database/record-rows'
import type {} from '../../database/record-table'

/** What stands at the head of a library. */
export const HEAD = {
  format: z.literal('crescent-library'),
  formatVersion: z.literal(1),
  exportedAt: z.iso.datetime(),
  /** The practice it was written by; none where it has no name, or an older Crescent wrote it. */
  practice: z.string().max(200).optional(),
} as const

/** One list of a library: what its records are, and where they go. */
export interface LibraryList<T extends Stored = Stored> {
  /** What one of them is called. */
  kind: string
  schema: z.ZodType<T>
  /** What cannot be though its form is right: the same as when it is sent. */
  check: (record: T) => readonly Problem[]
  table: (practice: Practice) => { get(id: string): T | undefined; bringIn(record: T): T }
}

const list = <T extends Stored>(one: LibraryList<T>): LibraryList => one as unknown as LibraryList

/** A design that could not be made today is no pattern. */
function planProblems({ foot, shoe, workshop }: StoredPattern): readonly Problem[] {
  try {
    planShoe(foot, shoe, workshop)
    return []
  } catch (error) {
    if (error instanceof ProblemError) return error.problems
    throw error
  }
}

const none = (): Problem[] => []

/** The lists of a library in the order they are written in: what is pointed at comes before what points at it. */
export const LISTS: Readonly<Record<string, LibraryList>> = {
  owners: list({ kind: 'owner', schema: ownerSchema, check: none, table: ({ owners }) => owners }),
  horses: list({ kind: 'horse', schema: horseSchema, check: none, table: ({ horses }) => horses }),
  visits: list({ kind: 'visit', schema: visitSchema, check: CHECKS.visit, table: ({ visits }) => visits }),
  patterns: list({
    kind: 'pattern',
    schema: storedPatternSchema,
    check: planProblems,
    table: ({ patterns }) => patterns,
  }),
  // Earlier states of patterns: what could be made by the figures of their day is kept.
  patternVersions: list({
    kind: 'version',
    schema: storedPatternSchema,
    check: none,
    table: ({ patterns }) => patterns,
  }),
  footRecords: list({
    kind: 'foot',
    schema: footRecordSchema,
    check: CHECKS.footRecord,
    table: ({ footRecords }) => footRecords,
  }),
  looks: list({ kind: 'look', schema: lookSchema, check: CHECKS.look, table: ({ looks }) => looks }),
  sizes: list({ kind: 'size', schema: sizeSchema, check: CHECKS.size, table: ({ sizes }) => sizes }),
  tries: list({ kind: 'try', schema: trySchema, check: none, table: ({ tries }) => tries }),
  jobs: list({ kind: 'job', schema: jobSchema, check: CHECKS.job, table: ({ jobs }) => jobs }),
  courses: list({
    kind: 'course',
    schema: courseSchema,
    check: CHECKS.course,
    table: ({ courses }) => courses,
  }),
  calls: list({ kind: 'call', schema: callSchema, check: CHECKS.call, table: ({ calls }) => calls }),
  pictures: list({ kind: 'picture', schema: pictureSchema, check: none, table: ({ pictures }) => pictures }),
  workshop: list({
    kind: 'workshop',
    schema: workshopRecordSchema,
    check: CHECKS.workshop,
    table: ({ workshop }) => workshop,
  }),
}
