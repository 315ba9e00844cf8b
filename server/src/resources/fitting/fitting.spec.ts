import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { planShoe } from '@crescent/core'
import { FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { fittingRoutes } from './routes'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

const pattern = planShoe(FOOT, SHOE).outline.centreline
const ask = (body: object) => request(bed.app).post('/api/bend-plan').send(body)

describe('a bend plan', () => {
  it('is answered as described, for a planned shoe and for points', async () => {
    // The outer branch turned in by six degrees behind its fortieth point.
    const [px, py] = pattern[18]!
    const by = (-6 * Math.PI) / 180
    const bent = pattern.map(([x, y], i) =>
      i < 18
        ? [
            px + (x - px) * Math.cos(by) - (y - py) * Math.sin(by),
            py + (x - px) * Math.sin(by) + (y - py) * Math.cos(by),
          ]
        : [x, y],
    )
    const schema = fittingRoutes[0]!.answer
    for (const target of [{ foot: FOOT, shoe: SHOE }, { points: pattern }]) {
      const { body } = await ask({ target, shape: { points: bent } }).expect(200)
      if ('file' in schema) throw new Error('a file')
      expect(schema.safeParse(body).error?.issues ?? []).toEqual([])
      expect(body.within).toBe(true)
      expect(body.bends).toHaveLength(1)
      expect(body.bends[0]).toMatchObject({ branch: 'lateral', opens: true })
      expect(body.bends[0].angle).toBeGreaterThan(4)
      expect(body.shapes[0]).toHaveLength(bent.length)
    }
  })

  it('is answered from three measures, and refused by figure', async () => {
    const shape = { width: 140, heelWidth: 100, heelMeasure: 'outside', length: 125 }
    const { body } = await ask({ target: { foot: FOOT, shoe: SHOE }, shape }).expect(200)
    expect(body.bends.length).toBeGreaterThan(0)
    expect(JSON.stringify(body.notes)).toContain('Three measures')
    await ask({ target: { foot: FOOT, shoe: SHOE }, shape, tolerance: 90 }).expect(400)
    const few = await ask({ target: { points: [[0, 0]] }, shape }).expect(400)
    expect(few.body.errors[0].path).toBe('target.points')
  })
})
