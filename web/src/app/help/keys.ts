/** What the keyboard does, by place. */
export const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Enter', 'next figure, in the order of the work'],
  ['Up, Down', 'a division of the rule (or half a millimetre) more or less, in a field or on a handle'],
  ['G, Shift G', 'the next foot, the one before: LF, RF, LH, RH'],
  ['L, M, Z, S, I, Y, N', 'Look, Map, Size, Shoe, Iron, Try, Nail'],
  ['Alt Left', 'Back: the step before'],
  ['Left, Right', 'the step beside, once a step has the focus; Enter opens it'],
  ['F, T', 'fit the drawing, true size'],
  ['H', 'handles of frog, bars, wall and bone while mapping'],
  ['Ctrl S', 'save the pattern'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['U', 'inches or millimetres'],
  ['?', 'help with what you are at'],
]
