import type { Losses } from '@crescent/core'
import type { Db } from '../../database/db'
import type { Practice } from '../../practice'

/** Every table of records, with the way from a record to its horse. */
const TABLES = {
  horses: 'id',
  visits: 'horse_id',
  patterns: 'horse_id',
  foot_records: '(SELECT horse_id FROM visits WHERE visits.id = visit_id)',
  looks: '(SELECT horse_id FROM visits WHERE visits.id = visit_id)',
  courses: 'horse_id',
  calls: 'horse_id',
  pictures: '(SELECT horse_id FROM visits WHERE visits.id = visit_id)',
} as const

/** Named in full; the rest are counted. */
const NAMED = 12

/**
 * What is in the open practice and not, or only in an earlier version, in a backup: it would be lost.
 */
export function lossesOf(practice: Practice, other: Db): Losses {
  const lost = new Set<string>()
  let records = 0
  for (const [table, horse] of Object.entries(TABLES)) {
    const kept = versions(other, table, "''")
    for (const [id, { version, horseId }] of versions(practice.db, table, horse)) {
      if ((kept.get(id)?.version ?? 0) >= version) continue
      records++
      if (horseId) lost.add(horseId)
    }
  }
  const names = [...lost].map((id) => practice.horses.get(id)?.name ?? '').sort()
  const count = (db: Db, table: string) =>
    (db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n
  return {
    records,
    horses: names.slice(0, NAMED),
    moreHorses: Math.max(0, names.length - NAMED),
    brings: { horses: count(other, 'horses'), visits: count(other, 'visits') },
  }
}

function versions(db: Db, table: string, horse: string): Map<string, { version: number; horseId: string }> {
  const rows = db.prepare(`SELECT id, version, ${horse} AS horseId FROM ${table}`).all() as {
    id: string
    version: number
    horseId: string
  }[]
  return new Map(rows.map(({ id, ...rest }) => [id, rest]))
}
