import type { Vec } from '../../geometry/vector'
import { Budget, MM, Unreadable, type ReadCurve, type ReadOutlines } from './curves'

/** A row that names its columns may name their unit. */
const UNIT = /\b(mm|cm|inches|inch|in|m|ft)\b|["″]/i

/**
 * Points row by row, x and y, parted by comma, semicolon, tab or blanks; an empty row begins another line. A heading may
 * stand above and name the unit. Decimal commas are read where rows are parted by semicolons or tabs.
 *
 * @throws Unreadable naming the row that is none
 */
export function readPoints(text: string): ReadOutlines {
  const rows = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/)
  const budget = new Budget()
  const lines: Vec[][] = [[]]
  let unit: ReadOutlines['unit'] = null
  rows.forEach((row, i) => {
    if (row.trim() === '') {
      if (lines[lines.length - 1]!.length > 0) lines.push([])
      return
    }
    const point = pointOf(row)
    if (point) return void lines[lines.length - 1]!.push(point)
    // Only the first row may be a heading.
    if (lines.length > 1 || lines[0]!.length > 0)
      throw new Unreadable(`Row ${i + 1} is no point: two numbers are needed, x and y.`)
    unit = unitIn(row.replace(QUOTED_CELL, '$1$2')) ?? unit
  })
  const scale = unit ? MM[unit] : 1
  const curves = lines.flatMap((line): ReadCurve[] => {
    if (line.length < 2) return []
    const points = line.map(([x, y]): Vec => [x * scale, y * scale])
    budget.take(points)
    return [{ points, closed: false, layer: '' }]
  })
  if (curves.length === 0)
    throw new Unreadable('The file holds no line: rows of two numbers are needed, x and y.')
  return {
    ...{ curves, unit },
    questions: unit ? [] : ['The file does not say its unit: are these millimetres or inches?'],
  }
}

/** A whole cell in quotes: its quotes are no sign for inches. */
const QUOTED_CELL = /(^|[,;\t])\s*"([^"]*)"\s*(?=[,;\t]|$)/g

/** Cells of a row in which some stand in quotes (RFC 4180), or bare between commas, semicolons and tabs. */
const QUOTED = /"((?:[^"]|"")*)"|([^,;\t"\s][^,;\t"]*)/g

function pointOf(row: string): Vec | undefined {
  const quoted = row.includes('"')
  const decimalComma = quoted || /[;\t]/.test(row)
  const cells = quoted
    ? [...row.matchAll(QUOTED)].map(([, inside, bare]) => (inside ?? bare ?? '').trim())
    : (decimalComma ? row.split(/[;\t]/) : row.trim().split(/\s*,\s*|\s+/)).map((cell) => cell.trim())
  if (cells.length < 2) return undefined
  const [x, y] = cells.map((cell) => number(decimalComma ? cell.replace(',', '.') : cell))
  return x === undefined || y === undefined ? undefined : [x, y]
}

/** A plain number; nothing else that a program would take for one. */
const number = (cell: string): number | undefined =>
  /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,2})?$/i.test(cell) ? Number(cell) : undefined

function unitIn(heading: string): ReadOutlines['unit'] {
  const found = UNIT.exec(heading)
  if (!found) return null
  const word = (found[1] ?? 'in').toLowerCase()
  return word.startsWith('in') ? 'in' : (word as 'mm' | 'cm' | 'm' | 'ft')
}
