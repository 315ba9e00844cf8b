import { randomUUID } from 'node:crypto'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync } from 'node:zlib'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { pino } from 'pino'
import request from 'supertest'
import { planShoe } from '@crescent/core'
import { makeApp } from '../app'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../testing'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())
const api = () => request(bed.app)

describe('plan', () => {
  it('answers what core plans', async () => {
    const answer = await api().post('/api/plan').send({ foot: FOOT, shoe: SHOE, workshop: {} }).expect(200)
    expect(answer.body).toEqual(JSON.parse(JSON.stringify(planShoe(FOOT, SHOE))))
    expect(answer.body.iron.marks).toHaveLength(11)
  })

  it('lists by path what does not fit the shape and what is not possible', async () => {
    const shape = await api()
      .post('/api/plan')
      .send({ foot: { ...FOOT, width: '5' }, shoe: SHOE, hat: 1 })
      .expect(400)
    expect(shape.body.errors.map((e: { path: string }) => e.path)).toEqual(['foot.width', ''])
    const range = await api()
      .post('/api/plan')
      .send({ foot: { ...FOOT, heelWidth: 150, toeAngle: 200 }, shoe: SHOE })
      .expect(400)
    expect(range.body.errors.map((e: { path: string }) => e.path)).toEqual([
      'foot.heelWidth',
      'foot.toeAngle',
    ])
    expect(range.body.errors[0].message).toContain('between')
  })

  it('answers broken JSON and unknown addresses with a list too', async () => {
    const broken = await api().post('/api/plan').set('content-type', 'application/json').send('{').expect(400)
    expect(broken.body.errors[0].message).toContain('could not be read')
    const nowhere = await api().get('/api/nothing').expect(404)
    expect(nowhere.body.errors[0].message).toContain('/nothing')
  })
})

describe('answers', () => {
  const plan = (encoding: string) =>
    api().post('/api/plan').set('accept-encoding', encoding).send({ foot: FOOT, shoe: SHOE, workshop: {} })

  it('are packed as the other side takes them, and say the same', async () => {
    const plain = await plan('identity').expect(200)
    expect(plain.headers['content-encoding']).toBeUndefined()
    for (const encoding of ['br', 'gzip']) {
      const packed = await plan(encoding).expect(200)
      expect(packed.headers['content-encoding']).toBe(encoding)
      expect(packed.headers['content-type']).toContain('application/json')
      expect(packed.headers['vary']).toContain('Accept-Encoding')
      expect(packed.headers['x-content-type-options']).toBe('nosniff')
      expect(packed.headers['content-security-policy']).toBeUndefined()
      expect(packed.body).toEqual(plain.body)
    }
    const size = ({ headers }: typeof plain) => Number(headers['content-length'])
    expect(size(await plan('br, gzip'))).toBeLessThan(size(plain) / 3)
  })

  it('too short to be packed go as they are, and those that hold much are still packed', async () => {
    const short = await api().get('/api/horses').set('accept-encoding', 'br').expect(200)
    expect(short.headers['content-encoding']).toBeUndefined()
    const whole = await api().get('/api/openapi.json').set('accept-encoding', 'br').expect(200)
    expect(whole.headers['content-encoding']).toBe('br')
    expect(JSON.stringify(whole.body).length).toBeGreaterThan(128_000)
  })
})

describe('the screens', () => {
  it('are sent as the build packed them; scripts are kept, pages asked for again and guarded', async () => {
    const script = 'chunk-Ab_9-xYz.js'
    writeFileSync(join(bed.dataFolder, 'index.html'), '<title>Crescent</title>')
    writeFileSync(join(bed.dataFolder, script), 'plain')
    writeFileSync(join(bed.dataFolder, `${script}.br`), brotliCompressSync('packed'))
    const config = {
      ...{ dataFolder: bed.dataFolder, webFolder: bed.dataFolder },
      ...{ host: '127.0.0.1', port: 0, logLevel: 'silent' },
    }
    const app = makeApp(bed.practice, config, pino({ level: 'silent' }))
    const packed = await request(app).get(`/${script}`).set('accept-encoding', 'br').expect(200)
    expect(packed.headers['content-encoding']).toBe('br')
    expect(packed.headers['content-type']).toContain('javascript')
    expect(packed.headers['cache-control']).toContain('immutable')
    expect(packed.headers['x-content-type-options']).toBe('nosniff')
    expect(packed.headers['x-frame-options']).toBeUndefined()
    expect(packed.headers['last-modified']).toBeUndefined()
    const again = { 'accept-encoding': 'br', 'if-none-match': packed.headers['etag']! }
    await request(app).get(`/${script}`).set(again).expect(304)
    const plain = await request(app).get(`/${script}`).set('accept-encoding', 'identity').expect(200)
    expect(plain.headers['content-encoding']).toBeUndefined()
    const page = await request(app).get('/bench/one/LF').set('accept', 'text/html').expect(200)
    expect(page.headers['cache-control']).toBe('no-cache')
    expect(page.headers['x-frame-options']).toBe('SAMEORIGIN')
    expect(page.headers['content-security-policy']).toContain("default-src 'self'")
  })
})

describe('the log', () => {
  it('tells what was asked for, but not what was searched, nor who was signed in', async () => {
    const lines: string[] = []
    const log = pino({ level: 'info' }, { write: (line: string) => void lines.push(line) })
    const config = {
      dataFolder: bed.dataFolder,
      host: '127.0.0.1',
      port: 0,
      webFolder: bed.dataFolder,
      logLevel: 'info',
    }
    const app = makeApp(bed.practice, config, log)
    await request(app).get('/api/horses?search=quillwort').set('Cookie', 'crescent=secrettoken').expect(200)
    expect(lines.join('')).toContain('/api/horses')
    expect(lines.join('')).not.toMatch(/quillwort|secrettoken/)
  })
})

describe('records', () => {
  const owner = () => ({ id: randomUUID(), version: 0, name: 'Ada Reed' })

  it('creates, reads, changes, archives and searches', async () => {
    const made = (await api().put(`/api/owners/${owner().id}`).send(owner()).expect(400)).body
    expect(made.errors[0].path).toBe('id')
    const sent = owner()
    const first = (await api().put(`/api/owners/${sent.id}`).send(sent).expect(200)).body
    expect(first).toMatchObject({ version: 1, name: 'Ada Reed', archived: false })
    const second = (
      await api()
        .put(`/api/owners/${sent.id}`)
        .send({ ...first, phone: 'Island 3' })
        .expect(200)
    ).body
    expect(second.version).toBe(2)
    expect((await api().get('/api/owners?search=ISLAND').expect(200)).body).toHaveLength(1)
    await api()
      .put(`/api/owners/${sent.id}`)
      .send({ ...second, archived: true })
      .expect(200)
    expect((await api().get('/api/owners').expect(200)).body).toHaveLength(0)
    expect((await api().get('/api/owners?archived=true').expect(200)).body).toHaveLength(1)
    await api().get(`/api/owners/${randomUUID()}`).expect(404)
  })

  it('takes a repeated request for the one it was', async () => {
    const sent = owner()
    const one = (await api().put(`/api/owners/${sent.id}`).send(sent).expect(200)).body
    const two = (await api().put(`/api/owners/${sent.id}`).send(sent).expect(200)).body
    expect(two).toEqual(one)
  })

  it('refuses a stale write with 409 and shows what is stored', async () => {
    const sent = owner()
    const one = (await api().put(`/api/owners/${sent.id}`).send(sent)).body
    await api()
      .put(`/api/owners/${sent.id}`)
      .send({ ...one, name: 'Ada Reed-Holm' })
      .expect(200)
    const stale = await api()
      .put(`/api/owners/${sent.id}`)
      .send({ ...one, name: 'A. Reed' })
      .expect(409)
    expect(stale.body.current).toMatchObject({ name: 'Ada Reed-Holm', version: 2 })
    await api()
      .put(`/api/owners/${randomUUID()}`)
      .send({ ...one, id: randomUUID() })
      .expect(400)
  })

  it('refuses what has no name, a wrong e-mail, a strange field, and an owner who is not there', async () => {
    const bad = { ...owner(), name: '  ', email: 'nowhere', hat: 'tall' }
    const answer = await api().put(`/api/owners/${bad.id}`).send(bad).expect(400)
    expect(answer.body.errors.map((e: { path: string }) => e.path).sort()).toEqual(['', 'email', 'name'])
    const id = randomUUID()
    const orphan = await api()
      .put(`/api/horses/${id}`)
      .send({ id, version: 0, name: 'Fig', ownerId: randomUUID() })
    expect(orphan.status).toBe(400)
  })

  it('finds a horse by its own words and its owner’s, accents or not, and takes signs as signs', async () => {
    addHorse(bed.practice, 'Tansy 100%')
    const names = async (search: string) =>
      (await api().get('/api/horses').query({ search }).expect(200)).body.map((h: { name: string }) => h.name)
    expect(await names('tan eel')).toEqual(['Tansy 100%'])
    expect(await names('MARTA')).toEqual(['Tansy 100%'])
    expect(await names('100%')).toEqual(['Tansy 100%'])
    expect(await names('%_')).toEqual([])
    await api().get('/api/horses?limit=0').expect(400)
  })
})

describe('patterns and feet', () => {
  const pattern = (horseId: string, visitId: string) => ({
    id: randomUUID(),
    version: 0,
    horseId,
    side: 'LF',
    name: 'General',
    visitId,
    foot: FOOT,
    shoe: SHOE,
  })

  it('stores a design with the result that core gives, and keeps every version', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const sent = pattern(horse.id, visit.id)
    const one = (await api().put(`/api/patterns/${sent.id}`).send(sent).expect(200)).body
    expect(one.result.cutLength).toBeCloseTo(planShoe(FOOT, SHOE).iron.cutLength, 2)
    const { result: _result, ...design } = one
    const wider = { ...design, foot: { ...FOOT, width: 130 } }
    const two = (await api().put(`/api/patterns/${sent.id}`).send(wider).expect(200)).body
    expect(two.result.cutLength).toBeGreaterThan(one.result.cutLength)
    const versions = (await api().get(`/api/patterns/${sent.id}/versions`).expect(200)).body
    expect(versions.map((v: { version: number }) => v.version)).toEqual([2, 1])
    expect(versions[1]).toEqual(one)
  })

  it('refuses a design that cannot be made, and stores nothing of it', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const sent = { ...pattern(horse.id, visit.id), foot: { ...FOOT, heelWidth: 200 } }
    await api().put(`/api/patterns/${sent.id}`).send(sent).expect(400)
    await api().get(`/api/patterns/${sent.id}`).expect(404)
  })

  it('keeps the recorded result when only the name changes', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const sent = pattern(horse.id, visit.id)
    await api().put(`/api/patterns/${sent.id}`).send(sent)
    // As if an earlier Crescent had come to another figure.
    bed.practice.db.prepare(`UPDATE patterns SET result = json_set(result, '$.cutLength', 1)`).run()
    const renamed = (
      await api()
        .put(`/api/patterns/${sent.id}`)
        .send({ ...sent, version: 1, name: 'Winter' })
    ).body
    expect(renamed).toMatchObject({ name: 'Winter', version: 2, result: { cutLength: 1 } })
  })

  it('has one record for a foot at a visit: a second window gets 409', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const record = () => ({ id: randomUUID(), version: 0, visitId: visit.id, side: 'LF', foot: FOOT })
    const first = record()
    await api().put(`/api/foot-records/${first.id}`).send(first).expect(200)
    const second = record()
    const refused = await api().put(`/api/foot-records/${second.id}`).send(second).expect(409)
    expect(refused.body.current.id).toBe(first.id)
    const page = (await api().get(`/api/horses/${horse.id}/page`).expect(200)).body
    expect(page.footRecords).toHaveLength(1)
    expect((await api().get(`/api/visits/${visit.id}/page`).expect(200)).body.footRecords[0].foot).toEqual(
      FOOT,
    )
  })
})

describe('round', () => {
  it('sorts horses into overdue, due within the week, and here today', async () => {
    const { horse } = addHorse(bed.practice) // seen 2026-10-01, every 6 weeks: due 2026-11-12
    const on = async (date: string) => (await api().get(`/api/round?date=${date}`).expect(200)).body
    const ids = (list: { id: string }[]) => list.map((h) => h.id)
    expect((await on('2026-11-04')).due).toEqual([])
    expect(ids((await on('2026-11-05')).due)).toEqual([horse.id])
    expect(ids((await on('2026-11-12')).due)).toEqual([horse.id])
    expect(ids((await on('2026-11-13')).overdue)).toEqual([horse.id])
    bed.practice.visits.put({
      id: randomUUID(),
      version: 0,
      horseId: horse.id,
      date: '2026-11-13',
      state: 'open',
      notes: '',
      closeList: {},
      feet: {},
      nextDue: null,
      archived: false,
    })
    const there = await on('2026-11-13')
    expect(there.overdue).toEqual([])
    expect(there.seen[0]).toMatchObject({ id: horse.id, visitState: 'open' })
    // An archived horse is nobody's work any more, open visit or not.
    bed.practice.horses.put({ ...horse, archived: true })
    expect((await on('2026-11-13')).seen).toEqual([])
    await api().get('/api/round?date=tomorrow').expect(400)
  })
})

describe('workshop, health and description', () => {
  it('keeps the workshop’s figures within what is possible', async () => {
    const empty = (await api().get('/api/workshop').expect(200)).body
    await api()
      .put('/api/workshop')
      .send({ ...empty, figures: { turningRadius: 900 } })
      .expect(400)
    await api()
      .put('/api/workshop')
      .send({ ...empty, figures: { correction: 3 } })
      .expect(200)
    expect((await api().get('/api/workshop')).body).toMatchObject({ version: 1, figures: { correction: 3 } })
  })

  it('is well, and says so only when the database is', async () => {
    expect((await api().get('/api/health').expect(200)).body).toMatchObject({ status: 'ok' })
    bed.practice.db.close()
    await api().get('/api/health').expect(500)
    bed = makeBed()
  })

  it('describes every route from its schema', async () => {
    const { body } = await api().get('/api/openapi.json').expect(200)
    expect(Object.keys(body.paths)).toContain('/api/foot-records/{id}')
    const answered = (path: string, method: string) =>
      body.paths[path][method].responses[200].content['application/json'].schema.properties
    expect(Object.keys(answered('/api/horses/{id}', 'get'))).toContain('cycleWeeks')
    // What is stored of a pattern is more than what is sent.
    expect(Object.keys(answered('/api/patterns/{id}', 'put'))).toContain('result')
    const plan = body.paths['/api/plan'].post.requestBody.content['application/json'].schema
    expect(plan.properties.foot.required).toEqual([
      'side',
      'width',
      'length',
      'heelWidth',
      'toeAngle',
      'wallThickness',
    ])
  })
})
