import { request as httpRequest } from 'node:http'
import type { AddressInfo } from 'node:net'
import { randomUUID } from 'node:crypto'
import fc from 'fast-check'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { Size, SizeFacts } from '@crescent/core'
import { sizeSchema } from '@crescent/core/records/index'
import { addHorse, bringIn, FOOT, libraryOf, makeBed, type Bed } from '../../testing'
import { readCsv, writeCsv } from './csv'
import { HANGS, worked } from '@crescent/core/testing/hangs'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

const holes = [34, 54, 74, 94].map((fromToe) => ({ fromToe, inset: 9 }))
const facts = (length: number, more: Partial<SizeFacts> = {}): SizeFacts => ({
  ...{ label: `F${length}`, kind: 'creased-steel', feet: 'front', web: 20, thickness: 8, length },
  holes: { lateral: holes, medial: holes },
  ...more,
})
const size = (length: number, more: Partial<Size> = {}) => ({
  ...facts(length),
  ...{ id: randomUUID(), version: 0, range: 'Everyday', onVan: 3 },
  ...more,
})
const put = (one: ReturnType<typeof size>) => request(bed.app).put(`/api/sizes/${one.id}`).send(one)
const table = async () => (await request(bed.app).get('/api/sizes').expect(200)).body as Size[]

describe('the table of factory sizes', () => {
  it('is empty at first, and lists what was stored by range and length', async () => {
    expect(await table()).toEqual([])
    for (const [length, range] of [
      [320, 'Everyday'],
      [300, 'Everyday'],
      [310, 'Broad'],
    ] as const)
      await put(size(length, { range })).expect(200)
    expect((await table()).map(({ label }) => label)).toEqual(['F310', 'F300', 'F320'])
  })

  it('keeps what was not said unsaid, and refuses a stale write', async () => {
    const stored = (await put(size(300)).expect(200)).body as Size
    expect(stored).not.toHaveProperty('width')
    expect(await table()).toEqual([stored])
    const { body: changed } = await request(bed.app)
      .put(`/api/sizes/${stored.id}`)
      .send({ ...stored, width: 124, onVan: 5 })
      .expect(200)
    expect(changed).toMatchObject({ version: 2, width: 124, onVan: 5 })
    await request(bed.app)
      .put(`/api/sizes/${stored.id}`)
      .send({ ...stored, onVan: 1 })
      .expect(409)
  })

  it('takes no second size of a name, unless for the other feet', async () => {
    const first = size(300, { range: 'Hill', label: 'Front 1' })
    await put(first).expect(200)
    const copy = size(310, { range: 'hill', label: 'front 1' })
    const refused = await put(copy).expect(400)
    expect(JSON.stringify(refused.body)).toContain('There is a “hill front 1”')
    await put({ ...copy, feet: 'hind' }).expect(200)
    // Counting what hangs on the van is no new name.
    await put({ ...first, version: 1, onVan: 2 }).expect(200)
    expect(await table()).toHaveLength(2)
  })

  it('refuses a size that contradicts itself, by figure', async () => {
    const past = { lateral: [{ fromToe: 190, inset: 9 }], medial: [] }
    const refused = await put(size(300, { holes: past })).expect(400)
    expect(JSON.stringify(refused.body)).toMatch(/holes\.lateral\.0\.fromToe.*lies between/)
    await put(size(140, { web: 58 })).expect(400)
    expect(await table()).toEqual([])
  })

  it('goes out with the library and comes in again; a library from before there were sizes comes in too', async () => {
    await put(size(300)).expect(200)
    const library = await libraryOf(bed)
    expect(library['sizes']).toHaveLength(1)
    const other = makeBed()
    try {
      await bringIn(other, library)
      expect(other.practice.sizes.all()).toEqual(await table())
      delete library['sizes']
      await bringIn(other, library)
    } finally {
      other.remove()
    }
  })
})

describe('the table as a file', () => {
  const send = (csv: string, keep = false) =>
    request(bed.app)
      .post(`/api/sizes/csv${keep ? '?keep=true' : ''}`)
      .set('Content-Type', 'text/csv')
      .send(csv)
  const HEAD = 'range,label,kind,feet,web,thickness,length,outer holes,inner holes,on van\n'
  const GOOD = 'Everyday,1,plain steel,front,3/4 in,8,300,34:9; 54:9; 74:9:70,34:9; 54:9,4\n'

  it('is read row by row, and stored only when it is asked for', async () => {
    const { body } = await send(HEAD + GOOD).expect(200)
    expect(body).toMatchObject({ kept: 0, errors: [] })
    expect(body.rows[0].size).toMatchObject({ label: '1', kind: 'plain-steel', web: 19.05, onVan: 4 })
    expect(body.rows[0].size.holes.lateral[2]).toEqual({ fromToe: 74, inset: 9, pitch: 70 })
    expect(await table()).toEqual([])
    expect((await send(HEAD + GOOD, true).expect(200)).body.kept).toBe(1)
    // The same file again changes nothing.
    await send(HEAD + GOOD, true).expect(200)
    expect((await table()).map(({ version }) => version)).toHaveLength(1)
  })

  it('names what is wrong in each row, and stores nothing of a file with a bad one', async () => {
    const bad =
      'Everyday,2,brass,front,wide,8,300,34,,4\nEveryday,3,aluminium,front,20,8,300,34:9; 300:9,,x\n'
    const { body } = await send(HEAD + GOOD + bad).expect(200)
    expect(
      body.rows.map(({ line, errors }: { line: number; errors: unknown[] }) => [line, errors.length]),
    ).toEqual([
      [2, 0],
      [3, 3],
      [4, 1],
    ])
    const columns = body.rows[1].errors.map(({ path }: { path: string }) => path)
    expect(columns).toEqual(expect.arrayContaining(['kind', 'web', 'outer holes']))
    const refused = await send(HEAD + GOOD + bad, true).expect(400)
    expect(JSON.stringify(refused.body)).toMatch(/Line 3, kind: “brass” is none of creased-steel/)
    expect(await table()).toEqual([])
  })

  it('takes words as a farrier writes them, where only one kind begins so', async () => {
    const csv =
      'range,label,kind,feet,web,thickness,length,in stock\n' +
      'Hill,1,creased,fore,20,8,300,4\nHill,2,Alu,hinds,20,8,300,4\nHill,3,p,both,20,8,300,4\n'
    const { body } = await send(csv).expect(200)
    expect(body.rows[0].size).toMatchObject({ kind: 'creased-steel', feet: 'front', onVan: 0 })
    expect(body.rows[1].size).toMatchObject({ kind: 'aluminium', feet: 'hind' })
    // Plain steel, polymer or plate-cored: it is not guessed, and the row is told by its name.
    expect(body.rows[2]).toMatchObject({ name: 'Hill 3', errors: [{ path: 'kind' }] })
    expect(body.unread).toEqual(['in stock'])
  })

  it('is measured as it comes, whoever says nothing of its length', async () => {
    const server = bed.app.listen(0)
    try {
      const { port } = server.address() as AddressInfo
      const piece = `${GOOD.repeat(1_000)}`
      let sent = 0
      const status = await new Promise((done) => {
        const sending = httpRequest({ port, method: 'POST', path: '/api/sizes/csv' }, (answer) => {
          answer.resume()
          done(answer.statusCode)
        })
        // In pieces: nobody knows how many there will be.
        sending.on('error', () => undefined)
        sending.write(HEAD)
        const next = () => {
          if (sent > 40_000_000) return void sending.end()
          sent += piece.length
          if (sending.write(piece)) setImmediate(next)
          else sending.once('drain', next)
        }
        next()
      })
      expect(status).toBe(413)
    } finally {
      server.closeAllConnections()
      server.close()
    }
  })

  it('says when a file is of another shape', async () => {
    const { body } = await send('name;price\nshoe;4\n').expect(200)
    expect(body.errors[0].message).toMatch(/label, kind, feet, web, thickness are missing/)
    await send('name;price\nshoe;4\n', true).expect(400)
    await send('', true).expect(400)
  })

  it('derives the length from width and toe to heels, and says that it did', async () => {
    const csv = 'label,kind,feet,web,thickness,width,toe to heels\n7,aluminium,hind,20,8,125,128\n'
    const { body } = await send(csv).expect(200)
    expect(body.rows[0].size.lengthDerived).toBe(true)
    expect(body.rows[0].size.length).toBeGreaterThan(280)
    expect(body.rows[0].size.length).toBeLessThan(340)
  })

  it('pasted in inches counts bare numbers as inches, holes too; a unit that is written counts', async () => {
    const csv =
      'label\tkind\tfeet\tweb\tthickness\tlength\tcrease\touter holes\n1\tcreased-steel\tfront\t3/4\t8 mm\t12\t\t1 1/4 : 5/16; 2 : 3/8\n'
    const { body } = await request(bed.app).post('/api/sizes/csv?unit=in').send({ csv }).expect(200)
    expect(body.rows[0]).toMatchObject({ errors: [], size: { web: 19.05, thickness: 8, length: 304.8 } })
    expect(body.rows[0].size.holes.lateral).toEqual([
      { fromToe: 31.75, inset: 7.9375 },
      { fromToe: 50.8, inset: 9.525 },
    ])
    // The same figures are no shoe in millimetres.
    expect((await request(bed.app).post('/api/sizes/csv').send({ csv })).body.rows[0].errors).not.toEqual([])
    await request(bed.app).post('/api/sizes/csv?unit=ells').send({ csv }).expect(400)
  })

  it('is read behind a line that says what its cells are parted by; a letter nobody could read is no size’s name', async () => {
    const rows = 'label;kind;feet;web;thickness;length\n5;shoe;front;19;8;310'
    const { body } = await request(bed.app)
      .post('/api/sizes/csv')
      .send({ csv: `sep=;\r\n${rows}\nx;y;z` })
    expect(body.rows.map((row: { line: number }) => row.line)).toEqual([3, 4])
    expect(body.rows[0]).toMatchObject({ name: expect.stringContaining('5') })
    expect(body.rows[0].errors.map(({ path }: { path: string }) => path)).not.toContain('label')
    const lost = await request(bed.app)
      .post('/api/sizes/csv')
      .send({ csv: rows.replace('5;', 'Gr\uFFFD;') })
    expect(lost.body).toMatchObject({ rows: [], errors: [{ message: expect.stringContaining('UTF-8') }] })
  })

  it('comes out as it went in, and nothing in it is a formula', async () => {
    await put(size(300, { label: '=1+1', price: 4.5, weight: 410, width: 125 })).expect(200)
    const before = await table()
    const out = (await request(bed.app).get('/api/sizes/csv').expect(200)).text
    expect(out).toContain("'=1+1")
    const { body } = await request(bed.app).post('/api/sizes/csv').send({ csv: out }).expect(200)
    const { id: _id, version: _version, createdAt: _made, updatedAt: _changed, ...rest } = before[0]!
    expect(body.rows[0].size).toEqual(rest)
  })
})

describe('sizes for a foot', () => {
  it('are ranked out of the table, or as they are given', async () => {
    for (const length of [290, 303, 330]) await put(size(length)).expect(200)
    const ofTable = await request(bed.app)
      .post('/api/sizes/rank')
      .send({ foot: FOOT, fit: 'general' })
      .expect(200)
    expect(ofTable.body.ranked).toHaveLength(3)
    expect(ofTable.body.ranked[0]).toMatchObject({ label: 'F303', possible: true })
    const given = await request(bed.app)
      .post('/api/sizes/rank')
      .send({ foot: FOOT, fit: 'general', sizes: [facts(290)], use: { work: 'racing' } })
      .expect(200)
    expect(given.body.ranked.map(({ label }: { label: string }) => label)).toEqual(['F290'])
    expect(given.body.ranked[0].holes).toHaveLength(8)
  })

  it('are refused by figure', async () => {
    const sizes = [facts(300), facts(300, { web: 90 })]
    const { body } = await request(bed.app).post('/api/sizes/rank').send({ foot: FOOT, sizes }).expect(400)
    expect(body.errors[0].path).toBe('sizes.1.web')
  })

  it('are planned like any shoe', async () => {
    const shoe = { stock: { kind: 'size', facts: facts(303) }, fit: 'general' }
    const { body } = await request(bed.app).post('/api/plan').send({ foot: FOOT, shoe }).expect(200)
    expect(body.iron.centrelineLength).toBeCloseTo(303, 5)
    expect(body.iron).toHaveProperty('openBy')
    expect(body.iron.heelLeft).toHaveProperty('medial')
    const bar = { kind: 'bar', section: { shape: 'flat', width: 20, thickness: 8, material: 'steel' } }
    await request(bed.app)
      .post('/api/plan')
      .send({ foot: FOOT, shoe: { stock: bar, fit: 'general' } })
      .expect(200)
  })
})

describe('what is on the van', () => {
  it('goes down when a size is nailed on, once, and comes back when another is taken', async () => {
    const [one, two] = [size(303, { onVan: 2 }), size(310, { onVan: 0 })]
    await put(one).expect(200)
    await put(two).expect(200)
    const { horse, visit } = addHorse(bed.practice)
    const shoeing = (of: typeof one, version: number) => {
      const { id, version: _v, range: _r, onVan: _o, ...known } = of
      const shoe = { stock: { kind: 'size', facts: known, sizeId: id }, fit: 'general' }
      return {
        pattern: {
          ...{ id: patternId, version, horseId: horse.id, side: 'LF', name: 'Everyday', visitId: visit.id },
          ...{ foot: FOOT, shoe, workshop: {}, notes: '', archived: false },
        },
        record: { id: recordId, version, visitId: visit.id, side: 'LF', foot: FOOT, patternId, notes: '' },
      }
    }
    const [patternId, recordId] = [randomUUID(), randomUUID()]
    const onVan = async () => Object.fromEntries((await table()).map(({ label, onVan }) => [label, onVan]))
    const save = (of: typeof one, version: number) =>
      request(bed.app).put(`/api/visits/${visit.id}/feet/LF`).send(shoeing(of, version))
    await save(one, 0).expect(200)
    await save(one, 0).expect(200)
    expect(await onVan()).toEqual({ F303: 1, F310: 0 })
    await save(two, 1).expect(200)
    expect(await onVan()).toEqual({ F303: 2, F310: 0 })
  })

  it('goes down again at the next visit, and not for a shoe that is put on again', async () => {
    const one = size(303, { onVan: 5 })
    await put(one).expect(200)
    const { horse, visit } = addHorse(bed.practice)
    const next = bed.practice.visits.put({ ...visit, id: randomUUID(), version: 0, date: '2026-11-12' })
    const last = bed.practice.visits.put({ ...visit, id: randomUUID(), version: 0, date: '2026-12-20' })
    const { id: sizeId, version: _v, range: _r, onVan: _o, ...known } = one
    const patternId = randomUUID()
    const save = (visitId: string, version: number, fitted?: object) => {
      const shoe = {
        stock: { kind: 'size', facts: known, sizeId, ...(fitted && { fitted }) },
        fit: 'general',
      }
      const pattern = {
        ...{ id: patternId, version, horseId: horse.id, side: 'LF', name: 'Everyday', visitId },
        ...{ foot: FOOT, shoe, workshop: {}, notes: '', archived: false },
      }
      const record = { id: randomUUID(), version: 0, visitId, side: 'LF', foot: FOOT, patternId, notes: '' }
      return request(bed.app).put(`/api/visits/${visitId}/feet/LF`).send({ pattern, record })
    }
    const onVan = async () => (await table())[0]!.onVan
    await save(visit.id, 0, { since: '2026-10-01', resets: 0 }).expect(200)
    expect(await onVan()).toBe(4)
    await save(next.id, 1, { since: '2026-10-01', resets: 1 }).expect(200)
    expect(await onVan()).toBe(4)
    await save(last.id, 2, { since: '2026-12-20', resets: 0 }).expect(200)
    expect(await onVan()).toBe(3)
  })
})

describe('a moulded size', () => {
  const moulded = { kind: 'plate-cored', web: 25, thickness: 11, crease: 8 } as const

  it('keeps where its crease begins, in the table and in the file', async () => {
    await put(size(305, { ...moulded, holes: { lateral: [], medial: [] } })).expect(200)
    expect((await table())[0]).toMatchObject({ crease: 8 })
    const out = (await request(bed.app).get('/api/sizes/csv').expect(200)).text
    const { body } = await request(bed.app).post('/api/sizes/csv').send({ csv: out }).expect(200)
    expect(body.rows[0].size.crease).toBe(8)
    await put(size(305, { ...moulded, crease: 14 })).expect(400)
  })

  it('is planned unbent: where to saw and to drill', async () => {
    const stock = { kind: 'size', facts: facts(306, { ...moulded, holes: { lateral: [], medial: [] } }) }
    const plan = (more: object) =>
      request(bed.app)
        .post('/api/plan')
        .send({ foot: FOOT, shoe: { stock: { ...stock, ...more }, fit: 'general' } })
    const { body } = await plan({ moved: { across: -1 }, rest: 'clear of the sole' }).expect(200)
    expect(body.moulded.saw.length).toBeGreaterThan(0)
    expect(body.moulded.drilled).toHaveLength(8)
    const refused = await plan({ moved: { across: 40 } }).expect(400)
    expect(refused.body.errors[0]).toMatchObject({ path: 'shoe.stock.moved.across' })
  })
})

it('a table is read row by row or refused in words, whatever is broken in it', { timeout: 240_000 }, () => {
  const whole = writeCsv([size(305), size(290, { range: 'Road; "hard"' })] as Size[])
  const put = fc.oneof(
    fc.constantFrom(
      '"',
      '""',
      ',',
      ';',
      '\n',
      '\r\n',
      '\t',
      'NaN',
      '1e309',
      '-1',
      '\uFEFF',
      '=1+1',
      '\0',
      ' ',
    ),
    fc.string({ maxLength: 8 }),
  )
  const wound = fc.record({ at: fc.double({ min: 0, max: 1, noNaN: true }), cut: fc.nat(60), put })
  let refused = 0
  fc.assert(
    fc.property(fc.array(wound, { minLength: 1, maxLength: 5 }), (wounds) => {
      let text = whole
      for (const { at, cut, put: by } of wounds) {
        const from = Math.floor(at * text.length)
        text = text.slice(0, from) + by + text.slice(from + cut)
      }
      const began = worked()
      const { rows, errors } = readCsv(text)
      for (const row of rows) {
        expect(row.size === undefined).toBe(row.errors.length > 0)
        if (row.size)
          expect(sizeSchema.safeParse({ ...row.size, id: randomUUID(), version: 0 }).success).toBe(true)
        else refused++
      }
      refused += errors.length
      expect(worked() - began).toBeLessThan(HANGS)
    }),
    { numRuns: 10_000 },
  )
  expect(refused).toBeGreaterThan(1_000)
})
