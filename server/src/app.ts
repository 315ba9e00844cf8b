import { existsSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import packedStatic from 'express-static-gzip'
import express, { type Express } from 'express'
import { rateLimit } from 'express-rate-limit'
import helmet from 'helmet'
import { pino, type Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import type { Config } from './config'
import type { Practice } from './practice'
import { knownCallers } from './http/callers'
import { answerError, noRoute } from './http/errors'
import { MonotonicStore } from './http/monotonic-store'
import { describeRoutes } from './http/openapi'
import { QUALITY } from './http/packed'
import { POLICY, withoutPageGuards } from './http/page-guards'
import { handler } from './http/route'
import { open, SESSION_ROUTES, signIn } from './http/sign-in'
import { routes } from './resources'

/** What is told of the whole API: worked out when it is first asked for, or each start would wait for it. */
const describedRoutes = (): object => (description ??= describeRoutes([...SESSION_ROUTES, ...routes]))
let description: object | undefined

/** Requests are counted within this, ms. */
const WINDOW = 10_000

/** The whole server as an Express application: the API under /api, the screens everywhere else. */
export function makeApp(
  practice: Practice,
  config: Config,
  log: Logger = pino({ level: config.logLevel }),
): Express {
  const app = express()
  app.disable('x-powered-by')
  // Answers are never kept by who asked (no-store): a mark to ask by again would be worked out for nobody.
  app.disable('etag')
  app.use(
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
    }),
  )
  // What is not packed at once; the screens are packed at the build.
  app.use(compression({ brotli: { params: QUALITY } }))
  app.use(
    pinoHttp({
      logger: log,
      autoLogging: { ignore: (request) => !request.url?.startsWith('/api') },
      // Without the query: what somebody searches for is nobody else's business. No headers: they carry the session.
      serializers: {
        req: ({ id, method, url }: { id: unknown; method: string; url: string }) => ({
          id,
          method,
          url: url.split('?')[0],
        }),
        res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
      },
    }),
  )

  app.use(knownCallers(config))
  const api = express.Router()
  // Enough for the quickest hand, not for a script gone wild.
  api.use(
    rateLimit({
      windowMs: WINDOW,
      limit: 2_000,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      store: new MonotonicStore(WINDOW),
    }),
  )
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store')
    next()
  })
  api.use(config.password === undefined ? open : signIn(config.password))
  api.get('/openapi.json', (_request, response) => void response.json(describedRoutes()))
  const readJson = express.json({ limit: '1mb' })
  for (const route of routes) {
    const run = handler(route, practice, config.dataFolder)
    if (route.streams) api[route.method](route.path, run)
    else api[route.method](route.path, route.most ? express.json({ limit: route.most }) : readJson, run)
  }
  api.use(noRoute)
  app.use('/api', api)
  serveScreens(app, config.webFolder)
  app.use(noRoute)
  app.use(answerError)
  return app
}

const SCRIPTS = "script-src 'self'"

/** Files are sent as the build packed them. Those with a hash in their name may be kept for ever; the page that names them must be asked for each time. */
function serveScreens(app: Express, folder: string): void {
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
