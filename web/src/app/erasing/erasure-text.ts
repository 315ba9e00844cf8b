import type { Erasure } from '@crescent/core'
import { many } from '../common/many'

/** What goes with a record that is erased, in a sentence. */
export function goesText({ horses, visits, feet, patterns }: Erasure): string {
  const parts = [
    ...(horses.length > 0 ? [`${many(horses.length, 'horse')} (${horses.join(', ')})`] : []),
    many(visits, 'visit'),
    many(feet, 'measured foot', 'measured feet'),
    `${many(patterns, 'pattern')} with all versions`,
  ]
  return `${parts.join(', ')} go.`
}

/** Who still has it afterwards. */
export const backupsText = ({ backups }: Erasure): string =>
  backups > 0
    ? `${many(backups, 'backup')} beside the data still hold it, and so does any copy that was taken elsewhere: take those away yourself if it must be gone everywhere.`
    : 'Copies of the data that were taken elsewhere still hold it.'

/** It went, but not yet out of the file. */
export const tracesText = (name: string): string =>
  `${name} is erased. The disk did not let it be written over in the file, though: make room, then start Crescent anew, which tries again by itself.`
