import type { Finding } from '../records/look'
import { findingKind, type FindingKindKey } from '../terms/finding-kinds'

/** Findings that tell of founder, past or present, and from which grade on (common practice). */
const SIGNS: Partial<Record<FindingKindKey, { from: number; why: string }>> = {
  rings: { from: 2, why: 'Rings spreading at the heel tell of founder.' },
  'stretched-line': { from: 3, why: 'A badly stretched white line goes with founder.' },
}

/** Why the findings of one foot tell of founder; nothing where they do not. */
export function founderSign(findings: readonly Pick<Finding, 'kind' | 'grade'>[]): string | undefined {
  const found = findings.find(({ kind, grade }) => grade >= (SIGNS[kind]?.from ?? Infinity))
  return found && SIGNS[found.kind]!.why.replace(/\.$/, ` (${gradeOf(found)}).`)
}

const gradeOf = ({ kind, grade }: Pick<Finding, 'kind' | 'grade'>): string =>
  findingKind(kind).grades[grade - 1] ?? ''
