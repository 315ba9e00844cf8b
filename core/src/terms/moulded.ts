/** How a moulded shoe meets the sole: practitioners differ, and each way wants another trim of the foot. */
export const SOLE_RESTS = ['flat rim', 'clear of the sole'] as const
export type SoleRest = (typeof SOLE_RESTS)[number]

export const SOLE_REST_LABELS: Record<SoleRest, string> = {
  'flat rim': 'On a flat rim of sole',
  'clear of the sole': 'Clear of the sole',
}

/** How far a moulded shoe may be moved from where it lies flush: mm across and forward, degrees turned. */
export const MOVED = { across: [-15, 15], forward: [-15, 15], turn: [-10, 10] } as const
export type Moved = { [K in keyof typeof MOVED]?: number | undefined }

/** A moulded shoe is reset for so long at most, days (common practice: up to a year). */
export const MOULDED_LIFE = 365

/** Less than this under the sole is rasped free with a stroke, mm. */
export const SEATED_OUT = 1
