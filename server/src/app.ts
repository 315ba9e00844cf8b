import compression from 'compression'
import { join } from 'node:path'
import express, { type Express, type RequestHandler, type Router } from 'express'
import { ipKeyGenerator, rateLimit } from 'express-rate-limit'
import { pino, type Logger } from 'pino'
import type { Config } from './config'
import type { Practice } from './practice'
import { knownCallers } from './http/callers'
import { besideHandler } from './http/beside/handler'
import { KeptAnswers } from './http/beside/kept'
import { besideInThreads, type Beside } from './http/beside/pool'
import { answerError, noRoute } from './http/errors'
import { MonotonicStore } from './http/monotonic-store'
import { describeRoutes } from './http/openapi'
import { QUALITY } from './http/packed'
import { pageGuards } from './http/page-guards'
import { requestLog } from './http/request-log'
import { handler } from './http/route'
import { serveScreens } from './http/screens'
import { privateFolder } from './database/files'
import { Sessions } from './http/sessions'
import { open, SESSION_ROUTES, sessionKnown, signIn } from './http/sign-in'
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
  beside: Beside = besideInThreads(),
): Express {
  const app = express()
  app.disable('x-powered-by')
  // Callers are counted by their address: behind a proxy by what it says, where it is one that was named.
  if (config.proxy !== undefined) app.set('trust proxy', config.proxy)
  // Answers are never kept by who asked (no-store): a mark to ask by again would be worked out for nobody.
  app.disable('etag')
  app.use(pageGuards())
  // What is not packed at once; the screens are packed at the build.
  app.use(compression({ brotli: { params: QUALITY } }))
  app.use(requestLog(log))
  app.use(knownCallers(config))
  app.use('/api', api(practice, config, beside))
  serveScreens(app, config.webFolder)
  app.use(noRoute)
  app.use(answerError)
  return app
}

/** Everybody on this machine is let in, or who knows the password. */
function door({ password, dataFolder, origin }: Config): RequestHandler {
  if (password === undefined) return open
  const sessions = new Sessions(join(privateFolder(dataFolder), 'sessions.sqlite'), password)
  return signIn({ password, sessions, secure: origin?.protocol === 'https:' })
}

function api(practice: Practice, config: Config, beside: Beside): Router {
  const { dataFolder } = config
  const router = express.Router()
  router.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store')
    next()
  })
  router.use(door(config))
  // Enough for the quickest hand, not for a script gone wild. Behind the door, and each who is signed in by himself: nobody
  // at the same address shuts him out, nor keeps the right password from being heard.
  router.use(
    rateLimit({
      windowMs: WINDOW,
      limit: 2_000,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      keyGenerator: ({ ip = '' }, response) => sessionKnown(response) ?? ipKeyGenerator(ip),
      store: new MonotonicStore(WINDOW),
      // Anybody may send such a header; it counts only from a proxy that was named.
      validate: { xForwardedForHeader: false },
    }),
  )
  router.get('/openapi.json', (_request, response) => void response.json(describedRoutes()))
  const readJson = express.json({ limit: '1mb' })
  const kept = new KeptAnswers(practice)
  for (const route of routes) {
    const run = route.beside
      ? besideHandler(route, practice, dataFolder, beside, kept)
      : handler(route, practice, dataFolder)
    if (route.streams) router[route.method](route.path, run)
    // Read where it is worked on.
    else if (route.beside && route.body)
      router[route.method](route.path, express.text({ type: () => true, limit: route.most ?? '1mb' }), run)
    else router[route.method](route.path, route.most ? express.json({ limit: route.most }) : readJson, run)
  }
  router.use(noRoute)
  return router
}
