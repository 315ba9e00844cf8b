import type { Db } from './db'

/**
 * What takes long to find out and changes seldom: worked out anew only once something was stored, here or beside this
 * connection.
 */
export function whileUnchanged<T>(db: Db, work: () => T): () => T {
  // The one moves with what others store (SQLite's data_version), the other with what is stored here.
  const state = db.prepare('SELECT data_version, total_changes() FROM pragma_data_version').raw()
  let kept: { state: string; found: T } | undefined
  return () => {
    const now = String(state.get())
    if (kept?.state !== now) kept = { state: now, found: work() }
    return kept.found
  }
}
