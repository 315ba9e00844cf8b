import {
  SIDES,
  workOf,
  type Horse,
  type HorseSummary,
  type Round,
  type Side,
  type VisitFeet,
} from '@crescent/core'
import type { Db } from '../../database/db'
import { recordTable } from '../../database/record-table'
import { rowsOf } from '../../database/rows'
import { whileUnchanged } from '../../database/while-unchanged'
import { fold, wordsOf } from '../../database/search'

/** Horses with the name of their owner. */
const SUMMARY = 'SELECT h.*, o.name AS owner_name FROM horses h LEFT JOIN owners o ON o.id = h.owner_id'

/** The horses of which there is a visit on a day, or one that was begun before and is still open. */
const SEEN = `SELECT horse_id FROM visits WHERE date = @date AND archived = 0
  UNION ALL SELECT horse_id FROM visits WHERE state = 'open' AND archived = 0 AND date <= @date`

/** Those that wait: due by the end of the week, and not seen yet. */
const WAITING = `h.archived = 0 AND h.due <= date(@date, '+7 days') AND h.id NOT IN (${SEEN})`

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
      bodyWeight: 'plain',
      breakoverSchool: 'plain',
      notes: 'plain',
      archived: 'flag',
    },
    { search: (horse) => fold(`${horse.name} ${horse.work} ${horse.place} ${horse.animal}`) },
  )
  const summary = table.readingWith<Omit<HorseSummary, keyof Horse>>({
    ownerName: (row) => (row['owner_name'] as string | null) ?? '',
    lastVisit: (row) => row['last_visit'] as string | null,
    due: (row) => row['due'] as string | null,
  })
  const all = (sql: string, parameters: object) => rowsOf(db.prepare(sql))(parameters)
  // The open visits are few: looked for first, or all horses would be gone through for theirs.
  const seenOn = rowsOf(
    db.prepare(`WITH v AS MATERIALIZED (
       SELECT * FROM visits WHERE date = @date AND archived = 0
       UNION ALL SELECT * FROM visits INDEXED BY visits_open WHERE state = 'open' AND archived = 0 AND date < @date)
     SELECT h.*, o.name AS owner_name, v.id AS visit_id, v.state AS visit_state, v.feet AS visit_feet,
       (SELECT json_group_array(f.side) FROM foot_records f WHERE f.visit_id = v.id AND f.pattern_id IS NOT NULL) AS kept
     FROM v CROSS JOIN horses h ON h.id = v.horse_id LEFT JOIN owners o ON o.id = h.owner_id
     WHERE h.archived = 0
     ORDER BY v.state DESC, h.place, h.name`),
  )
  const waitingOn = rowsOf(
    db.prepare(`${SUMMARY} WHERE ${WAITING} ORDER BY h.due, h.place, h.name LIMIT 120`),
  )
  // All of them, less the few that were seen: quicker than asking of each whether it was.
  const countsOn = db.prepare(
    `WITH seen AS MATERIALIZED (
       SELECT h.due FROM (SELECT DISTINCT horse_id FROM (${SEEN})) s CROSS JOIN horses h ON h.id = s.horse_id
       WHERE h.archived = 0)
     SELECT
       (SELECT count(*) FROM horses WHERE archived = 0 AND due < @date)
         - (SELECT count(*) FROM seen WHERE due < @date) AS overdue,
       (SELECT count(*) FROM horses WHERE archived = 0 AND due BETWEEN @date AND date(@date, '+7 days'))
         - (SELECT count(*) FROM seen WHERE due BETWEEN @date AND date(@date, '+7 days')) AS due`,
  )
  const countedOn = whileUnchanged(
    db,
    (date: string) => countsOn.get({ date }) as Pick<Round['counts'], 'overdue' | 'due'>,
  )
  const allCounts = db.prepare(
    `SELECT (SELECT count(*) FROM horses WHERE archived = 0) AS horses,
       (SELECT count(*) FROM patterns WHERE archived = 0) AS patterns`,
  )
  // Apart from those of a day: who leafs through the days does not count these anew.
  const keptInAll = whileUnchanged(db, () => allCounts.get() as Pick<Round['counts'], 'horses' | 'patterns'>)

  return {
    ...table,

    /** Horses whose own text or whose owner's holds every word; by name. */
    search(text: string, archived: boolean, limit: number): HorseSummary[] {
      const words = wordsOf(text)
      const where = [
        'h.archived = @archived',
        // Owners are fewer than horses: gone through once for each word, not once for each horse.
        ...words.map(
          (_, i) =>
            `(instr(h.search, @w${i}) OR h.owner_id IN (SELECT id FROM owners WHERE instr(search, @w${i})))`,
        ),
      ]
      const found = `${SUMMARY} WHERE ${where.join(' AND ')} ORDER BY h.name COLLATE NOCASE LIMIT @limit`
      return all(found, {
        archived: archived ? 1 : 0,
        limit,
        ...Object.fromEntries(words.map((word, i) => [`w${i}`, word])),
      }).map(summary)
    },

    /** Every horse that is due some day, the earliest first. */
    allDue: (): HorseSummary[] =>
      all(`${SUMMARY} WHERE h.archived = 0 AND h.due IS NOT NULL ORDER BY h.due, h.name`, {}).map(summary),
    /** Other horses that go on the same ground, those changed last first. */
    onGoing: (going: string, except: string, most: number): Horse[] =>
      table.list('going = @going AND id <> @except AND archived = 0 ORDER BY updated_at DESC LIMIT @most', {
        ...{ going, except, most },
      }),
    /** One horse as lists show it. */
    summaryOf: (id: string): HorseSummary | undefined =>
      all(`${SUMMARY} WHERE h.id = @id`, { id }).map(summary)[0],
    /** Those that are due by a day, the earliest first. */
    dueUntil: (last: string): HorseSummary[] =>
      all(
        `${SUMMARY} WHERE h.archived = 0 AND h.due IS NOT NULL AND h.due <= @last ORDER BY h.due, h.name LIMIT 400`,
        { last },
      ).map(summary),
    /** When a horse is due next; null where nobody knows. */
    dueOf: (id: string): string | null =>
      (db.prepare('SELECT due FROM horses WHERE id = ?').get(id) as { due: string | null } | undefined)
        ?.due ?? null,
    /** What a day holds: overdue, due within the week, visited on it. */
    round(date: string): Omit<Round, 'steps' | 'calls'> {
      const seen = seenOn({ date }).map((row) => {
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
      const listed = waitingOn({ date }).map(summary)
      return {
        date,
        overdue: listed.filter((horse) => horse.due! < date),
        due: listed.filter((horse) => horse.due! >= date),
        seen,
        counts: { ...keptInAll(), ...countedOn(date) },
      }
    },
  }
}
