import fc from 'fast-check'
import { expect, it } from 'vitest'
import { add, rotated, type Vec } from '../geometry/vector'
import { radians } from '../units/angle'
import { turnedOut, type TappedLine } from './tracks'

/** The horse goes up the picture; a track that points so many degrees to the right of it. */
const TRAVEL: TappedLine = [
  [500, 900],
  [500, 100],
]
const track = (right: number, at: Vec = [420, 500]): TappedLine => [
  at,
  add(at, [120 * Math.sin(radians(right)), -120 * Math.cos(radians(right))]),
]

it('a left foot’s track that points to the left points out; a right one’s points in', () => {
  expect(turnedOut(TRAVEL, track(-8), 'LH')).toBeCloseTo(8, 9)
  expect(turnedOut(TRAVEL, track(-8), 'RH')).toBeCloseTo(-8, 9)
  expect(turnedOut(TRAVEL, track(5), 'RF')).toBeCloseTo(5, 9)
  expect(turnedOut(TRAVEL, track(0), 'LF')).toBeCloseTo(0, 9)
})

it('is the same however the picture is turned, and as large for either foot', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -40, max: 40, noNaN: true }),
      fc.double({ min: -180, max: 180, noNaN: true }),
      (right, turn) => {
        const turned = ([a, b]: TappedLine): TappedLine => [
          rotated(a, radians(turn)),
          rotated(b, radians(turn)),
        ]
        const out = turnedOut(turned(TRAVEL), turned(track(right)), 'RF')!
        expect(out).toBeCloseTo(right, 6)
        expect(turnedOut(TRAVEL, track(right), 'LF')).toBeCloseTo(-right, 6)
      },
    ),
  )
})

it('two taps on one place have no direction', () => {
  expect(
    turnedOut(
      [
        [1, 1],
        [1, 1],
      ],
      track(3),
      'LF',
    ),
  ).toBeUndefined()
  expect(
    turnedOut(
      TRAVEL,
      [
        [4, 4],
        [4, 4],
      ],
      'LF',
    ),
  ).toBeUndefined()
})
