import type { VisitPage } from '@crescent/core'
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
