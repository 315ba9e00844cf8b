import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { answered, type Finding, type FootLook, type Gate, type Look, type Side } from '@crescent/core'
import type { Advice, Contradiction } from '@crescent/core/advice'
import { Store } from '@ngrx/store'
import { lookActions } from '../../../state/look/look.feature'
import { AdviceList, type Decision } from './advice-list'
import type { NumberedFinding } from './look-drawing'
import { LookFindings, type GivenAnswer } from './look-findings'

/** Beside the drawing while looking: what calls for the vet, what is open from last time, what was found, what follows. */
@Component({
  selector: 'cr-look-panel',
  imports: [AdviceList, LookFindings, MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (gates().length > 0) {
      <section class="gates" role="alert">
        <h3><mat-icon svgIcon="stop" aria-hidden="true" />Calls for the vet</h3>
        @for (gate of gates(); track gate.key) {
          <p>{{ gate.title }}</p>
        }
        <button mat-flat-button (click)="read.emit()">Read and acknowledge</button>
      </section>
    }
    <ng-content />
    <cr-look-findings
      [findings]="findings()"
      [questions]="questions()"
      (answered)="answer($event)"
      (noted)="note($event.id, $event.note)"
      (removed)="remove($event)"
      (left)="settle()"
    />
    <cr-advice-list
      [advice]="advice()"
      [choices]="choices()"
      [contradictions]="contradictions()"
      (again)="again.emit($event)"
      (decide)="decide.emit($event)"
      (undecided)="undecided.emit($event)"
    />
    <p class="kept" role="status" [class.open]="unsaved()">{{ state() }}</p>
  `,
  styles: `
    :host {
      display: block;
      padding: 4px 12px 0;
      overflow-y: auto;
      background: var(--sheet);
    }
    .gates {
      margin-top: 8px;
      padding: 10px;
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
    .gates h3 {
      display: flex;
      gap: 6px;
      align-items: center;
      color: var(--stop);
      font-size: 1rem;
    }
    .gates p {
      margin: 2px 0 6px;
      font-size: 0.92rem;
    }
    .gates mat-icon {
      width: 20px;
      height: 20px;
    }
    /* In sight however long the lists above it are. */
    .kept {
      position: sticky;
      bottom: 0;
      margin: 10px -12px 0;
      padding: 6px 12px;
      font-size: 0.85rem;
      color: var(--ink-soft);
      background: var(--sheet);
      border-top: 1px solid var(--rule);
    }
    .kept:empty {
      display: none;
    }
    .kept.open {
      font-weight: 650;
      color: var(--ink);
    }
  `,
})
export class LookPanel {
  readonly look = input.required<Look>()
  readonly side = input.required<Side>()
  readonly findings = input.required<readonly NumberedFinding[]>()
  readonly questions = input.required<readonly Finding[]>()
  readonly gates = input.required<readonly Gate[]>()
  readonly advice = input.required<readonly Advice[]>()
  /** What was accepted and the shoe does not do any more. */
  readonly contradictions = input<readonly Contradiction[]>([])
  readonly unsaved = input(false)
  readonly failure = input('')
  /** The gates are to be read. */
  readonly read = output()
  readonly decide = output<Decision>()
  /** What was decided is open again. */
  readonly undecided = output<Advice>()
  /** What was accepted is put on the shoe once more. */
  readonly again = output<string>()

  private readonly store = inject(Store)
  protected readonly choices = computed(() => this.look().advice.filter(({ side }) => side === this.side()))
  protected readonly state = computed(() => {
    if (!this.unsaved()) return this.look().version === 0 ? '' : 'Kept with the visit.'
    return this.failure() ? `Not kept yet: ${this.failure()} It is tried again by itself.` : 'Keeping it …'
  })

  private readonly foot = computed(() => this.look().feet[this.side()])

  protected answer({ finding, answer }: GivenAnswer): void {
    const told = answered(finding, answer, crypto.randomUUID())
    this.put({ ...this.foot(), findings: [...this.foot().findings, told] })
    this.settle()
  }

  protected note(id: string, note: string): void {
    const findings = this.foot().findings.map((one) => (one.id === id ? { ...one, note } : one))
    this.put({ ...this.foot(), findings }, `note ${id}`)
  }

  protected remove(id: string): void {
    this.put({ ...this.foot(), findings: this.foot().findings.filter((one) => one.id !== id) })
    this.settle()
  }

  protected settle = (): void => this.store.dispatch(lookActions.settle())

  private put(foot: FootLook, touched = ''): void {
    this.store.dispatch(lookActions.setFoot({ side: this.side(), foot, touched }))
  }
}
