import { leftOpen } from '../look/carry'
import { beforeShoe } from '../look/gates'
import { changesApart } from './changes-apart'
import type { Advice, AdviceContext, Topic } from './advice'
import { saidOf } from './follow-up'
import { ADVICE_RULES } from './rules/index'

/**
 * All advice that applies to a foot. Advice that pulls in two directions is shown with what it clashes with, never dropped;
 * what was followed and did not bring what was looked for comes behind other ways.
 */
export function advise(given: Omit<AdviceContext, 'findings' | 'feet'>): Advice[] {
  const feet = given.look.feet[given.side]
  const context: AdviceContext = { ...given, feet, findings: leftOpen(feet) }
  // Where no shoe may go on, what a shoe could do better is not spoken of: the vet's matters and care are.
  const shoeless = beforeShoe(given.look, given.side).some(({ forbids }) => forbids === 'shoe')
  const applying = onceEach(
    ADVICE_RULES.filter(({ vetLeads, topic }) => !shoeless || vetLeads || OFF_THE_SHOE.has(topic)).flatMap(
      ({ reason: judge, ...rule }) => {
        const reason = judge(context)
        return reason === undefined ? [] : [{ ...rule, reason, codes: [rule.code] }]
      },
    ),
  )
  const told = applying.map((one) => ({
    ...one,
    ...saidOf(feet, one.codes),
    clashes: applying.flatMap((other) => {
      const over = [...clash(one, other), ...clash(other, one), ...changesApart(one.change, other.change)]
      return other === one || over.length === 0 ? [] : [{ code: other.code, title: other.title, over }]
    }),
  }))
  return [...told.filter(({ failed }) => !failed), ...told.filter(({ failed }) => failed)]
}

/** What is advised without speaking of a shoe. */
const OFF_THE_SHOE: ReadonlySet<Topic> = new Set(['care', 'cycle'])

type Applying = Omit<Advice, 'clashes' | 'soFar' | 'failed'>

/** Rules that ask for the very same change are one piece of advice, with the reasons of all and what speaks against it. */
function onceEach(applying: readonly Applying[]): Applying[] {
  const told: Applying[] = []
  for (const one of applying) {
    const at = told.findIndex(({ change }) => change && JSON.stringify(change) === JSON.stringify(one.change))
    if (at < 0) told.push(one)
    else told[at] = joined(told[at]!, one)
  }
  return told
}

const all = <T>(one: readonly T[] = [], other: readonly T[] = []): T[] => [...new Set([...one, ...other])]

const joined = (one: Applying, other: Applying): Applying => ({
  ...one,
  codes: [...one.codes, ...other.codes],
  reason: all([one.reason], [other.reason]).join(' '),
  against: all([one.against], [other.against]).join(' '),
  school: all(one.school.split(', '), [other.school]).join(', '),
  vetLeads: (one.vetLeads ?? false) || (other.vetLeads ?? false),
  brings: all(one.brings, other.brings),
  avoids: all(one.avoids, other.avoids),
  signs: all(one.signs, other.signs),
})

type Traits = Pick<Advice, 'brings' | 'avoids'>
const clash = (one: Traits, other: Traits) =>
  (one.brings ?? []).filter((trait) => other.avoids?.includes(trait))

/** The title of advice by its code, as it is kept on record; the code itself where the rule is gone. */
export const adviceTitle = (code: string): string =>
  ADVICE_RULES.find((rule) => rule.code === code)?.title ?? code
