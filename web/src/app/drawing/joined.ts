import type { Plan, ShoePart } from '@crescent/core'

/** Pieces that are drawn by themselves: those that are one with the branches are in the outline of the whole shoe. */
export const apartOf = ({ parts }: Pick<Plan, 'parts'>): ShoePart[] =>
  parts.filter(({ join, edge }) => !join && edge.length > 2)

/** Where a bar is welded on, each line with the name of its piece. */
export const weldsOf = ({ parts }: Pick<Plan, 'parts'>) =>
  parts.flatMap(({ label, join }) => (join?.welds ?? []).map((line) => ({ label, line })))
