import { createHash } from 'node:crypto'
import { parseLength } from '@crescent/core'

/** A length as it is written in the demo, mm. */
export function mm(text: string): number {
  const parsed = parseLength(text, 'in')
  if (!parsed.ok) throw new Error(`demo/practice.json: ${parsed.message}`)
  return parsed.mm
}

/** To half a millimetre, as it is read off a rule. */
export const half = (value: number): number => Math.round(value * 2) / 2

/** The same every time it is asked: a number from 0 to 1 for these words. */
export const chance = (...words: string[]): number => digest(words).readUInt32BE(0) / 2 ** 32

/** The same id every time for the same thing. */
export function idFor(...words: string[]): string {
  const hex = digest(words).toString('hex')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`
}

const digest = (words: string[]): Buffer => createHash('sha256').update(words.join('\u0000')).digest()

/** A try is logged so long after the visit began at most, ms. */
const HOUR = 3_600_000

/** Noon of a day, as a record's stamps; of today never a time that is still to come. */
export function stamp(date: Date): { createdAt: string; updatedAt: string } {
  const noon = new Date(date)
  noon.setHours(12, 0, 0, 0)
  const at = new Date(Math.min(noon.getTime(), Date.now() - HOUR)).toISOString()
  return { createdAt: at, updatedAt: at }
}
