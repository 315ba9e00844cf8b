import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core'
import { TOLD_OVER } from '@crescent/core/text'
import type { FootForecast, Forecast, Rate, Through } from '@crescent/core/weeks'
import { AsyncState } from '../common/async-state'
import { DayField } from '../common/day-field'
import { longDay, shortDay, today } from '../common/today'
import { FigureText } from '../drawing/figure-text'
import { Api, failureText } from '../state/api'

/** What is drawn of a forecast in words, as the farrier names it. */
const MEASURES = {
  width: 'width',
  length: 'length',
  heelWidth: 'heel width',
  toeAngle: 'toe angle',
  heelAngle: 'heel angle',
  proportion: 'share ahead of the widest part',
} as const

/** What is to be expected of a horse on a day: measures, drift, wear, how shoes hold, and when to come again. */
@Component({
  selector: 'cr-horse-forecast',
  imports: [AsyncState, DayField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <cr-day-field label="On the day" [day]="date()" (changed)="date.set($event)" />
    @if (forecast(); as told) {
      @if (told.cycle; as cycle) {
        <p class="cycle">
          @if (cycle.date < today) {
            Was due <strong>{{ longDay(cycle.date) }}</strong>, which is past: come as soon as a day can be
            had. {{ text.told(cycle.reason) }}
          } @else {
            Come again <strong>{{ longDay(cycle.date) }}</strong>: {{ text.told(cycle.reason) }}
          }
        </p>
        <ul class="limits">
          @for (limit of cycle.limits; track limit.key) {
            <li>
              <b>{{ limit.weeks.toFixed(1) }} weeks</b> {{ text.told(limit.reason) }}
            </li>
          }
        </ul>
      }
      @for (foot of told.feet; track foot.side) {
        <article>
          <h3>{{ foot.side }}</h3>
          <ul>
            @for (line of lines(foot); track line) {
              <li>{{ line }}</li>
            } @empty {
              <li class="muted">Nothing to go by yet: it is read from what is measured before the trim.</li>
            }
          </ul>
        </article>
      }
      @if (holding().length > 0) {
        <h3>Shoes that came off or loose</h3>
        <ul>
          @for (line of holding(); track line) {
            <li>{{ line }}</li>
          }
        </ul>
      }
    } @else {
      <cr-async-state [failure]="failure()" (again)="again.set(again() + 1)" />
    }
  `,
  styles: `
    .cycle {
      padding: 10px 12px;
      font-size: 1.05rem;
      background: var(--ember-wash);
      border-left: 4px solid var(--ember);
    }
    article {
      display: grid;
      grid-template-columns: 3rem minmax(0, 1fr);
      gap: 12px;
      padding: 6px 0;
      border-top: 1px solid var(--rule);
    }
    h3 {
      margin: 6px 0 2px;
    }
    ul {
      padding-left: 1.1em;
      margin: 4px 0;
    }
    cr-day-field {
      max-width: 16rem;
    }
  `,
})
export class HorseForecast {
  readonly horseId = input.required<string>()
  /** The day it is asked for first. */
  readonly first = input.required<string>()

  private readonly api = inject(Api)
  protected readonly text = inject(FigureText)
  protected readonly longDay = longDay
  protected readonly today = today()
  protected readonly date = linkedSignal(() => this.first())
  protected readonly forecast = signal<Forecast | undefined>(undefined)
  protected readonly failure = signal('')
  protected readonly again = signal(0)

  constructor() {
    effect((onCleanup) => {
      this.again()
      this.failure.set('')
      const asked = this.api.forecast(this.horseId(), this.date()).subscribe({
        next: (forecast) => this.forecast.set(forecast),
        error: (error: unknown) => this.failure.set(failureText(error)),
      })
      onCleanup(() => asked.unsubscribe())
    })
  }

  protected lines(foot: FootForecast): string[] {
    return [
      ...foot.measures.map(({ key, value, low, high }) => {
        const written = (one: number) =>
          key === 'proportion'
            ? `${one.toFixed(0)} %`
            : key.endsWith('Angle')
              ? this.text.figure(one, 'angle')
              : this.text.length(one)
        return `Likely ${MEASURES[key]} ${written(value)}, between ${written(low)} and ${written(high)} nine times in ten.`
      }),
      ...(foot.drift
        ? [
            `Breakover ${this.text.fine(foot.drift.mm)} further forward${this.between(foot.drift)}. ${this.text.told(foot.drift.reason)}`,
          ]
        : []),
      ...this.wearLines(foot),
    ]
  }

  private wearLines({ wear, otherWear }: FootForecast): string[] {
    if (!wear) return []
    const how = wear.hardFaced ? 'hard-faced' : 'plain'
    const other = wear.hardFaced ? 'plain' : 'hard-faced'
    return [
      `${this.text.told(wear.reason)}${this.perWeek(wear.rate)}${sentence(through(wear.through))}`,
      ...(wear.reset === undefined
        ? []
        : [
            wear.reset
              ? 'What was left lasts another cycle: it can be reset.'
              : 'What was left does not last another cycle: new shoes.',
          ]),
      ...(otherWear
        ? [
            `As it is, ${how}${through(wear.through) || ', lasts longer than can be said'}; ${other}${through(otherWear.through) || ', lasts longer than can be said'}.`,
          ]
        : []),
    ]
  }

  private between({ low, high }: { low?: number; high?: number }): string {
    return low === undefined || high === undefined
      ? ''
      : `, between ${this.text.fine(low)} and ${this.text.fine(high)} nine times in ten`
  }

  private perWeek({ low, high }: Rate): string {
    return low === undefined || high === undefined
      ? ' One reading tells no spread.'
      : ` Between ${this.text.fine(Math.max(0, low) * TOLD_OVER)} and ${this.text.fine(high * TOLD_OVER)} nine times in ten.`
  }

  /** Designs of which a shoe came off or loose. */
  protected readonly holding = computed(() =>
    (this.forecast()?.holding ?? [])
      .filter(({ lost, loose }) => lost + loose > 0)
      .map(({ design, worn, lost, loose, reasons }) => {
        const why = reasons.map(({ reason, count }) => `${reason} ${count}`).join(', ')
        return `${design}: ${lost} lost and ${loose} loose of ${worn}${why ? ` (${why})` : ''}.`
      }),
  )
}

/** The same as a sentence of its own. */
const sentence = (words: string): string =>
  words ? ` ${words.trim()[0]!.toUpperCase()}${words.trim().slice(1)}.` : ''

/** When a shoe is through, as it follows on what was said. */
const through = (one: Through | undefined): string =>
  one ? ` through about ${shortDay(one.date)}${one.early ? `, as early as ${shortDay(one.early)}` : ''}` : ''
