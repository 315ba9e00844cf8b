import type { Horse, HorseSummary } from '@crescent/core'
import type { Db } from '../../../database/db'
import { recordTable } from '../../../database/record-table'
import { rowsOf } from '../../../database/rows'
import { fold, wordsOf } from '../../../database/search'
import { dayOf } from './day'
import { SUMMARY } from './summary'

/** Nothing stands in the way of most horses. */
const NO_STOPS: HorseSummary['stops'] = []
const stopsIn = (text: string): HorseSummary['stops'] =>
  text === '[]' ? NO_STOPS : (JSON.parse(text) as HorseSummary['stops'])

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
      born: 'plain',
      breakoverSchool: 'plain',
      notes: 'plain',
      archived: 'flag',
    },
    { search: (horse) => fold(`${horse.name} ${horse.work} ${horse.place} ${horse.animal}`) },
    { joins: true, names: 'ownerId' },
  )
  const summary = table.readingWith<Omit<HorseSummary, keyof Horse>>({
    ownerName: (row) => (row['owner_name'] as string | null) ?? '',
    lastVisit: (row) => row['last_visit'] as string | null,
    due: (row) => row['due'] as string | null,
    stops: (row) => stopsIn(row['stops'] as string),
  })
  const all = (sql: string, parameters: object) => rowsOf(db.prepare(sql))(parameters)
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
    /** Those that are due by a day and are not being shod already, the earliest first. */
    dueUntil: (last: string): HorseSummary[] =>
      all(
        `${SUMMARY} WHERE h.archived = 0 AND h.due IS NOT NULL AND h.due <= @last
         AND NOT EXISTS (SELECT 1 FROM visits v WHERE v.horse_id = h.id AND v.state = 'open' AND v.archived = 0)
         ORDER BY h.due, h.name LIMIT 400`,
        { last },
      ).map(summary),
    /** When a horse is due next; null where nobody knows. */
    dueOf: (id: string): string | null =>
      (db.prepare('SELECT due FROM horses WHERE id = ?').get(id) as { due: string | null } | undefined)
        ?.due ?? null,
    ...dayOf(db, summary),
  }
}
