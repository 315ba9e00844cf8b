import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import request from 'supertest'
import sharp from 'sharp'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { PICTURE_SIGNS, type StoredPicture } from '@crescent/core'
import { databaseFile } from '../../database/open'
import { addHorse, bringIn, libraryOf, makeBed, type Bed } from '../../testing'
import { thinOut } from './thin-out'

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
/** Some grain in it, so that it weighs something; 4 to 3. */
async function large(visitId: string, width: number): Promise<StoredPicture> {
  const height = (width * 3) / 4
  const grain = Buffer.from(Uint8Array.from({ length: width * height }, (_, i) => (i * 2_654_435_761) >>> 24))
  const file = await sharp(grain, { raw: { width, height, channels: 1 } })
    .blur(1)
    .jpeg({ quality: 60 })
    .toBuffer()
  const one = picture(visitId, {
    ...{ width, height, file: file.toString('base64') },
    marks: { T: [width / 3, height / 2] },
  })
  await put(one).expect(200)
  return one
}
const bytes = (file: string): number => (file.length * 3) / 4
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
    await large(visit.id, 2400)
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

  it('are shown small, and a browser that keeps one asks each time whether it still stands', async () => {
    const { visit } = addHorse(bed.practice)
    const kept = await large(visit.id, 1200)
    const small = await request(bed.app)
      .get(`/api/pictures/${kept.id}/thumbnail?version=1`)
      .buffer()
      .expect(200)
    expect(await sharp(small.body as Buffer).metadata()).toMatchObject({
      width: 320,
      height: 240,
      format: 'jpeg',
    })
    expect(small.headers['cache-control']).toBe('private, no-cache')
    // Asked for again it is not sent again, until it is another one or gone.
    const again = () =>
      request(bed.app).get(`/api/pictures/${kept.id}/thumbnail`).set('If-None-Match', small.headers['etag']!)
    await again().expect(304)
    await put({ ...kept, version: 1, marks: { T: [5, 6] } }).expect(200)
    await again().expect(200)
    await request(bed.app).post(`/api/pictures/${kept.id}/erase`).send({ version: 2 }).expect(200)
    await again().expect(404)
    await put({ ...kept, version: 0 }).expect(410)
    await request(bed.app).get(`/api/pictures/${randomUUID()}/thumbnail`).expect(404)
  })

  it('are thinned out by age: coarser, marked where they were, to the same scale, and newer ones are left', async () => {
    const { visit, horse } = addHorse(bed.practice)
    const later = bed.practice.visits.put({ ...visit, id: randomUUID(), version: 0, date: '2026-11-20' })
    const old = await large(visit.id, 2400)
    const fresh = await large(later.id, 2400)
    const tiny = picture(visit.id)
    await put(tiny).expect(200)
    const can = (await request(bed.app).get('/api/pictures/thin?before=2026-11-20').expect(200)).body
    expect(can.pictures).toBe(1)
    expect(Math.abs(can.bytes - bytes(old.file))).toBeLessThan(3)
    await request(bed.app).get('/api/pictures/thin?before=once').expect(400)
    const before = bed.practice.pictures.weight().bytes
    const done = (
      await request(bed.app).post('/api/pictures/thin').send({ before: '2026-11-20' }).expect(200)
    ).body
    expect(done.pictures).toBe(1)
    expect(Math.abs(before - bed.practice.pictures.weight().bytes - done.bytes)).toBeLessThan(6)
    expect(done.bytes).toBeGreaterThan(can.bytes / 2)
    const now = bed.practice.pictures.get(old.id)!
    expect(now).toMatchObject({ version: 2, width: 1000, height: 750 })
    // As long as before, and where it was: a third of the way across, half way down.
    expect(now.mmPerPixel! * 1000).toBeCloseTo(0.25 * 2400, 6)
    expect(now.marks).toEqual({ T: [expect.closeTo(1000 / 3, 6), expect.closeTo(375, 6)] })
    expect(await sharp(Buffer.from(now.file, 'base64')).metadata()).toMatchObject({ width: 1000 })
    expect(bed.practice.pictures.get(fresh.id)).toMatchObject({ version: 1, width: 2400 })
    expect(bed.practice.pictures.get(tiny.id)).toMatchObject({ version: 1 })
    // Done once there is nothing left to do.
    expect(
      (await request(bed.app).post('/api/pictures/thin').send({ before: '2026-11-20' })).body.pictures,
    ).toBe(0)
    expect(bed.practice.pictures.ofHorse(horse.id)).toHaveLength(3)
  })

  it('one that was marked anew while it was made smaller stays as it is', async () => {
    const { visit } = addHorse(bed.practice)
    const old = await large(visit.id, 1600)
    const thinning = thinOut(bed.practice, '2100-01-01')
    await put({ ...old, version: 1, marks: { T: [9, 9] } }).expect(200)
    expect(await thinning).toEqual({ pictures: 0, bytes: 0, broken: 0 })
    expect(bed.practice.pictures.get(old.id)).toMatchObject({ version: 2, width: 1600, marks: { T: [9, 9] } })
  })

  it('one that is broken stays as it is when the others are made smaller, and is told', async () => {
    const { visit } = addHorse(bed.practice)
    await large(visit.id, 1600)
    const whole = await large(visit.id, 1800)
    // Its head says what it is, its picture is not there.
    const { width, height } = whole
    const file = Buffer.from(whole.file, 'base64').subarray(0, 700).toString('base64')
    bed.practice.pictures.put(picture(visit.id, { width, height, file }))
    const { body } = await request(bed.app)
      .post('/api/pictures/thin')
      .send({ before: '2099-01-01' })
      .expect(200)
    expect(body).toMatchObject({ pictures: 2, broken: 1 })
  })

  it('hold nothing but the picture: what else is written in the file goes, and what is none is refused', async () => {
    const { visit } = addHorse(bed.practice)
    const told = await sharp(jpeg)
      .withExif({ IFD0: { Artist: 'Quillwort of Anness', Copyright: 'Quillwort' } })
      .jpeg({ quality: 95 })
      .toBuffer()
    expect(told.includes('Quillwort')).toBe(true)
    const { body } = await put(picture(visit.id, { file: told.toString('base64') })).expect(200)
    const kept = Buffer.from(body.file as string, 'base64')
    expect(kept.includes('Quillwort')).toBe(false)
    // To the pixel what it was.
    expect(await sharp(kept).raw().toBuffer()).toEqual(await sharp(told).raw().toBuffer())
    for (const [wrong, why] of [
      [{ file: `/9j/${'A'.repeat(400)}` }, /no JPEG/],
      [{ file: jpeg.subarray(0, 60).toString('base64') }, /no JPEG/],
      [{ width: 320 }, /32 x 24 pixels, not 320 x 24/],
    ] as const) {
      const refused = await put(picture(visit.id, wrong)).expect(400)
      expect(refused.body.errors[0].message).toMatch(why)
    }
    // A head that says more pixels than memory holds: nothing is unpacked to find out.
    const huge = Buffer.from(jpeg)
    const frame = huge.indexOf(Buffer.from([0xff, 0xc0]))
    huge.writeUInt16BE(20_000, frame + 5)
    huge.writeUInt16BE(20_000, frame + 7)
    const refused = await put(
      picture(visit.id, { width: 20_000, height: 20_000, file: huge.toString('base64') }),
    )
    expect([refused.status, refused.body.errors[0].message]).toEqual([
      400,
      expect.stringContaining('50 million'),
    ])
  })

  it('are erased one by one, out of the file too; a stale one is not', async () => {
    const { visit } = addHorse(bed.practice)
    const kept = picture(visit.id, { name: 'quillwort' })
    await put(kept).expect(200)
    const inFile = () => readFileSync(databaseFile(bed.dataFolder)).includes('quillwort')
    bed.practice.db.pragma('wal_checkpoint(TRUNCATE)')
    expect(inFile()).toBe(true)
    await request(bed.app).post(`/api/pictures/${kept.id}/erase`).send({ version: 2 }).expect(409)
    await request(bed.app).post(`/api/pictures/${kept.id}/erase`).send({ version: 1 }).expect(200)
    await request(bed.app).post(`/api/pictures/${kept.id}/erase`).send({ version: 1 }).expect(404)
    expect(inFile()).toBe(false)
    expect(bed.practice.pictures.weight().pictures).toBe(0)
  })

  it('as large as a phone takes them are taken; what is larger is refused, and no other record may be so large', async () => {
    const { visit, horse } = addHorse(bed.practice)
    const most = Buffer.concat([jpeg, Buffer.alloc((PICTURE_SIGNS * 3) / 4 - jpeg.length)])
    await put(picture(visit.id, { file: most.toString('base64') })).expect(200)
    await put(picture(visit.id, { file: `/9j/${'A'.repeat(6_000_000)}` })).expect(413)
    await request(bed.app)
      .put(`/api/horses/${horse.id}`)
      .send({ ...horse, notes: 'a'.repeat(1_100_000) })
      .expect(413)
  })
})
