import type { ShoeInput } from '../records/shoe'
import { inches } from '../units/length'

/** What a foot that never had a shoe begins with: plain 3/4 x 5/16 steel in the general fit (common practice). */
export const PLAIN_SHOE: ShoeInput = {
  section: { shape: 'flat', width: inches(3 / 4), thickness: inches(5 / 16), material: 'steel' },
  fit: 'general',
  modifications: [],
}
