import { describe, expect, it } from 'vitest'
import { planShoe } from '../plan/plan'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { PLAIN } from '../units/figure'
import { writeTold } from '../notices/told'
import type { StoredPattern } from './answers'
import { currentPatterns } from './worn'
import { footSchema, horseSchema, patternSchema, shoeSchema } from './index'
import { snapshotOf } from '../plan/snapshot'

const ID = '3f0c6a52-6f0e-4a3e-8f5e-0a1b2c3d4e5f'

describe('schemas', () => {
  it('take what core plans, and fill in what is left out', () => {
    expect(footSchema.parse(FIVE_BY_FIVE)).toEqual(FIVE_BY_FIVE)
    expect(
      shoeSchema.parse({ ...PLAIN_SHOE, nails: { lateral: [1, 2], medial: { driven: [1] } } }),
    ).toBeTruthy()
    const horse = horseSchema.parse({ id: ID, version: 0, name: '  Fig ' })
    expect(horse).toMatchObject({
      name: 'Fig',
      animal: 'horse',
      cycleWeeks: 7,
      archived: false,
      ownerId: null,
    })
  })

  it.each([
    ['a strange field', footSchema, { ...FIVE_BY_FIVE, colour: 'bay' }],
    ['a figure as text', footSchema, { ...FIVE_BY_FIVE, width: '5' }],
    ['a side that is none', footSchema, { ...FIVE_BY_FIVE, side: 'LR' }],
    ['an unknown fit', shoeSchema, { ...PLAIN_SHOE, fit: 'tight' }],
    ['a cycle of no weeks', horseSchema, { id: ID, version: 0, name: 'Fig', cycleWeeks: 0 }],
    ['an id that is none', horseSchema, { id: '7', version: 0, name: 'Fig' }],
    [
      'a pattern without a foot',
      patternSchema,
      { id: ID, version: 0, horseId: ID, side: 'LF', name: 'X', shoe: PLAIN_SHOE },
    ],
  ])('refuse %s', (_what, schema, value) => expect(schema.safeParse(value).success).toBe(false))
})

describe('snapshotOf', () => {
  it('keeps what the day came to, rounded, and survives JSON', () => {
    const plan = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
    const snapshot = snapshotOf(plan)
    expect(snapshot.cutLength).toBeCloseTo(plan.iron.cutLength, 2)
    expect(snapshot.marks).toHaveLength(plan.iron.marks.length)
    expect(snapshot.outline.body.every(([x]) => Number.isInteger(Math.round(x * 1e6) / 1e5))).toBe(true)
    expect(JSON.parse(JSON.stringify(snapshot))).toEqual(snapshot)
  })
})

describe('currentPatterns', () => {
  const pattern = (id: string, side: string, updatedAt: string, archived = false) =>
    ({ id, side, updatedAt, archived }) as unknown as StoredPattern

  it('is the newest of each foot that is not archived', () => {
    const worn = currentPatterns([
      pattern('old', 'LF', '2026-01-01'),
      pattern('new', 'LF', '2026-03-01'),
      pattern('gone', 'LF', '2026-05-01', true),
      pattern('hind', 'RH', '2025-01-01'),
    ])
    expect(worn.LF?.id).toBe('new')
    expect(worn.RH?.id).toBe('hind')
    expect(worn.RF).toBeUndefined()
  })
})

describe('a question about a figure', () => {
  it('asks in the unit of the reader; what holds no length is the same in both', () => {
    const { cautions } = planShoe({ ...FIVE_BY_FIVE, width: 211, length: 211, heelWidth: 150 }, PLAIN_SHOE)
    const asked = cautions.find((caution) => caution.code === 'question-width')!
    expect(writeTold(asked.title, PLAIN)).toContain('211 mm')
    const style = { unit: 'in', denominator: 16 } as const
    expect(writeTold(asked.title, style)).toBe('Is the width really 8 5/16"?')
    expect(writeTold(asked.text, style)).toContain('4 5/16" to 6 1/8"')
    const other = cautions.find((caution) => caution.code === 'hot-seating')!
    expect(writeTold(other.text, style)).toBe(writeTold(other.text, PLAIN))
  })
})
