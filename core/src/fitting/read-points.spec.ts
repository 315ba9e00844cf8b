import { describe, expect, it } from 'vitest'
import { readPoints } from './read-points'

describe('a list of points', () => {
  it('is read in the unit it is written in, whatever tells its figures apart', () => {
    expect(readPoints('10 20\n-3,4.5\n\n1;2', 'mm')).toEqual({
      points: [
        [10, 20],
        [-3, 4.5],
        [1, 2],
      ],
    })
    const inches = readPoints('1 1/2; -3/4', 'in')
    expect('points' in inches && inches.points[0]!.map((mm) => Math.round(mm * 100) / 100)).toEqual([
      38.1, -19.05,
    ])
  })

  it('names the first line that is no point', () => {
    expect(readPoints('1 2\n3 4 5', 'mm')).toMatchObject({ wrong: expect.stringMatching(/^Line 2, 3 4 5/) })
    expect(readPoints('a b', 'mm')).toHaveProperty('wrong')
    expect(readPoints('', 'mm')).toEqual({ points: [] })
  })
})
