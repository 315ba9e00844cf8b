import { join } from 'node:path'
import { readFileSync } from 'node:fs'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { backUp } from '../../database/backup'
import { addHorse, makeBed, SHOE, type Bed } from '../../testing'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

const facts = async () => (await request(bed.app).get('/api/practice')).body as Record<string, unknown>
const horses = async () =>
  ((await request(bed.app).get('/api/horses')).body as { name: string }[]).map(({ name }) => name)
const begin = (body: object = { name: 'Forge by the mill', usual: SHOE }) =>
  request(bed.app).post('/api/practice').send(body)

describe('a practice of one’s own', () => {
  beforeEach(() => {
    addHorse(bed.practice, 'Made up')
    bed.practice.facts.set({ demo: true, name: 'Demo practice' })
  })

  it('begins empty, with its first horse, and sets the demo aside', async () => {
    expect(await facts()).toMatchObject({ demo: true, aside: null, empty: false })
    const body = { name: 'Forge by the mill', usual: SHOE, horse: { name: 'Bramble', owner: 'Jo Reed' } }
    const answer = await begin(body)
    expect(answer.status).toBe(200)
    expect(answer.body).toMatchObject({ demo: false, name: 'Forge by the mill', aside: 'demo', usual: SHOE })
    expect(await horses()).toEqual(['Bramble'])
    expect((answer.body as { horseId: string }).horseId).toBeTruthy()
  })

  it('goes to the demo and back, and loses nothing on either side', async () => {
    await begin()
    addHorse(bed.practice, 'Mine')
    expect((await request(bed.app).post('/api/practice/swap')).body).toMatchObject({
      demo: true,
      aside: 'own',
    })
    expect(await horses()).toEqual(['Made up'])
    expect((await begin()).status).toBe(409)
    expect((await request(bed.app).post('/api/practice/swap')).body).toMatchObject({ demo: false })
    expect(await horses()).toEqual(['Mine'])
  })

  it('is not begun twice, nor without a name, and nothing is swapped where nothing lies aside', async () => {
    expect((await request(bed.app).post('/api/practice/swap')).status).toBe(409)
    expect((await begin({ name: '', usual: SHOE })).status).toBe(400)
    await begin()
    expect((await begin()).status).toBe(409)
    expect(await facts()).toMatchObject({ name: 'Forge by the mill' })
  })
})

describe('a backup put back while the server runs', () => {
  const send = (file: string | Buffer, look = false) =>
    request(bed.app)
      .post(`/api/restore${look ? '?look=1' : ''}`)
      .set('Content-Type', 'application/octet-stream')
      .send(typeof file === 'string' ? readFileSync(file) : file)

  it('names what would be lost first, keeps a copy, and brings the earlier data', async () => {
    addHorse(bed.practice, 'Early')
    const file = await backUp(bed.practice.db, join(bed.dataFolder, 'early.sqlite'))
    addHorse(bed.practice, 'Late')
    const look = (await send(file, true)).body as object
    expect(look).toMatchObject({ horses: ['Late'], moreHorses: 0, brings: { horses: 1, visits: 1 } })
    expect(await horses()).toEqual(['Early', 'Late'])
    const { kept } = (await send(file)).body as { kept: string }
    expect(await horses()).toEqual(['Early'])
    // The copy is whole: put back, it brings everything again.
    expect((await send(join(bed.dataFolder, 'backups', kept))).status).toBe(200)
    expect(await horses()).toEqual(['Early', 'Late'])
  })

  it('refuses what is no backup, in words, and changes nothing', async () => {
    addHorse(bed.practice, 'Here')
    const answer = await send(Buffer.from('not a database'))
    expect(answer.status).toBe(400)
    expect(JSON.stringify(answer.body)).toContain('not a sound Crescent backup')
    expect(await horses()).toEqual(['Here'])
  })
})
