import { learnedCuts, type LearnedCut } from '@crescent/core'
import type { Practice } from '../../practice'

/** Learned from so many of the newest jobs: what a farrier did years ago says little of today. */
const LEARNED_FROM = 400

/** What the practice's logged jobs taught, by bar and style. */
export const learnedOf = ({ jobs }: Practice): LearnedCut[] => learnedCuts(jobs.newest(LEARNED_FROM))
