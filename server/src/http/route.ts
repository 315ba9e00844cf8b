import type { Request, RequestHandler, Response } from 'express'
import type * as z from 'zod'
import type { Practice } from '../database/practice'

/** What a route has at hand. */
export interface RouteContext {
  practice: Practice
  dataFolder: string
  request: Request
  response: Response
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
  /** Statuses it answers beside 200, with their meaning. */
  answers?: Record<number, string>
  /** Largest body, where it is more than the usual 1 MB. */
  limit?: string
  /** Answers JSON, unless it writes the response itself and returns undefined. */
  run: (context: RouteContext) => unknown
}

/** Wraps a route's work for Express: waits for it and sends what it returns as JSON. */
export const handler =
  (route: Route, practice: Practice, dataFolder: string): RequestHandler =>
  async (request, response) => {
    const answer = await route.run({ practice, dataFolder, request, response })
    if (answer !== undefined) response.json(answer)
  }
