import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import type { Vec } from '@crescent/core'
import { placesOnPattern, type Centreline, type ToldBend } from '@crescent/core/anvil'
import { FigureText } from '../../../drawing/figure-text'
import { boxOf, seen, soleView, svgPath, type View } from '../../../drawing/svg-path'
import { Trying } from './trying'

/** What is tapped lies so far off the web, mm. */
const AWAY = 10

/** The shape on the anvil over its pattern, and the bends from toe to heel: one after the other, as they are made. */
@Component({
  selector: 'cr-bends-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawing(); as drawn) {
      <div class="two">
        <svg
          [attr.viewBox]="drawn.box"
          [attr.role]="drawn.taps.length > 0 ? 'group' : 'img'"
          [attr.aria-label]="label()"
        >
          <path class="pattern" [attr.d]="drawn.pattern" [attr.stroke-width]="drawn.web" />
          <path class="middle" [attr.d]="drawn.pattern" />
          @if (drawn.shape) {
            <path class="shape" [attr.d]="drawn.shape" [attr.stroke-width]="drawn.web" />
            <path class="now" [attr.d]="drawn.shape" />
          }
          @for (tap of drawn.taps; track tap.label) {
            <g
              class="tap-on"
              role="button"
              tabindex="0"
              [attr.aria-label]="tap.label"
              [attr.transform]="tap.at"
              (click)="trying.nudge(tap.branch, tap.place, tap.way)"
              (keydown.enter)="trying.nudge(tap.branch, tap.place, tap.way)"
              (keydown.space)="$event.preventDefault(); trying.nudge(tap.branch, tap.place, tap.way)"
            >
              <circle r="7" />
              <text text-anchor="middle" dy="3">{{ tap.way > 0 ? '+' : '−' }}</text>
            </g>
          }
          @for (place of drawn.places; track $index) {
            <g [attr.transform]="place.at" [class.done]="place.done">
              <circle r="6" />
              <text text-anchor="middle" dy="2.4">{{ place.number }}</text>
            </g>
          }
        </svg>
        <div class="words">
          @if (trying.tried().plan; as plan) {
            <p class="outcome" [class.good]="plan.within" role="status">
              <strong>{{ outcome() }}</strong>
            </p>
            <ol data-testid="bends">
              @for (bend of plan.bends; track $index) {
                <li [class.done]="$index < trying.made()">
                  <button
                    type="button"
                    class="bend"
                    [attr.aria-pressed]="$index < trying.made()"
                    (click)="trying.make($index < trying.made() ? $index : $index + 1)"
                  >
                    <b>{{ bend.opens ? 'Open' : 'Close' }} {{ angle(bend) }}</b
                    >, {{ bend.place }}
                    <span>heel {{ heel(bend) }}</span>
                  </button>
                  <p>{{ text.told(bend.how) }}</p>
                </li>
              }
            </ol>
            @if (trying.anvil().by === 'eye') {
              <p class="muted">
                Between the places that were tapped it is taken to run evenly: one place more makes it surer.
              </p>
            }
            @for (note of plan.notes; track $index) {
              <p class="muted">{{ text.told(note) }}</p>
            }
            @if (plan.bends.length > 0) {
              <div class="steps">
                <button
                  type="button"
                  class="tap"
                  [disabled]="trying.made() === 0"
                  (click)="trying.make(trying.made() - 1)"
                >
                  Back
                </button>
                <button
                  type="button"
                  class="tap"
                  [disabled]="trying.made() >= plan.bends.length"
                  (click)="trying.make(trying.made() + 1)"
                >
                  {{ trying.made() >= plan.bends.length ? 'All made' : 'Make bend ' + (trying.made() + 1) }}
                </button>
              </div>
            }
          } @else if (trying.moulded()) {
            <p>It is sawn and shifted, not bent: in Size stands how.</p>
          } @else {
            <p>
              Measure the shoe on the anvil, or say where it is tight or wide on the foot: what to bend, where
              and how far comes here.
            </p>
            @if (trying.right(); as right) {
              <p>
                When it is right it measures <b>{{ text.length(right.width) }}</b> wide,
                <b>{{ text.length(right.heelWidth) }}</b> across the heels ({{ trying.heelMeasure() }}) and
                <b>{{ text.length(right.length) }}</b> long.
              </p>
            }
          }
        </div>
      </div>
    } @else {
      <p class="note">Measure the foot, and the pattern lies here to bend to.</p>
    }
  `,
  styleUrls: ['../shoe/views.scss', '../two.scss'],
  styles: `
    path {
      fill: none;
      stroke-linejoin: round;
    }
    .pattern {
      stroke: color-mix(in srgb, var(--steel) 45%, transparent);
    }
    .middle {
      stroke: var(--ink-soft);
      stroke-width: 0.7;
      stroke-dasharray: 3 2;
    }
    .shape {
      stroke: color-mix(in srgb, var(--ember) 26%, transparent);
    }
    .now {
      stroke: var(--ember);
      stroke-width: 1.3;
    }
    circle {
      fill: var(--ink);
    }
    .tap-on {
      cursor: pointer;
      outline: none;
    }
    .tap-on circle {
      fill: var(--sheet);
      stroke: var(--rule-strong);
      stroke-width: 0.8;
    }
    .tap-on:focus-visible circle {
      stroke: var(--ember);
      stroke-width: 1.8;
    }
    .tap-on text {
      fill: var(--ink);
    }
    .done circle {
      fill: var(--good);
    }
    text {
      font-size: 7px;
      font-weight: 700;
      fill: var(--paper);
    }
    .outcome {
      margin: 0 0 8px;
      padding: 8px 10px;
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
    .outcome.good {
      background: var(--sheet);
      border-left-color: var(--good);
    }
    ol {
      margin: 0;
      padding-left: 1.4em;
    }
    li {
      margin-bottom: 8px;
    }
    li p {
      margin: 2px 0 0;
      font-size: 0.88rem;
      color: var(--ink-soft);
    }
    .bend {
      width: 100%;
      min-height: 44px;
      padding: 4px 8px;
      font: inherit;
      color: inherit;
      text-align: left;
      background: var(--sheet);
      border: 1.5px solid var(--rule);
      border-radius: 6px;
      cursor: pointer;
    }
    .bend span {
      display: block;
      font-size: 0.88rem;
      color: var(--ink-soft);
    }
    .done .bend {
      border-color: var(--good);
    }
    .steps {
      display: flex;
      gap: 8px;
      margin-top: 8px;
    }
    .steps .tap {
      flex: 1;
    }
  `,
})
export class BendsView {
  protected readonly trying = inject(Trying)
  protected readonly text = inject(FigureText)

  protected readonly outcome = computed(() => {
    const plan = this.trying.tried().plan
    if (!plan) return ''
    const { bends, within, before, residual } = plan
    if (within && bends.length === 0) return 'It is right: leave it alone.'
    const count = bends.length === 1 ? 'One bend' : `${bends.length} bends`
    const off = `${this.text.length(before)} off now`
    return within
      ? `${count}, ${off}; then within ${this.text.fine(Math.max(residual, 0.4))}.`
      : `${off}; bending leaves ${this.text.length(residual)}.`
  })

  protected readonly label = computed(() => {
    const made = this.trying.made()
    return this.trying.tried().plan
      ? `The shape on the anvil over its pattern${made > 0 ? `, after ${made === 1 ? 'one bend' : `${made} bends`}` : ''}`
      : 'The pattern of the shoe'
  })

  protected angle = ({ angle }: ToldBend): string => this.text.figure(Math.abs(angle), 'angle')
  protected heel = ({ heelMoves }: ToldBend): string =>
    `${this.text.length(Math.abs(heelMoves))} ${heelMoves > 0 ? 'out' : 'in'}`

  /** Beside each place of the pattern: outside to say that the shoe is wide there, inside that it is tight. */
  private taps(pattern: Centreline, web: number, view: View) {
    return placesOnPattern(pattern).flatMap(({ branch, place, point, outward }) =>
      ([1, -1] as const).map((way) => {
        const far = (web / 2 + AWAY) * way
        const [x, y] = seen([point[0] + outward[0] * far, point[1] + outward[1] * far], view)
        const label = `${branch === 'lateral' ? 'Outer' : 'Inner'} ${place}: ${way > 0 ? 'wider' : 'tighter'}`
        return {
          ...{ branch, place, way, label },
          at: `translate(${x.toFixed(1)} ${y.toFixed(1)})`,
        }
      }),
    )
  }

  protected readonly drawing = computed(() => {
    const [plan, pattern, bends] = [this.trying.plan(), this.trying.pattern(), this.trying.tried().plan]
    if (!plan || !pattern) return undefined
    const view = soleView(this.trying.side(), plan.foot.widestFromToe)
    const shape = bends?.laid[Math.min(this.trying.made(), bends.laid.length - 1)]
    const web = plan.section.width
    const eye = this.trying.anvil().by === 'eye' && !this.trying.moulded()
    // Every step in one frame, so that nothing jumps while it is stepped through.
    const all: readonly Vec[] = [...pattern.points, ...(bends?.laid.flat() ?? [])]
    return {
      web,
      box: boxOf(all, view, web / 2 + (eye ? AWAY + 9 : 5)),
      taps: eye ? this.taps(pattern, web, view) : [],
      pattern: svgPath(pattern.points, view),
      shape: shape ? svgPath(shape, view) : '',
      places: (bends?.bends ?? []).map(({ branch, fromToe }, i) => {
        const station = branch === 'lateral' ? pattern.toe - fromToe : pattern.toe + fromToe
        const near = pattern.stations.reduce(
          (best, one, k) =>
            Math.abs(one - station) < Math.abs(pattern.stations[best]! - station) ? k : best,
          0,
        )
        const [x, y] = seen(pattern.points[near]!, view)
        return {
          number: i + 1,
          done: i < this.trying.made(),
          at: `translate(${x.toFixed(1)} ${y.toFixed(1)})`,
        }
      }),
    }
  })
}
