import { ChangeDetectionStrategy, Component, inject, output } from '@angular/core'
import { Dialogs } from './dialogs'

/** A button that shows what this machine's camera sees, and takes it; there where a camera may be asked for. */
@Component({
  selector: 'cr-camera-button',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (can) {
      <button type="button" class="tap" (click)="ask()">Camera of this machine</button>
    }
  `,
})
export class CameraButton {
  private readonly dialogs = inject(Dialogs)
  readonly taken = output<File>()
  /** Only a page that came safely may ask for a camera; on a phone the button beside it opens a better one. */
  protected readonly can = canAskForCamera() && matchMedia('(pointer: fine)').matches

  protected async ask(): Promise<void> {
    const file = await this.dialogs.ask<File>(() => import('./camera-dialog').then((m) => m.CameraDialog), {
      ...{ width: '820px', maxWidth: '96vw' },
    })
    if (file) this.taken.emit(file)
  }
}

const canAskForCamera = (): boolean =>
  typeof (navigator as Partial<Navigator>).mediaDevices?.getUserMedia === 'function'
