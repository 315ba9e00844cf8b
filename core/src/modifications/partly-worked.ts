import { sectionArea } from '../shoe/section-form'
import type { Lay, LayPlace } from '../shoe/lay'
import type { ShoeContext } from './modification'
import type { Chosen } from './resolve'

/** How far the metal of one modification is worked. */
export type Worked = 'not' | 'heavier' | 'lighter' | 'all'

/**
 * The section of the bar at a place while part of the modifications are made, mm2: as wide and as high as those that are done
 * make it. Edges and faces that are forged push their metal aside and keep it, so they do not count.
 *
 * @param lay of the plain shoe
 * @param plain as lays are told it
 * @returns told how far each of the chosen is worked, in their order
 */
export function partlyWorked(
  chosen: readonly Chosen[],
  lay: Lay,
  plain: ShoeContext,
  context: ShoeContext,
): (place: LayPlace, worked: readonly Worked[]) => number {
  const { section } = context
  const areaOf = (place: LayPlace, done: readonly Chosen[]): number => {
    const webs = done.reduce(
      (laid, { modification, values }) => modification.lay?.(laid, plain, values) ?? laid,
      lay,
    )
    const rise = done.reduce(
      (sum, { modification, values }) => sum + (modification.rise?.(place, context, values) ?? 0),
      0,
    )
    return sectionArea({ ...section, width: webs.web(place), thickness: section.thickness + rise })
  }
  const moving = chosen.flatMap((one, i) => ((one.modification.lay ?? one.modification.rise) ? [i] : []))
  return (place, worked) => {
    const done: Chosen[] = []
    for (const i of moving) {
      const how = worked[i]!
      if (how === 'not') continue
      const one = chosen[i]!
      if (how !== 'all') {
        const heavier = areaOf(place, [...done, one]) >= areaOf(place, done)
        if (heavier !== (how === 'heavier')) continue
      }
      done.push(one)
    }
    return areaOf(place, done)
  }
}
