import type { Request, Response } from 'express'
import { brotliCompressSync, constants } from 'node:zlib'
import { withoutPageGuards } from './page-guards'

/** Tighter packing of an answer saves a few hundred bytes and costs milliseconds. */
export const QUALITY = { [constants.BROTLI_PARAM_QUALITY]: 2 }

/** Characters of an answer that is packed at once: shorter ones go as they are, longer ones in a stream beside other work. */
const AT_ONCE = [1_024, 128_000] as const

/**
 * Sends JSON, packed where the other side takes it so. Middling answers are packed here and now: to hand them to another
 * thread and back takes longer than the packing does.
 */
export function sendJson(request: Request, response: Response, text: string): void {
  response.type('json')
  withoutPageGuards(response)
  const [least, most] = AT_ONCE
  if (text.length < least || text.length > most || request.acceptsEncodings('br', 'gzip') !== 'br') {
    response.send(text)
    return
  }
  response.vary('Accept-Encoding')
  response.set('Content-Encoding', 'br')
  response.send(brotliCompressSync(text, { params: QUALITY }))
}
