import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { correctedTold, forgeCard } from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'
import { Desk } from '../../desk'
import { Files } from './files'
import { Forging } from './forging'

const PAPERS = [
  { key: 'a4', label: 'A4' },
  { key: 'letter', label: 'US Letter' },
] as const

/** Everything that is carried to the forge on one card, to be read at arm's length or printed. */
@Component({
  selector: 'cr-card-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (forging.plan(); as plan) {
      @if (card(); as card) {
        <article tabindex="0" role="region" aria-label="Forge card">
          <header>
            <div>
              <h3>{{ desk.page()?.horse?.name }}, {{ desk.side() }}</h3>
              <p class="bar">
                @if (plan.iron.size; as size) {
                  {{ size }}
                } @else {
                  {{ text.bare(plan.section.width) }} x {{ text.length(plan.section.thickness) }}, cut
                  <b>{{ text.length(plan.iron.cutLength) }}</b>
                }
              </p>
              @if (corrected(); as line) {
                <p>{{ text.told(line) }}</p>
              }
            </div>
            <div class="print" role="group" aria-label="The card as PDF">
              @for (paper of papers; track paper.key) {
                <button type="button" class="tap" [disabled]="busy()" (click)="print(paper.key)">
                  Card on {{ paper.label }}
                </button>
              }
            </div>
          </header>
          @if (wrong(); as why) {
            <p class="problem" role="alert">{{ why }}</p>
          }
          <ol data-testid="card-work">
            @for (heat of plan.iron.heats; track $index) {
              <li>
                <button
                  type="button"
                  class="line"
                  [attr.aria-current]="$index === forging.step() ? 'step' : null"
                  (click)="forging.goTo($index)"
                >
                  {{ text.told(heat.text) }}
                </button>
                @if (!heat.straight) {
                  <span class="then">
                    @for (measure of heat.measures; track measure.what) {
                      <span
                        >{{ measure.what }} <b>{{ text.length(measure.value) }}</b></span
                      >
                    }
                  </span>
                }
              </li>
            }
          </ol>
          @if (card.pieces.length > 0) {
            <h4>Cut apart</h4>
            <ul>
              @for (piece of card.pieces; track $index) {
                <li>{{ text.told(piece) }}</li>
              }
            </ul>
          }
          @if (card.drilled.length > 0) {
            <table data-testid="card-drills">
              <caption>
                Drill and tap
              </caption>
              <thead>
                <tr>
                  <th scope="col">Where</th>
                  <th scope="col">Holes</th>
                  <th scope="col">Drill</th>
                  <th scope="col">Tap</th>
                </tr>
              </thead>
              <tbody>
                @for (hole of card.drilled; track hole.what) {
                  <tr>
                    <td>{{ hole.what }}</td>
                    <td>{{ hole.count }}</td>
                    <td>
                      <b>{{ text.told([{ length: hole.drill, as: 'drill' }]) }}</b>
                    </td>
                    <td>{{ hole.tap ?? 'none' }}</td>
                  </tr>
                }
              </tbody>
            </table>
          }
          @for (one of card.brings; track one.label) {
            <h4>{{ one.label }}</h4>
            <ul>
              @for (words of one.told; track $index) {
                <li>{{ text.told(words) }}</li>
              }
            </ul>
          }
        </article>
      }
    } @else {
      <p class="note">Measure the foot, and its card stands here.</p>
    }
  `,
  styleUrls: ['../shoe/views.scss'],
  styles: `
    article {
      flex: 1;
      min-height: 0;
      padding-right: 6px;
      overflow: auto;
      font-size: 1.05rem;
    }
    header {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 20px;
      align-items: start;
      justify-content: space-between;
    }
    h3 {
      margin: 0;
      font-size: 1.2rem;
    }
    h4 {
      margin: 12px 0 4px;
    }
    .bar {
      margin: 0 0 6px;
      font-size: clamp(1.4rem, 3vw, 2rem);
      font-variant-numeric: tabular-nums;
    }
    .print {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
    }
    table {
      margin-top: 12px;
      border-collapse: collapse;
      font-variant-numeric: tabular-nums;
    }
    caption {
      padding-bottom: 4px;
      font-weight: 700;
      text-align: left;
    }
    th,
    td {
      padding: 4px 16px 4px 0;
      text-align: left;
      border-bottom: 1px solid var(--rule);
    }
    ol {
      padding-left: 1.6em;
      margin: 10px 0 0;
    }
    ul {
      padding-left: 1.2em;
      margin: 0;
    }
    li {
      margin-bottom: 6px;
    }
    .line {
      width: 100%;
      min-height: 44px;
      padding: 4px 8px;
      font: inherit;
      color: inherit;
      text-align: left;
      background: transparent;
      border: 1.5px solid transparent;
      border-radius: 6px;
      cursor: pointer;
    }
    .line[aria-current] {
      background: var(--ember-wash);
      border-color: var(--ember);
    }
    .then {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 16px;
      padding: 0 8px;
      font-size: 0.92rem;
      color: var(--ink-soft);
    }
    .then b {
      color: var(--ink);
    }
    .problem {
      color: var(--stop);
    }
  `,
})
export class CardView {
  protected readonly desk = inject(Desk)
  protected readonly forging = inject(Forging)
  protected readonly text = inject(FigureText)
  private readonly files = inject(Files)
  protected readonly papers = PAPERS
  protected readonly busy = signal(false)
  protected readonly wrong = signal<string | undefined>(undefined)

  /** What the cut was before logged jobs corrected it. */
  protected readonly corrected = computed(() => {
    const iron = this.forging.plan()?.iron
    return iron && iron.size === undefined ? correctedTold(iron, this.text.style()) : undefined
  })
  protected readonly card = computed(() => {
    const plan = this.forging.plan()
    return plan && forgeCard(plan)
  })

  protected async print(paper: 'a4' | 'letter'): Promise<void> {
    const asked = this.desk.asked()
    if (!asked || this.busy()) return
    const { unit, denominator } = this.text.style()
    this.busy.set(true)
    this.wrong.set(await this.files.save('/api/cards', { ...asked, paper, unit, parts: String(denominator) }))
    this.busy.set(false)
  }
}
