import {
  checkSize,
  describeProblem,
  lengthFromSold,
  parseLength,
  SIZE_CLIPS,
  SIZE_FEET,
  SIZE_KINDS,
  type Size,
  type SizeHole,
  type LengthUnit,
} from '@crescent/core'
import { sizeSchema } from '@crescent/core/records/index'
import Papa from 'papaparse'
import { problemsOf, type RequestProblem } from '../../http/door'

/** The columns of the table as a file, in their order. Bare numbers are millimetres; `3/4 in` is read as well. */
export const COLUMNS = [
  ...['range', 'label', 'kind', 'feet', 'web', 'thickness', 'length', 'width', 'toe to heels'],
  ...['outer holes', 'inner holes', 'clips', 'crease', 'weight', 'price', 'on van', 'keep on van'],
] as const
type Column = (typeof COLUMNS)[number]

/** Without these a row is no size. */
const NEEDED: readonly Column[] = ['label', 'kind', 'feet', 'web', 'thickness']

/** A row as it was read: a size, or what is wrong with it by column. */
export interface CsvRow {
  /** In the file, the heading is 1. */
  line: number
  /** Range and label as they stand there, for a row that is wrong too. */
  name: string
  size?: Omit<Size, 'id' | 'version'>
  errors: RequestProblem[]
}

/** What a file of sizes holds, row by row; what is wrong with it as a whole has no rows. */
export interface CsvRead {
  rows: CsvRow[]
  errors: RequestProblem[]
  /** Headings nobody here knows: what stands under them is not taken. */
  unread: string[]
}

/** More rows than any van holds. */
const MOST_ROWS = 2_000
/** Who has more headings that are not known sent something else. */
const MOST_UNREAD = 40
/** Of a cell that is wrong so much is repeated, characters. */
const NAMED = 60

/**
 * Reads a table of sizes. Commas, semicolons and tabs are told apart by what the file uses.
 *
 * @param unit of bare numbers
 */
export function readCsv(text: string, unit: LengthUnit = 'mm'): CsvRead {
  if (text.includes(LOST)) return whole('A letter of this table could not be read: save it as UTF-8')
  const { table, delimiter, before } = withoutSign(text.replace(/^\uFEFF/, ''))
  const { data, meta } = Papa.parse<Record<string, string>>(table, {
    ...{ header: true, delimiter },
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
  })
  const heads = meta.fields ?? []
  const lacking = NEEDED.filter((column) => !heads.includes(column))
  if (lacking.length > 0)
    return whole(
      `No table of sizes: the first line must name its columns, and ${lacking.join(', ')} ${lacking.length > 1 ? 'are' : 'is'} missing`,
    )
  if (!heads.includes('length') && !(heads.includes('width') && heads.includes('toe to heels')))
    return whole('No table of sizes: it needs a column length, or both width and toe to heels')
  if (data.length > MOST_ROWS) return whole(`${data.length} rows; a table has up to ${MOST_ROWS}`)
  return {
    rows: data.map((row, i) => readRow(row, i + 2 + before, unit)),
    errors: [],
    unread: heads
      .filter((head) => head !== '' && !COLUMNS.some((column) => column === head))
      .slice(0, MOST_UNREAD)
      .map(short),
  }
}

/** What stands for a letter that nobody could read any more. */
const LOST = '\uFFFD'

/** A table without a first line that only says what its cells are parted by, as some spreadsheets write it; and how many lines that was. */
function withoutSign(text: string): { table: string; delimiter: string; before: number } {
  const sign = /^sep=(.)\r?\n/i.exec(text)
  return { table: sign ? text.slice(sign[0].length) : text, delimiter: sign?.[1] ?? '', before: sign ? 1 : 0 }
}

const whole = (message: string): CsvRead => ({ rows: [], errors: [{ path: 'csv', message }], unread: [] })

/** Words for the feet that no beginning of ours is. */
const ALSO: Record<string, string> = {
  fore: 'front',
  fores: 'front',
  fronts: 'front',
  hinds: 'hind',
  both: 'either',
}

/** The cells of a row, and what is wrong with them by column. */
class Cells {
  readonly errors: RequestProblem[] = []

  constructor(
    private readonly row: Record<string, string>,
    private readonly unit: LengthUnit,
  ) {}

  text = (column: Column): string => plain(this.row[column] ?? '')

  /** A cell as it is named where it is wrong: the beginning of it, where somebody pasted a page into it. */
  named = (column: Column): string => short(this.text(column))

  wrong = (path: Column, message: string): void => void this.errors.push({ path, message })

  length(column: Column): number | undefined {
    const text = this.text(column)
    if (text === '') return undefined
    const read = parseLength(text, this.unit)
    if (read.ok) return exact(read.mm)
    this.wrong(column, `${this.named(column)}: ${read.message}`)
    return undefined
  }

  number(column: Column): number | undefined {
    const text = this.text(column)
    if (text === '') return undefined
    const value = Number(text.replace(',', '.'))
    if (Number.isFinite(value)) return value
    this.wrong(column, `${this.named(column)}: a number is needed`)
    return undefined
  }

  choice<T extends string>(column: Column, list: readonly T[], otherwise: T): T {
    const typed = this.text(column).toLowerCase().replace(/\s+/g, '-')
    if (typed === '') return otherwise
    const word = ALSO[typed] ?? typed
    // `creased` and `alu` say enough where only one begins so.
    const begins = list.filter((one) => one.startsWith(word))
    const found = list.find((one) => one === word) ?? (begins.length === 1 ? begins[0] : undefined)
    if (!found) this.wrong(column, `“${this.named(column)}” is none of ${list.join(', ')}`)
    return found ?? otherwise
  }

  holes = (column: Column): SizeHole[] =>
    readHoles(this.text(column), this.unit, (message) => this.wrong(column, message))
}

function readRow(row: Record<string, string>, line: number, unit: LengthUnit): CsvRow {
  const cells = new Cells(row, unit)
  for (const column of NEEDED) if (cells.text(column) === '') cells.wrong(column, 'is missing')
  const made = sizeIn(cells)
  const name = `${cells.named('range')} ${cells.named('label')}`.trim()
  if (cells.errors.length > 0) return { line, name, errors: cells.errors }
  const read = sizeSchema.omit({ id: true, version: true }).safeParse(made)
  const problems = read.success
    ? checkSize(read.data, '').map((one) => ({
        path: one.path,
        message: describeProblem(one, { unit, denominator: 16 }),
      }))
    : problemsOf(read.error)
  const errors = problems.map(({ path, message }) => ({ path: columnOf(path), message }))
  return { line, name, errors, ...(read.success && errors.length === 0 && { size: read.data }) }
}

/** A size as its row says it; what cannot be read is told to the cells. */
function sizeIn(cells: Cells) {
  const feet = cells.choice('feet', SIZE_FEET, 'either')
  const [web, width] = [cells.length('web') ?? 0, cells.length('width')]
  const toeToHeels = cells.length('toe to heels')
  const said = cells.length('length')
  const derived = said === undefined ? fromSold(feet, { web, width, toeToHeels }) : undefined
  if (said === undefined && derived === undefined)
    cells.wrong('length', 'The length along the centreline, or width and toe to heels, is needed')
  const [weight, crease] = [cells.number('weight'), cells.length('crease')]
  const clips = cells.choice('clips', SIZE_CLIPS, 'none')
  const kind = cells.choice('kind', SIZE_KINDS, 'plain-steel')
  return {
    ...{ range: cells.text('range'), label: cells.text('label'), kind, feet },
    ...{ web, thickness: cells.length('thickness') ?? 0, length: said ?? derived ?? 0 },
    lengthDerived: derived !== undefined,
    holes: { lateral: cells.holes('outer holes'), medial: cells.holes('inner holes') },
    ...(width !== undefined && { width }),
    ...(weight !== undefined && { weight }),
    ...(crease !== undefined && { crease }),
    ...(clips !== 'none' && { clips }),
    price: cells.number('price') ?? null,
    onVan: cells.number('on van') ?? 0,
    keepOnVan: cells.number('keep on van') ?? 0,
  }
}

function fromSold(
  feet: Size['feet'],
  { web, width, toeToHeels }: { web: number; width: number | undefined; toeToHeels: number | undefined },
): number | undefined {
  return width && toeToHeels && web > 0 ? lengthFromSold({ feet, web, width, toeToHeels }) : undefined
}

/** Which column a path of a size is read from. */
function columnOf(path: string): string {
  if (/holes\.lateral/.test(path)) return 'outer holes'
  if (/holes\.medial/.test(path)) return 'inner holes'
  return path
    .replace(/^\./, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
}

/** Holes as `40:9.5; 62:9.5:70`: from the toe, from the outer rim and, where it is known, the pitch in degrees. */
function readHoles(text: string, unit: LengthUnit, wrong: (message: string) => void): SizeHole[] {
  if (text === '') return []
  const example = unit === 'in' ? '1 1/2 : 3/8' : '40:9.5'
  return text.split(';').flatMap((one): SizeHole[] => {
    const [place = '', rim = '', lean, ...more] = one.split(':').map((part) => part.trim())
    const [fromToe, inset] = [parseLength(place, unit), parseLength(rim, unit)]
    const pitch = lean === undefined ? undefined : Number(lean.replace(',', '.'))
    if (fromToe.ok && inset.ok && more.length === 0 && Number.isFinite(pitch ?? 0))
      return [{ fromToe: exact(fromToe.mm), inset: exact(inset.mm), ...(pitch !== undefined && { pitch }) }]
    wrong(
      `${short(one.trim())}: a hole is written ${example}, from the toe and from the outer rim, with :70 where it leans`,
    )
    return []
  })
}

const short = (text: string): string => (text.length > NAMED ? `${text.slice(0, NAMED)}…` : text)

/** Three quarters of an inch are 19.05 mm, not 19.049999. */
const exact = (mm: number): number => Number(mm.toFixed(4))

/** A cell that a spreadsheet was kept from reading as a formula comes back as it was. */
const plain = (cell: string): string => cell.trim().replace(/^'(?=[=+\-@])/, '')

/** A cell of text no spreadsheet takes for a formula. */
const safe = (text: string): string => (/^[=+\-@]/.test(text) ? `'${text}` : text)

/** The table as a file. Lengths in mm, weight in g. */
export function writeCsv(sizes: readonly Size[]): string {
  const mm = (value: number | undefined) => (value === undefined ? '' : String(Number(value.toFixed(2))))
  const holes = (list: readonly SizeHole[]) =>
    list
      .map(({ fromToe, inset, pitch }) =>
        [mm(fromToe), mm(inset), ...(pitch === undefined ? [] : [mm(pitch)])].join(':'),
      )
      .join('; ')
  const rows = sizes.map((size): Record<Column, string | number> => ({
    ...{ range: safe(size.range), label: safe(size.label), kind: size.kind, feet: size.feet },
    ...{ web: mm(size.web), thickness: mm(size.thickness), length: mm(size.length), width: mm(size.width) },
    ...{
      'toe to heels': '',
      'outer holes': holes(size.holes.lateral),
      'inner holes': holes(size.holes.medial),
    },
    ...{ clips: size.clips ?? '', crease: mm(size.crease), weight: mm(size.weight), price: size.price ?? '' },
    ...{ 'on van': size.onVan, 'keep on van': size.keepOnVan },
  }))
  return Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\n' }) + '\n'
}
