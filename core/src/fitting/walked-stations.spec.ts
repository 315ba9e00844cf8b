import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { pattern, measured } from '../testing/farriers'
import { centrelineOf, lineLength } from './centreline'
import { walkedStations } from './walked-stations'

describe('how far along a bar a point lies', () => {
  it('is read off points without noise as they lie, and off noisy ones nearly so', () => {
    const clean = walkedStations(pattern.points)
    pattern.stations.forEach((station, i) => expect(Math.abs(clean[i]! - station)).toBeLessThan(0.1))
    const long = lineLength(pattern)
    for (const seed of [3, 17, 512]) {
      const { points } = measured(pattern, seed * 7919)
      const walked = walkedStations(points)
      // From point to point it would be some six millimetres longer.
      expect(lineLength(centrelineOf(points)) - long).toBeGreaterThan(3)
      expect(Math.abs(walked.at(-1)! - long)).toBeLessThan(2)
      const off = pattern.stations.map((station, i) => Math.abs(walked[i]! / walked.at(-1)! - station / long))
      expect(Math.max(...off) * long).toBeLessThan(2.5)
    }
  })

  it('leaves a few points as they are', () => {
    const few: Vec[] = [
      [40, -60],
      [60, 0],
      [0, 70],
      [-60, 0],
      [-40, -60],
    ]
    expect(walkedStations(few)).toEqual(centrelineOf(few).stations)
  })
})
