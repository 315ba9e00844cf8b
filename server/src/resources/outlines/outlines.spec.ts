import request from 'supertest'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { planShoe } from '@crescent/core'
import { templateOf, writeDxf, writeSvg, type ReadOutlines } from '@crescent/core/formats'
import { FOOT, makeBed, SHOE, type Bed } from '../../testing'

let bed: Bed
beforeAll(() => {
  bed = makeBed()
})
afterAll(() => bed.remove())

const plan = planShoe(FOOT, SHOE)
const drawing = templateOf(plan, 'sole', { unit: 'mm', denominator: 16 }, 'Test')!
/** Toe and heels of the drawing: seen from the ground a left foot's outside lies on the right, as in its frame. */
const ends = plan.outline.foot
const taps = {
  toe: [0, plan.foot.widestFromToe],
  lateralHeel: ends[0]!,
  medialHeel: ends[ends.length - 1]!,
}

const read = async (name: string, content: string): Promise<ReadOutlines> =>
  (await request(bed.app).post('/api/outlines').send({ name, content }).expect(200)).body as ReadOutlines

it('brings a drawing back as the foot it was drawn from, and plans it', async () => {
  const { curves } = await read('sole.dxf', writeDxf(drawing))
  const { points, closed } = curves.find(({ layer }) => layer === 'Foot')!
  const { body } = await request(bed.app)
    .post('/api/outlines/placed')
    .send({ points, closed, taps })
    .expect(200)
  const { foot } = body as { foot: { width: number; length: number; heelWidth: number; trace: unknown } }
  expect(foot.width).toBeCloseTo(FOOT.width, 1)
  expect(foot.length).toBeCloseTo(FOOT.length, 1)
  expect(foot.heelWidth).toBeCloseTo(plan.foot.heelWidth, 1)
  const { side, toeAngle, wallThickness } = FOOT
  const planned = await request(bed.app)
    .post('/api/plan')
    .send({ foot: { side, toeAngle, wallThickness, ...foot }, shoe: SHOE })
    .expect(200)
  const { iron } = planned.body as { iron: { cutLength: number } }
  expect(Math.abs(iron.cutLength - plan.iron.cutLength)).toBeLessThan(1)
})

it('proposes taps by which the same foot is found', async () => {
  const { curves } = await read('sole.svg', writeSvg(drawing))
  const { points, closed } = curves.find(({ layer }) => layer === 'Foot')!
  const { body: likely } = await request(bed.app)
    .post('/api/outlines/taps')
    .send({ points, closed })
    .expect(200)
  const { body } = await request(bed.app)
    .post('/api/outlines/placed')
    .send({ points, closed, taps: likely as object })
    .expect(200)
  expect(Math.abs((body as { foot: { width: number } }).foot.width - FOOT.width)).toBeLessThan(4)
})

it('refuses what is no foot by a sentence, and what is no line by its schema', async () => {
  const points = [0, 1, 2, 3, 4, 5].map((x) => [x * 20, 0])
  const flat = { toe: [50, 0], lateralHeel: [0, 0], medialHeel: [100, 0] }
  const refused = await request(bed.app)
    .post('/api/outlines/placed')
    .send({ points, closed: false, taps: flat })
  expect(refused.status).toBe(400)
  expect(JSON.stringify(refused.body)).toMatch(/tap/i)
  await request(bed.app)
    .post('/api/outlines/placed')
    .send({ points: points.slice(3), closed: false, taps: flat })
    .expect(400)
})
