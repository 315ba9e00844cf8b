import { addDays, formatISO } from 'date-fns'
import { planShoe, SIDES, snapshotOf, type Side } from '@crescent/core'
import type { Practice } from '../practice'
import { footAt } from './feet'
import { seedLook } from './looks'
import { chance, idFor, stamp } from './made-up'
import type { Demo, DemoHorse } from './schema'
import { seedSamples } from './samples'
import { seedSizes } from './sizes'
import { seedJob } from './jobs'
import { seedCalls } from './calls'
import { seedCourses } from './courses'
import { seedTries } from './tries'
import { shoeOf } from './shoes'

const YEARS = 3

/** How many of the last visits were looked at with the program. */
const LOOKS = 8

/** And at how many it was logged how its shoes were tried on. */
const TRIES = 8

/**
 * Writes the demo practice: owners, horses, three years of visits, feet that change, patterns.
 *
 * @param sizesCsv the factory sizes on its van, as a table
 */
export function seedDemo(practice: Practice, demo: Demo, today: Date, sizesCsv = ''): void {
  practice.db.transaction(() => {
    practice.facts.set({ demo: true, name: 'Demo practice' })
    for (const { key, ...owner } of demo.owners) {
      practice.owners.put({ ...owner, id: idFor('owner', key), version: 0, archived: false })
    }
    for (const horse of demo.horses) seedHorse(practice, horse, today)
    seedCourses(practice, today)
    seedCalls(practice, today)
    seedSamples(practice)
    seedSizes(practice, sizesCsv)
  })()
}

function seedHorse(practice: Practice, horse: DemoHorse, today: Date): void {
  const horseId = idFor('horse', horse.name)
  const { name, animal, work, going, living, place, cycleWeeks, bodyWeight, age, notes } = horse
  practice.horses.put({
    id: horseId,
    version: 0,
    ownerId: idFor('owner', horse.owner),
    ...{ name, animal, work, going, living, place, cycleWeeks, bodyWeight, notes },
    born: age === null ? null : today.getFullYear() - age,
    breakoverSchool: horse.look?.vet?.diagnosis === 'founder' ? 'radiographic' : 'perimeter',
    archived: false,
  })
  const dates = visitDates(horse, today)
  const patternIds: Partial<Record<Side, string>> = {}
  dates.forEach((date, i) => {
    const day = formatISO(date, { representation: 'date' })
    const visitId = idFor('visit', horse.name, day)
    const at = stamp(date)
    practice.visits.bringIn({
      id: visitId,
      version: 1,
      horseId,
      date: day,
      state: 'done',
      notes: visitNote(horse, i),
      closeList: {},
      feet: {},
      nextDue: null,
      archived: false,
      ...at,
    })
    if (dates.length - i <= LOOKS) seedLook(practice, horse, { visitId, day, i, dates, today })
    for (const side of SIDES.filter((side) => horse.hind || side.endsWith('F'))) {
      const foot = footAt(horse, side, date, today)
      // The first visit, one a year later and the last one each left a pattern behind.
      const yearly = Math.round(52 / horse.cycleWeeks)
      if (i % yearly === 0 || i === dates.length - 1) {
        const shoe = shoeOf(horse, side, i)
        const id = idFor('pattern', horse.name, side, day)
        patternIds[side] = id
        practice.patterns.bringIn({
          id,
          version: 1,
          horseId,
          side,
          name: `${horse.shoe.name}, ${day.slice(0, 4)}`,
          visitId,
          foot,
          shoe,
          workshop: {},
          result: snapshotOf(planShoe(foot, shoe)),
          notes: '',
          ...(horse.shoe.tags && { tags: horse.shoe.tags }),
          archived: false,
          ...at,
        })
      }
      practice.footRecords.bringIn({
        id: idFor('foot', horse.name, side, day),
        version: 1,
        visitId,
        side,
        foot,
        patternId: patternIds[side] ?? null,
        notes: '',
        ...at,
      })
      if (dates.length - i <= TRIES)
        seedJob(practice, { visitId, side, foot, shoe: shoeOf(horse, side, i), at })
      if (dates.length - i <= TRIES)
        seedTries(practice, { visitId, at: date, side, shoe: horse.shoe.name, back: dates.length - i })
    }
  })
}

/** Every cycle for three years, a few days early or late, the last one so many days ago. */
function visitDates(horse: DemoHorse, today: Date): Date[] {
  const count = Math.floor((YEARS * 52) / horse.cycleWeeks)
  return Array.from({ length: count }, (_, i) => {
    const back = count - 1 - i
    const late = back === 0 ? 0 : Math.round(chance(horse.name, 'late', String(back)) * 8 - 4)
    return addDays(today, -(horse.lastDays + back * horse.cycleWeeks * 7 + late))
  })
}

const NOTES = [
  '',
  '',
  'Sound, no complaint.',
  '',
  'One shoe a little loose, clinches risen.',
  '',
  'Frogs soft, told them to keep the stall dry.',
  'Dressed a small flare off the outside.',
]

const visitNote = (horse: DemoHorse, i: number): string =>
  NOTES[Math.floor(chance(horse.name, 'note', String(i)) * NOTES.length)]!
