import { expect, it } from 'vitest'
import { drawingName, lineOf, nextEnd, readOff, scaleBy, withoutDrawing, type Marks } from './drawn-on'

const marks: Marks = { a1: [0, 400], a2: [300, 0], b1: [0, 0], b2: [200, 0], toe: [5, 5] }

it('asks for one end after the other, and knows a line by both', () => {
  expect(nextEnd({}, 'a')).toBe('a1')
  expect(nextEnd({ a1: [1, 1] }, 'a')).toBe('a2')
  expect(nextEnd(marks, 'a')).toBeUndefined()
  expect(nextEnd(marks, 's')).toBe('s1')
  expect(lineOf({ a1: [1, 1] }, 'a')).toBeUndefined()
  // Places that are no line of a hand stay.
  expect(withoutDrawing(marks, 'a')).toEqual({ b1: [0, 0], b2: [200, 0], toe: [5, 5] })
})

it('reads angles always, lengths with a scale, and the angle between two', () => {
  const read = readOff(marks, null)
  expect(read.map(({ drawing }) => drawing)).toEqual(['a', 'b', 'between'])
  expect(read[0]!.degrees).toBeCloseTo(53.1301, 4)
  expect(read[2]!.degrees).toBeCloseTo(53.1301, 4)
  expect(read[0]).not.toHaveProperty('mm')
  expect(readOff(marks, 0.2)[0]!.mm).toBeCloseTo(100, 9)
  expect(readOff({ a1: [1, 1], a2: [1, 1] }, 1)).toEqual([])
})

it('is to the scale of a known length that can be, else to what it was', () => {
  const known: Marks = { s1: [0, 0], s2: [0, 250] }
  expect(scaleBy(known, 100, null)).toBe(0.4)
  expect(scaleBy(known, undefined, 0.3)).toBe(0.3)
  expect(scaleBy(known, 9, 0.3)).toBe(0.3)
  expect(scaleBy(known, 3_001, 0.3)).toBe(0.3)
  expect(scaleBy({ s1: [4, 4], s2: [4, 4] }, 100, null)).toBeNull()
  expect(scaleBy({ s1: [0, 0] }, 100, 0.3)).toBe(0.3)
})

it('calls the lines of tracks what they are', () => {
  expect(drawingName('a', 'tracks')).toBe('The way it goes')
  expect(drawingName('b', 'tracks')).toBe('The track')
  expect(drawingName('a', 'side')).toBe('A line')
})
