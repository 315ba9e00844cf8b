import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ProblemError } from '../notices/problem'
import { pattern } from '../testing/farriers'
import { inMm } from '../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { centrelineOf, lineLength } from './centreline'
import { likelyShape, measuresOf } from './likely-shape'
import { planBends } from './plan-bends'

describe('a shape from three measures', () => {
  it('measures so', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -10, max: 12, noNaN: true }),
        fc.double({ min: -12, max: 12, noNaN: true }),
        (wide, heels) => {
          const right = measuresOf(pattern, 19.05, 'outside')
          const asked = { ...right, width: right.width + wide, heelWidth: right.heelWidth + heels }
          const { line } = likelyShape(pattern, 19.05, asked)
          const read = measuresOf(line, 19.05, 'outside')
          expect(read.width).toBeCloseTo(asked.width, 1)
          expect(read.heelWidth).toBeCloseTo(asked.heelWidth, 1)
          // Bending never makes it longer along the bar.
          expect(lineLength(centrelineOf(line.points)) / lineLength(pattern)).toBeCloseTo(1, 2)
        },
      ),
      { numRuns: 40 },
    )
  })

  it('opens both heels where they measure narrow, the typical last correction', () => {
    const right = measuresOf(pattern, PLAIN_SHOE.section.width, 'outside')
    const found = planBends(
      { foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE },
      { ...right, heelWidth: right.heelWidth - 9 },
    )
    expect(found.within).toBe(true)
    expect(new Set(found.bends.map(({ branch }) => branch))).toEqual(new Set(['lateral', 'medial']))
    expect(found.bends.every(({ opens }) => opens)).toBe(true)
    expect(found.notes.map(inMm).join(' ')).toMatch(/not which branch is off/)
  })

  it('says when the length is another: no bend takes that away', () => {
    const right = measuresOf(pattern, PLAIN_SHOE.section.width, 'outside')
    const found = planBends({ foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }, { ...right, length: right.length + 6 })
    expect(found.notes.map(inMm).join(' ')).toMatch(/12 mm longer along the bar/)
  })

  it('refuses measures that no shoe of this pattern has', () => {
    const right = measuresOf(pattern, PLAIN_SHOE.section.width, 'outside')
    expect(() =>
      planBends({ foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }, { ...right, width: 60, heelWidth: 390 }),
    ).toThrow(ProblemError)
  })
})
