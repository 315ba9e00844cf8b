import { inject, Injectable } from '@angular/core'
import type { TracedFoot, Vec } from '@crescent/core'
import { Dialogs } from '../../../../common/dialogs'
import type { FromPhoto, PhotoDialogData } from './photo-dialog'

/** Asks for a photograph, of whichever is wanted; nothing where none was taken. */
@Injectable({ providedIn: 'root' })
export class Photos {
  private readonly dialogs = inject(Dialogs)

  /**
   * The outline of a foot, with figures of its sole.
   *
   * @param wall as it was measured before, from the outer to the inner heel, mm: what the edge is looked for by
   */
  async foot(wall?: readonly Vec[]): Promise<Extract<FromPhoto, { foot: TracedFoot }> | undefined> {
    const taken = await this.ask({ object: 'foot', wall })
    return taken && 'foot' in taken ? taken : undefined
  }

  /** The middle of a shoe's web from its outer to its inner heel, mm. */
  async shoe(): Promise<readonly Vec[] | undefined> {
    const taken = await this.ask({ object: 'shoe' })
    return taken && 'shape' in taken ? taken.shape : undefined
  }

  private ask(data: PhotoDialogData): Promise<FromPhoto | undefined> {
    return this.dialogs.ask<FromPhoto, PhotoDialogData>(
      () => import('./photo-dialog').then((m) => m.PhotoDialog),
      {
        data,
        width: '1080px',
        maxWidth: '96vw',
      },
    )
  }
}
