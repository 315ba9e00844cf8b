import type { Size } from '@crescent/core'
import { randomUUID } from 'node:crypto'
import type { Practice } from '../../practice'
import { BadRequest } from '../../http/door'
import type { CsvRead } from './csv'

/** What a size is known by in the table. */
export const nameOf = ({
  range,
  label,
  kind,
  feet,
}: Pick<Size, 'range' | 'label' | 'kind' | 'feet'>): string =>
  JSON.stringify([range.toLowerCase(), label.toLowerCase(), kind, feet])

/**
 * Stores all rows of a table that was read, or none. A size of the same range, label, kind and feet is changed, not
 * stored twice: the same file sent again changes nothing.
 *
 * @returns how many were stored
 * @throws BadRequest with the errors of every row, where there are any
 */
export function keepCsv({ db, sizes }: Practice, { rows, errors }: CsvRead): number {
  const wrong = rows.flatMap(({ line, errors }) =>
    errors.map(({ path, message }) => ({
      path: `rows.${line}.${path}`,
      message: `Line ${line}, ${path}: ${message}`,
    })),
  )
  if (errors.length + wrong.length > 0) throw new BadRequest([...errors, ...wrong])
  return db
    .transaction(() => {
      const known = new Map(sizes.all().map((size) => [nameOf(size), size]))
      for (const { size } of rows) {
        if (!size) continue
        const before = known.get(nameOf(size))
        const { id, version } = before ?? { id: randomUUID(), version: 0 }
        known.set(nameOf(size), sizes.put({ ...size, id, version }))
      }
      return rows.length
    })
    .immediate()
}
