import type { RoundStep } from '@crescent/core'
import { openSteps, type Course } from '@crescent/core/courses'
import type { Db } from '../../database/db'
import { namesOf } from '../../database/names'
import { recordTable } from '../../database/record-table'

/** Queries on plans over weeks. */
export function courses(db: Db) {
  const table = recordTable<Course>(
    db,
    'courses',
    {
      ...{ horseId: 'plain', side: 'plain', kind: 'plain', startedOn: 'plain', why: 'plain', who: 'plain' },
      ...{ steps: 'json', answers: 'json', ended: 'json', archived: 'flag' },
    },
    { next_on: (course) => openSteps(course)[0]?.date ?? null },
    { names: 'horseId' },
  )
  // CROSS: the few courses that run are gone through, and not all horses for theirs.
  const nameNow = namesOf(db)
  const running = db.prepare(
    `SELECT c.*, h.name AS horse, h.place FROM courses c CROSS JOIN horses h ON h.id = c.horse_id
     WHERE c.next_on IS NOT NULL AND c.next_on <= @until AND h.archived = 0 ORDER BY c.next_on, h.name`,
  )
  const open = (until: string): RoundStep[] =>
    (running.all({ until }) as Record<string, unknown>[])
      .flatMap((row) => {
        const course = table.fromRow(row)
        return openSteps(course)
          .filter(({ date }) => date <= until)
          .map(({ id, date, who, label, text }): RoundStep => ({
            ...{ id, date, who, label, text },
            ...{ courseId: course.id, horseId: course.horseId, side: course.side, kind: course.kind },
            horse: row['horse'] as string,
            place: row['place'] as string,
            changed: course.updatedAt ?? '',
          }))
      })
      .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0))
  return {
    ...table,
    /** Of one horse, those that run before those that ended, the newest first. */
    ofHorse: (horseId: string): Course[] =>
      table.list('horse_id = @horseId ORDER BY next_on IS NULL, started_on DESC, created_at DESC', {
        horseId: nameNow(horseId),
      }),
    /** Steps that are open and due by a day, the earliest first. */
    open,
  }
}
