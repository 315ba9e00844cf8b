/** What a nail can be, mm. */
export const NAIL_RANGES = { length: [20, 120], shank: [0.5, 8], head: [1, 20] } as const
