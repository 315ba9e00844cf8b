import type { FootFigureKey, FootInput, TracedFoot } from '@crescent/core'
import type { FootDraft } from './draft'

/** What a traced outline tells by itself: typed beside the outline before, it would draw it out again. */
export const TOLD_BY_OUTLINE: readonly FootFigureKey[] = [
  'widestFromToe',
  'lateralHalfWidth',
  'quarterLead',
  'toeShape',
  'quarterShape',
]

/** A foot with a traced outline and the measures read from it; without one the outline follows from the figures again. */
export function tracedDraft(
  { trace: _was, heelMeasure, ...foot }: FootDraft,
  traced: TracedFoot | undefined,
): FootDraft {
  if (!traced) return { ...foot, ...(heelMeasure && { heelMeasure }) }
  const { trace, ...measures } = traced
  const kept = Object.entries(foot.figures).filter(([key]) => !TOLD_BY_OUTLINE.includes(key as FootFigureKey))
  const entries = Object.entries(foot.entries).filter(([field]) => !(field in measures))
  // An outline tells the heels from outside to outside.
  return {
    ...foot,
    trace,
    figures: { ...Object.fromEntries(kept), ...measures },
    entries: Object.fromEntries(entries),
  }
}

/** A foot that can be read, with another outline: what an outline tells is the outline's. */
export function withOutline(foot: FootInput, traced: TracedFoot): FootInput {
  const kept = Object.entries(foot).filter(([key]) => !TOLD_BY_OUTLINE.includes(key as FootFigureKey))
  return { ...(Object.fromEntries(kept) as FootInput), ...traced, heelMeasure: 'outside' }
}
