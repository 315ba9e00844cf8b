import type { ServerResponse } from 'node:http'
import helmet from 'helmet'

/** What a page may load. */
export const POLICY = 'Content-Security-Policy'

/** Guards every answer. */
export const pageGuards = () =>
  helmet({
    contentSecurityPolicy: {
      directives: {
        'script-src': ["'self'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        // A photograph is shown from the browser's own memory before anything of it is stored.
        'img-src': ["'self'", 'data:', 'blob:'],
        // Served over plain http on this machine: nothing to upgrade to.
        'upgrade-insecure-requests': null,
      },
    },
    strictTransportSecurity: false,
  })

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
