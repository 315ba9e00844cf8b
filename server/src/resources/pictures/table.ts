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
  return {
    ...table,
    /** Of a horse, the oldest first, without their files. */
    ofHorse: (horseId: string): ListedPicture[] =>
      (listed.all({ horseId }) as Record<string, unknown>[]).map((row) => {
        const { file: _none, ...picture } = table.fromRow({ ...row, file: '' })
        return { ...picture, date: row['date'] as string }
      }),
    /** How many there are, and how many bytes their files have. */
    weight: (): { pictures: number; bytes: number } => {
      const { pictures: count, signs } = weight.get() as { pictures: number; signs: number }
      return { pictures: count, bytes: Math.round((signs * 3) / 4) }
    },
  }
}
