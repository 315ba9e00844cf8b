import {
  SIDES,
  workOf,
  type Horse,
  type HorseSummary,
  type Round,
  type Side,
  type VisitFeet,
} from '@crescent/core'
import type { Db } from './db'
import { recordTable } from './record-table'
import { fold, likeWords } from './search'

/** Horses with the day of their last finished visit. */
const SUMMARY = `
  SELECT h.*, o.name AS owner_name,
    (SELECT max(v.date) FROM visits v WHERE v.horse_id = h.id AND v.archived = 0 AND v.state = 'done') AS last_visit
  FROM horses h LEFT JOIN owners o ON o.id = h.owner_id`

/** When the horse of a summary row is due: as the last visit set it, else when the cycle after that visit is over. */
const due = (row: string): string => `coalesce(
    (SELECT v.next_due FROM visits v
     WHERE v.horse_id = ${row}.id AND v.archived = 0 AND v.state = 'done' AND v.date = ${row}.last_visit
     ORDER BY v.created_at DESC LIMIT 1),
    date(${row}.last_visit, '+' || (${row}.cycle_weeks * 7) || ' days'))`

const WITH_DUE = `SELECT s.*, ${due('s')} AS due FROM (${SUMMARY} WHERE h.archived = 0) s`

/** Queries on horses. */
export function horses(db: Db) {
  const table = recordTable<Horse>(
    db,
    'horses',
    {
      ownerId: 'plain',
      name: 'plain',
      animal: 'plain',
      work: 'plain',
      going: 'plain',
      living: 'plain',
      place: 'plain',
      cycleWeeks: 'plain',
      breakoverSchool: 'plain',
      notes: 'plain',
      archived: 'flag',
    },
    { search: (horse) => fold(`${horse.name} ${horse.work} ${horse.place} ${horse.animal}`) },
  )
  const summary = (row: Record<string, unknown>): HorseSummary => ({
    ...table.fromRow(row),
    ownerName: (row['owner_name'] as string | null) ?? '',
    lastVisit: row['last_visit'] as string | null,
    due: row['due'] as string | null,
  })
  const all = (sql: string, parameters: object) =>
    db.prepare(sql).all(parameters) as Record<string, unknown>[]

  return {
    ...table,

    /** Horses whose own text or whose owner's holds every word; by name. */
    search(text: string, archived: boolean, limit: number): HorseSummary[] {
      const words = likeWords(text)
      const where = [
        'h.archived = @archived',
        ...words.map((_, i) => `(h.search LIKE @w${i} ESCAPE '\\' OR o.search LIKE @w${i} ESCAPE '\\')`),
      ]
      const found = `${SUMMARY} WHERE ${where.join(' AND ')} ORDER BY h.name COLLATE NOCASE LIMIT @limit`
      return all(`SELECT f.*, ${due('f')} AS due FROM (${found}) f`, {
        archived: archived ? 1 : 0,
        limit,
        ...Object.fromEntries(words.map((word, i) => [`w${i}`, word])),
      }).map(summary)
    },

    /** What a day holds: overdue, due within the week, visited on it. */
    round(date: string): Round {
      const visits = all(
        `SELECT s.*, ${due('s')} AS due, v.id AS visit_id, v.state AS visit_state, v.feet AS visit_feet,
           (SELECT json_group_array(f.side) FROM foot_records f WHERE f.visit_id = v.id AND f.pattern_id IS NOT NULL) AS kept
         FROM visits v JOIN (${SUMMARY}) s ON s.id = v.horse_id
         WHERE v.archived = 0 AND s.archived = 0 AND (v.date = @date OR (v.state = 'open' AND v.date <= @date))
         ORDER BY v.state DESC, s.place, s.name`,
        { date },
      )
      const seen = visits.map((row) => {
        const feet = JSON.parse(row['visit_feet'] as string) as VisitFeet
        const kept = JSON.parse(row['kept'] as string) as Side[]
        return {
          ...summary(row),
          visitId: row['visit_id'] as string,
          visitState: row['visit_state'] as 'open' | 'done',
          done: workOf(
            feet,
            kept.map((side) => ({ side, patternId: side })),
          ),
          paused: SIDES.filter((side) => feet[side]?.paused !== undefined),
        }
      })
      const waiting = `FROM (${WITH_DUE}) w WHERE due IS NOT NULL AND due <= date(@date, '+7 days')
        AND NOT EXISTS (SELECT 1 FROM visits v WHERE v.horse_id = w.id AND v.archived = 0
          AND (v.date = @date OR (v.state = 'open' AND v.date <= @date)))`
      const listed = all(`SELECT * ${waiting} ORDER BY due, place, name LIMIT 200`, { date }).map(summary)
      const counts = db
        .prepare(
          `SELECT coalesce(sum(due < @date), 0) AS overdue, coalesce(sum(due >= @date), 0) AS due,
            (SELECT count(*) FROM horses WHERE archived = 0) AS horses,
            (SELECT count(*) FROM patterns WHERE archived = 0) AS patterns ${waiting}`,
        )
        .get({ date }) as Round['counts']
      return {
        date,
        overdue: listed.filter((horse) => horse.due! < date),
        due: listed.filter((horse) => horse.due! >= date),
        seen,
        counts,
      }
    },
  }
}
