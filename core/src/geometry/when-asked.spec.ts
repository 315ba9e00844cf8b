import { describe, expect, it } from 'vitest'
import { addWhenAsked, onceAsked, whenAsked } from './when-asked'

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
    const made = addWhenAsked({ side: 'LF' }, { width: () => 127 })
    expect(JSON.stringify(made)).toBe('{"side":"LF","width":127}')
    expect({ ...made }).toEqual({ side: 'LF', width: 127 })
    expect(structuredClone(made)).toEqual(made)
  })
  it('is each object’s own, copied and frozen ones too', () => {
    let times = 0
    const [one, other] = [1, 2].map((n) => whenAsked<{ width: number }>({ width: () => n * 10 + times++ }))
    expect([other!.width, one!.width, other!.width]).toEqual([20, 11, 20])
    const frozen = Object.freeze(addWhenAsked({ side: 'LF' }, { width: () => times++ }))
    const copy = addWhenAsked({ ...frozen }, { length: () => 30 })
    expect([frozen.width, copy.width, copy.length, times]).toEqual([2, 2, 30, 3])
    expect('length' in frozen).toBe(false)
  })
  it('holds for one thing too, whatever it is', () => {
    let times = 0
    const one = onceAsked(() => void times++)
    expect([one(), one(), times]).toEqual([undefined, undefined, 1])
  })
})
