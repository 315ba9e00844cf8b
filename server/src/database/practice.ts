import { facts } from './facts'
import { footRecords } from './foot-records'
import { horses } from './horses'
import { looks } from './looks'
import type { Db } from './db'
import { openDatabase } from './open'
import { owners } from './owners'
import { patterns } from './patterns'
import { visits } from './visits'
import { workshop } from './workshop'

/** The stored practice: one set of queries a resource, on one open database. */
export interface Practice {
  db: Db
  facts: ReturnType<typeof facts>
  owners: ReturnType<typeof owners>
  horses: ReturnType<typeof horses>
  visits: ReturnType<typeof visits>
  footRecords: ReturnType<typeof footRecords>
  looks: ReturnType<typeof looks>
  patterns: ReturnType<typeof patterns>
  workshop: ReturnType<typeof workshop>
}

/** Opens the practice kept in a database file. */
export const openPractice = (file: string): Practice => practiceOn(openDatabase(file))

/** The queries of a practice on a database that is open already. */
export function practiceOn(db: Db): Practice {
  return {
    db,
    facts: facts(db),
    owners: owners(db),
    horses: horses(db),
    visits: visits(db),
    footRecords: footRecords(db),
    looks: looks(db),
    patterns: patterns(db),
    workshop: workshop(db),
  }
}
