import {
  COMMON_SECTIONS,
  MODIFICATIONS,
  PLAIN_SHOE,
  planShoe,
  ProblemError,
  snapshotOf,
  type ShoeInput,
} from '@crescent/core'
import type { Practice } from '../practice'
import { idFor } from './made-up'

/** Bars to try a modification on, the plain one first. */
const SECTIONS = [PLAIN_SHOE.section, ...COMMON_SECTIONS.map(({ section }) => section)]

/**
 * A modification that no horse of the demo wears has a pattern all the same, with its defaults, among the first ones of a
 * foot it can be made for: a new one is there to be looked at without the demo being written anew.
 */
export function seedSamples(practice: Practice): void {
  // The oldest first: what a horse wears now stays the newest of its foot.
  const patterns = practice.patterns.list('1 ORDER BY created_at')
  const worn = new Set(patterns.flatMap(({ shoe }) => (shoe.modifications ?? []).map(({ kind }) => kind)))
  for (const { kind, label } of MODIFICATIONS.filter((one) => !worn.has(one.kind))) {
    for (const { horseId, visitId, side, foot, createdAt, updatedAt } of patterns) {
      const made = SECTIONS.map((section) =>
        tried(foot, { ...PLAIN_SHOE, section, modifications: [{ kind }] }),
      ).find(Boolean)
      if (!made) continue
      practice.patterns.bringIn({
        ...{ id: idFor('sample', kind), version: 1, horseId, side, visitId, name: `${label}, to look at` },
        ...{
          foot,
          ...made,
          workshop: {},
          notes: '',
          tags: ['to look at'],
          archived: false,
          createdAt,
          updatedAt,
        },
      })
      break
    }
  }
}

/** A shoe with what it comes to, where it can be made and nothing forbids it. */
function tried(foot: Parameters<typeof planShoe>[0], shoe: ShoeInput) {
  try {
    const plan = planShoe(foot, shoe)
    return plan.cautions.some(({ severity }) => severity === 'stop')
      ? undefined
      : { shoe, result: snapshotOf(plan) }
  } catch (error) {
    if (error instanceof ProblemError) return undefined
    throw error
  }
}
