import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
} from '@angular/core'
import { daysBetween } from '@crescent/core'
import type { Forecast } from '@crescent/core/weeks'
import { longDay } from '../common/today'
import { FigureText } from '../drawing/figure-text'
import { Api } from '../state/api'

/** When a horse should be seen again by growth, wear and courses, and why; it is taken with a tap. */
@Component({
  selector: 'cr-proposed-cycle',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (proposed(); as one) {
      <p>
        Proposed <strong>{{ one.day }}</strong>, {{ one.weeks }}. {{ one.reason }}
        @if (set() !== one.date) {
          <button type="button" class="tap" (click)="taken.emit(one.date)">Take that day</button>
        }
      </p>
    }
  `,
  styles: `
    p {
      padding: 8px 10px;
      margin: 8px 0;
      background: var(--ember-wash);
      border-left: 4px solid var(--ember);
    }
    .tap {
      display: block;
      margin-top: 6px;
    }
  `,
})
export class ProposedCycle {
  readonly horseId = input.required<string>()
  /** The visit that is being finished, and its day: it runs from there. */
  readonly visitId = input.required<string>()
  readonly from = input.required<string>()
  /** The day that is set already. */
  readonly set = input<string | null>(null)
  readonly taken = output<string>()

  private readonly api = inject(Api)
  private readonly text = inject(FigureText)
  private readonly forecast = signal<Forecast | undefined>(undefined)

  protected readonly proposed = computed(() => {
    const cycle = this.forecast()?.cycle
    if (!cycle) return undefined
    const { date } = cycle
    if (date <= this.from()) return undefined
    const days = daysBetween(this.from(), date)
    const weeks = Math.round((days / 7) * 2) / 2
    return {
      date,
      day: longDay(date),
      weeks: days < 14 ? `${days} ${days === 1 ? 'day' : 'days'}` : `${weeks} weeks`,
      reason: this.text.told(cycle.reason),
    }
  })

  constructor() {
    effect((onCleanup) => {
      // Without it the cycle of the horse still stands: nothing is said where it cannot be had.
      const asked = this.api
        .forecast(this.horseId(), this.from(), this.visitId())
        .subscribe({ next: (forecast) => this.forecast.set(forecast), error: () => undefined })
      onCleanup(() => asked.unsubscribe())
    })
  }
}
