import type { Horse } from '@crescent/core'
import type { Practice } from '../../practice'
import type { DaysAsked } from '../days-asked'

const VISITS = `SELECT id FROM visits WHERE horse_id = @id AND date BETWEEN @from AND @to`

/** What was fitted at a visit, is worn since one, or belongs to none. */
const PATTERNS = `horse_id = @id AND (visit_id IS NULL OR visit_id IN (${VISITS})
  OR id IN (SELECT pattern_id FROM foot_records WHERE visit_id IN (${VISITS})))`

/**
 * One horse as a library of its own, with its owner: the visits between two days, all that was stored at them, and the
 * patterns that were made or worn then. A visit before at which one of those was made comes with it, so that the file can be
 * brought in anywhere. Courses run over weeks: those begun up to the last day that had not ended before the first.
 */
export function libraryOfHorse(practice: Practice, horse: Horse, { from, to }: DaysAsked) {
  const { owners, visits, patterns, footRecords, looks, tries, jobs, courses, calls, pictures } = practice
  const asked = { id: horse.id, from, to }
  const ofVisits = <T>(table: Listed<T>) => table.list(`visit_id IN (${VISITS}) ORDER BY id`, asked)
  const worn = patterns.list(`${PATTERNS} ORDER BY id`, asked)
  return {
    format: 'crescent-library' as const,
    formatVersion: 1 as const,
    exportedAt: new Date().toISOString(),
    owners: horse.ownerId ? owners.list('id = @id', { id: horse.ownerId }) : [],
    horses: [horse],
    visits: visits.list(
      `id IN (${VISITS}) OR id IN (SELECT visit_id FROM patterns WHERE ${PATTERNS}) ORDER BY id`,
      asked,
    ),
    patterns: worn,
    patternVersions: worn.flatMap(({ id }) => patterns.versions(id).reverse()),
    footRecords: ofVisits(footRecords),
    looks: ofVisits(looks),
    sizes: [],
    tries: ofVisits(tries),
    jobs: ofVisits(jobs),
    courses: courses
      .list('horse_id = @id AND started_on <= @to ORDER BY id', asked)
      .filter(({ ended }) => ended === null || ended.on >= from),
    calls: calls.list('horse_id = @id AND date BETWEEN @from AND @to ORDER BY id', asked),
    pictures: ofVisits(pictures),
    workshop: [],
  }
}

/** A table as it is gone through for one horse. */
interface Listed<T> {
  list: (where: string, parameters: Record<string, unknown>) => T[]
}
