import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { curvature } from '../geometry/curve'
import { splineThrough } from '../geometry/spline'
import { nearestStation, placeAt, trackLength } from '../geometry/track'
import { nearestAlong } from '../geometry/walked'
import { cross, distance, rotated, subtract, type Vec } from '../geometry/vector'
import { readFoot } from '../foot/measurements'
import { footOutline, type FootOutline } from '../foot/outline'
import { planShoe } from '../plan/plan'
import { ProblemError } from '../notices/problem'
import type { FootInput } from '../records/foot'
import { anyFoot } from '../testing/any-foot'
import { inMm } from '../testing/made'
import { FIVE_BY_FIVE } from '../testing/samples'
import { PLAIN_SHOE } from '../shoe/starting-shoe'
import { placeOutline, type Placed, type TracedFoot } from './placed'
import { proposedTaps } from './proposed'
import { readTrace } from './read-trace'
import { smoothedKnots } from './smoothed'
import { HANGS, worked } from '../testing/hangs'

const outlineOf = (input: FootInput): FootOutline => {
  const read = readFoot(input)
  if (!read.ok) throw new Error(read.problems[0]!.message)
  return footOutline(read.value.foot)
}

const footOf = (placed: Placed): TracedFoot => {
  if (!placed.ok) throw new Error(placed.problem)
  return placed.foot
}

/** How far a trace lies off an outline, knot by knot, mm, toe upon toe: the widest place of a flat quarter is known to a millimetre only. */
function offOutline(trace: FootInput['trace'], { track, toe }: FootOutline): number[] {
  const read = readTrace(trace!)
  if (typeof read === 'string') throw new Error(read)
  const up = placeAt(track, toe).point[1] - read.toeY - read.base
  return trace!.map(([x, y]) => {
    const at: Vec = [x, y + up]
    return distance(placeAt(track, nearestStation(track, at)).point, at)
  })
}

/** A foot's outline as a hand would draw it elsewhere: turned, moved, seen from above or below. */
function drawn(outline: FootOutline, turn: number, mirrored: boolean, seed = 0, shake = 0) {
  let state = seed + 1
  const noise = () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648
    return (state / 2_147_483_648 - 0.5) * 2 * shake
  }
  const lay = ([x, y]: Vec): Vec => {
    const [u, v] = rotated([mirrored ? -x : x, y], turn)
    return [u + 311 + noise(), v - 97 + noise()]
  }
  const { points } = outline.track
  return {
    points: points.map(lay),
    taps: {
      toe: lay(placeAt(outline.track, outline.toe).point),
      lateralHeel: lay(points[0]!),
      medialHeel: lay(points[points.length - 1]!),
    },
  }
}

/** A foot that is traced from its own outline. */
const traced = (input: FootInput): FootInput => {
  const { points, taps } = drawn(outlineOf(input), 0, false)
  const { side, toeAngle, wallThickness } = input
  return { side, toeAngle, wallThickness, ...footOf(placeOutline({ points, closed: false }, taps)) }
}

describe('a spline through points', () => {
  it('goes through its knots and bends without a step', () => {
    const knots = smoothedKnots(outlineOf(FIVE_BY_FIVE).track.points, 23)
    const curve = splineThrough(knots)
    curve.breaks.forEach((t, i) => {
      expect(distance(curve.point(t), knots[i]!)).toBeLessThan(1e-9)
      if (t > 0 && t < 1) expect(curvature(curve, t - 1e-9)).toBeCloseTo(curvature(curve, t + 1e-9), 6)
    })
  })

  it('follows a circle within a thousandth of its radius, derivatives too', () => {
    const knots = Array.from({ length: 25 }, (_, i): Vec => [60 * Math.cos(i / 6), 60 * Math.sin(i / 6)])
    const curve = splineThrough(knots)
    for (let t = 0.05; t < 0.95; t += 0.013) {
      expect(Math.hypot(...curve.point(t))).toBeCloseTo(60, 1)
      expect(curvature(curve, t) * 60).toBeCloseTo(1, 1)
      const [by, h] = [curve.derivative(t), 1e-6]
      const step = subtract(curve.point(t + h), curve.point(t - h))
      expect(step[0] / (2 * h)).toBeCloseTo(by[0], 3)
      expect(step[1] / (2 * h)).toBeCloseTo(by[1], 3)
    }
  })
})

describe('an outline that is placed by three taps', () => {
  it('reads any foot as it was drawn, however it lies and from whichever side it is seen', () => {
    fc.assert(
      fc.property(
        anyFoot,
        fc.double({ min: -3.1, max: 3.1, noNaN: true }),
        fc.boolean(),
        (input, turn, mirrored) => {
          const outline = outlineOf(input)
          const { points, taps } = drawn(outline, turn, mirrored)
          const foot = footOf(
            placeOutline({ points: mirrored ? points : [...points].reverse(), closed: false }, taps),
          )
          // The drawing is a polygon: its chords stray by a two-thousandth of its width.
          const near = input.width / 1000
          expect(Math.abs(foot.width - input.width)).toBeLessThan(near)
          expect(Math.abs(foot.length - input.length)).toBeLessThan(near)
          expect(Math.abs(foot.heelWidth - input.heelWidth)).toBeLessThan(near)
          expect(Math.max(...offOutline(foot.trace, outline))).toBeLessThan(near)
          expect(foot.trace[0]![0]).toBeGreaterThan(0)
        },
      ),
      { numRuns: 40 },
    )
  })

  it('takes of a closed line the part round the toe', () => {
    const { points, taps } = drawn(outlineOf(FIVE_BY_FIVE), 0.4, false)
    const [a, b] = [points[0]!, points[points.length - 1]!]
    const across = Array.from({ length: 9 }, (_, i): Vec => [
      b[0] + ((a[0] - b[0]) * (i + 1)) / 10,
      b[1] + ((a[1] - b[1]) * (i + 1)) / 10,
    ])
    // Begun somewhere at the quarter, as a program may.
    const round = [...points, ...across]
    const closed = [...round.slice(20), ...round.slice(0, 20)]
    for (const line of [closed, [...closed].reverse()]) {
      const foot = footOf(placeOutline({ points: line, closed: true }, taps))
      expect(foot.width).toBeCloseTo(FIVE_BY_FIVE.width, 1)
      expect(foot.length).toBeCloseTo(FIVE_BY_FIVE.length, 1)
    }
  })

  it('takes the shake of a hand out: less than half of it is left', () => {
    const outline = outlineOf(FIVE_BY_FIVE)
    const still = drawn(outline, 0, false).points
    const off = (points: readonly Vec[]) =>
      points.reduce((sum, at) => sum + nearestAlong(still, at).off / points.length, 0)
    let [was, left] = [0, 0]
    for (let seed = 1; seed <= 12; seed++) {
      const { points } = drawn(outline, 0, false, seed * 7919, 0.8)
      was += off(points)
      left += off(smoothedKnots(points))
    }
    expect(was / 12).toBeGreaterThan(0.3)
    expect(left / was).toBeLessThan(0.5)
  })

  it('proposes toe and heels near where they are', () => {
    const { points, taps } = drawn(outlineOf(FIVE_BY_FIVE), 2, false)
    for (const closed of [false, true]) {
      const found = proposedTaps({ points, closed })
      expect(distance(found.toe, taps.toe)).toBeLessThan(12)
      for (const heel of [found.lateralHeel, found.medialHeel])
        expect(Math.min(distance(heel, taps.lateralHeel), distance(heel, taps.medialHeel))).toBeLessThan(6)
      expect(distance(found.lateralHeel, found.medialHeel)).toBeGreaterThan(40)
    }
  })

  it('says what is wrong with taps that fit no foot', () => {
    const { points, taps } = drawn(outlineOf(FIVE_BY_FIVE), 0, false)
    const said = (of: Partial<typeof taps>, line = points) => {
      const placed = placeOutline({ points: line, closed: false }, { ...taps, ...of })
      return placed.ok ? '' : placed.problem
    }
    expect(said({ toe: [900, 900] })).toContain('toe was tapped far off')
    expect(said({ medialHeel: taps.lateralHeel })).toContain('one place')
    expect(said({ toe: taps.lateralHeel, lateralHeel: taps.toe })).toContain('does not lie between')
    expect(said({}, points.slice(0, 4))).toContain('fewer than five')
  })

  it('says that one heel stands further forward, and lays the buttress line half way', () => {
    const { points, taps } = drawn(outlineOf(FIVE_BY_FIVE), 0, false)
    const placed = placeOutline(
      { points: points.slice(3), closed: false },
      { ...taps, lateralHeel: points[3]! },
    )
    if (!placed.ok) throw new Error(placed.problem)
    expect(inMm(placed.notes[0]!)).toMatch(/^The outer heel stands \d+ mm ahead/)
    const lost = points[3]![1] - points[0]![1]
    expect(placed.foot.length).toBeGreaterThan(FIVE_BY_FIVE.length - lost)
    expect(placed.foot.length).toBeLessThan(FIVE_BY_FIVE.length)
  })
})

describe('a traced foot', () => {
  it('is planned as the typed foot it was traced from', () => {
    const [typed, again] = [planShoe(FIVE_BY_FIVE, PLAIN_SHOE), planShoe(traced(FIVE_BY_FIVE), PLAIN_SHOE)]
    expect(again.iron.cutLength).toBeCloseTo(typed.iron.cutLength, 0)
    expect(Math.abs(again.foot.widestFromToe - typed.foot.widestFromToe)).toBeLessThan(1.5)
    expect(Math.abs(again.balance.ratio - typed.balance.ratio)).toBeLessThan(0.1)
    expect(again.nails.length).toBe(typed.nails.length)
  })

  it('goes exactly through every figure that overrules it, without a fold', () => {
    const share = fc.double({ min: 0.9, max: 1.1, noNaN: true })
    fc.assert(
      fc.property(anyFoot, fc.array(share, { minLength: 6, maxLength: 6 }), (input, shares) => {
        const [w, l, h, back, half, lead] = shares as [number, number, number, number, number, number]
        const plain = traced(input)
        const of: FootInput = {
          ...plain,
          width: plain.width * w,
          length: plain.length * l,
          heelWidth: plain.heelWidth * w * h,
          widestFromToe: plain.length * 0.48 * back,
          lateralHalfWidth: plain.width * w * 0.5 * half,
          quarterLead: plain.length * (lead - 1) * 0.6,
        }
        const read = readFoot(of)
        fc.pre(read.ok)
        const { foot } = read.value
        const { track, toe, lateralWidest, medialWidest } = footOutline(foot)
        const at = (station: number) => placeAt(track, station).point
        const buttress = foot.widestFromToe - foot.length
        const inner = foot.lateralHalfWidth - foot.width
        expect(distance(at(toe), [0, foot.widestFromToe])).toBeLessThan(1e-6)
        expect(distance(at(lateralWidest), [foot.lateralHalfWidth, foot.quarterLead / 2])).toBeLessThan(1e-6)
        expect(distance(at(medialWidest), [inner, -foot.quarterLead / 2])).toBeLessThan(1e-6)
        expect(Math.abs(at(0)[0] - foot.heelWidth / 2)).toBeLessThan(1e-6)
        expect(Math.abs(at(trackLength(track))[0] + foot.heelWidth / 2)).toBeLessThan(1e-6)
        expect((at(0)[1] + at(trackLength(track))[1]) / 2).toBeCloseTo(buttress, 2)
        // Nothing lies further out than the widest places, and the line nowhere turns back upon itself.
        expect(Math.max(...track.points.map(([x]) => x))).toBeLessThan(foot.lateralHalfWidth + 1e-6)
        expect(Math.min(...track.points.map(([x]) => x))).toBeGreaterThan(inner - 1e-6)
        for (let i = 1; i < track.tangents.length; i++) {
          const step = subtract(track.points[i]!, track.points[i - 1]!)
          expect(Math.abs(cross(track.tangents[i]!, step)) / Math.hypot(...step)).toBeLessThan(0.5)
        }
      }),
      { numRuns: 60 },
    )
  })

  it('refuses knots that are no foot, by a sentence', () => {
    const { trace } = traced(FIVE_BY_FIVE)
    const refused = (knots: [number, number][]) => {
      const read = readFoot({ ...FIVE_BY_FIVE, trace: knots })
      return read.ok ? '' : read.problems[0]!.message
    }
    expect(refused([...trace!].reverse())).toContain('begin at the outer heel')
    expect(refused(trace!.map(([x, y]) => [x, -y]))).toContain('toe ahead of its widest')
    expect(refused([trace![0]!, ...trace!])).toContain('two knots in one place')
    expect(typeof readTrace(trace!)).toBe('object')
  })

  it('is planned or refused by figure, however crooked its line', () => {
    const { trace, ...measures } = traced(FIVE_BY_FIVE)
    const off = fc.double({ min: -4, max: 4, noNaN: true })
    let planned = 0
    fc.assert(
      fc.property(fc.array(fc.tuple(off, off), { minLength: 49, maxLength: 49 }), (offs) => {
        const crooked = trace!.map(([x, y], i): [number, number] => [x + offs[i]![0], y + offs[i]![1]])
        try {
          const plan = planShoe({ ...measures, trace: crooked }, PLAIN_SHOE)
          expect(Number.isFinite(plan.iron.cutLength)).toBe(true)
          planned++
        } catch (error) {
          expect(error).toBeInstanceOf(ProblemError)
        }
      }),
      { numRuns: 150 },
    )
    expect(planned).toBeGreaterThan(75)
  })
})

it('any line with any taps is placed or refused by a sentence, quickly', () => {
  const place = fc.tuple(
    fc.double({ min: -1e4, max: 1e4, noNaN: true }),
    fc.double({ min: -1e4, max: 1e4, noNaN: true }),
  )
  const near = fc.tuple(fc.integer({ min: -3, max: 3 }), fc.integer({ min: -3, max: 3 }))
  const line = fc.oneof(
    fc.array(place, { minLength: 0, maxLength: 40 }),
    fc.array(near, { minLength: 5, maxLength: 40 }),
  )
  fc.assert(
    fc.property(
      line,
      fc.boolean(),
      fc.tuple(place, near, near),
      (points, closed, [toe, lateralHeel, medialHeel]) => {
        const began = worked()
        const on = (tap: Vec) => points[Math.abs(Math.round(tap[0])) % Math.max(1, points.length)] ?? tap
        if (points.length > 1) proposedTaps({ points, closed })
        for (const taps of [
          { toe, lateralHeel, medialHeel },
          { toe: on(toe), lateralHeel: on(lateralHeel), medialHeel: on(medialHeel) },
        ]) {
          const placed = placeOutline({ points, closed }, taps)
          if (!placed.ok) expect(placed.problem).toMatch(/ /)
          else expect(placed.foot.trace.flat().every(Number.isFinite)).toBe(true)
        }
        expect(worked() - began).toBeLessThan(HANGS)
      },
    ),
    { numRuns: 2_000 },
  )
})
