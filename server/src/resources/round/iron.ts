import * as z from 'zod'
import {
  currentPatterns,
  dayIron,
  planShoe,
  SIDES,
  type DayIron,
  type DayShoe,
  type StoredPattern,
} from '@crescent/core'
import { idSchema, sectionSchema, sideSchema } from '@crescent/core/records/index'
import type { Practice } from '../../practice'

const mm = z.number().describe('mm')
const ofFoot = { horse: z.string(), side: sideSchema }
const piece = z
  .object({
    ...{ ...ofFoot, what: z.string(), length: mm },
    byGeometry: mm.optional().describe('mm, before logged jobs corrected the cut'),
  })
  .strict()
const group = { pieces: z.array(piece), total: mm }

/** What the iron of a day is answered as. */
export const dayIronSchema = z
  .object({
    bars: z.array(z.object({ section: sectionSchema, name: z.string().nullable(), ...group }).strict()),
    parts: z
      .array(z.object({ width: mm, thickness: mm, material: z.string(), ...group }).strict())
      .describe('cut apart from bar, plate or pad'),
    sizes: z.array(
      z
        .object({
          ...{ label: z.string(), count: z.number().int() },
          feet: z.array(z.object(ofFoot).strict()),
          onVan: z
            .number()
            .int()
            .nullable()
            .describe('how many there are; null for a size that is not in the table'),
        })
        .strict(),
    ),
    unplanned: z
      .array(z.object({ id: idSchema, name: z.string() }).strict())
      .describe('horses of the day that have no pattern yet'),
  })
  .strict()

/** How a day's iron is told: with what is on the van, and who has no pattern yet. */
export interface IronOfDay extends Omit<DayIron, 'sizes'> {
  sizes: (DayIron['sizes'][number] & { onVan: number | null })[]
  unplanned: { id: string; name: string }[]
}

/**
 * The iron of all shoes that are still to be forged on a day: what was planned at its open visits, for feet not planned yet
 * what they wear.
 *
 * @param due horses that are due by that day and were not visited count too
 */
export function ironOfDay(practice: Practice, date: string, due: boolean): IronOfDay {
  const round = practice.horses.round(date)
  const shoes: DayShoe[] = []
  const unplanned: IronOfDay['unplanned'] = []
  const take = (horse: { id: string; name: string }, patterns: StoredPattern[]) => {
    if (patterns.length === 0) unplanned.push({ id: horse.id, name: horse.name })
    for (const { foot, shoe, workshop, side } of patterns)
      shoes.push({ horse: horse.name, side, plan: planShoe(foot, shoe, workshop) })
  }
  for (const horse of round.seen) {
    // Its shoes are made and on.
    if (horse.visitState === 'done') continue
    const patterns = practice.patterns.ofHorse(horse.id)
    const records = practice.footRecords.ofVisit(horse.visitId)
    const worn = currentPatterns(patterns, practice.visits.ofHorse(horse.id))
    const planned = SIDES.flatMap((side) => {
      const work = horse.done[side]
      if (work === 'reset' || work === 'bare') return []
      const id = records.find((record) => record.side === side)?.patternId
      const pattern = patterns.find((one) => one.id === id) ?? worn[side]
      return pattern ? [pattern] : []
    })
    take(horse, planned)
  }
  if (due)
    for (const horse of [...round.overdue, ...round.due.filter((one) => one.due === date)]) {
      const worn = currentPatterns(practice.patterns.ofHorse(horse.id), practice.visits.ofHorse(horse.id))
      take(horse, Object.values(worn))
    }
  const { sizes, ...iron } = dayIron(shoes)
  const table = practice.sizes.all()
  return {
    ...iron,
    sizes: sizes.map((size) => ({
      ...size,
      onVan: table.find(({ label }) => label === size.label)?.onVan ?? null,
    })),
    unplanned,
  }
}
