import { ChangeDetectionStrategy, Component, effect, inject, input, signal, untracked } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatCheckbox } from '@angular/material/checkbox'
import { MatIcon } from '@angular/material/icon'
import { Router, RouterLink } from '@angular/router'
import type { Horse } from '@crescent/core'
import { Store } from '@ngrx/store'
import { Dialogs } from '../common/dialogs'
import { debounceTime, Subject } from 'rxjs'
import { takeUntilDestroyed } from '@angular/core/rxjs-interop'
import { AsyncState } from '../common/async-state'
import { dueText, shortDay, today } from '../common/today'
import { recordsActions, recordsFeature } from '../state/records/records.feature'
import { Help } from '../help/help'

/** Finds a horse as one types, and takes in new ones. */
@Component({
  selector: 'cr-stable-page',
  imports: [AsyncState, MatButton, MatCheckbox, MatIcon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <header>
        <h1>Stable</h1>
        <button mat-flat-button (click)="add()"><mat-icon svgIcon="add" />New horse</button>
      </header>
      <div class="find">
        <mat-icon svgIcon="search" aria-hidden="true" />
        <input
          #box
          type="search"
          aria-label="Find a horse"
          placeholder="Name, owner, place or work"
          autocomplete="off"
          [value]="search()"
          (input)="find(box.value)"
        />
        <mat-checkbox [checked]="archived()" (change)="showArchived($event.checked)">Archived</mat-checkbox>
      </div>
      @if (horses(); as horses) {
        <ul aria-label="Horses">
          @for (horse of horses; track horse.id) {
            <li>
              <a [routerLink]="['/stable', horse.id]">
                <strong>{{ horse.name }}</strong>
                <span>{{ horse.animal }}, {{ horse.work || 'work not said' }}</span>
                <span>{{ horse.ownerName || 'no owner' }}</span>
                <span>{{ horse.lastVisit ? 'seen ' + shortDay(horse.lastVisit) : 'no visit yet' }}</span>
                <span class="due">{{ horse.due ? dueText(horse.due, day) : '' }}</span>
              </a>
            </li>
          } @empty {
            <li class="none">
              @if (search()) {
                No horse fits “{{ search() }}”. Fewer letters find more.
              } @else if (archived()) {
                No horse is archived.
              } @else {
                No horses yet: add the first one.
              }
            </li>
          }
        </ul>
        @if (horses.length === 200) {
          <p class="muted">The first 200 are shown: type more to find the others.</p>
        }
      } @else {
        <cr-async-state [failure]="loading() === 'failed' ? failure() : ''" (again)="read()" />
      }
    </div>
  `,
  styleUrl: './stable-page.scss',
})
export class StablePage {
  /** From the address: `new=horse` opens the form at once. */
  readonly new = input<string | undefined>()

  private readonly store = inject(Store)
  private readonly dialogs = inject(Dialogs)
  private readonly router = inject(Router)
  protected readonly horses = this.store.selectSignal(recordsFeature.selectHorses)
  protected readonly loading = this.store.selectSignal(recordsFeature.selectLoading)
  protected readonly failure = this.store.selectSignal(recordsFeature.selectFailure)
  protected readonly search = signal(this.store.selectSignal(recordsFeature.selectSearch)())
  protected readonly archived = signal(false)
  protected readonly day = today()
  protected readonly shortDay = shortDay
  protected readonly dueText = dueText
  private readonly typed = new Subject<void>()

  constructor() {
    inject(Help).here.set('stable')
    this.typed.pipe(debounceTime(90), takeUntilDestroyed()).subscribe(() => this.read())
    this.read()
    effect(() => {
      if (this.new() === 'horse') untracked(() => void this.add())
    })
  }

  protected read(): void {
    this.store.dispatch(recordsActions.search({ search: this.search(), archived: this.archived() }))
  }

  protected find(text: string): void {
    this.search.set(text)
    this.typed.next()
  }

  protected showArchived(archived: boolean): void {
    this.archived.set(archived)
    this.read()
  }

  protected add(): void {
    void this.dialogs
      .ask<Horse, unknown>(() => import('./horse-dialog').then((m) => m.HorseDialog), {
        data: {},
        width: '560px',
      })
      .then((horse) => {
        if (horse) void this.router.navigate(['/stable', horse.id])
        else this.read()
      })
  }
}
