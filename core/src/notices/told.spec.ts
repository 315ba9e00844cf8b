import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inches } from '../units/length'
import { joined, length, told, writeTold, type Told } from './told'

const IN = { unit: 'in', denominator: 16 } as const
const MM = { unit: 'mm', denominator: 16 } as const

describe('a sentence with lengths in it', () => {
  it('is written in the unit of whoever reads it', () => {
    const text = told`It lies ${length(9.525)} ahead of hole ${2}.`
    expect(writeTold(text, IN)).toBe('It lies 3/8" ahead of hole 2.')
    expect(writeTold(text, MM)).toBe('It lies 9.5 mm ahead of hole 2.')
  })

  it('keeps drills and thin stuff: 13/64 stays 13/64', () => {
    const drill = told`drill ${length(inches(13 / 64), 'drill')}`
    expect(writeTold(drill, IN)).toBe('drill 13/64"')
    expect(writeTold(drill, MM)).toBe('drill 5.16 mm')
    expect(writeTold(told`${length(2.1, 'fine')}`, IN)).toBe('5/64"')
    expect(writeTold(told`${length(2.13, 'fine')}`, MM)).toBe('2.1 mm')
  })

  it('never writes something as nothing', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 3, noNaN: true }), fc.constantFrom(IN, MM), (mm, style) => {
        expect(writeTold(told`${length(mm)}`, style)).not.toMatch(/^0(?!\.)/)
      }),
      {
        examples: [
          [0.3, IN],
          [0.2, MM],
        ],
      },
    )
  })

  it('never writes decimals of an inch, nor the dust of a reckoning', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -400, max: 400, noNaN: true }),
        fc.constantFrom('rule', 'fine', 'drill'),
        (mm, as) => {
          expect(writeTold([{ length: mm, as: as as 'fine' }], IN)).toMatch(
            /^(under 1\/64|-?(\d+ )?\d+(\/\d+)?)"$/,
          )
        },
      ),
      {
        examples: [
          [-5.6e-16, 'fine'],
          [0.02, 'rule'],
          [0.0002, 'fine'],
          [25.4, 'rule'],
        ],
      },
    )
    expect(writeTold([{ length: -5.6e-16, as: 'fine' }], MM)).toBe('0 mm')
    expect(writeTold([{ length: 0.02, as: 'fine' }], MM)).toBe('under 0.1 mm')
    expect(writeTold([{ length: 0.02, as: 'fine' }], IN)).toBe('under 1/64"')
  })

  it('takes other sentences in, and stays plain where it holds no length', () => {
    const why: Told = told`by ${length(25.4)}`
    expect(writeTold(told`Moved ${why}, then ${'left'}.`, IN)).toBe('Moved by 1", then left.')
    expect(told`nothing in it ${3}`).toBe('nothing in it 3')
    expect(writeTold(joined([told`${length(25.4)}`, 'b'], '; '), IN)).toBe('1"; b')
  })
})
