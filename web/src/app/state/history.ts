/** The most changes that are remembered. */
const DEPTH = 200

/** What can be taken back and what can be done again, the latest last in both. */
export interface History<Step> {
  past: Step[]
  future: Step[]
  /** What the last change was made to: changes to the same thing in one go are taken back in one go. */
  lastTouched: string
}

export const NOTHING_DONE = { past: [], future: [], lastTouched: '' }

/**
 * Remembers how it was before a change.
 *
 * @param touched what is changed; nothing for what is always a change of its own
 */
export function remembered<Step>(history: History<Step>, touched: string, before: Step): History<Step> {
  const { past, lastTouched } = history
  const sameGo = touched !== '' && touched === lastTouched && past.length > 0
  return { past: sameGo ? past : [...past.slice(1 - DEPTH), before], future: [], lastTouched: touched }
}

/** Puts a remembered step in place, and answers with the step that leads back from it; undefined where it cannot be. */
export type Exchange<Step, State> = (state: State, step: Step) => { state: State; back: Step } | undefined

/** The last change taken back. */
export const takenBack = <Step, State extends History<Step>>(
  state: State,
  exchange: Exchange<Step, State>,
): State => moved(state, 'past', 'future', exchange)

/** The last change that was taken back, made again. */
export const madeAgain = <Step, State extends History<Step>>(
  state: State,
  exchange: Exchange<Step, State>,
): State => moved(state, 'future', 'past', exchange)

function moved<Step, State extends History<Step>>(
  state: State,
  from: 'past' | 'future',
  to: 'past' | 'future',
  exchange: Exchange<Step, State>,
): State {
  const step = state[from].at(-1)
  const exchanged = step === undefined ? undefined : exchange(state, step)
  if (!exchanged) return state
  return {
    ...exchanged.state,
    [from]: state[from].slice(0, -1),
    [to]: [...state[to], exchanged.back],
    lastTouched: '',
  }
}
