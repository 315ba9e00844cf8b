import { CdkDrag, CdkDropList, CdkDropListGroup, type CdkDragDrop } from '@angular/cdk/drag-drop'
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  signal,
} from '@angular/core'
import { addDays, type RoundCall, type RoundStep, type RoundStop, type RoundWeek } from '@crescent/core'
import { AsyncState } from '../common/async-state'
import { Tells } from '../common/tells'
import { dueText, longDay } from '../common/today'
import { FigureText } from '../drawing/figure-text'
import { Api, conflictOf, failureText } from '../state/api'
import { StopCard } from './stop-card'
import { loadWords, mondayOf, overdueOn, withMoved } from './week-days'

/** Days that are shown at once, by what is looked at. */
const SHOWN = { week: 7, month: 35 } as const

/** A week or a month of visits and steps: horses are put on other days by hand, by keys or by drag. */
@Component({
  selector: 'cr-round-week',
  imports: [AsyncState, CdkDrag, CdkDropList, CdkDropListGroup, StopCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="visually-hidden">{{ span() === 'month' ? 'Month' : 'Week' }}</h2>
    <div class="turn">
      <button type="button" class="tap" (click)="turn(-1)">Earlier</button>
      <strong aria-live="polite">from {{ longDay(from()) }}</strong>
      <button type="button" class="tap" (click)="turn(1)">Later</button>
    </div>
    @if (days(); as shown) {
      <div cdkDropListGroup class="all">
        @if (overdue().stops.length + overdue().late.length + overdue().calls.length > 0) {
          <section class="overdue" aria-label="Overdue">
            <h3>
              Overdue <small>{{ loadWords(overdue().stops) }}</small>
            </h3>
            <div class="list" cdkDropList [cdkDropListData]="''" cdkDropListSortingDisabled>
              @for (stop of overdue().stops; track stop.horse.id) {
                <cr-stop-card
                  cdkDrag
                  [cdkDragStartDelay]="rest"
                  [cdkDragData]="stop"
                  [stop]="stop"
                  [canGoBack]="false"
                  (moved)="move(stop, day())"
                />
              }
            </div>
            @for (step of overdue().late; track step.id) {
              <p class="step">{{ stepWords(step) }}, {{ dueText(step.date, day()) }}</p>
            }
            @for (call of overdue().calls; track call.id) {
              <p class="step">{{ callWords(call) }}, {{ dueText(call.date, day()) }}</p>
            }
          </section>
        }
        <div [class]="'days ' + span()">
          @for (one of shown; track one.date) {
            <section [class.today]="one.date === day()" [attr.aria-label]="longDay(one.date)">
              <h3>
                {{ longDay(one.date) }} <small>{{ loadWords(one.stops) }}</small>
              </h3>
              <div
                class="list"
                cdkDropList
                cdkDropListSortingDisabled
                [cdkDropListData]="one.date"
                (cdkDropListDropped)="dropped($event)"
              >
                @for (stop of one.stops; track stop.horse.id) {
                  <cr-stop-card
                    cdkDrag
                    [cdkDragStartDelay]="rest"
                    [cdkDragData]="stop"
                    [stop]="stop"
                    [canGoBack]="one.date > day()"
                    (moved)="move(stop, addDays(one.date, $event))"
                  />
                }
                @for (step of one.steps; track step.id) {
                  <p class="step">{{ stepWords(step) }}</p>
                }
                @for (call of one.calls; track call.id) {
                  <p class="step">{{ callWords(call) }}</p>
                }
              </div>
            </section>
          }
        </div>
      </div>
    } @else {
      <cr-async-state [failure]="failure()" (again)="again.set(again() + 1)" />
    }
  `,
  styles: `
    .turn {
      display: flex;
      margin-top: 10px;
      gap: 12px;
      align-items: center;
      margin-bottom: 10px;
    }
    .all {
      display: grid;
      gap: 12px;
    }
    .days {
      display: grid;
      grid-template-columns: repeat(7, minmax(0, 1fr));
      gap: 8px;
    }
    section {
      padding: 8px;
      background: color-mix(in srgb, var(--sheet) 60%, transparent);
      border: 1px solid var(--rule);
      border-radius: 6px;
    }
    .today {
      border: 2px solid var(--ember);
    }
    .overdue {
      border-left: 5px solid var(--stop);
    }
    .overdue .list {
      grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
    }
    h3 {
      margin: 0 0 6px;
      font-size: 0.95rem;
    }
    h3 small {
      display: block;
      font-weight: 500;
      color: var(--ink-soft);
    }
    .list {
      display: grid;
      gap: 6px;
      align-content: start;
      min-height: 64px;
    }
    .step {
      padding: 6px 8px;
      margin: 0;
      font-size: 0.9rem;
      background: var(--caution-wash);
      border-left: 4px solid var(--caution);
    }
    .cdk-drop-list-dragging {
      outline: 2px dashed var(--ember);
    }
    @media (max-width: 1100px) {
      .days {
        grid-template-columns: 1fr;
      }
      .month section:not(:has(cr-stop-card, .step)) {
        display: none;
      }
    }
  `,
})
export class RoundWeekView {
  readonly day = input.required<string>()
  readonly span = input.required<'week' | 'month'>()

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement
  private readonly injector = inject(Injector)
  private readonly api = inject(Api)
  private readonly tells = inject(Tells)
  protected readonly text = inject(FigureText)
  protected readonly longDay = longDay
  protected readonly dueText = dueText
  protected stepWords = ({ horse, side, label, who }: RoundStep): string =>
    `${horse} ${side}: ${this.text.told(label)}, ${who}`
  protected callWords = ({ whom, horse, about }: RoundCall): string =>
    `Call${whom && ` ${whom}`} about ${horse}: ${about}`
  protected readonly loadWords = loadWords
  protected readonly addDays = addDays
  /** A finger that does not rest scrolls the page, ms. */
  protected readonly rest = { touch: 280, mouse: 0 }
  private readonly turned = signal(0)
  protected readonly from = computed(() => {
    const first = this.span() === 'month' ? mondayOf(this.day()) : this.day()
    return addDays(first, this.turned() * SHOWN[this.span()])
  })
  protected readonly week = signal<RoundWeek | undefined>(undefined)
  private readonly sorted = computed(() => {
    const week = this.week()
    return week && overdueOn(week, this.day())
  })
  protected readonly days = computed(() => this.sorted()?.days)
  protected readonly overdue = computed(() => this.sorted()?.overdue ?? { stops: [], late: [], calls: [] })
  protected readonly failure = signal('')
  protected readonly again = signal(0)

  constructor() {
    effect((onCleanup) => {
      this.again()
      this.failure.set('')
      const asked = this.api.roundWeek(this.from(), SHOWN[this.span()]).subscribe({
        next: (week) => this.week.set(week),
        error: (error: unknown) => this.failure.set(failureText(error)),
      })
      onCleanup(() => asked.unsubscribe())
    })
  }

  protected turn = (by: number): void => this.turned.update((now) => now + by)

  protected dropped({ item, container }: CdkDragDrop<string, string, RoundStop>): void {
    this.move(item.data, container.data)
  }

  /** Keys go on from the horse that was moved, not from the one that took its place. */
  private followKeys(): void {
    const { activeElement } = this.host.ownerDocument
    const name = activeElement?.closest('cr-stop-card') && activeElement.getAttribute('aria-label')
    if (!name) return
    afterNextRender(
      () => {
        const same = this.host.querySelector<HTMLButtonElement>(`[aria-label="${CSS.escape(name)}"]`)
        const other = same?.parentElement?.querySelector<HTMLButtonElement>('button:not(:disabled)')
        ;(same?.disabled ? other : same)?.focus()
      },
      { injector: this.injector },
    )
  }

  /** Shown at once; where it could not be kept it goes back, and why is said. */
  protected move(stop: RoundStop, date: string): void {
    const before = this.week()
    const was = stop.horse.due
    if (!before || was === date) return
    this.week.set(withMoved(before, stop.horse.id, date))
    this.followKeys()
    this.api.moveDue(stop.horse.id, date, was).subscribe({
      next: () => void this.tells.done(`${stop.horse.name}: ${longDay(date)}`),
      error: (error: unknown) => {
        this.week.set(before)
        const changed = conflictOf(error) !== undefined
        if (changed) this.again.update((now) => now + 1)
        void this.tells.warn(
          changed ? `${stop.horse.name} was put on another day elsewhere meanwhile.` : failureText(error),
        )
      },
    })
  }
}
