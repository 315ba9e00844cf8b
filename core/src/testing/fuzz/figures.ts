import { FIT_FIGURES } from '../../shoe/fit'
import { FOOT_FIGURES } from '../../foot/figures'
import { MODIFICATIONS } from '../../modifications/index'
import type { Request } from './any-plan'

/** One figure of a request, so that it can be moved a little. */
export interface Movable {
  name: string
  at: number
  moved: (by: number) => Request
}

/** Every length of a request that was given. */
export function lengthsOf(request: Request): Movable[] {
  const { foot, shoe } = request
  const given = foot as Record<string, unknown>
  const found: Movable[] = FOOT_FIGURES.flatMap(({ key, kind }) => {
    const at = given[key]
    if (kind !== 'length' || typeof at !== 'number') return []
    return [{ name: key, at, moved: (by) => ({ shoe, foot: { ...foot, [key]: at + by } }) }]
  })
  for (const key of ['width', 'thickness'] as const) {
    const at = shoe.section[key]
    found.push({
      name: `bar ${key}`,
      at,
      moved: (by) => ({ foot, shoe: { ...shoe, section: { ...shoe.section, [key]: at + by } } }),
    })
  }
  if (typeof shoe.fit !== 'string') {
    const fit = shoe.fit
    for (const { key } of FIT_FIGURES) {
      const at = fit[key]
      if (at === undefined) continue
      found.push({
        name: `fit ${key}`,
        at,
        moved: (by) => ({ foot, shoe: { ...shoe, fit: { ...fit, [key]: at + by } } }),
      })
    }
  }
  const modifications = shoe.modifications ?? []
  modifications.forEach((one, i) => {
    const fields = MODIFICATIONS.find(({ kind }) => kind === one.kind)!.fields
    for (const { key, ...field } of fields) {
      const at = one[key]
      if (field.options || field.kind !== 'length' || typeof at !== 'number') continue
      found.push({
        name: `${one.kind} ${key}`,
        at,
        moved: (by) => ({
          foot,
          shoe: {
            ...shoe,
            modifications: modifications.map((other, j) => (j === i ? { ...other, [key]: at + by } : other)),
          },
        }),
      })
    }
  })
  return found
}
