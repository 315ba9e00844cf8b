import { NgTemplateOutlet } from '@angular/common'
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
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
import { format, formatISO } from 'date-fns'
import { CameraButton } from '../../../../common/camera-button'
import { FileButton } from '../../../../common/file-button'
import { onlyEscapeCloses } from '../../../../common/only-escape-closes'
import { OneOf } from '../../../../common/one-of'
import { shortDay, today } from '../../../../common/today'
import { FigureText } from '../../../../drawing/figure-text'
import { PictureSheet, type PictureLine, type PictureMark } from '../../../../drawing/picture-sheet'
import { CardPicture } from '../../../../help/card-picture'
import { HelpButton } from '../../../../help/help-button'
import { settingsActions, settingsFeature } from '../../../../state/settings/settings.feature'
import { FigureField } from '../../../figure-field'
import { OutlineMeasures } from '../outline-measures'
import { KeptPictures } from '../pictures/kept-pictures'
import { PHOTOGRAPH_FILES } from './pack-photograph'
import { PhotoComingIn, type ScaleBy } from './photo-coming-in'
import { SOLE_PLACES, type PhotoPlace, type SoleFigures, type SolePlace } from './photo-places'
import { PhotoTracer } from './photo-tracer'
import { UnfinishedPhoto } from './unfinished-photo'

const SCALES: readonly { key: ScaleBy; label: string }[] = [
  ...CARDS.map(({ key, label }) => ({ key, label })),
  { key: 'length', label: 'No card: a length I know' },
]

/** Figures that are typed beside the picture. */
type Typed = 'line' | 'height' | 'known'

/** What each can be, mm: what lies beyond is a slip of the finger. */
const POSSIBLE: Readonly<Record<Typed, readonly [least: number, most: number]>> = {
  line: [50, 200],
  height: [-100, 200],
  known: [20, 600],
}
const NAMED: Readonly<Record<Typed, string>> = {
  line: 'Printed line',
  height: 'Height above the card',
  known: 'Length that is known',
}

/** What is photographed. */
export interface PhotoDialogData {
  object: 'foot' | 'shoe'
  /** The wall of the foot as it was measured before, from the outer to the inner heel, mm. */
  wall?: readonly Vec[] | undefined
}

/** What comes of it: the outline of this foot with figures of its sole, or the middle of a shoe's web from its outer to its inner heel, mm. */
export type FromPhoto = { foot: TracedFoot; figures: SoleFigures } | { shape: readonly Vec[] }

/** A photograph of a sole or a shoe: its card, seven taps and a line that follows the edge. */
@Component({
  selector: 'cr-photo-dialog',
  imports: [
    CameraButton,
    CardPicture,
    FigureField,
    FileButton,
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
  providers: [PhotoComingIn, PhotoTracer, UnfinishedPhoto],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './photo-dialog.html',
  styleUrl: './photo-dialog.scss',
  host: { '(paste)': 'paste($event)' },
})
export class PhotoDialog {
  protected readonly coming = inject(PhotoComingIn)
  protected readonly unfinished = inject(UnfinishedPhoto)
  protected readonly text = inject(FigureText)
  private readonly store = inject(Store)
  private readonly dialog = inject<MatDialogRef<PhotoDialog, FromPhoto>>(MatDialogRef)
  private readonly data = inject<PhotoDialogData>(MAT_DIALOG_DATA)
  protected readonly object = this.data.object
  private readonly kept = inject(KeptPictures)
  /** A place of the sole that the next tap sets. */
  protected readonly sole = signal<SolePlace | undefined>(undefined)
  protected readonly askedSole = computed(() => SOLE_PLACES.find(({ key }) => key === this.sole())?.ask)
  protected readonly files = PHOTOGRAPH_FILES
  protected readonly laid = ['beside', 'level', 'above', 'lower', 'askew', 'shadow'] as const
  protected readonly scales = SCALES
  protected readonly usual = PRINTED_LINE
  protected readonly cards = CARDS.flatMap(({ key, label }) =>
    (['a4', 'letter'] as const).map((paper) => ({
      name: `${label}, ${paper === 'a4' ? 'A4' : 'US Letter'}`,
      href: `/api/scale-card?card=${key}&paper=${paper}`,
    })),
  )
  private readonly printed = this.store.selectSignal(settingsFeature.selectPrintedLine)
  protected readonly entries = signal<Partial<Record<Typed, string | undefined>>>({})
  private readonly typed = signal<Partial<Record<Typed, { mm: number | undefined } | undefined>>>({})
  protected readonly opacity = signal(1)
  protected readonly dragged = signal(false)
  protected readonly percent = computed(() => Math.round((this.coming.progress() ?? 0) * 100))

  /** What is on the picture: the seven places, or the knots of the line that was followed. */
  protected readonly marks = computed((): PictureMark[] => {
    const view = this.coming.view()
    const knots = this.coming.knots()
    if (view && knots.length > 0)
      return [
        ...knots.map((knot, i) => ({
          ...{ key: `knot-${i}`, at: seenAt(view, knot), small: true },
          label: `Knot ${i + 1} of ${knots.length}`,
        })),
        ...SOLE_PLACES.flatMap(({ key, label }) => {
          const at = this.coming.sole()[key]
          return at ? [{ key, label, at, named: true }] : []
        }),
      ]
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
    const rims = this.coming.inner().length > 0 ? [outline, this.coming.inner()] : []
    return [
      ...length,
      ...rims.map((rim): PictureLine => ({ points: rim.map((place) => seenAt(view, place)), kind: 'guide' })),
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
    this.coming.object.set(this.object)
    this.coming.wall.set(this.data.wall)
    this.coming.line.set(this.printed() ?? PRINTED_LINE)
    onlyEscapeCloses(this.dialog)
    void this.unfinished.look()
  }

  protected async choose(file: File | undefined): Promise<void> {
    if (file) await this.coming.take(file)
  }

  /** When a photograph was begun: `14:05`, with its day where that is not today. */
  protected begun(at: number): string {
    const day = formatISO(at, { representation: 'date' })
    return (day === today() ? '' : `${shortDay(day)}, `) + format(at, 'HH:mm')
  }

  protected async paste({ clipboardData }: ClipboardEvent): Promise<void> {
    await this.choose(clipboardData?.files[0])
  }

  protected async drop(event: DragEvent): Promise<void> {
    event.preventDefault()
    this.dragged.set(false)
    await this.choose(event.dataTransfer?.files[0])
  }

  protected over(event: DragEvent): void {
    event.preventDefault()
    this.dragged.set(true)
  }

  /** What is typed and cannot be read yet. */
  protected keep(field: Typed, text: string | undefined): void {
    this.entries.update((entries) => ({ ...entries, [field]: text }))
  }

  /** A figure on its way: it counts when its field is left, so that half a number moves nothing. */
  protected type(field: Typed, mm: number | undefined): void {
    this.keep(field, undefined)
    this.typed.update((typed) => ({ ...typed, [field]: { mm } }))
  }

  protected figure(field: Typed): number | undefined {
    const typed = this.typed()[field]
    if (typed) return typed.mm
    if (field === 'line') return this.printed() ?? undefined
    return field === 'height' ? this.coming.height() || undefined : this.coming.known()
  }

  /** A figure that cannot be, with what it can be; it stays as it was typed. */
  protected problem(field: Typed): string | undefined {
    const mm = this.typed()[field]?.mm
    const [least, most] = POSSIBLE[field]
    if (mm === undefined || (mm >= least && mm <= most)) return undefined
    return `${NAMED[field]}: from ${this.text.length(least)} to ${this.text.length(most)}`
  }

  protected async leave(field: Typed): Promise<void> {
    const typed = this.typed()[field]
    if (!typed || this.problem(field)) return
    this.typed.update((all) => ({ ...all, [field]: undefined }))
    if (field === 'height') return this.coming.liesAbove(typed.mm ?? 0)
    if (field === 'known') return this.coming.knownLength(typed.mm)
    // What the printed line measures is the printer's: it is asked once, and kept.
    this.store.dispatch(settingsActions.change({ changes: { printedLine: typed.mm ?? null } }))
    await this.coming.measuredLine(typed.mm ?? PRINTED_LINE)
  }

  protected async tapped(at: Vec): Promise<void> {
    const sole = this.sole()
    if (this.coming.next()) await this.coming.tap(at)
    else if (sole) {
      this.coming.setSole(sole, at)
      this.sole.set(undefined)
    } else if (this.coming.knots().length > 0) await this.coming.tapLine(at)
  }

  /** A tap that is meant for the line lands on a knot: they lie so close. */
  protected async touched({ key, at }: { key: string; at: Vec }): Promise<void> {
    if (key.startsWith('knot-')) await this.coming.tapNearKnot(at)
  }

  protected held(key: string): void {
    if (key.startsWith('knot-')) this.coming.hold()
  }

  protected pulled({ key, at }: { key: string; at: Vec }): void {
    if (key.startsWith('knot-')) this.coming.pull(Number(key.slice(5)), at)
    else if (isSolePlace(key)) this.coming.setSole(key, at)
    else this.coming.pullTap(key as PhotoPlace, at)
  }

  protected async released(key: string): Promise<void> {
    if (key.startsWith('knot-')) await this.coming.letGo()
    else if (!isSolePlace(key)) await this.coming.tapsSet()
  }

  protected async removed(key: string): Promise<void> {
    if (key.startsWith('knot-')) await this.coming.remove(Number(key.slice(5)))
    else if (isSolePlace(key)) this.coming.takeSole(key)
  }

  protected readonly ready = computed(
    () => this.coming.foot() !== undefined || this.coming.shape().length > 0,
  )

  /** What was read of the sole beside its edge, each with the place it is read from. */
  protected readonly solePlaces = computed(() =>
    SOLE_PLACES.map((place) => ({ ...place, mm: this.coming.soleFigures()[place.key] })),
  )

  /** The photograph stays with the visit; that it could not be kept holds nobody up. */
  protected async take(): Promise<void> {
    const [foot, of] = [this.coming.foot(), this.kept.foot()]
    const picture = await this.coming.kept()
    if (picture && of) void this.kept.putAside(picture, of)
    void this.unfinished.throwAway()
    this.dialog.close(foot ? { foot, figures: this.coming.soleFigures() } : { shape: this.coming.shape() })
  }
}

const isSolePlace = (key: string): key is SolePlace => SOLE_PLACES.some((place) => place.key === key)

/** The part of a line between two places along it, mm. */
function stretch(line: readonly Vec[], from: number, to: number): Vec[] {
  let station = 0
  return line.filter((point, i) => {
    if (i > 0) station += Math.hypot(point[0] - line[i - 1]![0], point[1] - line[i - 1]![1])
    return station >= from && station <= to
  })
}
