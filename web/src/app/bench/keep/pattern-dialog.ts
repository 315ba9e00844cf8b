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
  patterns: StoredPattern[]
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
  template: `
    <h2 mat-dialog-title>Load a pattern</h2>
    <mat-dialog-content>
      <cr-one-of
        label="Whose patterns"
        [choices]="whose"
        [chosen]="finding.from()"
        (choose)="finding.from.set($event)"
      />
      @if (finding.from() === 'all') {
        <div class="filters">
          <input
            #words
            class="typed"
            type="search"
            aria-label="Find a pattern"
            placeholder="Name, horse, tag, note or modification"
            (input)="finding.change({ search: words.value })"
          />
          <select
            #kind
            class="typed"
            aria-label="Wears"
            (change)="finding.change({ modification: kind.value })"
          >
            <option value="">any modification</option>
            @for (one of modifications; track one.kind) {
              <option [value]="one.kind">{{ one.label }}</option>
            }
          </select>
          @if (finding.tags().length > 0) {
            <select #tag class="typed" aria-label="Tag" (change)="finding.change({ tag: tag.value })">
              <option value="">any tag</option>
              @for (one of finding.tags(); track one) {
                <option [value]="one">{{ one }}</option>
              }
            </select>
          }
          <select #bar class="typed" aria-label="Bar" (change)="finding.change({ bar: bar.value })">
            <option value="">any bar</option>
            @for (one of bars; track one.name) {
              <option [value]="one.name">{{ one.name }}</option>
            }
          </select>
        </div>
        <p class="muted">
          {{
            data.footWidth === undefined
              ? 'The newest first.'
              : 'For feet about ' + text.length(data.footWidth) + ' wide first.'
          }}
          Taken up, the design is fitted to this foot and becomes a pattern of its own.
        </p>
      } @else if (finding.from() === 'like') {
        <p class="muted">
          Of all horses, by the shape of the foot and not its name: laid over this one, turned, and mirrored
          where that is nearer. Taken up, the design is fitted to this foot; from a mirrored one nails change
          sides, and what is made for the outer or the inner side stays there.
        </p>
      } @else {
        <mat-checkbox [checked]="withFoot()" (change)="withFoot.set($event.checked)"
          >Take its measurements too</mat-checkbox
        >
      }
      @if (finding.failure()) {
        <p role="alert">{{ finding.failure() }}</p>
      }
      <ul>
        @for (pattern of listed(); track pattern.id) {
          <li>
            <button type="button" (click)="take(pattern)">
              <cr-small-shoe [snapshot]="pattern.result" [side]="pattern.side" />
              <span>
                <strong>{{ pattern.name }}</strong>
                @if (pattern.tags?.length) {
                  <span class="tags">
                    @for (tag of pattern.tags; track tag) {
                      <small>{{ tag }}</small>
                    }
                  </span>
                }
                @if (made(pattern)) {
                  <span>{{ made(pattern) }}</span>
                }
                <span class="muted"
                  >{{ horseOf(pattern) }}{{ pattern.side }}, {{ day(pattern) }}, cut
                  {{ text.length(pattern.result.cutLength) }}</span
                >
                @if (pattern.forkedFrom; as from) {
                  <span class="muted"
                    >from {{ from.horse }} “{{ from.name }}”{{ from.mirrored ? ', mirrored' : '' }}</span
                  >
                }
                @if (likeness(pattern); as like) {
                  <span class="muted">{{ like }}</span>
                }
              </span>
            </button>
            @if (pattern.version > 1 && finding.from() === 'own') {
              <button type="button" class="tap" (click)="earlier(pattern)">
                {{ pattern.version }} versions
              </button>
            }
          </li>
        } @empty {
          <li>
            {{
              finding.from() === 'own'
                ? 'No pattern of this foot is kept yet: save one and it will be here.'
                : finding.from() === 'like' && data.foot === undefined
                  ? 'Measure the foot first: its shape is what is looked for.'
                  : 'No pattern is found.'
            }}
          </li>
        }
      </ul>
      @if (finding.from() === 'all' && finding.found().length >= most) {
        <p class="muted">These are the first {{ most }}: another word narrows them down.</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="load" />
      <input #file hidden type="file" accept=".json" data-testid="pattern-file" (change)="fromFile(file)" />
      <button mat-button (click)="file.click()">From a file</button>
      <button mat-button (click)="fromPhotograph()">From a photograph</button>
      <button mat-button mat-dialog-close>Close</button>
    </mat-dialog-actions>
  `,
  styles: `
    ul {
      display: grid;
      gap: 6px;
      margin: 8px 0 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      gap: 6px;
      align-items: center;
    }
    li button:first-child {
      flex: 1;
      display: grid;
      grid-template-columns: 56px 1fr;
      gap: 12px;
      align-items: center;
      width: 100%;
      padding: 6px;
      color: inherit;
      font: inherit;
      text-align: left;
      background: var(--sheet);
      border: 1px solid var(--rule);
      border-radius: 6px;
      cursor: pointer;
    }
    li button:first-child:hover {
      border-color: var(--ember);
    }
    li span {
      display: grid;
    }
    .muted {
      font-size: 0.9rem;
    }
    li .tags {
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
    }
    small {
      padding: 1px 8px;
      background: var(--sheet-sunk);
      border: 1px solid var(--rule);
      border-radius: 10px;
    }
    cr-one-of {
      margin-bottom: 8px;
    }
    .filters {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
      gap: 6px;
    }
    .filters input {
      grid-column: 1 / -1;
    }
  `,
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
  protected readonly listed = computed(() => {
    const from = this.finding.from()
    if (from === 'own') return this.data.patterns
    if (from === 'like') return this.finding.near().map(({ pattern }) => pattern)
    return this.finding
      .found()
      .map(({ pattern }) => pattern)
      .filter(({ horseId }) => horseId !== this.data.horseId)
  })

  /** By how much the foot of a pattern differs from this one, and where most. */
  protected likeness({ id }: StoredPattern): string {
    const found =
      this.finding.from() === 'like' && this.finding.near().find(({ pattern }) => pattern.id === id)
    if (!found) return ''
    const most = found.byRegion.reduce((far, one) => (Math.abs(one.mean) > Math.abs(far.mean) ? one : far))
    const where = `${most.half === 'lateral' ? 'outer' : 'inner'} ${most.region}`
    const way = most.mean > 0 ? 'wider' : 'narrower'
    const by = `this foot ${this.text.fine(Math.abs(most.mean))} ${way} at the ${where}`
    return `${this.text.fine(found.distance)} off${found.mirrored ? ', mirrored' : ''}; ${by}`
  }
  protected made = ({ shoe }: StoredPattern): string => modificationWords(shoe)
  protected horseOf = ({ id }: StoredPattern): string => {
    const lists = { own: [], all: this.finding.found(), like: this.finding.near() }
    const found = lists[this.finding.from()].find(({ pattern }) => pattern.id === id)
    return found ? `${found.horseName} ` : ''
  }

  constructor() {
    this.finding.foot.set(this.data.foot)
    this.finding.footWidth.set(this.data.footWidth)
  }

  protected day = (pattern: StoredPattern): string => shortDay((pattern.updatedAt ?? '').slice(0, 10))
  /** An earlier state is taken up as work on the pattern of now: saved, it is its next version. */
  protected earlier(pattern: StoredPattern): void {
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
  protected take(pattern: StoredPattern): void {
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
