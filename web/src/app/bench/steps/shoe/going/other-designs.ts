import { modification, withoutModification, type ShoeInput, type PagePattern } from '@crescent/core'
import { TEMPLATES } from '@crescent/core/designs'

/** Another design to look at beside the one on the Bench. */
export interface OtherDesign {
  key: string
  label: string
  shoe: ShoeInput
}

/**
 * What may be laid beside a shoe on the same ground: the same shoe without one of its modifications, designs to begin
 * from on its bar, and patterns of this pair of feet.
 */
export function otherDesigns(shoe: ShoeInput, patterns: readonly PagePattern[]): OtherDesign[] {
  const modifications = shoe.modifications ?? []
  return [
    ...modifications.map(({ kind }, i): OtherDesign => ({
      key: `without.${kind}`,
      label: `This shoe without ${(modification(kind)?.label ?? kind).toLowerCase()}`,
      shoe: { ...shoe, modifications: withoutModification(modifications, i) },
    })),
    ...TEMPLATES.map(({ key, label, shoe: design }): OtherDesign => ({
      key: `design.${key}`,
      label,
      shoe: { ...shoe, ...design, section: design.section ?? shoe.section },
    })),
    ...patterns.map(({ id, side, name, shoe: worn }): OtherDesign => ({
      key: id,
      label: `${side} · ${name}`,
      shoe: worn,
    })),
  ]
}
