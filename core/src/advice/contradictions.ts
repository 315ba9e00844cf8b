import { HALVES, type Half } from '../terms/half'
import { SCHOOLS_OF_NAILING } from '../nails/schools'
import type { Plan } from '../plan/plan'
import type { ShoeInput } from '../records/shoe'
import { FIT_FIGURES, FIT_PRESETS, resolveFit } from '../shoe/fit'
import { modification } from '../modifications/index'
import type { Trait } from '../terms/traits'
import type { Advice, AdviceChange } from './advice'

/** Advice that was accepted, and what of the shoe on the Bench does not go with it any more. */
export interface Contradiction {
  code: string
  /** Clauses: `the fit is general`. */
  why: string[]
}

/** Where a shoe as it is planned does not do what was accepted, or has about it what that speaks against. */
export function contradictions(accepted: readonly Advice[], shoe: ShoeInput, plan: Plan): Contradiction[] {
  const traits = traitsOf(shoe, plan)
  return accepted.flatMap(({ code, change, avoids = [], brings = [] }) => {
    const why = [
      ...undone(change ?? {}, shoe, plan),
      // What the advice itself brings is its own.
      ...[...traits]
        .filter(([trait]) => avoids.includes(trait) && !brings.includes(trait))
        .map(([trait, from]) => `${from} brings ${trait}`),
    ]
    return why.length > 0 ? [{ code, why }] : []
  })
}

/** Figures of a fit that differ by less are the same fit, mm. */
const SAME = 0.5

function undone(change: AdviceChange, shoe: ShoeInput, plan: Plan): string[] {
  const { fit, driven, breakoverSchool, nailSchool, modification: kind } = change
  const clauses: string[] = []
  if (fit && !sameFit(fit, plan)) {
    const label = FIT_PRESETS.find(({ name }) => name === shoe.fit)?.label.toLowerCase() ?? 'one of your own'
    clauses.push(`the fit is ${label}`)
  }
  if (kind && !(shoe.modifications ?? []).some((one) => one.kind === kind))
    clauses.push(`${modification(kind)?.label.toLowerCase() ?? kind} is not on it`)
  if (driven && !HALVES.every((half) => same(drivenIn(plan, half), driven[half])))
    clauses.push(
      `driven are outer ${list(drivenIn(plan, 'lateral'))} and inner ${list(drivenIn(plan, 'medial'))}`,
    )
  if (nailSchool && plan.nailing.school !== nailSchool) {
    const { label } = SCHOOLS_OF_NAILING.find(({ name }) => name === plan.nailing.school)!
    clauses.push(`the nails keep to the limits of the ${label.toLowerCase()}`)
  }
  if (breakoverSchool && plan.balance.breakover.inUse !== breakoverSchool)
    clauses.push(`the breakover is that of the ${plan.balance.breakover.inUse} school`)
  return clauses
}

function sameFit(name: NonNullable<AdviceChange['fit']>, { fit, foot }: Plan): boolean {
  const asked = resolveFit(name, foot)
  return fit.behind === asked.behind && FIT_FIGURES.every(({ key }) => Math.abs(asked[key] - fit[key]) < SAME)
}

const drivenIn = ({ nails }: Plan, half: Half): number[] =>
  nails.filter(({ branch, driven }) => branch === half && driven).map(({ number }) => number)
const list = (holes: readonly number[]): string => (holes.length === 0 ? 'none' : holes.join(', '))
const same = (one: readonly number[], other: readonly number[]): boolean =>
  one.length === other.length && one.every((n) => other.includes(n))

/** Room at the heels beyond what any of the named fits gives is wide, mm. */
const WIDE = 4

/** More nails than the usual six are many. */
const USUAL_NAILS = 6

/** What a shoe has about it, each with what brings it: read from its parts, its fit and its driven nails. */
function traitsOf(shoe: ShoeInput, plan: Plan): Map<Trait, string> {
  const traits = new Map<Trait, string>()
  for (const { kind } of shoe.modifications ?? []) {
    const known = modification(kind)
    for (const trait of known?.brings ?? []) traits.set(trait, known!.label.toLowerCase())
  }
  const { foot, fit, nails } = plan
  // To the plumb line from the bulbs and beyond.
  if (fit.heelLength >= foot.bulbLine - SAME) traits.set('long heels', 'the fit')
  if (fit.spread >= WIDE) traits.set('wide fit', 'the fit')
  const driven = nails.filter((nail) => nail.driven)
  if (driven.length > USUAL_NAILS) traits.set('many nails', `a set of ${driven.length}`)
  if (driven.some(({ y }) => y > 0)) traits.set('toe nails', 'a nail ahead of the widest part')
  if (driven.some(({ y }) => y < 0)) traits.set('heel nails', 'a nail behind the widest part')
  return traits
}
