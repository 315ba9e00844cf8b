import { createRequire } from 'node:module'
import { Worker } from 'node:worker_threads'

const ENGINE = createRequire(import.meta.url).resolve('better-sqlite3')

/** What the thread does: opens the file, runs one thing, answers. As text, so that it needs no file of its own when built. */
const THREAD = `
  const { parentPort, workerData } = require('node:worker_threads')
  const db = require(workerData.engine)(workerData.file, { readonly: workerData.readonly })
  db.pragma('busy_timeout = 5000')
  db.pragma('secure_delete = ON')
  try {
    let answer
    for (const { pragma, sql } of workerData.steps) answer = pragma ? db.pragma(pragma, { simple: true }) : db.exec(sql) && null
    parentPort.postMessage(answer)
  } finally {
    db.close()
  }
`

/** Something to be run on a database: a pragma, or SQL without an answer. */
export type Step = { pragma: string } | { sql: string }

/**
 * Runs something long on a database file in a thread of its own, so that requests are answered meanwhile.
 *
 * @returns what the last pragma answered
 */
export function beside(file: string, steps: readonly Step[], readonly = false): Promise<unknown> {
  return new Promise((done, fail) => {
    const thread = new Worker(THREAD, { eval: true, workerData: { engine: ENGINE, file, steps, readonly } })
    thread.once('message', done)
    thread.once('error', fail)
    thread.once('exit', (code) => {
      if (code !== 0) fail(new Error(`The thread beside ended with ${code}`))
    })
  })
}
