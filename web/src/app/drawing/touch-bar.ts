import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { Store } from '@ngrx/store'
import { benchActions } from '../state/bench/bench.feature'
import { TouchGuard } from './touch-guard'

/** Beneath a drawing that fingers move: whether it is awake, back to scrolling, and the last move taken back. */
@Component({
  selector: 'cr-touch-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (guard.awake()) {
      <span role="status">Handles follow the finger.</span>
      <button type="button" class="tap" (click)="guard.awake.set(false)">Scroll again</button>
    } @else {
      <span class="asleep">Tap to move handles, or hold one.</span>
    }
    @if (guard.moved()) {
      <button type="button" class="tap" (click)="undo()">Take that back</button>
    }
  `,
  styles: `
    :host {
      position: absolute;
      right: 8px;
      bottom: 8px;
      left: 8px;
      z-index: 2;
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
      justify-content: end;
      pointer-events: none;
    }
    .tap {
      pointer-events: auto;
      background: var(--sheet);
    }
    /* Said to fingers: mouse and keys need not wait. */
    @media (pointer: fine) {
      .asleep {
        display: none;
      }
    }
    span {
      padding: 2px 8px;
      font-size: 0.85rem;
      background: var(--ember-wash);
      border-radius: 4px;
    }
  `,
})
export class TouchBar {
  protected readonly guard = inject(TouchGuard)
  private readonly store = inject(Store)

  protected undo(): void {
    this.store.dispatch(benchActions.undo())
    this.guard.moved.set(false)
  }
}
