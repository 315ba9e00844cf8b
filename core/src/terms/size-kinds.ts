/** What a factory shoe is made of, and how it may be shaped. */
export const SIZE_KINDS = ['creased-steel', 'plain-steel', 'aluminium', 'polymer', 'plate-cored'] as const
export type SizeKind = (typeof SIZE_KINDS)[number]

/** Which feet a factory shoe is shaped for. */
export const SIZE_FEET = ['front', 'hind', 'either'] as const
export type SizeFeet = (typeof SIZE_FEET)[number]

/** What clips a factory shoe comes with. */
export const SIZE_CLIPS = ['none', 'toe', 'quarter'] as const
export type SizeClips = (typeof SIZE_CLIPS)[number]

export const SIZE_KIND_LABELS: Record<SizeKind, string> = {
  'creased-steel': 'Creased steel',
  'plain-steel': 'Plain steel',
  aluminium: 'Aluminium',
  polymer: 'Flexible polymer',
  'plate-cored': 'Plate-cored polymer',
}

export const SIZE_FEET_LABELS: Record<SizeFeet, string> = { front: 'Front', hind: 'Hind', either: 'Either' }

/** Steel and aluminium are opened and closed; a moulded shoe stays as it is. */
export const bends = (kind: SizeKind): boolean => kind !== 'polymer' && kind !== 'plate-cored'

const METAL = {
  'creased-steel': 'steel',
  'plain-steel': 'steel',
  aluminium: 'aluminium',
  polymer: 'polymer',
  'plate-cored': 'polymer',
} as const

/** The bar a size is made of, as everything that follows is told it; mm. Apart from the schemas: screens need it without them. */
export const sectionOf = ({ kind, web, thickness }: { kind: SizeKind; web: number; thickness: number }) => ({
  shape: 'flat' as const,
  width: web,
  thickness,
  material: METAL[kind],
})
