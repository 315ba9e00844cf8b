import type { Side } from '../records/foot'
import type { Answer, Finding, FootLook, Look } from '../records/look'
import { findingKind } from '../terms/finding-kinds'

const alike = (one: Finding, other: Finding): boolean => one.kind === other.kind && one.place === other.place

/** What a visit leaves open: what stands of its findings, and what it should have asked after and nobody answered. */
export const leftOpen = ({ findings, asked = [] }: FootLook): Finding[] => [
  ...standing(findings),
  ...asked.filter((one) => !findings.some((found) => alike(found, one))),
]

/** Findings of the visits before that have no answer yet: are they better, the same, worse or gone? */
export function openQuestions(before: Look | undefined, now: Look, side: Side): Finding[] {
  const { findings } = now.feet[side]
  return (before ? leftOpen(before.feet[side]) : []).filter(
    (one) => !findings.some((found) => alike(found, one)),
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

/** What was tapped: a kind in a place with its grade, or none where the finding is taken back. */
export interface Tapped {
  kind: Finding['kind']
  place: Finding['place']
  grade: number | null
}

/**
 * The findings of a foot with a tap taken in. What was there at the visit before is the same finding, better or worse by
 * its grade, and keeps the day it was first seen.
 *
 * @param before the finding of the visit before in this place, where there was one
 * @param id for a finding that is new to this visit
 * @param day of this visit
 */
export function withTap(
  findings: readonly Finding[],
  { kind, place, grade }: Tapped,
  before: Finding | undefined,
  id: string,
  day: string,
): Finding[] {
  const here = (one: Finding): boolean => one.kind === kind && one.place === place
  if (grade === null) return findings.filter((one) => !here(one))
  const answer =
    before === undefined ? 'new' : grade > before.grade ? 'worse' : grade < before.grade ? 'better' : 'same'
  const found = findings.find(here)
  if (found) return findings.map((one) => (one === found ? { ...one, grade, answer } : one))
  return [...findings, { id, kind, place, grade, note: '', answer, since: before?.since ?? day }]
}
