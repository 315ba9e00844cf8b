import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { likelyPlaces, RADIOGRAPH_POINTS, type RadiographPointKey } from '@crescent/core/radiographs'
import type { Vec } from '@crescent/core'
import { onlyEscapeCloses } from '../../../../common/only-escape-closes'
import { OneOf } from '../../../../common/one-of'
import { FigureText } from '../../../../drawing/figure-text'
import { PictureSheet, type PictureMark } from '../../../../drawing/picture-sheet'
import { HelpButton } from '../../../../help/help-button'
import { FigureField } from '../../../figure-field'
import {
  canBeMarker,
  MARKER,
  scaleSaid,
  shaded,
  takenBack,
  withoutPoint,
  withPoint,
  type MarkerEnd,
  type Plate,
  type ScaleBy,
} from './plate'
import { PlateFigures } from './plate-figures'
import { PlateWindow } from './plate-window'
import { Radiograph } from './radiograph'

const SCALES: readonly { key: ScaleBy; label: string }[] = [
  { key: 'kept', label: 'As it was kept' },
  { key: 'marker', label: 'A marker I know' },
  { key: 'file', label: 'As the file says' },
]

/** Marks a lateral radiograph: its places under a magnifier, its scale, how bright it is, and the figures as they come. */
@Component({
  selector: 'cr-plate-dialog',
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
    PlateFigures,
    PlateWindow,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plate-dialog.html',
  styleUrl: './plate-dialog.scss',
})
export class PlateDialog {
  protected readonly radiograph = inject(Radiograph)
  protected readonly text = inject(FigureText)
  /** A kept one has its scale already, and its file says nothing. */
  protected readonly scales = computed(() => {
    const kept = this.radiograph.plate()?.kept?.mmPerPixel !== undefined
    return SCALES.filter(({ key }) => key === 'marker' || (key === 'kept') === kept)
  })
  /** The figure that is pointed at: its lines stand out. */
  protected readonly lit = signal('')
  protected readonly entry = signal<string | undefined>(undefined)
  /** A proposed place that is being pulled; it is set when it is let go. */
  private readonly pulling = signal<{ key: string; at: Vec } | undefined>(undefined)
  /** The plate as it was before a place was taken hold of: a pull is one step of undo. */
  private before: Plate | undefined
  /** The picture comes first: what stands beside it is made once that was painted. */
  protected readonly painted = signal(false)

  constructor() {
    const dialog = inject<MatDialogRef<PlateDialog>>(MatDialogRef)
    onlyEscapeCloses(dialog)
    effect(() => {
      if (this.radiograph.picture()) requestAnimationFrame(() => setTimeout(() => this.painted.set(true)))
    })
    // What could not be opened is told where it was chosen.
    effect(() => {
      if (!this.radiograph.busy() && !this.radiograph.plate()) dialog.close()
    })
  }

  /** Where the place that is asked for likely lies. */
  private readonly proposed = computed((): PictureMark[] => {
    const [plate, next] = [this.radiograph.plate(), this.radiograph.next()]
    if (!plate || !next || 'end' in next || plate.points[next.key]) return []
    const pulled = this.pulling()
    const at = pulled?.key === next.key ? pulled.at : likelyPlaces(plate.points, plate.opened)[next.key]
    return [{ key: next.key, label: `${next.label}?`, at, named: true, likely: true }]
  })
  protected readonly marks = computed((): PictureMark[] => {
    const plate = this.radiograph.plate()
    if (!plate) return []
    const ends = (['from', 'to'] as const).flatMap((end) => {
      const at = plate.scaleBy === 'marker' ? plate.marker[end] : undefined
      return at ? [{ key: end, label: 'End of the marker', at }] : []
    })
    const places = RADIOGRAPH_POINTS.flatMap(({ key, label }) => {
      const at = plate.points[key]
      return at ? [{ key, label, at }] : []
    })
    return [...ends, ...places, ...this.proposed()]
  })
  protected readonly lines = computed(() => this.radiograph.lines(this.lit()))
  protected readonly places = computed(() => {
    const [plate, next] = [this.radiograph.plate(), this.radiograph.next()]
    return RADIOGRAPH_POINTS.map(({ key, label }) => ({
      ...{ key, label, next: next !== undefined && 'key' in next && next.key === key },
      state: plate?.points[key] ? 'marked' : plate?.leftOut.includes(key) ? 'not to be seen' : '',
    }))
  })
  /** The place that is asked for, where it may be passed over. */
  protected readonly skippable = computed(() => {
    const next = this.radiograph.next()
    return next && 'key' in next ? next : undefined
  })

  /** A drag over the picture is for its window, and sets no place. */
  protected readonly shading = signal(false)
  protected shade(by: Vec): void {
    const plate = this.radiograph.plate()
    if (plate) void this.radiograph.show(shaded(plate, by), plate.inverted)
  }

  protected hold = (): void => void (this.before = this.radiograph.plate())

  protected pulled({ key, at }: { key: string; at: Vec }): void {
    if (key === 'from' || key === 'to') return this.moveEnd(key, at)
    const place = key as RadiographPointKey
    if (!this.before?.points[place]) return this.pulling.set({ key, at })
    // Each move starts from where it was taken hold of: one step of undo.
    const held = this.before
    this.radiograph.change((plate) => ({ ...withPoint(held, place, at), window: plate.window }))
  }

  protected released(key: string): void {
    const pulled = this.pulling()
    this.pulling.set(undefined)
    this.before = undefined
    if (pulled?.key === key) this.radiograph.set(key as RadiographPointKey, pulled.at)
  }

  protected removed(key: string): void {
    if (key === 'from' || key === 'to') return
    this.radiograph.change((plate) =>
      plate.points[key as RadiographPointKey] ? withoutPoint(plate, key as RadiographPointKey) : plate,
    )
  }

  private moveEnd(end: MarkerEnd, at: Vec): void {
    this.radiograph.change((plate) => ({ ...plate, marker: { ...plate.marker, [end]: at } }))
  }

  protected nameIt = (named: boolean): void => this.radiograph.change((plate) => ({ ...plate, named }))
  protected undo = (): void => this.radiograph.change(takenBack)
  protected leaveOut = (key: RadiographPointKey): void =>
    this.radiograph.change((plate) => ({
      ...plate,
      chosen: undefined,
      leftOut: [...plate.leftOut, key],
    }))
  protected choose = (chosen: RadiographPointKey): void =>
    this.radiograph.change((plate) => ({ ...plate, chosen }))

  protected measured(long: number | undefined): void {
    this.entry.set(undefined)
    this.radiograph.change((plate) => ({ ...plate, marker: { ...plate.marker, long } }))
  }

  protected markerProblem(): string | undefined {
    const long = this.radiograph.plate()?.marker.long
    if (long === undefined || canBeMarker(long)) return undefined
    return `The marker measures: from ${this.text.length(MARKER[0])} to ${this.text.length(MARKER[1])}`
  }

  protected said = ({ opened }: Plate): string => scaleSaid(opened.scale)
}
