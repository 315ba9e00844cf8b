import { Conflict } from '../../database/record-table'

/** What is stored; where it is stale that is told, and nothing comes back. */
export function unlessStale<T, Theirs>(put: () => T, tell: (theirs: Theirs) => void): T | undefined {
  try {
    return put()
  } catch (error) {
    if (!(error instanceof Conflict) || error.current === undefined) throw error
    tell(error.current as Theirs)
    return undefined
  }
}
