import * as z from 'zod'
import {
  footRecordSchema,
  horseSchema,
  lookSchema,
  ownerSchema,
  patternSchema,
  visitSchema,
  workshopRecordSchema,
} from '@crescent/core/records/index'
import type { StoredPattern } from '@crescent/core'
import type { Practice } from './practice'
import { Conflict, sameContent, type Stored } from './record-table'

const storedPatternSchema = patternSchema.extend({ result: z.looseObject({ cutLength: z.number() }) })

/** The whole library as one open JSON file. */
export const librarySchema = z
  .object({
    format: z.literal('crescent-library'),
    formatVersion: z.literal(1),
    exportedAt: z.iso.datetime(),
    owners: z.array(ownerSchema),
    horses: z.array(horseSchema),
    visits: z.array(visitSchema),
    patterns: z.array(storedPatternSchema),
    patternVersions: z.array(storedPatternSchema),
    footRecords: z.array(footRecordSchema),
    // Absent in files written before looks were kept.
    looks: z.array(lookSchema).default([]),
    workshop: z.array(workshopRecordSchema),
  })
  .strict()

export type Library = z.infer<typeof librarySchema>

/** What bringing in a library did. */
export interface ImportReport {
  added: number
  unchanged: number
  /** Records that are stored already and differ: the stored one was kept. */
  kept: { kind: string; id: string }[]
}

/** Reads out everything, in one read transaction so that it fits together. */
export function exportLibrary(practice: Practice): Library {
  return practice.db.transaction((): Library => {
    const patterns = practice.patterns.list()
    return {
      format: 'crescent-library',
      formatVersion: 1,
      exportedAt: new Date().toISOString(),
      owners: practice.owners.list(),
      horses: practice.horses.list(),
      visits: practice.visits.list(),
      patterns: patterns as unknown as Library['patterns'],
      patternVersions: patterns.flatMap(({ id }) =>
        practice.patterns.versions(id),
      ) as unknown as Library['patterns'],
      footRecords: practice.footRecords.list(),
      looks: practice.looks.list(),
      workshop: practice.workshop.list(),
    }
  })()
}

/** What a table must offer to take records in. */
interface Intake<T extends Stored> {
  get(id: string): T | undefined
  bringIn(record: T): T
}

/**
 * Brings in a library: what is not here is added as it was, what is here stays as it is. All or nothing.
 */
export function importLibrary(practice: Practice, library: Library): ImportReport {
  const report: ImportReport = { added: 0, unchanged: 0, kept: [] }
  const bring = <T extends Stored>(kind: string, records: readonly T[], table: Intake<T>) => {
    for (const record of records) {
      const stored = table.get(record.id)
      if (stored && sameContent(stored, record)) report.unchanged++
      else if (stored) report.kept.push({ kind, id: record.id })
      else if (tryBringIn(table, record)) report.added++
      else report.kept.push({ kind, id: record.id })
    }
  }
  practice.db.transaction(() => {
    bring('owner', library.owners, practice.owners)
    bring('horse', library.horses, practice.horses)
    bring('visit', library.visits, practice.visits)
    bring('pattern', library.patterns as unknown as StoredPattern[], practice.patterns)
    for (const version of library.patternVersions as unknown as StoredPattern[]) {
      practice.patterns.bringInVersion(version)
    }
    bring('foot', library.footRecords, practice.footRecords)
    bring('look', library.looks, practice.looks)
    bring('workshop', library.workshop, practice.workshop)
  })()
  return report
}

/** False where another record already stands for the same foot of the same visit. */
function tryBringIn<T extends Stored>(table: Intake<T>, record: T): boolean {
  try {
    table.bringIn(record)
    return true
  } catch (error) {
    if (error instanceof Conflict) return false
    throw error
  }
}
