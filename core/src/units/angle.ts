/** Degrees to radians. */
export const radians = (degrees: number): number => (degrees * Math.PI) / 180

/** Radians to degrees. */
export const degrees = (radians: number): number => (radians * 180) / Math.PI

/** Cotangent of an angle in degrees: how far a wall leans in for each unit it rises. */
export const cotangent = (angle: number): number => Math.cos(radians(angle)) / Math.sin(radians(angle))

/** Writes an angle to half a degree: `52.5°`. */
export const formatAngle = (angle: number): string => `${Math.round(angle * 2) / 2}°`

/**
 * Reads an angle in degrees: `52`, `52.5`, `52°`, `52 deg`.
 *
 * @returns degrees, or a message that says what was not understood
 */
export function parseAngle(text: string): { ok: true; degrees: number } | { ok: false; message: string } {
  const match = /^\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*(?:°|deg|degrees)?\s*$/i.exec(text)
  if (!match) return { ok: false, message: `“${text.trim()}” is not an angle: write 52 or 52.5°` }
  return { ok: true, degrees: Number(match[1]!.replace(',', '.')) }
}
