import { join } from 'node:path'
import { multistream, pino, type Logger } from 'pino'
import { createStream } from 'rotating-file-stream'
import { PRIVATE_FILE, privateFolder } from '../database/files'

/** A file of the log is closed when it has grown so far, and so many closed ones are kept. */
const LARGEST = '10M'
const KEPT = 5

/** What the server writes down: on the screen it was begun from, and in `logs` of the data folder, which never outgrows the disk. */
export function openLog(level: string, dataFolder: string): Logger {
  const folder = privateFolder(join(dataFolder, 'logs'))
  const file = createStream('crescent.log', {
    ...{ path: folder, size: LARGEST, maxFiles: KEPT, mode: PRIVATE_FILE },
  })
  // A full disk must not end the server: what it says of itself is still on the screen.
  file.on('error', () => undefined)
  return pino(
    { level },
    multistream([
      { stream: process.stdout, level: 'trace' },
      { stream: file, level: 'trace' },
    ]),
  )
}
