import type { FootInput } from '../records/foot'
import { inches } from '../units/length'

/** The 5 x 5 in foot of the rules of thumb. For tests and benchmarks. */
export const FIVE_BY_FIVE: FootInput = {
  side: 'LF',
  width: inches(5),
  length: inches(5),
  heelWidth: inches(3.5),
  toeAngle: 52,
  wallThickness: 9.5,
}

export { PLAIN_SHOE } from '../shoe/starting-shoe'
