import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { curvature, tangent } from '../geometry/curve'
import { nearestStation, placeAt, trackLength } from '../geometry/track'
import { cross, distance } from '../geometry/vector'
import { describeProblem } from '../notices/range'
import type { FootInput } from '../records/foot'
import { FIVE_BY_FIVE } from '../testing/samples'
import { anyFoot } from '../testing/any-foot'
import { FOOT_FIGURES } from './figures'
import { landmarks } from './landmarks'
import { readFoot, type Foot } from './measurements'
import { footOutline, fullness, typedCurve } from './outline'
import { wallAngleAt } from './wall'

function read(input: Partial<FootInput> = {}): Foot {
  const result = readFoot({ ...FIVE_BY_FIVE, ...input })
  if (!result.ok) throw new Error(JSON.stringify(result.problems))
  return result.value.foot
}

const problemsOf = (input: Partial<FootInput>) => {
  const result = readFoot({ ...FIVE_BY_FIVE, ...input })
  return result.ok ? [] : result.problems
}

describe('readFoot', () => {
  it('completes five measurements with defaults that it names', () => {
    const result = readFoot(FIVE_BY_FIVE)
    expect(result.ok).toBe(true)
    if (!result.ok) return
    expect(result.value.foot.widestFromToe).toBeCloseTo(127 * 0.47, 9)
    expect(result.value.assumed).toContain('quarterShape')
    expect(result.value.assumed).not.toContain('width')
    expect(result.value.questions).toEqual([])
    // Never guessed: no radiograph, no tip.
    expect(result.value.foot.tipFromToe).toBeUndefined()
  })

  it('keeps every default within its own range for any possible foot', () => {
    fc.assert(
      fc.property(anyFoot, (input) => {
        const foot = read({ ...input })
        for (const figure of FOOT_FIGURES) {
          const value = foot[figure.key]
          if (value === undefined) continue
          const [low, high] = figure.range(foot as Required<Foot>)
          expect(value).toBeGreaterThanOrEqual(low)
          expect(value).toBeLessThanOrEqual(high)
        }
      }),
    )
  })

  it.each([
    ['heelWidth', { heelWidth: 140 }, 'Heel width'],
    ['widestFromToe', { widestFromToe: 130 }, 'Toe to widest part'],
    ['toeAngle', { toeAngle: 200 }, 'Toe angle'],
    ['wallThickness', { wallThickness: 40 }, 'Wall thickness'],
    ['width', { width: -5 }, 'Width'],
    ['quarterShape', { quarterShape: 1.2 }, 'Quarter shape'],
    ['width', { width: Number.NaN }, 'Width'],
  ])('refuses an impossible %s and names its range', (key, input, label) => {
    const found = problemsOf(input).find((problem) => problem.path === `foot.${key}`)
    expect(found?.figure).toBe(label)
    expect(found?.range?.[0]).toBeLessThan(found!.range![1])
    expect(found?.message).toContain('between')
  })

  it('says a range in the unit of the reader', () => {
    const [problem] = problemsOf({ heelWidth: 140 })
    expect(describeProblem(problem!, { unit: 'in', denominator: 16 })).toBe(
      'Heel width: 5 1/2" is not possible here, it lies between 1 1/2" and 4 13/16"',
    )
  })

  it('asks about an unlikely figure but does not refuse it, and knows a mule from a heavy horse', () => {
    const asked = (input: Partial<FootInput>) => {
      const result = readFoot({ ...FIVE_BY_FIVE, ...input })
      return result.ok ? result.value.questions.map((q) => q.code) : ['refused']
    }
    const giant = { width: 212, length: 215, heelWidth: 150, wallThickness: 12 }
    expect(asked(giant)).toEqual(['question-width', 'question-length'])
    expect(asked({ ...giant, animal: 'heavy horse' })).toEqual([])
    expect(asked({ width: 85, length: 96, heelWidth: 55, animal: 'mule' })).toEqual([])
  })

  it('reports a missing needed figure', () => {
    const result = readFoot({ ...FIVE_BY_FIVE, length: undefined as unknown as number })
    expect(result.ok).toBe(false)
    if (!result.ok) expect(result.problems[0]!.path).toBe('foot.length')
  })
})

describe('footOutline', () => {
  it('passes through toe, widest points and buttresses, for any foot', () => {
    fc.assert(
      fc.property(anyFoot, (input) => {
        const foot = read(input)
        const outline = footOutline(foot)
        const near = (x: number, y: number) =>
          distance(placeAt(outline.track, nearestStation(outline.track, [x, y])).point, [x, y])
        const buttressY = foot.widestFromToe - foot.length
        expect(near(0, foot.widestFromToe)).toBeLessThan(1e-6)
        expect(near(foot.lateralHalfWidth, foot.quarterLead / 2)).toBeLessThan(1e-6)
        expect(near(foot.lateralHalfWidth - foot.width, -foot.quarterLead / 2)).toBeLessThan(1e-6)
        expect(near(foot.heelWidth / 2, buttressY)).toBeLessThan(1e-6)
        expect(near(-foot.heelWidth / 2, buttressY)).toBeLessThan(1e-6)
        const xs = outline.track.points.map(([x]) => x)
        expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(foot.width, 6)
      }),
    )
  })

  it('is convex with an unbroken direction, for any foot', () => {
    fc.assert(
      fc.property(anyFoot, (input) => {
        const foot = read(input)
        const [curve, { track }] = [typedCurve(foot), footOutline(foot)]
        for (const t of [0.25, 0.5, 0.75]) {
          expect(Math.abs(cross(tangent(curve, t - 1e-9), tangent(curve, t + 1e-9)))).toBeLessThan(1e-6)
        }
        for (let t = 0.001; t < 1; t += 0.01) expect(curvature(curve, t)).toBeGreaterThan(-1e-9)
        expect(track.points.every(([x, y]) => Number.isFinite(x + y))).toBe(true)
      }),
    )
  })

  it('stays within a millimetre of the superellipse it stands for', () => {
    for (const toeShape of [1.8, 2, 2.25]) {
      const foot = read({ toeShape })
      const { track, lateralWidest, toe } = footOutline(foot)
      for (let s = lateralWidest; s <= toe; s += 2) {
        const [x, y] = placeAt(track, s).point
        const [u, v] = [x / foot.lateralHalfWidth, y / foot.widestFromToe]
        const r = (Math.abs(u) ** toeShape + Math.abs(v) ** toeShape) ** (1 / toeShape)
        expect(Math.abs(1 - r) * Math.hypot(x, y)).toBeLessThan(1)
      }
    }
    expect(fullness(2)).toBeCloseTo((4 / 3) * (Math.SQRT2 - 1), 12)
  })

  it('is a mirror image of itself when the branches are the same', () => {
    const { track } = footOutline(read())
    const last = track.points.length - 1
    track.points.forEach(([x, y], i) => {
      expect(track.points[last - i]![0]).toBeCloseTo(-x, 9)
      expect(track.points[last - i]![1]).toBeCloseTo(y, 9)
    })
  })
})

describe('wallAngleAt', () => {
  it('runs from the toe angle through the side angles to the heel without a jump', () => {
    const foot = read({ lateralWallAngle: 70, medialWallAngle: 80 })
    const outline = footOutline(foot)
    const at = (s: number) => wallAngleAt(foot, outline, s)
    expect(at(outline.toe)).toBeCloseTo(52, 9)
    expect(at(outline.lateralWidest)).toBeCloseTo(70, 9)
    expect(at(outline.medialWidest)).toBeCloseTo(80, 9)
    for (let s = 1; s < trackLength(outline.track); s++) expect(Math.abs(at(s) - at(s - 1))).toBeLessThan(1)
  })
})

describe('landmarks', () => {
  it('lies within the foot in the order of the sole', () => {
    fc.assert(
      fc.property(anyFoot, (input) => {
        const foot = read(input)
        const marks = landmarks(foot, footOutline(foot))
        expect(marks.frogApex[1]).toBeLessThan(marks.toe[1])
        expect(marks.frogApex[1]).toBeGreaterThan(marks.lateralButtress[1])
        expect(marks.bulbY).toBeLessThanOrEqual(marks.lateralButtress[1])
        expect(marks.whiteLineInner.length).toBeGreaterThan(20)
        for (const [x] of marks.frog) expect(Math.abs(x)).toBeLessThan(foot.heelWidth / 2)
      }),
    )
  })

  it('shows the tip of the coffin bone only where it is known', () => {
    expect(landmarks(read(), footOutline(read())).tip).toBeUndefined()
    const foot = read({ tipFromToe: 20 })
    expect(landmarks(foot, footOutline(foot)).tip?.[1]).toBeCloseTo(foot.widestFromToe - 20, 9)
  })
})

describe('the white line', () => {
  it('lies a wall inside the outline, and is as wide as it was said to be', () => {
    const foot = read({ whiteLineWidth: 3.5 })
    const outline = footOutline(foot)
    const { whiteLineOuter, whiteLineInner } = landmarks(foot, outline)
    // At the toe both run square to the frog: their distances are differences of y.
    const foremost = (line: readonly (readonly [number, number])[]) => Math.max(...line.map(([, y]) => y))
    expect(foot.widestFromToe - foremost(whiteLineOuter)).toBeCloseTo(foot.toeWallThickness, 1)
    expect(foremost(whiteLineOuter) - foremost(whiteLineInner)).toBeCloseTo(3.5, 1)
  })
})

describe('a heel width from middle to middle of the web', () => {
  it('is a web narrower than the foot from outside to outside', () => {
    const outside = read({ heelWidth: 89 })
    const middle = read({ heelWidth: 70, heelMeasure: 'middle of web', heelWeb: 19 })
    expect(outside.heelWidth).toBe(89)
    expect(middle.heelWidth).toBe(89)
  })
})
