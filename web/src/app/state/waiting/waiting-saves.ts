import type { FootRecord, Pattern, Side } from '@crescent/core'
import { browserStore } from '../browser-store'

/** A foot with its pattern that somebody saved while the server was away: it is sent by itself until it is answered. */
export interface WaitingSave {
  visitId: string
  side: Side
  /** For whom, to be named where it cannot be stored in the end. */
  horse: string
  shoeing: { pattern: Pattern; record: FootRecord }
  /** The work it was made of, written down: what was changed since is still to be saved. */
  work: string
}

const KEY = 'waiting-saves'

/** What waits in this browser, the oldest first. */
export const waitingSaves = (): WaitingSave[] => browserStore.read<WaitingSave[]>(KEY) ?? []

const same = (a: WaitingSave, b: WaitingSave) => a.visitId === b.visitId && a.side === b.side

/**
 * Keeps a save until it is answered; a later one of the same foot stands in its place.
 *
 * @returns whether this browser keeps it: a full or forbidden store does not
 */
export function keepWaiting(save: WaitingSave): boolean {
  browserStore.write(KEY, [...waitingSaves().filter((one) => !same(one, save)), save])
  return waitingSaves().some((one) => same(one, save))
}

/** Saved since by hand: an older state must not go out after it. */
export function overtaken(visitId: string, side: Side): void {
  const waits = waitingSaves().find((one) => one.visitId === visitId && one.side === side)
  if (waits) forgetWaiting(waits)
}

/** It was answered. One that was saved again meanwhile waits on. */
export function forgetWaiting(save: WaitingSave): void {
  const sent = JSON.stringify(save.shoeing)
  const left = waitingSaves().filter((one) => !same(one, save) || JSON.stringify(one.shoeing) !== sent)
  if (left.length > 0) browserStore.write(KEY, left)
  else browserStore.remove(KEY)
}

/** The feet of a visit that wait. */
export const waitingSides = (visitId: string): Side[] =>
  waitingSaves()
    .filter((one) => one.visitId === visitId)
    .map(({ side }) => side)
