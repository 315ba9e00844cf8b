import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatCheckbox } from '@angular/material/checkbox'
import {
  MAT_DIALOG_DATA,
  MatDialog,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import {
  COMMON_SECTIONS,
  MODIFICATIONS,
  PATTERNS_FOUND,
  modificationWords,
  type FootInput,
  type ShoeInput,
  type Side,
  type PagePattern,
  type Snapshot,
  type StoredPattern,
} from '@crescent/core'
import { firstValueFrom } from 'rxjs'
import { OneOf } from '../../common/one-of'
import { Api, failureText } from '../../state/api'
import { shortDay } from '../../common/today'
import { FigureText } from '../../drawing/figure-text'
import { withOutline } from '../../state/bench/traced'
import type { TakenUp } from '../../state/bench/draft'
import { SmallShoe } from '../../drawing/small-shoe'
import { Photos } from '../steps/map/photo/photos'
import { PatternsFound } from './patterns-found'
import { VersionsDialog, type VersionsDialogData } from './versions-dialog'
import { HelpButton } from '../../help/help-button'

/** The patterns of the horse on the bench, and what is asked for among those of all. */
export interface PatternDialogData {
  patterns: readonly PagePattern[]
  side: Side
  horseId: string
  /** Of the foot on the bench, mm, where it was measured. */
  footWidth: number | undefined
  /** The foot on the bench, where it can be read. */
  foot: FootInput | undefined
  /** The shoe on the bench. */
  shoe: ShoeInput
}

export interface PatternChoice {
  pattern: TakenUp
  withFoot: boolean
  /** Of another: whose it is, and whether its foot is like this one in the mirror. */
  horse?: string
  mirrored?: boolean
}

/** Patterns to work on from: of this foot and its pair, or of every horse, fitted to this foot. */
@Component({
  selector: 'cr-pattern-dialog',
  imports: [
    HelpButton,
    MatButton,
    MatCheckbox,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    OneOf,
    SmallShoe,
  ],
  providers: [PatternsFound],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pattern-dialog.html',
  styleUrl: './pattern-dialog.scss',
})
export class PatternDialog {
  protected readonly data = inject<PatternDialogData>(MAT_DIALOG_DATA)
  private readonly api = inject(Api)
  private readonly dialog = inject<MatDialogRef<PatternDialog, PatternChoice>>(MatDialogRef)
  private readonly dialogs = inject(MatDialog)
  protected readonly text = inject(FigureText)
  private readonly photos = inject(Photos)
  protected readonly finding = inject(PatternsFound)
  protected readonly withFoot = signal(false)
  protected readonly whose = [
    { key: 'own' as const, label: 'This horse' },
    { key: 'all' as const, label: 'All horses' },
    { key: 'like' as const, label: 'Most alike' },
  ]
  protected readonly modifications = MODIFICATIONS
  protected readonly bars = COMMON_SECTIONS
  protected readonly most = PATTERNS_FOUND
  protected readonly listed = computed((): readonly PagePattern[] => {
    const from = this.finding.from()
    if (from === 'own') return this.data.patterns
    if (from === 'like') return this.finding.near().map(({ pattern }) => pattern)
    return this.finding
      .found()
      .map(({ pattern }) => pattern)
      .filter(({ horseId }) => horseId !== this.data.horseId)
  })

  /** By how much the foot of a pattern differs from this one, and where most. */
  protected likeness({ id }: PagePattern): string {
    const found =
      this.finding.from() === 'like' && this.finding.near().find(({ pattern }) => pattern.id === id)
    if (!found) return ''
    const most = found.byRegion.reduce((far, one) => (Math.abs(one.mean) > Math.abs(far.mean) ? one : far))
    const where = `${most.half === 'lateral' ? 'outer' : 'inner'} ${most.region}`
    const way = most.mean > 0 ? 'wider' : 'narrower'
    const by = `this foot ${this.text.fine(Math.abs(most.mean))} ${way} at the ${where}`
    return `${this.text.fine(found.distance)} off${found.mirrored ? ', mirrored' : ''}; ${by}`
  }
  protected made = ({ shoe }: PagePattern): string => modificationWords(shoe)
  protected horseOf = ({ id }: PagePattern): string => {
    const lists = { own: [], all: this.finding.found(), like: this.finding.near() }
    const found = lists[this.finding.from()].find(({ pattern }) => pattern.id === id)
    return found ? `${found.horseName} ` : ''
  }

  /** How patterns of this horse are drawn, by id: fetched when they are looked at. Without it they stand by their names. */
  private readonly lines = signal<ReadonlyMap<string, Snapshot>>(new Map())

  protected drawn({ id, result }: PagePattern): Snapshot | undefined {
    return 'outline' in result ? (result as Snapshot) : this.lines().get(id)
  }

  constructor() {
    this.api.horsePage(this.data.horseId).subscribe({
      next: ({ patterns }) => this.lines.set(new Map(patterns.map(({ id, result }) => [id, result]))),
      error: () => undefined,
    })
    this.finding.foot.set(this.data.foot)
    this.finding.footWidth.set(this.data.footWidth)
  }

  protected day = (pattern: PagePattern): string => shortDay((pattern.updatedAt ?? '').slice(0, 10))
  /** An earlier state is taken up as work on the pattern of now: saved, it is its next version. */
  protected earlier(pattern: PagePattern): void {
    this.dialogs
      .open<VersionsDialog, VersionsDialogData, StoredPattern>(VersionsDialog, {
        data: { pattern, act: 'Take it up' },
        width: '560px',
      })
      .afterClosed()
      .subscribe((then) => {
        if (then) this.take({ ...then, version: pattern.version, name: pattern.name })
      })
  }
  protected take(pattern: PagePattern): void {
    const from = this.finding.from()
    if (from === 'own') return this.dialog.close({ pattern, withFoot: this.withFoot() })
    const found = (from === 'like' ? this.finding.near() : this.finding.found()).find(
      (one) => one.pattern.id === pattern.id,
    )
    const mirrored =
      from === 'like' && this.finding.near().some((one) => one.pattern.id === pattern.id && one.mirrored)
    this.dialog.close({ pattern, withFoot: false, mirrored, ...(found && { horse: found.horseName }) })
  }

  /** A pattern somebody sent: read and taken up for this foot; kept when the Bench is saved. */
  protected async fromFile(input: HTMLInputElement): Promise<void> {
    const chosen = input.files?.[0]
    input.value = ''
    if (!chosen) return
    this.finding.failure.set('')
    try {
      const sent: unknown = JSON.parse(await chosen.text())
      const { file } = await firstValueFrom(this.api.readPatternFile(sent))
      const { name, side, foot, shoe } = file
      const pattern = { id: crypto.randomUUID(), version: 0, horseId: '', name, side, foot, shoe }
      this.dialog.close({ pattern, withFoot: this.data.foot === undefined })
    } catch (error) {
      this.finding.failure.set(
        error instanceof SyntaxError ? `“${chosen.name}” is no pattern file.` : failureText(error),
      )
    }
  }

  /** An old pattern on paper or of steel: its outline is the foot's, the shoe stays as it is. */
  protected async fromPhotograph(): Promise<void> {
    const { foot, side, shoe } = this.data
    this.finding.failure.set('')
    if (!foot)
      return this.finding.failure.set(
        'An outline tells neither toe angle nor wall: measure this foot first, then take the outline.',
      )
    const taken = await this.photos.foot()
    if (!taken) return
    const drawn = { ...withOutline(foot, taken.foot), ...taken.figures }
    const name = 'From a photograph'
    const pattern = { id: crypto.randomUUID(), version: 0, horseId: '', name, side, foot: drawn, shoe }
    this.dialog.close({ pattern, withFoot: true })
  }
}
