import { randomUUID } from 'node:crypto'
import fc from 'fast-check'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { PATTERNS_FOUND, type FoundPattern } from '@crescent/core'
import { openPractice, type Practice } from '../../practice'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { WITHOUT_STOPS } from '../../testing/older'
import { savePattern } from './save'
import { searchPatterns as written, type PatternQuery } from './search'

let bed: Bed
const searchPatterns = (practice: Practice, query: PatternQuery) =>
  JSON.parse(written(practice, query).text) as FoundPattern[]
/** Widths in the order the patterns were saved, with some alike. */
const WIDTHS = Array.from({ length: 44 }, (_, i) => 118 + ((i * 7) % 20))

beforeAll(() => {
  bed = makeBed()
  const { horse } = addHorse(bed.practice, 'Quillwort')
  for (const [i, width] of WIDTHS.entries()) {
    savePattern(bed.practice, {
      ...{ id: randomUUID(), version: 0, horseId: horse.id, side: 'LF', name: `General ${i}`, visitId: null },
      ...{ foot: { ...FOOT, width }, shoe: SHOE, workshop: {}, notes: '', archived: i % 11 === 3 },
    })
  }
})
afterAll(() => bed.remove())

/** What is asked for, by a plain sort of everything that is stored. */
const expected = (width: number) =>
  bed.practice.patterns
    .list('archived = 0')
    .sort(
      (a, b) =>
        Math.abs(a.foot.width - width) - Math.abs(b.foot.width - width) ||
        (a.updatedAt! < b.updatedAt! ? 1 : -1),
    )
    .slice(0, PATTERNS_FOUND)
    .map(({ name }) => name)

it('the patterns for the nearest width of foot come first, of equal ones the newest', () => {
  fc.assert(
    fc.property(fc.integer({ min: 110, max: 145 }), (width) => {
      const found = searchPatterns(bed.practice, { search: '', width })
      expect(found.map(({ pattern }) => pattern.name)).toEqual(expected(width))
    }),
    { numRuns: 40 },
  )
})

it('words find by name and by horse, and keep the order of widths', () => {
  const all = searchPatterns(bed.practice, { search: 'quill', width: 126 })
  expect(all.map(({ pattern }) => pattern.name)).toEqual(expected(126))
  expect(all[0]!.horseName).toBe('Quillwort')
  const one = searchPatterns(bed.practice, { search: 'quill general 12', width: 126 })
  expect(one.map(({ pattern }) => pattern.name)).toEqual(['General 12'])
  expect(searchPatterns(bed.practice, { search: 'nobody' })).toEqual([])
})

it('tags find, by word and as a choice, and are listed by how often they are used', () => {
  const { horse } = addHorse(bed.practice, 'Orpine')
  const kept = (name: string, tags: string[]) =>
    savePattern(bed.practice, {
      ...{
        id: randomUUID(),
        version: 0,
        horseId: horse.id,
        side: 'LF',
        name,
        visitId: null,
        archived: false,
      },
      ...{ foot: FOOT, shoe: SHOE, workshop: {}, notes: '', tags },
    })
  kept('one', ['road work', 'winter'])
  kept('two', ['winter'])
  kept('three', ['winter "hard"'])
  const names = (query: { search?: string; tag?: string }) =>
    searchPatterns(bed.practice, { search: '', ...query })
      .map(({ pattern }) => pattern.name)
      .sort()
  expect(names({ search: 'road' })).toEqual(['one'])
  // With tags and without, with what else may be left out: as it is stored.
  for (const { pattern } of searchPatterns(bed.practice, { search: '' }))
    expect(pattern).toEqual(bed.practice.patterns.get(pattern.id))
  // As it is written, not as it begins.
  expect(names({ tag: 'winter' })).toEqual(['one', 'two'])
  expect(names({ tag: 'winter "hard"' })).toEqual(['three'])
  expect(bed.practice.patterns.tags()).toEqual(['winter', 'road work', 'winter "hard"'])
})

it('keeps what was changed and why with each version, and where a pattern came from', () => {
  const { horse } = addHorse(bed.practice, 'Woodruff')
  const id = randomUUID()
  const from = { id: randomUUID(), version: 3, name: 'General', horse: 'Orpine', mirrored: true }
  const first = savePattern(bed.practice, {
    ...{ id, version: 0, horseId: horse.id, side: 'LF', name: 'Eased', visitId: null, archived: false },
    ...{ foot: FOOT, shoe: SHOE, workshop: {}, notes: '', forkedFrom: from },
  })
  savePattern(bed.practice, { ...first, foot: { ...FOOT, width: 128 }, why: 'toe was long' })
  const [now, before] = bed.practice.patterns.versions(id)
  expect(now).toMatchObject({ version: 2, why: 'toe was long', forkedFrom: from })
  expect(before).not.toHaveProperty('why')
  expect(bed.practice.patterns.get(id)).toEqual(now)
})

it('words find with accents and without, signs are only signs, and what was stored before words were is found too', () => {
  const old = makeBed()
  try {
    const { horse } = addHorse(old.practice, 'Tansy')
    for (const [name, notes] of [
      ['Général', 'côté 50%'],
      ['Plain', 'fifty'],
    ] as const)
      savePattern(old.practice, {
        ...{ id: randomUUID(), version: 0, horseId: horse.id, side: 'LF', name, notes, visitId: null },
        ...{ foot: FOOT, shoe: SHOE, workshop: {}, tags: ['Größe'], archived: false },
      })
    const names = ({ practice } = old, search: string) =>
      searchPatterns(practice, { search }).map(({ pattern }) => pattern.name)
    const asked = (bedOf = old) =>
      ['general', 'CÔTÉ', '50%', '%', 'große plain'].map((search) => names(bedOf, search))
    const expected = [['Général'], ['Général'], ['Général'], ['Général'], ['Plain']]
    expect(asked()).toEqual(expected)
    // As it was before, and opened anew.
    const { db } = old.practice
    db.exec(WITHOUT_STOPS)
    db.exec(`DROP INDEX patterns_found; ALTER TABLE patterns DROP COLUMN search;
      CREATE INDEX patterns_found ON patterns (archived); PRAGMA user_version = 18`)
    db.close()
    old.practice = openPractice(db.name)
    expect(asked()).toEqual(expected)
  } finally {
    old.remove()
  }
})
