import { randomBytes, scrypt, scryptSync, timingSafeEqual } from 'node:crypto'
import { setTimeout as pause } from 'node:timers/promises'
import { promisify } from 'node:util'

/** So many wrong passwords of a caller are answered at once; each further one twice as late, up to two seconds. */
const FREE_TRIES = 3
const FIRST_WAIT = 250
const LONGEST_WAIT = 2_000
/** So many of one caller's are judged at once; a hand has one. */
const AT_ONCE = 4
/** A caller who was quiet so long begins anew, ms of a clock that only runs on. */
const FORGOTTEN = 600_000

/** How a password is refused. */
export interface RefusedPassword {
  status: 401 | 429
  /** s until it may be tried again. */
  wait?: number
  message: string
}

interface Caller {
  wrong: number
  judged: number
  last: number
}

const hashed = promisify<string, Buffer, number, Buffer>(scrypt)

/**
 * Judges passwords. Wrong ones are answered late, caller by caller: who guesses waits for each answer, and nobody else does.
 * The right one is never held up by others.
 */
export class Passwords {
  private readonly salt = randomBytes(16)
  private readonly hash: Buffer
  private readonly callers = new Map<string, Caller>()

  constructor(password: string) {
    this.hash = scryptSync(password, this.salt, 32)
  }

  /** @returns how it is refused; undefined where it is the right one */
  async judge(from: string, given: string): Promise<RefusedPassword | undefined> {
    const caller = this.callerOf(from)
    if (caller.judged >= AT_ONCE) {
      const wait = LONGEST_WAIT / 1_000
      return { status: 429, wait, message: `Too many passwords at once: wait ${wait} s` }
    }
    caller.judged++
    try {
      if (timingSafeEqual(await hashed(given, this.salt, 32), this.hash)) {
        caller.wrong = 0
        return undefined
      }
      const late = ++caller.wrong - FREE_TRIES
      if (late > 0) await pause(Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** (late - 1)))
      return { status: 401, message: 'This is not the password of this practice' }
    } finally {
      caller.judged--
      caller.last = performance.now()
    }
  }

  private callerOf(from: string): Caller {
    const now = performance.now()
    for (const [key, { judged, last }] of this.callers)
      if (judged === 0 && now - last > FORGOTTEN) this.callers.delete(key)
    const known = this.callers.get(from) ?? { wrong: 0, judged: 0, last: now }
    this.callers.set(from, known)
    return known
  }
}
