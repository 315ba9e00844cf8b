import { ClipType, FillRule } from 'clipper2-ts/dist/Core.js'
import { ClipperD } from 'clipper2-ts/dist/Engine.js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readFoot } from '../../foot/measurements'
import { footOutline } from '../../foot/outline'
import { rawParallel } from '../../geometry/parallel'
import { nearestStation, placeAt, rightOf, trackLength, type Track } from '../../geometry/track'
import { distance, type Vec } from '../../geometry/vector'
import { ProblemError } from '../../notices/problem'
import { planShoe } from '../../plan/plan'
import type { FootInput } from '../../records/foot'
import type { SizeFacts } from '../../records/size'
import { anyFoot } from '../../testing/any-foot'
import { codes, refusedBy } from '../../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../../testing/samples'
import { shoeOfSize, sizeOf } from '../../testing/sizes'
import { soldRim, usualWidth } from '../as-sold'
import { branchRun } from '../branch-run'
import { resolveFit } from '../fit'
import { plainLay } from '../lay'
import { layRims } from '../rims'
import { checkSize } from '../check-size'
import { creaseFrom } from './crease-room'
import { layMoulded } from './lay-moulded'
import { flushPlacement, placed } from './placement'

const NONE = { lateral: [], medial: [] }
const polymer = (length: number, more: Partial<SizeFacts> = {}) =>
  sizeOf(length, { kind: 'polymer', web: 24, thickness: 11, crease: 7, holes: NONE, ...more })

/** On it the rim leaves the saw's line at the last of a heel: its inner side folded there, and was taken for none. */
const TURNING_AT_ITS_HEEL: FootInput = {
  ...{ side: 'LF', width: 95.94, length: 86.64, heelWidth: 63.75, wallThickness: 5.28 },
  ...{ toeAngle: 44, heelAngle: 42, widestFromToe: 36.85, lateralHalfWidth: 51.04, quarterLead: -2.92 },
  ...{ toeShape: 1.803, quarterShape: 0.341 },
}

const footOf = (input: FootInput) => {
  const read = readFoot(input)
  if (!read.ok) throw new ProblemError(read.problems)
  const outline = footOutline(read.value.foot)
  return { foot: read.value.foot, outline }
}

/** The area of closed lines, by the shoelace, mm2. */
const areaOf = (lines: readonly (readonly Vec[])[]) =>
  lines.reduce(
    (sum, line) =>
      sum +
      line.reduce((all, [x, y], i) => {
        const [u, v] = line[(i + 1) % line.length]!
        return all + (x * v - u * y) / 2
      }, 0),
    0,
  )

/** What two closed lines have in common, by a general polygon library. */
function common(a: readonly Vec[], b: readonly Vec[]): Vec[][] {
  const path = (line: readonly Vec[]) => [line.map(([x, y]) => ({ x, y }))]
  const clipper = new ClipperD(4)
  clipper.addSubjectPaths(path(a))
  clipper.addClipPaths(path(b))
  const found: { x: number; y: number }[][] = []
  clipper.execute(ClipType.Intersection, FillRule.NonZero, found)
  return found.map((line) => line.map(({ x, y }): Vec => [x, y]))
}

/** As it is laid in a fit of long heels, so that no heel is cut. */
function laid(input: FootInput, facts: SizeFacts, moved = {}, heelLength = 40) {
  const { foot, outline } = footOf(input)
  const fit = resolveFit({ heelLength, spread: 2.5 }, foot)
  const asWanted = plainLay(fit, foot, outline, facts.web)
  const moulded = layMoulded(facts, { moved }, { foot, fit, outline, asWanted })
  const long = { ...asWanted, heelLength: { lateral: 60, medial: 60 } }
  const { run, start } = branchRun(outline.track, long)
  const wanted = rawParallel(run, (station) => asWanted.reach(station - start))
  return { foot, outline, moulded, wanted, rims: layRims(outline, moulded.lay, 0.5) }
}

const offLine = (line: Track, point: Vec) => distance(placeAt(line, nearestStation(line, point)).point, point)

/** A size about as wide as a foot of so many millimetres, wider by some. */
const nearly = (width: number, wider: number, more: Partial<SizeFacts> = {}) => {
  const length = 305 * ((width + wider) / usualWidth({ feet: 'front', length: 305, web: 24 }))
  return polymer(length, { web: Math.min(30, width * 0.18), ...more })
}

describe('a shoe that cannot be bent, laid flush', () => {
  it('is found again where it was moved from', () => {
    const rim = soldRim(polymer(305))
    const middle = trackLength(rim) / 2
    fc.assert(
      fc.property(
        fc.double({ min: -12, max: 12, noNaN: true }),
        fc.double({ min: -12, max: 12, noNaN: true }),
        (x, y) => {
          const line = placed(rim, { x, y, turn: 0 })
          // The toe is only where to begin: a wrong one leads to the same place.
          const toe = placeAt(line, middle + 6).point
          const at = flushPlacement(rim, line, toe)
          expect(at.x).toBeCloseTo(x, 3)
          expect(at.y).toBeCloseTo(y, 3)
          expect(at.turn).toBeCloseTo(0, 4)
        },
      ),
      { numRuns: 30 },
    )
  })

  it('lies along the inner wall, and what is too much stands out on the outer side', () => {
    const { moulded, wanted } = laid(FIVE_BY_FIVE, nearly(FIVE_BY_FIVE.width, 7))
    const { outer } = moulded.sold
    const quarter = (share: number) => placeAt(outer, trackLength(outer) * share).point
    expect(offLine(wanted, quarter(0.75))).toBeLessThan(1)
    expect(offLine(wanted, quarter(0.25))).toBeGreaterThan(4.5)
  })

  it('is sawn to what shoe and foot have in common, by a general polygon library', () => {
    fc.assert(
      fc.property(anyFoot, fc.double({ min: 0, max: 6, noNaN: true }), (input, wider) => {
        // No crease lies further in than the middle of the web: such a size is refused before it is laid.
        const facts = nearly(input.width, wider, { crease: Math.min(9, input.width * 0.09) })
        const { moulded, wanted, rims, foot } = laid(input, facts, {}, input.length * 0.39)
        fc.pre(moulded.standsOut === 0 && moulded.heelToCut.lateral === 0 && moulded.heelToCut.medial === 0)
        const sold = [...moulded.sold.outer.points, ...[...moulded.sold.inner.points].reverse()]
        // Ahead of the buttresses and of the shoe's own ends: there each ends square to itself.
        const ends = [moulded.sold.outer.points, moulded.sold.inner.points].flatMap((line) => [
          line[0]![1],
          line[line.length - 1]![1],
        ])
        const y = Math.max(foot.widestFromToe - foot.length, ...ends) + 6
        const ahead: Vec[] = [
          [-300, y],
          [300, y],
          [300, 300],
          [-300, 300],
        ]
        const areaAhead = (line: readonly Vec[]) => areaOf(common(line, ahead))
        const region = areaOf(common(sold, wanted.points).flatMap((line) => common(line, ahead)))
        const trimmed = areaAhead([...rims.outer.points, ...[...rims.inner.points].reverse()])
        expect(trimmed / region).toBeGreaterThan(0.99)
        expect(trimmed / region).toBeLessThan(1.01)
      }),
      { numRuns: 40, examples: [[TURNING_AT_ITS_HEEL, 0]] },
    )
  })

  it('is sawn to the line of the fit or to the crease, and left alone elsewhere', () => {
    fc.assert(
      fc.property(
        anyFoot,
        fc.double({ min: -3, max: 14, noNaN: true }),
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        (input, wider, across, turn) => {
          const facts = nearly(input.width, wider)
          const { moulded, wanted, rims } = laid(input, facts, { across, turn })
          for (const point of rims.outer.points) {
            const beside = placeAt(moulded.sold.outer, nearestStation(moulded.sold.outer, point))
            const in_ = -rightOf(beside, point)
            // Never into the crease, and never further out than it came.
            expect(in_).toBeLessThan(creaseFrom(facts) + 0.02)
            expect(in_).toBeGreaterThan(-0.02)
            const out = rightOf(placeAt(wanted, nearestStation(wanted, point)), point)
            const there = in_ < 0.06 || Math.abs(out) < 0.06 || in_ > creaseFrom(facts) - 0.06
            expect(there).toBe(true)
          }
        },
      ),
      { numRuns: 40 },
    )
  })

  it('goes where it is moved: so far out, so far forward, turned', () => {
    const facts = nearly(FIVE_BY_FIVE.width, 4)
    const toe = (moved: object) => {
      const { outer } = laid(FIVE_BY_FIVE, facts, moved).moulded.sold
      return placeAt(outer, trackLength(outer) / 2).point
    }
    const [x, y] = toe({})
    expect(toe({ across: 3 })[0] - x).toBeCloseTo(3, 9)
    expect(toe({ forward: -2 })[1] - y).toBeCloseTo(-2, 9)
    // Plus brings the toe to the inner side, where x is less than 0.
    expect(toe({ turn: 3 })[0]).toBeLessThan(x - 2)
  })

  it('is cut at the heels where the fit ends', () => {
    const facts = nearly(FIVE_BY_FIVE.width, 4, { feet: 'hind' })
    const { moulded, rims } = laid(FIVE_BY_FIVE, facts, {}, -4)
    expect(moulded.heelToCut.medial).toBeGreaterThan(3.2)
    // As a bar turned for the same fit ends.
    const turned = planShoe(FIVE_BY_FIVE, { ...PLAIN_SHOE, fit: { heelLength: -4, spread: 2.5 } })
    const last = (points: readonly Vec[]) => points[points.length - 1]![1]
    expect(Math.abs(last(rims.outer.points) - last(turned.outline.outer))).toBeLessThan(0.8)
    expect(moulded.heelLeft.medial).toBe(moulded.heelToCut.medial)
  })
})

describe('the plan of a moulded shoe', () => {
  const plan = (facts: SizeFacts, more = {}) =>
    planShoe(FIVE_BY_FIVE, shoeOfSize(facts, { stock: { kind: 'size', facts, ...more } }))

  it('says where to saw and what the crease forbids', () => {
    const little = plan(nearly(127, 5)).moulded!
    expect(little.deepest).toBeGreaterThan(3)
    expect(little.standsOut).toBeLessThan(0.1)
    const much = plan(nearly(127, 14))
    expect(much.moulded!.deepest).toBeCloseTo(7, 6)
    expect(much.moulded!.standsOut).toBeGreaterThan(3)
    expect(codes(much)).toContain('moulded-into-crease')
    expect(codes(plan(nearly(127, -8)))).toContain('size-cannot-be-bent')
    expect(codes(plan(nearly(127, 3)))).not.toContain('aluminium')
    expect(codes(plan(nearly(127, 3)))).toContain('moulded-never-hot')
  })

  it('is cut at a heel as it is said, where somebody says it', () => {
    const ends = (more = {}) => plan(nearly(127, 6), more).outline.outer.at(-1)![1]
    expect(ends({ cutOff: { medial: 12 } })).toBeGreaterThan(ends() + 4)
    expect(plan(nearly(127, 6), { cutOff: { medial: 12 } }).iron.heelToCut!.medial).toBe(12)
  })

  it('weighs less by what is sawn off', () => {
    const weight = (wider: number) => plan(nearly(127, wider, { weight: 200 })).iron.weight
    expect(weight(0)).toBeGreaterThan(194)
    expect(weight(0)).toBeLessThan(201)
    expect(weight(6)).toBeLessThan(weight(0) - 5)
  })

  it('follows either school of the sole', () => {
    const wide = nearly(127, 2)
    expect(codes(plan(wide, { rest: 'flat rim' }))).not.toContain('moulded-on-sole')
    expect(codes(plan(wide, { rest: 'clear of the sole' }))).toContain('moulded-on-sole')
    const narrow = nearly(127, 2, { web: 14 })
    expect(codes(plan(narrow))).toContain('moulded-buckles')
    expect(codes(plan(narrow, { rest: 'clear of the sole' }))).not.toContain('moulded-buckles')
    expect(codes(plan(nearly(127, 2, { web: 14, kind: 'plate-cored' })))).not.toContain('moulded-buckles')
  })

  it('covers as much sole as the web reaches past wall and white line', () => {
    const { moulded, foot } = plan(nearly(127, 0))
    const { onSole } = moulded!
    // Flush at the toe: web less wall less white line there.
    expect(onSole.most).toBeGreaterThan(24 * 0.93 - foot.wallThickness - foot.whiteLineWidth - 1)
    expect(onSole.least).toBeLessThan(onSole.most)
  })

  it('has half the wall cut away for each clip', () => {
    const { moulded, foot } = plan(nearly(127, 2, { clips: 'quarter' }))
    expect(moulded!.clipSeats.map(({ label }) => label)).toEqual(['Outer quarter clip', 'Inner quarter clip'])
    for (const { depth } of moulded!.clipSeats) {
      expect(depth).toBeGreaterThan(foot.wallThickness * 0.4)
      expect(depth).toBeLessThan(foot.wallThickness * 0.56)
    }
    const toe = plan(nearly(127, 2, { clips: 'toe' })).moulded!.clipSeats
    expect(toe[0]!.depth).toBeCloseTo(foot.toeWallThickness / 2, 1)
    expect(plan(nearly(127, 2)).moulded!.clipSeats).toEqual([])
  })

  it('is moved within reason, and laid on no foot that is quite another', () => {
    const facts = nearly(127, 3)
    const moved = (by: object) => refusedBy(() => plan(facts, { moved: by }))
    expect(moved({ across: 14, turn: -9 })).toEqual([])
    expect(moved({ across: 16 })).toEqual(['shoe.stock.moved.across'])
    expect(moved({ turn: 11 })).toEqual(['shoe.stock.moved.turn'])
    expect(refusedBy(() => plan(polymer(200)))).toEqual(['shoe.stock.facts.length'])
    expect(checkSize(polymer(305, { crease: 13 })).map(({ path }) => path)).toEqual([
      'shoe.stock.facts.crease',
    ])
  })

  it('takes a rocker and a rounding from heel to heel like any other shoe', () => {
    const facts = nearly(127, 3)
    for (const kind of ['rocker-toe', 'perimeter-bevel', 'pad']) {
      const made = planShoe(FIVE_BY_FIVE, shoeOfSize(facts, { modifications: [{ kind }] }))
      expect(made.modifications.map((one) => one.kind)).toEqual([kind])
      expect(made.moulded!.saw.length).toBeGreaterThan(0)
    }
  })
})

describe('where the crease begins', () => {
  it('is said, or read from the holes, or as usual', () => {
    expect(creaseFrom({ crease: 6, holes: NONE, web: 24 })).toBe(6)
    const holes = { lateral: [{ fromToe: 40, inset: 11 }], medial: [{ fromToe: 40, inset: 9.5 }] }
    expect(creaseFrom({ holes, web: 24 })).toBe(6)
    expect(creaseFrom({ holes: NONE, web: 25 })).toBeCloseTo(7, 9)
  })
})
