import type { Store } from 'express-rate-limit'

/**
 * Counts requests of a caller within a window by a clock that only runs on: where the machine's own clock is set back,
 * a window would else last until it has caught up.
 */
export class MonotonicStore implements Store {
  private readonly counts = new Map<string, { hits: number; until: number }>()

  constructor(private readonly windowMs: number) {}

  increment(key: string): { totalHits: number; resetTime: Date } {
    const now = performance.now()
    let count = this.counts.get(key)
    if (!count || count.until <= now) {
      this.forget(now)
      count = { hits: 0, until: now + this.windowMs }
      this.counts.set(key, count)
    }
    count.hits++
    return { totalHits: count.hits, resetTime: new Date(Date.now() + count.until - now) }
  }

  decrement(key: string): void {
    const count = this.counts.get(key)
    if (count) count.hits--
  }

  resetKey(key: string): void {
    this.counts.delete(key)
  }

  /** Callers who have gone. */
  private forget(now: number): void {
    for (const [key, { until }] of this.counts) if (until <= now) this.counts.delete(key)
  }
}
