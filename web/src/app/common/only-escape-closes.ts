import type { MatDialogRef } from '@angular/material/dialog'

/** A tap beside a dialog in which places were set does not throw them away; Escape closes it as ever. */
export function onlyEscapeCloses(dialog: MatDialogRef<unknown, unknown>): void {
  dialog.disableClose = true
  dialog.keydownEvents().subscribe(({ key }) => {
    if (key === 'Escape') dialog.close()
  })
}
