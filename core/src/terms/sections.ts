/** Shapes of bar stock, and what it is made of. */
export const SECTION_SHAPES = ['flat', 'concave', 'half-round'] as const
export type SectionShape = (typeof SECTION_SHAPES)[number]
/** Bars come in the metals; polymer is what moulded shoes are made of. */
export const MATERIALS = ['steel', 'aluminium', 'polymer'] as const
export type Material = (typeof MATERIALS)[number]
