import type { Refusal } from '@crescent/core'

/** What kind of work goes beside: how long it may take, and how much memory a thread of it may fill, MB. */
export const BESIDE_KINDS = {
  /** Worked out of what was sent: a ranking, bends, an outline. */
  reckoning: { seconds: 15, memory: 384 },
  /** Gone through in the database: a week, a calendar, a horse's library. */
  reading: { seconds: 15, memory: 512 },
  /** Drawn as a file: paper, a solid. */
  drawing: { seconds: 30, memory: 768 },
} as const
export type BesideKind = keyof typeof BESIDE_KINDS

/** A request as it is handed to a thread: plain data. */
export interface Asked {
  /** The database file and the folder it lies in. */
  file: string
  dataFolder: string
  /** Which route: `GET /round/week`. */
  route: string
  params: Record<string, string>
  query: Record<string, unknown>
  /** What was sent, unread, and whether it is JSON; nothing where nothing was. */
  text?: string
  json?: boolean
}

/** What is done with the response, in order: names of Express's own methods with what they are given. */
export type Said = [method: 'attachment' | 'type' | 'set', ...values: string[]]

/** An answer as it comes back: plain data. */
export type Answered =
  | { json: string; said: Said[] }
  | { file: Uint8Array | string; said: Said[] }
  | { refused: [status: number, body: Refusal]; fault?: string }

/** What names a route among all. */
export const routeKey = ({ method, path }: { method: string; path: string }): string =>
  `${method.toUpperCase()} ${path}`
