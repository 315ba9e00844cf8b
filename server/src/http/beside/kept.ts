import type { Practice } from '../../practice'
import type { Answered } from './asked'

/** As many answers are kept, those asked for last. */
const MOST = 60
/** A longer one is worked out each time, characters. */
const LONGEST = 2_000_000

/**
 * Answers that only follow from what is stored, kept until something is. Asked for again they are not worked out again:
 * a calendar is read every quarter of an hour, a week each time it is looked at.
 */
export class KeptAnswers {
  private readonly answers = new Map<string, Answered>()
  /** Of the data they follow from. */
  private of = ''

  constructor(private readonly practice: Practice) {}

  /** What was answered to the same, where nothing was stored since. */
  get(key: string): Answered | undefined {
    this.forgetStale()
    const kept = this.answers.get(key)
    if (!kept) return undefined
    // Last in the order in which they are forgotten.
    this.answers.delete(key)
    this.answers.set(key, kept)
    return kept
  }

  /** @param state of the data when the answer was begun */
  keep(key: string, state: string, answered: Answered): void {
    if ('refused' in answered || sizeOf(answered) > LONGEST || state !== this.state()) return
    this.forgetStale()
    this.answers.set(key, answered)
    const [oldest] = this.answers.keys()
    if (this.answers.size > MOST && oldest !== undefined) this.answers.delete(oldest)
  }

  /** What was erased must not lie here either. */
  private forgetStale(): void {
    const now = this.state()
    if (now === this.of) return
    this.of = now
    this.answers.clear()
  }

  /** What changes with everything that is stored, here or by another, and with the file that is open. */
  state(): string {
    const { db } = this.practice
    const moved = db.prepare('SELECT data_version, total_changes() FROM pragma_data_version').raw().get()
    // What an answer says of days changes at midnight.
    return `${String(moved)} ${opening(db)} ${new Date().toDateString()}`
  }
}

const sizeOf = (answered: Exclude<Answered, { refused: unknown }>): number =>
  'json' in answered ? answered.json.length : answered.file.length

let openings = 0
const numbers = new WeakMap<object, number>()

/** A number of its own for every database that was opened. */
function opening(db: object): number {
  const number = numbers.get(db) ?? ++openings
  numbers.set(db, number)
  return number
}
