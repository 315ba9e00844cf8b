import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { Dialogs } from '../common/dialogs'
import { Api, failureText } from '../state/api'
import { OpenPractice } from './practice'

/** Says on every screen that the demo is one, and is the way out of it; an empty practice is set up from here. */
@Component({
  selector: 'cr-demo-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (practice.facts(); as facts) {
      @if (facts.demo) {
        <aside class="no-print" aria-label="Demo practice">
          <p><strong>Demo</strong><span>: made-up horses to try things on</span></p>
          @if (facts.aside === 'own') {
            <button type="button" (click)="back()">Back to my practice</button>
          } @else {
            <button type="button" (click)="begin()">Begin my own practice</button>
          }
          @if (failure()) {
            <p role="alert">{{ failure() }}</p>
          }
        </aside>
      } @else if (facts.empty && facts.name === '') {
        <aside class="no-print" aria-label="Empty practice">
          <p><strong>Your own practice</strong><span>: nothing is in it yet</span></p>
          <button type="button" (click)="begin()">Set it up</button>
        </aside>
      }
    }
  `,
  styles: `
    aside {
      display: flex;
      flex-wrap: wrap;
      gap: 0 14px;
      align-items: center;
      padding: 0 14px;
      font-size: 0.92rem;
      color: #17212a;
      background: #f3e9d8;
      border-bottom: 1px solid #d8c9ac;
    }
    p {
      margin: 0;
    }
    button {
      min-height: 32px;
      padding: 0 2px;
      color: inherit;
      font: inherit;
      font-weight: 700;
      text-decoration: underline;
      background: none;
      border: 0;
      cursor: pointer;
    }
    @media (max-width: 819px) {
      aside {
        min-height: 44px;
      }
      button {
        min-height: 44px;
      }
      span {
        display: none;
      }
    }
  `,
})
export class DemoBar {
  protected readonly practice = inject(OpenPractice)
  private readonly api = inject(Api)
  private readonly dialogs = inject(Dialogs)
  protected readonly failure = signal('')

  constructor() {
    this.practice.ask()
  }

  protected async begin(): Promise<void> {
    await this.dialogs.ask(() => import('./begin-dialog').then((m) => m.BeginDialog), { width: '520px' })
  }

  protected back(): void {
    this.api.swapPractice().subscribe({
      next: () => this.practice.leaveTo('/round'),
      error: (error: unknown) => this.failure.set(failureText(error)),
    })
  }
}
