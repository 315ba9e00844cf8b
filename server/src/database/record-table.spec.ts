import { randomUUID } from 'node:crypto'
import type { Owner } from '@crescent/core'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { makeBed, type Bed } from '../testing'
import { Conflict, sameContent } from './record-table'
import type { Row } from './rows'
import { fold, wordsOf } from './search'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())

const owner = (changes: Partial<Owner> = {}): Owner => ({
  id: randomUUID(),
  version: 0,
  name: 'Ada',
  phone: '',
  email: '',
  place: '',
  notes: '',
  archived: false,
  ...changes,
})

describe('recordTable', () => {
  it('gives back exactly what was put, whatever the text', () => {
    fc.assert(
      fc.property(fc.string(), fc.string({ unit: 'grapheme' }), fc.boolean(), (name, notes, archived) => {
        const put = bed.practice.owners.put(owner({ name, notes, archived }))
        expect(bed.practice.owners.get(put.id)).toEqual(put)
        expect(put).toMatchObject({ name, notes, archived, version: 1 })
        const row = bed.practice.db.prepare('SELECT * FROM owners WHERE id = ?').get(put.id) as Row
        expect(JSON.parse(bed.practice.owners.textOf(row))).toEqual(put)
      }),
      { numRuns: 40 },
    )
  })

  it('counts versions one by one and never lets two changes of the same version through', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(3), { minLength: 1, maxLength: 20 }), (bases) => {
        const { owners } = bed.practice
        let stored = owners.put(owner())
        bases.forEach((behind, i) => {
          const sent = { ...stored, version: Math.max(1, stored.version - behind), notes: `change ${i}` }
          if (sent.version === stored.version) {
            const next = owners.put(sent)
            expect(next.version).toBe(stored.version + 1)
            expect(next.createdAt).toBe(stored.createdAt)
            stored = next
          } else {
            expect(() => owners.put(sent)).toThrow(Conflict)
            expect(owners.get(stored.id)).toEqual(stored)
          }
        })
      }),
      { numRuns: 25 },
    )
  })

  it('answers a repeat as it answered the first, also when a later change came between two repeats', () => {
    const { owners } = bed.practice
    const first = owners.put(owner())
    const change = { ...first, phone: '12' }
    const second = owners.put(change)
    expect(owners.put(change)).toEqual(second)
    owners.put({ ...second, phone: '13' })
    expect(() => owners.put(change)).toThrow(Conflict)
  })

  it('brings a record in with its own version and stamps', () => {
    const stamps = { createdAt: '2024-01-02T03:04:05.000Z', updatedAt: '2025-01-02T03:04:05.000Z' }
    const brought = bed.practice.owners.bringIn(owner({ version: 7, ...stamps }))
    expect(bed.practice.owners.get(brought.id)).toMatchObject({ version: 7, ...stamps })
  })

  it('compares content, not version or stamps, and knows a missing field from a present one', () => {
    const one = owner({ updatedAt: '2024-01-01T00:00:00.000Z' })
    expect(sameContent(one, { ...one, version: 9, updatedAt: undefined })).toBe(true)
    const other: Owner = { ...one, notes: 'x' }
    expect(sameContent(one, other)).toBe(false)
  })
})

describe('search', () => {
  it('folds case, accents and space', () => {
    expect(fold('  Märta   LIND ')).toBe('marta lind')
    expect(fold('Ø Čapek')).toBe('ø capek')
  })

  it('takes each word for itself', () => {
    expect(wordsOf('Two  wörds')).toEqual(['two', 'words'])
    expect(wordsOf('   ')).toEqual([])
  })

  it('finds only what holds every word', () => {
    bed.practice.owners.put(owner({ name: 'Ada Reed', place: 'Eel Bay' }))
    bed.practice.owners.put(owner({ name: 'Ada Holm', place: 'North Shore' }))
    const names = (text: string) => bed.practice.owners.search(text, false, 10).map((one) => one.name)
    expect(names('ada')).toEqual(['Ada Holm', 'Ada Reed'])
    expect(names('eel ada')).toEqual(['Ada Reed'])
    expect(names('ada eel north')).toEqual([])
  })
})

describe('migrations', () => {
  it('are in WAL with foreign keys and full synchrony: an answered save survives a power cut', () => {
    const { db } = bed.practice
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal')
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1)
    expect(db.pragma('synchronous', { simple: true })).toBe(2)
    expect(db.pragma('foreign_key_check')).toEqual([])
  })
})
