import { copyFileSync, readFileSync, truncateSync, writeFileSync } from 'node:fs'
import Database from 'better-sqlite3'

/** A file that is no backup, as somebody may send one: made from a sound one, and what must be said of it. */
export interface BadFile {
  name: string
  says: RegExp
  make: (sound: string, file: string) => void
}

const changed =
  (sql: string): BadFile['make'] =>
  (sound, file) => {
    copyFileSync(sound, file)
    const db = new Database(file)
    db.unsafeMode(true)
    db.exec(sql)
    db.close()
  }

const ENDLESS = 'WITH RECURSIVE n(x) AS (SELECT 1 UNION ALL SELECT x + 1 FROM n) SELECT count(*) AS x FROM n'

/** For tests: files that were once taken, or might be. */
export const BAD_FILES: readonly BadFile[] = [
  { name: 'a table dropped', says: /table jobs is missing/, make: changed('DROP TABLE jobs') },
  {
    name: 'an endless view',
    says: /view endless is none of Crescent’s/,
    make: changed(`CREATE VIEW endless AS ${ENDLESS}`),
  },
  {
    name: 'a foreign trigger',
    says: /trigger mine is none of Crescent’s/,
    make: changed('CREATE TRIGGER mine AFTER INSERT ON visits BEGIN DELETE FROM horses; END'),
  },
  {
    name: 'a view of ours that has no end',
    says: /view horses_stopped is another/,
    make: changed(`DROP VIEW horses_stopped; CREATE VIEW horses_stopped AS ${ENDLESS}`),
  },
  {
    name: 'a trigger of ours that says something else',
    says: /trigger look_gone is another/,
    make: changed(
      'DROP TRIGGER look_gone; CREATE TRIGGER look_gone AFTER DELETE ON looks BEGIN DELETE FROM horses; END',
    ),
  },
  {
    name: 'a column more',
    says: /table horses is another/,
    make: changed('ALTER TABLE horses ADD COLUMN colour TEXT'),
  },
  {
    name: 'a column less',
    says: /table calls is another|no such column/,
    make: changed('ALTER TABLE calls DROP COLUMN said'),
  },
  {
    name: 'an index less',
    says: /index tries_of_visit is missing/,
    make: changed('DROP INDEX tries_of_visit'),
  },
  {
    name: 'a record that cannot be read',
    says: /JSON/,
    make: changed(`PRAGMA ignore_check_constraints = ON; UPDATE visits SET feet = '{"LF":'`),
  },
  {
    name: 'a newer Crescent',
    says: /use a newer one/,
    make: changed('PRAGMA user_version = 999'),
  },
  {
    name: 'cut off in the middle',
    says: /not a sound|malformed|damaged/,
    make: (sound, file) => {
      copyFileSync(sound, file)
      truncateSync(file, Math.floor(readFileSync(sound).length / 2))
    },
  },
  {
    name: 'a letter',
    says: /damaged|no database|not a sound/,
    make: (_sound, file) => writeFileSync(file, 'Dear Sir, herewith the backup.'),
  },
]
