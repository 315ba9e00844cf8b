import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialog,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { PHOTOGRAPHS, type ListedPicture, type PictureKind, type Vec } from '@crescent/core'
import { firstValueFrom } from 'rxjs'
import { ask } from '../../../../common/ask-dialog'
import { OneOf } from '../../../../common/one-of'
import { onlyEscapeCloses } from '../../../../common/only-escape-closes'
import { shortDay } from '../../../../common/today'
import { FigureText } from '../../../../drawing/figure-text'
import { PictureSheet, type PictureLine, type PictureMark } from '../../../../drawing/picture-sheet'
import { HelpButton } from '../../../../help/help-button'
import { FigureField } from '../../../figure-field'
import {
  drawingName,
  DRAWINGS,
  KNOWN,
  lineOf,
  nextEnd,
  readOff,
  scaleBy,
  withoutDrawing,
  type Drawing,
  type Marks,
} from './drawn-on'
import { KeptPictures } from './kept-pictures'
import { fileOf } from './picture-address'

/** A photograph that is kept: what it shows, and lines, an angle and a known length drawn on it. */
@Component({
  selector: 'cr-photograph-dialog',
  imports: [
    FigureField,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    OneOf,
    PictureSheet,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './photograph-dialog.html',
  styleUrl: './photograph-dialog.scss',
})
export class PhotographDialog {
  protected readonly picture = inject<ListedPicture>(MAT_DIALOG_DATA)
  private readonly kept = inject(KeptPictures)
  private readonly dialogs = inject(MatDialog)
  private readonly dialog = inject<MatDialogRef<PhotographDialog>>(MatDialogRef)
  private readonly text = inject(FigureText)
  protected readonly day = shortDay
  protected readonly href = fileOf(this.picture)
  protected readonly side = `${PHOTOGRAPHS.find(({ key }) => key === this.picture.kind)?.label} ${this.picture.side}`
  protected readonly kinds: readonly { key: PictureKind; label: string }[] = PHOTOGRAPHS
  protected readonly kind = signal(this.picture.kind)
  private readonly marks = signal<Marks>(this.picture.marks)
  protected readonly drawing = signal<Drawing>('a')
  protected readonly entry = signal<string | undefined>(undefined)
  protected readonly wrong = signal('')

  /** A known length that was drawn before says again what it measures. */
  protected readonly known = signal<number | undefined>(knownBefore(this.picture))
  protected readonly mmPerPixel = computed(() =>
    scaleBy(this.marks(), this.known(), lineOf(this.picture.marks, 's') ? null : this.picture.mmPerPixel),
  )
  protected readonly drawings = computed(() =>
    DRAWINGS.map((key) => ({ key, label: drawingName(key, this.kind()) })),
  )
  protected readonly complete = computed(() => lineOf(this.marks(), this.drawing()) !== undefined)
  protected readonly askWords = computed(() => {
    const next = nextEnd(this.marks(), this.drawing())
    if (next === undefined) return 'Pull an end where it is wrong.'
    const what = drawingName(this.drawing(), this.kind()).toLowerCase()
    return `${next.endsWith('1') ? 'Tap one end' : 'Tap the other end'}: ${what}.`
  })
  protected readonly sheetMarks = computed((): PictureMark[] =>
    DRAWINGS.flatMap((drawing) =>
      ['1', '2'].flatMap((end) => {
        const at = this.marks()[drawing + end]
        const label = `${drawingName(drawing, this.kind())}, ${end === '1' ? 'one end' : 'other end'}`
        return at ? [{ key: drawing + end, label, at }] : []
      }),
    ),
  )
  protected readonly lines = computed((): PictureLine[] =>
    DRAWINGS.flatMap((drawing) => {
      const points = lineOf(this.marks(), drawing)
      return points ? [{ points, kind: drawing === 's' ? ('guide' as const) : ('edge' as const) }] : []
    }),
  )
  protected readonly told = computed(() =>
    readOff(this.marks(), this.mmPerPixel()).map(({ drawing, degrees, mm }) => ({
      label:
        drawing === 'between'
          ? 'Between the two'
          : `${drawingName(drawing, this.kind())} against the picture’s edge`,
      figures: [this.text.figure(degrees, 'angle'), ...(mm === undefined ? [] : [this.text.length(mm)])].join(
        ', ',
      ),
    })),
  )
  protected readonly problem = computed(() => {
    const known = this.known()
    if (known === undefined || (known >= KNOWN[0] && known <= KNOWN[1])) return undefined
    return `It measures: from ${this.text.length(KNOWN[0])} to ${this.text.length(KNOWN[1])}`
  })

  constructor() {
    onlyEscapeCloses(this.dialog)
  }

  protected tapped(at: Vec): void {
    const end = nextEnd(this.marks(), this.drawing())
    if (end !== undefined) this.marks.update((marks) => ({ ...marks, [end]: [...at] }))
  }

  protected pulled({ key, at }: { key: string; at: Vec }): void {
    this.marks.update((marks) => ({ ...marks, [key]: [...at] }))
  }

  protected removed(key: string): void {
    this.drawing.set(key[0] as Drawing)
    this.marks.update(({ [key]: _gone, ...marks }) => marks)
  }

  protected drawAgain(): void {
    this.marks.update((marks) => withoutDrawing(marks, this.drawing()))
  }

  protected measured(mm: number | undefined): void {
    this.entry.set(undefined)
    this.known.set(mm)
  }

  /** Stored where something changed; what could not be stored stays here. */
  protected async done(): Promise<void> {
    const changes = { kind: this.kind(), marks: this.marks(), mmPerPixel: this.mmPerPixel() }
    const { kind, marks, mmPerPixel } = this.picture
    const same = changes.kind === kind && changes.marks === marks && changes.mmPerPixel === mmPerPixel
    if (same || (await this.kept.mark(this.picture, changes))) this.dialog.close()
    else this.wrong.set(this.kept.failure())
  }

  protected async erase(): Promise<void> {
    const sure = await firstValueFrom(
      ask(this.dialogs, {
        title: 'Erase this picture?',
        question: 'It goes for good, with what is drawn on it. Older backups still hold it.',
        yes: 'Erase it',
        no: 'Keep it',
      }),
    )
    if (!sure) return
    if (await this.kept.erase(this.picture)) this.dialog.close()
    else this.wrong.set(this.kept.failure())
  }
}

function knownBefore({ marks, mmPerPixel }: ListedPicture): number | undefined {
  const [from, to] = [marks['s1'], marks['s2']]
  if (!from || !to || mmPerPixel === null) return undefined
  return Math.hypot(to[0] - from[0], to[1] - from[1]) * mmPerPixel
}
