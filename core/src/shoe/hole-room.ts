/** Steel that must stay between a hole's middle and either rim, mm. */
export const LAND = 4.5

/** Holes nearer than this break into each other, mm (common practice, no source). */
export const LEAST_APART = 8

/** A hole nearer to the middle of the toe or to the end of its branch than this breaks out, mm (common practice). */
export const FROM_ENDS = 6
