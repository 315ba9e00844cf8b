import type { ServerResponse } from 'node:http'

/** What a page may load. */
export const POLICY = 'Content-Security-Policy'

const OF_PAGES = [
  POLICY,
  'Cross-Origin-Opener-Policy',
  'Origin-Agent-Cluster',
  'X-DNS-Prefetch-Control',
  'X-Download-Options',
  'X-Frame-Options',
  'X-Permitted-Cross-Domain-Policies',
  'X-XSS-Protection',
]

/** Leaves off the guards that mean something for a page only: a script, a font or an answer in JSON is the smaller without them. */
export function withoutPageGuards(response: ServerResponse): void {
  for (const name of OF_PAGES) response.removeHeader(name)
}
