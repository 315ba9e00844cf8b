import { madeAgain, NOTHING_DONE, remembered, takenBack, type History } from './history'

interface Word extends History<string> {
  word: string
}
const start: Word = { word: 'a', ...NOTHING_DONE }
const write = (state: Word, word: string, touched = ''): Word => ({
  ...state,
  ...remembered(state, touched, state.word),
  word,
})
const exchange = (state: Word, word: string) => ({ state: { ...state, word }, back: state.word })
const undo = (state: Word) => takenBack(state, exchange)
const redo = (state: Word) => madeAgain(state, exchange)

describe('history', () => {
  it('takes changes back and makes them again, in their order', () => {
    const three = write(write(write(start, 'b'), 'c'), 'd')
    const back = undo(undo(three))
    expect(back.word).toBe('b')
    expect(redo(back).word).toBe('c')
    expect(redo(redo(back)).word).toBe('d')
    expect(undo(redo(redo(back)))).toEqual(undo(three))
  })
  it('takes what was touched in one go back in one go, and begins a new one after that', () => {
    const typed = write(write(write(start, 'b', 'width'), 'c', 'width'), 'd', 'length')
    expect(undo(typed).word).toBe('c')
    expect(undo(undo(typed)).word).toBe('a')
    expect(write(undo(typed), 'e', 'width').past).toHaveLength(2)
  })
  it('forgets what could be made again once something else is done', () => {
    expect(write(undo(write(start, 'b')), 'c').future).toEqual([])
  })
  it('leaves all as it is where there is nothing to take back', () => {
    expect(undo(start)).toBe(start)
    expect(takenBack(write(start, 'b'), () => undefined).word).toBe('b')
  })
  it('remembers two hundred', () => {
    let state = start
    for (let i = 0; i < 300; i++) state = write(state, String(i))
    for (let i = 0; i < 300; i++) state = undo(state)
    expect(state.word).toBe('99')
  })
})
