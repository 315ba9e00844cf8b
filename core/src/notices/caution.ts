import type { Told } from './told'

/** note: good to know; caution: think before you go on; stop: do not go on. */
export type Severity = 'note' | 'caution' | 'stop'

/** Something that may go wrong, as data: what may happen and what to do about it. */
export interface Caution {
  /** Steady name for programs, records and tests. */
  code: string
  severity: Severity
  title: Told
  /** What may happen. */
  text: Told
  /** What to do. */
  action: Told
}
