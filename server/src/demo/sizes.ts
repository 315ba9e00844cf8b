import type { Practice } from '../practice'
import { readCsv } from '../resources/sizes/csv'
import { idFor } from './made-up'

/**
 * Writes the factory sizes of the demo practice, read as any table is.
 *
 * @throws Error when the table cannot be read: it ships with the program
 */
export function seedSizes({ sizes }: Practice, csv: string): void {
  const { rows, errors } = readCsv(csv)
  const wrong = [...errors, ...rows.flatMap((row) => row.errors)]
  if (csv !== '' && wrong.length > 0) throw new Error(`demo sizes: ${wrong[0]!.path} ${wrong[0]!.message}`)
  for (const { size } of rows)
    if (size) sizes.put({ ...size, id: idFor('size', size.range, size.label), version: 0 })
}
