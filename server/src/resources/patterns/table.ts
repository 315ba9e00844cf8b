import { SHAPE_PLACES, shapeOf, type SeenNail, type StoredPattern } from '@crescent/core'
import type { Db } from '../../database/db'
import { namesOf } from '../../database/names'
import { recordTable } from '../../database/record-table'
import { fold } from '../../database/search'

const shapeFrom = (foot: string): Buffer => asBlob(shapeOf(JSON.parse(foot) as [number, number][]))
const asBlob = ({ buffer }: Float32Array): Buffer => Buffer.from(buffer as ArrayBuffer)

/** Queries on the pattern library. */
export function patterns(db: Db) {
  const table = recordTable<StoredPattern>(
    db,
    'patterns',
    {
      ...{ horseId: 'plain', side: 'plain', name: 'plain', visitId: 'plain' },
      ...{ foot: 'json', shoe: 'json', workshop: 'json', result: 'json', notes: 'plain' },
      ...{ tags: 'optional json', why: 'optional', forkedFrom: 'optional json', archived: 'flag' },
    },
    { search: ({ name, notes, tags = [] }) => fold([name, notes, ...tags].join(' ')) },
    { names: 'horseId' },
  )
  const nameNow = namesOf(db)
  const keepVersion = db.prepare(
    `INSERT INTO pattern_versions (pattern_id, version, body, saved_at) VALUES (@id, @version, @body, @updatedAt)
     ON CONFLICT DO NOTHING`,
  )
  const versionRows = db.prepare(
    'SELECT body FROM pattern_versions WHERE pattern_id = ? ORDER BY version DESC',
  )
  const keep = (pattern: StoredPattern): StoredPattern => {
    const { id, version, updatedAt } = pattern
    keepVersion.run({ id, version, updatedAt, body: JSON.stringify(pattern) })
    keepShape.run({ id, shape: asBlob(shapeOf(pattern.result.outline.foot)) })
    return pattern
  }
  const keepShape = db.prepare('UPDATE patterns SET outline_shape = @shape WHERE id = @id')
  const shapeless = db.prepare(
    `SELECT id, json_extract(result, '$.outline.foot') AS foot FROM patterns INDEXED BY patterns_shapes
     WHERE archived IN (0, 1) AND outline_shape IS NULL`,
  )
  const footOf = db
    .prepare(`SELECT json_extract(result, '$.outline.foot') FROM patterns WHERE id = ?`)
    .pluck()
  const shapeRows = db
    .prepare('SELECT id, outline_shape FROM patterns INDEXED BY patterns_shapes WHERE archived = 0')
    .raw()
  /** Patterns from before shapes were kept get theirs. */
  const fillIn = () => {
    for (const { id, foot } of shapeless.all() as { id: string; foot: string }[])
      keepShape.run({ id, shape: shapeFrom(foot) })
  }

  const seenRows = db.prepare(
    `SELECT nail.value AS nail FROM patterns, json_each(patterns.result, '$.nails') AS nail
     WHERE patterns.seen = 1 AND json_extract(nail.value, '$.seen') IS NOT NULL AND json_extract(nail.value, '$.lean') IS NOT NULL`,
  )

  const tagRows = db.prepare(
    `SELECT tag.value AS tag FROM patterns, json_each(patterns.tags) AS tag WHERE archived = 0 AND tags IS NOT NULL
     GROUP BY tag.value ORDER BY count(*) DESC, tag.value`,
  )

  return {
    ...table,
    /** Every tag in use, the most used first. */
    tags: (): string[] => (tagRows.all() as { tag: string }[]).map(({ tag }) => tag),
    /** Every nail of which somebody wrote down how high it came out. */
    seenNails: (): SeenNail[] =>
      (seenRows.all() as { nail: string }[]).map(({ nail }) => JSON.parse(nail) as SeenNail),
    /** The patterns of a horse, the newest first. */
    ofHorse: (horseId: string): StoredPattern[] =>
      table.list('horse_id = @horseId ORDER BY updated_at DESC', { horseId: nameNow(horseId) }),
    /** Stores a pattern with its result, and keeps every version it ever had. */
    put: (pattern: StoredPattern): StoredPattern => keep(table.put(pattern)),
    bringIn: (pattern: StoredPattern): StoredPattern => keep(table.bringIn(pattern)),
    /** The shapes of the feet of all patterns that are not archived, one behind the other, and whose they are. */
    shapes(): { ids: string[]; shapes: Float32Array } {
      if (!db.readonly) db.transaction(fillIn)()
      // Where nothing may be stored, those from before are worked out each time.
      const rows = (shapeRows.all() as [string, Buffer | null][]).map(([id, shape]): [string, Buffer] => [
        id,
        shape ?? shapeFrom(footOf.get(id) as string),
      ])
      const shapes = new Float32Array(rows.length * 2 * SHAPE_PLACES)
      const bytes = new Uint8Array(shapes.buffer)
      rows.forEach(([, shape], i) => bytes.set(shape, i * 2 * SHAPE_PLACES * shapes.BYTES_PER_ELEMENT))
      return { ids: rows.map(([id]) => id), shapes }
    },
    /** Every state of a pattern, the newest first. */
    versions: (id: string): StoredPattern[] =>
      (versionRows.all(id) as { body: string }[]).map(({ body }) => JSON.parse(body) as StoredPattern),
    /** Every state of every pattern, each pattern's oldest first: for more than fit into memory. */
    *eachVersion(): IterableIterator<StoredPattern> {
      const rows = db.prepare('SELECT body FROM pattern_versions ORDER BY pattern_id, version').iterate()
      for (const row of rows) yield JSON.parse((row as { body: string }).body) as StoredPattern
    },
    /** Brings in an earlier state of a pattern that is here. */
    bringInVersion(pattern: StoredPattern): void {
      const { id, version, updatedAt } = pattern
      keepVersion.run({ id, version, updatedAt, body: JSON.stringify(pattern) })
    },
  }
}
