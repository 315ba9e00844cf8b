import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import request from 'supertest'
import { makeBed, type Bed } from '../testing'

let bed: Bed
beforeEach(() => (bed = makeBed({ origin: new URL('http://barn.example:4300') })))
afterEach(() => bed.remove())
const get = (host: string) => request(bed.app).get('/api/workshop').set('Host', host)
const post = (headers: Record<string, string | undefined>) =>
  request(bed.app)
    .post('/api/backup')
    .set({ Host: 'localhost:4300', ...(headers as Record<string, string>) })

describe('who is answered', () => {
  it.each([
    'localhost',
    'localhost:4300',
    '127.0.0.1:4300',
    '[::1]:4300',
    'barn.example:4300',
    'crescent.localhost',
  ])('whoever asks for %s', async (host) => {
    await get(host).expect(200)
  })

  it.each([
    'evil.example',
    'localhost.evil.example',
    '127.0.0.1.evil.example',
    'evil.example:4300',
    '192.168.1.20',
    'a b',
  ])('not whoever asks for %s: a name elsewhere may be made to point here', async (host) => {
    const { body } = await get(host).expect(403)
    expect(body.errors[0].message).toContain('CRESCENT_ORIGIN')
  })

  it('not even for the screens', async () =>
    void (await request(bed.app).get('/').set('Host', 'evil.example').expect(403)))

  it.each([
    { Origin: 'http://evil.example' },
    { Origin: 'http://localhost:8080' },
    { Origin: 'null' },
    { 'Sec-Fetch-Site': 'cross-site' },
    { 'Sec-Fetch-Site': 'same-site' },
  ])('no page of another origin that would change something: %o', async (headers) => {
    await post(headers).expect(403)
  })

  it.each([
    {},
    { Origin: 'http://localhost:4300', 'Sec-Fetch-Site': 'same-origin' },
    { Origin: 'http://barn.example:4300' },
    { 'Sec-Fetch-Site': 'none' },
  ])('a script, the screens themselves, and the address it is set to: %o', async (headers) => {
    await post(headers).expect(200)
  })
})
