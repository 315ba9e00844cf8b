import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject } from '@angular/core'
import type { Half } from '@crescent/core'
import { TRY_PLACES, type TryPlace } from '@crescent/core/anvil'
import { OneOf } from '../../../common/one-of'
import { FigureText } from '../../../drawing/figure-text'
import { BRANCHES } from '../../../drawing/nail-words'
import { FigureField } from '../../figure-field'
import { OnFoot } from './on-foot'
import { HotTimer } from './hot-timer'
import { LevelLook } from './level-look'
import { LogTry } from './log-try'
import { PointsField } from './points-field'
import type { AnvilDraft } from '../../../state/bench/draft'
import { Trying } from './trying'

const WAYS: readonly { key: AnvilDraft['by']; label: string }[] = [
  { key: 'tape', label: 'By the tape' },
  { key: 'eye', label: 'On the foot' },
  { key: 'points', label: 'By points' },
]

/** The first shaping: of a factory shoe, or of a straight bar. */
const first = (ofSize: boolean) => ({ key: 'box', label: ofSize ? 'From the box' : 'From the bar' }) as const

const MEASURES = [
  { key: 'width', label: 'Width', where: 'Outside, at its widest, as it lies on the anvil.' },
  { key: 'heelWidth', label: 'Heels', where: 'Across the heels, the way the foot was measured.' },
  { key: 'length', label: 'Length', where: 'From the outside of the toe to a line across the heel ends.' },
] as const
type MeasureKey = (typeof MEASURES)[number]['key']

/** What is known of the shoe on the anvil: three measures, or where it is tight and where wide. */
@Component({
  selector: 'cr-try-panel',
  imports: [FigureField, HotTimer, LevelLook, LogTry, OneOf, OnFoot, PointsField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { 'data-fields': '' },
  template: `
    @if (!trying.plan()) {
      <p>The bends follow from the shoe: measure the foot first.</p>
    } @else {
      @if (trying.moulded()) {
        <p>
          It is not bent: where it is off, shift or turn it in Size, saw it to the line, or take another size.
        </p>
      } @else {
        <cr-one-of
          label="How the shape is known"
          [choices]="ways()"
          [chosen]="trying.anvil().by"
          (choose)="trying.put({ by: $event }, 'by'); trying.settle()"
        />
        @if (trying.anvil().by === 'tape') {
          @for (one of measures(); track one.key) {
            <cr-figure-field
              [field]="'anvil.' + one.key"
              [label]="one.label"
              [note]="one.note"
              kind="length"
              [where]="one.where"
              [value]="trying.anvil()[one.key]"
              [assumed]="one.right"
              [entry]="trying.entries()['anvil.' + one.key]"
              [problem]="one.problem"
              (figure)="set(one.key, $event)"
              (unread)="trying.keep('anvil.' + one.key, $event)"
              (left)="trying.settle()"
            />
          }
        } @else if (trying.anvil().by === 'box') {
          <p class="muted">
            {{
              trying.ofSize()
                ? 'The first shaping: from what the shoe usually measures as sold to this foot.'
                : 'The first shaping: a straight bar, turned from the toe outward. Level after every bend.'
            }}
          </p>
        } @else if (trying.anvil().by === 'points') {
          <cr-points-field />
        } @else {
          @for (branch of branches; track branch.branch) {
            <fieldset>
              <legend>{{ branch.title }}</legend>
              @for (place of places; track place.key) {
                <div class="place">
                  <span>{{ place.key }}</span>
                  <button
                    type="button"
                    class="tap"
                    [attr.aria-label]="'Tighter at the ' + place.key + ', ' + branch.short"
                    (click)="nudge(branch.branch, place.key, -1)"
                  >
                    −
                  </button>
                  <b [class.off]="offOf(branch.branch, place.key) !== 0">{{
                    offWords(branch.branch, place.key)
                  }}</b>
                  <button
                    type="button"
                    class="tap"
                    [attr.aria-label]="'Wider at the ' + place.key + ', ' + branch.short"
                    (click)="nudge(branch.branch, place.key, 1)"
                  >
                    +
                  </button>
                </div>
              }
            </fieldset>
          }
        }
        @if (trying.told() && trying.anvil().by !== 'box') {
          <button type="button" class="tap" (click)="trying.clear()">Another try: clear</button>
        }
        @for (problem of trying.tried().problems; track problem.path) {
          <p class="wrong" role="alert">{{ text.problem(problem) }}</p>
        }
      }
      <details class="fold">
        <summary>Level</summary>
        <cr-level-look />
      </details>
      <details class="fold">
        <summary>On the foot: what is right</summary>
        <cr-on-foot />
      </details>
      @if (!trying.moulded()) {
        <h3>Hot seating</h3>
        <cr-hot-timer />
        <p class="muted">
          Seat the clips first, then the shoe; tap what it left in the view Contact. A horse that fears the
          smoke is shod cold, or shown it first from afar. Smoke near hay is fire.
        </p>
      }
      <h3>This try</h3>
      <cr-log-try />
    }
  `,
  styles: `
    fieldset {
      margin: 10px 0;
      padding: 4px 10px 8px;
      border: 1.5px solid var(--rule);
      border-radius: 6px;
    }
    legend {
      padding: 0 6px;
      font-weight: 650;
    }
    .place {
      display: grid;
      grid-template-columns: 1fr 48px 5.6rem 48px;
      gap: 6px;
      align-items: center;
      min-height: 50px;
    }
    .place b {
      font-weight: 500;
      text-align: center;
      font-variant-numeric: tabular-nums;
      color: var(--ink-soft);
    }
    .place b.off {
      font-weight: 700;
      color: var(--ink);
    }
    .tap {
      min-height: 44px;
      font-size: 1.05rem;
    }
    h3 {
      margin: 16px 0 6px;
      font-size: 1rem;
    }
    .wrong {
      font-weight: 650;
      color: var(--stop);
    }
  `,
})
export class TryPanel {
  protected readonly trying = inject(Trying)
  protected readonly text = inject(FigureText)
  protected readonly ways = computed(() => [first(this.trying.ofSize()), ...WAYS])
  protected readonly places = TRY_PLACES
  protected readonly branches = BRANCHES

  protected readonly measures = computed(() => {
    const right = this.trying.right()
    const problems = this.trying.tried().problems
    return MEASURES.map((one) => {
      const problem = problems.find(({ path }) => path === `shape.${one.key}`)
      return {
        ...one,
        right: right?.[one.key],
        note: one.key === 'heelWidth' ? this.trying.heelMeasure() : '',
        problem: problem && this.text.problem(problem),
      }
    })
  })

  constructor() {
    inject(DestroyRef).onDestroy(this.trying.look())
  }

  protected set(key: MeasureKey, value: number | undefined): void {
    const { [key]: _old, ...rest } = this.trying.anvil()
    this.trying.put(value === undefined ? { ...rest, [key]: undefined } : { ...rest, [key]: value }, key)
  }

  protected offOf = (branch: Half, place: TryPlace): number => this.trying.offAt(branch, place)
  protected offWords = (branch: Half, place: TryPlace): string => this.trying.offWords(branch, place)

  /** By a division of the rule. */
  protected nudge = (branch: Half, place: TryPlace, way: 1 | -1): void =>
    this.trying.nudge(branch, place, way)
}
