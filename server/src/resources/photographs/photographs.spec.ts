import request from 'supertest'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { cardSeen } from '@crescent/core/photo-tracing'
import { CARDS, seenAt } from '@crescent/core/photographs'
import { makeBed, type Bed } from '../../testing'
import { pagesOf } from '../../testing/pdf'

let bed: Bed
beforeAll(() => {
  bed = makeBed()
})
afterAll(() => bed.remove())

it.each(
  CARDS.flatMap((card) => (['a4', 'letter'] as const).map((paper) => [card.key, paper, card] as const)),
)('the %s card on %s is found by its marks, at true size, in one page', async (key, paper, card) => {
  const { body } = await request(bed.app)
    .get(`/api/scale-card?card=${key}&paper=${paper}`)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = []
      response.on('data', (part: Buffer) => parts.push(part))
      response.on('end', () => done(null, Buffer.concat(parts)))
    })
    .expect(200)
  const [page, ...more] = await pagesOf(body as Buffer)
  expect(more).toEqual([])
  const seen = cardSeen(page!.picture, key)
  if (!seen.ok) throw new Error(seen.problem)
  expect(seen.marks.map(({ id }) => id)).toEqual([0, 1, 2, 3])
  expect(seen.residual).toBeLessThan(0.05)
  // 100 mm of the card are 100 mm of the paper, along and across.
  const at = (x: number, y: number) => seenAt(seen.view, [x, y])
  expect((at(50, 0)[0] - at(-50, 0)[0]) / page!.pixels).toBeCloseTo(100, 1)
  expect((at(0, -50)[1] - at(0, 50)[1]) / page!.pixels).toBeCloseTo(100, 1)
  // Nothing that is cut out or measured lies where no printer prints.
  const [wide, high] = card.paper
  for (const [x, y] of [
    [-wide, high],
    [wide, -high],
  ] as const) {
    const [u, v] = at(x, y)
    expect(u).toBeGreaterThan(0)
    expect(v).toBeGreaterThan(0)
    expect(u).toBeLessThan(page!.picture.width)
    expect(v).toBeLessThan(page!.picture.height)
  }
  expect(page!.text).toContain('measure this line')
  expect(page!.text).toContain('level with the sole')
})
