import type { ShoeInput } from '../records/shoe'
import { commonName } from '../shoe/common-sections'
import { FIT_PRESETS } from '../shoe/fit'
import { modification } from '../modifications/index'

/** The modifications of a shoe by name, in lower case but for the first: `Heart bar, rocker toe`; nothing where it is plain. */
export function modificationWords(shoe: Pick<ShoeInput, 'modifications'>): string {
  const labels = (shoe.modifications ?? []).map(({ kind }) => modification(kind)?.label ?? kind)
  return labels.map((label, i) => (i === 0 ? label : label.toLowerCase())).join(', ')
}

/**
 * What a shoe is, as a pattern is named unless somebody says otherwise: its modifications first, then fit and bar.
 *
 * @param bar how a bar that is not a common one is written
 */
export function designName({ section, stock, fit, modifications }: ShoeInput, bar: string): string {
  const fitName = typeof fit === 'string' ? FIT_PRESETS.find((one) => one.name === fit)!.label : 'Own fit'
  const made = modificationWords({ modifications })
  return `${made === '' ? fitName : `${made}, ${fitName.toLowerCase()}`} ${stock?.facts.label ?? commonName(section) ?? bar}`
}
