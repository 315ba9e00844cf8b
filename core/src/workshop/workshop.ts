import { outOfRange } from '../notices/range'
import type { Problem } from '../notices/problem'
import { USUAL_NAIL_SIZES } from './sizes'
import type { WorkshopInput } from '../records/shoe'

/** A workshop with every figure known, mm. */
export type Workshop = Required<WorkshopInput>

/** Until real jobs say otherwise: nothing lost, nothing added, and a usual turn of the nail. */
export const USUAL_WORKSHOP: Workshop = {
  scaleLoss: 0,
  correction: 0,
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
  key: Exclude<keyof Workshop, 'nailSizes'>
  label: string
  where: string
  range: readonly [number, number]
}[]

/** A workshop completed with the usual figures. */
export const resolveWorkshop = (input: WorkshopInput): Workshop => ({ ...USUAL_WORKSHOP, ...input })

/** Problems of figures that no workshop has. */
export const checkWorkshop = (workshop: Workshop): Problem[] =>
  WORKSHOP_FIGURES.map(({ key, label, range }) =>
    outOfRange(`workshop.${key}`, label, 'length', workshop[key], range),
  ).filter((problem) => problem !== undefined)
