import type { FootRecord, Pattern, StoredPattern } from '@crescent/core'
import type { Practice } from '../../practice'
import { Conflict } from '../../database/record-table'
import { takeFromVan } from '../sizes/taken'
import { savePattern } from '../patterns/save'

/** A foot with the pattern made for it. */
export interface Shoeing {
  pattern: StoredPattern
  record: FootRecord
}

/**
 * Stores a foot with its pattern, both or neither. Runs inside a transaction, which what it throws takes back.
 *
 * @throws Conflict that carries whatever of the two was changed elsewhere, so that it is asked about once
 */
export function saveShoeing(practice: Practice, sent: { pattern: Pattern; record: FootRecord }): Shoeing {
  const stale: Partial<Shoeing> = {}
  const before = shodWith(practice, sent.record.id)
  const pattern = tryPut(
    () => savePattern(practice, sent.pattern),
    (current) => (stale.pattern = current),
  )
  const record = tryPut(
    () => practice.footRecords.put(sent.record),
    (current) => (stale.record = current),
  )
  if (!pattern || !record) throw new Conflict(stale)
  takeFromVan(practice, before, pattern)
  return { pattern, record }
}

/** The pattern this foot was stored with at this visit before; one it wore at another visit is another shoe. */
function shodWith({ footRecords, patterns }: Practice, recordId: string): Pattern | undefined {
  const patternId = footRecords.get(recordId)?.patternId
  return patternId ? patterns.get(patternId) : undefined
}

/** The stored record; a stale one is told and nothing comes back. */
function tryPut<T>(put: () => T, tell: (current: T) => void): T | undefined {
  try {
    return put()
  } catch (error) {
    if (!(error instanceof Conflict) || error.current === undefined) throw error
    tell(error.current as T)
    return undefined
  }
}
