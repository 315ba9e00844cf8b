import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newLook } from '../look/new-look'
import type { Side } from '../records/foot'
import { lookSchema, type FootLook, type Look } from '../records/look'
import { SIGN_ANSWERS, verdictOf, type SignAnswer } from '../terms/signs'
import { advise } from './advise'
import { lookNextTime, seenAt, seenOver, stillAsked, withAgreed, withoutAgreed, withSeen } from './follow-up'
import { ADVICE_RULES } from './rules/index'

const ID = '3f0c6a52-6f0e-4a3e-8f5e-0a1b2c3d4e5f'
const SIDE: Side = 'LF'

const FIRST = '2026-03-02'

/** A look at which these were agreed for the left fore. */
function agreed(codes: readonly string[], on = FIRST): Look {
  const look = newLook(ID, ID)
  return withFoot(look, withAgreed(look.feet[SIDE], codes, on))
}
const withFoot = (look: Look, foot: FootLook): Look => ({ ...look, feet: { ...look.feet, [SIDE]: foot } })

/** The look after one visit more, at which everything that was asked got this answer; nothing where nobody answered. */
function next(before: Look, on: string, answer?: SignAnswer | 'never mind'): Look {
  const look = newLook(ID, ID, before)
  let foot = look.feet[SIDE]
  if (answer) for (const asked of stillAsked(foot, on)) foot = withSeen(foot, asked, on, answer)
  return withFoot(look, foot)
}
/** What is asked at the next visit. */
const asks = (before: Look, on = '2026-04-13') =>
  stillAsked(newLook(ID, ID, before).feet[SIDE], on).map((one) => one.asks)

describe('what is to be looked for', () => {
  it('follows from what was agreed for this foot, and is asked at the next visit until it is answered', () => {
    const before = agreed(['flare-fit', 'heels-supportive'])
    expect(asks(agreed([]))).toEqual([])
    // Not at the visit itself.
    expect(asks(before, FIRST)).toEqual([])
    expect(asks(before)).toEqual(['Flare smaller', 'Heels no longer crushed'])
    expect(stillAsked(newLook(ID, ID, before).feet.RF, '2026-04-13')).toEqual([])
    expect(lookNextTime(before.feet[SIDE])).toEqual(['Flare smaller', 'Heels no longer crushed'])
    const foot = newLook(ID, ID, before).feet[SIDE]
    const flare = stillAsked(foot, '2026-04-13')[0]!
    const seen = withSeen(foot, flare, '2026-04-13', 'better')
    expect(stillAsked(seen, '2026-04-13').map((one) => one.asks)).toEqual(['Heels no longer crushed'])
    expect(seenAt(seen, '2026-04-13')).toEqual([{ asks: 'Flare smaller', said: 'better' }])
    // Thought better of: the later answer of a day stands.
    const again = withSeen(seen, flare, '2026-04-13', 'same')
    expect(again.lookedFor![0]!.answers).toEqual([{ on: '2026-04-13', answer: 'same' }])
  })

  it('is taken back with the advice at the same visit, and stays once it was agreed at one before', () => {
    const foot = agreed(['flare-fit']).feet[SIDE]
    expect(withoutAgreed(foot, ['flare-fit'], FIRST)).toEqual(newLook(ID, ID).feet[SIDE])
    expect(withoutAgreed(foot, ['heels-supportive'], FIRST)).toEqual(foot)
    expect(withoutAgreed(foot, ['flare-fit'], '2026-04-13')).toEqual(foot)
    // Agreed to once more, it goes on from where it began.
    expect(withAgreed(foot, ['flare-fit'], '2026-04-13')).toBe(foot)
  })

  it('alike by two pieces of advice is asked once, and the answer stands with both', () => {
    const before = agreed(['heels-supportive', 'heels-breakover'])
    expect(asks(before)).toEqual(['Heels no longer crushed'])
    const after = next(before, '2026-04-13', 'worse').feet[SIDE]
    expect(after.lookedFor!.map(({ code, answers }) => [code, answers.length])).toEqual([
      ['heels-supportive', 1],
      ['heels-breakover', 1],
    ])
    expect(seenAt(after, '2026-04-13')).toHaveLength(1)
  })

  it('goes on from visit to visit as a line, asked again where nobody answered, until it is told never mind', () => {
    const one = next(agreed(['flare-fit']), '2026-04-13', 'better')
    const unanswered = next(one, '2026-05-25')
    expect(asks(unanswered, '2026-07-06')).toEqual(['Flare smaller'])
    const three = next(unanswered, '2026-07-06', 'worse')
    expect(seenOver(three.feet[SIDE])).toEqual([
      {
        asks: 'Flare smaller',
        answers: [
          { on: '2026-04-13', answer: 'better' },
          { on: '2026-07-06', answer: 'worse' },
        ],
        points: [
          { on: FIRST, level: 0 },
          { on: '2026-04-13', level: 1 },
          { on: '2026-07-06', level: 0 },
        ],
      },
    ])
    expect(seenOver(agreed(['flare-fit']).feet[SIDE])).toEqual([])
    const never = next(three, '2026-08-17', 'never mind')
    expect(seenAt(never.feet[SIDE], '2026-08-17')[0]!.said).toBe('not asked any more')
    expect(asks(never, '2026-09-28')).toEqual([])
    expect(lookNextTime(never.feet[SIDE])).toEqual([])
    expect(lookSchema.safeParse(three).error?.issues ?? []).toEqual([])
  })

  it('changes the advice: what made it worse comes behind other ways and says so', () => {
    const forward = (look: Look): Look => {
      const finding = {
        ...{ id: ID, kind: 'run-forward' as const, place: 'bulbs' as const, grade: 2, note: '' },
        ...{ answer: 'new' as const, since: FIRST },
      }
      return withFoot(look, { ...look.feet[SIDE], findings: [finding] })
    }
    const told = (look: Look) => advise({ side: SIDE, look: forward(look), cycleWeeks: 7 })
    const first = told(agreed([]))
    expect(first.length).toBeGreaterThan(1)
    const { code, signs } = first[0]!
    expect(signs!.length).toBeGreaterThan(0)
    const worse = next(next(agreed([code]), '2026-04-13', 'worse'), '2026-05-25', 'worse')
    const after = told(worse)
    expect(after.map((one) => one.code).sort()).toEqual(first.map((one) => one.code).sort())
    expect(after[0]!.code).not.toBe(code)
    const last = after.find((one) => one.code === code)!
    expect(last.failed).toBe(true)
    expect(last.soFar[0]).toContain('worse at two visits running')
    // Once worse is no verdict yet; better afterwards is one.
    const once = told(next(agreed([code]), '2026-04-13', 'worse'))[0]!
    expect(once).toMatchObject({ code, soFar: [], failed: false })
    const better = told(next(agreed([code]), '2026-04-13', 'better'))[0]!
    expect([better.failed, better.soFar[0]]).toEqual([false, expect.stringContaining('better. Go on')])
  })
})

describe('a verdict', () => {
  it('needs two worse running, or three the same', () => {
    expect(verdictOf([])).toBeUndefined()
    expect(verdictOf(['worse'])).toBeUndefined()
    expect(verdictOf(['better', 'worse', 'worse'])).toBe('worse')
    expect(verdictOf(['same', 'same'])).toBeUndefined()
    expect(verdictOf(['same', 'same', 'same'])).toBe('no better')
    expect(verdictOf(['worse', 'worse', 'better'])).toBe('better')
  })

  it('hangs on the last three answers only', () => {
    const answers = fc.array(fc.constantFrom(...SIGN_ANSWERS), { minLength: 3, maxLength: 3 })
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...SIGN_ANSWERS)), answers, (before, last) => {
        expect(verdictOf([...before, ...last])).toBe(verdictOf(last))
      }),
    )
  })
})

it('signs of a rule have names of their own and are asked as a line that can be better or worse', () => {
  const told = ADVICE_RULES.flatMap(({ signs = [] }) => signs)
  expect(told.length).toBeGreaterThan(30)
  for (const { signs = [] } of ADVICE_RULES)
    expect(new Set(signs.map(({ key }) => key)).size).toBe(signs.length)
  // The same key is asked in the same words, but for what it is about.
  for (const { key, asks: words } of told) {
    expect(key).toMatch(/^[a-z]+(-[a-z]+)*$/)
    expect(words).toMatch(/^[A-Z][^.?]*$/)
  }
})
