import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { draws } from '../made-up/drawn'
import { soleOf, someFoot } from '../made-up/things'
import { planShoe } from '../plan/plan'
import { PLAIN_SHOE } from '../shoe/starting-shoe'
import { add, rotated, type Vec } from '../geometry/vector'
import { nearestAlong } from '../geometry/walked'
import { agreed } from './agreed'
import { guessedFoot } from './guessed-foot'
import { ROUND, type SevenTaps } from './taps'

/** A foot out of a stable, turned, shifted and perhaps turned over, with taps that are off by up to some mm. */
const tapped = fc
  .record({
    seed: fc.integer({ min: 1, max: 100_000 }),
    turn: fc.double({ min: -3, max: 3, noNaN: true }),
    over: fc.boolean(),
    by: fc.constantFrom(0, 4),
  })
  .map(({ seed, turn, over, by }) => {
    const draw = draws(seed)
    const foot = someFoot(draw)
    const placed = ([x, y]: Vec): Vec => add(rotated([over ? -x : x, y], turn), [300, -40])
    const own = planShoe(foot, PLAIN_SHOE).outline.foot
    const { taps } = soleOf(foot)
    const off = ([x, y]: Vec): Vec => {
      const [way, far] = [draw() * 2 * Math.PI, Math.sqrt(draw()) * by]
      return [x + Math.cos(way) * far, y + Math.sin(way) * far]
    }
    return {
      ...{ own, by, wall: own.map(placed) },
      taps: Object.fromEntries(ROUND.map((key) => [key, placed(off(taps[key]))])) as SevenTaps,
    }
  })
const offs = (line: readonly Vec[], truth: readonly Vec[]) =>
  line.map((point) => nearestAlong(truth, point).off)

describe('a foot guessed by its taps', () => {
  it('is the foot that was measured, wherever it lies and whichever way up, where it is tapped exactly', () => {
    fc.assert(
      fc.property(tapped, ({ taps, own, wall, by }) => {
        const known = guessedFoot(taps, [], own).wall
        expect(Math.max(...offs(known, wall))).toBeLessThan(by === 0 ? 1.2 : 7)
        const most = Math.max(...offs(guessedFoot(taps).wall, wall))
        expect(most).toBeLessThan(by === 0 ? 4.5 : 9)
      }),
      { numRuns: 60 },
    )
  })

  it('is no other foot, whatever is said to be known of it: the taps know better', () => {
    fc.assert(
      fc.property(tapped, ({ taps, own }) => {
        const other = own.map(([x, y]): Vec => [x * 1.2, y * 1.1])
        expect(guessedFoot(taps, [], other)).toEqual(guessedFoot(taps))
      }),
      { numRuns: 40 },
    )
  })

  it('goes through what is tapped besides, and is nearer there than before', () => {
    fc.assert(
      fc.property(tapped, fc.double({ min: 0.15, max: 0.85, noNaN: true }), ({ taps, wall }, share) => {
        const tap = wall[Math.round(share * (wall.length - 1))]!
        expect(nearestAlong(guessedFoot(taps, [tap]).wall, tap).off).toBeLessThan(0.5)
      }),
      { numRuns: 60 },
    )
  })
})

describe('an edge as its neighbours agree on it', () => {
  const round = Array.from({ length: 400 }, (_, i): Vec => {
    const way = (i / 400) * 2 * Math.PI
    return [60 * Math.cos(way), 60 * Math.sin(way)]
  })
  const guess = round.map(([x, y]): Vec => [x * 1.03, y * 0.98])

  it('is without two thirds of what a stalk over it did, and else as it was', () => {
    const bitten = round.map(([x, y], i): Vec => (i > 100 && i < 110 ? [x * 1.06, y * 1.06] : [x, y]))
    const mended = agreed(bitten, guess, () => false)
    mended.forEach(([x, y], i) => {
      expect(Math.abs(Math.hypot(x, y) - 60)).toBeLessThan(1.2)
      if (i < 90 || i > 120) expect([x, y]).toEqual(round[i])
    })
    // Where it is loose nothing is known.
    expect(agreed(bitten, guess, () => true)).toEqual(bitten)
  })
})
