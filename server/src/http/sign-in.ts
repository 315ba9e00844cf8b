import { createHash, randomBytes, scryptSync, timingSafeEqual } from 'node:crypto'
import type { Request, RequestHandler, Response } from 'express'
import express from 'express'
import * as z from 'zod'
import type { Refusal } from '@crescent/core'
import { read } from './door'
import type { DescribedRoute } from './route'

const COOKIE = 'crescent'
/** How long somebody stays signed in, ms of a clock that only runs on. */
const STAYS = 30 * 24 * 3_600_000
/** So many wrong passwords in a row cost nothing; each further one doubles the wait, up to a minute. */
const FREE_TRIES = 3
const LONGEST_WAIT = 60_000

/** What programs read again and again that keep no session: they send the password with each request (RFC 7617). */
const FEEDS: readonly string[] = ['/calendar.ics']
const ASKED = 'Sign in with the password of this practice'

const signInSchema = z.object({ password: z.string().max(1_000) })

/**
 * One password for the practice, until there are accounts. Only its scrypt hash is held; a session is a random token in
 * a cookie that scripts cannot read and other sites do not send. A calendar that reads the feed sends the password itself.
 *
 * @returns what is mounted before the routes: it answers `/session` and keeps everybody out who did not sign in
 */
export function signIn(password: string): RequestHandler {
  const salt = randomBytes(16)
  const hash = scryptSync(password, salt, 32)
  // Tokens are held as hashes: who could read this memory could not sign in with it.
  const sessions = new Map<string, number>()
  let wrong = 0
  let waitUntil = 0

  const isIn = (request: Request): boolean => {
    const until = sessions.get(digest(tokenOf(request)))
    return until !== undefined && until > performance.now()
  }

  /** Judges a password: right, or how it is refused. */
  const judge = (given: string): { status: 401 | 429; wait?: number; message: string } | undefined => {
    const wait = Math.ceil((waitUntil - performance.now()) / 1_000)
    if (wait > 0) return { status: 429, wait, message: `Too many wrong passwords: wait ${wait} s` }
    if (!timingSafeEqual(scryptSync(given, salt, 32), hash)) {
      wrong++
      if (wrong >= FREE_TRIES)
        waitUntil = performance.now() + Math.min(LONGEST_WAIT, 1_000 * 2 ** (wrong - FREE_TRIES))
      return { status: 401, message: 'This is not the password of this practice' }
    }
    wrong = 0
    return undefined
  }
  const turnAway = (response: Response, { status, wait, message }: NonNullable<ReturnType<typeof judge>>) => {
    if (wait !== undefined) response.set('Retry-After', String(wait))
    refuse(response, status, message)
  }

  const router = express.Router()
  router.get('/session', (request, response) => void response.json({ needed: true, in: isIn(request) }))
  router.post('/session', express.json({ limit: '4kb' }), (request, response) => {
    const { password: given } = read(signInSchema, request.body)
    const refused = judge(given)
    if (refused) return turnAway(response, refused)
    const token = randomBytes(32).toString('base64url')
    for (const [one, until] of sessions) if (until <= performance.now()) sessions.delete(one)
    sessions.set(digest(token), performance.now() + STAYS)
    response.set('Set-Cookie', cookie(token, STAYS / 1_000))
    response.json({ needed: true, in: true })
  })
  router.post('/session/end', (request, response) => {
    sessions.delete(digest(tokenOf(request)))
    response.set('Set-Cookie', cookie('', 0))
    response.json({ needed: true, in: false })
  })
  router.use((request, response, next) => {
    if (isIn(request)) return next()
    if (request.method === 'GET' && FEEDS.includes(request.path)) {
      const given = basicPassword(request.headers.authorization)
      const refused = given === undefined ? { status: 401 as const, message: ASKED } : judge(given)
      if (!refused) return next()
      response.set('WWW-Authenticate', 'Basic realm="Crescent", charset="UTF-8"')
      return turnAway(response, refused)
    }
    refuse(response, 401, ASKED)
  })
  return router
}

const sessionSchema = z.object({ needed: z.boolean().describe('a password is'), in: z.boolean() }).strict()

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
    answers: { 401: 'Not the password of this practice', 429: 'Too many wrong ones: wait' },
  },
  {
    method: 'post',
    path: '/session/end',
    summary: 'Sign out. Only where a password is needed',
    answer: sessionSchema,
  },
] as const satisfies readonly DescribedRoute[]

/** Where no password is set everybody on this machine is in. */
export const open: RequestHandler = (request, response, next) => {
  if (request.path === '/session') return void response.json({ needed: false, in: true })
  next()
}

const refuse = (response: Response, status: number, message: string) =>
  response.status(status).json({ errors: [{ path: '', message }] } satisfies Refusal)

const cookie = (token: string, seconds: number): string =>
  `${COOKIE}=${token}; HttpOnly; SameSite=Strict; Path=/; Max-Age=${seconds}`

/** The password of an Authorization header; whatever name stands before it. */
function basicPassword(header: string | undefined): string | undefined {
  const [, encoded] = /^Basic ([\w+/=]{1,2000})$/i.exec(header ?? '') ?? []
  const pair = encoded === undefined ? undefined : Buffer.from(encoded, 'base64').toString('utf8')
  const colon = pair?.indexOf(':') ?? -1
  return colon < 0 ? undefined : pair!.slice(colon + 1)
}

const digest = (token: string): string => createHash('sha256').update(token).digest('hex')

function tokenOf(request: Request): string {
  const all = request.headers.cookie ?? ''
  return /(?:^|;\s*)crescent=([\w-]+)/.exec(all)?.[1] ?? ''
}
