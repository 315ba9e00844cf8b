import { outOfRange } from '../notices/range'
import type { Problem } from '../notices/problem'
import type { Section } from '../records/shoe'
import type { Material } from '../terms/sections'

/** kg/m3: steel and aluminium alloys, EN 1991-1-1 Table A.4. */
export const DENSITY: Record<Material, number> = { steel: 7850, aluminium: 2700 }

/**
 * A concave section lies full width on the foot; its ground face is narrower, and the inner side slopes up from it
 * so that dirt and suction let go. Shares of the bar's width and thickness; common practice, no source.
 */
export const CONCAVE = { groundFace: 0.6, innerEdge: 0.45 }

/** Area of the bar's section in mm2. */
export function sectionArea({ shape, width, thickness }: Section): number {
  if (shape === 'flat') return width * thickness
  // Half an ellipse; a half circle where the thickness is half the width.
  if (shape === 'half-round') return (Math.PI / 4) * width * thickness
  return width * thickness - cutAway(width, thickness).area
}

/** How far the section's centroid lies from its outer edge in mm: a bent bar's volume runs along its path. */
export function centroidFromOuter(section: Section): number {
  const { shape, width, thickness } = section
  if (shape !== 'concave') return width / 2
  const gone = cutAway(width, thickness)
  return ((width * thickness * width) / 2 - gone.area * gone.fromOuter) / sectionArea(section)
}

/** The triangle missing at the inner ground edge of a concave bar. */
function cutAway(width: number, thickness: number) {
  const base = width * (1 - CONCAVE.groundFace)
  const height = thickness * (1 - CONCAVE.innerEdge)
  return { area: (base * height) / 2, fromOuter: width - base / 3 }
}

/** Grams in a millimetre of straight bar. */
export const weightPerLength = (section: Section): number =>
  sectionArea(section) * DENSITY[section.material] * 1e-6

/** What widths and thicknesses a bar comes in, mm. */
export const BAR_RANGES = { width: [6, 60], thickness: [2, 25] } as const

/** Problems of a section that no bar has. */
export function checkSection(section: Section): Problem[] {
  return [
    outOfRange('shoe.section.width', 'Bar width', 'length', section.width, BAR_RANGES.width),
    outOfRange('shoe.section.thickness', 'Bar thickness', 'length', section.thickness, BAR_RANGES.thickness),
  ].filter((problem) => problem !== undefined)
}
