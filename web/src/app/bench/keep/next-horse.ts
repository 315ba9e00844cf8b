import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { RouterLink } from '@angular/router'
import type { Horse } from '@crescent/core'
import { Store } from '@ngrx/store'
import { StopLines } from '../../common/stop-lines'
import { dueText, today } from '../../common/today'
import { recordsActions, recordsFeature } from '../../state/records/records.feature'
import { ShoeAgain } from './again/shoe-again'
import { nextOfDay } from './next-of-day'

/** Over a finished visit: the horse that comes next today, one tap away. */
@Component({
  selector: 'cr-next-horse',
  imports: [MatButton, RouterLink, StopLines],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (next(); as one) {
      <p>
        Next: <strong>{{ one.horse.name }}</strong>{{ one.horse.place ? ', ' + one.horse.place : '' }},
        {{ one.visitId ? 'visit open' : due() }}
        <cr-stop-lines [stops]="one.horse.stops" [short]="true" />
      </p>
      @if (one.visitId) {
        <a mat-flat-button [routerLink]="['/bench', one.visitId, 'LF']">Go on</a>
      } @else {
        <button mat-stroked-button (click)="again.ask(one.horse, day)">As last time</button>
        <button mat-flat-button (click)="start(one.horse.id)">Start visit</button>
      }
    } @else if (round()) {
      <p>Nobody else is due today.</p>
      <a mat-stroked-button routerLink="/round">Round</a>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 10px;
      align-items: center;
      padding: 4px 12px;
      background: var(--sheet);
      border-bottom: 1px solid var(--rule);
    }
    p {
      flex: 1 1 22rem;
      margin: 0;
    }
    button,
    a {
      flex: 0 1 auto;
    }
  `,
})
export class NextHorse {
  /** The horse that is done. */
  readonly after = input.required<Horse>()

  private readonly store = inject(Store)
  protected readonly again = inject(ShoeAgain)
  protected readonly day = today()
  protected readonly round = this.store.selectSignal(recordsFeature.selectRound)
  protected readonly next = computed(() => {
    const round = this.round()
    return round ? nextOfDay(round, this.after(), this.day) : undefined
  })
  protected readonly due = computed(() => dueText(this.next()!.horse.due, this.day))

  constructor() {
    effect(() => {
      this.after()
      this.store.dispatch(recordsActions.openRound({ date: this.day }))
    })
  }

  protected start = (horseId: string): void =>
    this.store.dispatch(recordsActions.startVisit({ horseId, date: this.day }))
}
