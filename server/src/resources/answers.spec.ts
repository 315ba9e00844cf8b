import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import request from 'supertest'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { anyPlan, requestOf, tryPlan } from '@crescent/core/testing/fuzz/any-plan'
import { MODIFICATIONS, SIDES } from '@crescent/core'
import { FIVE_BY_FIVE } from '@crescent/core/testing/samples'
import { seedPictures } from '../demo/pictures'
import { demoSchema } from '../demo/schema'
import { seedDemo } from '../demo/seed'
import type { Route } from '../http/route'
import { makeBed, type Bed } from '../testing'
import { routes } from './index'
import { planAnswerSchema } from './plan/answer'

let bed: Bed
beforeAll(async () => {
  bed = makeBed()
  const file = readFileSync(new URL('../../../demo/practice.json', import.meta.url), 'utf8')
  const demo = demoSchema.parse(JSON.parse(file))
  const sizes = readFileSync(new URL('../../../demo/sizes.csv', import.meta.url), 'utf8')
  seedDemo(bed.practice, demo, new Date('2026-11-20T12:00:00Z'), sizes)
  await seedPictures(bed.practice, demo)
}, 60_000)
afterAll(() => bed.remove())

/** Ids of everything that an address of this kind may name. */
function idsFor({ path }: Route): string[] {
  const { practice } = bed
  const tables = {
    horses: practice.horses,
    owners: practice.owners,
    visits: practice.visits,
    patterns: practice.patterns,
    looks: practice.looks,
    'foot-records': practice.footRecords,
    sizes: practice.sizes,
    tries: practice.tries,
    jobs: practice.jobs,
    courses: practice.courses,
    calls: practice.calls,
    pictures: practice.pictures,
  } as const
  const table = tables[path.split('/')[1] as keyof typeof tables]
  return table.list('1 LIMIT 60').map(({ id }) => id)
}

/** Lists of one horse ask for it. */
const ofHorse = () => `&horse=${bed.practice.horses.list('1 LIMIT 1')[0]!.id}`

const GETS = routes.filter(({ method, answer }) => method === 'get' && !('file' in answer))

it.each(GETS.map((route) => [route.path, route] as const))(
  'GET %s answers as described',
  async (path, route) => {
    if ('file' in route.answer) throw new Error('a file')
    const addresses = path.includes(':id')
      ? idsFor(route).map((id) => `${path.replace(':id', id)}?date=2026-11-20`)
      : [`${path}?date=2026-11-20&before=2026-11-20&limit=500${path === '/library' ? '' : ofHorse()}`]
    expect(addresses.length).toBeGreaterThan(0)
    for (const address of addresses) {
      const { body } = await request(bed.app).get(`/api${address}`).expect(200)
      // Strict: what is answered and not described is a fault too.
      const { error, data } = route.answer.safeParse(body)
      expect(error?.issues ?? [], address).toEqual([])
      expect(data, address).toEqual(body)
    }
  },
)

it('the demo has something of everything that is described', async () => {
  const rounds = await request(bed.app).get('/api/round?date=2026-11-20').expect(200)
  expect(rounds.body.due.length + rounds.body.overdue.length).toBeGreaterThan(0)
  expect((await request(bed.app).get('/api/patterns')).body.length).toBeGreaterThan(5)
})

it('plans answer as described, with any modifications on any foot', () => {
  let planned = 0
  const check = (plan: unknown) => {
    planned += 1
    expect(planAnswerSchema.safeParse(JSON.parse(JSON.stringify(plan))).error?.issues ?? []).toEqual([])
  }
  for (const { kind } of MODIFICATIONS) {
    const shoe = {
      ...requestOf(fc.sample(anyPlan, { numRuns: 1, seed: 1 })[0]!).shoe,
      modifications: [{ kind }],
    }
    const plan = tryPlan({ foot: FIVE_BY_FIVE, shoe })
    if (plan) check(plan)
  }
  for (const any of fc.sample(anyPlan, { numRuns: 200, seed: 7 })) {
    const plan = tryPlan(requestOf(any))
    if (plan) check(plan)
  }
  expect(planned).toBeGreaterThan(100)
})

it('advice answers as described, for every look of the demo', async () => {
  const route = routes.find(({ path }) => path === '/advice')!
  let advised = 0
  for (const look of bed.practice.looks.list())
    for (const side of SIDES) {
      const { body } = await request(bed.app).post('/api/advice').send({ look, side }).expect(200)
      if ('file' in route.answer) throw new Error('a file')
      expect(route.answer.safeParse(body).error?.issues ?? []).toEqual([])
      advised += body.advice.length
    }
  expect(advised).toBeGreaterThan(10)
})
