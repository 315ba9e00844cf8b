import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import {
  ANIMALS,
  HEEL_MEASURES,
  TIP_SOURCES,
  OPPOSITE,
  describeProblem,
  FIGURE_GROUPS,
  figuresIn,
  FOOT_FIGURES,
  type Animal,
  type Foot,
  type FootFigure,
  type FootFigureKey,
  type FootRecord,
  type HeelMeasure,
  type Problem,
  type TipSource,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { Dialogs } from '../../../common/dialogs'
import { Fold } from '../../../common/fold'
import { Desk } from '../../desk'
import { FigureText } from '../../../drawing/figure-text'
import { benchActions, benchFeature } from '../../../state/bench/bench.feature'
import type { Draft } from '../../../state/bench/draft'
import { FigureField } from '../../figure-field'
import { ChoiceRow } from '../look/choice-row'
import { CaliperPanel } from './caliper-panel'
import { Photos } from './photo/photos'
import type { Side, TracedFoot } from '@crescent/core'

/** Figures that say nothing beside a traced outline. */
const SHAPED_BY_TRACE: readonly FootFigureKey[] = ['toeShape', 'quarterShape']

/** Map: the five measurements, and the refinements with their defaults. */
@Component({
  selector: 'cr-map-step',
  imports: [CaliperPanel, ChoiceRow, FigureField, Fold, MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div data-fields>
      @if (caliper()) {
        <cr-caliper-panel (closed)="caliper.set(false)" />
      }
      @for (figure of measured(); track figure.key) {
        <cr-figure-field
          [field]="figure.key"
          [label]="figure.label"
          [kind]="figure.kind"
          [where]="figure.where"
          [note]="noteFor(figure)"
          [value]="draft().foot.figures[figure.key]"
          [assumed]="figure.fallback ? foot()?.[figure.key] : undefined"
          [entry]="draft().foot.entries[figure.key]"
          [problem]="problemOf(figure.key)"
          (figure)="set(figure.key, $event)"
          (unread)="keep(figure.key, $event)"
          (left)="settle()"
        />
      }
      @if (draft().foot.trace) {
        <div class="traced" data-testid="traced">
          <p>The outline is traced: the figures draw it out.</p>
          <button type="button" class="tap" (click)="takeAway()">Take it away</button>
        </div>
      }
      <details class="fold" [crFold]="faultyAny()">
        <summary>
          Not asked every visit <span class="muted">{{ beside() }}</span>
        </summary>
        <cr-choice-row
          label="Heels measured"
          [choices]="heelMeasures"
          [chosen]="[draft().foot.heelMeasure ?? 'outside']"
          (tapped)="measureHeels($event)"
        />
        @for (group of groups; track group.group) {
          <details class="fold" [crFold]="faulty(group.group)">
            <summary>
              {{ group.title }} <span class="muted">{{ summary(group.group) }}</span>
            </summary>
            @for (figure of figuresIn(group.group); track figure.key) {
              <cr-figure-field
                [field]="figure.key"
                [label]="figure.label"
                [kind]="figure.kind"
                [where]="figure.where"
                [value]="draft().foot.figures[figure.key]"
                [assumed]="foot()?.[figure.key]"
                [note]="
                  !figure.fallback && draft().foot.figures[figure.key] === undefined
                    ? 'Not known; never guessed.'
                    : ''
                "
                [entry]="draft().foot.entries[figure.key]"
                [problem]="problemOf(figure.key)"
                (figure)="set(figure.key, $event)"
                (unread)="keep(figure.key, $event)"
                (left)="settle()"
              />
              @if (figure.key === 'tipFromToe') {
                <cr-choice-row
                  label="Tip found by"
                  [choices]="tipSources"
                  [chosen]="draft().foot.tipBy ? [draft().foot.tipBy!] : []"
                  (tapped)="findTip($event)"
                />
              }
            }
          </details>
        }
        <div class="animal" role="group" aria-label="Kind of animal">
          @for (animal of animals; track animal) {
            <button
              type="button"
              [attr.aria-pressed]="draft().foot.animal === animal"
              (click)="choose(animal)"
            >
              {{ animal }}
            </button>
          }
        </div>
      </details>
      <div class="carry">
        <button mat-stroked-button (click)="bringOutline('photograph')">
          <mat-icon svgIcon="camera" />Outline from a photograph
        </button>
        <button mat-stroked-button (click)="bringOutline('file')">
          <mat-icon svgIcon="upload" />Outline from a file
        </button>
        <button mat-stroked-button [attr.aria-pressed]="caliper()" (click)="caliper.set(!caliper())">
          <mat-icon svgIcon="caliper" />Caliper on screen
        </button>
        @if (previous()) {
          <button mat-stroked-button (click)="store.dispatch(copyLast())">
            <mat-icon svgIcon="copy" />Copy last visit
          </button>
        }
        <button mat-stroked-button [disabled]="!canMirror()" (click)="store.dispatch(mirror())">
          <mat-icon svgIcon="mirror" />Mirror from {{ other() }}
        </button>
      </div>
      @if (!canMirror()) {
        <p class="muted">Nothing to mirror: {{ other() }} is not measured at this visit.</p>
      }
    </div>
  `,
  styles: `
    .animal {
      display: grid;
      grid-template-columns: repeat(4, auto);
      margin: 8px 0 12px;
      border: 1px solid var(--rule-strong);
      border-radius: 6px;
      overflow: hidden;
    }
    .animal button {
      min-height: 44px;
      padding: 0 4px;
      color: inherit;
      font: inherit;
      font-size: 0.9rem;
      background: var(--sheet);
      border: 0;
      cursor: pointer;
    }
    .animal button[aria-pressed='true'] {
      color: var(--ember-ink);
      font-weight: 650;
      background: var(--ember);
    }
    .traced {
      display: flex;
      gap: 8px;
      align-items: center;
      margin: 8px 0;
      padding: 4px 12px;
      background: var(--sheet-sunk);
      border-radius: 6px;
    }
    .carry {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
  `,
})
export class MapStep {
  readonly draft = input.required<Draft>()
  readonly side = input.required<Side>()
  readonly foot = input<Foot | undefined>()
  readonly problems = input<readonly Problem[]>([])
  readonly previous = input<FootRecord | undefined>()

  protected readonly store = inject(Store)
  protected readonly canMirror = this.store.selectSignal(benchFeature.selectCanMirror)
  private readonly text = inject(FigureText)
  /** The web that was measured to is asked for only where heels are measured to its middle. */
  protected readonly measured = computed(() =>
    FOOT_FIGURES.filter(
      ({ group, key }) =>
        group === 'measured' && (key !== 'heelWeb' || this.draft().foot.heelMeasure === 'middle of web'),
    ),
  )
  protected readonly heelMeasures = HEEL_MEASURES
  protected readonly tipSources = TIP_SOURCES
  protected readonly caliper = signal(false)
  protected readonly groups = FIGURE_GROUPS
  protected readonly animals = ANIMALS
  protected readonly copyLast = benchActions.copyLast
  protected readonly mirror = benchActions.mirror
  protected readonly other = computed(() => OPPOSITE[this.side()])

  protected takeAway(): void {
    this.store.dispatch(benchActions.setTrace({ traced: undefined }))
    this.settle()
  }
  private readonly dialogs = inject(Dialogs)
  private readonly photos = inject(Photos)
  /** None where the step stands by itself. */
  private readonly desk = inject(Desk, { optional: true })

  /** Toe and quarter shape are the trace's own. */
  protected figuresIn(group: FootFigure['group']): readonly FootFigure[] {
    const traced = this.draft().foot.trace !== undefined
    return figuresIn(group).filter(({ key }) => !traced || !SHAPED_BY_TRACE.includes(key))
  }

  protected async bringOutline(out: 'file' | 'photograph'): Promise<void> {
    const taken =
      out === 'file' ? await this.fromFile() : await this.photos.foot(this.desk?.before()?.outline)
    if (!taken) return
    this.store.dispatch(benchActions.setTrace({ traced: taken.foot }))
    for (const [key, value] of Object.entries(taken.figures) as [FootFigureKey, number][])
      this.store.dispatch(benchActions.setFigure({ key, value }))
    this.settle()
  }

  private async fromFile() {
    const foot = await this.dialogs.ask<TracedFoot>(
      () => import('./outline-dialog').then((m) => m.OutlineDialog),
      { width: '640px' },
    )
    return foot && { foot, figures: {} }
  }

  /** A group with a fault in it must not hide it. */
  protected faulty(group: FootFigure['group']): boolean {
    return this.figuresIn(group).some(
      ({ key }) => this.problemOf(key) !== undefined || this.draft().foot.entries[key] !== undefined,
    )
  }

  /** A fault in any group opens what is folded around them. */
  protected readonly faultyAny = computed(() => this.groups.some(({ group }) => this.faulty(group)))
  /** What of it all was given. */
  protected readonly beside = computed(() => {
    const { heelMeasure, animal } = this.draft().foot
    const given = this.groups.flatMap(({ group }) =>
      this.figuresIn(group).filter(({ key }) => this.draft().foot.figures[key] !== undefined),
    )
    return [
      ...(heelMeasure === 'middle of web' ? ['heels to the middle of the web'] : []),
      ...(animal === 'horse' ? [] : [animal]),
      ...given.map(({ label }) => label.toLowerCase()),
    ].join(', ')
  })

  protected summary(group: FootFigure['group']): string {
    const given = this.figuresIn(group).filter(({ key }) => this.draft().foot.figures[key] !== undefined)
    const plain =
      group === 'outline' && this.draft().foot.trace ? 'as it was traced' : 'all at their defaults'
    return given.length === 0 ? plain : `${given.map(({ label }) => label.toLowerCase()).join(', ')} given`
  }

  protected noteFor({ key, kind }: FootFigure): string {
    const last = this.previous()?.foot[key]
    const now = this.draft().foot.figures[key]
    if (last === undefined) return ''
    if (now === undefined) return `Last visit ${this.text.figure(last, kind)}`
    if (kind !== 'length')
      return now === last ? 'As last visit' : `Last visit ${this.text.figure(last, kind)}`
    const change = this.text.difference(now - last)
    return change === '0' ? 'As last visit' : `${change} since last visit`
  }

  protected problemOf(key: FootFigureKey): string | undefined {
    const problem = this.problems().find(({ path }) => path === `foot.${key}`)
    // A figure that is simply not there yet is not a fault worth shouting about.
    if (!problem || this.draft().foot.figures[key] === undefined) return undefined
    return describeProblem(problem, this.text.style())
  }

  protected set = (key: FootFigureKey, value: number | undefined): void =>
    this.store.dispatch(benchActions.setFigure({ key, value }))
  protected keep = (field: string, text: string): void =>
    this.store.dispatch(benchActions.setEntry({ field, text }))
  protected settle = (): void => this.store.dispatch(benchActions.settle())
  protected measureHeels = (choice: string): void =>
    this.store.dispatch(benchActions.setHeelMeasure({ heelMeasure: choice as HeelMeasure }))
  protected findTip = (choice: string): void =>
    this.store.dispatch(benchActions.setTipBy({ tipBy: choice as TipSource }))
  protected choose = (animal: Animal): void => this.store.dispatch(benchActions.setAnimal({ animal }))
}
