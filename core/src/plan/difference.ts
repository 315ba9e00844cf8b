import type { Half } from '../terms/half'
import { MODIFICATIONS } from '../modifications/index'
import { SCHOOLS_OF_NAILING } from '../nails/schools'
import type { Plan } from './plan'
import type { Section, ShoeInput } from '../records/shoe'
import type { FigureKind } from '../units/figure'
import { FIT_PRESETS } from '../shoe/fit'

/** One thing in which two designs differ. Figures in mm, degrees or g as their kind says; words as they are. */
export interface Difference {
  what: string
  kind: FigureKind | 'weight' | 'words'
  one: number | string
  other: number | string
}

/** Differences smaller than these are not worth a word, mm, degrees, g. */
const LEAST = { length: 0.2, angle: 0.5, number: 0.01, weight: 2 }

/** A design with what it came to. */
export interface Designed {
  shoe: ShoeInput
  plan: Plan
}

/** What differs between two designs, in the order they are decided: bar, fit, modifications, nails, and what follows. */
export function differences(one: Designed, other: Designed): Difference[] {
  return [
    ...words('Made of', madeOf(one.shoe), madeOf(other.shoe)),
    ...barDifferences(one.shoe.section, other.shoe.section),
    ...fitDifferences(one.plan, other.plan),
    ...modificationDifferences(one.plan, other.plan),
    ...nailDifferences(one.plan, other.plan),
    ...figures('Cut', 'length', one.plan.iron.cutLength, other.plan.iron.cutLength),
    ...figures('Weight', 'weight', one.plan.iron.weight, other.plan.iron.weight),
    ...figures(
      'Breakover ahead of the widest part',
      'length',
      one.plan.balance.toeLever,
      other.plan.balance.toeLever,
    ),
  ]
}

const madeOf = ({ stock }: ShoeInput): string => stock?.facts.label ?? 'bar'

function figures(
  what: string,
  kind: FigureKind | 'weight',
  one: number | undefined,
  other: number | undefined,
): Difference[] {
  if (one === undefined || other === undefined) {
    if (one === other) return []
    return [
      {
        what,
        kind: 'words',
        one: one === undefined ? 'not known' : 'known',
        other: other === undefined ? 'not known' : 'known',
      },
    ]
  }
  return Math.abs(one - other) < LEAST[kind] ? [] : [{ what, kind, one, other }]
}

const words = (what: string, one: string, other: string): Difference[] =>
  one === other ? [] : [{ what, kind: 'words', one, other }]

const barDifferences = (one: Section, other: Section): Difference[] => [
  ...words('Metal', one.material, other.material),
  ...words('Shape of the bar', one.shape, other.shape),
  ...figures('Width of the bar', 'length', one.width, other.width),
  ...figures('Thickness of the bar', 'length', one.thickness, other.thickness),
]

const fitLabel = ({ fit }: Plan): string =>
  FIT_PRESETS.find(({ name }) => name === fit.name)?.label ?? 'Own numbers'

const fitDifferences = (one: Plan, other: Plan): Difference[] => [
  ...words('Fit', fitLabel(one), fitLabel(other)),
  ...figures('Room at the heel', 'length', one.fit.spread, other.fit.spread),
  ...figures('Branch behind the buttress', 'length', one.fit.heelLength, other.fit.heelLength),
  ...figures('Toe set back', 'length', one.fit.toeSetBack, other.fit.toeSetBack),
  ...words('Behind the buttress', one.fit.behind, other.fit.behind),
]

function modificationDifferences(one: Plan, other: Plan): Difference[] {
  const of = (plan: Plan, kind: string) => plan.modifications.find((chosen) => chosen.kind === kind)
  return MODIFICATIONS.flatMap(({ kind, label, fields }) => {
    const [mine, theirs] = [of(one, kind), of(other, kind)]
    if (!mine && !theirs) return []
    if (!mine || !theirs) return words(label, mine ? 'made' : 'none', theirs ? 'made' : 'none')
    return fields.flatMap((field) => {
      const what = `${label}, ${field.label.toLowerCase()}`
      const [a, b] = [mine.values[field.key], theirs.values[field.key]]
      return field.options
        ? words(what, String(a), String(b))
        : figures(what, field.kind, Number(a), Number(b))
    })
  })
}

function nailDifferences(one: Plan, other: Plan): Difference[] {
  const school = (plan: Plan) =>
    SCHOOLS_OF_NAILING.find(({ name }) => name === plan.nailing.school)?.label ?? plan.nailing.school
  const driven = (plan: Plan, branch: Half) =>
    plan.nails
      .filter((nail) => nail.branch === branch && nail.driven)
      .map(({ number }) => number)
      .join(', ') || 'none'
  return [
    ...words('Nailed as', school(one), school(other)),
    ...words('Outer nails', driven(one, 'lateral'), driven(other, 'lateral')),
    ...words('Inner nails', driven(one, 'medial'), driven(other, 'medial')),
    ...words('Nail', one.nailing.size?.name ?? 'none fits', other.nailing.size?.name ?? 'none fits'),
  ]
}
