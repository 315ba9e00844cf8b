import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { RouterLink } from '@angular/router'
import type { Round } from '@crescent/core'
import { workWords } from '@crescent/core/text'
import { Store } from '@ngrx/store'
import { ShoeAgain } from '../bench/keep/again/shoe-again'
import { AsyncState } from '../common/async-state'
import { StopLines } from '../common/stop-lines'
import { OneOf } from '../common/one-of'
import { dueText, longDay, shortDay, today } from '../common/today'
import { recordsActions, recordsFeature } from '../state/records/records.feature'
import { Help } from '../help/help'
import { DayIronList } from './day-iron'
import { RoundWeekView } from './round-week'
import { RoundCalls } from './round-calls'
import { RoundPlaces } from './round-places'
import { RoundSteps } from './round-steps'

/** The day: who is overdue, who is due, who was seen. A visit starts from here. */
@Component({
  selector: 'cr-round-page',
  imports: [
    AsyncState,
    StopLines,
    DayIronList,
    MatButton,
    OneOf,
    RoundCalls,
    RoundPlaces,
    RoundSteps,
    RoundWeekView,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './round-page.html',
  styleUrl: './round-page.scss',
})
export class RoundPage {
  private readonly store = inject(Store)
  protected readonly again = inject(ShoeAgain)
  protected readonly day = signal(today())
  protected readonly round = this.store.selectSignal(recordsFeature.selectRound)
  protected readonly failure = this.store.selectSignal(recordsFeature.selectFailure)
  protected readonly loading = this.store.selectSignal(recordsFeature.selectLoading)
  /** What has to be on the van is shown. */
  protected readonly ironShown = signal(false)
  /** The day by horse or by place, or the days from it on. */
  protected readonly span = signal<'day' | 'places' | 'week' | 'month'>('day')
  protected readonly weekSpan = computed(() => (this.span() === 'month' ? 'month' : 'week'))
  protected readonly spans = [
    { key: 'day', label: 'Day' },
    { key: 'places', label: 'Places' },
    { key: 'week', label: 'Week' },
    { key: 'month', label: 'Month' },
  ] as const
  protected readonly longDay = longDay
  protected readonly shortDay = shortDay
  protected readonly dueText = dueText
  /** What was done to its feet so far, behind what else is told of the visit. */
  protected doneText = (done: Round['seen'][number]['done']): string => {
    const words = workWords(done)
    return words && `, ${words}`
  }

  protected readonly groups = computed(() => {
    const round = this.round()
    if (!round) return []
    return [
      { key: 'overdue', title: 'Overdue', horses: round.overdue, count: round.counts.overdue },
      { key: 'due', title: 'Due this week', horses: round.due, count: round.counts.due },
    ]
  })

  constructor() {
    inject(Help).here.set('round')
    this.read()
  }

  protected read(): void {
    this.store.dispatch(recordsActions.openRound({ date: this.day() }))
  }

  protected start(horseId: string): void {
    this.store.dispatch(recordsActions.startVisit({ horseId, date: this.day() }))
  }
}
