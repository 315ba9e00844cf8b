import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { distance, type Vec } from '../geometry/vector'
import { madeLimb, USUAL_LIMB } from '../made-up/limb'
import { RADIOGRAPH_POINT_KEYS, type RadiographPointKey } from '../terms/radiograph-points'
import { drawnLines } from './drawn-lines'
import { radiographFigures } from './figures'
import { likelyPlaces } from './likely-places'
import { trimPlan } from './trim-plan'

const SIZE = { width: 1600, height: 1280 }
const anyExposure = fc.record({
  mmPerPixel: fc.double({ min: 0.14, max: 0.18, noNaN: true }),
  turn: fc.double({ min: -8, max: 8, noNaN: true }),
  looksLeft: fc.boolean(),
})
const chosen = (points: Record<RadiographPointKey, Vec>, keys: readonly RadiographPointKey[]) =>
  Object.fromEntries(keys.map((key) => [key, points[key]]))

describe('where a place likely lies', () => {
  it('is near where it is, once two places that are far apart are marked, whichever way the foot looks', () => {
    fc.assert(
      fc.property(
        anyExposure,
        fc.constantFrom<readonly RadiographPointKey[]>(['W1', 'G2'], ['W1', 'W2'], ['T', 'U', 'E']),
        (exposure, keys) => {
          const points = madeLimb(USUAL_LIMB, exposure)
          const likely = likelyPlaces(chosen(points, keys), {
            width: 4000,
            height: 4000,
          })
          const off = RADIOGRAPH_POINT_KEYS.map(
            (key) => distance(likely[key], points[key]) * exposure.mmPerPixel,
          )
          expect(off.reduce((sum, each) => sum + each, 0) / off.length).toBeLessThan(
            keys[0] === 'W1' && keys[1] === 'W2' ? 35 : 14,
          )
        },
      ),
    )
  })

  it('gives back what is set, as near as an ordinary foot fits it, and stays in the picture', () => {
    fc.assert(
      fc.property(anyExposure, fc.subarray([...RADIOGRAPH_POINT_KEYS]), (exposure, keys) => {
        const points = madeLimb(USUAL_LIMB, exposure)
        const likely = likelyPlaces(chosen(points, keys), SIZE)
        for (const key of RADIOGRAPH_POINT_KEYS) {
          expect(likely[key][0]).toBeGreaterThanOrEqual(0)
          expect(likely[key][0]).toBeLessThanOrEqual(SIZE.width)
          expect(likely[key][1]).toBeGreaterThanOrEqual(0)
          expect(likely[key][1]).toBeLessThanOrEqual(SIZE.height)
        }
      }),
    )
  })

  it('before anything is marked, and with one place only, is a foot that stands on its ground in the picture', () => {
    const none = likelyPlaces({}, SIZE)
    expect(none.G1[1]).toBeCloseTo(none.G2[1], 6)
    expect(none.E[1]).toBeLessThan(none.T[1])
    const one = likelyPlaces({ T: [700, 900] }, SIZE)
    expect(one.T).toEqual([700, 900])
  })
})

describe('lines on the picture', () => {
  const exposure = { mmPerPixel: 0.2, turn: 3, looksLeft: true }
  const points = madeLimb(USUAL_LIMB, exposure)
  const plan = trimPlan(points, 0.2, { palmarAngle: 8, soleDepth: 15, behindTip: 0 })!
  const lines = drawnLines(points, 0.2, plan)
  const showing = (key: string) => lines.filter(({ shows }) => shows.includes(key))

  it('as long as what they show', () => {
    const figures = Object.fromEntries(radiographFigures(points, 0.2).map(({ key, value }) => [key, value!]))
    const long = (key: string, i = 0) => {
      const [from, to] = showing(key).filter(({ kind }) => kind === 'distance')[i]!.points
      return distance(from!, to!) * 0.2
    }
    for (const key of ['wallHigh', 'wallLow', 'soleTip', 'soleWing', 'breakoverAhead'])
      expect(long(key), key).toBeCloseTo(figures[key]!, 6)
    // The plumb line of the joint, and then its lever.
    expect(long('lever', 1)).toBeCloseTo(figures['lever']!, 6)
  })

  it('show every angle there is, and nothing that is not marked', () => {
    for (const key of ['palmarAngle', 'wallAngle', 'rotation', 'alignment', 'sinking'])
      expect(showing(key).length, key).toBeGreaterThan(0)
    expect(drawnLines({}, 0.2)).toEqual([])
    const ground = drawnLines({ G1: points.G1, G2: points.G2 }, 0.2)
    expect(ground.map(({ kind }) => kind)).toEqual(['ground'])
    for (const { points: places } of lines) expect(places.flat().every(Number.isFinite)).toBe(true)
  })

  it('the rasp’s line turns the underside of P3 to the angle the plan says', () => {
    const [trim] = lines.filter(({ kind }) => kind === 'trim')
    const [rear, front] = trim!.points as [Vec, Vec]
    const [u, t] = [points.U, points.T]
    const turned = Math.atan2(t[1] - u[1], u[0] - t[0]) - Math.atan2(front[1] - rear[1], rear[0] - front[0])
    expect(Math.abs((turned * 180) / Math.PI)).toBeCloseTo(plan.palmarAfterTrim, 1)
  })
})
