import { savePattern } from '../patterns/save'
import { randomUUID } from 'node:crypto'
import { readFileSync, writeFileSync } from 'node:fs'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import Database from 'better-sqlite3'
import request from 'supertest'
import { databaseFile } from '../../database/open'
import { writeOver } from '../safekeeping/written-over'
import { addHorse, bringIn, FOOT, libraryOf, makeBed, SHOE, type Bed } from '../../testing'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())
const api = () => request(bed.app)

/** A horse with a word in its pattern's notes that is nowhere else. */
function shod(name: string, word: string) {
  const made = addHorse(bed.practice, name)
  const { horse, visit } = made
  const pattern = savePattern(bed.practice, {
    ...{ id: randomUUID(), version: 0, horseId: horse.id, side: 'LF', name: 'Set', visitId: visit.id },
    ...{ foot: FOOT, shoe: SHOE, workshop: {}, notes: word.repeat(400), archived: false },
  })
  const record = bed.practice.footRecords.put({
    ...{
      id: randomUUID(),
      version: 0,
      visitId: visit.id,
      side: 'LF',
      foot: FOOT,
      patternId: pattern.id,
      notes: '',
    },
  })
  return { ...made, pattern, record }
}
const inFile = (word: string): boolean =>
  ['', '-wal'].some((tail) => {
    try {
      return readFileSync(databaseFile(bed.dataFolder) + tail).includes(word)
    } catch {
      return false
    }
  })

describe('what was erased', () => {
  it('is not stored again by a device that still has it, only by a file that is brought in', async () => {
    const library = await (async () => {
      shod('Ash', 'quillwort')
      return libraryOf(bed)
    })()
    const [horse] = bed.practice.horses.list()
    const [visit] = bed.practice.visits.list()
    const [record] = bed.practice.footRecords.list()
    await api().post(`/api/horses/${horse!.id}/erase`).send({ version: horse!.version }).expect(200)
    for (const [path, sent] of [
      [`horses/${horse!.id}`, horse],
      [`visits/${visit!.id}`, visit],
      [`foot-records/${record!.id}`, record],
    ] as const) {
      const again = JSON.parse(JSON.stringify(sent), (key, value: unknown) => (key === 'version' ? 0 : value))
      const { body } = await api().put(`/api/${path}`).send(again).expect(410)
      expect(body.errors[0].message).toContain('erased for good')
    }
    expect(bed.practice.horses.list()).toEqual([])
    expect(inFile('quillwort')).toBe(false)
    // Who brings in the file that was taken out first means it.
    expect((await bringIn(bed, library)).added).toBeGreaterThan(3)
    await api()
      .put(`/api/horses/${horse!.id}`)
      .send({ ...bed.practice.horses.get(horse!.id)! })
      .expect(200)
  })

  it('takes the empty record with it that became one with it, and its name', async () => {
    const [one, two] = [shod('Ash', 'quillwort'), shod('Zephyrine', 'samphire')]
    await api().post(`/api/horses/${one.horse.id}/join`).send({ other: two.horse.id }).expect(200)
    const { body } = await api().get(`/api/horses/${two.horse.id}/erase`).expect(200)
    expect(body).toMatchObject({ visits: 2, horses: ['Ash', 'Zephyrine'] })
    const { version } = bed.practice.horses.get(one.horse.id)!
    await api().post(`/api/horses/${two.horse.id}/erase`).send({ version }).expect(200)
    expect(bed.practice.horses.list()).toEqual([])
    expect(inFile('Zephyrine')).toBe(false)
    await api()
      .put(`/api/horses/${two.horse.id}`)
      .send({ ...two.horse, version: 0 })
      .expect(410)
  })

  it('may still lie in copies that a restore put aside: they are counted', async () => {
    const { horse } = shod('Ash', 'quillwort')
    writeFileSync(`${databaseFile(bed.dataFolder)}.before-2026-11-30T10-00-00`, '')
    expect((await api().get(`/api/horses/${horse.id}/erase`).expect(200)).body.backups).toBe(1)
  })
})

describe('erasing', () => {
  it('names what goes, takes a horse out with all its own and leaves the others, and it is gone from the file', async () => {
    const one = shod('Ash', 'quillwort')
    const other = shod('Elm', 'samphire')
    expect((await api().get(`/api/horses/${one.horse.id}/erase`).expect(200)).body).toEqual({
      ...{ horses: ['Ash'], visits: 1, patterns: 1, feet: 1, backups: 0 },
    })
    expect(inFile('quillwort')).toBe(true)
    await api().post(`/api/horses/${one.horse.id}/erase`).send({ version: 1 }).expect(200)
    expect(inFile('quillwort')).toBe(false)
    expect(inFile('samphire')).toBe(true)
    expect(bed.practice.horses.list().map(({ name }) => name)).toEqual(['Elm'])
    expect(bed.practice.footRecords.list().map(({ id }) => id)).toEqual([other.record.id])
    expect(bed.practice.db.pragma('foreign_key_check')).toEqual([])
    // Its owner stays: erased apart, with whatever horses there still are.
    expect(bed.practice.owners.get(one.owner.id)).toBeDefined()
  })

  it('leaves no name of what was erased where another pattern was begun from it', async () => {
    const one = shod('Quillwort', 'sedge')
    const other = shod('Elm', 'samphire')
    const { id, version, name } = one.pattern
    savePattern(bed.practice, {
      ...{ ...other.pattern, id: randomUUID(), version: 0, name: 'Begun from it' },
      forkedFrom: { id, version, name, horse: 'Quillwort', mirrored: false },
    })
    await api().post(`/api/horses/${one.horse.id}/erase`).send({ version: 1 }).expect(200)
    const [kept] = bed.practice.patterns.list("name = 'Begun from it'")
    expect(kept).not.toHaveProperty('forkedFrom')
    expect(bed.practice.patterns.versions(kept!.id)[0]).not.toHaveProperty('forkedFrom')
    expect(inFile('Quillwort')).toBe(false)
  })

  it('takes an owner out with all horses, and a visit without the patterns made at it', async () => {
    const one = shod('Ash', 'quillwort')
    await api().post(`/api/visits/${one.visit.id}/erase`).send({ version: 1 }).expect(200)
    expect(bed.practice.visits.list()).toEqual([])
    expect(bed.practice.patterns.get(one.pattern.id)).toMatchObject({ visitId: null })
    await api().post(`/api/owners/${one.owner.id}/erase`).send({ version: 1 }).expect(200)
    expect([bed.practice.owners.list(), bed.practice.horses.list(), bed.practice.patterns.list()]).toEqual([
      [],
      [],
      [],
    ])
  })

  it('says so where the file still holds it, remembers that, and writes it over later', async () => {
    const { horse } = shod('Ash', 'quillwort')
    // Who is in the middle of reading keeps the log as it stands.
    const reader = new Database(databaseFile(bed.dataFolder), { readonly: true })
    const reading = reader.prepare('SELECT name FROM horses').iterate()
    reading.next()
    const erased = await api().post(`/api/horses/${horse.id}/erase`).send({ version: 1 }).expect(200)
    expect(erased.body).toMatchObject({ horses: ['Ash'], traces: true })
    await api().get(`/api/horses/${horse.id}`).expect(404)
    expect(bed.practice.facts.current().traces).toBe(true)
    expect(inFile('quillwort')).toBe(true)
    reading.return!()
    reader.close()
    expect(await writeOver(bed.practice)).toBeUndefined()
    expect(inFile('quillwort')).toBe(false)
    expect(bed.practice.facts.current().traces).toBe(false)
  }, 30_000)

  it('says how many backups still hold it', async () => {
    const { horse } = addHorse(bed.practice)
    await api().post('/api/backup').expect(200)
    expect((await api().get(`/api/horses/${horse.id}/erase`)).body.backups).toBe(1)
  })

  it('refuses what was changed since it was read, and what is not there', async () => {
    const { horse } = addHorse(bed.practice)
    bed.practice.horses.put({ ...horse, name: 'Renamed' })
    await api().post(`/api/horses/${horse.id}/erase`).send({ version: 1 }).expect(409)
    await api().post(`/api/horses/${randomUUID()}/erase`).send({ version: 1 }).expect(404)
    await api().get(`/api/visits/${randomUUID()}/erase`).expect(404)
    await api().post(`/api/horses/${horse.id}/erase`).send({}).expect(400)
    expect(bed.practice.horses.list()).toHaveLength(1)
  })
})
