import type { FootRecord, Side, StoredPattern } from '@crescent/core'
import type { BenchState, SaveRequest } from './bench.state'
import type { StoredFeet } from '../api'
import { draftsFrom, footDraft, type Draft, type Drafts } from './draft'
import { rebaseHistory, touch } from './changing'

/** Gives ids to what is stored for the first time. One that was sent before and never answered keeps its id. */
export function withIds(
  state: BenchState,
  { side, name, asNew, newPatternId, newRecordId }: SaveRequest,
): BenchState {
  const base = state.drafts?.[side].base
  if (!base) return state
  const unanswered = base.pattern?.version === 0
  const fresh = !base.pattern || (asNew && !unanswered)
  const beside = fresh && base.pattern && { ...base.pattern, horse: state.page!.horse.name, mirrored: false }
  return rebasedOn(state, side, {
    record: base.record ?? { id: newRecordId, version: 0 },
    ...(beside && { fork: beside }),
    pattern: fresh ? { id: newPatternId, version: 0, name } : base.pattern,
  })
}

/** Takes over what the server stored; work done while it was being saved stays unsaved work. */
export function afterSave(
  state: BenchState,
  side: Side,
  sent: Draft,
  record: FootRecord,
  pattern: StoredPattern,
): BenchState {
  if (!state.drafts || !state.page) return { ...state, saving: false }
  const based = rebasedOn(state, side, { record: baseOf(record), pattern: baseOfPattern(pattern) })
  const draft = based.drafts![side]
  const same = draft.foot === sent.foot && draft.shoe === sent.shoe
  return {
    ...based,
    saving: false,
    conflict: null,
    refused: null,
    drafts: { ...based.drafts!, [side]: { ...draft, dirty: !same } },
    page: {
      ...state.page,
      footRecords: [...state.page.footRecords.filter((one) => one.side !== side), record],
      patterns: [pattern, ...state.page.patterns.filter((one) => one.id !== pattern.id)],
    },
  }
}

/**
 * Takes over several feet that were stored in one go, with their visit.
 *
 * @param sent the drafts that were sent; a foot without one takes what is stored, where nothing of it was unsaved
 */
export function afterSeveral(
  state: BenchState,
  { visit, feet }: StoredFeet,
  sent: Partial<Drafts> = {},
): BenchState {
  const kept = feet.reduce((now, { record, pattern }) => {
    const { side } = record
    const before = sent[side] ?? now.drafts?.[side]
    return before ? afterSave(now, side, before, record, pattern) : now
  }, state)
  if (!kept.page || !kept.drafts) return kept
  const page = { ...kept.page, visit }
  const stored = draftsFrom(page)
  const taken = feet
    .map(({ record }) => record.side)
    .filter((side) => !sent[side] && !state.drafts?.[side].dirty)
    .map((side) => [side, stored[side]] as const)
  return { ...kept, page, drafts: { ...kept.drafts, ...Object.fromEntries(taken) } }
}

/** The work on a side now builds on these stored records, and so does what is remembered of it. */
export function rebasedOn(state: BenchState, side: Side, base: Partial<Draft['base']>): BenchState {
  if (!state.drafts) return state
  const draft = state.drafts[side]
  const now = { ...draft.base, ...base }
  return {
    ...state,
    drafts: { ...state.drafts, [side]: { ...draft, base: now } },
    past: rebaseHistory(state.past, side, draft.base, now),
    future: rebaseHistory(state.future, side, draft.base, now),
  }
}

const baseOf = ({ id, version }: FootRecord) => ({ id, version })
const baseOfPattern = ({ id, version, name }: Pick<StoredPattern, 'id' | 'version' | 'name'>) => ({
  id,
  version,
  name,
})

/** Builds on what is stored now: the farrier saw it and wants this instead. */
export function rebased(state: BenchState): BenchState {
  if (!state.conflict) return state
  const { side, record, pattern } = state.conflict
  return rebasedOn(state, side, {
    ...(record && { record: baseOf(record) }),
    ...(pattern && { pattern: baseOfPattern(pattern) }),
  })
}

/** Goes on with what another window stored, foot and shoe, as far as it stored them. */
export function takeTheirs(state: BenchState): BenchState {
  const { conflict } = state
  if (!conflict) return state
  const { record, pattern } = conflict
  const moved = rebased({ ...state, side: conflict.side })
  const taken = touch(moved, 'theirs', (draft) => {
    const foot = record?.foot ?? pattern?.foot
    return {
      ...draft,
      ...(foot && { foot: footDraft(foot, draft.foot.school) }),
      ...(pattern && { shoe: pattern.shoe }),
    }
  })
  const drafts = taken.drafts!
  const draft = drafts[conflict.side]
  // Foot and shoe as they are stored wait for nothing; what the other did not store is still to be saved.
  const dirty = !(record && storedShoe(state, draft, pattern) === JSON.stringify(draft.shoe))
  return {
    ...taken,
    drafts: { ...drafts, [conflict.side]: { ...draft, dirty } },
    page: state.page && {
      ...state.page,
      footRecords: [
        ...state.page.footRecords.filter((one) => !record || one.side !== conflict.side),
        ...(record ? [record] : []),
      ],
      patterns: [
        ...(pattern ? [pattern] : []),
        ...state.page.patterns.filter((one) => one.id !== pattern?.id),
      ],
    },
    ...{ side: state.side, conflict: null, refused: null },
  }
}

/** The shoe a draft builds on, as it is stored now. */
const storedShoe = ({ page }: BenchState, { base }: Draft, theirs: Pick<StoredPattern, 'shoe'> | undefined) =>
  JSON.stringify((theirs ?? page?.patterns.find(({ id }) => id === base.pattern?.id))?.shoe)
