import type { MatDialogRef } from '@angular/material/dialog'

/** What lets a dialog be closed, and what watches whether something was typed in it. */
export interface ClosingGuard {
  mayClose: (result: unknown) => boolean
  over: <D extends MatDialogRef<unknown, unknown>>(dialog: D) => D
}

/** Words that are looked for are no work: they may go. */
const isWork = (target: EventTarget | null): boolean =>
  target instanceof HTMLTextAreaElement ||
  (target instanceof HTMLInputElement &&
    !['search', 'checkbox', 'radio', 'range', 'file', 'color', 'button'].includes(target.type))

/**
 * Keeps a dialog in which something was typed from being closed by Escape or a tap beside it: first it is asked. Its own
 * buttons close it as ever.
 *
 * @param ask whether what was typed may be thrown away
 */
export function keptFromClosing(ask: () => Promise<boolean>): ClosingGuard {
  let typed = false
  let asking = false
  let dialog: MatDialogRef<unknown, unknown> | undefined
  const asked = async (): Promise<void> => {
    asking = true
    const gone = await ask()
    asking = false
    if (!gone) return
    typed = false
    dialog?.close()
  }
  return {
    mayClose: (result) => {
      // A button of the dialog closes it with something, be it nothing typed; Escape and a tap beside with nothing at all.
      if (result !== undefined || !typed) return true
      if (!asking) void asked()
      return false
    },
    over: (opened) => {
      dialog = opened
      // Tests open none that stands on a page.
      const box = document.getElementById(opened.id)
      box?.addEventListener('input', ({ target }) => (typed ||= isWork(target)))
      return opened
    },
  }
}
