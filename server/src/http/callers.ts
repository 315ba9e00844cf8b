import type { RequestHandler } from 'express'
import type { Refusal } from '@crescent/core'

/** Names and addresses by which a machine speaks of itself. */
export const isLoopback = (host: string): boolean =>
  host === 'localhost' || host.endsWith('.localhost') || host === '::1' || /^127\.\d+\.\d+\.\d+$/.test(host)

/** Methods that change nothing. */
const READING = ['GET', 'HEAD', 'OPTIONS']

/** The name in a Host header or an origin, without its port and without the brackets of an IPv6 address. */
export function nameOf(host: string): string | undefined {
  try {
    const { hostname } = new URL(`http://${host}`)
    return hostname.replace(/^\[|\]$/g, '').toLowerCase()
  } catch {
    return undefined
  }
}

/** Where this server listens, and the address it is opened at where that is another. */
export interface OwnAddress {
  host: string
  origin?: URL
}

/**
 * Lets in only who asks for this server by a name of its own. A page elsewhere whose name was made to point at this
 * machine speaks of that name, and is not answered; nor is one that would change something from another origin.
 * Scripts send no origin, and are answered.
 */
export function knownCallers({ host, origin }: OwnAddress): RequestHandler {
  const own = [host, ...(origin ? [origin.hostname] : [])].map((name) => name.toLowerCase())
  const isOurs = (header: string | undefined): boolean => {
    const name = header === undefined ? undefined : nameOf(header)
    return name !== undefined && (isLoopback(name) || own.includes(name))
  }
  return (request, response, next) => {
    const refuse = (message: string) =>
      response.status(403).json({ errors: [{ path: '', message }] } satisfies Refusal)
    const asked = request.headers.host
    if (!isOurs(asked))
      return refuse(
        'Crescent is not known by this name here: set CRESCENT_ORIGIN to the address it is opened at',
      )
    if (READING.includes(request.method)) return next()
    const from = request.headers.origin
    const site = request.headers['sec-fetch-site']
    const foreign =
      (from !== undefined && !sameOrigin(from, asked!, origin)) ||
      (site !== undefined && site !== 'same-origin' && site !== 'none')
    if (foreign) return refuse('A page of another origin may not change anything here')
    next()
  }
}

/** The page that sends is one this server gave out: at the address that was asked, or at the one it is set to. */
function sameOrigin(from: string, asked: string, configured: URL | undefined): boolean {
  if (configured && from === configured.origin) return true
  try {
    return new URL(from).host === new URL(`http://${asked}`).host
  } catch {
    return false
  }
}
