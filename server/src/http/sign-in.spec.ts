import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import request from 'supertest'
import { makeBed, type Bed } from '../testing'

let bed: Bed
beforeEach(() => (bed = makeBed({ password: 'oak and iron' })))
afterEach(() => {
  vi.restoreAllMocks()
  bed.remove()
})
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

  it('slows who guesses down, the right one too, and longer each time', async () => {
    const clock = vi.spyOn(performance, 'now')
    let now = 1_000_000
    clock.mockImplementation(() => now)
    for (let i = 0; i < 3; i++) await signIn(`guess ${i}`).expect(401)
    const slowed = await signIn('oak and iron').expect(429)
    expect(slowed.headers['retry-after']).toBe('1')
    now += 1_001
    await signIn('one more').expect(401)
    expect((await signIn('oak and iron').expect(429)).headers['retry-after']).toBe('2')
    now += 2_001
    await signIn('oak and iron').expect(200)
    await signIn('wrong again').expect(401)
    await signIn('oak and iron').expect(200)
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

  it('slows who guesses down as signing in does', async () => {
    for (let i = 0; i < 3; i++) await feed(`x:guess ${i}`).expect(401)
    const slowed = await feed('x:oak and iron').expect(429)
    expect(Number(slowed.headers['retry-after'])).toBeGreaterThan(0)
    await signIn('oak and iron').expect(429)
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
