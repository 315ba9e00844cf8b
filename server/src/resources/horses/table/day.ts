import { SIDES, workOf, type HorseSummary, type Round, type Side, type VisitFeet } from '@crescent/core'
import type { Db } from '../../../database/db'
import { rowsOf, type Row } from '../../../database/rows'
import { whileUnchanged } from '../../../database/while-unchanged'
import { SUMMARY } from './summary'

/** The horses of which there is a visit on a day, or one that was begun before and is still open. */
const SEEN = `SELECT horse_id FROM visits WHERE date = @date AND archived = 0
  UNION ALL SELECT horse_id FROM visits WHERE state = 'open' AND archived = 0 AND date <= @date`

/** Those that wait: due by the end of the week, and not seen yet. */
const WAITING = `h.archived = 0 AND h.due <= date(@date, '+7 days') AND h.id NOT IN (${SEEN})`

/**
 * What a day holds.
 *
 * @param summary reads a horse as lists show it
 */
export function dayOf(db: Db, summary: (row: Row) => HorseSummary) {
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

  const seenAs = (row: Row): Round['seen'][number] => {
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
  }

  return {
    /** What a day holds: overdue, due within the week, visited on it. */
    round(date: string): Omit<Round, 'steps' | 'calls'> {
      const listed = waitingOn({ date }).map(summary)
      return {
        date,
        overdue: listed.filter((horse) => horse.due! < date),
        due: listed.filter((horse) => horse.due! >= date),
        seen: seenOn({ date }).map(seenAs),
        counts: { ...keptInAll(), ...countedOn(date) },
      }
    },
  }
}
