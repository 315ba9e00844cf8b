import { describe, expect, it } from 'vitest'
import { inMm } from '../testing/made'
import { fitChecks, type SeenOnFoot } from './fit-checks'

describe('the checks of a fit', () => {
  const keys = (seen: SeenOnFoot) => fitChecks(seen, 127).map(({ key, right }) => [key, right])

  it('reads only what was measured', () => {
    expect(keys({})).toEqual([])
    expect(keys({ room: { lateral: 3 } })).toEqual([['room', true]])
    expect(keys({ toBulb: { lateral: 20 } })).toEqual([])
  })

  it('wants a coin of room, both sides alike, heels as far from the bulbs, the toe on the line of the frog', () => {
    // A US ten-cent piece is 1.35 mm thick (US Mint specification).
    expect(keys({ room: { lateral: 1.3, medial: 2 } })).toEqual([
      ['room', false],
      ['room-alike', true],
    ])
    expect(keys({ room: { lateral: 6, medial: 2 } })[1]).toEqual(['room-alike', false])
    expect(keys({ toBulb: { lateral: 18, medial: 24 } })).toEqual([['heels-alike', false]])
    expect(keys({ toBulb: { lateral: 18, medial: 20 } })).toEqual([['heels-alike', true]])
    expect(keys({ toeOff: 2 })).toEqual([['square', true]])
    // 6 mm aside of a foot 127 mm long: atan(6 / 127) is 2.7 degrees.
    const [turned] = fitChecks({ toeOff: -6 }, 127)
    expect(turned!.right).toBe(false)
    expect(inMm(turned!.words)).toMatch(/^Turned 2\.7° to the inside/)
    expect(inMm(fitChecks({ toBulb: { lateral: 18, medial: 24 } }, 127)[0]!.words)).toMatch(
      /^6 mm more to the bulb on the inside/,
    )
  })
})
