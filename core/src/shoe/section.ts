import { outOfRange } from '../notices/range'
import type { Problem } from '../notices/problem'
import type { Section } from '../records/shoe'
import type { Material } from '../terms/sections'

/** kg/m3: steel and aluminium alloys, EN 1991-1-1 Table A.4; cast polyurethane from memory. */
export const DENSITY: Record<Material, number> = { steel: 7850, aluminium: 2700, polymer: 1200 }

/**
 * A concave section lies full width on the foot; its ground face is narrower, and the inner side slopes up from it
 * so that dirt and suction let go. Shares of the bar's width and thickness; common practice, no source.
 */
export const CONCAVE = { groundFace: 0.6, innerEdge: 0.45 }

/** What widths and thicknesses a bar comes in, mm. */
export const BAR_RANGES = { width: [6, 60], thickness: [2, 25] } as const

/** Problems of a section that no bar has. */
export function checkSection(section: Section): Problem[] {
  return [
    section.material === 'polymer'
      ? {
          path: 'shoe.section.material',
          message: 'Metal: bars come in steel or aluminium, polymer is moulded',
        }
      : undefined,
    outOfRange('shoe.section.width', 'Bar width', 'length', section.width, BAR_RANGES.width),
    outOfRange('shoe.section.thickness', 'Bar thickness', 'length', section.thickness, BAR_RANGES.thickness),
  ].filter((problem) => problem !== undefined)
}
