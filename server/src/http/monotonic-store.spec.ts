import { afterEach, describe, expect, it, vi } from 'vitest'
import { MonotonicStore } from './monotonic-store'

afterEach(() => void vi.restoreAllMocks())

describe('MonotonicStore', () => {
  it('counts within its window and begins anew after it, whatever the clock on the wall does', () => {
    let now = 0
    vi.spyOn(performance, 'now').mockImplementation(() => now)
    const store = new MonotonicStore(10_000)
    const wall = vi.spyOn(Date, 'now')
    wall.mockReturnValue(Date.parse('2026-11-28T12:00:00Z'))
    expect([1, 2, 3].map(() => store.increment('a').totalHits)).toEqual([1, 2, 3])
    expect(store.increment('b').totalHits).toBe(1)
    // A day back.
    wall.mockReturnValue(Date.parse('2026-11-27T12:00:00Z'))
    now = 10_001
    expect(store.increment('a').totalHits).toBe(1)
    store.decrement('a')
    expect(store.increment('a').totalHits).toBe(1)
    store.resetKey('a')
    expect(store.increment('a').totalHits).toBe(1)
  })
})
