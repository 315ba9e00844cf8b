import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { RADIOGRAPH_POINTS } from '@crescent/core/radiographs'
import { Dialogs } from '../../../../common/dialogs'
import { FileButton } from '../../../../common/file-button'
import { Tells } from '../../../../common/tells'
import { FigureText } from '../../../../drawing/figure-text'
import { PictureSheet } from '../../../../drawing/picture-sheet'
import { KeptPlates } from './kept-plates'
import { PlateCourse } from './plate-course'
import { PlateFigures } from './plate-figures'
import { PlatePlan } from './plate-plan'
import { Radiograph } from './radiograph'

/** The lateral radiograph of the foot with what was read from it, and trim and shoe planned on it. */
@Component({
  selector: 'cr-bench-radiograph',
  imports: [FileButton, PictureSheet, PlateCourse, PlateFigures, PlatePlan],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section
      aria-label="Radiograph"
      [class.dragged]="dragged()"
      (dragover)="over($event)"
      (dragleave)="dragged.set(false)"
      (drop)="drop($event)"
    >
      @if (radiograph.failure(); as failure) {
        <p class="wrong" role="alert">{{ text.told(failure) }}</p>
      }
      @if (radiograph.busy()) {
        <p role="status">Opening the radiograph …</p>
      }
      @if (radiograph.plate(); as plate) {
        <div class="acts">
          <button type="button" class="tap chief" (click)="mark()">
            {{ marked() === 0 ? 'Mark it' : 'Go on marking' }}
          </button>
          <button type="button" class="tap" [disabled]="!radiograph.mmPerPixel()" (click)="toFoot()">
            Take figures to the foot
          </button>
          <button type="button" class="tap" (click)="radiograph.close()">Another radiograph</button>
          <span class="muted" role="status" data-testid="plate-state"
            >{{ marked() }} of {{ all }} places marked{{ stateWords() }}</span
          >
        </div>
        @if (!marking()) {
          <div class="work">
            @if (radiograph.picture(); as picture) {
              <cr-picture-sheet
                [still]="true"
                [bitmap]="picture"
                [size]="plate.opened"
                label="The radiograph with its lines"
                [lines]="lines()"
              />
            }
            <cr-plate-plan />
            <cr-plate-figures (lit)="lit.set($event)" />
          </div>
        }
      } @else if (!radiograph.busy()) {
        <div class="empty">
          <h2>The lateral radiograph of this foot</h2>
          <p>
            Taken from the side, the foot level on a block, the beam along the ground; a marker of known
            length in the plane of the foot. The vet takes it and reads it. Nothing leaves this machine.
          </p>
          <div class="acts">
            <cr-file-button
              label="Open a radiograph"
              accept=".dcm,.dicom,application/dicom,image/png,image/jpeg"
              [chief]="true"
              (chosen)="take($event)"
            />
            <button type="button" class="tap" (click)="practise()">Practise on a made-up one</button>
            <span class="muted">or drop it here, or paste it: DICOM, PNG, JPEG</span>
          </div>
        </div>
      }
      @if (kept.failure(); as failure) {
        <p class="wrong" role="alert">{{ failure }}</p>
      }
      <cr-plate-course />
    </section>
  `,
  styleUrl: './bench-radiograph.scss',
  host: { '(document:paste)': 'paste($event)' },
})
export class BenchRadiograph {
  protected readonly radiograph = inject(Radiograph)
  protected readonly text = inject(FigureText)
  protected readonly kept = inject(KeptPlates)
  private readonly tells = inject(Tells)
  private readonly dialogs = inject(Dialogs)
  protected readonly all = RADIOGRAPH_POINTS.length
  protected readonly dragged = signal(false)
  /** The figure that is pointed at: its lines stand out. */
  protected readonly lit = signal('')
  protected readonly lines = computed(() => this.radiograph.lines(this.lit()))
  protected readonly marked = computed(() => Object.keys(this.radiograph.plate()?.points ?? {}).length)

  protected readonly stateWords = computed(() => {
    const plate = this.radiograph.plate()
    if (plate && 'seed' in plate.source) return '; to practise on, it is not kept'
    return { '': '', keeping: '; is being kept', kept: '; kept with the visit' }[this.kept.state()]
  })

  constructor() {
    void this.kept.read()
  }

  /** While it is marked nothing is drawn behind the dialog: the hand that marks waits for nothing it does not see. */
  protected readonly marking = signal(false)

  protected async mark(): Promise<void> {
    this.marking.set(true)
    await this.dialogs.ask(() => import('./plate-dialog').then((m) => m.PlateDialog), {
      width: '1260px',
      maxWidth: '98vw',
      // As large as the screen: to grow into it takes longer than the picture to be there.
      enterAnimationDuration: '0ms',
    })
    this.marking.set(false)
    await this.kept.keep()
  }

  protected toFoot(): void {
    this.radiograph.toFoot()
    void this.tells.done('Palmar angle, sole depth and the tip’s place are the foot’s now.')
  }

  protected async practise(): Promise<void> {
    await this.radiograph.practise()
    if (this.radiograph.plate()) await this.mark()
  }

  protected async take(file: File | null | undefined): Promise<void> {
    if (!file) return
    // The dialog is made while the file is read: it closes again where that was no radiograph.
    let marking: Promise<void> | undefined
    await this.radiograph.take(file, () => void (marking = this.mark()))
    await marking
  }

  protected async paste({ clipboardData }: ClipboardEvent): Promise<void> {
    if (!this.dialogs.open) await this.take(clipboardData?.files[0])
  }

  protected async drop(event: DragEvent): Promise<void> {
    event.preventDefault()
    this.dragged.set(false)
    await this.take(event.dataTransfer?.files[0])
  }

  protected over(event: DragEvent): void {
    event.preventDefault()
    this.dragged.set(true)
  }
}
