import { outOfRange } from '../../notices/range'
import type { Problem } from '../../notices/problem'
import { MOVED, type Moved } from '../../terms/moulded'

const WORDS = {
  across: ['Moved outward', 'length'],
  forward: ['Moved forward', 'length'],
  turn: ['Turned', 'angle'],
} as const

/** Problems of a moulded shoe that is moved further than any foot asks for. */
export const checkMoved = (moved: Moved = {}): Problem[] =>
  (['across', 'forward', 'turn'] as const).flatMap((key) => {
    const value = moved[key]
    if (value === undefined) return []
    const [label, kind] = WORDS[key]
    return outOfRange(`shoe.stock.moved.${key}`, label, kind, value, MOVED[key]) ?? []
  })
