/** Days outside these are slips of the hand: a year with five digits, a birthday. */
export const DAY_RANGE = ['1990-01-01', '2099-12-31'] as const
