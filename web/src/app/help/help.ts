import { inject, Injectable, signal } from '@angular/core'
import { MatDialog } from '@angular/material/dialog'

/** Opens the help of a place, a step or a dialog. */
@Injectable({ providedIn: 'root' })
export class Help {
  private readonly dialog = inject(MatDialog)
  /** What is explained where the farrier stands now. */
  readonly here = signal('round')

  async open(topic: string): Promise<void> {
    const { HelpDialog } = await import('./help-dialog')
    this.dialog.open(HelpDialog, { data: topic, width: '720px', maxWidth: '94vw', autoFocus: 'dialog' })
  }
}
