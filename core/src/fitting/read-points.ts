import type { Vec } from '../geometry/vector'
import { parseLength, type LengthUnit } from '../units/length'

/** Points as they were read, or what is wrong with the first line that is no point. */
export type PointsRead = { points: Vec[] } | { wrong: string }

/** More points than any tracing of a shoe has. */
const MOST = 2000

/**
 * Reads a list of points, one a line: across and forward, told apart by a semicolon, a tab, a comma or blanks. Fractions of
 * an inch want a semicolon between the two.
 *
 * @param unit of bare figures
 */
export function readPoints(text: string, unit: LengthUnit): PointsRead {
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '')
  if (lines.length > MOST) return { wrong: `${lines.length} lines: up to ${MOST} points are read` }
  const points: Vec[] = []
  for (const [i, line] of lines.entries()) {
    const cells = line
      .split(/[;\t]/.test(line) ? /[;\t]/ : line.includes(',') ? ',' : /\s+/)
      .map((cell) => cell.trim())
      .filter((cell) => cell !== '')
    const read = cells.map((cell) => signedLength(cell, unit))
    const [x, y] = read
    if (read.length !== 2 || x === undefined || y === undefined)
      return {
        wrong: `Line ${i + 1}, ${line.trim().slice(0, 40)}: two figures a line are needed, across and forward`,
      }
    points.push([x, y])
  }
  return { points }
}

/** A length that may lie on the other side of where it is measured from. */
function signedLength(text: string, unit: LengthUnit): number | undefined {
  const minus = /^[-−]/.test(text)
  const read = parseLength(minus ? text.slice(1).trim() : text, unit)
  if (!read.ok) return undefined
  return minus ? -read.mm : read.mm
}
