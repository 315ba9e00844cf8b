import { describe, expect, it } from 'vitest'
import { sideView, type SideFigures } from './side-view'

const FIGURES: SideFigures = {
  length: 127,
  toeAngle: 45,
  heelAngle: 45,
  dorsalLength: 80,
  heelHeight: 40,
  bulbLine: 15,
}

describe('sideView', () => {
  it('stands wall and heel at their angles and lengths', () => {
    const { toe, coronetFront, coronetBack, heel } = sideView(FIGURES)
    expect(toe).toEqual([127, 0])
    expect(heel).toEqual([0, 0])
    // 80 mm at 45 degrees: 56.57 back and up.
    expect(coronetFront[0]).toBeCloseTo(127 - 56.569, 3)
    expect(coronetFront[1]).toBeCloseTo(56.569, 3)
    expect(coronetBack[0]).toBeCloseTo(-40, 9)
    expect(coronetBack[1]).toBe(40)
  })

  it('draws an unmeasured pastern in the line of the wall and says so', () => {
    const view = sideView(FIGURES)
    expect(view.pasternKnown).toBe(false)
    expect(view.axis).toBeUndefined()
    const [low, top] = view.pastern
    expect((Math.atan2(top[1] - low[1], low[0] - top[0]) * 180) / Math.PI).toBeCloseTo(45, 9)
  })

  it('has a hairline that falls all the way, bulbs that stand off the ground, and a limb that goes up from both', () => {
    for (const heelAngle of [30, 45, 60]) {
      const { coronet, coronetFront, coronetBack, bulb, limb, pastern } = sideView({ ...FIGURES, heelAngle })
      expect(coronet[0]).toEqual(coronetFront)
      coronet.slice(1).forEach(([x, y], i) => {
        expect(x).toBeLessThan(coronet[i]![0])
        expect(y).toBeLessThan(coronet[i]![1])
      })
      // Behind the heel, and never under the ground; it meets it as steep as the heel stands.
      for (const [x, y] of bulb.slice(1, -1)) {
        expect(y).toBeGreaterThan(0)
        expect(x).toBeLessThan(0)
      }
      const [near, end] = [bulb.at(-2)!, bulb.at(-1)!]
      const steep = (Math.atan2(near[1] - end[1], end[0] - near[0]) * 180) / Math.PI
      expect(Math.abs(steep - heelAngle)).toBeLessThan(6)
      expect(limb).toContainEqual(pastern[1])
      expect(Math.max(...limb.map(([, y]) => y))).toBeCloseTo(pastern[1][1], 6)
      for (const [, y] of limb) expect(y).toBeGreaterThanOrEqual(coronetBack[1] - 1e-9)
    }
  })

  it('breaks the axis by the difference of the angles', () => {
    expect(sideView({ ...FIGURES, pasternAngle: 52 }).axis).toEqual({ broken: 7, verdict: 'broken back' })
  })

  it('draws bone only from a radiograph’s figures, at the palmar angle', () => {
    expect(sideView({ ...FIGURES, palmarAngle: 5 }).bone).toBeUndefined()
    expect(sideView({ ...FIGURES, palmarAngle: 5, tipFromToe: 20 }).bone).toBeUndefined()
    const { bone } = sideView({ ...FIGURES, palmarAngle: 5, tipFromToe: 20, soleDepth: 12 })
    const [tip, back] = bone!
    expect(tip).toEqual([107, 12])
    expect(((back[1] - tip[1]) / (tip[0] - back[0])).toFixed(6)).toBe(
      Math.tan((5 * Math.PI) / 180).toFixed(6),
    )
  })

  it('drops the plumb line where it was measured', () => {
    expect(sideView(FIGURES).plumbX).toBeUndefined()
    expect(sideView({ ...FIGURES, plumbBehind: 12 }).plumbX).toBe(-12)
    expect(sideView(FIGURES).bulbX).toBe(-15)
  })
})
