import { inject, Injectable, signal } from '@angular/core'
import { Dialogs } from '../common/dialogs'

/** Opens the help of a place, a step or a dialog. */
@Injectable({ providedIn: 'root' })
export class Help {
  private readonly dialogs = inject(Dialogs)
  /** What is explained where the farrier stands now. */
  readonly here = signal('round')

  async open(topic: string): Promise<void> {
    await this.dialogs.ask(() => import('./help-dialog').then((m) => m.HelpDialog), {
      ...{ data: topic, width: '720px', maxWidth: '94vw', autoFocus: 'dialog' },
    })
  }
}
