import { existsSync, readdirSync } from 'node:fs'
import type { Erasure } from '@crescent/core'
import { backupFolder } from '../../database/backup'
import type { Practice } from '../../practice'
import { writeOver } from '../safekeeping/written-over'

export type ErasedKind = 'owner' | 'horse' | 'visit'

/** What goes with each kind, from what points at others to what is pointed at; `ids` are its visits and patterns. */
const VISITS: Record<ErasedKind, string> = {
  owner: 'SELECT id FROM visits WHERE horse_id IN (SELECT id FROM horses WHERE owner_id = @id)',
  horse: 'SELECT id FROM visits WHERE horse_id = @id',
  visit: 'SELECT id FROM visits WHERE id = @id',
}
const PATTERNS: Record<ErasedKind, string> = {
  owner: 'SELECT id FROM patterns WHERE horse_id IN (SELECT id FROM horses WHERE owner_id = @id)',
  horse: 'SELECT id FROM patterns WHERE horse_id = @id',
  // A pattern belongs to its foot: it stays when the visit it was made at goes.
  visit: 'SELECT id FROM patterns WHERE 0 AND id = @id',
}
/** With the empty records of those that became one with them. */
const HORSES: Record<ErasedKind, string> = {
  owner: `SELECT id FROM horses WHERE owner_id = @id OR owner_id IN (SELECT id FROM other_names WHERE now = @id)
    OR id IN (SELECT n.id FROM other_names n JOIN horses h ON h.id = n.now WHERE h.owner_id = @id)`,
  horse: 'SELECT id FROM horses WHERE id = @id OR id IN (SELECT id FROM other_names WHERE now = @id)',
  visit: 'SELECT id FROM horses WHERE 0 AND id = @id',
}

/** What would go with an owner, a horse or a visit; undefined where there is none. */
export function whatGoes(
  { db }: Practice,
  dataFolder: string,
  kind: ErasedKind,
  id: string,
): Erasure | undefined {
  if (!db.prepare(`SELECT 1 FROM ${kind}s WHERE id = ?`).get(id)) return undefined
  const count = (from: string) =>
    (db.prepare(`SELECT count(*) AS n FROM (${from})`).get({ id }) as { n: number }).n
  const names = db
    .prepare(`SELECT DISTINCT name FROM horses WHERE id IN (${HORSES[kind]}) ORDER BY name`)
    .all({ id })
  return {
    horses: (names as { name: string }[]).map(({ name }) => name),
    visits: count(VISITS[kind]),
    patterns: count(PATTERNS[kind]),
    feet: count(`SELECT 1 FROM foot_records WHERE visit_id IN (${VISITS[kind]})`),
    backups: backupsIn(dataFolder),
  }
}

/** Copies that still hold it: backups, and the data that a restore put aside. */
function backupsIn(dataFolder: string): number {
  const names = (folder: string) => (existsSync(folder) ? readdirSync(folder) : [])
  return (
    names(backupFolder(dataFolder)).filter((name) => name.endsWith('.sqlite')).length +
    names(dataFolder).filter((name) => /\.sqlite\.before-[\dT-]+$/.test(name)).length
  )
}

/**
 * Takes it out for good, and out of the file too: what lay there is written over.
 *
 * @returns why it may still be read in the file, though the practice has it no more
 */
export async function erase(practice: Practice, kind: ErasedKind, id: string): Promise<unknown> {
  const { db, facts } = practice
  const run = (sql: string) => db.prepare(sql).run({ id })
  /** Takes rows out and keeps their ids, so that nobody who still has them brings them back. */
  const takeOut = (table: string, where: string) => {
    run(`INSERT OR IGNORE INTO erased (id) SELECT id FROM ${table} WHERE ${where}`)
    run(`DELETE FROM ${table} WHERE ${where}`)
  }
  db.transaction(() => {
    for (const table of ['foot_records', 'tries', 'jobs', 'pictures', 'looks'])
      takeOut(table, `visit_id IN (${VISITS[kind]})`)
    // A pattern of another horse that was begun from one of these no longer names it, nor whose it was.
    run(`UPDATE patterns SET forked_from = NULL
      WHERE forked_from IS NOT NULL AND json_extract(forked_from, '$.id') IN (${PATTERNS[kind]})`)
    run(`UPDATE pattern_versions SET body = json_remove(body, '$.forkedFrom')
      WHERE instr(body, '"forkedFrom"') > 0 AND json_extract(body, '$.forkedFrom.id') IN (${PATTERNS[kind]})`)
    run(`DELETE FROM pattern_versions WHERE pattern_id IN (${PATTERNS[kind]})`)
    // A foot of another horse that wears such a pattern keeps its measures.
    run(`UPDATE foot_records SET pattern_id = NULL WHERE pattern_id IN (${PATTERNS[kind]})`)
    takeOut('patterns', `id IN (${PATTERNS[kind]})`)
    run(`UPDATE patterns SET visit_id = NULL WHERE visit_id IN (${VISITS[kind]})`)
    takeOut('calls', `horse_id IN (${HORSES[kind]})`)
    takeOut('courses', `horse_id IN (${HORSES[kind]})`)
    takeOut('visits', `id IN (${VISITS[kind]})`)
    takeOut('horses', `id IN (${HORSES[kind]})`)
    if (kind === 'owner') takeOut('owners', 'id = @id OR id IN (SELECT id FROM other_names WHERE now = @id)')
    run('DELETE FROM other_names WHERE now IN (SELECT id FROM erased)')
    facts.set({ traces: true })
  }).immediate()
  return writeOver(practice)
}
