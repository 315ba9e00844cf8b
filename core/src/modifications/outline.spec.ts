import { profileVolume } from '../shoe/profile'
import { planeArea } from '../geometry/plane-area'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyFoot } from '../testing/any-foot'
import { cross, distance, subtract, unit, type Vec } from '../geometry/vector'
import { planShoe, type Plan } from '../plan/plan'
import { leastCover } from '../shoe/cover'
import { footOutline } from '../foot/outline'
import { track } from '../geometry/track'
import { PLAIN_SHOE } from '../shoe/starting-shoe'
import { codes, made, problemsOf, shoeWith, inMm } from '../testing/made'

const plain = made([])
const foremost = (plan: Plan) => Math.max(...plan.outline.outer.map(([, y]) => y))
const heelOf = (plan: Plan, branch: 'lateral' | 'medial') =>
  branch === 'lateral' ? plan.outline.outer[0]! : plan.outline.outer.at(-1)!

/** y of the outer rim at an x of the outer or the inner half, ahead of the widest part. */
const rimY = (plan: Plan, x: number): number => {
  const { outer } = plan.outline
  for (let i = 1; i < outer.length; i++) {
    const [a, b] = [outer[i - 1]!, outer[i]!]
    if (b[1] > 0 && a[0] > x !== b[0] > x) return a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0])
  }
  return NaN
}

describe('a web that folds within the toe', () => {
  const wide = { width: 170, length: 185, heelWidth: 120, wallThickness: 14, side: 'LH' } as const
  const cut = (behindToe: number) =>
    made([{ kind: 'wide-toe' }, { kind: 'squared-toe', behindToe, easing: 4 }], {
      foot: wide,
      section: { width: 25.4, thickness: 9.525 },
      fit: 'general',
    }).iron.cutLength

  it('keeps both branches: a tenth of a millimetre on the toe is not 300 on the cut', () => {
    expect(cut(18)).toBeGreaterThan(400)
    expect(Math.abs(cut(18) - cut(18.1))).toBeLessThan(1)
  })

  it('so does a seat that widens it', () => {
    const seated = (behindToe: number) =>
      made([{ kind: 'seating-out' }, { kind: 'squared-toe', behindToe, easing: 4 }], { fit: 'general' }).iron
        .cutLength
    expect(seated(28.2)).toBeGreaterThan(270)
    expect(Math.abs(seated(28.2) - seated(28.1))).toBeLessThan(1)
  })
})

describe('squared toe', () => {
  it('has its foremost edge exactly on the line, and straight across: a hand-worked case', () => {
    const plan = made([{ kind: 'squared-toe', behindToe: 8, easing: 6 }])
    const line = plain.foot.widestFromToe - 8
    expect(foremost(plan)).toBeCloseTo(line, 3)
    // Half way out to where the plain rim crosses the line it has fallen by less than the easing.
    expect(line - rimY(plan, 12)).toBeLessThan(1.2)
    expect(plan.balance.leverSaved).toBeCloseTo(8, 6)
  })

  it('lies within the plain rim everywhere, and meets it behind, for any foot', () =>
    fc.assert(
      fc.property(anyFoot, fc.double({ min: 0.02, max: 0.09, noNaN: true }), (foot, share) => {
        const behindToe = foot.length * share
        const plan = planShoe(foot, shoeWith([{ kind: 'squared-toe', behindToe }]))
        const bare = planShoe(foot, shoeWith([]))
        const outer = bare.outline.outer
        plan.outline.outer.forEach(([x, y], i) => {
          expect(x).toBeCloseTo(outer[i]![0], 9)
          expect(y).toBeLessThanOrEqual(outer[i]![1] + 1e-9)
        })
        expect(outer[3]![1] - plan.outline.outer[3]![1]).toBeLessThan(0.8)
      }),
      { numRuns: 20 },
    ))

  it('is refused where the rim lies behind the line already', () => {
    const [problem] = problemsOf([{ kind: 'squared-toe', behindToe: 2 }], { fit: { toeSetBack: 9 } })
    expect(problem!.message).toContain('the rim lies behind this line already')
  })
})

describe('lateral trailer', () => {
  const pointing = (plan: Plan, aim: number): number => {
    // The middle line of the trailer's straight part, carried forward, against the point it should meet.
    const { outer, inner } = plan.outline
    const middle = (i: number): Vec => [(outer[i]![0] + inner[i]![0]) / 2, (outer[i]![1] + inner[i]![1]) / 2]
    const way = unit(subtract(middle(3), middle(0)))
    const bare = made([], { fit: plan.fit })
    const along = bare.outline.outer
    let walked = 0
    const toe = along.findIndex(([, y]) => y === foremost(bare))
    let target: Vec = along[toe]!
    for (let i = toe + 1; i < along.length && walked < aim; i++) {
      const step = Math.hypot(along[i]![0] - along[i - 1]![0], along[i]![1] - along[i - 1]![1])
      const share = Math.min(1, (aim - walked) / step)
      target = [
        along[i - 1]![0] + (along[i]![0] - along[i - 1]![0]) * share,
        along[i - 1]![1] + (along[i]![1] - along[i - 1]![1]) * share,
      ]
      walked += step
    }
    return Math.abs(cross(subtract(target, middle(0)), way))
  }

  it('points where it is told, within half a millimetre, from the middle of the toe to hole 2', () => {
    for (const aim of [0, 10, 20, 30])
      expect(pointing(made([{ kind: 'trailer', aim, upset: 0 }]), aim), `aim ${aim}`).toBeLessThan(0.5)
  })

  it('cuts the inner heel square across from the seat of the outer one', () => {
    const plan = made([{ kind: 'trailer' }], { fit: 'general' })
    expect(Math.abs(heelOf(plan, 'medial')[1] - plain.landmarks.lateralButtress[1])).toBeLessThan(1.5)
    expect(heelOf(plan, 'lateral')[1]).toBeLessThan(heelOf(plan, 'medial')[1] - 15)
    expect(heelOf(plan, 'lateral')[0]).toBeGreaterThan(plain.landmarks.lateralButtress[0])
  })

  it('is longer by its length, takes its upset from the bar, gives up the last hole and keeps the third', () => {
    const short = made([{ kind: 'trailer', length: 20, upset: 0 }])
    const long = made([{ kind: 'trailer', length: 40, upset: 0 }])
    expect(long.iron.cutLength - short.iron.cutLength).toBeCloseTo(20, 1)
    const upset = made([{ kind: 'trailer', length: 40, upset: 10 }])
    expect(upset.iron.cutLength - long.iron.cutLength).toBeCloseTo(10, 0)
    // Next to nothing upset is nothing, and no shoe without a width.
    const hardly = made([{ kind: 'trailer', length: 40, upset: 1e-300 }])
    expect(hardly.iron.cutLength).toBeCloseTo(long.iron.cutLength, 6)
    // It is there: the end is wider by as much steel.
    const more = planeArea(upset.outline.body).area - planeArea(long.outline.body).area
    expect(more / 19.05).toBeCloseTo(10, 0)
    const nails = made([{ kind: 'trailer' }], { nails: { lateral: [1, 2, 3, 4] } }).nails
    expect(nails.filter(({ branch }) => branch === 'lateral').map(({ number }) => number)).toEqual([1, 2, 3])
    expect(nails.filter(({ branch }) => branch === 'medial')).toHaveLength(4)
  })

  it('is as long as was asked in any bar, however far it has to turn', () =>
    fc.assert(
      fc.property(anyFoot, fc.double({ min: 0.13, max: 0.21, noNaN: true }), (foot, share) => {
        const width = foot.width * share
        const cut = (length: number) =>
          planShoe(foot, shoeWith([{ kind: 'trailer', length, upset: 0 }], { section: { width } })).iron
            .cutLength
        // Chords of the bend: a little shorter than the arc.
        expect(Math.abs(cut(45) - cut(15) - 30)).toBeLessThan(0.3)
      }),
      { numRuns: 40 },
    ))

  it('turns a short one more sharply, and says when its line falls short of its aim', () => {
    const turned = (length: number, width: number) => {
      const plan = made([{ kind: 'trailer', length, aim: 30 }], { section: { width } })
      const [, degrees] = /Turned out (\d+)°/.exec(inMm(plan.modifications[0]!.told[0]!))!
      return { degrees: Number(degrees), falls: codes(plan).includes('trailer-falls-short') }
    }
    const long = turned(40, 24)
    expect(long.falls).toBe(false)
    // Sharper about a nearer middle it has a degree or two more to go.
    expect(Math.abs(turned(20, 24).degrees - long.degrees)).toBeLessThan(3)
    expect(turned(20, 24).falls).toBe(false)
    expect(turned(15, 36).degrees).toBeLessThan(turned(40, 36).degrees - 5)
    expect(turned(15, 36).falls).toBe(true)
  })

  it('keeps the heel covered for any foot', () =>
    fc.assert(
      fc.property(anyFoot, (foot) => {
        const plan = planShoe(foot, shoeWith([{ kind: 'trailer' }], { fit: 'general' }))
        expect(codes(plan)).not.toContain('foot-uncovered')
      }),
      { numRuns: 25 },
    ))

  it('is warned past the gap and refused past hole 2', () => {
    const second = plain.nails.find(({ branch, number }) => branch === 'medial' && number === 2)!
    expect(codes(made([{ kind: 'trailer', aim: second.fromToe - 2 }]))).toContain('trailer-aim')
    expect(codes(made([{ kind: 'trailer', aim: 10 }]))).not.toContain('trailer-aim')
    expect(problemsOf([{ kind: 'trailer', aim: second.fromToe + 3 }])[0]!.path).toBe(
      'shoe.modifications.0.aim',
    )
  })

  it('is aimed by the holes at the toe, also on a foot that is nailed behind its widest part', () => {
    const laminitic = made([{ kind: 'trailer' }], { nails: { school: 'laminitic' } })
    const [low, high] = laminitic.modifications[0]!.ranges['aim']!
    expect(low).toBe(0)
    // No further than the bend of the quarter, where no second hole of a sound foot stands.
    const bend = plain.cuts.find(({ place }) => place.branch === 'medial' && place.point[1] <= 0)!.place
      .fromToe
    expect(high).toBeLessThan(bend)
  })

  it('says what it is steered by: its line is drawn to the point it meets', () => {
    const guides = made([{ kind: 'trailer', aim: 0 }]).modifications[0]!.guides
    expect(guides[0]!.line[1]![0]).toBeCloseTo(0, 1)
    expect(guides[0]!.line[1]![1]).toBeCloseTo(plain.foot.widestFromToe, 1)
  })
})

describe('lateral extension', () => {
  it('stands out by what is asked at its heel, and nothing ahead of the quarter or inside', () => {
    const plan = made([{ kind: 'lateral-extension', out: 8 }])
    expect(distance(heelOf(plan, 'lateral'), heelOf(plain, 'lateral'))).toBeCloseTo(8, 0)
    expect(heelOf(plan, 'medial')[0]).toBeCloseTo(heelOf(plain, 'medial')[0], 6)
    expect(foremost(plan)).toBeCloseTo(foremost(plain), 6)
  })

  it('leaves the holes over the white line: they lie deeper in the web, not in the foot', () => {
    const hole = (plan: Plan) =>
      plan.nails.find(({ branch, number }) => branch === 'lateral' && number === 4)!
    const plan = made([{ kind: 'lateral-extension', out: 6 }], { section: { width: 30 } })
    expect(hole(plan).insideWall).toBeCloseTo(hole(plain).insideWall, 0)
  })

  it('is refused wider than the web can stand out, and beside a trailer', () => {
    expect(problemsOf([{ kind: 'lateral-extension', out: 40 }])[0]!.message).toContain('is not possible here')
    expect(problemsOf([{ kind: 'lateral-extension' }, { kind: 'trailer' }])[0]!.message).toContain(
      'choose one',
    )
  })
})

describe('wide outer branch', () => {
  it('is as wide as asked on either side, with the bar the metal needs', () => {
    const plan = made([{ kind: 'wide-outer-branch', outerWeb: 26, innerWeb: 15 }])
    const { width, s, area, thickness } = plan.profile
    expect(width[2]!).toBeCloseTo(26, 6)
    expect(width.at(-3)!).toBeCloseTo(15, 6)
    const middle = s.findIndex((place) => place === 0)
    expect(width[middle]!).toBeCloseTo(19.05, 6)
    // Where the web changes its middle slants, and no more of the section than what is square to it counts.
    area.forEach((each, i) => {
      expect(each / (width[i]! * thickness[i]!)).toBeGreaterThan(0.98)
      expect(each).toBeLessThan(width[i]! * thickness[i]! + 1e-6)
    })
    const steel = planeArea(plan.outline.body).area * 7.9375
    expect(Math.abs(profileVolume(plan.profile) / steel - 1)).toBeLessThan(0.006)
  })

  it('with nothing changed is the plain shoe', () => {
    const bar = PLAIN_SHOE.section.width
    const plan = made([{ kind: 'wide-outer-branch', outerWeb: bar, innerWeb: bar }])
    expect(plan.iron.cutLength).toBeCloseTo(plain.iron.cutLength, 6)
  })

  it('is refused narrower than the bar outside', () => {
    expect(problemsOf([{ kind: 'wide-outer-branch', outerWeb: 12 }])[0]!.path).toContain('outerWeb')
  })
})

describe('wide toe, narrow heels', () => {
  it('brings 12 in of bar down to a little over 10, as common practice has it', () => {
    const plan = made([{ kind: 'wide-toe' }])
    const told = plan.modifications[0]!.told[0]!
    const down = Number(/come down to ([\d.]+) mm/.exec(inMm(told))![1]) / 25.4
    expect(down).toBeGreaterThan(10)
    expect(down).toBeLessThan(10.6)
  })

  it('asks for the bar its volume takes, by hand: the area of the shoe over the width of the bar', () => {
    const plan = made([{ kind: 'wide-toe', toeWeb: 30, heelWeb: 12 }])
    const byArea = planeArea(plan.outline.body).area / 19.05
    // The corners of its heels are rasped off in the drawing.
    expect(plan.iron.cutLength - byArea).toBeGreaterThan(0)
    expect(plan.iron.cutLength / byArea - 1).toBeLessThan(0.005)
  })

  it('is refused beside what would hold the heels up', () => {
    for (const kind of ['wedge', 'egg-bar', 'straight-bar', 'heart-bar'])
      expect(problemsOf([{ kind: 'wide-toe' }, { kind }])[0]!.message).toContain('lets the heels sink')
  })
})

describe('slide shoe', () => {
  const slide = (values: Record<string, number> = {}, foot = {}) =>
    made([{ kind: 'slide-shoe', ...values }], { fit: 'slide', section: { width: 25.4 }, foot })

  it('is even on both sides even for an uneven foot', () => {
    const plan = slide({ turn: 0 }, { lateralHalfWidth: 67, quarterLead: 6 })
    const { outer } = plan.outline
    outer.forEach(([x, y], i) => {
      const [mx, my] = outer[outer.length - 1 - i]!
      expect(x).toBeCloseTo(-mx, 6)
      expect(y).toBeCloseTo(my, 6)
    })
  })

  it('turns about the middle of the foot by what is asked', () => {
    const [straight, turned] = [slide({ turn: 0 }), slide({ turn: 2 })]
    straight.outline.outer.forEach(([x, y], i) => {
      const [tx, ty] = turned.outline.outer[i]!
      const angle = ((Math.atan2(ty, tx) - Math.atan2(y, x)) * 180) / Math.PI
      expect(((angle + 540) % 360) - 180).toBeCloseTo(2, 6)
    })
  })

  it('may be turned until half the wall would stand outside, and no further', () => {
    const most = Number(/up to ([\d.]+)°/.exec(inMm(slide().modifications[0]!.told[0]!))![1])
    expect(most).toBeGreaterThan(1)
    const cover = (turn: number) => {
      const plan = slide({ turn })
      const outer = plan.outline.outer
      const tangents = outer.map((_, i) =>
        unit(subtract(outer[Math.min(outer.length - 1, i + 1)]!, outer[Math.max(0, i - 1)]!)),
      )
      return leastCover(footOutline(plan.foot), track(outer, tangents))
    }
    expect(cover(most)).toBeGreaterThan(cover(0) - plain.foot.wallThickness * 0.5 - 0.6)
    expect(
      problemsOf([{ kind: 'slide-shoe', turn: most + 1 }], { fit: 'slide', section: { width: 25.4 } })[0]!
        .path,
    ).toBe('shoe.modifications.0.turn')
  })

  it('has a toe forged thin and heels drawn narrow', () => {
    const plan = slide({ toeThinner: 1.5, heelWeb: 14 })
    const { s, thickness, width } = plan.profile
    expect(thickness[s.findIndex((place) => place === 0)]!).toBeCloseTo(7.9375 - 1.5, 6)
    expect(thickness[0]!).toBeCloseTo(7.9375, 6)
    expect(width[0]!).toBeCloseTo(14, 6)
  })

  it('is open behind: no bar, and no traction without a warning', () => {
    expect(problemsOf([{ kind: 'slide-shoe' }, { kind: 'egg-bar' }])[0]!.message).toContain('open behind')
    expect(codes(made([{ kind: 'slide-shoe' }, { kind: 'studs' }]))).toContain('together')
  })
})
