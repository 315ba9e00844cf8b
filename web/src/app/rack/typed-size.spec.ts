import { describe, expect, it } from 'vitest'
import { NEW_SIZE, readTypedSize, typeSize, type SizeFigures, type TypedSize } from './typed-size'

const INCH = { unit: 'in', denominator: 16 } as const
const MM = { unit: 'mm', denominator: 16 } as const
const stored: SizeFigures = {
  ...NEW_SIZE,
  ...{ range: 'Everyday', label: '3', web: 19.3, length: 333.33, width: 131.7, weight: 410, price: 6.5 },
  ...{ clips: 'quarter', lengthDerived: true, onVan: 4, keepOnVan: 2 },
  holes: { lateral: [{ fromToe: 41.3, inset: 8.2, pitch: 84 }], medial: [{ fromToe: 43.1, inset: 7.9 }] },
}
const read = (changes: Partial<TypedSize>, start = stored, style: typeof INCH | typeof MM = INCH) =>
  readTypedSize({ ...typeSize(start, style), ...changes }, start, style)
const size = (...of: Parameters<typeof read>) => {
  const answer = read(...of)
  if ('wrong' in answer) throw new Error(answer.wrong.join('; '))
  return answer.size
}
const wrong = (...of: Parameters<typeof read>) => {
  const answer = read(...of)
  return 'wrong' in answer ? answer.wrong : []
}

describe('a size as it is typed', () => {
  it('comes back as exact as it was stored, whatever the unit shows of it', () => {
    expect(size({})).toEqual(stored)
    expect(size({}, stored, MM)).toEqual(stored)
  })

  it('changes what was touched and nothing beside', () => {
    expect(size({ web: '7/8' })).toEqual({ ...stored, web: 22.225 })
    expect(size({ weight: '', price: '7,20' })).toEqual({
      ...{ ...stored, price: 7.2 },
      weight: undefined,
    })
    expect(size({ clips: 'none' })).not.toHaveProperty('clips')
  })

  it('weighs in ounces beside inches and in grams beside millimetres', () => {
    expect(typeSize(stored, INCH).weight).toBe('14.5')
    expect(typeSize(stored, MM).weight).toBe('410')
    expect(size({ weight: '12' }).weight).toBeCloseTo(340.19, 2)
    expect(size({ weight: '120' }, stored, MM)).toMatchObject({ weight: 120 })
    expect(wrong({ weight: '900' }).join()).toMatch(/^Weight: 900\.0 oz is not possible here/)
  })

  it('takes a typed length for measured', () => {
    expect(size({ length: '13' })).toMatchObject({ length: 330.2, lengthDerived: false })
  })

  it('works a length out of width and toe to heels where none was measured, and marks it', () => {
    const derived = size({ length: '', width: '5 1/4', toeToHeels: '5 1/2' })
    expect(derived.lengthDerived).toBe(true)
    // Longer than twice toe to heels, shorter than the box round the shoe.
    expect(derived.length).toBeGreaterThan(2 * 139.7)
    expect(derived.length).toBeLessThan(133.35 + 2 * 139.7)
    expect(wrong({ length: '', toeToHeels: '' })).toEqual(['Length, or width and toe to heels, is needed'])
  })

  it('asks for a crease only of what is sawn', () => {
    expect(size({ kind: 'polymer', crease: '3/8' })).toMatchObject({ crease: 9.525 })
    expect(size({ kind: 'creased-steel', crease: '3/8' })).not.toHaveProperty('crease')
  })

  it('names every field that cannot be read, then what contradicts itself', () => {
    const said = wrong({ label: ' ', web: 'x', onVan: 'many', lateral: '2 1/4' })
    expect(said).toHaveLength(4)
    expect(said.join()).toMatch(/Size: a name.*Web: .*2 1\/4: a hole.*On the van: many is no number/)
    expect(wrong({ web: '9' }).join()).toMatch(/Web/)
    expect(wrong({ lateral: '40 : 1/4' }).length).toBeGreaterThan(0)
  })
})
