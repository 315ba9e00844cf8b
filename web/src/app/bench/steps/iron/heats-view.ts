import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { FigureText } from '../../../drawing/figure-text'
import { HotTimer } from '../try/hot-timer'
import { keepAwake } from './awake'
import { Forging } from './forging'
import { HeatDrawing, LETTERS } from './heat-drawing'

/** The work one step a screen: what is done, the shape it should have then, and what to lay the rule on. */
@Component({
  selector: 'cr-heats-view',
  imports: [HeatDrawing, HotTimer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (forging.plan(); as plan) {
      @if (forging.heat(); as heat) {
        <div class="work">
          <cr-heat-drawing [heat]="heat" [plan]="plan" />
          <div class="words">
            <div class="head">
              <p class="count">
                Step {{ forging.step() + 1 }} of {{ forging.heats().length }}, {{ heat.stage }}
              </p>
              <div class="heats" role="group" aria-label="Heats taken">
                <button
                  type="button"
                  class="small"
                  aria-label="One heat less"
                  [disabled]="forging.heatsOfTry() === 0"
                  (click)="forging.tookHeat(-1)"
                >
                  −
                </button>
                <span role="status"
                  ><b>{{ forging.heatsTaken() }}</b> {{ forging.heatsTaken() === 1 ? 'heat' : 'heats' }}</span
                >
                <button type="button" class="small" aria-label="One heat more" (click)="forging.tookHeat(1)">
                  +
                </button>
              </div>
            </div>
            <p class="what" data-testid="heat-text">{{ text.told(heat.text) }}</p>
            <ul class="measures" data-testid="heat-measures">
              @for (measure of heat.measures; track measure.what; let i = $index) {
                <li>
                  <span class="letter" aria-hidden="true">{{ letters[i] }}</span>
                  <span>{{ measure.what }}</span>
                  <b>{{ text.length(measure.value) }}</b>
                </li>
              }
            </ul>
            @if (heat.stage === 'on the foot' || forging.atEnd()) {
              <cr-hot-timer />
            }
            @if (awake()) {
              <p class="muted">The screen stays awake while this is open.</p>
            }
          </div>
          <div class="steps">
            <button type="button" class="tap" [disabled]="forging.step() === 0" (click)="forging.go(-1)">
              Back
            </button>
            <button
              type="button"
              class="tap chief next"
              (click)="forging.atEnd() ? forging.allDone() : forging.go(1)"
            >
              {{ forging.atEnd() ? 'All done: try it on' : 'Next step' }}
            </button>
          </div>
        </div>
      }
    } @else {
      <p class="note">Measure the foot, and the work stands here heat by heat.</p>
    }
  `,
  styleUrls: ['../shoe/views.scss'],
  styles: `
    :host {
      min-height: 0;
    }
    .work {
      display: grid;
      flex: 1;
      grid-template: minmax(0, 1fr) auto / minmax(0, 1.1fr) minmax(260px, 1fr);
      gap: 8px 14px;
      min-height: 0;
    }
    .words {
      display: grid;
      align-content: start;
      gap: 10px;
      overflow: auto;
    }
    .head {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 16px;
      align-items: center;
      justify-content: space-between;
    }
    p {
      margin: 0;
    }
    .count {
      color: var(--ink-soft);
    }
    .heats {
      display: flex;
      gap: 8px;
      align-items: center;
    }
    .small {
      min-width: 44px;
      min-height: 44px;
      font: inherit;
      font-size: 1.3rem;
      font-weight: 700;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
      cursor: pointer;
    }
    .small:disabled {
      color: var(--ink-soft);
      border-color: var(--rule);
      cursor: default;
    }
    .what {
      font-size: clamp(1.15rem, 2.2vw, 1.5rem);
      font-weight: 650;
      line-height: 1.25;
    }
    .measures {
      display: grid;
      gap: 4px;
      padding: 0;
      margin: 0;
      list-style: none;
    }
    .measures li {
      display: grid;
      grid-template-columns: 26px 1fr auto;
      gap: 8px;
      align-items: center;
      padding: 2px 0;
      border-bottom: 1px solid var(--rule);
    }
    .measures b {
      font-size: 1.5rem;
      font-variant-numeric: tabular-nums;
    }
    .letter {
      display: grid;
      place-items: center;
      width: 24px;
      height: 24px;
      font-size: 0.85rem;
      font-weight: 700;
      color: var(--paper);
      background: var(--ember);
      border-radius: 50%;
    }
    .steps {
      display: flex;
      grid-column: 1 / -1;
      gap: 8px;
    }
    .steps .tap {
      flex: 1;
      min-height: 56px;
      font-size: 1.1rem;
    }
    .steps .next {
      flex: 2;
    }
    @media (max-width: 819px), (max-height: 519px) {
      /* What is done stands above its picture: below it the thumb's buttons would lie over it. */
      .work {
        display: flex;
        flex-direction: column;
      }
      .words {
        display: contents;
      }
      .what {
        order: -2;
      }
      cr-heat-drawing {
        flex: none;
        order: -1;
        height: clamp(170px, 22vh, 300px);
      }
      /* Under the thumb, above the slip and the places, whatever the step says. */
      .steps {
        position: sticky;
        bottom: 84px;
        padding: 6px 0;
        background: var(--paper);
      }
    }
  `,
})
export class HeatsView {
  protected readonly forging = inject(Forging)
  protected readonly text = inject(FigureText)
  protected readonly letters = LETTERS
  protected readonly awake = keepAwake()
}
