import type { Request, RequestHandler, Response } from 'express'
import type { Practice } from '../../practice'
import { refuseBesideOthers, type Route } from '../route'
import { sendJson } from '../packed'
import { routeKey, type Answered, type Asked } from './asked'
import type { KeptAnswers } from './kept'
import type { Beside } from './pool'

/** Serves a route whose work is done beside: this thread hands over what was asked and sends what comes back. */
export function besideHandler(
  route: Route,
  practice: Practice,
  dataFolder: string,
  beside: Beside,
  kept: KeptAnswers,
): RequestHandler {
  return async (request, response) => {
    const known = route.method === 'get' ? kept.get(request.originalUrl) : undefined
    if (known) return send(request, response, known)
    const state = kept.state()
    const gone = new AbortController()
    response.once('close', () => gone.abort())
    const asked: Asked = {
      ...{ file: practice.db.name, dataFolder, route: routeKey(route) },
      ...{ params: { ...request.params } as Record<string, string>, query: { ...request.query } },
      ...(typeof request.body === 'string' && { text: request.body, json: Boolean(request.is('json')) }),
    }
    const answered = await beside.ask(route.beside!, asked, gone.signal).catch((error: unknown) => {
      // Nobody is there to be told.
      if (gone.signal.aborted) return undefined
      throw error
    })
    if (!answered) return
    if (route.afterwards && 'json' in answered) {
      refuseBesideOthers(practice)
      const { json } = answered
      const stored = await route.afterwards({ practice, request }, () => JSON.parse(json) as never)
      return sendJson(request, response, stored === undefined ? json : JSON.stringify(stored))
    }
    if (route.method === 'get') kept.keep(request.originalUrl, state, answered)
    send(request, response, answered)
  }
}

function send(request: Request, response: Response, answered: Answered): void {
  if ('refused' in answered) {
    const [status, body] = answered.refused
    if (answered.fault !== undefined) request.log?.error({ fault: answered.fault }, 'request failed')
    response.status(status).json(body)
    return
  }
  for (const [method, ...values] of answered.said)
    (response[method] as (...values: string[]) => unknown)(...values)
  if ('json' in answered) return sendJson(request, response, answered.json)
  const { file } = answered
  response.send(typeof file === 'string' ? file : Buffer.from(file.buffer, file.byteOffset, file.byteLength))
}
