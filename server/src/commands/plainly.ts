import { faultInWords } from '../database/faults'

// Nobody but the farrier's own account reads what this writes.
process.umask(0o077)

const noFolder = (error: unknown): string | undefined =>
  /^(ENOENT|ENOTDIR|EEXIST)$/.test(String((error as NodeJS.ErrnoException).code))
    ? `This is no folder that data can be kept in: ${(error as NodeJS.ErrnoException).path ?? ''}`
    : undefined

/** Says a fault in a sentence and ends with 1; a stack trace is for faults nobody foresaw. */
export function failPlainly(error: unknown): never {
  const words = faultInWords(error) ?? noFolder(error)
  const { message, code, stack } = error as NodeJS.ErrnoException
  // Our own refusals are sentences already; what has a code comes from system or database.
  console.error(
    words ? `${words} (${code}).` : code === undefined && !(error instanceof TypeError) ? message : stack,
  )
  process.exit(1)
}
