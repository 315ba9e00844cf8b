import type { Request, Response } from 'express'
import type { Practice } from '../../practice'
import { BadRequest, read } from '../door'
import { toAnswer } from '../errors'
import { AsJson, type Route } from '../route'
import type { Answered, Asked, Said } from './asked'

/**
 * Answers a request for a route outside of Express: what it does with the response is noted and done there later.
 * Never throws, not where the data cannot be opened either: a refusal is an answer too.
 */
export async function answerAsked(route: Route, open: () => Practice, asked: Asked): Promise<Answered> {
  try {
    const practice = open()
    const noted = new Noted()
    const { params, query, dataFolder } = asked
    const body = route.body ? read(route.body, bodyOf(asked)) : undefined
    const answer = await route.run({
      ...{ practice, dataFolder, body },
      // A route that goes beside asks for nothing else of them.
      request: { params, query } as unknown as Request,
      response: noted as unknown as Response,
    })
    if (noted.sent !== undefined) return { file: noted.sent, said: noted.said }
    return { json: answer instanceof AsJson ? answer.text : JSON.stringify(answer), said: noted.said }
  } catch (error) {
    const refused = toAnswer(error)
    return { refused, ...(refused[0] === 500 && { fault: (error as Error).stack ?? String(error) }) }
  }
}

/** The part of a response that such routes use. */
class Noted {
  readonly said: Said[] = []
  sent: Uint8Array | string | undefined

  attachment = (name: string): this => this.note(['attachment', name])
  type = (kind: string): this => this.note(['type', kind])
  set = (name: string, value: string): this => this.note(['set', name, value])
  send = (file: Uint8Array | string): this => {
    this.sent = file
    return this
  }

  private note(said: Said): this {
    this.said.push(said)
    return this
  }
}

function bodyOf({ text, json }: Asked): unknown {
  if (text === undefined || !json) return text
  try {
    return JSON.parse(text)
  } catch {
    throw new BadRequest([{ path: '', message: 'The request could not be read' }])
  }
}
