import { fork } from 'node:child_process'
import { basename } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Losses } from '@crescent/core'
import { NotABackup } from './backup'
import { TooNew } from './open'

/** What a process that looks through a file says at its end. */
export type Looked = { sound: true; losses?: Losses } | { sound: false; why: string; tooNew: boolean }

/** Looking through so much takes a fraction of this, s. */
const PATIENCE = 120
/** More no practice takes, MB. */
const MOST_MEMORY = 1_536

const SOURCES = import.meta.url.endsWith('.ts')
const LOOKING = fileURLToPath(new URL(SOURCES ? '../looking.ts' : './looking.js', import.meta.url))

/**
 * Looks through a file from elsewhere as the server would use it: opened, brought up to date, held against what this
 * Crescent makes, every record read. In a process of its own that is ended after a while: what a foreign file makes a
 * database do may have no end, and a thread cannot be ended in the middle of it. The file is brought up to date by it.
 *
 * @param than a practice that is open: then it is told what of it is not in the file
 * @throws NotABackup with the reason; TooNew
 */
export async function lookThrough(
  file: string,
  than?: string,
  seconds = PATIENCE,
): Promise<Losses | undefined> {
  const looked = await new Promise<Looked>((done) => {
    const refused = (why: string) => done({ sound: false, why, tooNew: false })
    const process = fork(LOOKING, [file, ...(than === undefined ? [] : [than])], {
      execArgv: [...(SOURCES ? ['--import', 'tsx'] : []), `--max-old-space-size=${MOST_MEMORY}`],
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    })
    const late = setTimeout(() => {
      refused(`to look through it takes longer than ${seconds} s`)
      process.kill('SIGKILL')
    }, seconds * 1_000)
    process.once('message', (message) => done(message as Looked))
    process.once('error', (error) => refused(error.message))
    process.once('exit', (code) => {
      clearTimeout(late)
      refused(`to look through it ended with ${code}`)
    })
  })
  if (looked.sound) return looked.losses
  if (looked.tooNew) throw new TooNew(looked.why)
  throw new NotABackup(`${basename(file)} is not a sound Crescent backup: ${looked.why}. Nothing was changed`)
}
