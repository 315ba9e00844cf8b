import { ProblemError, type Refusal } from '@crescent/core'
import type { ErrorRequestHandler, RequestHandler } from 'express'
import { Damaged, NotABackup } from '../database/backup'
import { DataGone, faultInWords } from '../database/faults'
import { TooNew } from '../database/open'
import { Gone } from '../database/names'
import { Conflict, Misplaced } from '../database/record-table'
import { BadRequest, Busy, NotFound, Refused, type RequestProblem } from './door'

/** Answers a request for something that no route serves. */
export const noRoute: RequestHandler = (request, response) => {
  const message = `Nothing is served at ${request.method} ${request.path}`
  response.status(404).json({ errors: [{ path: '', message }] } satisfies Refusal)
}

/** After so long the same request is likely to pass, s. */
const COME_AGAIN = 2

/** Turns what was thrown into a status and a list of problems; what nobody foresaw is logged and not told. */
export const answerError: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) return next(error)
  const [status, body] = toAnswer(error)
  if (error instanceof Busy) response.set('Retry-After', String(COME_AGAIN))
  if (status === 500) request.log?.error({ err: error }, 'request failed')
  response.status(status).json(body)
}

/** The status and the words for whatever was thrown. */
export function toAnswer(error: unknown): [number, Refusal] {
  const one = (status: number, message: string): [number, Refusal] => [
    status,
    { errors: [{ path: '', message }] },
  ]
  if (error instanceof BadRequest) return [400, { errors: limited(error.problems) }]
  if (error instanceof ProblemError) {
    return [400, { errors: limited(error.problems.map(({ path, message }) => ({ path, message }))) }]
  }
  if (error instanceof NotABackup || error instanceof TooNew) return one(400, error.message)
  if (error instanceof Damaged || error instanceof DataGone) return one(503, error.message)
  if (error instanceof Busy) return one(503, error.message)
  if (error instanceof Gone) return one(410, error.message)
  if (error instanceof Misplaced) return one(400, error.message)
  if (error instanceof Refused) return one(409, error.message)
  if (error instanceof NotFound) return one(404, error.message)
  if (error instanceof Conflict) {
    const message = error.current
      ? 'Changed in another window since it was read'
      : 'This record is not here any more'
    return [409, { errors: [{ path: 'version', message }], current: error.current }]
  }
  const fault = faultInWords(error)
  if (fault) return one(503, `${fault}.`)
  if (isForeignKey(error)) return one(400, 'It points at a record that is not here')
  const status = (error as { status?: unknown } | null)?.status
  // Express's own readers: broken JSON, too large a body.
  if (typeof status === 'number' && status >= 400 && status < 500) {
    if (status !== 413) return one(status, 'The request could not be read')
    const { limit } = error as { limit?: unknown }
    const most = typeof limit === 'number' ? `: at most ${Math.round(limit / 1_048_576)} MB are` : ''
    return one(status, `Too large to be taken${most}`)
  }
  return one(500, 'Something went wrong here; nothing was stored')
}

/** As many problems are told; how many more there are is said. */
export const MOST_PROBLEMS = 100

const limited = (problems: readonly RequestProblem[]): RequestProblem[] =>
  problems.length <= MOST_PROBLEMS
    ? [...problems]
    : [
        ...problems.slice(0, MOST_PROBLEMS),
        { path: '', message: `And ${problems.length - MOST_PROBLEMS} more problems` },
      ]

const isForeignKey = (error: unknown): boolean =>
  (error as { code?: unknown } | null)?.code === 'SQLITE_CONSTRAINT_FOREIGNKEY'
