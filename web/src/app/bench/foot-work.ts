import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import type { FootWork, Side } from '@crescent/core'
import { OneOf } from '../common/one-of'

const WORKS: { key: FootWork; label: string }[] = [
  { key: 'shod', label: 'Shod' },
  { key: 'reset', label: 'Same shoe' },
  { key: 'bare', label: 'Left bare' },
]

/** Why work on a foot mostly stops half way; it may be written over, and stays with the visit until it goes on. */
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
      [stored]="true"
      (choose)="chosen.emit($event)"
    />
    <button
      type="button"
      class="tap"
      [attr.aria-pressed]="paused() !== undefined"
      [attr.aria-label]="(paused() === undefined ? 'Pause ' : 'Go on with ') + side()"
      [title]="paused() === undefined ? 'Pause this foot' : 'Go on with this foot'"
      (click)="halted.emit(paused() === undefined ? why : undefined)"
    >
      <mat-icon svgIcon="pause" aria-hidden="true" />
    </button>
    @if (paused(); as paused) {
      <label
        >Paused:
        <input
          #box
          class="typed"
          maxlength="200"
          autocomplete="off"
          [value]="paused"
          (change)="halted.emit(box.value.trim() || why)"
        />
      </label>
    } @else if (told()) {
      <p role="status">{{ told() }}</p>
    }
  `,
  styles: `
    :host {
      --tap-padding: 0 7px;
      --one-of-gap: 4px;
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
      align-items: center;
      padding: 4px 10px;
      font-size: 0.88rem;
      border-bottom: 1px solid var(--rule);
    }
    cr-one-of {
      flex: 1;
    }
    .tap {
      display: grid;
      place-items: center;
      width: 44px;
      padding: 0;
    }
    mat-icon {
      width: 22px;
      height: 22px;
    }
    label {
      display: flex;
      flex: 1 1 100%;
      gap: 8px;
      align-items: center;
      font-weight: 600;
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
    if (this.work() === 'reset')
      return this.wears()
        ? `“${this.wears()}” goes back on: nothing to cut.`
        : 'The shoe it wore goes back on.'
    return this.work() === 'bare' ? 'Trimmed and left bare: no iron for this foot.' : ''
  })
}
