import { existsSync } from 'node:fs'
import { join } from 'node:path'
import type { Express } from 'express'
import packedStatic from 'express-static-gzip'
import { POLICY, withoutPageGuards } from './page-guards'

const SCRIPTS = "script-src 'self'"

/** The screens, wherever the API is not. Files are sent as the build packed them. Those with a hash in their name may be kept for ever; the page that names them must be asked for each time. */
export function serveScreens(app: Express, folder: string): void {
  const page = join(folder, 'index.html')
  if (!existsSync(page)) return
  app.use(
    packedStatic(folder, {
      index: false,
      enableBrotli: true,
      orderPreference: ['br'],
      serveStatic: {
        // Nothing is asked for in pieces, and an ETag says what a date would: some forty files come at the first look.
        acceptRanges: false,
        lastModified: false,
        setHeaders: (response, path) => {
          const lasting = /-[\w-]{8}\.\w+(\.br)?$/.test(path)
          response.setHeader('Cache-Control', lasting ? 'public, max-age=31536000, immutable' : 'no-cache')
          // A drawing can be opened as a page, and a worker is guarded by its own answer.
          const asPage = /\.svg|[\\/]worker-/.test(path)
          if (lasting && !asPage) withoutPageGuards(response)
          // Decoders of packed radiographs are wasm. They run in a worker, and nowhere else is wasm let in.
          if (/[\\/]worker-/.test(path))
            response.setHeader(
              POLICY,
              String(response.getHeader(POLICY)).replace(SCRIPTS, `${SCRIPTS} 'wasm-unsafe-eval'`),
            )
        },
      },
    }),
  )
  app.get('/{*path}', (request, response, next) => {
    if (!request.accepts('html')) return next()
    response.setHeader('Cache-Control', 'no-cache')
    response.sendFile(page)
  })
}
