import { MM_PER_INCH, type LengthUnit } from './length'

/** Writes an area as it is compared: square inches beside inches, square centimetres beside millimetres. */
export function formatArea(mm2: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${(mm2 / 100).toFixed(1)} cm²`
  return `${(mm2 / MM_PER_INCH ** 2).toFixed(2)} in²`
}
