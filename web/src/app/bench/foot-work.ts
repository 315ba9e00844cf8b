import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import type { FootWork, Side } from '@crescent/core'
import { OneOf } from '../common/one-of'

const WORKS: { key: FootWork; label: string }[] = [
  { key: 'shod', label: 'Shod' },
  { key: 'reset', label: 'Same shoe' },
  { key: 'bare', label: 'Left bare' },
]

/** Why work on a foot may stop half way; what it was stays with the visit until it goes on. */
const WHY = 'two nails in'

/** What is done to this foot at the visit, and whether work on it stopped half way. */
@Component({
  selector: 'cr-foot-work',
  imports: [MatIcon, OneOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <cr-one-of
      [label]="'What is done to ' + side()"
      [choices]="works"
      [chosen]="work()"
      (choose)="chosen.emit($event)"
    />
    <button
      type="button"
      class="tap"
      [attr.aria-pressed]="paused() !== undefined"
      (click)="halted.emit(paused() === undefined ? why : undefined)"
    >
      <mat-icon svgIcon="pause" aria-hidden="true" />{{ paused() === undefined ? 'Pause' : 'Go on' }}
    </button>
    @if (told()) {
      <p role="status">{{ told() }}</p>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      align-items: center;
      padding: 6px 14px;
      font-size: 0.9rem;
      border-bottom: 1px solid var(--rule);
    }
    .tap {
      display: inline-flex;
      gap: 4px;
      align-items: center;
    }
    mat-icon {
      width: 18px;
      height: 18px;
    }
    p {
      flex: 1 1 100%;
      font-weight: 600;
    }
  `,
})
export class FootWorkBar {
  readonly side = input.required<Side>()
  readonly work = input<FootWork | undefined>()
  readonly paused = input<string | undefined>()
  /** What the foot wears, for the shoe that is put back. */
  readonly wears = input('')
  readonly chosen = output<FootWork>()
  readonly halted = output<string | undefined>()

  protected readonly works = WORKS
  protected readonly why = WHY
  protected readonly told = computed(() => {
    const paused = this.paused()
    if (paused !== undefined) return `Paused: ${paused}. Another foot meanwhile; this one waits.`
    if (this.work() === 'reset')
      return this.wears()
        ? `“${this.wears()}” goes back on: nothing to cut.`
        : 'The shoe it wore goes back on.'
    return this.work() === 'bare' ? 'Trimmed and left bare: no iron for this foot.' : ''
  })
}
