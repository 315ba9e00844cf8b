import type { Db } from './db'

/** Under which id a record is found now: its own, or that of the one it became one with. */
export function namesOf(db: Db): (id: string) => string {
  const now = db.prepare('SELECT now FROM other_names WHERE id = ?').pluck()
  return (id) => (now.get(id) as string | undefined) ?? id
}

/** From now on an id leads to another record, and so do all that led to it. */
export function leadTo(db: Db, id: string, now: string): void {
  db.prepare('UPDATE other_names SET now = @now WHERE now = @id').run({ id, now })
  db.prepare('INSERT OR REPLACE INTO other_names (id, now) VALUES (@id, @now)').run({ id, now })
}

/** Refused because what it would store was erased for good. */
export class Gone extends Error {
  constructor() {
    super('It was erased for good, and is not stored again')
    this.name = 'Gone'
  }
}

/** Whether a record of this id was erased. */
export function erasedIn(db: Db): (id: string) => boolean {
  const found = db.prepare('SELECT 1 FROM erased WHERE id = ?')
  return (id) => found.get(id) !== undefined
}
