import { facts } from './resources/practice/table'
import { calls } from './resources/calls/table'
import { courses } from './resources/courses/table'
import { footRecords } from './resources/foot-records/table'
import { horses } from './resources/horses/table'
import { looks } from './resources/looks/table'
import type { Db } from './database/db'
import { openDatabase } from './database/open'
import { jobs } from './resources/jobs/table'
import { owners } from './resources/owners/table'
import { patterns } from './resources/patterns/table'
import { pictures } from './resources/pictures/table'
import { sizes } from './resources/sizes/table'
import { tries } from './resources/tries/table'
import { visits } from './resources/visits/table'
import { workshop } from './resources/workshop/table'

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
  sizes: ReturnType<typeof sizes>
  tries: ReturnType<typeof tries>
  jobs: ReturnType<typeof jobs>
  courses: ReturnType<typeof courses>
  calls: ReturnType<typeof calls>
  pictures: ReturnType<typeof pictures>
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
    sizes: sizes(db),
    tries: tries(db),
    jobs: jobs(db),
    courses: courses(db),
    calls: calls(db),
    pictures: pictures(db),
    workshop: workshop(db),
  }
}
