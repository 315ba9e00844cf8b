import { describe, expect, it } from 'vitest'
import { inMm } from '../testing/made'
import { fitChecks, type SeenOnFoot } from './fit-checks'

describe('the checks of a fit', () => {
  /** 127 mm long, the bulbs 22 mm behind the buttress. */
  const FOOT = { length: 127, bulbLine: 22 }
  const keys = (seen: SeenOnFoot) => fitChecks(seen, FOOT).map(({ key, right }) => [key, right])

  it('reads only what was measured', () => {
    expect(keys({})).toEqual([])
    expect(keys({ room: { lateral: 3 } })).toEqual([['room', true]])
    expect(keys({ toBulb: { lateral: 20 } })).toEqual([['heels-cover', true]])
  })

  it('wants a coin of room, both sides alike, heels as far from the bulbs, the toe on the line of the frog', () => {
    // A US ten-cent piece is 1.35 mm thick (US Mint specification).
    expect(keys({ room: { lateral: 1.3, medial: 2 } })).toEqual([
      ['room', false],
      ['room-alike', true],
    ])
    expect(keys({ room: { lateral: 6, medial: 2 } })[1]).toEqual(['room-alike', false])
    expect(keys({ toBulb: { lateral: 12, medial: 18 } }).at(-1)).toEqual(['heels-alike', false])
    expect(keys({ toBulb: { lateral: 18, medial: 20 } }).at(-1)).toEqual(['heels-alike', true])
    expect(keys({ toeOff: 2 })).toEqual([['square', true]])
    // 6 mm aside of a foot 127 mm long: atan(6 / 127) is 2.7 degrees.
    const [turned] = fitChecks({ toeOff: -6 }, FOOT)
    expect(turned!.right).toBe(false)
    expect(inMm(turned!.words)).toMatch(/^Turned 2\.7° to the inside/)
    expect(inMm(fitChecks({ toBulb: { lateral: 12, medial: 18 } }, FOOT).at(-1)!.words)).toMatch(
      /^6 mm more to the bulb on the inside/,
    )
  })

  it('reads where each heel ends against its buttress from what is left to the bulb', () => {
    const words = (lateral: number) => inMm(fitChecks({ toBulb: { lateral } }, FOOT)[0]!.words)
    expect(words(18)).toMatch(/^Outer heel ends 4 mm behind the buttress/)
    expect(keys({ toBulb: { medial: 26 } })).toEqual([['heels-cover', false]])
    expect(words(28)).toMatch(/^Outer heel ends 6 mm before the buttress/)
  })
})

describe('what is only seen of a shoe on the foot', () => {
  const FOOT = { length: 130, bulbLine: 22 }

  it('is right or not, with what to do; unsaid it is not told', () => {
    expect(fitChecks({}, FOOT)).toEqual([])
    const found = fitChecks({ safed: true, clipsFlush: false, nothingPast: false }, FOOT)
    expect(found.map(({ key, right }) => [key, right])).toEqual([
      ['safed', true],
      ['clipsFlush', false],
      ['nothingPast', false],
    ])
    expect(found[1]!.words).toMatch(/never hammer/)
  })
})
