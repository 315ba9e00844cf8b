import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { addHorse, bringIn, libraryOf, makeBed, type Bed } from '../testing'
import { databaseFile } from './open'
import { openPractice } from '../practice'

let bed: Bed
beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-12-01T08:00:00Z') })
  bed = makeBed()
})
afterEach(() => {
  vi.useRealTimers()
  bed.remove()
})

const stampsOf = () => bed.practice.horses.list().map(({ name, updatedAt }) => [updatedAt!, name] as const)
const newest = () => stampsOf().sort()[stampsOf().length - 1]![1]
const reopened = () => {
  bed.practice.db.close()
  Object.assign(bed.practice, openPractice(databaseFile(bed.dataFolder)))
}

describe('stamps', () => {
  it('go on after a clock that was set back, and order what is stored', () => {
    addHorse(bed.practice, 'First')
    vi.setSystemTime(new Date('2026-12-01T07:00:00Z'))
    addHorse(bed.practice, 'Second')
    expect(newest()).toBe('Second')
  })

  it('do not follow a clock that was forty years ahead for a while', () => {
    addHorse(bed.practice, 'Before')
    vi.setSystemTime(new Date('2066-05-05T08:00:00Z'))
    addHorse(bed.practice, 'In 2066')
    vi.setSystemTime(new Date('2026-12-01T09:00:00Z'))
    addHorse(bed.practice, 'After')
    expect(stampsOf().every(([stamp]) => stamp.startsWith('2026-12-01T'))).toBe(true)
    expect(newest()).toBe('After')
  })

  it.each(['9999-12-31T23:59:59.999Z', '+010000-01-01T00:00:00.000Z', '2066-05-05T08:00:00.000Z'])(
    'that lie ahead are put right when the data is opened: %s locks nothing',
    (stamp) => {
      const { horse } = addHorse(bed.practice, 'Old')
      addHorse(bed.practice, 'Other')
      bed.practice.db
        .prepare('UPDATE horses SET updated_at = ?, created_at = ? WHERE id = ?')
        .run(stamp, stamp, horse.id)
      reopened()
      const stored = bed.practice.horses.get(horse.id)!
      expect(stored.updatedAt).toMatch(/^2026-12-01T/)
      expect(stored.createdAt).toMatch(/^2026-12-01T/)
      expect(newest()).toBe('Old')
      bed.practice.horses.put({ ...stored, notes: 'Goes on.' })
      expect(bed.practice.horses.get(horse.id)!.updatedAt).toMatch(/^2026-12-01T/)
    },
  )

  it('stay where this clock was never set: then the others are right', () => {
    const { horse } = addHorse(bed.practice, 'Right')
    vi.setSystemTime(new Date('1970-01-01T00:01:00Z'))
    reopened()
    expect(bed.practice.horses.get(horse.id)!.updatedAt).toMatch(/^2026-12-01T/)
    addHorse(bed.practice, 'Later')
    expect(newest()).toBe('Later')
  })

  it('of a library that lie beyond tomorrow are refused by their place, and nothing comes in', async () => {
    addHorse(bed.practice, 'Tansy')
    const library = JSON.parse(JSON.stringify(await libraryOf(bed))) as { horses: { updatedAt: string }[] }
    const other = makeBed()
    try {
      library.horses[0]!.updatedAt = '2026-12-02T07:00:00.000Z'
      await bringIn(other, library)
      library.horses[0]!.updatedAt = '9999-12-31T23:59:59.999Z'
      const third = makeBed()
      await expect(bringIn(third, library)).rejects.toThrow(/horses\.0\.updatedAt: lies after tomorrow/)
      expect(third.practice.horses.list()).toEqual([])
      third.remove()
    } finally {
      other.remove()
    }
  })
})
