import type { Half } from '../terms/half'
import { FROM_ENDS, LEAST_APART } from '../shoe/hole-room'
import { resolveNails, withHole } from '../nails/nail-plan'
import type { Plan } from './plan'
import type { FitNumbers, ShoeInput } from '../records/shoe'
import { distance, subtract, unit, type Vec } from '../geometry/vector'
import type { Handle } from '../foot/handle'
import { cutAt } from '../modifications/build'
import { FIT_FIGURES } from '../shoe/fit'
import { modification } from '../modifications/index'
import type { FigureField } from '../modifications/modification'
import { BAR_RANGES } from '../shoe/section'

/** The handles of bar, fit and modifications. */
export function shoeHandles(plan: Plan): Handle[] {
  return [...fitHandles(plan), ...modificationHandles(plan)]
}

const SOLE = { kind: 'length', view: 'sole', per: 1 } as const

function fitHandles({ fit, foot, outline, section, iron }: Plan): Handle[] {
  const { outer, inner } = outline
  const end = outer.length - 1
  const heel = outer[end]!
  // A place on the inner rim of the outer branch, where no other handle stands.
  const quarter = inner[Math.round(inner.length * 0.2)]!
  const places: Record<string, Pick<Handle, 'point' | 'along'>> = {
    spread: { point: outer[Math.round(outer.length * 0.93)]!, along: [-1, 0] },
    heelLength: { point: heel, along: unit(subtract(heel, outer[end - 1]!)) },
  }
  const fits = FIT_FIGURES.flatMap(({ key, label, range }): Handle[] => {
    const place = places[key]
    if (!place) return []
    const path = `fit.${key}`
    return [{ ...SOLE, ...place, id: path, path, label, value: fit[key], range: range(foot) }]
  })
  // The heels of a factory shoe end where its length ends, and it is as wide as it is.
  if (iron.size !== undefined) return fits.filter(({ path }) => path !== 'fit.heelLength')
  const along = unit(subtract(quarter, nearestOf(outer, quarter)))
  const [path, label] = ['section.width', 'Width of the bar']
  return [
    ...fits,
    { ...SOLE, id: path, path, label, value: section.width, range: BAR_RANGES.width, point: quarter, along },
  ]
}

/** The point of a line that lies nearest to another. */
const nearestOf = (line: readonly Vec[], point: Vec): Vec =>
  line.reduce((near, one) => (distance(one, point) < distance(near, point) ? one : near))

const modificationHandles = (plan: Plan): Handle[] =>
  plan.modifications.flatMap(({ kind, values, ranges, handles }) => {
    const known = modification(kind)!
    return handles.map(({ field, point, along, per = 1, view }): Handle => {
      const { label, kind: figure } = known.fields.find(
        (one): one is FigureField => one.key === field && !one.options,
      )!
      return {
        id: `mod.${kind}.${field}`,
        path: `mod.${kind}.${field}`,
        label: `${known.label}, ${label.toLowerCase()}`,
        kind: figure,
        value: Number(values[field]),
        range: ranges[field]!,
        point,
        along,
        per,
        view: view === 'side' ? 'side' : 'sole',
      }
    })
  })

/** The handles of the holes: each is pulled along the crease, between its neighbours. */
export function nailHandles({ nails, cuts, iron, moulded }: Plan): Handle[] {
  // What was punched in the factory stays; a moulded shoe is drilled where it is wanted.
  if (iron.size !== undefined && !moulded) return []
  return nails.map(({ branch, number, fromToe, x, y }): Handle => {
    const beside = (other: number) => nails.find((nail) => nail.branch === branch && nail.number === other)
    const own = cuts.filter(({ place }) => place.branch === branch)
    const long = Math.max(...own.map(({ place }) => place.fromToe))
    const { tangent } = cutAt(cuts, branch, fromToe).place
    const [before, behind] = [beside(number - 1)?.fromToe, beside(number + 1)?.fromToe]
    return {
      id: `nails.${branch}.${number}.fromToe`,
      path: `nails.${branch}.${number}.fromToe`,
      label: `Hole ${branch === 'lateral' ? 'outer' : 'inner'} ${number}, along the rim`,
      kind: 'length',
      value: fromToe,
      range: [
        before === undefined ? FROM_ENDS : before + LEAST_APART,
        behind === undefined ? long - FROM_ENDS : behind - LEAST_APART,
      ],
      point: [x, y],
      view: 'sole',
      along: branch === 'lateral' ? [-tangent[0], -tangent[1]] : tangent,
      per: 1,
    }
  })
}

/** The shoe with one figure changed, by the path of its handle. A fit that had a name becomes one of its own numbers. */
export function withFigure(shoe: ShoeInput, path: string, value: number, plan: Pick<Plan, 'fit'>): ShoeInput {
  const [what, name, key = '', figure] = path.split('.') as [string, string, string?, string?]
  if (what === 'section') return { ...shoe, section: { ...shoe.section, [name]: value } }
  if (what === 'fit') {
    const { spread, heelLength, toeSetBack, behind } = plan.fit
    const numbers: FitNumbers = { spread, heelLength, toeSetBack, behind }
    return { ...shoe, fit: { ...numbers, [name]: value } }
  }
  if (what === 'mod') {
    const modifications = (shoe.modifications ?? []).map((given) =>
      given.kind === name ? { ...given, [key]: value } : given,
    )
    return { ...shoe, modifications }
  }
  const nails = resolveNails(shoe.nails)
  const branch = name as Half
  const changed = withHole(nails[branch], Number(key), figure as 'fromToe', value)
  return { ...shoe, nails: { ...nails, [branch]: changed } }
}
