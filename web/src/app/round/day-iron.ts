import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core'
import type { Side } from '@crescent/core'
import { AsyncState } from '../common/async-state'
import { FigureText } from '../drawing/figure-text'
import { Api, failureText, type IronOfDay } from '../state/api'

/** What has to be on the van: bars, pieces and factory sizes of the day's shoes. */
@Component({
  selector: 'cr-day-iron',
  imports: [AsyncState],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="Iron for the day">
      <h2>Iron for the day</h2>
      <label class="check"
        ><input type="checkbox" [checked]="due()" (change)="due.set(!due())" /> With all that are due by
        today, shod as they are now</label
      >
      <button type="button" class="tap no-print" (click)="print()">Print it</button>
      @if (iron(); as iron) {
        @if (empty()) {
          <p>No shoe is left to make today.</p>
        }
        @for (bar of iron.bars; track $index) {
          <article>
            <h3>
              {{ bar.name ?? text.bare(bar.section.width) + ' x ' + text.bare(bar.section.thickness) }}
              {{ bar.section.material }}{{ bar.section.shape === 'flat' ? '' : ', ' + bar.section.shape }}
              <b>{{ text.sum(lengthsOf(bar.pieces)) }} in all</b>
            </h3>
            <ul>
              @for (piece of bar.pieces; track $index) {
                <li>
                  {{ foot(piece) }} <b>{{ text.length(piece.length) }}</b>
                  @if (piece.byGeometry; as before) {
                    <small>{{ text.length(before) }} before logged jobs corrected it</small>
                  }
                </li>
              }
            </ul>
          </article>
        }
        @for (size of iron.sizes; track size.label) {
          <article>
            <h3>
              {{ size.label }} <b>{{ size.count }}</b>
              @if (size.onVan !== null) {
                <span [class.short]="size.onVan < size.count"
                  >{{ size.onVan }} on the van{{ size.onVan < size.count ? ': too few' : '' }}</span
                >
              }
            </h3>
            <ul>
              @for (one of size.feet; track $index) {
                <li>{{ foot(one) }}</li>
              }
            </ul>
          </article>
        }
        @if (iron.parts.length > 0) {
          <article>
            <h3>Cut apart</h3>
            <ul>
              @for (part of iron.parts; track $index) {
                @for (piece of part.pieces; track $index) {
                  <li>
                    {{ foot(piece) }}, {{ piece.what }}: {{ text.bare(part.width) }} x
                    {{ text.fine(part.thickness) }} {{ part.material }} <b>{{ text.length(piece.length) }}</b>
                  </li>
                }
              }
            </ul>
          </article>
        }
        @if (iron.unplanned.length > 0) {
          <p>Without a pattern yet: {{ names() }}.</p>
        }
      } @else {
        <cr-async-state [failure]="failure()" (again)="read()" />
      }
    </section>
  `,
  styles: `
    article {
      padding: 8px 16px;
      margin-bottom: 8px;
      background: var(--sheet);
      border: 1px solid var(--rule);
      border-radius: 6px;
    }
    h3 {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 16px;
      align-items: baseline;
      margin: 0 0 4px;
      font-size: 1.15rem;
    }
    h3 span {
      font-size: 0.95rem;
      font-weight: 500;
      color: var(--ink-soft);
    }
    h3 .short {
      font-weight: 700;
      color: var(--stop);
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 22px;
      padding: 0;
      margin: 0;
      list-style: none;
    }
    li {
      font-variant-numeric: tabular-nums;
    }
  `,
})
export class DayIronList {
  readonly day = input.required<string>()
  protected readonly text = inject(FigureText)
  private readonly api = inject(Api)
  protected readonly due = signal(false)
  protected readonly iron = signal<IronOfDay | undefined>(undefined)
  protected readonly failure = signal('')

  protected readonly empty = computed(() => {
    const { bars = [], sizes = [] } = this.iron() ?? {}
    return bars.length === 0 && sizes.length === 0
  })
  protected readonly names = computed(() => (this.iron()?.unplanned ?? []).map(({ name }) => name).join(', '))

  constructor() {
    effect(() => this.read())
  }

  protected read(): void {
    this.failure.set('')
    this.api.dayIron(this.day(), this.due()).subscribe({
      next: (iron) => this.iron.set(iron),
      error: (error: unknown) => this.failure.set(failureText(error)),
    })
  }

  protected lengthsOf = (pieces: readonly { length: number }[]): number[] =>
    pieces.map(({ length }) => length)

  protected print = (): void => window.print()

  protected foot = ({ horse, side }: { horse: string; side: Side }): string => `${horse} ${side}`
}
