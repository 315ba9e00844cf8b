import { describe, expect, it } from 'vitest'
import { shoeSchema } from '../records/shoe'
import { sizeOf } from '../testing/sizes'
import { checkSize } from './check-size'

describe('what a size cannot be', () => {
  it('names the figure', () => {
    const paths = (more: Parameters<typeof sizeOf>[1]) =>
      checkSize(sizeOf(305, more), '').map(({ path }) => path)
    expect(paths({})).toEqual([])
    expect(paths({ web: 70 })).toEqual(['.web'])
    expect(paths({ web: 55, length: 180 })).toEqual(['.web'])
    expect(paths({ width: 90 })).toEqual(['.width'])
    expect(paths({ length: 60 })).toEqual(['.length'])
    const hole = (fromToe: number, inset = 9) => ({
      lateral: [
        { fromToe: 40, inset: 9 },
        { fromToe, inset },
      ],
      medial: [],
    })
    expect(paths({ holes: hole(200) })).toEqual(['.holes.lateral.1.fromToe'])
    expect(paths({ holes: hole(44) })).toEqual(['.holes.lateral.1.fromToe'])
    expect(paths({ holes: hole(60, 25) })).toEqual(['.holes.lateral.1.inset'])
    expect(checkSize(sizeOf(305, { web: 70 }))[0]!.message).toMatch(/between 6 mm and 60 mm/)
  })

  it('is read from what is sent: a bar by itself, a bar as stock, a size; and nothing is refused', () => {
    const section = { shape: 'flat', width: 19, thickness: 8, material: 'steel' }
    expect(shoeSchema.parse({ section, fit: 'general' })).toEqual({ section, fit: 'general' })
    expect(shoeSchema.parse({ stock: { kind: 'bar', section }, fit: 'general' })).toEqual({
      section,
      fit: 'general',
    })
    const facts = sizeOf(305)
    const read = shoeSchema.parse({ stock: { kind: 'size', facts }, fit: 'general' })
    expect(read.stock!.facts).toEqual(facts)
    expect(read.section).toEqual({ shape: 'flat', width: 20, thickness: 8, material: 'steel' })
    expect(shoeSchema.parse(read)).toEqual(read)
    expect(shoeSchema.safeParse({ fit: 'general' }).error!.issues[0]!.path).toEqual(['section'])
  })
})
