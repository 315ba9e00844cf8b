import type { ListedPicture, StoredPicture } from '@crescent/core'
import type { Db } from '../../database/db'
import { recordTable } from '../../database/record-table'

/** Queries on pictures that stay with a visit. */
export function pictures(db: Db) {
  const table = recordTable<StoredPicture>(db, 'pictures', {
    ...{ visitId: 'plain', side: 'plain', kind: 'plain', name: 'plain' },
    ...{ width: 'plain', height: 'plain', mmPerPixel: 'plain', marks: 'json', file: 'plain' },
  })
  // Files are not read for a list: they are what a picture weighs.
  const listed = db.prepare(
    `SELECT p.id, p.version, p.visit_id, p.side, p.kind, p.name, p.width, p.height, p.mm_per_pixel, p.marks,
       p.created_at, p.updated_at, v.date
     FROM pictures p JOIN visits v ON v.id = p.visit_id
     WHERE v.archived = 0 AND v.horse_id = @horseId
     ORDER BY v.date, p.created_at`,
  )
  const weight = db.prepare(
    'SELECT count(*) AS pictures, coalesce(sum(length(file)), 0) AS signs FROM pictures',
  )
  const large = db.prepare(
    `SELECT p.id, length(p.file) AS signs FROM pictures p JOIN visits v ON v.id = p.visit_id
     WHERE v.date < @before AND max(p.width, p.height) > @wide ORDER BY v.date`,
  )
  const gone = db.prepare('DELETE FROM pictures WHERE id = ?')
  const keepId = db.prepare('INSERT OR IGNORE INTO erased (id) VALUES (?)')
  return {
    ...table,
    /** Of a horse, the oldest first, without their files. */
    ofHorse: (horseId: string): ListedPicture[] =>
      (listed.all({ horseId }) as Record<string, unknown>[]).map((row) => {
        const { file: _none, ...picture } = table.fromRow({ ...row, file: '' })
        return { ...picture, date: row['date'] as string }
      }),
    /** How many there are, and how many bytes their files have. */
    weight: (): PicturesWeight => {
      const { pictures: count, signs } = weight.get() as { pictures: number; signs: number }
      return { pictures: count, bytes: bytesOf(signs) }
    },
    /** Those of visits before a day that are larger than so many pixels, the oldest first, and how many bytes each has. */
    larger: (before: string, wide: number): { id: string; bytes: number }[] =>
      (large.all({ before, wide }) as { id: string; signs: number }[]).map(({ id, signs }) => ({
        id,
        bytes: bytesOf(signs),
      })),
    /** Takes a picture out, and keeps its id so that nobody brings it back. */
    erase(id: string): void {
      keepId.run(id)
      gone.run(id)
    },
  }
}

/** How many pictures, and how many bytes their files have. */
export interface PicturesWeight {
  pictures: number
  bytes: number
}

const bytesOf = (signs: number): number => Math.round((signs * 3) / 4)
