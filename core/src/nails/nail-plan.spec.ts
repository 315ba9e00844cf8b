import fc from 'fast-check'
import { placeAt } from '../geometry/track'
import { wallPlace } from './keep-clear'
import { describe, expect, it } from 'vitest'
import { anyFoot } from '../testing/any-foot'
import { planShoe } from '../plan/plan'
import { FIVE_BY_FIVE } from '../testing/samples'
import { codes, made, problemsOf } from '../testing/made'
import { shoeOfSize, sizeOf } from '../testing/sizes'
import { shoeWith } from '../testing/made'
import { cutAt } from '../modifications/build'
import { nailFlight } from './flight'
import { oldHoles } from './keep-clear'
import { bySchool, resolveNails, withDriven, withEnd, withHole, withHoles } from './nail-plan'
import { snapshotOf } from '../plan/snapshot'
import { nearestStation } from '../geometry/track'
import { footOutline } from '../foot/outline'
import { nailNeed, suggestNail, USUAL_NAIL_SIZES } from '../workshop/sizes'
import { radiusOf, turningRadius } from './turning'
import { wallSection } from '../views/wall-section'
import { HALVES } from '../terms/half'

const plain = made([])
const hole = (plan: typeof plain, number: number, branch = 'lateral') =>
  plan.nails.find((nail) => nail.number === number && nail.branch === branch)!

describe('where holes lie', () => {
  it('evenly from the first to the last that are asked for, each branch for itself', () => {
    const plan = made([], {
      nails: { lateral: { first: 30, last: 66 }, medial: { holes: 3, first: 28, last: 60 } },
    })
    expect([1, 2, 3, 4].map((n) => hole(plan, n).fromToe)).toEqual([30, 42, 54, 66])
    expect([1, 2, 3].map((n) => hole(plan, n, 'medial').fromToe)).toEqual([28, 44, 60])
  })

  it('one where it was put, with the inset and the lean that were said', () => {
    const each = [{ number: 2, fromToe: 44, inset: 7, lean: 62 }]
    const plan = made([], { nails: { lateral: { each } } })
    expect(hole(plan, 2)).toMatchObject({ fromToe: 44, inset: 7, lean: 62 })
    expect(hole(plan, 1)).toEqual(hole(plain, 1))
    // 2.5 mm finer leaves 2.5 mm less wall inside it.
    expect(hole(plan, 2).insideWall - hole(plan, 2).inset).toBeCloseTo(
      hole(plain, 2).insideWall - hole(plain, 2).inset,
      0,
    )
  })

  it('of a factory shoe where they were punched, leaning as they were punched unless a nail is told otherwise', () => {
    const facts = sizeOf(320)
    const holes = facts.holes.lateral.map((one) => ({ ...one, pitch: 58 }))
    const shoe = shoeOfSize({ ...facts, holes: { lateral: holes, medial: holes } })
    const each = [{ number: 2, lean: 66 }]
    const { nails } = planShoe(FIVE_BY_FIVE, { ...shoe, nails: { lateral: { each } } })
    const leans = (branch: string) => nails.filter((nail) => nail.branch === branch).map(({ lean }) => lean)
    expect(leans('lateral')).toEqual([58, 66, 58, 58])
    expect(leans('medial')).toEqual([58, 58, 58, 58])
  })

  it('an inset beyond the steel stands as far as there is steel, and says so', () => {
    const plan = made([], { nails: { lateral: { each: [{ number: 1, inset: 30 }] } } })
    expect(hole(plan, 1).inset).toBeCloseTo(19.05 - 4.5, 6)
    expect(hole(plan, 1).heldByWeb).toBe(true)
  })

  it.each([
    [[{ number: 2, fromToe: 400 }], 'shoe.nails.lateral.2.fromToe', 'is not on the branch'],
    [[{ number: 3, fromToe: 30 }], 'shoe.nails.lateral.3.fromToe', 'at least 8 mm between two'],
    [[{ number: 1, lean: 20 }], 'shoe.nails.lateral.1.lean', 'lies between 35° and 100°'],
    [[{ number: 1, inset: 70 }], 'shoe.nails.lateral.1.inset', 'lies between 1 mm and 40 mm'],
  ])('%j is refused by name', (each, path, message) => {
    const problem = problemsOf([], { nails: { lateral: { each } } }).find((one) => one.path === path)!
    expect(problem.message).toContain(message)
  })

  it('takes back what was said of a hole, and forgets a hole nothing is said of', () => {
    const nails = resolveNails({ lateral: { each: [{ number: 1, lean: 60 }] } }).lateral
    expect(withHole(nails, 1, 'inset', 8).each).toEqual([{ number: 1, lean: 60, inset: 8 }])
    expect(withHole(nails, 1, 'lean', undefined).each).toEqual([])
    expect(withHole(nails, 3, 'seen', 19).each.map(({ number }) => number)).toEqual([1, 3])
  })
})

describe('what is done to the nails of a branch', () => {
  const branch = resolveNails({
    lateral: { driven: [1, 3], first: 30, last: 66, each: [{ number: 4, fromToe: 64, inset: 7 }] },
  }).lateral

  it('drives and empties holes, in their order', () => {
    expect(withDriven(branch, 2, true).driven).toEqual([1, 2, 3])
    expect(withDriven(branch, 3, true).driven).toEqual([1, 3])
    expect(withDriven(branch, 1, false).driven).toEqual([3])
  })

  it('takes holes away with all that was said of them, and never below none or above six', () => {
    expect(withHoles(branch, 2)).toMatchObject({ holes: 2, driven: [1], each: [] })
    expect(withHoles(branch, 9).holes).toBe(6)
    expect(withHoles(branch, -1)).toMatchObject({ holes: 0, driven: [] })
  })

  it('puts an end somewhere and gives it back', () => {
    expect(withEnd(branch, 'last', 70).last).toBe(70)
    expect(withEnd(branch, 'first', undefined)).not.toHaveProperty('first')
  })

  it('by another school loses its places and keeps the rest', () => {
    const plan = bySchool({ lateral: branch, medial: branch, school: 'sound' }, 'laminitic')
    expect(plan.school).toBe('laminitic')
    expect(plan.lateral).toEqual({ holes: 4, driven: [1, 3], each: [{ number: 4, inset: 7 }] })
    const same = { lateral: branch, medial: branch, school: 'sound' as const }
    expect(bySchool(same, 'sound')).toBe(same)
  })
})

describe('the schools', () => {
  it('sound: none behind the bend of the quarter; laminitic: none ahead of it; for any foot', () =>
    fc.assert(
      fc.property(anyFoot, fc.constantFrom('sound' as const, 'laminitic' as const), (foot, school) => {
        const plan = planShoe(foot, shoeWith([], { nails: { school } }))
        for (const nail of plan.nails) {
          // On the shortest feet the holes take the room they need.
          const beside = plan.nails.filter(({ branch }) => branch === nail.branch)
          const tight = beside[1]!.fromToe - beside[0]!.fromToe < 8.6
          expect(nail.beyond === undefined || tight).toBe(true)
          const bend = ((nail.branch === 'lateral' ? 1 : -1) * plan.foot.quarterLead) / 2
          if (school === 'sound') expect(nail.y).toBeGreaterThan(bend - 1.5)
          else expect(nail.y).toBeLessThan(bend + 1.5)
        }
      }),
      { numRuns: 40 },
    ))

  it('find room for their holes on a foot so short behind that the zone is too small for four', () => {
    const short = { width: 85, length: 75.3, heelWidth: 62.4, widestFromToe: 42.1, wallThickness: 4.7 }
    const { nails } = made([], { foot: short, nails: { school: 'laminitic' }, section: { width: 25.4 } })
    for (const branch of HALVES) {
      const places = nails.filter((nail) => nail.branch === branch).map(({ fromToe }) => fromToe)
      expect(places).toHaveLength(4)
      places.slice(1).forEach((place, i) => expect(place - places[i]!).toBeGreaterThanOrEqual(8))
    }
  })

  it('warn beyond their limits, each its own', () => {
    const far = { lateral: { holes: 1, each: [{ number: 1, fromToe: 110 }], driven: [1] } }
    expect(codes(made([], { nails: far }))).toContain('nail-beyond-limit')
    expect(codes(made([], { nails: { ...far, school: 'laminitic' } }))).not.toContain('nail-beyond-limit')
    const forward = { lateral: { each: [{ number: 1, fromToe: 8 }] } }
    expect(hole(made([], { nails: forward }), 1).beyond).toBe('forward')
  })
})

describe('what is kept clear', () => {
  const crack = { why: 'crack', half: 'lateral', fromToe: hole(plain, 2).fromToe, width: 6 } as const

  it('a nail in a crack is told, not driven for sound; others are left alone', () => {
    const plan = made([], { foot: { keepClear: [crack] } })
    expect(hole(plan, 2).verdict).toBe('in-the-way')
    expect(hole(plan, 2).why).toContain('crack')
    expect(hole(plan, 2, 'medial').verdict).toBe('sound')
    expect(hole(plan, 1).verdict).toBe('sound')
    expect(codes(plan)).toContain('nail-in-the-way')
  })

  it('lies on the wall where it was marked, as long as it is wide', () => {
    const [stretch] = made([], { foot: { keepClear: [crack] } }).keepClear
    const [a, b] = [stretch!.line[0]!, stretch!.line.at(-1)!]
    expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeCloseTo(6, 1)
    expect(a[0]).toBeGreaterThan(0)
  })

  it('never hides that a nail would prick', () => {
    const nails = { lateral: { each: [{ number: 2, inset: 14.5 }] } }
    const plan = made([], { foot: { keepClear: [crack], wallThickness: 7 }, nails })
    expect(hole(plan, 2).verdict).toBe('would-prick')
  })

  it('moved along the crease the nail is sound again', () => {
    const moved = { lateral: { each: [{ number: 2, fromToe: crack.fromToe + 8 }] } }
    expect(hole(made([], { foot: { keepClear: [crack] }, nails: moved }), 2).verdict).toBe('sound')
  })
})

describe('the holes of the last shoe', () => {
  it('are kept clear of where they were: each driven nail of the same shoe lies in its own old hole', () => {
    const marks = oldHoles(snapshotOf(plain).nails)
    expect(marks).toHaveLength(6)
    const again = made([], { foot: { keepClear: marks } })
    for (const nail of again.nails) expect(nail.verdict === 'in-the-way').toBe(nail.driven)
  })

  it('are unknown from a time when they were not counted so', () => {
    const nails = snapshotOf(plain).nails.map(({ alongWall: _unknown, ...nail }) => nail)
    expect(oldHoles(nails)).toEqual([])
  })
})

describe('the exit', () => {
  it('lies inside the ground edge by what the wall leans in at its height', () => {
    const { track } = footOutline(plain.foot)
    for (const { exit, exitHeight, wallAngle, footStation } of plain.nails) {
      const inside = exitHeight / Math.tan((wallAngle * Math.PI) / 180)
      const station = nearestStation(track, exit)
      expect(Math.abs(station - footStation)).toBeLessThan(1)
      const edge = track.points.reduce(
        (near, p) => Math.min(near, Math.hypot(p[0] - exit[0], p[1] - exit[1])),
        99,
      )
      // The outline's points lie a few millimetres apart.
      expect(edge).toBeGreaterThanOrEqual(inside - 0.05)
      expect(edge).toBeLessThan(inside + 1)
    }
  })
})

describe('the nail', () => {
  it('must reach through shoe and pad to its exit, with what is wrung off: by hand', () => {
    const need = nailNeed([{ exitHeight: 20, lean: 90, wallThickness: 10 }], 8, 3)!
    expect(need.length).toBeCloseTo(20 + 8 * 0.6 + 3 + 16, 9)
    expect(need.shank).toBeCloseTo(2.6, 9)
  })

  it('is the shortest that reaches, no thicker than the wall bears', () => {
    const size = suggestNail({ length: 46, shank: 2 }, USUAL_NAIL_SIZES)!
    expect(size.name).toBe('Slim 3')
    expect(suggestNail({ length: 46, shank: 2.2 }, USUAL_NAIL_SIZES)!.name).toBe('Middle 3')
    expect(suggestNail({ length: 90, shank: 9 }, USUAL_NAIL_SIZES)).toBeUndefined()
  })

  it('comes out of the table of the workshop, and one that is not there any more is told', () => {
    const shoe = shoeWith([], { nails: { size: 'Old 9' } })
    expect(codes(planShoe(FIVE_BY_FIVE, shoe))).toContain('nail-size-unknown')
    const table = [{ name: 'Old 9', length: 30, shank: 4, head: 6 }]
    const plan = planShoe(FIVE_BY_FIVE, shoe, { nailSizes: table })
    expect(plan.nailing.size?.name).toBe('Old 9')
    expect(codes(plan)).toContain('nail-short')
    expect(codes(plan)).toContain('nail-stout')
  })
})

describe('the turning radius', () => {
  it('comes back out of the exit heights it was used for', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 60, noNaN: true }),
        fc.double({ min: 4, max: 14, noNaN: true }),
        fc.double({ min: 50, max: 88, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        (radius, insideWall, wallAngle, off) => {
          const lean = wallAngle + off
          const seen = nailFlight(insideWall, lean, wallAngle, radius).exitHeight
          expect(radiusOf({ insideWall, lean, wallAngle, seen })).toBeCloseTo(radius, 6)
        },
      ),
    ))

  it('needs three nails and gives the middle one with what half of them lie between', () => {
    const nail = (seen: number) => ({ insideWall: 10, lean: 60, wallAngle: 60, seen })
    expect(turningRadius([nail(20), nail(21)])).toBeUndefined()
    // seen = sqrt(2 R d): 20, 22 and 24 mm for d = 10 are R = 20, 24.2 and 28.8.
    const found = turningRadius([nail(24), nail(20), nail(22)])!
    expect(found).toMatchObject({ count: 3 })
    expect(found.radius).toBeCloseTo(24.2, 9)
    expect(found.low).toBeCloseTo(22.1, 9)
    expect(found.high).toBeCloseTo(26.5, 9)
  })

  it('a nail lower than a straight one would be says nothing of turning', () => {
    expect(radiusOf({ insideWall: 3, lean: 80, wallAngle: 50, seen: 25 })).toBeUndefined()
  })
})

describe('a place of the wall that is touched', () => {
  it('is counted as marks are: on its branch, along the wall from the middle of the toe', () => {
    for (const nail of plain.nails) {
      const { track } = footOutline(plain.foot)
      const { branch, alongWall } = wallPlace(plain.foot, placeAt(track, nail.footStation).point)
      expect(branch).toBe(nail.branch)
      expect(alongWall).toBeCloseTo(nail.alongWall, 3)
    }
  })
})

describe('the cut through the wall', () => {
  it('shows the way of the nail from where it enters to the face of the wall', () => {
    const nail = hole(plain, 2)
    const section = wallSection(nail, plain.foot, 22)
    expect(section.way[0]).toEqual([nail.insideWall, 0])
    const [x, z] = section.way.at(-1)!
    expect(z).toBeCloseTo(nail.exitHeight, 9)
    expect(x).toBeCloseTo(z / Math.tan((nail.wallAngle * Math.PI) / 180), 6)
    expect(section.lineOuter[0][0]).toBeCloseTo(nail.wallThickness, 9)
  })
})

it('holes stay on the shoe’s rim whatever the outline was made into', () => {
  for (const kind of ['squared-toe', 'trailer', 'lateral-extension', 'wide-toe']) {
    const plan = made([{ kind }])
    expect(plan.nails.length).toBeGreaterThan(5)
    for (const nail of plan.nails) expect(nail.insideWall).toBeGreaterThan(3)
  }
})

describe('cutAt', () => {
  it('is the section of its own branch, whatever the other one is made into', () => {
    const plan = made([{ kind: 'wide-outer-branch', outerWeb: 30, innerWeb: 12 }])
    for (const { branch, fromToe } of plan.nails.filter(({ number }) => number === 4)) {
      const { form } = cutAt(plan.cuts, branch, fromToe)
      if (branch === 'lateral') expect(form.width).toBeGreaterThan(25)
      else expect(form.width).toBeLessThan(16)
    }
    expect(cutAt(plan.cuts, 'lateral', 0).place.s).toBe(cutAt(plan.cuts, 'medial', 0).place.s)
  })
})

describe('a hole where the wall has ended', () => {
  it('is never sound: a long trailer nailed by the laminitic school reaches behind the buttress', () => {
    const nails = { school: 'laminitic' as const }
    const own = made([{ kind: 'trailer', length: 60 }], { nails, fit: 'general' })
    // The school's own places end with the wall, however long the branch.
    for (const { behindWall, beyond } of own.nails)
      expect([behindWall < 1, beyond]).toEqual([true, undefined])
    const last = own.nails.filter(({ branch }) => branch === 'lateral').at(-1)!.fromToe + 45
    const plan = made([{ kind: 'trailer', length: 60 }], {
      nails: { ...nails, lateral: { holes: 3, driven: [1, 2, 3], last } },
      fit: 'general',
    })
    const buttressY = plan.landmarks.lateralButtress[1]
    const behind = plan.nails.filter(({ y }) => y < buttressY - 3)
    expect(behind.length).toBeGreaterThan(0)
    for (const nail of behind) {
      expect(nail.verdict).toBe('misses')
      expect(nail.why).toContain('behind the buttress')
    }
  })

  it('is nowhere on a plain shoe', () => {
    for (const { behindWall } of made([]).nails) expect(behindWall).toBeCloseTo(0, 9)
  })
})
