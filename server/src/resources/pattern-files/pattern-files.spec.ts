import { randomUUID } from 'node:crypto'
import { Ajv2020 } from 'ajv/dist/2020.js'
import fc from 'fast-check'
import request from 'supertest'
import * as z from 'zod'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { patternFileSchema } from '@crescent/core/records/index'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { ProblemError } from '@crescent/core'
import { BadRequest } from '../../http/door'
import { broken, hostile, somewhere } from '../../testing/broken'
import { savePattern } from '../patterns/save'
import { readFile } from './read-file'
import { HANGS, worked } from '@crescent/core/testing/hangs'

let bed: Bed
let horseId: string
const id = randomUUID()
beforeEach(() => {
  bed = makeBed()
  const { horse } = addHorse(bed.practice, 'Tansy')
  horseId = horse.id
  savePattern(bed.practice, {
    ...{
      id,
      version: 0,
      horseId,
      side: 'LF',
      name: 'Summer set',
      visitId: null,
      notes: 'Short behind',
      archived: false,
    },
    ...{ foot: FOOT, shoe: { ...SHOE, modifications: [{ kind: 'toe-clip' }] }, workshop: { scaleLoss: 2 } },
  })
})
afterEach(() => bed.remove())

const file = async () =>
  (await request(bed.app).get(`/api/patterns/${id}/file`).expect(200)).body as Record<string, unknown>

describe('a pattern as a file', () => {
  it('keeps to its schema as an independent validator reads it', async () => {
    const validate = new Ajv2020({ strict: false }).compile(
      z.toJSONSchema(patternFileSchema, { io: 'output' }),
    )
    expect(validate(await file())).toBe(true)
    expect(validate({ ...(await file()), side: 'XX' })).toBe(false)
  })

  it('goes out and comes in for another horse without losing anything', async () => {
    const sent = await file()
    const other = addHorse(bed.practice, 'Other').horse
    const keep = { id: randomUUID(), horseId: other.id }
    const { body } = await request(bed.app).post('/api/patterns/file').send({ file: sent, keep }).expect(200)
    const [before, after] = [bed.practice.patterns.get(id)!, bed.practice.patterns.get(keep.id)!]
    const { foot, shoe, workshop, notes, name, side, result } = before
    expect(after).toMatchObject({ foot, shoe, workshop, notes, name, side, result, horseId: other.id })
    expect((body as { file: unknown }).file).toEqual(sent)
    // Sent twice it is one.
    await request(bed.app).post('/api/patterns/file').send({ file: sent, keep }).expect(200)
    expect(bed.practice.patterns.ofHorse(other.id).length).toBe(1)
  })

  it('is only read where no horse is named', async () => {
    const before = bed.practice.patterns.ofHorse(horseId).length
    const { body } = await request(bed.app)
      .post('/api/patterns/file')
      .send({ file: await file() })
      .expect(200)
    expect((body as { kept: unknown }).kept).toBeNull()
    expect(bed.practice.patterns.ofHorse(horseId).length).toBe(before)
  })

  it.each([
    [{ format: 'other' }, 'no pattern of Crescent'],
    [{ formatVersion: 2 }, 'form 2; form 1 is read'],
    [{ formatVersion: { toString: false } }, 'a form nobody knows; form 1 is read'],
    [{ foot: { ...FOOT, width: 4 } }, 'foot.width'],
    [{ shoe: { ...SHOE, modifications: [{ kind: 'wings' }] } }, 'wings'],
  ])('that is none is refused, and nothing changes: %o', async (change, said) => {
    const keep = { id: randomUUID(), horseId }
    const refused = await request(bed.app)
      .post('/api/patterns/file')
      .send({ file: { ...(await file()), ...change }, keep })
      .expect(400)
    expect(JSON.stringify(refused.body)).toContain(said)
    expect(bed.practice.patterns.ofHorse(horseId).length).toBe(1)
  })
})

it('is read or refused, never more, whatever is broken in it', { timeout: 240_000 }, async () => {
  const whole = await file()
  let refused = 0
  fc.assert(
    fc.property(somewhere, hostile, (where, by) => {
      const began = worked()
      try {
        readFile(broken(whole, where, by) as Record<string, unknown>)
      } catch (error) {
        if (!(error instanceof BadRequest || error instanceof ProblemError)) throw error
        refused++
      }
      expect(worked() - began).toBeLessThan(HANGS)
    }),
    { numRuns: 10_000 },
  )
  expect(refused).toBeGreaterThan(3_000)
})
