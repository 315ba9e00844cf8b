import request from 'supertest'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { goingRoutes } from './routes'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

const ask = (body: object) =>
  request(bed.app)
    .post('/api/going')
    .send({ foot: FOOT, shoe: SHOE, ...body })
const load = { newtons: 3_000 }

it('is answered as described, for a going by name and for a stiffness', async () => {
  const schema = goingRoutes[0]!.answer
  if ('file' in schema) throw new Error('a file')
  for (const ground of [{ kind: 'rock' }, { kind: 'deep sand' }, { stiffness: 0.05 }]) {
    const { body } = await ask({ ground, load: { ...load, at: [0, -5] } }).expect(200)
    expect(schema.safeParse(body).error?.issues ?? []).toEqual([])
    expect(body.told.length).toBeGreaterThan(0)
  }
})

it('tilts by nothing on rock, heels down in sand under a load behind the middle', async () => {
  const tilts = async (ground: object) => {
    const { body } = await ask({ ground, load: { ...load, at: [0, -20] } }).expect(200)
    return body.tilt
  }
  expect(await tilts({ kind: 'rock' })).toEqual({ foreAft: 0, sideways: 0 })
  expect((await tilts({ kind: 'sand arena' })).foreAft).toBeGreaterThan(1)
})

it('refuses by figure what cannot be', async () => {
  for (const [body, path] of [
    [{ ground: { kind: 'turf' }, load: { newtons: 3_000, at: [0, 200] } }, 'load.at'],
    [{ ground: { kind: 'turf' }, load: { newtons: -1 } }, 'load.newtons'],
    [{ ground: { kind: 'moon' }, load }, 'ground.kind'],
    [{ ground: { stiffness: 0 }, load }, 'ground.stiffness'],
  ] as const) {
    const { body: answer } = await ask(body).expect(400)
    expect(JSON.stringify(answer.errors)).toContain(path.split('.')[0])
  }
})
