import { savePattern } from '../patterns/save'
import { randomUUID } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { MODIFICATIONS } from '@crescent/core'
import { demoSchema, type Demo } from '../../demo/schema'
import { seedDemo } from '../../demo/seed'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { backUp } from '../../database/backup'
import { databaseFile, openDatabase } from '../../database/open'
import { openPractice } from '../../practice'
import { restore } from '../../database/restore'
import { Conflict } from '../../database/record-table'

const demo = demoSchema.parse(
  JSON.parse(readFileSync(new URL('../../../../demo/practice.json', import.meta.url), 'utf8')),
)

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())

describe('backup and restore', () => {
  it('copies consistently while writes go on, and restores to that state', async () => {
    addHorse(bed.practice, 'Before')
    const file = join(bed.dataFolder, 'copy.sqlite')
    const copying = backUp(bed.practice.db, file)
    addHorse(bed.practice, 'During')
    await copying
    addHorse(bed.practice, 'After')
    bed.practice.db.close()

    const kept = await restore(bed.dataFolder, file)
    const restored = openPractice(databaseFile(bed.dataFolder))
    const names = restored.horses.list().map((h) => h.name)
    expect(names).toContain('Before')
    expect(names).not.toContain('After')
    restored.db.close()
    const before = new Database(kept)
    expect(before.prepare('SELECT count(*) AS n FROM horses').get()).toEqual({ n: 3 })
    before.close()
  })

  it('refuses while the data is in use, and refuses what is not a backup; both change nothing', async () => {
    addHorse(bed.practice)
    const file = join(bed.dataFolder, 'copy.sqlite')
    await backUp(bed.practice.db, file)
    await expect(restore(bed.dataFolder, file)).rejects.toThrow('in use')
    const junk = join(bed.dataFolder, 'junk.sqlite')
    writeFileSync(junk, 'not a database at all')
    await expect(restore(bed.dataFolder, junk)).rejects.toThrow('not a sound Crescent backup')
    await expect(restore(bed.dataFolder, join(bed.dataFolder, 'none.sqlite'))).rejects.toThrow('no file')
    expect(bed.practice.horses.list()).toHaveLength(1)
  })

  it('is downloaded and written by route', async () => {
    addHorse(bed.practice)
    const written = await request(bed.app).post('/api/backup').expect(200)
    expect(existsSync(join(bed.dataFolder, 'backups', written.body.file))).toBe(true)
    const download = await request(bed.app).get('/api/backup').responseType('blob').expect(200)
    expect(download.body.subarray(0, 15).toString()).toBe('SQLite format 3')
  })
})

describe('library', () => {
  it('goes out and into an empty practice whole, versions and all', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const design = {
      id: randomUUID(),
      horseId: horse.id,
      side: 'LF' as const,
      visitId: visit.id,
      foot: FOOT,
      workshop: {},
      notes: '',
      archived: false,
    }
    savePattern(bed.practice, { ...design, version: 0, name: 'One', shoe: SHOE })
    savePattern(bed.practice, { ...design, version: 1, name: 'Two', shoe: SHOE })
    bed.practice.footRecords.put({
      id: randomUUID(),
      version: 0,
      visitId: visit.id,
      side: 'LF',
      foot: FOOT,
      patternId: design.id,
      notes: '',
    })
    const out = (await request(bed.app).get('/api/library').expect(200)).body

    const other = makeBed()
    const report = (await request(other.app).post('/api/library').send(out).expect(200)).body
    expect(report).toMatchObject({ added: 5, unchanged: 0, kept: [] })
    const back = (await request(other.app).get('/api/library').expect(200)).body
    expect({ ...back, exportedAt: '' }).toEqual({ ...out, exportedAt: '' })

    // Again: nothing changes. Changed here: what is here stays, and is named.
    expect((await request(other.app).post('/api/library').send(out)).body).toMatchObject({
      added: 0,
      unchanged: 5,
    })
    other.practice.horses.put({ ...horse, name: 'Renamed' })
    const kept = (await request(other.app).post('/api/library').send(out)).body.kept
    expect(kept).toEqual([{ kind: 'horse', id: horse.id }])
    expect(other.practice.horses.get(horse.id)?.name).toBe('Renamed')
    other.remove()
  })

  it('brings in all or nothing', async () => {
    const { body } = await request(bed.app).get('/api/library')
    const { owner, horse } = { owner: randomUUID(), horse: randomUUID() }
    const broken = {
      ...body,
      owners: [{ id: owner, version: 1, name: 'Ada' }],
      horses: [{ id: horse, version: 1, name: 'Fig', ownerId: randomUUID() }],
    }
    await request(bed.app).post('/api/library').send(broken).expect(400)
    expect(bed.practice.owners.list()).toEqual([])
    await request(bed.app).post('/api/library').send({ format: 'something' }).expect(400)
  })
})

describe('database', () => {
  it('refuses a file from a newer Crescent and reopens its own', () => {
    const file = join(bed.dataFolder, 'other.sqlite')
    openDatabase(file).close()
    const again = openDatabase(file)
    again.pragma('user_version = 99')
    again.close()
    expect(() => openDatabase(file)).toThrow('newer')
  })

  it('never makes a record out of a stale change', () => {
    const { horse } = addHorse(bed.practice)
    bed.practice.horses.put({ ...horse, notes: 'one' })
    expect(() => bed.practice.horses.put({ ...horse, notes: 'two' })).toThrow(Conflict)
    expect(() => bed.practice.horses.put({ ...horse, id: randomUUID() })).toThrow(Conflict)
    expect(bed.practice.horses.get(horse.id)?.notes).toBe('one')
  })
})

describe('demo practice', () => {
  it('has at least twelve different horses and three years of visits that can all be planned', () => {
    seedDemo(bed.practice, demo, new Date('2026-11-23T09:00:00Z'))
    const horses = bed.practice.horses.list()
    expect(horses.length).toBeGreaterThanOrEqual(12)
    expect(new Set(horses.map((h) => h.animal)).size).toBe(4)
    for (const horse of horses) {
      const visits = bed.practice.visits.ofHorse(horse.id)
      const days = (Date.parse(visits[0]!.date) - Date.parse(visits.at(-1)!.date)) / 864e5
      expect(days).toBeGreaterThan(2.7 * 365)
      const widths = bed.practice.footRecords
        .ofHorse(horse.id)
        .filter((r) => r.side === 'LF')
        .map((r) => r.foot.width)
      expect(Math.max(...widths) - Math.min(...widths)).toBeGreaterThan(1)
      expect(Math.max(...widths) - Math.min(...widths)).toBeLessThan(14)
    }
    const round = bed.practice.horses.round('2026-11-23')
    expect(round.overdue.length).toBeGreaterThan(2)
    expect(round.due.length).toBeGreaterThan(1)
    // A demo shoe may ask for care, but none may prick.
    for (const pattern of bed.practice.patterns.list()) {
      expect(pattern.result.cautions.filter((c) => c.severity === 'stop')).toEqual([])
    }
  })

  it('shows every modification, also one that nobody wears yet', () => {
    const wearing = (seeded: Demo) => {
      const bed = makeBed()
      seedDemo(bed.practice, seeded, new Date('2026-11-23T09:00:00Z'))
      const all = bed.practice.patterns.list()
      bed.remove()
      return new Set(all.flatMap(({ shoe }) => (shoe.modifications ?? []).map(({ kind }) => kind)))
    }
    const kinds = MODIFICATIONS.map(({ kind }) => kind).sort()
    expect([...wearing(demo)].sort()).toEqual(kinds)
    // Horses of which none wears anything: each stands among the patterns all the same.
    const bare = demo.horses.map((horse) => ({ ...horse, shoe: { ...horse.shoe, modifications: undefined } }))
    expect([...wearing({ ...demo, horses: bare })].sort()).toEqual(kinds)
  })
})
