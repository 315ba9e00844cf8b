import type { FootRecord, Side, StoredPattern } from '@crescent/core'
import type { BenchState, SaveRequest } from './bench.state'
import { footDraft, type Draft } from './draft'
import { touch } from './history'

/** Gives ids to what is stored for the first time. One that was sent before and never answered keeps its id. */
export function withIds(
  state: BenchState,
  { side, name, asNew, newPatternId, newRecordId }: SaveRequest,
): BenchState {
  const base = state.drafts?.[side].base
  if (!base) return state
  const unanswered = base.pattern?.version === 0
  const fresh = !base.pattern || (asNew && !unanswered)
  return rebasedOn(state, side, {
    record: base.record ?? { id: newRecordId, version: 0 },
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
  const draft = state.drafts[side]
  const same = draft.foot === sent.foot && draft.shoe === sent.shoe
  const saved: Draft = {
    ...draft,
    dirty: !same,
    base: {
      record: { id: record.id, version: record.version },
      pattern: { id: pattern.id, version: pattern.version, name: pattern.name },
    },
  }
  return {
    ...state,
    saving: false,
    conflict: null,
    refused: null,
    drafts: { ...state.drafts, [side]: saved },
    page: {
      ...state.page,
      footRecords: [...state.page.footRecords.filter((one) => one.side !== side), record],
      patterns: [pattern, ...state.page.patterns.filter((one) => one.id !== pattern.id)],
    },
  }
}

/** The work on a side now builds on these stored records. */
export function rebasedOn(state: BenchState, side: Side, base: Partial<Draft['base']>): BenchState {
  if (!state.drafts) return state
  const draft = state.drafts[side]
  return { ...state, drafts: { ...state.drafts, [side]: { ...draft, base: { ...draft.base, ...base } } } }
}

/** Builds on what is stored now: the farrier saw it and wants this instead. */
export function rebased(state: BenchState): BenchState {
  if (!state.conflict) return state
  const { side, kind, current } = state.conflict
  const { id, version } = current
  if (kind === 'foot') return rebasedOn(state, side, { record: { id, version } })
  return rebasedOn(state, side, { pattern: { id, version, name: (current as StoredPattern).name } })
}

export function takeTheirs(state: BenchState): BenchState {
  const { conflict } = state
  if (!conflict) return state
  const moved = rebased({ ...state, side: conflict.side })
  const taken = touch(moved, 'theirs', (draft) => {
    if (conflict.kind === 'foot')
      return { ...draft, foot: footDraft((conflict.current as FootRecord).foot, draft.foot.school) }
    const pattern = conflict.current as StoredPattern
    return { ...draft, foot: footDraft(pattern.foot, draft.foot.school), shoe: pattern.shoe }
  })
  return { ...taken, side: state.side, conflict: null, refused: null }
}
