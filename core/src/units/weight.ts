import type { LengthUnit } from './length'

/** Grams in an avoirdupois ounce, exactly (international yard and pound agreement, 1959). */
export const GRAMS_PER_OUNCE = 28.349523125

/** Writes a weight as the workshop reads it: ounces beside inches, grams beside millimetres. */
export function formatWeight(grams: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${Math.round(grams)} g`
  return `${(grams / GRAMS_PER_OUNCE).toFixed(1)} oz`
}
