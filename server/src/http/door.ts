import type * as z from 'zod'

/** One thing wrong with a request, as the answer lists it. */
export interface RequestProblem {
  path: string
  message: string
}

/** The request cannot be taken; every problem is listed. */
export class BadRequest extends Error {
  constructor(readonly problems: RequestProblem[]) {
    super(problems.map((problem) => `${problem.path}: ${problem.message}`).join('; '))
    this.name = 'BadRequest'
  }
}

/** The request makes no sense as things stand. */
export class Refused extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'Refused'
  }
}

/** Something else is under way that must end first; the same request passes later. */
export class Busy extends Error {}

/** There is no such record, or it has no such part: then the sentence says which. */
export class NotFound extends Error {
  constructor(what: string, sentence = `There is no ${what} with this id`) {
    super(sentence)
    this.name = 'NotFound'
  }
}

/** What does not fit a schema, by path. */
export const problemsOf = ({ issues }: z.ZodError): RequestProblem[] =>
  issues.map(({ path, message }) => ({ path: path.map(String).join('.'), message }))

/**
 * Reads what came in through its schema.
 *
 * @throws BadRequest with a path and a message for everything that does not fit
 */
export function read<S extends z.ZodType>(schema: S, value: unknown): z.output<S> {
  const result = schema.safeParse(value)
  if (result.success) return result.data
  throw new BadRequest(problemsOf(result.error))
}
