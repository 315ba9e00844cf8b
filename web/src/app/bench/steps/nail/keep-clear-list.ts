import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core'
import { MatIconButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { markAt, type KeepClear, type Plan, type WallPlace } from '@crescent/core'
import { OneOf } from '../../../common/one-of'
import { FigureText } from '../../../drawing/figure-text'
import { WallTap } from './wall-tap'
import { BRANCHES } from '../../../drawing/nail-words'

/** What of the wall nails are kept clear of: marked here, taken from the last shoe, or found while looking. */
@Component({
  selector: 'cr-keep-clear-list',
  imports: [MatIcon, MatIconButton, OneOf, WallTap],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul>
      @for (one of all(); track $index) {
        <li>
          <span
            >{{ one.mark.why }}, {{ one.half }}, {{ text.length(one.mark.fromToe) }} from the toe,
            {{ text.length(one.mark.width) }} wide</span
          >
          @if (one.mark.look) {
            <small>from the look</small>
          } @else {
            <button
              mat-icon-button
              [attr.aria-label]="'Take away the mark: ' + one.mark.why"
              (click)="drop(one.mark)"
            >
              <mat-icon svgIcon="close" />
            </button>
          }
        </li>
      } @empty {
        <li class="muted">Nothing marked.</li>
      }
    </ul>
    <cr-one-of label="What is there" [choices]="kinds" [chosen]="why()" (choose)="why.set($event)" />
    <p class="muted">Touch the wall where it is, or choose a hole.</p>
    <cr-wall-tap [plan]="plan()" (touched)="mark($event)" />
    <div class="add">
      <label
        >At
        <select #where aria-label="At hole">
          @for (nail of plan().nails; track nail.branch + nail.number) {
            <option [value]="$index">
              {{ nail.branch === 'lateral' ? 'outer' : 'inner' }} {{ nail.number }}
            </option>
          }
        </select>
      </label>
      <button type="button" class="tap" (click)="add(+where.value)">Mark {{ why() }}</button>
    </div>
    @if (lastHoles().length > 0) {
      <button type="button" class="tap" (click)="changed.emit([...marked(), ...lastHoles()])">
        Mark the holes of the last shoe
      </button>
    }
  `,
  styles: `
    ul {
      margin: 0 0 6px;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      gap: 8px;
      align-items: center;
      justify-content: space-between;
      min-height: 32px;
      font-size: 0.92rem;
      border-bottom: 1px solid var(--rule);
    }
    small {
      color: var(--ink-soft);
    }
    .add {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      align-items: center;
      margin-bottom: 6px;
    }
    select {
      min-height: 44px;
      font: inherit;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
  `,
})
export class KeepClearList {
  readonly plan = input.required<Plan>()
  readonly marked = input.required<readonly KeepClear[]>()
  /** Holes of the shoe it wore before, as marks of this foot; none where nothing is known of it. */
  readonly lastHoles = input<readonly KeepClear[]>([])
  readonly changed = output<KeepClear[]>()

  protected readonly text = inject(FigureText)
  protected readonly kinds = (['old hole', 'crack', 'broken wall'] as const).map((key) => ({
    key,
    label: key,
  }))
  protected readonly why = signal<KeepClear['why']>('old hole')
  protected readonly all = computed(() => {
    const fromLook = this.plan().keepClear.filter(({ look }) => look)
    return [...this.marked(), ...fromLook].map((mark) => ({
      mark,
      half: BRANCHES.find(({ branch }) => branch === mark.half)!.short,
    }))
  })

  protected add(at: number): void {
    const nail = this.plan().nails[at]
    if (nail) this.mark(nail)
  }

  protected mark(place: WallPlace): void {
    this.changed.emit([...this.marked(), markAt(place, this.why())])
  }

  protected drop(mark: KeepClear): void {
    this.changed.emit(this.marked().filter((one) => one !== mark))
  }
}
