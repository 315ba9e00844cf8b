import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { PHOTOGRAPHS, type ListedPicture, type PictureKind } from '@crescent/core'
import { CameraButton } from '../../../../common/camera-button'
import { Dialogs } from '../../../../common/dialogs'
import { FileButton } from '../../../../common/file-button'
import { OneOf } from '../../../../common/one-of'
import { Tells } from '../../../../common/tells'
import { shortDay } from '../../../../common/today'
import { PhotoTracer } from '../photo/photo-tracer'
import { packPhotograph, PHOTOGRAPH_FILES } from '../photo/pack-photograph'
import { KeptPictures } from './kept-pictures'
import { thumbnailOf } from './picture-address'
import { PicturesOver } from './pictures-over'

/** Photographs of this foot over its visits: taken, looked at, drawn on, laid over each other. */
@Component({
  selector: 'cr-bench-photographs',
  imports: [CameraButton, FileButton, OneOf, PicturesOver],
  providers: [PhotoTracer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-photographs.html',
  styleUrl: './bench-photographs.scss',
  host: { '(document:paste)': 'paste($event)' },
})
export class BenchPhotographs {
  protected readonly kept = inject(KeptPictures)
  private readonly tracer = inject(PhotoTracer)
  private readonly dialogs = inject(Dialogs)
  private readonly tells = inject(Tells)
  protected readonly day = shortDay
  protected readonly thumbnail = thumbnailOf
  protected readonly files = PHOTOGRAPH_FILES
  protected readonly kinds = PHOTOGRAPHS
  protected readonly kind = signal<Exclude<PictureKind, 'radiograph'>>('sole')
  protected readonly taken = computed(() => PHOTOGRAPHS.find(({ key }) => key === this.kind())!.taken)
  protected readonly busy = signal(false)
  protected readonly failure = signal('')
  protected readonly dragged = signal(false)
  /** The kind whose pictures are laid over each other. */
  protected readonly compared = signal<PictureKind | undefined>(undefined)

  /** By what they show, the newest first. */
  protected readonly groups = computed(() =>
    PHOTOGRAPHS.map(({ key, label }) => ({
      ...{ key, label },
      pictures: this.kept.ofFoot().filter(({ kind }) => kind === key),
    })).filter(({ pictures }) => pictures.length > 0),
  )

  /** While pictures are laid over each other, only those. */
  protected readonly shown = computed(() => {
    const compared = this.groups().find(({ key, pictures }) => key === this.compared() && pictures.length > 1)
    return compared ? [compared] : this.groups()
  })

  constructor() {
    void this.kept.read()
  }

  protected newestFirst = (pictures: readonly ListedPicture[]): readonly ListedPicture[] =>
    pictures.toReversed()

  /** Kept at once: what is drawn on it can wait. */
  protected async take(file: File): Promise<void> {
    if (this.busy()) return
    // Of this foot and this kind, whichever is chosen by the time it is packed.
    const [foot, kind] = [this.kept.foot(), this.kind()]
    this.busy.set(true)
    this.failure.set('')
    const packed = await packPhotograph(this.tracer, file)
    if (!packed.ok) this.failure.set(packed.problem)
    else {
      const { file: jpeg, width, height } = packed
      const picture = { file: jpeg, width, height, kind, name: file.name, mmPerPixel: null, marks: {} }
      const stored = await this.kept.put(picture, foot)
      if (stored) void this.tells.done('The photograph is kept with this visit.')
    }
    this.busy.set(false)
  }

  protected open = (picture: ListedPicture): Promise<void> =>
    this.dialogs.ask(() => import('./photograph-dialog').then((m) => m.PhotographDialog), {
      ...{ data: picture, width: '1080px', maxWidth: '96vw' },
    })

  protected compare(kind: PictureKind): void {
    this.compared.update((now) => (now === kind ? undefined : kind))
  }

  protected async paste({ clipboardData }: ClipboardEvent): Promise<void> {
    const file = clipboardData?.files[0]
    if (file && !this.dialogs.open) await this.take(file)
  }

  protected async drop(event: DragEvent): Promise<void> {
    event.preventDefault()
    this.dragged.set(false)
    const file = event.dataTransfer?.files[0]
    if (file) await this.take(file)
  }

  protected over(event: DragEvent): void {
    event.preventDefault()
    this.dragged.set(true)
  }
}
