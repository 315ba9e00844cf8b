import type { Db } from './db'

/**
 * What takes long to find out and changes seldom: worked out anew only once something was stored, here or beside this
 * connection, or when it is asked about something else.
 */
export function whileUnchanged<T, About extends string | void = void>(
  db: Db,
  work: (about: About) => T,
): (about: About) => T {
  // The one moves with what others store (SQLite's data_version), the other with what is stored here.
  const state = db.prepare('SELECT data_version, total_changes() FROM pragma_data_version').raw()
  let kept: { state: string; about: About; found: T } | undefined
  return (about) => {
    const now = String(state.get())
    if (kept?.state !== now || kept.about !== about) kept = { state: now, about, found: work(about) }
    return kept.found
  }
}
