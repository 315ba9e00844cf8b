import type { BenchState } from './bench.state'
import { SIDES, type Draft, type Drafts } from './draft'

const UNDO_DEPTH = 200

/** Changes the draft of the foot on the bench and remembers how it was. */
export function touch(state: BenchState, touched: string, change: (draft: Draft) => Draft): BenchState {
  if (!state.drafts) return state
  const drafts = { ...state.drafts, [state.side]: { ...change(state.drafts[state.side]), dirty: true } }
  const what = `${state.side} ${touched}`
  const sameGo = what === state.lastTouched && state.past.length > 0
  return {
    ...state,
    drafts,
    lastTouched: what,
    past: sameGo ? state.past : [...state.past.slice(-UNDO_DEPTH), state.drafts],
    future: [],
  }
}

/** Undo moves the work, not what it was saved as: the stored versions stay those of now. */
export function withBaseOf(drafts: Drafts, now: Drafts): Drafts {
  return Object.fromEntries(
    SIDES.map((side) => [
      side,
      drafts[side] === now[side] ? now[side] : { ...drafts[side], base: now[side].base, dirty: true },
    ]),
  ) as Drafts
}
