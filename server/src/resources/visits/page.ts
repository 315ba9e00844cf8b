import { randomUUID } from 'node:crypto'
import type { Visit, VisitPage } from '@crescent/core'
import { NotFound } from '../../http/door'
import type { Practice } from '../../practice'
import { learnedOf } from '../jobs/learned'

/**
 * A visit with everything that lies around it.
 *
 * @throws NotFound where there is no such visit
 */
export function visitPage(practice: Practice, id: string): VisitPage {
  const visit = practice.visits.get(id)
  if (!visit) throw new NotFound('visit')
  return pageOf(practice, visit)
}

/**
 * The visit of a horse that runs on a day, else the one that would begin: that is not stored yet, and has version 0. One
 * visit a day; one that is still open goes on.
 *
 * @throws NotFound where there is no such horse
 */
export function nextVisit(practice: Practice, horseId: string, date: string): VisitPage {
  const horse = practice.horses.get(horseId)
  if (!horse) throw new NotFound('horse')
  const running = practice.visits.ofHorse(horse.id).find((one) => one.state === 'open' || one.date === date)
  return pageOf(practice, running ?? begun(horse.id, date))
}

const begun = (horseId: string, date: string): Visit => ({
  ...{ id: randomUUID(), version: 0, horseId, date, state: 'open' },
  ...{ feet: {}, nextDue: null, closeList: {}, notes: '', archived: false },
})

function pageOf(practice: Practice, visit: Visit): VisitPage {
  const horse = practice.horses.get(visit.horseId)!
  const before = practice.visits.before(visit)
  return {
    visit,
    horse,
    owner: horse.ownerId ? (practice.owners.get(horse.ownerId) ?? null) : null,
    footRecords: practice.footRecords.ofVisit(visit.id),
    look: practice.looks.ofVisit(visit.id) ?? null,
    usual: practice.facts.current().usual,
    lookBefore: practice.looks.before(visit) ?? null,
    lastVisit: practice.visits.lastBefore(visit) ?? null,
    previous: before ? { visit: before, footRecords: practice.footRecords.ofVisit(before.id) } : null,
    patterns: practice.patterns
      .ofHorse(horse.id)
      .map(({ result: { outline: _outline, ...result }, ...pattern }) => ({ ...pattern, result })),
    workshop: practice.workshop.current(),
    learned: learnedOf(practice),
  }
}
