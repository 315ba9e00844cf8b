import { expect, it } from 'vitest'
import { engagement, THREADS } from './thread'

// Tap drill tables of Machinery's Handbook: 1/4-20 with 13/64 gives 72 %, with 7/32 48 %; 1/4-28 with 7/32 gives 67 %.
it.each([
  ['1/4-20', 13 / 64, 72],
  ['1/4-20', 7 / 32, 48],
  ['1/4-28', 7 / 32, 67],
])('%s drilled %d in leaves %d %% of a full thread', (name, drill, percent) => {
  const thread = THREADS.find((one) => one.name === name)!
  expect(Math.round(engagement(thread, drill * 25.4))).toBe(percent)
})
