import { randomUUID } from 'node:crypto'
import request from 'supertest'
import sharp from 'sharp'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { PICTURE_SIGNS, type StoredPicture } from '@crescent/core'
import { addHorse, bringIn, libraryOf, makeBed, type Bed } from '../../testing'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())

const jpeg = await sharp({ create: { width: 32, height: 24, channels: 3, background: '#777' } })
  .jpeg()
  .toBuffer()
const picture = (visitId: string, more: Partial<StoredPicture> = {}): StoredPicture => ({
  ...{ id: randomUUID(), version: 0, visitId, side: 'LF', kind: 'radiograph', name: 'lateral.dcm' },
  ...{ width: 32, height: 24, mmPerPixel: 0.25, marks: { T: [3, 4.5] }, file: jpeg.toString('base64') },
  ...more,
})
const put = (one: StoredPicture) => request(bed.app).put(`/api/pictures/${one.id}`).send(one)

describe('pictures of a visit', () => {
  it('are stored, marked anew, listed without their files, and each file is what was sent', async () => {
    const { visit, horse } = addHorse(bed.practice)
    const kept = picture(visit.id)
    const { body } = await put(kept).expect(200)
    expect(body).toMatchObject({ version: 1, marks: { T: [3, 4.5] } })
    await put({ ...kept, version: 1, marks: { T: [5, 6] } }).expect(200)
    const list = (await request(bed.app).get(`/api/pictures?horse=${horse.id}`).expect(200)).body
    expect(list).toHaveLength(1)
    expect(list[0]).toMatchObject({ version: 2, date: visit.date, marks: { T: [5, 6] }, mmPerPixel: 0.25 })
    expect(list[0]).not.toHaveProperty('file')
    const file = await request(bed.app).get(`/api/pictures/${kept.id}/file`).buffer().expect(200)
    expect(file.type).toBe('image/jpeg')
    expect(Buffer.compare(file.body as Buffer, jpeg)).toBe(0)
    await request(bed.app).get(`/api/pictures/${randomUUID()}/file`).expect(404)
    expect((await request(bed.app).get('/api/pictures?horse=none').expect(200)).body).toEqual([])
    const weight = (await request(bed.app).get('/api/pictures/weight').expect(200)).body
    expect(weight.pictures).toBe(1)
    expect(Math.abs(weight.bytes - jpeg.length)).toBeLessThan(3)
    // Changed elsewhere meanwhile: nothing is written over.
    await put({ ...kept, version: 1, marks: {} }).expect(409)
  })

  it('are refused by figure: no JPEG, too large, a scale that cannot be, a visit there is not', async () => {
    const { visit } = addHorse(bed.practice)
    const refused = async (more: Partial<StoredPicture>, path: string) => {
      const { body } = await put(picture(visit.id, more)).expect(400)
      expect((body.errors as { path: string }[]).map((one) => one.path)).toContain(path)
    }
    await refused({ file: Buffer.from('a text').toString('base64') }, 'file')
    await refused({ file: `/9j/${'A'.repeat(PICTURE_SIGNS)}` }, 'file')
    await refused({ mmPerPixel: 0 }, 'mmPerPixel')
    await refused({ marks: { T: [-1, 3] } }, 'marks.T.0')
    await put(picture(randomUUID())).expect(400)
    expect(bed.practice.pictures.weight()).toEqual({ pictures: 0, bytes: 0 })
  })

  it('go out with the library, come in again, and go with their visit for good', async () => {
    const { visit } = addHorse(bed.practice)
    await put(picture(visit.id)).expect(200)
    const library = await libraryOf(bed)
    const other = makeBed()
    try {
      await bringIn(other, library)
      expect((await libraryOf(other))['pictures']).toEqual(library['pictures'])
      expect(library['pictures']).toHaveLength(1)
    } finally {
      other.remove()
    }
    await request(bed.app).post(`/api/visits/${visit.id}/erase`).send({ version: visit.version }).expect(200)
    expect(bed.practice.pictures.weight().pictures).toBe(0)
  })
})
