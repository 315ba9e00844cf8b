import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core'
import {
  planShoe,
  type FootInput,
  type Plan,
  type ShoeInput,
  type Side,
  type PagePattern,
} from '@crescent/core'
import { differences } from '@crescent/core/designs'
import { FigureText } from '../../../drawing/figure-text'
import { apartOf } from '../../../drawing/joined'
import { boxOf, soleView, svgPath, svgRings } from '../../../drawing/svg-path'
import { tryPlan } from '../../../state/bench/planning'
import { shortDay } from '../../../common/today'
import { DifferenceTable } from './difference-table'

/** The shoe on the Bench laid over another of the library, both on this foot, and what differs. */
@Component({
  selector: 'cr-against-view',
  imports: [DifferenceTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (patterns().length === 0) {
      <p class="note">
        No pattern is kept for this pair of feet yet: save this one, then there is something to compare with.
      </p>
    } @else {
      <label class="choose"
        >Against
        <select #chosen aria-label="Pattern to lay against" (change)="id.set(chosen.value)">
          @for (one of patterns(); track one.id) {
            <option [value]="one.id" [selected]="one.id === id()">
              {{ one.side }} · {{ one.name }}{{ day(one) }}
            </option>
          }
        </select>
      </label>
      @if (other(); as theirs) {
        <div class="two" role="region" tabindex="0" aria-label="Both shoes and what differs">
          <svg
            [attr.viewBox]="drawing().box"
            role="img"
            [attr.aria-label]="'This shoe over ' + pattern()!.name"
          >
            <path class="foot" [attr.d]="drawing().foot" />
            <path class="theirs" [attr.d]="drawing().theirs" />
            @for (part of drawing().theirParts; track $index) {
              <path class="theirs" [attr.d]="part" />
            }
            <path class="mine" [attr.d]="drawing().mine" />
            @for (part of drawing().myParts; track $index) {
              <path class="mine" [attr.d]="part" />
            }
          </svg>
          <cr-difference-table [list]="list()" />
        </div>
      } @else {
        <p class="note" role="alert">That shoe cannot be made for this foot: {{ why() }}</p>
      }
    }
  `,
  styleUrl: './views.scss',
  styles: `
    .choose {
      display: flex;
      gap: 8px;
      align-items: center;
      font-weight: 600;
    }
    select {
      min-height: 44px;
      max-width: 100%;
      padding: 0 8px;
      font: inherit;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
    .two {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 12px;
      min-height: 0;
      flex: 1;
      overflow: auto;
    }
    svg {
      max-height: 62vh;
    }
    @media (max-width: 819px), (max-height: 519px) {
      .two {
        grid-template-columns: 1fr;
      }
    }
    .foot {
      fill: var(--sole);
      stroke: none;
    }
    .mine,
    .theirs {
      stroke-width: 1.1;
      stroke-linejoin: round;
    }
    path.mine {
      fill: color-mix(in srgb, var(--ember) 18%, transparent);
      stroke: var(--ember);
    }
    path.theirs {
      fill: color-mix(in srgb, var(--steel-edge) 20%, transparent);
      stroke: var(--steel-edge);
      stroke-dasharray: 3 2;
    }
  `,
})
export class AgainstView {
  readonly plan = input.required<Plan>()
  readonly foot = input.required<FootInput>()
  readonly shoe = input.required<ShoeInput>()
  readonly side = input.required<Side>()
  /** Of this foot and its pair, this foot's first. */
  readonly patterns = input.required<readonly PagePattern[]>()
  /** Id of the pattern that lies on the Bench. */
  readonly worn = input<string | undefined>()

  private readonly text = inject(FigureText)
  /** Another than the one that lies on the Bench, where there is one. */
  protected readonly id = linkedSignal(
    () => (this.patterns().find(({ id }) => id !== this.worn()) ?? this.patterns()[0])?.id ?? '',
  )
  protected readonly pattern = computed(() => this.patterns().find(({ id }) => id === this.id()))

  /** The other design on this foot, so that only the designs differ. */
  private readonly planning = computed(() => {
    const pattern = this.pattern()
    return pattern && tryPlan(() => planShoe(this.foot(), pattern.shoe, pattern.workshop))
  })
  protected readonly other = computed(() => this.planning()?.plan)
  protected readonly why = computed(() => (this.planning()?.problems ?? []).map(this.text.problem).join('; '))
  protected readonly list = computed(() => {
    const [theirs, pattern] = [this.other(), this.pattern()]
    if (!theirs || !pattern) return []
    return differences({ shoe: this.shoe(), plan: this.plan() }, { shoe: pattern.shoe, plan: theirs })
  })

  protected readonly drawing = computed(() => {
    const [mine, theirs] = [this.plan(), this.other()!]
    const view = soleView(this.side(), mine.foot.widestFromToe)
    const all = [mine, theirs].flatMap(({ outline, parts }) => [
      ...outline.foot,
      ...outline.body,
      ...parts.flatMap(({ edge }) => edge),
    ])
    const parts = (plan: Plan) =>
      apartOf(plan)
        .filter(({ layer }) => layer !== 'dressed')
        .map(({ edge }) => svgPath(edge, view, true))
    return {
      box: boxOf(all, view, 4),
      foot: svgPath(mine.outline.foot, view, true),
      mine: svgRings(mine.outline.whole, view),
      theirs: svgRings(theirs.outline.whole, view),
      myParts: parts(mine),
      theirParts: parts(theirs),
    }
  })

  protected day = ({ updatedAt }: PagePattern): string =>
    updatedAt ? `, ${shortDay(updatedAt.slice(0, 10))}` : ''
}
