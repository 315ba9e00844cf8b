import { expect, it } from 'vitest'
import { changeClauses } from './change-words'

it('accepting says what it does to the shoe, or nothing where it only stands on record', () => {
  expect(changeClauses({ fit: 'conservative', modification: 'egg-bar' })).toEqual([
    'sets the fit to conservative',
    'puts on: egg bar',
  ])
  expect(
    changeClauses({
      driven: { lateral: [1, 2], medial: [] },
      nailSchool: 'laminitic',
      breakoverSchool: 'radiographic',
    }).join('; '),
  ).toBe(
    'drives outer holes 1, 2 and inner holes none; keeps the nails to the limits of the laminitic foot; takes the breakover of the radiographic school',
  )
  expect(changeClauses()).toEqual([])
})
