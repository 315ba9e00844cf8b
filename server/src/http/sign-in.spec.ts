import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Express } from 'express'
import { pino } from 'pino'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { makeApp } from '../app'
import type { Config } from '../config'
import { besideHere, makeBed, type Bed } from '../testing'

let bed: Bed
beforeEach(() => (bed = makeBed({ password: 'oak and iron' })))
afterEach(() => bed.remove())
/** The application begun again on the same data. */
const appOf = (more: Partial<Config>): Express =>
  makeApp(
    bed.practice,
    {
      ...{
        dataFolder: bed.dataFolder,
        host: '127.0.0.1',
        port: 0,
        webFolder: bed.dataFolder,
        logLevel: 'silent',
      },
      ...more,
    },
    pino({ level: 'silent' }),
    besideHere(bed.practice),
  )
const signIn = (password: unknown) => request(bed.app).post('/api/session').send({ password })

describe('a practice with a password', () => {
  it('answers nothing of the practice before somebody signed in', async () => {
    for (const path of ['/api/workshop', '/api/library', '/api/backup', '/api/openapi.json', '/api/health'])
      await request(bed.app).get(path).expect(401)
    await request(bed.app).post('/api/backup').expect(401)
    expect((await request(bed.app).get('/api/session').expect(200)).body).toEqual({ needed: true, in: false })
  })

  it('lets in with the right one, by a cookie that scripts and other sites do not get', async () => {
    const answer = await signIn('oak and iron').expect(200)
    const cookie = answer.headers['set-cookie']![0]!
    expect(cookie).toMatch(/HttpOnly/)
    expect(cookie).toMatch(/SameSite=Strict/)
    const token = cookie.split(';')[0]!
    await request(bed.app).get('/api/workshop').set('Cookie', token).expect(200)
    await request(bed.app).get('/api/workshop').set('Cookie', `${token}x`).expect(401)
    await request(bed.app).post('/api/session/end').set('Cookie', token).expect(200)
    await request(bed.app).get('/api/workshop').set('Cookie', token).expect(401)
  })

  it('counts the requests of each who is signed in by himself, and none of who is not', async () => {
    const ask = (cookie: string) => request(bed.app).get('/api/workshop').set('Cookie', cookie)
    const left = async (cookie: string) =>
      Number(/;\s*r=(\d+)/.exec((await ask(cookie).expect(200)).headers['ratelimit'] as string)![1])
    const [mine, theirs] = await Promise.all(
      [1, 2].map(async () => (await signIn('oak and iron')).headers['set-cookie']![0]!.split(';')[0]!),
    )
    const most = await left(mine!)
    expect(await left(mine!)).toBe(most - 1)
    expect(await left(mine!)).toBe(most - 2)
    // From the same address: whatever another sends, and whoever is kept out, takes nothing from it.
    expect((await ask('').expect(401)).headers['ratelimit']).toBeUndefined()
    expect(await left(theirs!)).toBe(most)
    expect((await signIn('oak and iron').expect(200)).headers['ratelimit']).toBeUndefined()
  })

  it('answers who guesses late, and lets the right one in all the same, from anywhere', async () => {
    // Six from one caller at once: four are judged, the others told to wait.
    const guesses = await Promise.all(Array.from({ length: 6 }, (_, i) => signIn(`guess ${i}`)))
    expect(guesses.map(({ status }) => status).sort()).toEqual([401, 401, 401, 401, 429, 429])
    expect(guesses.find(({ status }) => status === 429)!.headers['retry-after']).toBe('2')
    for (let i = 0; i < 3; i++) {
      await signIn(`guess ${i}`).expect(401)
      await signIn('oak and iron').expect(200)
    }
  })

  it('keeps who is signed in over a restart, lists them, and ends one on a telephone that was lost', async () => {
    const cookieOf = async (what: string) =>
      (await signIn('oak and iron').set('User-Agent', what).expect(200)).headers['set-cookie']![0]!.split(
        ';',
      )[0]!
    const [phone, desk] = [await cookieOf('Telephone'), await cookieOf('Desk')]
    const again = appOf({ password: 'oak and iron' })
    const { body } = await request(again).get('/api/session/all').set('Cookie', desk).expect(200)
    const listed = body as { id: string; what: string; own: boolean }[]
    expect(listed.map(({ what, own }) => [what, own]).sort()).toEqual([
      ['Desk', true],
      ['Telephone', false],
    ])
    // What is listed opens nothing.
    expect(JSON.stringify(body)).not.toContain(phone.split('=')[1])
    const lost = listed.find(({ what }) => what === 'Telephone')!
    await request(again).post(`/api/session/${lost.id}/end`).set('Cookie', desk).expect(200)
    await request(again).get('/api/workshop').set('Cookie', phone).expect(401)
    await request(again).get('/api/workshop').set('Cookie', desk).expect(200)
    await request(again).get('/api/session/all').expect(401)
    // Neither the token nor the password lies in the file.
    const file = readFileSync(join(bed.dataFolder, 'sessions.sqlite'), 'latin1')
    expect(file.includes(desk.split('=')[1]!) || file.includes('oak and iron')).toBe(false)
    // Another password lets nobody stay.
    const anew = appOf({ password: 'ash and brass' })
    await request(anew).get('/api/workshop').set('Cookie', desk).expect(401)
  })

  it('at an address with https gives a cookie that goes nowhere else', async () => {
    const app = appOf({ password: 'oak and iron', origin: new URL('https://shoes.example') })
    const ask = (path: string) => request(app).get(path).set('Host', 'shoes.example')
    const answer = await request(app)
      .post('/api/session')
      .set('Host', 'shoes.example')
      .send({ password: 'oak and iron' })
      .expect(200)
    const cookie = answer.headers['set-cookie']![0]!
    expect(cookie).toMatch(
      /^__Host-crescent=[\w-]+; HttpOnly; SameSite=Strict; Path=\/; Max-Age=\d+; Secure$/,
    )
    const own = cookie.split(';')[0]!
    await ask('/api/workshop').set('Cookie', own).expect(200)
    await ask('/api/workshop').set('Cookie', own.replace('__Host-', '')).expect(401)
  })

  it('finds its cookie behind one of the same name that another page set', async () => {
    const own = (await signIn('oak and iron').expect(200)).headers['set-cookie']![0]!.split(';')[0]!
    const foreign = `crescent=${'x'.repeat(43)}`
    await request(bed.app).get('/api/workshop').set('Cookie', `${foreign}; ${own}`).expect(200)
    await request(bed.app).get('/api/workshop').set('Cookie', foreign).expect(401)
  })

  it('behind a proxy that is named tells its callers apart; others are not believed', async () => {
    const guess = (app: Express, from: string) =>
      request(app).post('/api/session').set('X-Forwarded-For', from).send({ password: 'guess' })
    const statuses = async (app: Express) =>
      (await Promise.all([1, 2, 3, 4, 5, 6, 7, 8].map((n) => guess(app, `192.0.2.${n}`)))).map(
        ({ status }) => status,
      )
    expect(await statuses(appOf({ password: 'oak and iron', proxy: ['127.0.0.1', '::1'] }))).not.toContain(
      429,
    )
    expect(await statuses(appOf({ password: 'oak and iron' }))).toContain(429)
  })

  it.each([{}, { password: 7 }, { password: 'x'.repeat(2_000) }])('refuses %o', async (body) => {
    await request(bed.app).post('/api/session').send(body).expect(400)
  })
})

describe('a feed of a practice with a password', () => {
  const feed = (pair?: string) => {
    const asked = request(bed.app).get('/api/calendar.ics')
    return pair === undefined
      ? asked
      : asked.set('Authorization', `Basic ${Buffer.from(pair).toString('base64')}`)
  }

  it('is read by who sends the password with each request, under any name, and by nobody else', async () => {
    const asked = await feed().expect(401)
    expect(asked.headers['www-authenticate']).toContain('Basic')
    await feed('phone:oak and tin').expect(401)
    await feed('oak and iron').expect(401)
    expect((await feed('phone:oak and iron').expect(200)).text).toContain('BEGIN:VCALENDAR')
    // It opens the feed and nothing else.
    await request(bed.app)
      .get('/api/workshop')
      .set('Authorization', `Basic ${Buffer.from('x:oak and iron').toString('base64')}`)
      .expect(401)
    await request(bed.app).post('/api/calendar.ics').expect(401)
  })

  it('is read whatever others guess', async () => {
    for (let i = 0; i < 3; i++) await feed(`x:guess ${i}`).expect(401)
    await feed('x:oak and iron').expect(200)
    await signIn('oak and iron').expect(200)
  })
})

describe('a practice without one', () => {
  it('says that none is needed', async () => {
    const plain = makeBed()
    expect((await request(plain.app).get('/api/session').expect(200)).body).toEqual({
      needed: false,
      in: true,
    })
    plain.remove()
  })
})
