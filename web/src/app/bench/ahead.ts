import { bring } from './brought'
import { REST } from './rest'
import { STEPS } from './steps'

/** Menu, pictures and dialogs of the Bench and what they are made of: a save must not fail for want of its question. */
const DIALOGS: readonly (() => Promise<unknown>)[] = [
  () => import('./bench-menu'),
  () => import('./slip/agreed-list'),
  () => import('./agreed-titles'),
  () => import('../help/rule-picture'),
  () => import('@angular/material/tooltip'),
  () => import('@angular/material/dialog'),
  () => import('@angular/material/snack-bar'),
  () => import('./keep/save-dialog'),
  () => import('./keep/finish-dialog'),
  () => import('./keep/conflict-dialog'),
  () => import('./keep/pattern-dialog'),
  () => import('./keep/visit-dialog'),
  () => import('./steps/look/finding-dialog'),
  () => import('./steps/look/gate-dialog'),
]

/**
 * Fetches the other steps and the dialogs once the Bench stands: they are there when they are wanted, and where the
 * server is out of reach by then. What cannot be fetched now says so when it is opened.
 */
export function fetchAhead(): ReturnType<typeof setTimeout> {
  return setTimeout(() => {
    for (const { panel, beside, inSlip, views } of STEPS) {
      const light = views.filter(({ heavy }) => !heavy).map(({ drawing }) => drawing)
      for (const part of [panel, beside, inSlip, ...light]) if (part) void bring(part).catch(() => undefined)
    }
    for (const dialog of DIALOGS) void dialog().catch(() => undefined)
  }, REST)
}
