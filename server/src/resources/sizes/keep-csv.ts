import type { Size } from '@crescent/core'
import { randomUUID } from 'node:crypto'
import { BadRequest } from '../../http/door'
import { alone } from '../../http/route'
import { inTurns, onItsOwn } from '../../in-turns'
import type { Practice } from '../../practice'
import type { CsvRead, CsvRow } from './csv'

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
 * stored twice: the same file sent again changes nothing. A long table is one transaction on a connection of its own, so
 * that who only reads is served in between; who writes meanwhile is asked to come again.
 *
 * @returns how many were stored
 * @throws BadRequest with the errors of every row, where there are any
 * @throws Busy where something else is under way that nothing may change the data beside
 */
export async function keepCsv(practice: Practice, { rows, errors }: CsvRead): Promise<number> {
  const wrong = rows.flatMap(({ line, errors }) =>
    errors.map(({ path, message }) => ({
      path: `rows.${line}.${path}`,
      message: `Line ${line}, ${path}: ${message}`,
    })),
  )
  if (errors.length + wrong.length > 0) throw new BadRequest([...errors, ...wrong])
  await alone(practice, 'A table of sizes is being stored', () =>
    onItsOwn(practice.db.name, (own) => putRows(own, rows)),
  )
  return rows.length
}

function putRows(practice: Practice, rows: readonly CsvRow[]): Promise<void> {
  const { sizes } = practice
  return inTurns(practice, async (pause) => {
    const known = new Map<string, Size>()
    for (const size of sizes.each()) {
      if (!size.archived) known.set(nameOf(size), size)
      await pause()
    }
    for (const { size } of rows) {
      if (!size) continue
      const { id, version } = known.get(nameOf(size)) ?? { id: randomUUID(), version: 0 }
      known.set(nameOf(size), sizes.put({ ...size, id, version }))
      await pause()
    }
  })
}
