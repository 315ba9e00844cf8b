import { faultInWords } from '../database/faults'

// Nobody but the farrier's own account reads what this writes.
process.umask(0o077)

/** Says a fault in a sentence and ends with 1; a stack trace is for faults nobody foresaw. */
export function failPlainly(error: unknown): never {
  const words = faultInWords(error)
  const { message, code, stack } = error as NodeJS.ErrnoException
  // Our own refusals are sentences already; what has a code comes from system or database.
  console.error(
    words ? `${words} (${code}).` : code === undefined && !(error instanceof TypeError) ? message : stack,
  )
  process.exit(1)
}
