import type { Losses } from '@crescent/core'
import { closeWhole, reopen } from './aside'
import { backUpInto, backupFolder, checkBackup, Damaged } from '../../database/backup'
import type { Db } from '../../database/db'
import { databaseFile, openDatabase } from '../../database/open'
import { keepBeside, prepare } from '../../database/restore'
import { swapIn } from '../../database/swap'
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
 *
 * @throws Error when the backup is damaged, is none, or was written by a newer Crescent
 */
export function lossesOf(practice: Practice, backup: string): Losses {
  checkBackup(backup)
  const other = openDatabase(backup)
  try {
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
  } finally {
    closeWhole(other)
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

/**
 * Puts a backup in the place of the open practice while the server runs.
 *
 * @returns the file that holds what was there before
 * @throws Error as `lossesOf` does; nothing is changed then
 */
export async function putBack(practice: Practice, dataFolder: string, backup: string): Promise<string> {
  await prepare(dataFolder, backup)
  let kept: string | undefined
  try {
    kept = await backUpInto(practice.db, backupFolder(dataFolder), new Date(), 'before-')
  } catch (error) {
    // Damaged data is no backup, and must not stand in the way of one: it is kept as it is.
    if (!(error instanceof Damaged)) throw error
  }
  reopen(practice, dataFolder, () => {
    kept ??= keepBeside(databaseFile(dataFolder))
    swapIn(dataFolder)
  })
  return kept ?? ''
}
