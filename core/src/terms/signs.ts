/** Something that should come if what was done works: asked for at the next visit. */
export interface Sign {
  key: string
  /** As it is asked, to be answered better, the same or worse. */
  asks: string
}

/** What is answered when it is asked for what should have come. */
export const SIGN_ANSWERS = ['better', 'same', 'worse'] as const
export type SignAnswer = (typeof SIGN_ANSWERS)[number]

/** An answer as it is told. */
export const SAID: Record<SignAnswer, string> = { better: 'better', same: 'the same', worse: 'worse' }

/** What was answered on a day. */
export interface SignSeen {
  on: string
  answer: SignAnswer
}

/** A sign over time: as it was answered, and as a line. */
export interface SignLine {
  asks: string
  answers: readonly SignSeen[]
  points: { on: string; level: number }[]
}

/** Answers as a line: one up for each better, one down for each worse; from 0 on the day it was begun. */
export function levelsOf(answers: readonly SignSeen[], begun: string): SignLine['points'] {
  let level = 0
  const points = answers.map(({ on, answer }) => {
    level += answer === 'better' ? 1 : answer === 'worse' ? -1 : 0
    return { on, level }
  })
  return [{ on: begun, level: 0 }, ...points]
}

/** What answers to a sign say, the last ones first of all. */
export type SignVerdict = 'better' | 'no better' | 'worse'

/** Worse twice running is worse; no better three times running is no better. Else it is too early, or good. */
export function verdictOf(answers: readonly SignAnswer[]): SignVerdict | undefined {
  const last = answers.slice(-3)
  if (last.length >= 2 && last.slice(-2).every((one) => one === 'worse')) return 'worse'
  if (last.length === 3 && last.every((one) => one === 'same')) return 'no better'
  return last.at(-1) === 'better' ? 'better' : undefined
}
