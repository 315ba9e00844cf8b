import type { Side } from '@crescent/core'
import type { BenchState } from './bench.state'
import { SIDES, type Draft, type Drafts } from './draft'

const UNDO_DEPTH = 200

/** One change that can be taken back: what it was made to, on which foot, and how the feet it touched were before. */
export interface Step {
  side: Side
  what: string
  before: Partial<Drafts>
}

/** What can be taken back and what can be done again, the latest change last in both. */
export interface History {
  past: Step[]
  future: Step[]
}

/** Changes the draft of the foot on the bench and remembers how it was. */
export function touch(state: BenchState, what: string, change: (draft: Draft) => Draft): BenchState {
  const { side } = state
  return touchAll(state, what, (draft, one) => (one === side ? { ...change(draft), dirty: true } : draft))
}

/** Changes the drafts of several feet in one go; a foot whose draft comes back as it was is left alone. */
export function touchAll(
  state: BenchState,
  what: string,
  change: (draft: Draft, side: Side) => Draft,
): BenchState {
  const { drafts, side } = state
  if (!drafts) return state
  const changed = Object.fromEntries(SIDES.map((one) => [one, change(drafts[one], one)])) as Drafts
  const place = `${side} ${what}`
  const sameGo = place === state.lastTouched && state.past.length > 0
  const step = { side, what, before: pick(drafts, (one) => changed[one] !== drafts[one]) }
  return {
    ...state,
    drafts: changed,
    lastTouched: place,
    past: sameGo ? state.past : [...state.past.slice(1 - UNDO_DEPTH), step],
    future: [],
  }
}

/** The last change taken back; the foot it was made on comes to the bench. */
export function undone(state: BenchState): BenchState {
  const moved = swap(state, state.past.at(-1))
  return moved
    ? { ...moved.state, past: state.past.slice(0, -1), future: [...state.future, moved.step] }
    : state
}

/** The last change that was taken back, made again. */
export function redone(state: BenchState): BenchState {
  const moved = swap(state, state.future.at(-1))
  return moved
    ? { ...moved.state, past: [...state.past, moved.step], future: state.future.slice(0, -1) }
    : state
}

/** Puts back the drafts a step remembers, and answers the step that leads here again. */
function swap(state: BenchState, step: Step | undefined): { state: BenchState; step: Step } | undefined {
  const { drafts } = state
  if (!step || !drafts) return undefined
  const now = pick(drafts, (side) => step.before[side] !== undefined)
  const back = { ...drafts }
  for (const side of SIDES) {
    const draft = step.before[side]
    if (draft) back[side] = { ...draft, dirty: true }
  }
  return {
    state: { ...state, drafts: back, side: step.side, lastTouched: '' },
    step: { ...step, before: now },
  }
}

function pick(drafts: Drafts, wanted: (side: Side) => boolean): Partial<Drafts> {
  return Object.fromEntries(SIDES.filter(wanted).map((side) => [side, drafts[side]]))
}

/**
 * What is remembered of a foot built on stored records too: where it built on the same ones as the work of now, it goes
 * on building on them as they are stored now. A pattern that was taken up or left goes back with its step.
 */
export function rebaseHistory(
  history: readonly Step[],
  side: Side,
  was: Draft['base'],
  now: Draft['base'],
): Step[] {
  return history.map((step) => {
    const draft = step.before[side]
    if (!draft) return step
    const { record, pattern } = draft.base
    const base = {
      record: record?.id === was.record?.id ? now.record : record,
      pattern: pattern?.id === was.pattern?.id ? now.pattern : pattern,
    }
    return { ...step, before: { ...step.before, [side]: { ...draft, base } } }
  })
}
