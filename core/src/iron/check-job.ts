import { outOfRange } from '../notices/range'
import type { Problem } from '../notices/problem'
import type { Job } from '../records/job'

/** What a logged job can be, mm: a bar for a shoe; what is cut off both heels, minus where it was too short. */
export const JOB_RANGES = {
  predicted: [50, 1500],
  used: [50, 1500],
  left: [-100, 300],
} as const satisfies Partial<Record<keyof Job, readonly [number, number]>>

const LABELS = { predicted: 'Planned cut', used: 'Cut', left: 'Left over' } as const

/** Figures of a logged job that cannot be. */
export const checkJob = (job: Pick<Job, keyof typeof JOB_RANGES>): Problem[] =>
  (Object.keys(JOB_RANGES) as (keyof typeof JOB_RANGES)[]).flatMap(
    (key) => outOfRange(key, LABELS[key], 'length', job[key], JOB_RANGES[key]) ?? [],
  )
