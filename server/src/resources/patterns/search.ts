import { MODIFICATIONS, PATTERNS_FOUND } from '@crescent/core'
import type { Practice } from '../../practice'
import { AsJson } from '../../http/route'
import { rowsOf } from '../../database/rows'
import { fold, wordsOf } from '../../database/search'

/** What is looked for; what is left out is not asked about. */
export interface PatternQuery {
  /** Words of its name, its notes, its tags, its horse, or of a modification. */
  search: string
  /** A tag it carries, as it is written. */
  tag?: string
  /** A kind of modification it wears. */
  modification?: string
  /** Of its bar, mm. */
  bar?: { width: number; thickness: number }
  /** Of the foot it was made for, mm: the nearest come first. */
  width?: number
}

/** Bars that differ by less are the same, mm. */
const SAME_BAR = 0.1

/** The nearest to a width, looked for from it up and down: nobody else is looked at. */
const NEAREST = `SELECT at FROM (SELECT rowid AS at FROM patterns INDEXED BY patterns_wider
    WHERE archived = 0 AND foot_width >= @width ORDER BY foot_width, updated_at DESC LIMIT ${PATTERNS_FOUND})
  UNION ALL SELECT at FROM (SELECT rowid AS at FROM patterns INDEXED BY patterns_narrower
    WHERE archived = 0 AND foot_width < @width ORDER BY foot_width DESC, updated_at DESC LIMIT ${PATTERNS_FOUND})`

/** Kinds of modification with this word in their names, as they are called on the screen. */
const kindsCalled = (word: string): string[] =>
  MODIFICATIONS.filter(({ label }) => fold(label).includes(word)).map(({ kind }) => kind)

/**
 * Patterns of all horses that are not archived: the newest first, or those for the nearest width of foot.
 *
 * @returns a list of `FoundPattern`
 */
export function searchPatterns({ db, patterns }: Practice, query: PatternQuery): AsJson {
  const words = wordsOf(query.search)
  const kinds = words.map(kindsCalled)
  const where = [
    'p.archived = 0',
    ...words.map((_, i) => {
      const called = kinds[i]!.map((_, k) => `instr(p.kinds, @kind${i}_${k})`)
      const worn = called.length > 0 ? ` OR ${called.join(' OR ')}` : ''
      return `(instr(p.search, @w${i}) OR p.horse_id IN horses${i}${worn})`
    }),
    ...(query.tag ? [`instr(p.tags, @tag)`] : []),
    ...(query.modification ? ['instr(p.kinds, @modification)'] : []),
    ...(query.bar
      ? [`abs(p.bar_width - @barWidth) < ${SAME_BAR}`, `abs(p.bar_thickness - @barThickness) < ${SAME_BAR}`]
      : []),
  ]
  // Horses are fewer than patterns: gone through once for each word, not once for each pattern.
  const called = words.map(
    (_, i) => `horses${i} AS MATERIALIZED (SELECT id FROM horses WHERE instr(search, @w${i}))`,
  )
  const order =
    query.width === undefined ? 'p.updated_at DESC' : `abs(p.foot_width - @width), p.updated_at DESC`
  const found =
    query.width !== undefined && where.length === 1
      ? NEAREST
      : `SELECT p.rowid AS at FROM patterns p INDEXED BY patterns_found
         WHERE ${where.join(' AND ')} ORDER BY ${order} LIMIT ${PATTERNS_FOUND}`
  const rows = rowsOf(
    db.prepare(
      // Found in an index, and only then taken out whole.
      `${called.length > 0 ? `WITH ${called.join(', ')} ` : ''}SELECT p.*, h.name AS horse_name FROM (${found}) f
       JOIN patterns p ON p.rowid = f.at JOIN horses h ON h.id = p.horse_id ORDER BY ${order} LIMIT ${PATTERNS_FOUND}`,
    ),
  )({
    ...Object.fromEntries(words.map((word, i) => [`w${i}`, word])),
    ...Object.fromEntries(
      kinds.flatMap((list, i) => list.map((kind, k) => [`kind${i}_${k}`, ` ${kind} `] as const)),
    ),
    // As it stands in the list: between its quotes.
    ...(query.tag && { tag: JSON.stringify(query.tag) }),
    ...(query.modification && { modification: ` ${query.modification} ` }),
    ...(query.bar && { barWidth: query.bar.width, barThickness: query.bar.thickness }),
    ...(query.width !== undefined && { width: query.width }),
  })
  const written = rows.map(
    (row) => `{"pattern":${patterns.textOf(row)},"horseName":${JSON.stringify(row['horse_name'])}}`,
  )
  return new AsJson(`[${written.join(',')}]`)
}
