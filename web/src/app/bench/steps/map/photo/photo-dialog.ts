import { NgTemplateOutlet } from '@angular/common'
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { MatIcon } from '@angular/material/icon'
import type { TracedFoot, Vec } from '@crescent/core'
import { CARDS, PRINTED_LINE, seenAt } from '@crescent/core/photographs'
import { Store } from '@ngrx/store'
import { OneOf } from '../../../../common/one-of'
import { FigureText } from '../../../../drawing/figure-text'
import { PictureSheet, type PictureLine, type PictureMark } from '../../../../drawing/picture-sheet'
import { HelpButton } from '../../../../help/help-button'
import { settingsActions, settingsFeature } from '../../../../state/settings/settings.feature'
import { FigureField } from '../../../figure-field'
import { OutlineMeasures } from '../outline-measures'
import { PhotoComingIn, type PhotoPlace, type ScaleBy } from './photo-coming-in'
import { PhotoTracer } from './photo-tracer'

const SCALES: readonly { key: ScaleBy; label: string }[] = [
  ...CARDS.map(({ key, label }) => ({ key, label })),
  { key: 'length', label: 'No card: a length I know' },
]

/** A photograph of the sole: its card, seven taps and a line that follows the edge make it the outline of this foot. */
@Component({
  selector: 'cr-photo-dialog',
  imports: [
    FigureField,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatIcon,
    NgTemplateOutlet,
    OneOf,
    OutlineMeasures,
    PictureSheet,
  ],
  providers: [PhotoComingIn, PhotoTracer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './photo-dialog.html',
  styleUrl: './photo-dialog.scss',
  host: { '(paste)': 'paste($event)' },
})
export class PhotoDialog {
  protected readonly coming = inject(PhotoComingIn)
  protected readonly text = inject(FigureText)
  private readonly store = inject(Store)
  private readonly dialog = inject<MatDialogRef<PhotoDialog, TracedFoot>>(MatDialogRef)
  protected readonly scales = SCALES
  protected readonly usual = PRINTED_LINE
  protected readonly cards = CARDS.flatMap(({ key, label }) =>
    (['a4', 'letter'] as const).map((paper) => ({
      name: `${label}, ${paper === 'a4' ? 'A4' : 'US Letter'}`,
      href: `/api/scale-card?card=${key}&paper=${paper}`,
    })),
  )
  private readonly printed = this.store.selectSignal(settingsFeature.selectPrintedLine)
  protected readonly measured = computed(() => this.printed() ?? undefined)
  protected readonly entries = signal<Record<string, string | undefined>>({})
  protected readonly opacity = signal(1)
  protected readonly dragged = signal(false)
  protected readonly percent = computed(() => Math.round((this.coming.progress() ?? 0) * 100))

  /** What is on the picture: the seven places, or the knots of the line that was followed. */
  protected readonly marks = computed((): PictureMark[] => {
    const view = this.coming.view()
    const knots = this.coming.knots()
    if (view && knots.length > 0)
      return knots.map((knot, i) => ({
        ...{ key: `knot-${i}`, at: seenAt(view, knot), small: true },
        label: `Knot ${i + 1} of ${knots.length}`,
      }))
    const taps = this.coming.taps()
    return this.coming.places().flatMap(({ key, label }) => {
      const at = taps[key]
      return at ? [{ key, label, at, named: true }] : []
    })
  })
  protected readonly lines = computed((): PictureLine[] => {
    const view = this.coming.view()
    const taps = this.coming.taps()
    const length: PictureLine[] =
      taps.from && taps.to ? [{ points: [taps.from, taps.to], kind: 'guide' }] : []
    if (!view) return length
    const outline = this.coming.outline()
    const doubtful = this.coming.doubtful().map(([from, to]): PictureLine => ({
      points: stretch(outline, from, to).map((place) => seenAt(view, place)),
      kind: 'doubtful',
    }))
    return [
      ...length,
      { points: this.coming.curve().map((place) => seenAt(view, place)), kind: 'edge' },
      ...doubtful,
    ]
  })

  /** Once the edge is followed the foot fills the sheet. */
  protected readonly window = computed(() => {
    const size = this.coming.size()
    const view = this.coming.view()
    if (!size || !view) return undefined
    const seen = this.coming.outline().map((place) => seenAt(view, place))
    const [left, right] = [Math.min(...seen.map(([x]) => x)), Math.max(...seen.map(([x]) => x))]
    const [top, bottom] = [Math.min(...seen.map(([, y]) => y)), Math.max(...seen.map(([, y]) => y))]
    const room = Math.max(right - left, bottom - top) * 0.12
    const [x, y] = [Math.max(0, left - room), Math.max(0, top - room)]
    return {
      ...{ x, y },
      width: Math.min(size.width, right + room) - x,
      height: Math.min(size.height, bottom + room) - y,
    }
  })
  /** Finer than a fiftieth of a mm nothing is claimed. */
  protected readonly residual = computed(() => Math.max(0.02, this.coming.seen()?.residual ?? 0))

  constructor() {
    this.coming.line.set(this.printed() ?? PRINTED_LINE)
  }

  protected async choose(files: FileList | null | undefined): Promise<void> {
    const file = files?.[0]
    if (file) await this.coming.take(file)
  }

  protected async paste({ clipboardData }: ClipboardEvent): Promise<void> {
    await this.choose(clipboardData?.files)
  }

  protected async drop(event: DragEvent): Promise<void> {
    event.preventDefault()
    this.dragged.set(false)
    await this.choose(event.dataTransfer?.files)
  }

  protected over(event: DragEvent): void {
    event.preventDefault()
    this.dragged.set(true)
  }

  protected keep(field: string, text: string | undefined): void {
    this.entries.update((entries) => ({ ...entries, [field]: text }))
  }

  /** What the printed line measures is the printer's: it is asked once, and kept. */
  protected async line(mm: number | undefined): Promise<void> {
    this.keep('line', undefined)
    this.store.dispatch(settingsActions.change({ changes: { printedLine: mm ?? null } }))
    await this.coming.measuredLine(mm ?? PRINTED_LINE)
  }

  protected async above(mm: number | undefined): Promise<void> {
    this.keep('height', undefined)
    await this.coming.liesAbove(mm ?? 0)
  }

  protected async known(mm: number | undefined): Promise<void> {
    this.keep('known', undefined)
    await this.coming.knownLength(mm)
  }

  protected async tapped(at: Vec): Promise<void> {
    if (this.coming.next()) await this.coming.tap(at)
    else if (this.coming.knots().length > 0) await this.coming.add(at)
  }

  protected held(key: string): void {
    if (key.startsWith('knot-')) this.coming.hold()
  }

  protected pulled({ key, at }: { key: string; at: Vec }): void {
    if (key.startsWith('knot-')) this.coming.pull(Number(key.slice(5)), at)
    else void this.coming.tap(at, key as PhotoPlace)
  }

  protected async released(key: string): Promise<void> {
    if (key.startsWith('knot-')) await this.coming.letGo()
  }

  protected async removed(key: string): Promise<void> {
    if (key.startsWith('knot-')) await this.coming.remove(Number(key.slice(5)))
  }

  protected take = (): void => this.dialog.close(this.coming.foot())
}

/** The part of a line between two places along it, mm. */
function stretch(line: readonly Vec[], from: number, to: number): Vec[] {
  let station = 0
  return line.filter((point, i) => {
    if (i > 0) station += Math.hypot(point[0] - line[i - 1]![0], point[1] - line[i - 1]![1])
    return station >= from && station <= to
  })
}
