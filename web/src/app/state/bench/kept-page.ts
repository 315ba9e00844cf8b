import type { VisitPage } from '@crescent/core'
import { browserStore } from '../browser-store'

const keyOf = (visitId: string): string => `page.${visitId}`

/** A visit with unsaved work as it was read last: its Bench opens while the server is away. */
export const keptPage = (visitId: string): VisitPage | undefined =>
  browserStore.read<VisitPage>(keyOf(visitId))

/** Keeps the page of a visit for as long as work on it is not saved. */
export function keepPage(page: VisitPage, unsaved: boolean): void {
  if (unsaved) browserStore.write(keyOf(page.visit.id), page)
  else browserStore.remove(keyOf(page.visit.id))
}
