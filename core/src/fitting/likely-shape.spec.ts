import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ProblemError } from '../notices/problem'
import { planShoe } from '../plan/plan'
import { HEEL_MEASURES } from '../terms/foot-choices'
import { anyPlan, requestOf, tryPlan } from '../testing/fuzz/any-plan'
import { pattern } from '../testing/farriers'
import { inMm } from '../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { centrelineOf, lineLength } from './centreline'
import { likelyShape, lineMeasures, rightMeasures } from './likely-shape'
import { planBends } from './plan-bends'

describe('a shape from three measures', () => {
  it('measures so', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -10, max: 12, noNaN: true }),
        fc.double({ min: -12, max: 12, noNaN: true }),
        (wide, heels) => {
          const right = lineMeasures(pattern, 'outside')
          const asked = { ...right, width: right.width + wide, heelWidth: right.heelWidth + heels }
          const { line } = likelyShape(pattern, right, asked)
          const read = lineMeasures(line, 'outside')
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
    const right = rightMeasures(planShoe(FIVE_BY_FIVE, PLAIN_SHOE), 'outside')
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
    const right = rightMeasures(planShoe(FIVE_BY_FIVE, PLAIN_SHOE), 'outside')
    const found = planBends({ foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }, { ...right, length: right.length + 6 })
    expect(found.notes.map(inMm).join(' ')).toMatch(/12 mm longer along the bar/)
  })

  it('refuses measures that no shoe of this pattern has', () => {
    const right = rightMeasures(planShoe(FIVE_BY_FIVE, PLAIN_SHOE), 'outside')
    expect(() =>
      planBends({ foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }, { ...right, width: 60, heelWidth: 390 }),
    ).toThrow(ProblemError)
  })

  it('is right where it measures what the card says, whatever the shoe', () => {
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...HEEL_MEASURES), (drawn, way) => {
        const asked = requestOf(drawn)
        const plan = tryPlan(asked)
        fc.pre(plan !== undefined)
        const card = plan.iron.heats[plan.iron.heats.length - 1]!.measures.map(({ value }) => value)
        const right = rightMeasures(plan, way)
        expect([right.width, right.length]).toEqual([card[0], card[2]])
        if (way === 'outside') expect(right.heelWidth).toBe(card[1])
        // The figures as they are read off a rule.
        const read = (mm: number) => Math.round(mm * 10) / 10
        const found = planBends(asked, {
          width: read(right.width),
          heelWidth: read(right.heelWidth),
          heelMeasure: way,
          length: read(right.length),
        })
        expect([found.within, found.bends, found.residual < 1]).toEqual([true, [], true])
        expect(found.notes.map(inMm).join(' ')).not.toMatch(/along the bar/)
      }),
      { numRuns: Number(process.env['FUZZ_CASES'] ?? 60) },
    )
  })

  it('is never at once another length and left alone', () => {
    const target = { foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }
    const right = rightMeasures(planShoe(FIVE_BY_FIVE, PLAIN_SHOE), 'outside')
    const found = planBends(target, { ...right, length: right.length - 27 })
    const said = found.notes.map(inMm).join(' ')
    expect(found.within).toBe(false)
    expect(said).toMatch(/54 mm shorter along the bar/)
    expect(said).not.toMatch(/leave it alone/)
  })
})
