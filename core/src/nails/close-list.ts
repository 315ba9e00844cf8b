import type { CloseCheck } from '../records/practice'
import { inches } from '../units/length'
import { length, told, type Told } from '../notices/told'

/** One thing to look at while a foot is nailed and finished, in the order of the work. */
export interface CloseStep {
  check: CloseCheck
  label: string
  what: Told
}

/** The close list (common practice, no source). */
export const CLOSE_LIST: readonly CloseStep[] = [
  {
    check: 'two nails',
    label: 'Two nails first',
    what: 'One each side, then stop and look. A sore foot gets a rest here.',
  },
  {
    check: 'frog to toe',
    label: 'Frog to toe',
    what: 'Middle of the frog to the middle of the toe. Shifted: pull and re-drive.',
  },
  { check: 'square across', label: 'Square across', what: 'Both branches stand the same against the foot.' },
  {
    check: 'heels on their marks',
    label: 'Heels on their marks',
    what: 'Both heel ends cover the buttress as planned.',
  },
  {
    check: 'clinched',
    label: 'Clinched',
    what: told`Stub just over ${length(inches(1 / 16))}, about square; a small bed rasped under it, never into the shank.`,
  },
  {
    check: 'finished',
    label: 'Finished',
    what: 'Nail exits in one line, clinches smooth to the hand, nothing left standing.',
  },
]
