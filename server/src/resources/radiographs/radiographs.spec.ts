import request from 'supertest'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { madeLimb, USUAL_LIMB } from '@crescent/core/made-up/limb'
import { makeBed, type Bed } from '../../testing'

let bed: Bed
beforeAll(() => {
  bed = makeBed()
})
afterAll(() => bed.remove())

const ask = (body: object) => request(bed.app).post('/api/radiograph-figures').send(body)
const points = madeLimb(USUAL_LIMB, { mmPerPixel: 0.2, turn: 4, looksLeft: true })

it('answers every figure with its uncertainty, and what it lacks', async () => {
  const { T: _tip, ...without } = points
  const { body } = await ask({ points, mmPerPixel: 0.2 }).expect(200)
  const palmar = (body as { figures: { key: string; value: number; uncertainty: number }[] }).figures.find(
    ({ key }) => key === 'palmarAngle',
  )!
  expect(palmar.value).toBeCloseTo(5, 6)
  expect(palmar.uncertainty).toBeGreaterThan(0.1)
  expect(body).toMatchObject({ plan: null })
  const lacking = await ask({ points: without, mmPerPixel: 0.2 }).expect(200)
  expect(JSON.stringify(lacking.body)).toContain('Tip of P3')
})

it('plans trim and shoe where it is asked what shall come of it', async () => {
  const { body } = await ask({ points, mmPerPixel: 0.2, wanted: { palmarAngle: 8 } }).expect(200)
  expect((body as { plan: { palmarAfterShoe: number } }).plan.palmarAfterShoe).toBeCloseTo(8, 6)
})

it.each([
  [{ points, mmPerPixel: 0 }, 'mmPerPixel'],
  [{ points: { X9: [1, 2] }, mmPerPixel: 1 }, 'points'],
  [{ points, mmPerPixel: 0.2, wanted: { palmarAngle: 80 } }, 'wanted.palmarAngle'],
])('refuses what is no radiograph, by path: %#', async (body, path) => {
  const refused = await ask(body).expect(400)
  expect(JSON.stringify(refused.body)).toContain(path)
})
