import { describe, expect, it } from 'vitest'
import { MODIFICATIONS } from '../modifications/index'
import type { FootInput } from '../records/foot'
import { bookPage, footPage } from '../testing/book-page'
import { barFor, made, problemsOf } from '../testing/made'
import { FIVE_BY_FIVE } from '../testing/samples'

/** A hind foot with everything measured and nothing even: what only shows on one side, or only when it is known, shows. */
const UNEVEN: Partial<FootInput> = {
  ...{ side: 'RH', width: 131, length: 138, heelWidth: 88, toeAngle: 53.5, heelAngle: 51, wallThickness: 9 },
  ...{ lateralHalfWidth: 68, quarterLead: 4, toeShape: 1.85, quarterShape: 0.4, frogApex: 41, soleDepth: 14 },
}

/**
 * What Crescent answers for shoes that are known, figure by figure. The figures were looked through when the pages were
 * written; a page is written anew (`npx vitest run -u`) only for a change that is meant, and what changed is read.
 */
describe('the book of known shoes', () => {
  const plain = { 'an even foot': {}, 'an uneven foot': UNEVEN }
  for (const [name, foot] of Object.entries(plain)) {
    const file = `../testing/book/plain on ${name}`
    const plan = made([], { foot, fit: 'general' })
    it(`${name}, and a plain shoe on it`, async () => {
      await expect(footPage(plan, { ...FIVE_BY_FIVE, ...foot })).toMatchFileSnapshot(`${file}, foot.txt`)
      await expect(bookPage(plan)).toMatchFileSnapshot(`${file}.txt`)
    })
  }

  for (const { kind, fields } of MODIFICATIONS) {
    const section = barFor(kind) ?? {}
    const page = (file: string) => `../testing/book/${kind}${file}.txt`
    it(`${kind}, as it is offered`, async () => {
      const plan = made([{ kind }], { foot: UNEVEN, fit: 'general', section })
      await expect(bookPage(plan)).toMatchFileSnapshot(page(''))
    })

    it(`${kind}, told how to be`, async () => {
      const { ranges } = made([{ kind }], { section, fit: 'general' }).modifications[0]!
      const figures = fields.map(({ key, options }): [string, number | string] => [
        key,
        options ? options[options.length - 1]! : between(ranges[key]!),
      ])
      const told = { kind, ...Object.fromEntries(figures) }
      const refused = problemsOf([told], { section, fit: 'general' })
      const plan = refused.length === 0 && made([told], { section, fit: 'general' })
      await expect(plan ? bookPage(plan) : JSON.stringify(refused)).toMatchFileSnapshot(page(', told'))
    })
  }
})

/** A figure well inside its range, and not in its middle. */
const between = ([low, high]: readonly [number, number]): number => low + (high - low) * 0.3
