import type { Half, Verdict } from '@crescent/core'

/** A verdict in a farrier's words. */
export const VERDICT_WORDS: Record<Verdict, string> = {
  sound: 'sound',
  low: 'little wall',
  'too-low': 'comes out low',
  'too-high': 'comes out high',
  'never-out': 'never comes out',
  close: 'close',
  misses: 'misses the wall',
  'in-the-way': 'no wall there',
  'ruled-out': 'ruled out',
  'would-prick': 'would prick',
}

/** A branch as it is called. */
export interface BranchWords {
  branch: Half
  title: string
  short: string
}

export const BRANCHES: readonly BranchWords[] = [
  { branch: 'lateral', title: 'Outer branch', short: 'outer' },
  { branch: 'medial', title: 'Inner branch', short: 'inner' },
]
