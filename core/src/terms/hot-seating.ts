/** A hot shoe lies on the foot no longer than this in any so long, seconds (common practice). */
export const HOT_SEATING = { contact: 15, round: 30 } as const
