import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { bringIn, makeBed, type Bed } from '../../testing'
import type { BadRequest } from '../../http/door'
import { libraryInWords } from './words'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())

const EMPTY = {
  format: 'crescent-library',
  formatVersion: 1,
  exportedAt: '2026-11-01T10:00:00.000Z',
  owners: [],
  horses: [],
  visits: [],
  patterns: [],
  patternVersions: [],
  footRecords: [],
  workshop: [],
}

const said = async (file: unknown): Promise<string[]> => {
  try {
    await bringIn(bed, file)
    return []
  } catch (error) {
    return libraryInWords((error as BadRequest).problems).map(({ message }) => message)
  }
}

describe('a library file that cannot be brought in', () => {
  it('is told in words, without the inside of the file', async () => {
    expect(await said(EMPTY)).toEqual([])
    expect((await said({ hello: 1 }))[0]).toContain('no library of Crescent')
    expect((await said([]))[0]).toContain('no library of Crescent')
    expect((await said('{"format": "crescent-libr'))[0]).toContain('no library of Crescent')
    expect((await said({ ...EMPTY, formatVersion: 2 }))[0]).toContain('newer Crescent')
    const id = '3f0c6a52-6f0e-4a3e-8f5e-0a1b2c3d4e5f'
    const [first] = await said({
      ...EMPTY,
      horses: [
        { id, version: 1, name: 'Fig' },
        { id, version: 1 },
      ],
    })
    expect(first).toBe('The 2nd horse, name: is missing.')
    const far = await said({
      ...EMPTY,
      visits: [{ id, version: 1, horseId: id, date: '20266-01-01', state: 'done' }],
    })
    expect(far[0]).toMatch(/^The 1st visit, date: /)
    for (const text of far) expect(text).not.toMatch(/expected|undefined|received|ZodError/)
  })

  it('counts what it does not tell', async () => {
    const horses = Array.from({ length: 9 }, () => ({}))
    const texts = await said({ ...EMPTY, horses })
    expect(texts).toHaveLength(5)
    expect(texts.at(-1)).toMatch(/And \d+ more/)
  })
})
