import { describe, expect, it } from 'vitest'
import { resetOf, wornSince } from './life'

describe('the life of a moulded shoe', () => {
  it('is counted from the day it was new, through its resets, up to a year', () => {
    const first = { since: '2026-01-10', resets: 0 }
    expect(wornSince(first, '2026-03-10')).toEqual({ days: 59, resets: 0, left: 306 })
    const reset = resetOf(first, '2026-03-10')
    expect(reset).toEqual({ since: '2026-01-10', resets: 1 })
    expect(wornSince(reset, '2027-01-20').left).toBe(-10)
    expect(wornSince(reset, '2025-12-01').days).toBe(0)
  })

  it('begins at the last visit where nobody wrote down when it was new', () => {
    expect(resetOf(undefined, '2026-05-01')).toEqual({ since: '2026-05-01', resets: 1 })
  })
})
