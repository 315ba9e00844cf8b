import type { FootRecord, Pattern, StoredPattern } from '@crescent/core'
import type { Practice } from '../../practice'
import { Conflict, Misplaced } from '../../database/record-table'
import { takeFromVan } from '../sizes/taken'
import { savePattern } from '../patterns/save'
import { unlessStale } from './unless-stale'

/** A foot with the pattern made for it. */
export interface Shoeing {
  pattern: StoredPattern
  record: FootRecord
}

/**
 * Stores a foot with its pattern, both or neither. Runs inside a transaction, which what it throws takes back.
 *
 * @throws Misplaced where the pattern is of another horse than the visit
 * @throws Conflict that carries whatever of the two was changed elsewhere, so that it is asked about once
 */
export function saveShoeing(practice: Practice, sent: { pattern: Pattern; record: FootRecord }): Shoeing {
  const visit = practice.visits.get(sent.record.visitId)
  const horseId = practice.horses.get(sent.pattern.horseId)?.id
  if (visit && horseId !== undefined && visit.horseId !== horseId)
    throw new Misplaced('This pattern is of another horse than the visit: it stays with its own')
  const stale: Partial<Shoeing> = {}
  const before = shodWith(practice, sent.record.id)
  const pattern = unlessStale(
    () => savePattern(practice, sent.pattern),
    (current: StoredPattern) => (stale.pattern = current),
  )
  const record = unlessStale(
    () => practice.footRecords.put(sent.record),
    (current: FootRecord) => (stale.record = current),
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
