import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyFoot } from '../testing/any-foot'
import { readFoot } from '../foot/measurements'
import { footOutline } from '../foot/outline'
import { nearestStation, placeAt } from '../geometry/track'
import { distance } from '../geometry/vector'
import type { FootInput } from '../records/foot'
import { planShoe } from '../plan/plan'
import { FIVE_BY_FIVE } from '../testing/samples'
import { PLAIN_SHOE } from '../shoe/starting-shoe'
import { resolveFit } from '../shoe/fit'
import { layRims } from '../shoe/rims'
import { plainLay } from '../shoe/lay'
import { placeHoles } from './holes'
import { resolveNails } from './nail-plan'
import { chooseNail } from './nailing'
import { USUAL_NAIL_SIZES } from '../workshop/sizes'
import { HALVES } from '../terms/half'

const WIDTH = 20

function holesOf(input: FootInput, width = WIDTH, fit: Parameters<typeof resolveFit>[0] = 'general') {
  const read = readFoot(input)
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  const { foot } = read.value
  const outline = footOutline(foot)
  const rims = layRims(outline, plainLay(resolveFit(fit, foot), foot, outline, width), 0.5)
  return { foot, outline, rims, holes: placeHoles(foot, outline, rims, resolveNails(undefined)) }
}

describe('placeHoles, for any foot', () => {
  it('lays every hole within the web with steel on both sides', () => {
    fc.assert(
      fc.property(anyFoot, (input) => {
        const { rims, holes } = holesOf(input)
        for (const hole of holes) {
          const toRim = distance(placeAt(rims.outer, nearestStation(rims.outer, [hole.x, hole.y])).point, [
            hole.x,
            hole.y,
          ])
          expect(toRim).toBeGreaterThan(4)
          expect(toRim).toBeLessThan(WIDTH - 4)
          expect(toRim).toBeCloseTo(hole.inset, 0)
        }
      }),
      { numRuns: 40 },
    )
  })

  it('counts from the toe back, ahead of the bend of its own quarter, on its own side', () => {
    fc.assert(
      fc.property(anyFoot, (input) => {
        const { foot, holes } = holesOf(input)
        for (const branch of HALVES) {
          const own = holes.filter((hole) => hole.branch === branch)
          const sign = branch === 'lateral' ? 1 : -1
          expect(own.map((hole) => hole.number)).toEqual([1, 2, 3, 4])
          for (const hole of own) expect(hole.x * sign).toBeGreaterThan(0)
          for (let i = 1; i < own.length; i++) expect(own[i]!.y).toBeLessThan(own[i - 1]!.y)
          // Sound feet: nothing behind the widest part of that side.
          expect(own[3]!.y).toBeGreaterThan((sign * foot.quarterLead) / 2 - 1)
        }
      }),
      { numRuns: 40 },
    )
  })

  it('lies over the outer edge of the white line wherever the web reaches it', () => {
    fc.assert(
      fc.property(anyFoot, (input) => {
        const { foot, holes } = holesOf(input)
        for (const hole of holes) {
          if (!hole.heldByWeb) expect(Math.abs(hole.insideWall - foot.wallThickness)).toBeLessThanOrEqual(0.5)
        }
      }),
      { numRuns: 40 },
    )
  })
})

describe('a web that cannot reach', () => {
  const foot: FootInput = {
    side: 'RH',
    width: 130,
    length: 130,
    heelWidth: 90,
    toeAngle: 52,
    wallThickness: 14,
  }

  it('holds the holes as coarse as it can and says so', () => {
    const { holes } = holesOf(foot, 15)
    for (const hole of holes) {
      expect(hole.heldByWeb).toBe(true)
      expect(hole.inset).toBe(15 - 4.5)
      expect(hole.insideWall).toBeCloseTo(10.5, 1)
    }
  })

  it('reckons in a toe that is set back: the same inset lies deeper in the foot', () => {
    const level = holesOf({ ...foot, wallThickness: 4 })
    const back = holesOf({ ...foot, wallThickness: 4 }, WIDTH, { toeSetBack: 10 })
    expect(back.holes[0]!.insideWall).toBeGreaterThan(level.holes[0]!.insideWall + 2)
    // At the bend of the quarter nothing is set back any more.
    expect(back.holes[3]!.insideWall).toBeCloseTo(level.holes[3]!.insideWall, 1)
  })

  it('moves the nails: a thinner inner wall takes its holes further out', () => {
    const { nails } = planShoe({ ...FIVE_BY_FIVE, medialWallThickness: 7 }, PLAIN_SHOE)
    const inset = (branch: string) => nails.find((nail) => nail.branch === branch && nail.number === 3)!.inset
    expect(inset('medial')).toBeLessThan(inset('lateral'))
  })
})

describe('the limits of a school', () => {
  const place = (fromToe: number, number: number) =>
    planShoe(FIVE_BY_FIVE, {
      ...PLAIN_SHOE,
      nails: { lateral: { each: [{ number, fromToe }] } },
    }).nails.find((nail) => nail.branch === 'lateral' && nail.number === number)!

  it('say which way a hole stands beyond them', () => {
    expect(place(12, 1).beyond).toBe('forward')
    expect(place(40, 1).beyond).toBeUndefined()
    expect(place(118, 4).beyond).toBe('rear')
  })
})

describe('where a nail comes out', () => {
  it('lies over the sole, not outside of the wall: it leans in over its ground edge', () => {
    const { nails, outline } = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
    for (const { exit, branch, wallAngle, exitHeight } of nails) {
      const out = branch === 'lateral' ? 1 : -1
      const widest = Math.max(...outline.foot.map(([x]) => x * out))
      expect(wallAngle).toBeLessThan(90)
      expect(exitHeight).toBeGreaterThan(0)
      expect(exit[0] * out).toBeLessThan(widest)
      const hole = outline.foot.reduce((near, point) =>
        distance(point, exit) < distance(near, exit) ? point : near,
      )
      // In from the nearest place of the edge.
      expect(Math.hypot(...exit)).toBeLessThan(Math.hypot(...hole))
    }
  })
})

describe('a nail that misses the wall', () => {
  it('asks nothing of the box, and counts for no exit', () => {
    const { nails } = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
    const chosen = (missing: number) =>
      chooseNail(
        nails.map((nail, i) => (i < missing ? { ...nail, exitHeight: 0, verdict: 'misses' as const } : nail)),
        resolveNails(undefined),
        8,
        0,
        USUAL_NAIL_SIZES,
      )
    expect(chosen(1).exits!.low).toBeGreaterThan(0)
    expect(chosen(nails.length).exits).toBeUndefined()
    expect(chosen(nails.length).need).toBeUndefined()
  })
})
