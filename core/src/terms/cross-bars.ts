import { inches } from '../units/length'

/** A set of cross bars as a rule (common practice): four, each an eighth longer, 7 to 10 days apart. */
export const USUAL_BARS = { bars: 4, step: inches(1 / 8), days: 9 } as const

/** The least and the most days from one bar to the next that are usual. */
export const BAR_DAYS = [7, 10] as const

/** The day on which a bar is fitted, counted from the first. @param number 1 for the first bar */
export const barDay = (number: number, days: number): number => Math.round((number - 1) * days)
