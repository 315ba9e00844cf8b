import { describe, expect, it } from 'vitest'
import { FIVE_BY_FIVE } from '../testing/samples'
import { readFoot } from './measurements'
import { footOutline } from './outline'
import { wallAngleAt, wallHeightAt, wallThicknessAt } from './wall'

const read = readFoot({
  ...FIVE_BY_FIVE,
  wallThickness: 10,
  toeWallThickness: 13,
  medialWallThickness: 8,
  heelWallThickness: 6,
})
if (!read.ok) throw new Error('no foot')
const { foot } = read.value
const outline = footOutline(foot)
const thickness = (station: number) => wallThicknessAt(foot, outline, station)

describe('wallThicknessAt', () => {
  it('is as measured at toe, nails and heels', () => {
    expect(thickness(outline.toe)).toBeCloseTo(13, 6)
    expect(thickness((outline.toe + outline.lateralWidest) / 2)).toBeCloseTo(10, 6)
    expect(thickness((outline.toe + outline.medialWidest) / 2)).toBeCloseTo(8, 6)
    expect(thickness(0)).toBeCloseTo(6, 6)
    expect(thickness(outline.track.stations.at(-1)!)).toBeCloseTo(6, 6)
  })

  it('has no step anywhere', () => {
    const end = outline.track.stations.at(-1)!
    for (let s = 0; s + 0.5 < end; s += 0.5)
      expect(Math.abs(thickness(s + 0.5) - thickness(s))).toBeLessThan(0.2)
  })
})

describe('heel width by the middle of the web', () => {
  it('is a web wider from outside to outside', () => {
    const given = readFoot({ ...FIVE_BY_FIVE, heelMeasure: 'middle of web', heelWeb: 20, heelWidth: 68 })
    expect(given.ok && given.value.foot.heelWidth).toBe(88)
    expect(given.ok && given.value.foot.heelMeasure).toBe('outside')
  })
  it('is refused with the range of what was measured', () => {
    const given = readFoot({ ...FIVE_BY_FIVE, heelMeasure: 'middle of web', heelWeb: 20, heelWidth: 120 })
    expect(given.ok || given.problems[0]!.range![1]).toBeCloseTo(FIVE_BY_FIVE.width * 0.96 - 20, 9)
  })
})

describe('wallAngleAt', () => {
  it('stands as measured at toe and widest part, and steeper by five degrees at the buttress', () => {
    const end = outline.track.stations.at(-1)!
    const at = (station: number) => wallAngleAt(foot, outline, station)
    expect(at(outline.toe)).toBeCloseTo(foot.toeAngle, 6)
    expect(at(outline.lateralWidest)).toBeCloseTo(foot.lateralWallAngle, 6)
    expect(at(outline.medialWidest)).toBeCloseTo(foot.medialWallAngle, 6)
    expect(at(0)).toBeCloseTo(foot.lateralWallAngle + 5, 6)
    expect(at(end)).toBeCloseTo(foot.medialWallAngle + 5, 6)
  })
})

describe('wallHeightAt', () => {
  it('falls from the hairline over the toe to the height of the heels', () => {
    const over = foot.dorsalLength * Math.sin((foot.toeAngle * Math.PI) / 180)
    expect(wallHeightAt(foot, outline, outline.toe)).toBeCloseTo(over, 6)
    expect(wallHeightAt(foot, outline, 0)).toBeCloseTo(foot.heelHeight, 6)
  })
})
