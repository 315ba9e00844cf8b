import { dueText, longDay, shortDay } from './today'

describe('days', () => {
  it('are written as a farrier says them', () => {
    expect(longDay('2026-11-23')).toBe('Mon 23 Nov 2026')
    expect(shortDay('2026-02-03')).toBe('3 Feb 2026')
    expect(dueText('2026-11-20', '2026-11-23')).toBe('3 days overdue')
    expect(dueText('2026-11-22', '2026-11-23')).toBe('1 day overdue')
    expect(dueText('2026-11-23', '2026-11-23')).toBe('due today')
    expect(dueText('2026-11-28', '2026-11-23')).toBe('due in 5 days')
    expect(dueText(null, '2026-11-23')).toBe('never shod here')
  })
})
