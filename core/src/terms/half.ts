/**
 * The two halves of a foot about its frog: lateral is the outside of the horse. A branch is the half of the shoe that lies
 * under one of them: what is named `branch` speaks of the shoe, what is named `half` of the foot.
 */
export const HALVES = ['lateral', 'medial'] as const
export type Half = (typeof HALVES)[number]

/** What stands for either half, each worked out by itself. */
export const byHalf = <T>(of: (half: Half) => T): Record<Half, T> => ({
  lateral: of('lateral'),
  medial: of('medial'),
})
