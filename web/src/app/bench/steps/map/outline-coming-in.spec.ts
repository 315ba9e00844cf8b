import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import type { DrawnOutline, ReadOutlines, Taps } from '@crescent/core'
import { of, throwError } from 'rxjs'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { Api } from '../../../state/api'
import { OutlineComingIn } from './outline-coming-in'

const square = (size: number, layer: string) => ({
  closed: true,
  layer,
  points: [0, 1, 2, 3, 4, 5, 6, 7].map(
    (i) => [size * Math.cos((i * Math.PI) / 4), size * Math.sin((i * Math.PI) / 4)] as [number, number],
  ),
})
const likely: Taps = { toe: [0, 5], lateralHeel: [4, -3], medialHeel: [-4, -3] }

let read: ReadOutlines
const placed = vi.fn((line: DrawnOutline, _taps: Taps) => {
  const width = Math.max(...line.points.map(([x]) => x)) * 2
  return of({ foot: { trace: [], width, length: width, heelWidth: width / 2 }, notes: [] })
})
let coming: OutlineComingIn
const file = new File(['x'], 'foot.svg')

beforeEach(() => {
  placed.mockClear()
  read = { unit: 'mm', questions: [], curves: [square(70, 'Shoe'), square(60, 'Foot')] }
  const api = { readOutlines: () => of(read), likelyTaps: () => of(likely), placeOutline: placed }
  TestBed.configureTestingModule({ providers: [OutlineComingIn, { provide: Api, useValue: api }] })
  coming = TestBed.inject(OutlineComingIn)
})

describe('an outline that comes in', () => {
  it('begins with the line that is called the foot, however large what lies beside it', async () => {
    await coming.take(file)
    expect(coming.lines().map(({ layer }) => layer)).toEqual(['Shoe', 'Foot'])
    expect(coming.chosen()).toBe(1)
    read = { ...read, unit: null }
    await coming.take(file)
    // Without a unit there is nothing to draw yet.
    expect(coming.line()).toBeUndefined()
    await coming.drawn('in')
    expect(coming.chosen()).toBe(1)
    expect(coming.line()!.points[0]![0]).toBeCloseTo(60 * 25.4, 6)
  })

  it('asks for three places one after the other and is placed by the third; a further tap moves the nearest', async () => {
    await coming.take(file)
    for (const [asked, at] of [
      ['toe', [0, 60]],
      ['lateralHeel', [40, -40]],
      ['medialHeel', [-40, -40]],
    ] as const) {
      expect(coming.next()!.key).toBe(asked)
      expect(placed).not.toHaveBeenCalled()
      await coming.tap(at)
    }
    expect(coming.foot()!.width).toBe(120)
    await coming.tap([-38, -42])
    expect(coming.set()).toEqual({ toe: [0, 60], lateralHeel: [40, -40], medialHeel: [-38, -42] })
    await coming.swap()
    expect(placed.mock.lastCall![1]).toMatchObject({ lateralHeel: [-38, -42], medialHeel: [40, -40] })
  })

  it('is never taken as proposed before somebody agrees', async () => {
    await coming.take(file)
    expect(coming.likely()).toEqual(likely)
    expect(coming.foot()).toBeUndefined()
    await coming.agree()
    expect(placed.mock.lastCall![1]).toEqual(likely)
  })

  it('is drawn as wide as it was measured, its places with it', async () => {
    await coming.take(file)
    await coming.agree()
    await coming.asWide(60)
    expect(coming.foot()!.width).toBeCloseTo(60, 9)
    expect(coming.set().lateralHeel).toEqual([2, -1.5])
  })

  it('tells why it cannot be placed, and keeps what was tapped', async () => {
    placed.mockReturnValueOnce(
      throwError(
        () =>
          new HttpErrorResponse({
            status: 400,
            error: { errors: [{ path: 'taps', message: 'Both in one place' }] },
          }),
      ),
    )
    await coming.take(file)
    await coming.agree()
    expect(coming.failure()).toContain('Both in one place')
    expect(coming.foot()).toBeUndefined()
    expect(coming.set()).toEqual(likely)
  })
})
