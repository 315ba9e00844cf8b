import type { ShoeInput } from '../records/shoe'
import type { SizeFacts } from '../records/size'
import { sectionOf } from '../terms/size-kinds'

/** For tests: a made-up front shoe of so long a centreline, four holes a branch over a wall of 9.5 mm. */
export function sizeOf(length: number, more: Partial<SizeFacts> = {}): SizeFacts {
  const holes = [0, 1, 2, 3].map((i) => ({ fromToe: (34 + i * 20) * (length / 320), inset: 9.5 }))
  return {
    ...{ label: `S${length}`, kind: 'creased-steel', feet: 'front', web: 20, thickness: 8, length },
    holes: { lateral: holes, medial: holes },
    ...more,
  }
}

/** For tests: such a shoe for a foot. */
export const shoeOfSize = (facts: SizeFacts, more: Partial<ShoeInput> = {}): ShoeInput => ({
  section: sectionOf(facts),
  stock: { kind: 'size', facts },
  fit: 'general',
  ...more,
})
