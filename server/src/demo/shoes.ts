import type { FitNumbers, Section, ShoeInput, Side } from '@crescent/core'
import { mm } from './made-up'
import type { DemoHorse } from './schema'

/** What a foot wears from a visit on, counted from the first. */
export function shoeOf(horse: DemoHorse, side: Side, visit: number): ShoeInput {
  const [width, thickness, material] = horse.shoe.bars?.[side] ?? [...horse.shoe.section, 'steel' as const]
  const section: Section = { shape: 'flat', width: mm(width), thickness: mm(thickness), material }
  const fit =
    typeof horse.shoe.fit === 'string'
      ? horse.shoe.fit
      : (Object.fromEntries(Object.entries(horse.shoe.fit).map(([k, v]) => [k, mm(v)])) as FitNumbers)
  // The outer branch carried a fourth nail in the first year.
  const nails =
    visit === 0 ? { lateral: { driven: [1, 2, 3, 4] }, medial: { driven: [1, 2, 3] } } : seenOf(horse, side)
  const modifications = (horse.shoe.modifications?.[side] ?? []).map((one) =>
    typeof one === 'string' ? { kind: one } : (one as NonNullable<ShoeInput['modifications']>[number]),
  )
  return { section, fit, modifications, ...(nails && { nails }) }
}

/** The exits that were written down afterwards, as nails of the shoe. */
function seenOf(horse: DemoHorse, side: Side): ShoeInput['nails'] {
  const seen = horse.shoe.seen?.[side]
  if (!seen) return undefined
  const branch = (heights: number[]) => ({
    each: heights.map((height, i) => ({ number: i + 1, seen: height })),
  })
  return { lateral: branch(seen.lateral), medial: branch(seen.medial) }
}
