import type { Request, RequestHandler, Response } from 'express'
import express from 'express'
import * as z from 'zod'
import type { Refusal } from '@crescent/core'
import { read } from './door'
import { Passwords, type RefusedPassword } from './passwords'
import { STAYS, type Sessions } from './sessions'
import type { DescribedRoute } from './route'

/** What programs read again and again that keep no session: they send the password with each request (RFC 7617). */
const FEEDS: readonly string[] = ['/calendar.ics']
const ASKED = 'Sign in with the password of this practice'

const signInSchema = z.object({ password: z.string().max(1_000) })

/** What the door needs to know. */
interface Door {
  password: string
  /** Where it is kept who is signed in. */
  sessions: Sessions
  /** It is opened at an address with https: then the cookie goes nowhere else. */
  secure: boolean
}

/**
 * One password for the practice, until there are accounts. Only its scrypt hash is held; a session is a random token in
 * a cookie that scripts cannot read and other sites do not send. A calendar that reads the feed sends the password itself.
 *
 * @returns what is mounted before the routes: it answers `/session` and keeps everybody out who did not sign in
 */
export function signIn({ password, sessions, secure }: Door): RequestHandler {
  const passwords = new Passwords(password)
  // The prefix has browsers see to it that no other address of the host set it (RFC 6265bis, cookie name prefixes).
  const name = secure ? '__Host-crescent' : 'crescent'
  const cookie = (token: string, seconds: number): string =>
    `${name}=${token}; HttpOnly; SameSite=Strict; Path=/; Max-Age=${seconds}${secure ? '; Secure' : ''}`
  const sessionOf = (request: Request) => sessions.of(tokensOf(request, name))
  const turnAway = (response: Response, { status, wait, message }: RefusedPassword) => {
    if (wait !== undefined) response.set('Retry-After', String(wait))
    refuse(response, status, message)
  }

  const router = express.Router()
  router.get('/session', (request, response) => {
    response.json({ needed: true, in: sessionOf(request) !== undefined })
  })
  router.post('/session', express.json({ limit: '4kb' }), async (request, response) => {
    const { password: given } = read(signInSchema, request.body)
    const refused = await passwords.judge(callerOf(request), given)
    if (refused) return turnAway(response, refused)
    const token = sessions.begin(request.headers['user-agent'] ?? '')
    response.set('Set-Cookie', cookie(token, STAYS / 1_000))
    response.json({ needed: true, in: true })
  })
  router.post('/session/end', (request, response) => {
    const own = sessionOf(request)
    if (own) sessions.end(own.id)
    response.set('Set-Cookie', cookie('', 0))
    response.json({ needed: true, in: false })
  })
  router.use(async (request, response, next) => {
    const own = sessionOf(request)
    if (own) {
      response.locals['session'] = own.id
      return next()
    }
    if (request.method === 'GET' && FEEDS.includes(request.path)) {
      const given = basicPassword(request.headers.authorization)
      const refused =
        given === undefined
          ? { status: 401 as const, message: ASKED }
          : await passwords.judge(callerOf(request), given)
      if (!refused) return next()
      response.set('WWW-Authenticate', 'Basic realm="Crescent", charset="UTF-8"')
      return turnAway(response, refused)
    }
    refuse(response, 401, ASKED)
  })
  router.get('/session/all', (request, response) => {
    const own = sessionOf(request)
    response.json(sessions.all().map((one) => ({ ...one, own: one.id === own?.id })))
  })
  router.post('/session/:id/end', (request, response) => {
    sessions.end(request.params['id'])
    response.json({ needed: true, in: sessionOf(request) !== undefined })
  })
  return router
}

const sessionSchema = z.object({ needed: z.boolean().describe('a password is'), in: z.boolean() }).strict()

const listedSchema = z
  .object({
    id: z.string(),
    begun: z.iso.datetime(),
    seen: z.iso.datetime(),
    what: z.string().describe('what the browser calls itself'),
    own: z.boolean().describe('the one that asks'),
  })
  .strict()

/** The ways in, as the description tells of them; they are answered before all other routes. */
export const SESSION_ROUTES = [
  {
    method: 'get',
    path: '/session',
    summary: 'Whether a password is needed here, and whether who asks is signed in',
    answer: sessionSchema,
  },
  {
    method: 'post',
    path: '/session',
    summary: 'Sign in: the answer sets the session cookie. Only where a password is needed',
    answer: sessionSchema,
    body: signInSchema,
    answers: { 401: 'Not the password of this practice', 429: 'Too many at once: wait' },
  },
  {
    method: 'post',
    path: '/session/end',
    summary: 'Sign out. Only where a password is needed',
    answer: sessionSchema,
  },
  {
    method: 'get',
    path: '/session/all',
    summary: 'Who is signed in, used last first. Only where a password is needed',
    answer: z.array(listedSchema),
  },
  {
    method: 'post',
    path: '/session/:id/end',
    summary: 'Sign somebody out, on a telephone that was lost. Only where a password is needed',
    answer: sessionSchema,
  },
] as const satisfies readonly DescribedRoute[]

/** Who asks: by the address, or what a proxy that is trusted says it is. */
const callerOf = (request: Request): string => request.ip ?? ''

/** Whose session let a request in; none where no password is needed, or where it was sent with it. */
export const sessionKnown = (response: Response): string | undefined => {
  const known: unknown = response.locals['session']
  return typeof known === 'string' ? known : undefined
}

/** Where no password is set everybody on this machine is in. */
export const open: RequestHandler = (request, response, next) => {
  if (request.path === '/session') return void response.json({ needed: false, in: true })
  next()
}

const refuse = (response: Response, status: number, message: string) =>
  response.status(status).json({ errors: [{ path: '', message }] } satisfies Refusal)

/** The password of an Authorization header; whatever name stands before it. */
function basicPassword(header: string | undefined): string | undefined {
  const [, encoded] = /^Basic ([\w+/=]{1,2000})$/i.exec(header ?? '') ?? []
  const pair = encoded === undefined ? undefined : Buffer.from(encoded, 'base64').toString('utf8')
  const colon = pair?.indexOf(':') ?? -1
  return colon < 0 ? undefined : pair!.slice(colon + 1)
}

/** Every token of this name: one that another page of the host set does not stand in the way of ours. */
function tokensOf(request: Request, name: string): string[] {
  return (request.headers.cookie ?? '')
    .split(';')
    .map((part) => part.trim().split('='))
    .filter(([key, token]) => key === name && /^[\w-]{20,100}$/.test(token ?? ''))
    .map(([, token]) => token!)
    .slice(0, 10)
}
