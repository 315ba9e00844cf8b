import { describe, expect, it } from 'vitest'
import { CONTACT_MARKS } from '../terms/trying'
import { CONTACT_PLACES, contactWords, nextMark } from './contact'

describe('what a hot shoe leaves', () => {
  it('goes round the marks at each tap and back to nothing', () => {
    const seen = [0, 1, 2, 3, 4].reduce<(string | undefined)[]>(
      (all) => [...all, nextMark(all.at(-1) as never)],
      [undefined],
    )
    expect(seen).toEqual([undefined, ...CONTACT_MARKS, undefined])
  })

  it('is told with what to do, the gravest first, and nothing of what is even', () => {
    const words = contactWords({
      'lateral heel': 'gap',
      'medial quarter': 'sole pressure',
      'lateral toe': 'chipped wall',
      'medial toe': 'even',
    })
    expect(words.map((one) => one.split(':')[0])).toEqual(['Inner quarter', 'Outer heel', 'Outer toe'])
    expect(words[0]).toMatch(/seat the web out/)
    expect(words[2]).toMatch(/no nail/)
    const even = Object.fromEntries(CONTACT_PLACES.map(({ key }) => [key, 'even' as const]))
    expect(contactWords(even)[0]).toMatch(/flat shoe on a flat foot/)
    expect(contactWords({})).toEqual([])
  })

  it('is looked at from heel to heel', () => {
    expect(CONTACT_PLACES.map(({ label }) => label)).toEqual([
      ...['outer heel', 'outer quarter', 'outer toe quarter', 'outer toe'],
      ...['inner toe', 'inner toe quarter', 'inner quarter', 'inner heel'],
    ])
  })
})
