import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'

/** As fine as the camera goes. */
const WANTED = { video: { facingMode: 'environment', width: { ideal: 4096 }, height: { ideal: 3072 } } }

/** What the camera sees, and a button that takes it. The camera is let go when this closes. */
@Component({
  selector: 'cr-camera-dialog',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Camera</h2>
    <mat-dialog-content>
      @if (failure()) {
        <p role="alert">{{ failure() }}</p>
      }
      <video
        #seen
        muted
        playsinline
        autoplay
        aria-label="What the camera sees"
        [hidden]="failure() !== ''"
        (playing)="ready.set(true)"
      ></video>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button mat-button mat-dialog-close>Not now</button>
      <button mat-flat-button [disabled]="!ready()" (click)="take()">Take it</button>
    </mat-dialog-actions>
  `,
  styles: `
    video {
      display: block;
      width: 100%;
      max-height: 68vh;
      background: var(--sheet-sunk);
    }
    video[hidden] {
      display: none;
    }
    [role='alert'] {
      color: var(--stop);
    }
  `,
})
export class CameraDialog {
  private readonly dialog = inject<MatDialogRef<CameraDialog, File>>(MatDialogRef)
  private readonly seen = viewChild.required<ElementRef<HTMLVideoElement>>('seen')
  protected readonly failure = signal('')
  protected readonly ready = signal(false)
  private stream: MediaStream | undefined
  private gone = false

  constructor() {
    afterNextRender(() => void this.open())
    inject(DestroyRef).onDestroy(() => {
      this.gone = true
      this.letGo()
    })
  }

  private async open(): Promise<void> {
    try {
      this.stream = await navigator.mediaDevices.getUserMedia(WANTED)
      // Closed while it was asked whether the camera may be used.
      if (this.gone) return this.letGo()
      this.seen().nativeElement.srcObject = this.stream
    } catch (error) {
      const refused = error instanceof DOMException && error.name === 'NotAllowedError'
      this.failure.set(
        refused
          ? 'The camera may not be used here: allow it for this page, or choose a photograph.'
          : 'There is no camera that can be used: choose a photograph.',
      )
    }
  }

  private letGo(): void {
    this.stream?.getTracks().forEach((track) => track.stop())
  }

  protected async take(): Promise<void> {
    const video = this.seen().nativeElement
    const canvas = new OffscreenCanvas(video.videoWidth, video.videoHeight)
    canvas.getContext('2d')!.drawImage(video, 0, 0)
    const picture = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 })
    this.dialog.close(new File([picture], 'camera.jpg', { type: 'image/jpeg' }))
  }
}
