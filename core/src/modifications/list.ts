import type { ShoeInput } from '../records/shoe'
import { clashOf, MODIFICATIONS } from './index'
import { MODIFICATION_GROUPS, type Modification } from './modification'

/** The modifications of a shoe as they are asked for, in the order they were put on. */
export type ModificationList = NonNullable<ShoeInput['modifications']>

/** A modification that may be put on, and why not where it may not. */
export interface Offer {
  kind: string
  label: string
  purpose: string
  clash: string | undefined
}

/** Why a modification cannot stand beside those that are on the shoe. */
export const clashWith = (list: ModificationList, kind: string): string | undefined =>
  list.map((given) => clashOf(given.kind, kind)).find((reason) => reason !== undefined)

/** One more, with its defaults. What is on the shoe already is not put on twice. */
export const withModification = (list: ModificationList, kind: string): ModificationList =>
  list.some((given) => given.kind === kind) ? list : [...list, { kind }]

export const withoutModification = (list: ModificationList, at: number): ModificationList =>
  list.filter((_, i) => i !== at)

/** A figure or choice of one of them changed; undefined gives it back to its default. */
export const withValue = (
  list: ModificationList,
  at: number,
  key: string,
  value: number | string | undefined,
): ModificationList =>
  list.map((given, i) => {
    if (i !== at) return given
    const { [key]: _old, ...rest } = given
    return (value === undefined ? rest : { ...rest, [key]: value }) as typeof given
  })

/** What a shoe is made of: a bar, a factory shoe of metal, or a moulded one. */
export type MadeOf = 'bar' | 'size' | 'moulded'

/** A modification can be made of it: a factory shoe is not straight any more, a moulded one is neither forged nor welded. */
export const canBeMadeOf = (
  { ofBar, ofMetal }: Pick<Modification, 'ofBar' | 'ofMetal'>,
  made: MadeOf,
): boolean => made === 'bar' || !(ofBar || (ofMetal && made === 'moulded'))

/** What may still be put on, group by group; only what can be made of it. */
export const offersBeside = (
  list: ModificationList,
  made: MadeOf = 'bar',
): { key: string; label: string; offers: Offer[] }[] =>
  MODIFICATION_GROUPS.map(({ key, label }) => ({
    key,
    label,
    offers: MODIFICATIONS.filter(
      (one) => one.group === key && canBeMadeOf(one, made) && !list.some(({ kind }) => kind === one.kind),
    ).map(({ kind, label: name, purpose }) => ({ kind, label: name, purpose, clash: clashWith(list, kind) })),
  })).filter(({ offers }) => offers.length > 0)
