import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { MatCheckbox } from '@angular/material/checkbox'
import { MatIcon } from '@angular/material/icon'
import { resolveNails, type Branch, type Plan, type Verdict } from '@crescent/core'
import { Store } from '@ngrx/store'
import { FigureText } from '../drawing/figure-text'
import { benchActions } from '../state/bench/bench.feature'
import type { Draft } from '../state/bench/draft'

const WORDS: Record<Verdict, string> = {
  sound: 'sound',
  low: 'comes out low',
  close: 'close',
  misses: 'misses the wall',
  'would-prick': 'would prick',
}

/** Nails: which holes are driven, and what is to be thought of each. */
@Component({
  selector: 'cr-nail-step',
  imports: [MatCheckbox, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (side of branches; track side.branch) {
      <section>
        <h2>{{ side.title }}</h2>
        <table>
          <thead>
            <tr>
              <th scope="col">Hole</th>
              <th scope="col">Lean</th>
              <th scope="col">Comes out</th>
              <th scope="col">Verdict</th>
            </tr>
          </thead>
          <tbody>
            @for (nail of nailsOf(side.branch); track nail.number) {
              <tr [class.empty]="!nail.driven">
                <td>
                  <mat-checkbox
                    [checked]="nail.driven"
                    [aria-label]="'Drive ' + side.short + ' ' + nail.number"
                    (change)="drive(side.branch, nail.number, $event.checked)"
                    >{{ nail.number }}</mat-checkbox
                  >
                </td>
                <td>{{ text.figure(nail.lean, 'angle') }}</td>
                <td>{{ text.length(nail.exitHeight) }}</td>
                <td [class.doubtful]="nail.verdict !== 'sound'">
                  @if (nail.verdict !== 'sound') {
                    <mat-icon
                      [svgIcon]="nail.verdict === 'would-prick' ? 'stop' : 'caution'"
                      aria-hidden="true"
                    />
                  }
                  {{ words[nail.verdict] }}
                </td>
              </tr>
              @if (nail.verdict !== 'sound') {
                <tr class="why">
                  <td colspan="4">{{ nail.why }}</td>
                </tr>
              }
            }
          </tbody>
        </table>
      </section>
    }
    <p class="muted">
      Each hole lies over the outer edge of the white line and leans as the wall leans there. Exits spread
      over
      {{ text.length(spread()) }}.
    </p>
    <p class="muted">
      Never a nail inside the white line. If a horse is pricked: pull the nail, say so, call the vet.
    </p>
  `,
  styles: `
    section {
      margin-bottom: 14px;
    }
    table {
      width: 100%;
      border-collapse: collapse;
    }
    th {
      padding: 2px 4px;
      font-size: 0.8rem;
      font-weight: 500;
      text-align: left;
      color: var(--ink-soft);
    }
    td {
      padding: 0 4px;
      border-top: 1px solid var(--rule);
    }
    td:first-child {
      padding-left: 0;
      font-weight: 650;
    }
    .empty td:not(:first-child) {
      color: var(--ink-soft);
    }
    .doubtful {
      color: var(--stop);
      font-weight: 650;
    }
    .doubtful mat-icon {
      width: 18px;
      height: 18px;
      vertical-align: -4px;
    }
    .why td {
      padding-bottom: 6px;
      font-size: 0.85rem;
      font-weight: 400;
      border-top: 0;
    }
    p {
      margin-top: 8px;
      font-size: 0.85rem;
    }
  `,
})
export class NailStep {
  readonly draft = input.required<Draft>()
  readonly plan = input.required<Plan>()

  private readonly store = inject(Store)
  protected readonly text = inject(FigureText)
  protected readonly words = WORDS
  protected readonly branches: { branch: Branch; title: string; short: string }[] = [
    { branch: 'lateral', title: 'Outer branch', short: 'outer' },
    { branch: 'medial', title: 'Inner branch', short: 'inner' },
  ]
  protected nailsOf = (branch: Branch) => this.plan().nails.filter((nail) => nail.branch === branch)
  protected readonly spread = computed(() => {
    const heights = this.plan()
      .nails.filter((nail) => nail.driven)
      .map((nail) => nail.exitHeight)
    return heights.length === 0 ? 0 : Math.max(...heights) - Math.min(...heights)
  })

  protected drive(branch: Branch, number: number, driven: boolean): void {
    const { shoe } = this.draft()
    const plan = resolveNails(shoe.nails)
    const kept = plan[branch].driven.filter((one) => one !== number)
    const nails = {
      ...plan,
      [branch]: { ...plan[branch], driven: (driven ? [...kept, number] : kept).sort() },
    }
    this.store.dispatch(
      benchActions.setShoe({ shoe: { ...shoe, nails }, touched: `nail ${branch} ${number}` }),
    )
    this.store.dispatch(benchActions.settle())
  }
}
