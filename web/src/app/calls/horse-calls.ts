import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import type { PromisedCall } from '@crescent/core'
import { firstValueFrom } from 'rxjs'
import { AsyncState } from '../common/async-state'
import { dueText, shortDay } from '../common/today'
import { Api, failureText } from '../state/api'
import { CallActs } from './call-acts'

/** Calls that were promised about a horse: those that wait, then what came of the others. */
@Component({
  selector: 'cr-horse-calls',
  imports: [AsyncState, MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="Calls">
      <header>
        <h2>
          Calls <span class="muted">{{ waiting().length || '' }}</span>
        </h2>
        <button mat-stroked-button (click)="promise()"><mat-icon svgIcon="add" />Promise a call</button>
      </header>
      @if (calls(); as all) {
        <ul>
          @for (call of waiting(); track call.id) {
            <li [class.late]="call.date < day()">
              <span class="when">{{ dueText(call.date, day()) }}</span>
              <span class="what">
                <strong>{{ call.about }}</strong>
                <small
                  >{{ call.whom || owner() || 'nobody named'
                  }}{{ phoneOf(call) ? ', ' + phoneOf(call) : '' }}</small
                >
              </span>
              <button type="button" class="link" (click)="change(call)">change</button>
              <button type="button" class="tap chief" (click)="called(call)">Called</button>
            </li>
          } @empty {
            <li class="none">No call is promised.</li>
          }
        </ul>
        @if (made().length > 0) {
          <details class="fold">
            <summary>
              Calls that were made <span class="muted">{{ made().length }}</span>
            </summary>
            <ul>
              @for (call of made(); track call.id) {
                <li>
                  <span class="when">{{ shortDay(call.done!) }}</span>
                  <span class="what">
                    <strong>{{ call.about }}</strong>
                    <small>{{ call.said }}</small>
                  </span>
                  <button type="button" class="link" (click)="reopen(call)">not made after all</button>
                </li>
              }
            </ul>
          </details>
        }
      } @else {
        <cr-async-state [failure]="failure()" (again)="read()" />
      }
    </section>
  `,
  styles: `
    section {
      display: grid;
      gap: 8px;
      margin-bottom: 22px;
    }
    header {
      display: flex;
      flex-wrap: wrap;
      gap: 12px;
      align-items: center;
      justify-content: space-between;
    }
    h2 {
      margin: 0;
    }
    ul {
      padding: 0;
      margin: 0;
      list-style: none;
      background: var(--sheet);
      border: 1px solid var(--rule);
      border-radius: 6px;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 12px;
      align-items: center;
      min-height: 52px;
      padding: 4px 12px;
    }
    li + li {
      border-top: 1px solid var(--rule);
    }
    .when {
      min-width: 7.5rem;
      font-weight: 650;
    }
    .late {
      border-left: 5px solid var(--stop);
    }
    .late .when {
      color: var(--stop);
    }
    .what {
      flex: 1 1 12rem;
    }
    small {
      display: block;
      color: var(--ink-soft);
    }
    .none {
      color: var(--ink-soft);
    }
    .link {
      min-height: 44px;
      padding: 0 6px;
      font: inherit;
      color: var(--ember);
      text-decoration: underline;
      background: none;
      border: 0;
      cursor: pointer;
    }
  `,
})
export class HorseCalls {
  readonly horseId = input.required<string>()
  readonly horse = input.required<string>()
  readonly owner = input('')
  readonly ownerPhone = input('')
  readonly day = input.required<string>()

  private readonly api = inject(Api)
  private readonly acts = inject(CallActs)
  protected readonly dueText = dueText
  protected readonly shortDay = shortDay
  protected readonly calls = signal<readonly PromisedCall[] | undefined>(undefined)
  protected readonly failure = signal('')
  private readonly shown = computed(() => (this.calls() ?? []).filter(({ archived }) => !archived))
  protected readonly waiting = computed(() => this.shown().filter(({ done }) => done === null))
  protected readonly made = computed(() => this.shown().filter(({ done }) => done !== null))

  constructor() {
    effect(() => {
      this.horseId()
      void this.read()
    })
  }

  protected phoneOf = ({ whom, phone }: PromisedCall): string => phone || (whom ? '' : this.ownerPhone())

  protected async promise(): Promise<void> {
    if (await this.acts.promise(this.horseId(), this.about())) await this.read()
  }
  protected async change(call: PromisedCall): Promise<void> {
    if (await this.acts.change(call, this.about())) await this.read()
  }
  protected async called(call: PromisedCall): Promise<void> {
    if (await this.acts.called(call, this.day())) await this.read()
  }
  protected async reopen(call: PromisedCall): Promise<void> {
    if (await this.acts.reopen(call)) await this.read()
  }

  private about = () => ({ horse: this.horse(), owner: this.owner(), day: this.day() })

  protected async read(): Promise<void> {
    const horseId = this.horseId()
    this.failure.set('')
    try {
      const calls = await firstValueFrom(this.api.calls(horseId))
      // Another horse may have been opened meanwhile.
      if (horseId === this.horseId()) this.calls.set(calls)
    } catch (error) {
      this.failure.set(failureText(error))
    }
  }
}
