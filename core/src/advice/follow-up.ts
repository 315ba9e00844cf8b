import type { FootLook, LookedFor } from '../records/look'
import { levelsOf, SAID, verdictOf, type Sign, type SignAnswer, type SignLine } from '../terms/signs'
import { ADVICE_RULES } from './rules/index'

/** The signs of each rule, by its code. */
const SIGNS = new Map(ADVICE_RULES.map(({ code, signs = [] }) => [code, signs]))

/** How a sign is asked for; its key where the rule is gone. */
const asksOf = ({ code, sign }: Pick<LookedFor, 'code' | 'sign'>): string =>
  SIGNS.get(code)?.find(({ key }) => key === sign)?.asks ?? sign

/** The foot with what should come of advice that is agreed now; what is looked for already goes on. */
export function withAgreed(foot: FootLook, codes: readonly string[], on: string): FootLook {
  const before = foot.lookedFor ?? []
  const signs = codes.flatMap((code) => (SIGNS.get(code) ?? []).map(({ key }) => ({ code, sign: key })))
  const known = ({ code, sign }: (typeof signs)[number]): boolean =>
    before.some((one) => one.code === code && one.sign === sign)
  const more = signs.filter((one) => !known(one)).map((one) => ({ ...one, since: on, answers: [] }))
  return more.length > 0 ? { ...foot, lookedFor: [...before, ...more] } : foot
}

/** The foot as it was before advice was agreed to at this visit. */
export function withoutAgreed(foot: FootLook, codes: readonly string[], on: string): FootLook {
  const { lookedFor = [], ...rest } = foot
  const left = lookedFor.filter(({ code, since }) => !codes.includes(code) || since !== on)
  return left.length > 0 ? { ...rest, lookedFor: left } : rest
}

/** Something that is asked for at a visit, as it is asked. */
export interface AskedFor extends LookedFor, Sign {}

/**
 * What is still to be asked at a visit: what was agreed before it, and has no answer yet. What two pieces of advice look
 * for alike is asked once.
 *
 * @param on the day of the visit
 */
export function stillAsked({ lookedFor = [] }: FootLook, on: string): AskedFor[] {
  const asked = lookedFor
    .filter(({ since, ended, answers }) => since < on && !ended && answers.every((one) => one.on !== on))
    .map((one) => ({ ...one, key: `${one.code} ${one.sign}`, asks: asksOf(one) }))
  return onceEach(asked)
}

/** The foot with something that was looked for answered, or never to be asked again; what is looked for alike goes with it. */
export function withSeen(
  foot: FootLook,
  asked: Pick<LookedFor, 'code' | 'sign'>,
  on: string,
  answer: SignAnswer | 'never mind',
): FootLook {
  const answered = (one: LookedFor): LookedFor =>
    answer === 'never mind'
      ? { ...one, ended: true }
      : { ...one, answers: [...one.answers.filter((each) => each.on !== on), { on, answer }] }
  const alike = (one: LookedFor): boolean => one.since < on && asksOf(one) === asksOf(asked)
  return { ...foot, lookedFor: (foot.lookedFor ?? []).map((one) => (alike(one) ? answered(one) : one)) }
}

/** What was answered at a visit, as it is told; what is looked for alike is told once. */
export function seenAt({ lookedFor = [] }: FootLook, on: string): { asks: string; said: string }[] {
  const told = lookedFor.flatMap((one) => {
    const answer = one.answers.find((each) => each.on === on)?.answer
    if (one.ended) return [{ asks: asksOf(one), said: 'not asked any more' }]
    return answer ? [{ asks: asksOf(one), said: SAID[answer] }] : []
  })
  return onceEach(told)
}

/** What was looked for on a foot and answered, each over time. */
export function seenOver({ lookedFor = [] }: FootLook): SignLine[] {
  const lines = lookedFor
    .filter(({ answers }) => answers.length > 0)
    .map((one) => ({
      asks: asksOf(one),
      answers: one.answers,
      points: levelsOf(one.answers, one.since),
    }))
  return onceEach(lines)
}

/** What is asked alike stands once. */
const onceEach = <T extends { asks: string }>(told: readonly T[]): T[] =>
  told.filter(({ asks }, i) => told.findIndex((other) => other.asks === asks) === i)

/** What answers so far say about a piece of advice, by the codes of its rules. */
export function saidOf(
  { lookedFor = [] }: FootLook,
  codes: readonly string[],
): { soFar: string[]; failed: boolean } {
  const verdicts = lookedFor
    .filter(({ code }) => codes.includes(code))
    .flatMap((one) => {
      const verdict = verdictOf(one.answers.map(({ answer }) => answer))
      return verdict ? [{ asks: asksOf(one), verdict }] : []
    })
  const words = verdicts.map(({ asks, verdict }) => {
    if (verdict === 'worse')
      return `${asks}: worse at two visits running. Look for another way, and agree it with the vet where one leads.`
    if (verdict === 'no better') return `${asks}: no better at three visits. Look for another way.`
    return `${asks}: better. Go on with it.`
  })
  return { soFar: [...new Set(words)], failed: verdicts.some(({ verdict }) => verdict !== 'better') }
}

/** What is to be looked for on a foot next time. */
export const lookNextTime = ({ lookedFor = [] }: FootLook): string[] => [
  ...new Set(lookedFor.filter(({ ended }) => !ended).map(asksOf)),
]
