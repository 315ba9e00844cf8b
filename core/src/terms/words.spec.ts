import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { writeTold } from '../notices/told'
import { piecesOf, WORDS, wordNamed, type Piece } from './words'

const written = (pieces: Piece[]) =>
  pieces.map((piece) => (typeof piece === 'string' ? piece : piece.text)).join('')
const keys = (sentence: string, known?: string[]) =>
  piecesOf(sentence, known).flatMap((piece) => (typeof piece === 'string' ? [] : [piece.key]))

describe('piecesOf', () => {
  it('finds the longest word: the bulb line is not a bulb', () => {
    expect(keys('Let it down to the bulb line, beside the bulbs.')).toEqual(['bulb-line', 'bulb'])
    expect(keys('Just inside the white line')).toEqual(['white-line'])
  })
  it('knows plurals, other forms and capitals', () => {
    expect(keys('Buttresses first, then both branches; the coronary band last')).toEqual([
      'buttress',
      'branch',
      'hairline',
    ])
  })
  it('marks a word once, and not the one that is being explained', () => {
    expect(keys('from heel to heel')).toEqual(['heel'])
    expect(keys('from heel to toe', ['heel'])).toEqual(['toe'])
  })
  it('does not find a word within another', () => {
    expect(keys('The solely wallpapered froggy refit, tip-toe')).toEqual([])
  })
  it('loses no letter of any sentence', () => {
    const word = fc.constantFrom(...WORDS.map(({ label }) => label), 'the', 'and', '. ', ', ', 'p3')
    fc.assert(
      fc.property(fc.array(fc.oneof(word, fc.string({ maxLength: 6 })), { maxLength: 20 }), (parts) => {
        const sentence = parts.join(' ')
        expect(written(piecesOf(sentence))).toBe(sentence)
      }),
    )
  })
})

describe('WORDS', () => {
  it('have keys of their own, and no form belongs to two', () => {
    const all = WORDS.flatMap(({ label, forms = [] }) => [label, ...forms])
    expect(new Set(all).size).toBe(all.length)
    expect(new Set(WORDS.map(({ key }) => key)).size).toBe(WORDS.length)
  })
  it('follow the unit', () => {
    const { says } = wordNamed('widest-part')!
    expect(writeTold(says, { unit: 'mm', denominator: 16 })).toContain('about 25.5 mm behind')
    expect(writeTold(says, { unit: 'in', denominator: 16 })).toContain('about 1" behind')
  })
})
