import { outOfRange } from '../notices/range'
import { problem, type Problem } from '../notices/problem'
import { USUAL_NAIL_SIZES } from './sizes'
import type { WorkshopInput } from '../records/shoe'

/** A workshop with every figure known, mm. */
export type Workshop = Required<WorkshopInput>

/** Until real jobs say otherwise: nothing lost, nothing added, and a usual turn of the nail. */
export const USUAL_WORKSHOP: Workshop = {
  scaleLoss: 0,
  correction: 0,
  cutFactor: 1,
  learn: true,
  turningRadius: 22,
  nailSizes: [...USUAL_NAIL_SIZES],
}

/** What each workshop figure is and what is possible. */
export const WORKSHOP_FIGURES = [
  {
    key: 'scaleLoss',
    label: 'Lost to scale',
    where: 'Bar that burns off and is dressed away on one shoe.',
    range: [0, 25],
  },
  {
    key: 'correction',
    label: 'Own correction',
    where: 'What you add to every cut, or take off with a minus, from your own jobs.',
    range: [-50, 50],
  },
  {
    key: 'turningRadius',
    label: 'Nail turning radius',
    where: 'How tightly your nails turn outward. Smaller comes out lower.',
    range: [8, 80],
  },
] as const satisfies readonly {
  key: Exclude<keyof Workshop, 'nailSizes' | 'cutFactor' | 'learn'>
  label: string
  where: string
  range: readonly [number, number]
}[]

/** A workshop completed with the usual figures. */
export const resolveWorkshop = (input: WorkshopInput): Workshop => ({ ...USUAL_WORKSHOP, ...input })

/** No workshop needs so much less or more bar than geometry says: it would be another bar. */
export const FACTOR_RANGE = [0.8, 1.25] as const

/** Problems of figures that no workshop has. */
export const checkWorkshop = (workshop: Workshop): Problem[] => {
  const { cutFactor } = workshop
  const learned =
    cutFactor >= FACTOR_RANGE[0] && cutFactor <= FACTOR_RANGE[1]
      ? []
      : [
          problem(
            'workshop.cutFactor',
            `What jobs taught lies between ${FACTOR_RANGE[0]} and ${FACTOR_RANGE[1]} of what is predicted`,
          ),
        ]
  const figures = WORKSHOP_FIGURES.map(({ key, label, range }) =>
    outOfRange(`workshop.${key}`, label, 'length', workshop[key], range),
  ).filter((found) => found !== undefined)
  return [...figures, ...learned]
}
