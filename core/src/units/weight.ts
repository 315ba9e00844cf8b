import type { LengthUnit } from './length'

/** Grams in an avoirdupois ounce, exactly (international yard and pound agreement, 1959). */
export const GRAMS_PER_OUNCE = 28.349523125

/** Kilograms in an avoirdupois pound, exactly (international yard and pound agreement, 1959). */
export const KG_PER_POUND = 0.45359237

/** What whole animals are weighed in: pounds beside inches, kilograms beside millimetres. */
export const heavyUnit = (unit: LengthUnit): 'kg' | 'lb' => (unit === 'mm' ? 'kg' : 'lb')

/** How many of that unit so many kilograms are. */
export const inHeavyUnit = (kg: number, unit: LengthUnit): number => (unit === 'mm' ? kg : kg / KG_PER_POUND)

/** Kilograms from what was typed in that unit. */
export const fromHeavyUnit = (value: number, unit: LengthUnit): number =>
  unit === 'mm' ? value : value * KG_PER_POUND

/** What single shoes are weighed in: ounces beside inches, grams beside millimetres. */
export const lightUnit = (unit: LengthUnit): 'g' | 'oz' => (unit === 'mm' ? 'g' : 'oz')

/** How many of that unit so many grams are, to a tenth of an ounce. */
export const inLightUnit = (grams: number, unit: LengthUnit): number =>
  unit === 'mm' ? grams : Math.round((grams / GRAMS_PER_OUNCE) * 10) / 10

/** Grams from what was typed in that unit. */
export const fromLightUnit = (value: number, unit: LengthUnit): number =>
  unit === 'mm' ? value : value * GRAMS_PER_OUNCE

/** Writes a weight as the workshop reads it: ounces beside inches, grams beside millimetres. */
export function formatWeight(grams: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${Math.round(grams)} g`
  return `${(grams / GRAMS_PER_OUNCE).toFixed(1)} oz`
}
