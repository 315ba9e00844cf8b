import { standing } from '../look/carry'
import type { Advice, AdviceContext } from './advice'
import { ADVICE_RULES } from './rules'

/** All advice that applies to a foot. Advice that pulls in two directions is shown with what it clashes with, never dropped. */
export function advise(given: Omit<AdviceContext, 'findings' | 'feet'>): Advice[] {
  const feet = given.look.feet[given.side]
  const context: AdviceContext = { ...given, feet, findings: standing(feet.findings) }
  const applying = ADVICE_RULES.flatMap(({ reason: judge, ...rule }) => {
    const reason = judge(context)
    return reason === undefined ? [] : [{ ...rule, reason }]
  })
  return applying.map((one) => ({
    ...one,
    clashes: applying.flatMap((other) => {
      const over = [...clash(one, other), ...clash(other, one)]
      return other === one || over.length === 0 ? [] : [{ code: other.code, title: other.title, over }]
    }),
  }))
}

type Traits = Pick<Advice, 'brings' | 'avoids'>
const clash = (one: Traits, other: Traits) =>
  (one.brings ?? []).filter((trait) => other.avoids?.includes(trait))

/** The title of advice by its code, as it is kept on record; the code itself where the rule is gone. */
export const adviceTitle = (code: string): string =>
  ADVICE_RULES.find((rule) => rule.code === code)?.title ?? code
