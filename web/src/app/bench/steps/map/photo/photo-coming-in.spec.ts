import { signal } from '@angular/core'
import { TestBed } from '@angular/core/testing'
import type { DrawnOutline, Taps, Vec } from '@crescent/core'
import { PHOTO_TAPS, type View } from '@crescent/core/photographs'
import { of, throwError } from 'rxjs'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { Api } from '../../../../state/api'
import { PhotoComingIn } from './photo-coming-in'
import type { PhotoAsked } from './photo-work'
import { PhotoTracer } from './photo-tracer'

/** Two pixels to a mm, y turned about. */
const view: View = { homography: [2, 0, 400, 0, -2, 300, 0, 0, 1], bend: 0, width: 800, height: 600 }
const round = (share: number): Vec => [
  60 * Math.sin(share * 2 * Math.PI - 2),
  60 * Math.cos(share * 2 * Math.PI - 2),
]
const outline = Array.from({ length: 200 }, (_, i) => round(i / 200))
const pixel = ([x, y]: Vec): Vec => [400 + 2 * x, 300 - 2 * y]
/** Heels at both ends of two thirds of the round. */
const AT = {
  toe: 0.33,
  lateralToeQuarter: 0.2,
  medialToeQuarter: 0.46,
  lateralWidest: 0.1,
  medialWidest: 0.56,
  lateralHeel: 0,
  medialHeel: 0.66,
}

/** How the plane is seen by now: it changes with scale and height. */
let seenBy: View
let asked: PhotoAsked[]
let doubtful: [number, number][]
let found: boolean
let inner: Vec[] | undefined
const placed = vi.fn((line: DrawnOutline, _taps: Taps) =>
  of({ foot: { trace: [], width: line.points.length, length: 1, heelWidth: 1 }, notes: [] }),
)
let coming: PhotoComingIn

const tracer = {
  progress: signal(undefined),
  ask: (one: PhotoAsked) => {
    asked.push(one)
    if (one.do === 'open') return Promise.resolve({ ok: true, width: 800, height: 600 })
    if (one.do === 'card')
      return Promise.resolve(
        found ? { ok: true, marks: [], residual: 0.01, view } : { ok: false, problem: 'No mark was found.' },
      )
    if (one.do === 'practise') return Promise.resolve({ ok: true, file: new Blob([png]) })
    if (one.do === 'keep') return Promise.resolve({ ok: true, file: '/9j/AA==', ...one.above!.frame })
    return Promise.resolve({ ok: true, outline, doubtful, view: seenBy, ...(inner && { inner }) })
  },
}
/** The head of a picture of one pixel: a PNG as it is published (RFC 2083). */
const png = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
  (c) => c.charCodeAt(0),
)
const photo = () => new File([png], 'foot.png')
const tapAll = async () => {
  expect(coming.next()!.key).toBe(PHOTO_TAPS[0].key)
  await tapRest()
}
/** Taps what is asked for, until nothing is. */
const tapRest = async () => {
  const tapped = new Set<string>()
  for (let next = coming.next(); next; next = coming.next()) {
    expect(tapped).not.toContain(next.key)
    tapped.add(next.key)
    await coming.tap(pixel(round(AT[next.key as keyof typeof AT])))
  }
}

beforeEach(() => {
  ;[asked, doubtful, found, inner, seenBy] = [[], [], true, undefined, view]
  placed.mockClear()
  TestBed.configureTestingModule({
    providers: [
      PhotoComingIn,
      { provide: PhotoTracer, useValue: tracer },
      { provide: Api, useValue: { placeOutline: placed } },
    ],
  })
  URL.createObjectURL = () => 'blob:one'
  URL.revokeObjectURL = () => undefined
  coming = TestBed.inject(PhotoComingIn)
})

describe('a photograph that comes in', () => {
  it('is looked at before it is opened: what is none, or is too large, is never unpacked', async () => {
    await coming.take(new File(['a text that was called so'], 'foot.jpg'))
    expect(coming.failure()).toContain('no photograph')
    const heic = new File([new Uint8Array([0, 0, 0, 24]), 'ftypheic'], 'foot.heic')
    await coming.take(heic)
    expect(coming.failure()).toContain('HEIC')
    const huge = png.slice()
    new DataView(huge.buffer).setUint32(16, 20_000)
    new DataView(huge.buffer).setUint32(20, 10_000)
    await coming.take(new File([huge], 'foot.png'))
    expect(coming.failure()).toContain('200 million pixels')
    expect(asked).toEqual([])
  })

  it('asks for seven places, follows the edge once, and goes from heel to heel', async () => {
    await coming.take(photo())
    expect(asked.map((one) => one.do)).toEqual(['open', 'card'])
    await tapAll()
    expect(asked.filter((one) => one.do === 'trace')).toHaveLength(1)
    const [line, taps] = placed.mock.calls[0]!
    expect(line.closed).toBe(false)
    expect(Math.hypot(...([0, 1] as const).map((i) => line.points[0]![i] - round(0)[i]))).toBeLessThan(0.5)
    expect(Math.hypot(...([0, 1] as const).map((i) => taps.medialHeel[i] - round(0.66)[i]))).toBeLessThan(1)
  })

  it('without a mark says so and keeps the taps; the printed line and another card are looked for again', async () => {
    found = false
    await coming.take(photo())
    expect(coming.failure()).toBe('No mark was found.')
    await tapAll()
    expect(asked.some((one) => one.do === 'trace')).toBe(false)
    found = true
    await coming.measuredLine(98)
    expect(asked.at(-2)).toMatchObject({ do: 'card', centreDistance: 98 })
    expect(asked.at(-1)).toMatchObject({ do: 'trace' })
    const traced = asked.length
    coming.pullTap('toe', pixel(round(0.34)))
    expect(asked).toHaveLength(traced)
    await coming.tapsSet()
    expect(asked).toHaveLength(traced + 1)
    await coming.scaleBy('length')
    expect(coming.next()!.key).toBe('from')
  })

  it('a hand pulls a knot, puts one in and takes one out, and takes all of it back', async () => {
    doubtful = [[100, 130]]
    await coming.take(photo())
    await tapAll()
    const before = coming.knots()
    const at = Math.round((115 / (60 * 2 * Math.PI * 0.66)) * (before.length - 1))
    expect(coming.doubtful()).toHaveLength(1)
    coming.hold()
    coming.pull(at, [0, 0])
    await coming.letGo()
    expect(coming.knots()[at]).toEqual([-200, 150])
    // What a hand drew is not doubtful any more.
    expect(coming.doubtful()).toEqual([])
    await coming.tapLine(pixel(round(0.3)))
    expect(coming.knots()).toHaveLength(before.length + 1)
    await coming.remove(5)
    expect(coming.knots()).toHaveLength(before.length)
    for (let i = 0; i < 3; i++) await coming.undo()
    expect(coming.knots()).toEqual(before)
    expect(coming.canUndo()).toBe(false)
  })

  it('is followed anew by one more tap where its edge is doubtful, which is kept and can be taken back', async () => {
    doubtful = [[100, 130]]
    const wall: Vec[] = [
      [40, -30],
      [0, 60],
      [-40, -30],
    ]
    coming.wall.set(wall)
    await coming.take(photo())
    await tapAll()
    const traces = () => asked.filter((one) => one.do === 'trace')
    expect(traces()[0]).toMatchObject({ work: { more: [], wall } })
    const place = pixel(round(115 / (60 * 2 * Math.PI)))
    // A knot that lies there is held by the tap, and not pulled.
    coming.hold()
    await coming.letGo()
    await coming.tapLine(place)
    expect(traces()).toHaveLength(2)
    expect(traces()[1]).toMatchObject({ work: { more: [place] } })
    const left = coming.marked()
    expect(left).toMatchObject({ more: [place], drawn: [] })
    // Elsewhere a tap puts a knot in, and a line drawn by hand is not followed anew.
    await coming.tapLine(pixel(round(0.05)))
    await coming.tapLine(place)
    expect(traces()).toHaveLength(2)
    for (let i = 0; i < 3; i++) await coming.undo()
    expect(traces()).toHaveLength(3)
    expect(traces()[2]).toMatchObject({ work: { more: [] } })
    expect(coming.canUndo()).toBe(false)
    await coming.resume(photo(), left)
    expect(traces().at(-1)).toMatchObject({ work: { more: [place] } })
  })

  it('is gone on with as it was left: its marks, and the line as a hand drew it, which can be taken back', async () => {
    await coming.take(photo())
    for (const { key } of PHOTO_TAPS.slice(0, 4)) await coming.tap(pixel(round(AT[key])))
    const half = coming.marked()
    await tapRest()
    coming.setSole('frogApex', pixel([0, 20]))
    const followed = coming.knots()
    coming.hold()
    coming.pull(5, [0, 0])
    await coming.letGo()
    const left = coming.marked()
    await coming.scaleBy('length')
    asked = []

    await coming.resume(photo(), half)
    expect(coming.by()).toBe('square')
    expect(coming.next()!.key).toBe(PHOTO_TAPS[4].key)
    expect(asked.map((one) => one.do)).toEqual(['open', 'card'])
    await coming.resume(photo(), left)
    expect(asked.at(-1)).toMatchObject({ do: 'trace' })
    expect(coming.knots()[5]).toEqual([-200, 150])
    expect(coming.soleFigures().frogApex).toBeGreaterThan(10)
    expect(coming.marked()).toEqual(left)
    await coming.undo()
    expect(coming.knots()).toEqual(followed)
  })

  it('of a shoe is the middle of its web, turned over where its other face was up; no foot is made of it', async () => {
    inner = outline.slice(0, 130).map(([x, y]): Vec => [x * 0.6, y * 0.6])
    coming.object.set('shoe')
    await coming.take(photo())
    expect(coming.next()!.ask).toContain('middle of the web')
    await tapAll()
    expect(asked.at(-1)).toMatchObject({ do: 'trace', work: { object: 'shoe' } })
    expect(placed).not.toHaveBeenCalled()
    const shape = coming.shape()
    expect(shape.length).toBeGreaterThan(40)
    // The round of this test runs clockwise: it comes turned over, outer heel first.
    expect(shape[0]![0]).toBeCloseTo(-coming.knots()[0]![0], 6)
    expect(coming.foot()).toBeUndefined()
  })

  it('what is no foot is said, and the line stays to be mended', async () => {
    placed.mockReturnValueOnce(throwError(() => new Error('x')))
    await coming.take(photo())
    await tapAll()
    expect(coming.failure()).toContain('went wrong')
    expect(coming.knots().length).toBeGreaterThan(6)
    expect(coming.foot()).toBeUndefined()
  })

  it('what a hand drew stays where it was seen when scale or height change, steps back included', async () => {
    await coming.take(photo())
    await tapAll()
    coming.hold()
    coming.pull(20, [400, 100])
    await coming.letGo()
    const pulled = coming.knots()[20]!
    expect(pulled[1]).toBeCloseTo(100, 9)
    // The sole lies nearer to the camera: the same pixels are fewer mm.
    seenBy = { ...view, homography: [2.5, 0, 400, 0, -2.5, 300, 0, 0, 1] }
    await coming.liesAbove(20)
    expect(asked.at(-1)).toMatchObject({ do: 'trace', work: { height: 20 } })
    expect(coming.knots()[20]![1]).toBeCloseTo(80, 9)
    await coming.undo()
    expect(coming.canUndo()).toBe(false)
    expect(coming.knots()[20]![1]).not.toBeCloseTo(80, 0)
    // Nothing by hand any more: the line is followed anew.
    seenBy = view
    await coming.liesAbove(0)
    expect(coming.knots().every(([x, y]) => Math.abs(Math.hypot(x, y) - 60) < 0.2)).toBe(true)
  })

  it('reads places of the sole behind the toe, and lets go of them when all is tapped again', async () => {
    await coming.take(photo())
    coming.setSole('frogApex', [400, 250])
    // Without an outline there is no toe to count from.
    expect(coming.soleFigures()).toEqual({})
    await tapAll()
    const [toe, lateral, medial] = [round(AT.toe), round(0), round(0.66)]
    const middle = [(lateral[0] + medial[0]) / 2, (lateral[1] + medial[1]) / 2] as const
    const way = [toe[0] - middle[0], toe[1] - middle[1]] as const
    const at: Vec = [middle[0] + way[0] * 0.6, middle[1] + way[1] * 0.6]
    coming.setSole('frogApex', pixel(at))
    coming.setSole('barsFromToe', pixel([at[0] - way[1] * 0.2, at[1] + way[0] * 0.2]))
    const long = Math.hypot(...way)
    expect(coming.soleFigures().frogApex).toBeCloseTo(long * 0.4, 0)
    // Beside the axis counts as on it.
    expect(coming.soleFigures().barsFromToe).toBeCloseTo(long * 0.4, 0)
    coming.takeSole('barsFromToe')
    expect(Object.keys(coming.soleFigures())).toEqual(['frogApex'])
    coming.startOver()
    expect(coming.sole()).toEqual({})
  })

  it('is kept as from straight above, toe up, with its places; one to practise on is not', async () => {
    expect(await coming.kept()).toBeUndefined()
    await coming.take(photo())
    await tapAll()
    coming.setSole('frogApex', pixel([0, 20]))
    const kept = (await coming.kept())!
    expect(kept).toMatchObject({ kind: 'sole', name: 'foot.png', file: '/9j/AA==' })
    // Two pixels to a mm in the photograph, and as many in what is kept of it.
    expect(kept.mmPerPixel).toBeCloseTo(0.5, 9)
    const { toe, lateralHeel, medialHeel, frogApex } = kept.marks
    expect(toe![0]).toBeCloseTo((lateralHeel![0] + medialHeel![0]) / 2, 6)
    expect(toe![1]).toBeLessThan(lateralHeel![1])
    const apart = (a: readonly number[], b: readonly number[]) => Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!)
    expect(apart(frogApex!, toe!) * 0.5).toBeCloseTo(apart([0, 20], round(AT.toe)), 6)
    await coming.practise()
    await tapAll()
    expect(await coming.kept()).toBeUndefined()
  })
})
