import { randomUUID } from 'node:crypto'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { openPractice } from '../practice'
import { addHorse, makeBed, type Bed } from '../testing'
import { whileUnchanged } from './while-unchanged'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())

it('is found out once, and anew when something was stored here or beside', () => {
  const { db } = bed.practice
  const counted = db.prepare('SELECT count(*) FROM horses').pluck()
  let times = 0
  const count = whileUnchanged(db, () => {
    times++
    return counted.get()
  })
  expect([count(), count(), times]).toEqual([0, 0, 1])
  const { horse } = addHorse(bed.practice, 'Tansy')
  expect([count(), count(), times]).toEqual([1, 1, 2])
  const beside = openPractice(db.name)
  beside.horses.put({ ...horse, id: randomUUID(), version: 0, name: 'Orpine' })
  beside.db.close()
  expect([count(), count(), times]).toEqual([2, 2, 3])
})

it('is found out for each thing it is asked about', () => {
  const { db } = bed.practice
  const asked: string[] = []
  const told = whileUnchanged(db, (day: string) => {
    asked.push(day)
    return day.length
  })
  expect([told('Monday'), told('Monday'), told('Tuesday'), told('Monday')]).toEqual([6, 6, 7, 6])
  expect(asked).toEqual(['Monday', 'Tuesday', 'Monday'])
})
