import type { Side } from '../records/foot'
import type { Answer, Finding, Look } from '../records/look'
import { findingKind } from './finding-kinds'

/** Findings of the look before that have no answer yet: are they better, the same, worse or gone? */
export function openQuestions(before: Look | undefined, now: Look, side: Side): Finding[] {
  const answered = new Set(now.feet[side].findings.map(({ kind, place }) => `${kind} ${place}`))
  return (before?.feet[side].findings ?? []).filter(
    ({ kind, place, answer }) => answer !== 'gone' && !answered.has(`${kind} ${place}`),
  )
}

/** The finding of this visit that answers one of the visit before: its grade moves with the answer. */
export function answered(before: Finding, answer: Exclude<Answer, 'new'>, id: string): Finding {
  const step = answer === 'worse' ? 1 : answer === 'better' ? -1 : 0
  const grade = Math.min(findingKind(before.kind).grades.length, Math.max(1, before.grade + step))
  return { id, kind: before.kind, place: before.place, since: before.since, note: '', answer, grade }
}

/** Findings that stand: those that are gone are kept for the record only. */
export const standing = (findings: readonly Finding[]): Finding[] =>
  findings.filter(({ answer }) => answer !== 'gone')
