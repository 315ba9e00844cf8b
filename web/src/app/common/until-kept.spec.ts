import { untilKept } from './until-kept'

describe('untilKept', () => {
  it('keeps nothing where it was closed, by a button or by Escape', async () => {
    for (const closed of ['', undefined] as const) {
      const keep = vi.fn(() => Promise.resolve(true))
      expect(await untilKept<{ name: string }>(() => Promise.resolve(closed), keep)).toBe(false)
      expect(keep).not.toHaveBeenCalled()
    }
  })

  it('asks again with what was answered until it is kept, or closed then', async () => {
    const answers = [{ name: 'one' }, { name: 'two' }]
    const asked: unknown[] = []
    const ask = (before?: { name: string }) => {
      asked.push(before)
      return Promise.resolve(answers[asked.length - 1] ?? ('' as const))
    }
    expect(await untilKept(ask, ({ name }) => Promise.resolve(name === 'two'))).toBe(true)
    expect(asked).toEqual([undefined, { name: 'one' }])
    asked.length = 0
    expect(await untilKept(ask, () => Promise.resolve(false))).toBe(false)
    expect(asked).toEqual([undefined, { name: 'one' }, { name: 'two' }])
  })
})
