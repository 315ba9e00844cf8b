// What a thread beside runs: routes that would hold the server up, on a connection that only reads.
import { statSync } from 'node:fs'
import { answerAsked } from './http/beside/answer'
import { routeKey, type Asked } from './http/beside/asked'
import { DataGone } from './database/faults'
import { openToRead } from './database/open'
import { practiceOn, type Practice } from './practice'
import { routes } from './resources'

const byKey = new Map(routes.map((route) => [routeKey(route), route]))

let open: { file: string; inode: number; practice: Practice } | undefined

/** The practice of a file; opened anew where another file was put in its place. */
function practiceOf(file: string): Practice {
  const there = statSync(file, { throwIfNoEntry: false })
  if (!there) throw new DataGone('The data is not where it was: try again, or put its folder back')
  const { ino } = there
  if (open?.file !== file || open.inode !== ino) {
    open?.practice.db.close()
    open = undefined
    open = { file, inode: ino, practice: practiceOn(openToRead(file)) }
  }
  return open.practice
}

/** Answers one request. Asked for nothing it is only ready. */
export default async function answer(asked: Asked | null): Promise<unknown> {
  if (!asked) return null
  const route = byKey.get(asked.route)
  if (!route) throw new Error(`No route ${asked.route}`)
  const answered = await answerAsked(route, () => practiceOf(asked.file), asked)
  return 'file' in answered && typeof answered.file !== 'string'
    ? { ...answered, file: plain(answered.file) }
    : answered
}

/** Copied with nothing beside it: a small Buffer lies in memory that others use too. */
const plain = (bytes: Uint8Array): Uint8Array =>
  bytes.byteLength === bytes.buffer.byteLength ? bytes : new Uint8Array(bytes)
