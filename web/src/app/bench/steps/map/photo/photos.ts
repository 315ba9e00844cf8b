import { inject, Injectable } from '@angular/core'
import type { TracedFoot, Vec } from '@crescent/core'
import { Dialogs } from '../../../../common/dialogs'
import type { FromPhoto, PhotoDialogData } from './photo-dialog'

/** Asks for a photograph, of whichever is wanted; nothing where none was taken. */
@Injectable({ providedIn: 'root' })
export class Photos {
  private readonly dialogs = inject(Dialogs)

  /** The outline of a foot, with figures of its sole. */
  async foot(): Promise<Extract<FromPhoto, { foot: TracedFoot }> | undefined> {
    const taken = await this.ask('foot')
    return taken && 'foot' in taken ? taken : undefined
  }

  /** The middle of a shoe's web from its outer to its inner heel, mm. */
  async shoe(): Promise<readonly Vec[] | undefined> {
    const taken = await this.ask('shoe')
    return taken && 'shape' in taken ? taken.shape : undefined
  }

  private ask(object: PhotoDialogData['object']): Promise<FromPhoto | undefined> {
    return this.dialogs.ask<FromPhoto, PhotoDialogData>(
      () => import('./photo-dialog').then((m) => m.PhotoDialog),
      {
        data: { object },
        width: '1080px',
        maxWidth: '96vw',
      },
    )
  }
}
