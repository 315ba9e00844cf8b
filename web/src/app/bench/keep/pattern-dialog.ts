import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { toObservable, toSignal } from '@angular/core/rxjs-interop'
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
  type FoundPattern,
  type Side,
  type StoredPattern,
} from '@crescent/core'
import {
  catchError,
  debounceTime,
  filter,
  firstValueFrom,
  of,
  switchMap,
  take,
  type OperatorFunction,
} from 'rxjs'
import { OneOf } from '../../common/one-of'
import { Api, failureText, type NearPattern } from '../../state/api'
import { shortDay } from '../../common/today'
import { FigureText } from '../../drawing/figure-text'
import type { TakenUp } from '../../state/bench/draft'
import { SmallShoe } from '../../drawing/small-shoe'
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
}

/** Patterns by shape are told so many: the first of them is what is looked for. */
const NEAREST = 12

export interface PatternChoice {
  pattern: TakenUp
  withFoot: boolean
  /** Of another: whose it is, and whether its foot is like this one in the mirror. */
  horse?: string
  mirrored?: boolean
}

/** What is asked for among the patterns of all horses. */
interface Asked {
  search: string
  modification: string
  bar: string
  tag: string
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
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Load a pattern</h2>
    <mat-dialog-content>
      <cr-one-of label="Whose patterns" [choices]="whose" [chosen]="from()" (choose)="from.set($event)" />
      @if (from() === 'all') {
        <div class="filters">
          <input
            #words
            class="typed"
            type="search"
            aria-label="Find a pattern"
            placeholder="Name, horse, tag, note or modification"
            (input)="change({ search: words.value })"
          />
          <select #kind class="typed" aria-label="Wears" (change)="change({ modification: kind.value })">
            <option value="">any modification</option>
            @for (one of modifications; track one.kind) {
              <option [value]="one.kind">{{ one.label }}</option>
            }
          </select>
          @if (tags().length > 0) {
            <select #tag class="typed" aria-label="Tag" (change)="change({ tag: tag.value })">
              <option value="">any tag</option>
              @for (one of tags(); track one) {
                <option [value]="one">{{ one }}</option>
              }
            </select>
          }
          <select #bar class="typed" aria-label="Bar" (change)="change({ bar: bar.value })">
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
      } @else if (from() === 'like') {
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
      @if (failure()) {
        <p role="alert">{{ failure() }}</p>
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
            @if (pattern.version > 1 && from() === 'own') {
              <button type="button" class="tap" (click)="earlier(pattern)">
                {{ pattern.version }} versions
              </button>
            }
          </li>
        } @empty {
          <li>
            {{
              from() === 'own'
                ? 'No pattern of this foot is kept yet: save one and it will be here.'
                : from() === 'like' && data.foot === undefined
                  ? 'Measure the foot first: its shape is what is looked for.'
                  : 'No pattern is found.'
            }}
          </li>
        }
      </ul>
      @if (from() === 'all' && found().length >= most) {
        <p class="muted">These are the first {{ most }}: another word narrows them down.</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="load" />
      <input #file hidden type="file" accept=".json" data-testid="pattern-file" (change)="fromFile(file)" />
      <button mat-button (click)="file.click()">From a file</button>
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
  protected readonly withFoot = signal(false)
  protected readonly whose = [
    { key: 'own' as const, label: 'This horse' },
    { key: 'all' as const, label: 'All horses' },
    { key: 'like' as const, label: 'Most alike' },
  ]
  protected readonly from = signal<'own' | 'all' | 'like'>('own')
  protected readonly modifications = MODIFICATIONS
  protected readonly bars = COMMON_SECTIONS
  protected readonly failure = signal('')
  private readonly asked = signal<Asked>({ search: '', modification: '', bar: '', tag: '' })
  /** Asked for once; without an answer there is nothing to choose from, and no harm. */
  protected readonly tags = toSignal(this.api.patternTags().pipe(catchError(() => of([]))), {
    initialValue: [] as string[],
  })
  protected readonly most = PATTERNS_FOUND
  protected readonly found = toSignal(
    toObservable(computed(() => (this.from() === 'all' ? this.asked() : undefined))).pipe(
      debounceTime(150),
      switchMap((asked) => (asked ? this.look(asked) : of([]))),
    ),
    { initialValue: [] as FoundPattern[] },
  )
  /** Asked for once, when it is first looked at: the foot does not change meanwhile. */
  protected readonly near = toSignal(
    toObservable(computed(() => this.from() === 'like')).pipe(
      filter((asked) => asked && this.data.foot !== undefined),
      take(1),
      switchMap(() => this.api.nearestPatterns(this.data.foot!, NEAREST).pipe(this.told<NearPattern>())),
    ),
    { initialValue: [] as NearPattern[] },
  )
  protected readonly listed = computed(() => {
    const from = this.from()
    if (from === 'own') return this.data.patterns
    if (from === 'like') return this.near().map(({ pattern }) => pattern)
    return this.found()
      .map(({ pattern }) => pattern)
      .filter(({ horseId }) => horseId !== this.data.horseId)
  })

  /** By how much the foot of a pattern differs from this one, and where most. */
  protected likeness({ id }: StoredPattern): string {
    const found = this.from() === 'like' && this.near().find(({ pattern }) => pattern.id === id)
    if (!found) return ''
    const most = found.byRegion.reduce((far, one) => (Math.abs(one.mean) > Math.abs(far.mean) ? one : far))
    const where = `${most.half === 'lateral' ? 'outer' : 'inner'} ${most.region}`
    const way = most.mean > 0 ? 'wider' : 'narrower'
    const by = `this foot ${this.text.fine(Math.abs(most.mean))} ${way} at the ${where}`
    return `${this.text.fine(found.distance)} off${found.mirrored ? ', mirrored' : ''}; ${by}`
  }
  protected made = ({ shoe }: StoredPattern): string => modificationWords(shoe)
  protected horseOf = ({ id }: StoredPattern): string => {
    const lists = { own: [], all: this.found(), like: this.near() }
    const found = lists[this.from()].find(({ pattern }) => pattern.id === id)
    return found ? `${found.horseName} ` : ''
  }

  protected change(changes: Partial<Asked>): void {
    this.asked.update((asked) => ({ ...asked, ...changes }))
  }

  private look({ search, modification, bar, tag }: Asked) {
    const section = COMMON_SECTIONS.find(({ name }) => name === bar)?.section
    this.failure.set('')
    return this.api
      .findPatterns({ search, modification, tag, section, width: this.data.footWidth })
      .pipe(this.told<FoundPattern>())
  }

  /** Nothing where the server does not answer, and why. */
  private told<T>(): OperatorFunction<T[], T[]> {
    return catchError((error: unknown) => {
      this.failure.set(failureText(error))
      return of([])
    })
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
    const from = this.from()
    if (from === 'own') return this.dialog.close({ pattern, withFoot: this.withFoot() })
    const found = (from === 'like' ? this.near() : this.found()).find((one) => one.pattern.id === pattern.id)
    const mirrored =
      from === 'like' && this.near().some((one) => one.pattern.id === pattern.id && one.mirrored)
    this.dialog.close({ pattern, withFoot: false, mirrored, ...(found && { horse: found.horseName }) })
  }

  /** A pattern somebody sent: read and taken up for this foot; kept when the Bench is saved. */
  protected async fromFile(input: HTMLInputElement): Promise<void> {
    const chosen = input.files?.[0]
    input.value = ''
    if (!chosen) return
    this.failure.set('')
    try {
      const sent: unknown = JSON.parse(await chosen.text())
      const { file } = await firstValueFrom(this.api.readPatternFile(sent))
      const { name, side, foot, shoe } = file
      const pattern = { id: crypto.randomUUID(), version: 0, horseId: '', name, side, foot, shoe }
      this.dialog.close({ pattern, withFoot: this.data.foot === undefined })
    } catch (error) {
      this.failure.set(
        error instanceof SyntaxError ? `“${chosen.name}” is no pattern file.` : failureText(error),
      )
    }
  }
}
