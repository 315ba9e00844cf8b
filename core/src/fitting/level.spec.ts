import { describe, expect, it } from 'vitest'
import { levelWords } from './level'

describe('a shoe sighted for level', () => {
  it('has its twist told before its cup, and where to strike', () => {
    expect(levelWords(undefined, undefined)).toEqual([])
    const [twist, cup] = levelWords('outer heel up', 'rocks on its quarters')
    expect(twist).toMatch(/outer branch .*strike it down/)
    expect(cup).toMatch(/strike the toe/)
  })
})
