import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import type { Side, Vec } from '@crescent/core'
import { FILE_WORDS, turnedOut } from '@crescent/core/photographs'
import { CameraButton } from '../../../../common/camera-button'
import { FileButton } from '../../../../common/file-button'
import { onlyEscapeCloses } from '../../../../common/only-escape-closes'
import { PictureSheet, type PictureLine, type PictureMark } from '../../../../drawing/picture-sheet'
import { PHOTOGRAPH_FILES, packPhotograph } from '../../map/photo/pack-photograph'
import { photoHead } from '../../map/photo/photo-head'
import { PhotoTracer } from '../../map/photo/photo-tracer'
import { KeptPictures } from '../../map/pictures/kept-pictures'

/** Places that are tapped, in their order. */
const PLACES = [
  {
    key: 'behind',
    label: 'Travel, from',
    ask: 'Tap the line of travel far behind: between the tracks of both feet.',
  },
  { key: 'ahead', label: 'Travel, to', ask: 'Tap it far ahead.' },
  { key: 'heel', label: 'Track, heel', ask: 'Tap the back of this foot’s track, in its middle.' },
  { key: 'toe', label: 'Track, toe', ask: 'Tap its toe.' },
] as const
type Place = (typeof PLACES)[number]['key']

/** A photograph of slide tracks from straight above: by how much the foot's track points out from where the horse goes. */
@Component({
  selector: 'cr-tracks-dialog',
  imports: [
    CameraButton,
    FileButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    PictureSheet,
  ],
  providers: [PhotoTracer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>The tracks of the {{ side }}</h2>
    <mat-dialog-content>
      <div class="from">
        <cr-file-button
          label="Choose a photograph"
          [accept]="files"
          [chief]="!url()"
          (chosen)="take($event)"
        />
        <cr-camera-button (taken)="take($event)" />
        @if (url()) {
          <button type="button" class="tap" [disabled]="!taps().behind" (click)="taps.set({})">
            Tap all again
          </button>
        } @else {
          <span class="muted"
            >Of slide tracks on even ground, from straight above. Nothing leaves this machine.</span
          >
        }
      </div>
      @if (failure()) {
        <p role="alert">{{ failure() }}</p>
      }
      @if (url(); as href) {
        @if (size(); as size) {
          <p class="ask" role="status" data-testid="tracks-ask">{{ next()?.ask ?? words() }}</p>
          <cr-picture-sheet
            [href]="href"
            [size]="size"
            label="The photograph of the tracks"
            [marks]="marks()"
            [lines]="lines()"
            (tapped)="tapped($event)"
            (pulled)="pulled($event)"
          />
        }
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button mat-button mat-dialog-close>Not now</button>
      <button mat-flat-button [disabled]="out() === undefined || closing()" (click)="close()">
        Turn the shoe by it
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    .from {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    .ask {
      margin: 8px 0;
      font-size: 1.15rem;
      font-weight: 650;
      color: var(--ink);
    }
    [role='alert'] {
      color: var(--stop);
    }
  `,
})
export class TracksDialog {
  private readonly kept = inject(KeptPictures)
  private readonly tracer = inject(PhotoTracer)
  protected readonly files = PHOTOGRAPH_FILES
  protected readonly closing = signal(false)
  private file: File | undefined
  protected readonly side = inject<Side>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<TracksDialog, number>>(MatDialogRef)
  protected readonly url = signal('')
  protected readonly size = signal<{ width: number; height: number } | undefined>(undefined)
  protected readonly failure = signal('')
  protected readonly taps = signal<Partial<Record<Place, Vec>>>({})
  protected readonly next = computed(() => PLACES.find(({ key }) => !this.taps()[key]))
  protected readonly marks = computed((): PictureMark[] =>
    PLACES.flatMap(({ key, label }) => {
      const at = this.taps()[key]
      return at ? [{ key, label, at, named: true }] : []
    }),
  )
  protected readonly lines = computed((): PictureLine[] => {
    const { behind, ahead, heel, toe } = this.taps()
    return [
      ...(behind && ahead ? [{ points: [behind, ahead], kind: 'guide' as const }] : []),
      ...(heel && toe ? [{ points: [heel, toe], kind: 'edge' as const }] : []),
    ]
  })
  /** Degrees the track points out, to a half: no finer than a hand taps. */
  protected readonly out = computed(() => {
    const { behind, ahead, heel, toe } = this.taps()
    if (!behind || !ahead || !heel || !toe) return undefined
    const out = turnedOut([behind, ahead], [heel, toe], this.side)
    return out === undefined ? undefined : Math.round(out * 2) / 2 + 0
  })
  protected readonly words = computed(() => {
    const out = this.out()
    if (out === undefined) return 'Two taps lie on one place: tap all again.'
    if (out === 0) return 'The track points where the horse goes: the shoe stays straight.'
    const which = out > 0 ? 'out' : 'in'
    return `The track points ${Math.abs(out)}° ${which}: the shoe is turned ${out > 0 ? 'in' : 'out'} by as much.`
  })

  constructor() {
    onlyEscapeCloses(this.dialog)
    inject(DestroyRef).onDestroy(() => URL.revokeObjectURL(this.url()))
  }

  protected async take(file: File): Promise<void> {
    this.failure.set('')
    const head = await photoHead(file)
    if (!head.ok) return this.failure.set(head.problem)
    try {
      const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
      const { width, height } = bitmap
      bitmap.close()
      URL.revokeObjectURL(this.url())
      this.taps.set({})
      this.size.set({ width, height })
      this.file = file
      this.url.set(URL.createObjectURL(file))
    } catch {
      this.failure.set(FILE_WORDS.damaged)
    }
  }

  protected tapped(at: Vec): void {
    const next = this.next()
    if (next) this.taps.update((taps) => ({ ...taps, [next.key]: at }))
  }

  protected pulled = ({ key, at }: { key: string; at: Vec }): void =>
    this.taps.update((taps) => ({ ...taps, [key]: at }))

  /** The photograph stays with the visit, with both lines; that it could not be kept holds nobody up. */
  protected async close(): Promise<void> {
    const [file, { behind, ahead, heel, toe }, foot] = [this.file, this.taps(), this.kept.foot()]
    this.closing.set(true)
    if (file && foot && behind && ahead && heel && toe) {
      const packed = await packPhotograph(this.tracer, file)
      const size = this.size()!
      if (packed.ok) {
        const { file: jpeg, width, height } = packed
        const kept = ([x, y]: Vec): [number, number] => [(x * width) / size.width, (y * height) / size.height]
        const marks = { a1: kept(behind), a2: kept(ahead), b1: kept(heel), b2: kept(toe) }
        const name = file.name
        void this.kept.putAside(
          { file: jpeg, width, height, kind: 'tracks', name, mmPerPixel: null, marks },
          foot,
        )
      }
    }
    this.dialog.close(this.out())
  }
}
