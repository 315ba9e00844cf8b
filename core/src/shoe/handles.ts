import { resolveNails, withHole } from '../nails/nail-plan'
import type { Plan } from '../plan'
import type { FitNumbers, ShoeInput } from '../records/shoe'
import { distance, subtract, unit, type Vec } from '../geometry/vector'
import type { FigureKind } from '../units/figure'
import { modification } from './modifications'

/** A handle on a drawing of the shoe: the figure it stands for, where it is, and how the figure follows a pull. */
export interface ShoeHandle {
  /** `fit.spread`, `section.width`, `mod.wedge.rise`, `nails.lateral.2.fromToe`. */
  path: string
  label: string
  kind: FigureKind
  value: number
  range: readonly [number, number]
  /** On the sole: in the foot's frame. From the side: y of that frame and height above the ground. */
  point: Vec
  view: 'sole' | 'side'
  /** Unit direction along which a pull changes the figure, and by how much for a millimetre. */
  along: Vec
  per: number
}

/** The handles of bar, fit and modifications. */
export function shoeHandles(plan: Plan): ShoeHandle[] {
  return [...fitHandles(plan), ...modificationHandles(plan)]
}

function fitHandles({ fit, foot, outline, profile }: Plan): ShoeHandle[] {
  const { outer, inner } = outline
  const end = outer.length - 1
  const common = { kind: 'length', view: 'sole' } as const
  const heel = outer[end]!
  const backward = unit(subtract(heel, outer[end - 1]!))
  // A place on the inner rim of the outer branch, where no other handle stands.
  const quarter = Math.round(inner.length * 0.2)
  const beside = outer.reduce((near, point) =>
    distance(point, inner[quarter]!) < distance(near, inner[quarter]!) ? point : near,
  )
  const width = profile.width[profile.s.indexOf(0)] ?? profile.width[0]!
  const out = Math.round(outer.length * 0.93)
  return [
    {
      ...common,
      path: 'fit.heelLength',
      label: 'Behind the buttress',
      value: fit.heelLength,
      range: [-foot.length * 0.12, foot.length * 0.4],
      point: heel,
      along: backward,
      per: 1,
    },
    {
      ...common,
      path: 'fit.spread',
      label: 'Room at the heel',
      value: fit.spread,
      range: [0, 15],
      point: outer[out]!,
      along: [-1, 0],
      per: 1,
    },
    {
      ...common,
      path: 'section.width',
      label: 'Width of the bar',
      value: width,
      range: [6, 60],
      point: inner[quarter]!,
      along: unit(subtract(inner[quarter]!, beside)),
      per: 1,
    },
  ]
}

const modificationHandles = (plan: Plan): ShoeHandle[] =>
  plan.modifications.flatMap(({ kind, values, ranges, handles }) => {
    const known = modification(kind)!
    return handles.map(({ field, point, along, per = 1, view }): ShoeHandle => {
      const { label, kind: figure } = known.fields.find(({ key }) => key === field)!
      return {
        path: `mod.${kind}.${field}`,
        label: `${known.label}, ${label.toLowerCase()}`,
        kind: figure,
        value: values[field]!,
        range: ranges[field]!,
        point,
        along,
        per,
        view: view === 'side' ? 'side' : 'sole',
      }
    })
  })

/** The handles of the holes: each is pulled along the crease. */
export function nailHandles({ nails, outline }: Plan): ShoeHandle[] {
  return nails.map(({ branch, number, fromToe, x, y }): ShoeHandle => {
    const { outer } = outline
    const near = outer.reduce(
      (best, point, i) => (distance(point, [x, y]) < distance(outer[best]!, [x, y]) ? i : best),
      0,
    )
    const walk = unit(subtract(outer[Math.min(outer.length - 1, near + 1)]!, outer[Math.max(0, near - 1)]!))
    return {
      path: `nails.${branch}.${number}.fromToe`,
      label: `Hole ${branch === 'lateral' ? 'outer' : 'inner'} ${number}, along the rim`,
      kind: 'length',
      value: fromToe,
      range: [6, 260],
      point: [x, y],
      view: 'sole',
      along: branch === 'lateral' ? [-walk[0], -walk[1]] : walk,
      per: 1,
    }
  })
}

/** The shoe with one figure changed, by the path of its handle. A fit that had a name becomes one of its own numbers. */
export function withFigure(shoe: ShoeInput, path: string, value: number, plan: Pick<Plan, 'fit'>): ShoeInput {
  const [what, name, key = '', figure] = path.split('.') as [string, string, string?, string?]
  if (what === 'section') return { ...shoe, section: { ...shoe.section, [name]: value } }
  if (what === 'fit') {
    const { spread, heelLength, toeSetBack } = plan.fit
    const numbers: FitNumbers = { spread, heelLength, toeSetBack }
    return { ...shoe, fit: { ...numbers, [name]: value } }
  }
  if (what === 'mod') {
    const modifications = (shoe.modifications ?? []).map((given) =>
      given.kind === name ? { ...given, [key]: value } : given,
    )
    return { ...shoe, modifications }
  }
  const nails = resolveNails(shoe.nails)
  const branch = name as 'lateral' | 'medial'
  const changed = withHole(nails[branch], Number(key), figure as 'fromToe', value)
  return { ...shoe, nails: { ...nails, [branch]: changed } }
}
