import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import type { AdviceChoice } from '@crescent/core'
import { changeClauses, type Advice, type Contradiction } from '@crescent/core/advice'

/** What the farrier decided about a piece of advice. */
export interface Decision {
  advice: Advice
  choice: AdviceChoice['choice']
  reason: string
}

/** Advice with its reason, what speaks against it, whose school it is; accepted, changed or dismissed with a word. */
@Component({
  selector: 'cr-advice-list',
  imports: [MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Advice</h3>
    @for (one of listed(); track one.advice.code) {
      <article [attr.aria-label]="one.advice.title" [class.decided]="one.choice">
        <h4>{{ one.advice.title }}</h4>
        <p class="tags">
          <span>{{ one.advice.school }}</span>
          @if (one.advice.vetLeads) {
            <span class="vet"><mat-icon svgIcon="caution" aria-hidden="true" />the vet leads</span>
          }
        </p>
        <p>{{ one.advice.reason }}</p>
        <p class="against"><b>Against it:</b> {{ one.advice.against }}</p>
        @for (word of one.advice.soFar; track word) {
          <p class="so-far" [class.clash]="one.advice.failed">{{ word }}</p>
        }
        @for (clash of one.advice.clashes; track clash.code) {
          <p class="clash">
            <mat-icon svgIcon="caution" aria-hidden="true" /><span
              ><b>Pulls against</b> “{{ clash.title }}” ({{ clash.over.join(', ') }})</span
            >
          </p>
        }
        @if (one.choice; as choice) {
          <p class="choice">
            <mat-icon svgIcon="check" aria-hidden="true" />
            <span
              ><b>{{ choice.choice }}</b
              >{{ choice.reason ? ': ' + choice.reason : ''
              }}{{ one.not.length > 0 ? '' : did(one.advice, choice.choice) }}</span
            >
            <button type="button" class="link" (click)="undecided.emit(one.advice)">think again</button>
          </p>
          @if (one.advice.signs && choice.choice === 'accepted') {
            <p class="does">Next time it is asked: {{ asked(one.advice) }}</p>
          }
          @if (one.not.length > 0) {
            <p class="clash">
              <mat-icon svgIcon="caution" aria-hidden="true" />
              <span><b>The shoe says otherwise:</b> {{ one.not.join('; ') }}.</span>
              @if (one.advice.change) {
                <button type="button" class="link" (click)="again.emit(one.advice.code)">do it again</button>
              }
            </p>
          }
        } @else if (asking()?.code === one.advice.code) {
          <form (submit)="tell($event, one.advice, reason.value)">
            <label>
              {{ asking()!.choice === 'changed' ? 'What instead, and why?' : 'Why not?' }}
              <input #reason class="typed" type="text" maxlength="500" autocomplete="off" />
            </label>
            <button mat-flat-button type="submit">Keep</button>
            <button mat-button type="button" (click)="asking.set(undefined)">Back</button>
          </form>
        } @else {
          <p class="does">{{ does(one.advice) }}</p>
          <div class="acts">
            <button
              class="tap"
              type="button"
              (click)="decide.emit({ advice: one.advice, choice: 'accepted', reason: '' })"
            >
              Accept
            </button>
            <button
              class="tap"
              type="button"
              (click)="asking.set({ code: one.advice.code, choice: 'changed' })"
            >
              Do something else
            </button>
            <button
              class="tap"
              type="button"
              (click)="asking.set({ code: one.advice.code, choice: 'dismissed' })"
            >
              Dismiss
            </button>
          </div>
        }
      </article>
    } @empty {
      <p class="none">None. Findings, work and going bring advice here.</p>
    }
  `,
  styles: `
    h3 {
      margin: 14px 0 6px;
      font-size: 0.95rem;
    }
    article {
      margin-bottom: 8px;
      padding: 8px 10px;
      background: var(--sheet-sunk);
      border-left: 4px solid var(--rule-strong);
    }
    article.decided {
      border-color: var(--good);
    }
    h4 {
      margin: 0;
      font-size: 1rem;
      line-height: 1.2;
    }
    p {
      margin: 4px 0 0;
      font-size: 0.9rem;
      line-height: 1.3;
    }
    .does {
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
    .so-far {
      font-weight: 600;
    }
    .tags {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 8px;
      font-size: 0.82rem;
      color: var(--ink-soft);
    }
    .vet {
      display: inline-flex;
      gap: 3px;
      align-items: center;
      font-weight: 650;
      color: var(--caution);
    }
    .clash {
      display: flex;
      gap: 5px;
      padding: 4px 6px;
      color: var(--caution);
      background: var(--caution-wash);
    }
    mat-icon {
      flex: none;
      width: 17px;
      height: 17px;
    }
    .acts {
      display: grid;
      grid-template-columns: 1fr 1.7fr 1fr;
      gap: 4px;
      margin-top: 6px;
    }
    .choice {
      display: flex;
      gap: 5px;
      align-items: center;
      color: var(--good);
    }
    .link {
      margin-left: auto;
      min-height: 32px;
      color: var(--ember);
      font: inherit;
      text-decoration: underline;
      background: none;
      border: 0;
      cursor: pointer;
    }
    form {
      margin-top: 6px;
    }
    label {
      font-size: 0.85rem;
    }
    .acts .tap {
      padding: 0;
      font-size: 0.88rem;
    }
    .typed {
      margin-bottom: 6px;
    }
    .none {
      color: var(--ink-soft);
    }
  `,
})
export class AdviceList {
  /** Before it is accepted: what that will do. */
  protected does({ change }: Advice): string {
    const clauses = changeClauses(change)
    return clauses.length > 0
      ? `Accepting it ${clauses.join('; ')}.`
      : 'Accepting it keeps it on record; doing it is for your hand.'
  }

  /** After it was accepted: what that did. */
  protected did({ change }: Advice, choice: string): string {
    const clauses = choice === 'accepted' ? changeClauses(change) : []
    return clauses.length > 0 ? `. It ${clauses.join('; ')}: change it on the shoe as you like.` : ''
  }

  /** What will be looked for because of it. */
  protected asked = ({ signs = [] }: Advice): string => signs.map(({ asks }) => `${asks}?`).join(' ')

  readonly advice = input.required<readonly Advice[]>()
  readonly choices = input.required<readonly AdviceChoice[]>()
  readonly decide = output<Decision>()
  readonly undecided = output<Advice>()
  /** What was accepted and the shoe does not do any more. */
  readonly contradictions = input<readonly Contradiction[]>([])
  /** What was accepted is put on the shoe once more: its code. */
  readonly again = output<string>()

  protected readonly asking = signal<{ code: string; choice: 'changed' | 'dismissed' } | undefined>(undefined)

  /** What is still open first. */
  protected readonly listed = computed(() =>
    this.advice()
      .map((advice) => ({
        advice,
        choice: this.choices().find(({ code }) => advice.codes.includes(code)),
        not: this.contradictions().find(({ code }) => code === advice.code)?.why ?? [],
      }))
      .sort((a, b) => Number(a.choice !== undefined) - Number(b.choice !== undefined)),
  )

  protected tell(event: Event, advice: Advice, reason: string): void {
    event.preventDefault()
    const choice = this.asking()!.choice
    this.asking.set(undefined)
    this.decide.emit({ advice, choice, reason: reason.trim() })
  }
}
