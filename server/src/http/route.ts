import type { Request, RequestHandler, Response } from 'express'
import type * as z from 'zod'
import { checkStillThere } from '../database/faults'
import type { Practice } from '../practice'
import type { BesideKind } from './beside/asked'
import { Busy, read } from './door'
import { sendJson } from './packed'

/** What a route has at hand. */
export interface RouteContext<Body = unknown> {
  practice: Practice
  dataFolder: string
  request: Request
  response: Response
  /** What was sent, through the route's schema: the door has read it. Nothing where the route takes none, or streams. */
  body: Body
}

/** An answer that is JSON already. */
export class AsJson {
  constructor(readonly text: string) {}
}

/** One route: its address, what it takes and answers for the description, and what it does. */
export interface Route {
  method: 'get' | 'post' | 'put'
  /** Express style, `/horses/:id`. */
  path: string
  summary: string
  body?: z.ZodType
  /** Query parameters with what they mean. */
  query?: Record<string, string>
  /** What it answers with 200: as JSON, or as a file of one of these kinds. */
  answer: z.ZodType | { file: string | readonly string[] }
  /** Statuses it answers beside 200, with their meaning. */
  answers?: Record<number, string>
  /** Changes nothing that is stored, though it is no GET. */
  reads?: boolean
  /** How much a body may weigh, where it holds more than figures. */
  most?: string
  /** Takes the body piece by piece as it comes; it is not read beforehand. */
  streams?: boolean
  /**
   * Takes longer than others may wait, so it is done in a thread beside: its request is only its parameters, query and
   * body, its database only read, its response only said what it is and sent at once.
   */
  beside?: BesideKind
  /**
   * What of its answer is stored afterwards, here, in one go: it returns what is answered then, or undefined where the
   * answer goes out as it came. It reads the answer only where it needs it: a long one takes its time.
   */
  afterwards?: (context: Pick<RouteContext, 'practice' | 'request'>, answered: () => never) => unknown
  /** What it returns is answered as JSON, or as it is where it is {@link AsJson}; undefined where it wrote the response itself. */
  run: (context: RouteContext) => unknown
}

/** What is told of a route to who would call it. */
export type DescribedRoute = Omit<Route, 'run'>

/** A route that takes a body: its work is told it as the schema reads it. */
export const withBody = <S extends z.ZodType>(
  route: Omit<Route, 'body' | 'run'> & { body: S; run: (context: RouteContext<z.output<S>>) => unknown },
): Route => route as unknown as Route

/** What one long change says while others have to wait for it. */
const underWay = new WeakMap<Practice, string>()

/**
 * Does something long that nothing may change the data beside.
 *
 * @param what said to who would change something meanwhile
 * @throws Busy where another such thing is under way
 */
export async function alone<T>(practice: Practice, what: string, work: () => Promise<T>): Promise<T> {
  const before = underWay.get(practice)
  if (before !== undefined) throw new Busy(`${before}: try again when it is done`)
  underWay.set(practice, what)
  try {
    return await work()
  } finally {
    underWay.delete(practice)
  }
}

/**
 * Whoever writes takes his turn: asked where he begins, and again after anything he waited for.
 *
 * @throws Busy while something is done that nothing may be stored beside; waiting for it would hold up everybody
 */
export function refuseBesideOthers(practice: Practice): void {
  const waitFor = underWay.get(practice)
  if (waitFor !== undefined) throw new Busy(`${waitFor}: try again when it is done`)
  checkStillThere(practice.db)
}

/** Wraps a route's work for Express: reads what was sent, waits for the work and sends what it returns as JSON. */
export const handler =
  (route: Route, practice: Practice, dataFolder: string): RequestHandler =>
  async (request, response) => {
    if (route.method !== 'get' && !route.reads) refuseBesideOthers(practice)
    const body = route.body && !route.streams ? read(route.body, request.body) : undefined
    const answer = await route.run({ practice, dataFolder, request, response, body })
    if (answer !== undefined)
      sendJson(request, response, answer instanceof AsJson ? answer.text : JSON.stringify(answer))
  }
