import type { SizeFacts } from '../../records/size'

/** How wide the crease of a moulded shoe is, mm (common practice, no source). */
export const CREASE_WIDTH = 7

/** Where nothing is known of it the crease begins so far in, as a share of the web (common practice, no source). */
const USUAL_SHARE = 0.28

/** From the outer rim to where the crease begins, mm: as it is said, else from the holes, else as usual. No saw goes further in. */
export function creaseFrom({ crease, holes, web }: Pick<SizeFacts, 'crease' | 'holes' | 'web'>): number {
  if (crease !== undefined) return crease
  const insets = [...holes.lateral, ...holes.medial].map(({ inset }) => inset)
  return insets.length === 0 ? web * USUAL_SHARE : Math.max(0, Math.min(...insets) - CREASE_WIDTH / 2)
}
