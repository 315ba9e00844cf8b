import { createHash, randomBytes, scryptSync, timingSafeEqual } from 'node:crypto'
import { chmodSync } from 'node:fs'
import Database from 'better-sqlite3'
import { PRIVATE_FILE } from '../database/files'

/** How long somebody stays signed in, ms. */
export const STAYS = 30 * 24 * 3_600_000
/** How often it is written down that a session was used, ms. */
const SEEN_EVERY = 600_000

/** Somebody who is signed in, as it is listed. */
export interface Session {
  /** Names it, and says nothing of its token. */
  id: string
  begun: string
  seen: string
  /** What the browser calls itself. */
  what: string
}

/**
 * Who is signed in, in a small file of its own beside the data: it outlives a restart, and neither backups nor what is put
 * back touch it. Tokens are kept as hashes: who could read the file could not sign in with it.
 */
export class Sessions {
  private readonly db: Database.Database
  private readonly seen = new Map<string, number>()

  /** @param password where it is another than before, nobody is signed in any more */
  constructor(file: string, password: string) {
    this.db = new Database(file)
    if (file !== ':memory:') chmodSync(file, PRIVATE_FILE)
    this.db.exec(`
      CREATE TABLE IF NOT EXISTS sessions (hash TEXT PRIMARY KEY, begun INTEGER NOT NULL, seen INTEGER NOT NULL, what TEXT NOT NULL);
      CREATE TABLE IF NOT EXISTS password (salt BLOB NOT NULL, hash BLOB NOT NULL)`)
    if (!this.isOf(password)) this.beginAnew(password)
  }

  /** @returns the token of a new session */
  begin(what: string): string {
    const token = randomBytes(32).toString('base64url')
    const now = Date.now()
    this.db.prepare('DELETE FROM sessions WHERE seen < ?').run(now - STAYS)
    this.db
      .prepare('INSERT INTO sessions (hash, begun, seen, what) VALUES (@hash, @now, @now, @what)')
      .run({ hash: digest(token), now, what: what.slice(0, 200) })
    return token
  }

  /** The session of one of these tokens; undefined where none is one. */
  of(tokens: readonly string[]): Session | undefined {
    for (const token of tokens) {
      const hash = digest(token)
      const found = this.db
        .prepare('SELECT * FROM sessions WHERE hash = ? AND seen > ?')
        .get(hash, Date.now() - STAYS)
      if (!found) continue
      this.use(hash)
      return asListed(found as Row)
    }
    return undefined
  }

  all(): Session[] {
    const rows = this.db
      .prepare('SELECT * FROM sessions WHERE seen > ? ORDER BY seen DESC')
      .all(Date.now() - STAYS)
    return (rows as Row[]).map(asListed)
  }

  end(id: string): void {
    for (const { hash } of this.db.prepare('SELECT hash FROM sessions').all() as Row[])
      if (idOf(hash) === id) this.db.prepare('DELETE FROM sessions WHERE hash = ?').run(hash)
  }

  private use(hash: string): void {
    const now = Date.now()
    if (now - (this.seen.get(hash) ?? 0) < SEEN_EVERY) return
    this.seen.set(hash, now)
    this.db.prepare('UPDATE sessions SET seen = ? WHERE hash = ?').run(now, hash)
  }

  private isOf(password: string): boolean {
    const kept = this.db.prepare('SELECT salt, hash FROM password').get() as
      { salt: Buffer; hash: Buffer } | undefined
    return kept !== undefined && timingSafeEqual(scryptSync(password, kept.salt, 32), kept.hash)
  }

  private beginAnew(password: string): void {
    const salt = randomBytes(16)
    this.db.transaction(() => {
      this.db.exec('DELETE FROM sessions; DELETE FROM password')
      this.db
        .prepare('INSERT INTO password (salt, hash) VALUES (?, ?)')
        .run(salt, scryptSync(password, salt, 32))
    })()
  }
}

interface Row {
  hash: string
  begun: number
  seen: number
  what: string
}

const digest = (token: string): string => createHash('sha256').update(token).digest('hex')
const idOf = (hash: string): string => digest(hash).slice(0, 16)
const asListed = ({ hash, begun, seen, what }: Row): Session => ({
  ...{ id: idOf(hash), begun: new Date(begun).toISOString(), seen: new Date(seen).toISOString(), what },
})
