import { expect, it } from 'vitest'
import { formatArea } from './area'
import { fromHeavyUnit, heavyUnit, inHeavyUnit } from './weight'

it('an area is written in the square of the unit that is read', () => {
  expect(formatArea(1_250, 'mm')).toBe('12.5 cm²')
  // A square inch is 645.16 mm2, exactly (international yard and pound agreement, 1959).
  expect(formatArea(645.16, 'in')).toBe('1.00 in²')
})

it('a whole animal is weighed in pounds beside inches, and back to the gram', () => {
  expect(heavyUnit('in')).toBe('lb')
  expect(inHeavyUnit(453.59237, 'in')).toBeCloseTo(1_000, 9)
  expect(fromHeavyUnit(inHeavyUnit(517.3, 'in'), 'in')).toBeCloseTo(517.3, 9)
  expect(inHeavyUnit(500, 'mm')).toBe(500)
})
