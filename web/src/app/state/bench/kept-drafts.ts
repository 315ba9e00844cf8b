import type { Side } from '@crescent/core'
import { SIDES } from '@crescent/core/text'
import { browserStore } from '../browser-store'
import type { Draft, Drafts } from './draft'

const keptKey = (visitId: string): string => `bench.${visitId}`

/** The feet of a visit with work that this browser keeps until it is saved. */
export const keptDrafts = (visitId: string): Partial<Drafts> =>
  browserStore.read<Partial<Drafts>>(keptKey(visitId)) ?? {}

/** Foot and shoe of a draft, written down to be compared. */
export const workOn = ({ foot, shoe }: Pick<Draft, 'foot' | 'shoe'>): string => JSON.stringify({ foot, shoe })

/** What was stored is not kept any more, unless it was worked on since. */
export function forgetDraft(visitId: string, side: Side, work: string): void {
  const { [side]: draft, ...others } = keptDrafts(visitId)
  if (!draft || workOn(draft) !== work) return
  if (Object.keys(others).length > 0) browserStore.write(keptKey(visitId), others)
  else browserStore.remove(keptKey(visitId))
}

/** Which of the feet they are. */
export const unsavedSides = (visitId: string): Side[] =>
  SIDES.filter((side) => keptDrafts(visitId)[side] !== undefined)

/**
 * Keeps the feet with work that is not saved, and takes away those that are saved by now.
 *
 * @param mine what this window put there: another one may keep work on the same visit
 */
export function keepDrafts(visitId: string, drafts: Drafts, mine: Set<string>): void {
  const key = keptKey(visitId)
  const kept = keptDrafts(visitId)
  let changed = false
  for (const side of SIDES) {
    const place = `${key} ${side}`
    if (drafts[side].dirty) {
      kept[side] = drafts[side]
      mine.add(place)
      changed = true
    } else if (mine.delete(place)) {
      delete kept[side]
      changed = true
    }
  }
  if (!changed) return
  if (Object.keys(kept).length > 0) browserStore.write(key, kept)
  else browserStore.remove(key)
}
