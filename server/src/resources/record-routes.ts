import { ProblemError, type Problem } from '@crescent/core'
import { daySchema } from '@crescent/core/records/index'
import type * as z from 'zod'
import type { Practice } from '../practice'
import type { Stored } from '../database/record-rows'
import type {} from '../database/record-table'
import { BadRequest, NotFound } from '../http/door'
import { withBody, type Route } from '../http/route'

/** @throws ProblemError where there are any */
export function refuse(problems: readonly Problem[]): void {
  if (problems.length > 0) throw new ProblemError(problems)
}

/** One kind of record, as its routes need to know it. */
interface RecordKind<T extends Stored> {
  path: string
  /** What one of them is called. */
  what: string
  schema: z.ZodType<T>
  table: (practice: Practice) => { get: (id: string) => T | undefined; put: (record: T) => T }
  /** What cannot be though its form is right. */
  check?: (record: T) => Problem[]
  /** What cannot be beside what is stored: looked at where it is stored, in one transaction with it. */
  beside?: (practice: Practice, record: T) => Problem[]
  /** How it is kept, where that is not just as it was sent. */
  kept?: (record: T) => T
  /** What is answered, where more is stored than is sent. */
  stored?: z.ZodType
  /** How much one of them may weigh, where it holds more than figures. */
  most?: string
}

/** Reading one record and storing one, the same for every resource. */
export function recordRoutes<T extends Stored>({
  path,
  what,
  schema,
  table,
  check = () => [],
  beside = () => [],
  kept = (record) => record,
  stored = schema,
  most,
}: RecordKind<T>): Route[] {
  return [
    {
      method: 'get',
      path: `/${path}/:id`,
      summary: `One ${what}`,
      answer: stored,
      answers: { 404: `No such ${what}` },
      run: ({ practice, request }) => {
        const record = table(practice).get(request.params['id'] as string)
        if (!record) throw new NotFound(what)
        return record
      },
    },
    withBody({
      method: 'put',
      path: `/${path}/:id`,
      summary: `Store a ${what}: version 0 makes a new one, otherwise the version that was read`,
      body: schema,
      answer: stored,
      ...(most !== undefined && { most }),
      answers: {
        400: 'What does not fit, by path',
        409: 'Changed elsewhere since it was read; `current` is what is stored',
      },
      run: ({ practice, request, body: record }) => {
        if (record.id !== request.params['id']) {
          throw new BadRequest([{ path: 'id', message: 'The id differs from the one in the address' }])
        }
        refuse(check(record))
        const asKept = kept(record)
        return practice.db
          .transaction(() => {
            refuse(beside(practice, asKept))
            return table(practice).put(asKept)
          })
          .immediate()
      },
    }),
  ]
}

/** The `search`, `archived` and `limit` of a list. */
export function listQuery(query: Record<string, unknown>): {
  search: string
  archived: boolean
  limit: number
} {
  const limit = query['limit'] === undefined ? 50 : Number(query['limit'])
  if (!Number.isInteger(limit) || limit < 1 || limit > 500) {
    throw new BadRequest([{ path: 'limit', message: 'A limit lies between 1 and 500' }])
  }
  return {
    search: typeof query['search'] === 'string' ? query['search'] : '',
    archived: query['archived'] === 'true',
    limit,
  }
}

export const LIST_QUERY = {
  search: 'words that must all be found',
  archived: 'true for the archived ones',
  limit: '1 to 500, else 50',
}

/** @throws BadRequest where it is no day */
export function dayAsked(sent: unknown): string {
  const date = daySchema.safeParse(sent)
  if (date.success) return date.data
  throw new BadRequest([{ path: 'date', message: 'A day is needed, written 2026-11-23' }])
}
