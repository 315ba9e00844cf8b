import type { Pattern } from '@crescent/core'
import type { Practice } from '../../practice'

/** The size a pattern takes from the van; a shoe that is put on again takes none. */
const sizeOf = (pattern: Pattern | undefined): string | undefined => {
  const stock = pattern?.shoe.stock
  return stock?.fitted && stock.fitted.resets > 0 ? undefined : stock?.sizeId
}

/**
 * What is on the van once a foot is shod: the size that is used goes down by one, the one it was before comes back. A
 * size that is not in the table any more, or of which none was left, changes nothing.
 *
 * @param before the pattern the foot was stored with at this visit before this
 */
export function takeFromVan({ sizes }: Practice, before: Pattern | undefined, now: Pattern): void {
  const [old, taken] = [sizeOf(before), sizeOf(now)]
  if (old === taken) return
  for (const [id, by] of [
    [old, 1],
    [taken, -1],
  ] as const) {
    const size = id === undefined ? undefined : sizes.get(id)
    if (size && size.onVan + by >= 0) sizes.put({ ...size, onVan: size.onVan + by })
  }
}
