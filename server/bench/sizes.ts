import type { SizeKind } from '@crescent/core'

/** Factory sizes that differ in length and web, as a long table has them. */
export const fatterSizes = (count: number, kind: SizeKind) =>
  Array.from({ length: count }, (_, i) => ({
    ...{ label: String(i), kind, feet: 'front' as const, web: 18 + (i % 8), thickness: 8 },
    ...{ length: 270 + (i % 90), holes: { lateral: [], medial: [] } },
  }))
