import { describe, expect, it } from 'vitest'
import { aheadShare } from './ahead-share'

describe('what lies ahead of the widest part', () => {
  it('is told in percent of the whole', () => {
    expect(aheadShare(1)).toBe('50 %')
    expect(aheadShare(1.75 / 2.4375)).toBe('42 %')
    expect(aheadShare(3)).toBe('75 %')
  })
})
