/** What kind of animal stands on the foot; only the usual sizes depend on it. */
export const ANIMALS = ['horse', 'heavy horse', 'pony', 'mule'] as const
export type Animal = (typeof ANIMALS)[number]

/** How the width across the heels was taken; the other way is worked out from the web that was measured to. */
export const HEEL_MEASURES = ['outside', 'middle of web'] as const
export type HeelMeasure = (typeof HEEL_MEASURES)[number]

/** How the tip of the coffin bone was found. A radiograph shows it; a hoof tester only hints at it. */
export const TIP_SOURCES = ['radiograph', 'hoof tester'] as const
export type TipSource = (typeof TIP_SOURCES)[number]
