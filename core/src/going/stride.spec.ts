import { describe, expect, it } from 'vitest'
import { GRAVITY, loadMoment, newtonsOn } from '../terms/loads'
import { groundOf } from '../terms/goings'
import { FIVE_BY_FIVE } from '../testing/samples'
import { made } from '../testing/made'
import { fetlockChange } from './fetlock'
import { goingOf } from './going'
import { slipOf } from './slip'
import { pointOf, throughStride } from './stride'

const SAND = groundOf('sand arena')
const on = (plan: ReturnType<typeof made>, ground = SAND) =>
  goingOf(plan, { ground, load: { newtons: 3_000 } })

describe('the load', () => {
  it('is the share of a horse’s weight that a fore or a hind foot carries', () => {
    expect(newtonsOn(500, 'LF', loadMoment('standing'))).toBeCloseTo(500 * GRAVITY * 0.29, 9)
    expect(newtonsOn(500, 'RH', loadMoment('standing'))).toBeCloseTo(500 * GRAVITY * 0.21, 9)
    // Four feet carry the horse.
    const all = (['LF', 'RF', 'LH', 'RH'] as const).map((side) =>
      newtonsOn(500, side, loadMoment('standing')),
    )
    expect(all.reduce((a, b) => a + b, 0)).toBeCloseTo(500 * GRAVITY, 6)
  })

  it('goes forward as the heels leave, never past where the shoe breaks over, and outward as it lands there', () => {
    const plan = made([{ kind: 'rocker-toe' }])
    const leaving = pointOf(plan, loadMoment('leaving'))
    expect(leaving[1]).toBeGreaterThan(20)
    expect(leaving[1]).toBeLessThan(plan.balance.toeLever)
    const landing = pointOf(plan, loadMoment('outside'))
    expect(landing[0]).toBeGreaterThan(20)
    expect(landing[1]).toBeLessThan(0)
  })

  it('through the stride: what the ground alone pushes up is lost as the heels leave, plate or packing', () => {
    for (const [plan, packing] of [
      [made([{ kind: 'heart-bar' }]), undefined],
      [made([]), { covers: 'frog', stiffness: 0.07 }],
    ] as const) {
      const moments = throughStride(plan, SAND, 500, packing)
      const part = packing ? 'packing' : 'frogPlate'
      const share = (key: string) => moments.find(({ moment }) => moment.key === key)!.going.shares[part]!
      expect(share('trot')).toBeGreaterThan(0.05)
      expect(share('leaving')).toBeLessThan(share('trot') / 2)
    }
  })
})

describe('the fetlock', () => {
  const foot = { pasternAngle: 50 }

  it('on a hard floor follows a wedge by its own angle, and sinks where it makes up for it', () => {
    const plan = made([{ kind: 'wedge', rise: 8 }], { foot })
    const { hoof, followed, madeUp, jointRise } = fetlockChange(plan, on(plan, groundOf('rock')), 100)
    const run = FIVE_BY_FIVE.length
    expect(hoof).toBeCloseTo((Math.atan(8 / run) * 180) / Math.PI, 0)
    expect(followed).toBeCloseTo(hoof, 9)
    expect(jointRise).toBeCloseTo(plan.balance.toeLever * Math.tan((hoof * Math.PI) / 180), 9)
    // By hand: the pastern of 100 mm at 50 degrees comes down by what the joint comes up.
    const angle = (Math.asin(Math.sin((50 * Math.PI) / 180) - jointRise / 100) * 180) / Math.PI
    expect(madeUp).toBeCloseTo(angle - 50, 9)
    expect(madeUp).toBeLessThan(0)
  })

  it('a wide toe in sand lowers the hoof, on rock it does nothing', () => {
    const plan = made([{ kind: 'wide-toe' }], { foot })
    const soft = fetlockChange(plan, on(plan))
    expect(soft.hoof).toBeLessThan(-2)
    expect(soft.followed).toBeLessThan(0)
    expect(soft.madeUp).toBeGreaterThan(0)
    expect(soft.limb.measured).toBe(false)
    expect(fetlockChange(plan, on(plan, groundOf('rock'))).hoof).toBeCloseTo(0, 5)
  })
})

describe('hold and slip', () => {
  const bar = { section: { width: 25.4 } }
  const slip = (toeWeb: number, travel = 0) => {
    const plan = made([{ kind: 'slide-shoe', toeWeb, heelWeb: 15 }], bar)
    return slipOf(plan, on(plan).inGround, travel)
  }

  it('a wide toe is slicker than a narrow one on the same ground', () => {
    expect(slip(34).ploughed).toBeLessThan(slip(20).ploughed)
    expect(slip(34).toeWeb).toBeCloseTo(34, 1)
  })

  it('edges that face the way are its width twice, once at the toe and once behind each branch and within', () => {
    const { edges, ploughed, heelOpen, heelGap } = slip(26)
    const plan = made([{ kind: 'slide-shoe', toeWeb: 26, heelWeb: 15 }], bar)
    const xs = plan.outline.body.map(([x]) => x)
    const across = Math.max(...xs) - Math.min(...xs)
    // A U faces its way with its front and with the inside of its heels: more than its width, less than twice.
    expect(edges).toBeGreaterThan(across * 0.99)
    expect(edges).toBeLessThan(across * 2)
    expect(ploughed).toBeGreaterThan(0)
    expect(heelOpen).toBeGreaterThan(0.5)
    expect(heelGap).toBeGreaterThan(30)
  })

  it('turned under a foot that points out of its line it slides along that line as a straight one does along its own', () => {
    const turnedBy = (turn: number, travel: number) => {
      const plan = made([{ kind: 'slide-shoe', toeWeb: 26, heelWeb: 15, turn }], bar)
      return slipOf(plan, on(plan).inGround, travel)
    }
    const [straight, along, across] = [turnedBy(0, 0), turnedBy(5, -5), turnedBy(5, 5)]
    // Its toe is turned inward by 5°, so the way it points lies 5° toward the inside.
    expect(along.edges / straight.edges).toBeCloseTo(1, 2)
    expect(Math.abs(along.ploughed / straight.ploughed - 1)).toBeLessThan(0.02)
    expect(across.edges).toBeGreaterThan(along.edges)
  })

  it('studs and rails push ground ahead of them: the higher, the more, and on a road too', () => {
    const held = (height: number, ground = SAND) => {
      const plan = made(height > 0 ? [{ kind: 'studs', height, diameter: 10 }] : [])
      return slipOf(plan, on(plan, ground).inGround)
    }
    expect(held(6).ploughed).toBeGreaterThan(held(3).ploughed * 0.9)
    expect(held(6).edges - held(0).edges).toBeCloseTo(2 * 10, 0)
    // On a road the shoe itself hardly goes in: what holds is the studs.
    const road = groundOf('road')
    expect(held(6, road).ploughed).toBeGreaterThan(held(0, road).ploughed * 2)
    // By hand: a stud of 10 mm that is all the way in pushes 10 mm wide and 6 mm high.
    const plan = made([{ kind: 'studs', height: 6, diameter: 10 }])
    const [all, none] = [plan, { ...plan, parts: [] }].map(
      (one) => slipOf(one, { c: 50, p: 0, q: 0 }).ploughed,
    )
    expect(all! - none!).toBeCloseTo(2 * 10 * 6, -1)
  })

  it('the same to either side of an even shoe, and more across its branches', () => {
    expect(slip(26, 12).ploughed).toBeCloseTo(slip(26, -12).ploughed, 0)
    expect(slip(26, 90).ploughed).toBeGreaterThan(slip(26).ploughed)
  })
})
