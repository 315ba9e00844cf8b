import { JSONParser, TokenType } from '@streamparser/json'
import type { ImportReport, StoredPattern } from '@crescent/core'
import { BadRequest, problemsOf, type RequestProblem } from '../../http/door'
import { HEAD, LISTS } from './lists'
import { isAhead } from '../../database/stamps'
import { inTurns, onItsOwn } from '../../in-turns'
import type { Practice } from '../../practice'
import type { Stored } from '../../database/record-rows'
import { Conflict, sameContent } from '../../database/record-table'

/** After so many problems the rest of a file is not looked at. */
const ENOUGH_PROBLEMS = 100
/** As many that were kept are named. */
const NAMED = 200
/** So many letters are read at once: a whole piece of a file holds a hundred records. */
const AT_ONCE = 8_192
/** No record is longer, a picture with its file among them, letters: what goes on longer is not held to its end. */
const LARGEST = 12_000_000

/**
 * Brings in a library as it arrives: what is not here is added as it was, what is here stays as it is. All or nothing: it
 * is one transaction, on a connection of its own.
 *
 * @throws BadRequest with what does not fit; nothing is brought in then, nor where the sender breaks off
 */
export function importLibrary(file: string, source: AsyncIterable<Uint8Array>): Promise<ImportReport> {
  return onItsOwn(file, (practice) => takeLibrary(practice, source))
}

/**
 * Takes a library into a practice that nobody else writes to by this connection: all of it, or nothing.
 *
 * @throws BadRequest with what does not fit
 */
export function takeLibrary(practice: Practice, source: AsyncIterable<Uint8Array>): Promise<ImportReport> {
  return inTurns(practice, async (pause) => {
    practice.db.pragma('defer_foreign_keys = ON')
    const intake = new Intake(practice)
    for await (const value of valuesOf(source)) {
      intake.take(value)
      if (intake.problems.length >= ENOUGH_PROBLEMS) break
      await pause()
    }
    intake.finish()
    if (intake.problems.length > 0) throw new BadRequest(intake.problems)
    return intake.report
  })
}

/** A value of the file: of the head, or a record of a list with its place in it. */
interface Value {
  list?: string
  key: string | number
  value: unknown
}

/** The values of a library in the order of the file; never more of it in memory than one piece holds. */
async function* valuesOf(source: AsyncIterable<Uint8Array>): AsyncGenerator<Value> {
  const ready: Value[] = []
  // Were a list itself asked for, all its records would be held until its end.
  const paths = [...Object.keys(HEAD).map((key) => `$.${key}`), '$.*.*']
  const parser = new JSONParser({ paths, keepStack: false })
  let opened = false
  /** Letters since the last value was whole. */
  let since = 0
  parser.onToken = ({ token }) => {
    // A library is an object: of anything else no path would tell.
    if (!opened && token !== TokenType.LEFT_BRACE) throw new Error('no object')
    opened = true
  }
  parser.onValue = ({ value, key, stack }) => {
    if (stack.length > 1) ready.push({ list: String(stack[1]?.key), key: key!, value })
    else ready.push({ key: key!, value })
  }
  try {
    for await (const piece of source) {
      for (let at = 0; at < piece.length; at += AT_ONCE) {
        parser.write(piece.subarray(at, at + AT_ONCE))
        since = ready.length > 0 ? 0 : since + AT_ONCE
        if (since > LARGEST) throw new Error('a value without end')
        yield* ready.splice(0)
      }
    }
    if (!parser.isEnded) parser.end()
  } catch (error) {
    if (isAbort(error)) throw error
    throw new BadRequest([{ path: 'format', message: NO_LIBRARY }])
  }
  yield* ready.splice(0)
}

const NO_LIBRARY = 'This file is no library of Crescent. A library is the file that “Library out” writes.'

const isAbort = (error: unknown): boolean =>
  ['ECONNRESET', 'ERR_STREAM_PREMATURE_CLOSE', 'ABORT_ERR'].includes(
    String((error as { code?: unknown }).code),
  )

/** Takes the values of a library one after the other. */
class Intake {
  readonly report: ImportReport = { added: 0, unchanged: 0, kept: [], keptMore: 0 }
  readonly problems: RequestProblem[] = []
  private readonly head = new Set<string>()
  private readonly lists = new Set<string>()
  private list: string | undefined
  /** Versions that came before the patterns they are of: nobody knows yet whether they are wanted. */
  private readonly early: StoredPattern[] = []
  /** Versions of these are wanted: from when they were new here, or of those before what is stored. */
  private readonly versionsOf = new Map<string, number>()

  constructor(private readonly practice: Practice) {}

  take({ list, key, value }: Value): void {
    if (list === undefined) return this.takeHead(String(key), value)
    // By its own name only: what every object has besides is no list.
    const known = Object.hasOwn(LISTS, list) ? LISTS[list] : undefined
    if (!known) return this.refuse(list, 'is not known')
    this.follow(list)
    const path = `${list}.${key}`
    const read = known.schema.safeParse(value)
    if (!read.success) {
      for (const problem of problemsOf(read.error)) this.refuse(`${path}.${problem.path}`, problem.message)
      return
    }
    const record = read.data
    for (const key of ['createdAt', 'updatedAt'] as const)
      if (isAhead(record[key]))
        this.refuse(`${path}.${key}`, 'lies after tomorrow: the clock it comes from was wrong')
    for (const problem of known.check(record)) this.refuse(`${path}.${problem.path}`, problem.message)
    if (this.problems.length > 0) return
    if (list === 'patternVersions')
      if (this.lists.has('patterns')) this.bringVersion(record as StoredPattern)
      else this.early.push(record as StoredPattern)
    else this.bring(list, record)
  }

  /** Whether everything was there, once the file is at its end. */
  finish(): void {
    if (this.problems.length >= ENOUGH_PROBLEMS) return
    for (const [key, schema] of Object.entries(HEAD))
      if (!this.head.has(key) && !schema.safeParse(undefined).success)
        this.refuse(key, 'Invalid input: received undefined')
    if (this.problems.length === 0) for (const version of this.early) this.bringVersion(version)
  }

  private takeHead(key: string, value: unknown): void {
    this.head.add(key)
    const schema = Object.hasOwn(HEAD, key) ? HEAD[key as keyof typeof HEAD] : undefined
    const read = schema?.safeParse(value)
    if (!read) this.refuse(key, 'is not known')
    else if (!read.success) this.refuse(key, problemsOf(read.error)[0]!.message)
    else if (key === 'practice') this.name(String(read.data))
  }

  /** A practice that has no name yet takes that of the library. */
  private name(name: string): void {
    const { facts } = this.practice
    if (facts.current().name === '' && !facts.current().demo) facts.set({ name })
  }

  /** Lists may stand in any order, each once: whatever sorts a file by its keys may have been at it. */
  private follow(list: string): void {
    if (this.list === list) return
    if (this.lists.has(list)) this.refuse(list, 'stands twice in the file')
    this.lists.add(list)
    this.list = list
  }

  private bring(list: string, record: Stored): void {
    const { kind, table } = LISTS[list]!
    const place = table(this.practice)
    const stored = place.get(record.id)
    if (stored && sameContent(stored, record)) {
      this.report.unchanged++
      // What is here has versions of its own; only older ones that are missing may be added to them.
      if (list === 'patterns') this.versionsOf.set(record.id, Math.min(stored.version, record.version))
    } else if (stored || !tryBringIn(() => place.bringIn(record))) this.keep(kind, record.id)
    else {
      this.report.added++
      if (list === 'patterns') this.versionsOf.set(record.id, Infinity)
    }
  }

  private bringVersion(version: StoredPattern): void {
    const before = this.versionsOf.get(version.id)
    if (before !== undefined && version.version < before) this.practice.patterns.bringInVersion(version)
  }

  private keep(kind: string, id: string): void {
    if (this.report.kept.length < NAMED) this.report.kept.push({ kind, id })
    else this.report.keptMore++
  }

  private refuse(path: string, message: string): void {
    if (this.problems.length < ENOUGH_PROBLEMS) this.problems.push({ path, message })
  }
}

/** False where another record already stands for the same foot of the same visit. */
function tryBringIn(bring: () => unknown): boolean {
  try {
    bring()
    return true
  } catch (error) {
    if (error instanceof Conflict) return false
    throw error
  }
}
