import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planeArea } from '../geometry/plane-area'
import { distance, type Vec } from '../geometry/vector'
import type { Plan } from '../plan/plan'
import { anyFoot } from '../testing/any-foot'
import { barFor, inMm, made, problemsOf } from '../testing/made'
import { FIVE_BY_FIVE } from '../testing/samples'
import { MODIFICATIONS } from './index'
import { signedVolume, solidOf } from '../views/solid'

const planOf = (kind: string, values: Record<string, number> = {}): Plan => {
  const section = barFor(kind)
  return made([{ kind, ...values }], section ? { section } : {})
}
const KINDS = MODIFICATIONS.map(({ kind }) => kind)

/** How far a point lies from the nearest of some lines, mm. */
function apart(point: Vec, lines: readonly (readonly Vec[])[]): number {
  let least = Infinity
  for (const line of lines)
    for (let i = 0; i + 1 < line.length; i++) {
      const [a, b] = [line[i]!, line[i + 1]!]
      for (let u = 0; u <= 8; u++)
        least = Math.min(
          least,
          distance(point, [a[0] + ((b[0] - a[0]) * u) / 8, a[1] + ((b[1] - a[1]) * u) / 8]),
        )
    }
  return least
}

const closed = (edge: readonly Vec[]): readonly Vec[] => [...edge, edge[0]!]

describe('of every modification', () => {
  it.each(KINDS)('the work of a %s is told step by step, in words', (kind) => {
    const plan = planOf(kind)
    const own = MODIFICATIONS.find((one) => one.kind === kind)!
    const plain = made([]).forging.length
    if (own.forging) expect(plan.forging.length).toBeGreaterThan(plain)
    for (const { stage, text } of plan.forging) {
      expect(stage).toMatch(/^[a-z][a-z ]+$/)
      expect(inMm(text)).toMatch(/^[A-Z0-9].{8,}[.;:)]$/s)
    }
  })

  it.each(KINDS)(
    'the pieces of a %s are closed, stand on or under something and weigh what they hold',
    (kind) => {
      const { parts, outline } = planOf(kind)
      const body = Math.abs(planeArea(outline.body).area)
      for (const { label, edge, between, join, stock, volume } of parts) {
        for (const point of edge) expect(point.every(Number.isFinite), label).toBe(true)
        if (between) {
          expect(between, label).toHaveLength(2)
          expect(between[1], label).toBeGreaterThan(between[0])
        }
        if (join) {
          const all = planeArea(join.outline ?? edge).area
          // What is joined reaches into the branches, and no further than they are wide.
          expect(all, label).toBeGreaterThanOrEqual(planeArea(edge).area - 1e-6)
          expect(all, label).toBeLessThan(planeArea(edge).area * 1.35)
          for (const weld of join.welds) {
            expect(weld.length, label).toBeGreaterThanOrEqual(2)
            for (const point of weld) expect(apart(point, [closed(edge)]), label).toBeLessThan(0.5)
          }
        }
        if (stock) {
          const { width, thickness, length, count = 1 } = stock
          const cut = width * thickness * length * count
          expect(cut, label).toBeGreaterThan(0)
          // A piece is no larger than what is cut for it, pads and plates for the whole foot included.
          if (volume > 0) expect(volume / count, label).toBeLessThan(width * thickness * length * 1.05)
        }
      }
      const whole = outline.whole.reduce((sum, ring) => sum + signed(ring), 0)
      expect(Math.abs(whole)).toBeGreaterThan(body * 0.85)
    },
  )

  it.each(KINDS)('what is held of a %s on the sole lies on what it changes', (kind) => {
    const plan = planOf(kind)
    const lines = [
      plan.outline.outer,
      plan.outline.inner,
      plan.outline.centreline,
      plan.outline.foot,
      ...plan.outline.whole.map(closed),
      ...plan.parts.map(({ edge }) => closed(edge)),
      ...plan.modifications[0]!.guides.map(({ line }) => line),
    ]
    for (const { field, point, view } of plan.modifications[0]!.handles)
      if (view !== 'side') expect(apart(point, lines), field).toBeLessThan(HELD[kind] ?? 2)
  })

  it.each(KINDS)('the solid of a %s is right side out', (kind) => {
    for (const { label, mesh } of solidOf(planOf(kind))) expect(signedVolume(mesh), label).toBeGreaterThan(0)
  })
})

/** Handles that stand apart from what they change, so that a thumb finds them, mm. */
const HELD: Record<string, number> = {
  'slide-shoe': 2.1,
  // As deep as the bevel reaches.
  'perimeter-bevel': 3.2,
  // On the line over which the drawn toe breaks over, in the middle of the bar.
  'four-rail-plate': 13,
}

const signed = (ring: readonly Vec[]): number =>
  ring.reduce((sum, [x, y], i) => {
    const [u, v] = ring[(i + 1) % ring.length]!
    return sum + (x * v - u * y) / 2
  }, 0)

/** The sharpest corner of a ring behind a height of the foot's frame, degrees; places nearer than a hair are one. */
function sharpestBehind(y: number, ring: readonly Vec[]): number {
  const points = ring.filter((point, i) => distance(point, ring[(i || ring.length) - 1]!) > 0.1)
  return Math.max(
    ...points.map((point, i) => {
      if (point[1] > y) return 0
      const [a, b] = [points[(i || points.length) - 1]!, points[(i + 1) % points.length]!]
      const [into, out] = [
        Math.atan2(point[1] - a[1], point[0] - a[0]),
        Math.atan2(b[1] - point[1], b[0] - point[0]),
      ]
      return Math.abs(Math.atan2(Math.sin(out - into), Math.cos(out - into))) * (180 / Math.PI)
    }),
  )
}

describe('an egg bar', () => {
  const FITS = ['flush', 'general', 'supportive', 'conservative'] as const
  it('is one smooth ring with its branches, whatever the foot, the fit and how far behind it lies', () => {
    fc.assert(
      fc.property(
        // On the smallest feet this bar leaves no opening to be smooth.
        anyFoot.filter(({ width }) => width > 105),
        fc.constantFrom(...FITS),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (foot, fit, share) => {
          fc.pre(problemsOf([{ kind: 'egg-bar' }], { foot, fit }).length === 0)
          const offered = made([{ kind: 'egg-bar' }], { foot, fit })
          const [low, high] = offered.modifications[0]!.ranges['behindBulbs']!
          const told = { kind: 'egg-bar', behindBulbs: low + (high - low) * share }
          fc.pre(problemsOf([told], { foot, fit }).length === 0)
          for (const plan of [offered, made([told], { foot, fit })]) {
            const { whole, outer } = plan.outline
            expect(whole.filter((ring) => signed(ring) > 0)).toHaveLength(1)
            expect(whole.filter((ring) => signed(ring) < 0)).toHaveLength(1)
            // A branch before its last inch may have corners of its own: a wide bar inside a tight quarter.
            const lastInch = Math.max(outer[0]![1], outer[outer.length - 1]![1]) + 25
            for (const ring of whole) expect(sharpestBehind(lastInch, ring)).toBeLessThan(20)
          }
        },
      ),
      { numRuns: 30, examples: [[FIVE_BY_FIVE, 'general', 0.3]] },
    )
  })

  it.each(FITS.filter((fit) => fit !== 'supportive'))(
    'in the %s fit is nowhere narrower than its bar, and little wider where its corners are filled',
    (fit) => {
      const { outline, section } = made([{ kind: 'egg-bar' }], { fit })
      const rim = outline.whole.find((ring) => signed(ring) > 0)!
      const opening = outline.whole.find((ring) => signed(ring) < 0)!
      const webs = opening.map((point) => apart(point, [closed(rim)]))
      expect(Math.min(...webs)).toBeGreaterThan(section.width - 0.2)
      expect(Math.max(...webs)).toBeLessThan(section.width * 1.35)
    },
  )
})

describe('the bulbs', () => {
  it('reach back to their line and lie between the buttresses', () => {
    const { foot, landmarks } = made([])
    const back = foot.widestFromToe - foot.length - foot.bulbLine
    const ys = landmarks.bulbs.map(([, y]) => y)
    expect(Math.min(...ys)).toBeGreaterThan(back - 1.5)
    expect(Math.min(...ys)).toBeLessThan(back + 1.5)
    const xs = landmarks.bulbs.map(([x]) => x)
    expect(Math.max(...xs)).toBeLessThan(foot.heelWidth / 2 + 3)
    expect(Math.min(...xs)).toBeGreaterThan(-foot.heelWidth / 2 - 3)
    expect(landmarks.bulbY).toBeCloseTo(back, 6)
  })
})

describe('what is pulled', () => {
  const NUDGE = 0.5
  it.each(KINDS)('of a %s moves with the hand, along the way it says', (kind) => {
    const plan = planOf(kind)
    const [own] = plan.modifications
    for (const { field, point, along, per = 1, view } of own!.handles) {
      const value = own!.values[field] as number
      const [low, high] = own!.ranges[field]!
      const by = value + NUDGE * per <= high && value + NUDGE * per >= low ? NUDGE * per : -NUDGE * per
      const next = planOf(kind, { ...(own!.values as Record<string, number>), [field]: value + by })
      const moved = next.modifications[0]!.handles.find(
        (one) => one.field === field && one.view === view,
      )!.point
      const travelled = (moved[0] - point[0]) * along[0] + (moved[1] - point[1]) * along[1]
      expect(travelled * Math.sign(by / per), `${kind} ${field}`).toBeGreaterThan(NUDGE * 0.5)
    }
  })
})

describe('the frog plate', () => {
  const { landmarks } = made([])
  /** From a point to the nearest place of the frog's edge, in steps of a twentieth of each of its chords. */
  const toEdge = (point: Vec): number => {
    let least = Infinity
    landmarks.frog.forEach(([x, y], i) => {
      const [u, v] = landmarks.frog[(i + 1) % landmarks.frog.length]!
      for (let k = 0; k <= 20; k++)
        least = Math.min(least, distance(point, [x + ((u - x) * k) / 20, y + ((v - y) * k) / 20]))
    })
    return least
  }

  it.each([0.5, 2, 5])('stays %s mm inside the frog, and goes as far out as that lets it', (inset) => {
    const plan = made([{ kind: 'heart-bar', inset, apexGap: 5 }])
    const plate = plan.parts.find(({ label }) => label === 'Frog plate')!.edge
    const front = Math.min(...plate.map(([, y]) => y))
    // Its neck behind the frog's widest place goes on to the bar.
    const beside = plate.filter(([x, y]) => y > front + 12 && Math.abs(x) > 1)
    expect(beside.length).toBeGreaterThan(12)
    for (const point of beside) expect(toEdge(point)).toBeGreaterThan(inset - 0.1)
    expect(Math.min(...beside.map(toEdge))).toBeLessThan(inset + 1)
  })
})

describe('a frog plate under a short wide frog, whose cleft comes near its widest place', () => {
  it.each([
    [30, 9],
    [48, 12],
    [60, 18],
    [78, 21],
  ])('%s mm wide, drawn in %s mm, is refused in words or weighs something', (frogWidth, inset) => {
    const asked = { foot: { frogWidth, frogLength: 62, frogApex: 30 } }
    const problems = problemsOf([{ kind: 'heart-bar', inset }], asked)
    for (const { message } of problems) expect(message).toMatch(/room|lies between/)
    if (problems.length === 0) {
      const { iron } = made([{ kind: 'heart-bar', inset }], asked)
      expect(iron.weight).toBeGreaterThan(made([], asked).iron.weight)
    }
  })
})

describe('the hindmost place', () => {
  it.each(['egg-bar', 'hinged-expander', 'straight-bar', 'heart-bar', 'trailer'])(
    'of a shoe with %s is where its steel ends',
    (kind) => {
      const plan = planOf(kind)
      const ys = [
        ...plan.outline.whole.flat(),
        ...plan.parts.filter(({ layer }) => layer === 'bar').flatMap(({ edge }) => edge),
      ]
      const rear = Math.min(...ys.map(([, y]) => y))
      expect(Math.abs(plan.balance.behind + rear), kind).toBeLessThan(HIND[kind] ?? 1)
    },
  )
})
/** A trailer's corners are boxed: its steel is counted to the middle of its end, mm. */
const HIND: Record<string, number> = { trailer: 2.5 }

describe('the frog', () => {
  it('is as wide and as long as it was measured, and lies behind its apex', () => {
    const { foot, landmarks } = made([], { foot: { frogWidth: 60, frogLength: 80 } })
    const xs = landmarks.frog.map(([x]) => x)
    const ys = landmarks.frog.map(([, y]) => y)
    expect(Math.max(...xs) - Math.min(...xs)).toBeGreaterThan(58)
    expect(Math.max(...xs) - Math.min(...xs)).toBeLessThan(62)
    expect(Math.max(...ys)).toBeCloseTo(foot.widestFromToe - foot.frogApex, 6)
    expect(Math.max(...ys) - Math.min(...ys)).toBeLessThan(82)
    expect(Math.max(...ys) - Math.min(...ys)).toBeGreaterThan(76)
  })
})
