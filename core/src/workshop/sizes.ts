import type { NailSize } from '../records/shoe'

/**
 * A generic table of nails: blade length, thickness of the shank where it enters the wall, width of the head, mm.
 * Names are our own; figures from memory, to be put right against the box on the shelf.
 */
export const USUAL_NAIL_SIZES: readonly NailSize[] = [
  { name: 'Slim 1', length: 40, shank: 1.5, head: 4.6 },
  { name: 'Slim 2', length: 44, shank: 1.6, head: 4.9 },
  { name: 'Slim 3', length: 48, shank: 1.8, head: 5.3 },
  { name: 'Slim 4', length: 52, shank: 1.9, head: 5.7 },
  { name: 'Middle 3', length: 48, shank: 2.1, head: 5.9 },
  { name: 'Middle 4', length: 52, shank: 2.3, head: 6.3 },
  { name: 'Middle 5', length: 56, shank: 2.5, head: 6.8 },
  { name: 'Stout 6', length: 60, shank: 2.7, head: 7.4 },
  { name: 'Stout 7', length: 65, shank: 3.0, head: 8.1 },
  { name: 'Stout 8', length: 72, shank: 3.3, head: 9.0 },
]

/** A shank thicker than this share of the wall splits it (common practice, no source). */
const SHANK_SHARE = 0.26

/** Blade beyond the exit that is wrung off and clinched, mm (common practice, no source). */
const TO_CLINCH = 16

/** The head sits in hole or crease: this share of the shoe's thickness is left for the blade (common practice). */
const BLADE_IN_SHOE = 0.6

/** What a nail must be. */
export interface NailNeed {
  /** Blade, mm. */
  length: number
  /** Thickest shank the thinnest wall bears, mm. */
  shank: number
}

/** What the driven nails ask for: the longest way and the thinnest wall. */
export function nailNeed(
  nails: readonly { exitHeight: number; lean: number; wallThickness: number }[],
  thickness: number,
  padding: number,
): NailNeed | undefined {
  if (nails.length === 0) return undefined
  const way = ({ exitHeight, lean }: { exitHeight: number; lean: number }) =>
    exitHeight / Math.sin((lean * Math.PI) / 180)
  return {
    length: Math.max(...nails.map(way)) + thickness * BLADE_IN_SHOE + padding + TO_CLINCH,
    shank: Math.min(...nails.map(({ wallThickness }) => wallThickness)) * SHANK_SHARE,
  }
}

/** The stoutest nail the wall bears, of those the shortest that reaches; undefined where none does. */
export function suggestNail(need: NailNeed, sizes: readonly NailSize[]): NailSize | undefined {
  const fit = sizes.filter(({ length, shank }) => length >= need.length && shank <= need.shank)
  return fit.sort((a, b) => a.length - b.length || b.shank - a.shank)[0]
}
