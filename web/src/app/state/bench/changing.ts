import { SIDES, type Side } from '@crescent/core'
import { madeAgain, remembered, takenBack } from '../history'
import type { BenchState } from './bench.state'
import type { Draft, Drafts, Step } from './draft'

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
  const step = { side, what, before: pick(drafts, (one) => changed[one] !== drafts[one]) }
  return { ...state, ...remembered(state, `${side} ${what}`, step), drafts: changed }
}

/** The last change taken back; the foot it was made on comes to the bench. */
export const undone = (state: BenchState): BenchState => takenBack(state, exchange)

/** The last change that was taken back, made again. */
export const redone = (state: BenchState): BenchState => madeAgain(state, exchange)

/** Puts back the drafts a step remembers. */
function exchange(state: BenchState, step: Step): { state: BenchState; back: Step } | undefined {
  const { drafts } = state
  if (!drafts) return undefined
  const now = pick(drafts, (side) => step.before[side] !== undefined)
  const back = { ...drafts }
  for (const side of SIDES) {
    const draft = step.before[side]
    if (draft) back[side] = { ...draft, dirty: true }
  }
  return { state: { ...state, drafts: back, side: step.side }, back: { ...step, before: now } }
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
      ...draft.base,
      record: record?.id === was.record?.id ? now.record : record,
      pattern: pattern?.id === was.pattern?.id ? now.pattern : pattern,
    }
    return { ...step, before: { ...step.before, [side]: { ...draft, base } } }
  })
}
