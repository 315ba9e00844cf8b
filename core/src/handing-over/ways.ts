import type { ModificationList } from '../modifications/list'
import type { Section } from '../records/shoe'
import { COMMON_SECTIONS } from '../shoe/common-sections'

/** A figure of a modification by which a way of carrying a plan out is set. */
export interface SetBy {
  kind: string
  key: string
}

/** A way in which a shoe carries out what was planned on a radiograph. */
export interface CarriedOut {
  key: 'breakover' | 'wedge' | 'rocker-toe' | 'four-rail-plate'
  label: string
  /** What sets the breakover: mm behind the toe of the foot. */
  breakover: SetBy
  /** What raises the heels; nothing: it raises nothing. Less than `least` and more than `most`, mm, is not made; with none it is left off, or set to nothing. */
  raise?: SetBy & { least: number; most: number; without: 'left off' | 'set to 0' }
  /** It is made of this bar, where the one at hand will not do. */
  bar?: Section
}

/** Less of a rise than this is not forged, mm. */
const LEAST_RISE = 1

const rolled = { kind: 'rolled-toe', key: 'behindToe' } as const
const wedge = { kind: 'wedge', key: 'rise', least: LEAST_RISE, most: 25, without: 'left off' } as const

/** Ways to carry a plan out on the shoe. Another is an entry here. */
export const CARRIED_OUT: readonly CarriedOut[] = [
  { key: 'breakover', label: 'Rolled toe', breakover: rolled },
  { key: 'wedge', label: 'Rolled toe and wedge', breakover: rolled, raise: wedge },
  {
    key: 'rocker-toe',
    label: 'Rocker toe',
    breakover: { kind: 'rocker-toe', key: 'behindToe' },
    raise: wedge,
  },
  {
    key: 'four-rail-plate',
    label: 'Four-rail plate',
    breakover: { kind: 'four-rail-plate', key: 'behindToe' },
    raise: { kind: 'four-rail-plate', key: 'rail', least: LEAST_RISE, most: 20, without: 'set to 0' },
    bar: COMMON_SECTIONS.find(({ name }) => name === 'aluminium 1 x 3/8')!.section,
  },
]

/** All that any way puts on: a new hand-over takes the place of the last one. */
const PUT_ON: ReadonlySet<string> = new Set(
  CARRIED_OUT.flatMap(({ breakover, raise }) => [breakover.kind, ...(raise ? [raise.kind] : [])]),
)

/** What is on a shoe beside what a hand-over brings. */
export const besideHandOver = (list: ModificationList): ModificationList =>
  list.filter(({ kind }) => !PUT_ON.has(kind))

/** The way that is proposed for a plan: one that raises where the plan raises. @param raise degrees */
export const proposedWay = (raise: number): CarriedOut['key'] => (raise > 0 ? 'wedge' : 'breakover')
