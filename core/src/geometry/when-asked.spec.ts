import { describe, expect, it } from 'vitest'
import { alsoWhenAsked, onceAsked, whenAsked } from './when-asked'

describe('what is worked out when it is asked for', () => {
  it('is worked out once, and only if anybody asks', () => {
    const asked: string[] = []
    const made = whenAsked<{ length: number; width: number }>({
      length: () => asked.push('length'),
      width: () => asked.push('width') * 10,
    })
    expect(asked).toEqual([])
    expect([made.width, made.width]).toEqual([10, 10])
    expect(asked).toEqual(['width'])
  })
  it('is listed, copied, compared and written like any other property', () => {
    const made = alsoWhenAsked({ side: 'LF' }, { width: () => 127 })
    expect(JSON.stringify(made)).toBe('{"width":127,"side":"LF"}')
    expect({ ...made }).toEqual({ side: 'LF', width: 127 })
    expect(structuredClone(made)).toEqual(made)
  })
  it('holds for one thing too, whatever it is', () => {
    let times = 0
    const one = onceAsked(() => void times++)
    expect([one(), one(), times]).toEqual([undefined, undefined, 1])
  })
})
