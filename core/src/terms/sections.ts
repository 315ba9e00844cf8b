/** Shapes of bar stock, and what it is made of. */
export const SECTION_SHAPES = ['flat', 'concave', 'half-round'] as const
export type SectionShape = (typeof SECTION_SHAPES)[number]
export const MATERIALS = ['steel', 'aluminium'] as const
export type Material = (typeof MATERIALS)[number]
