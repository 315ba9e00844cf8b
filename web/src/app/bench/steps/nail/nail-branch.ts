import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core'
import { MatCheckbox } from '@angular/material/checkbox'
import { MatIcon } from '@angular/material/icon'
import {
  describeProblem,
  MOST_HOLES,
  withDriven,
  withEnd,
  withHole,
  withHoles,
  type BranchNails,
  type HoleChange,
  type Nail,
  type Plan,
  type Problem,
} from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'
import { FigureField } from '../../figure-field'
import { HoleLines, holeField, type HoleFigure } from './hole-lines'
import { VERDICT_WORDS, type BranchWords } from '../../../drawing/nail-words'

const ENDS = [
  { key: 'first', label: 'First hole', where: 'From the middle of the toe along the outer rim.' },
  {
    key: 'last',
    label: 'Last hole',
    where: 'From the middle of the toe along the outer rim; the others lie evenly between.',
  },
] as const
type End = (typeof ENDS)[number]['key']

/** The nails of one branch: how many holes, which are driven, where they lie, and what is to be thought of each. */
@Component({
  selector: 'cr-nail-branch',
  imports: [FigureField, HoleLines, MatCheckbox, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section>
      <header>
        <h2>{{ side().title }}</h2>
        @if (made()) {
          <span class="count">{{ nails().length }} holes, as made</span>
        } @else {
          <span class="count">
            <button
              type="button"
              class="tap"
              [attr.aria-label]="'One hole less, ' + side().short"
              [disabled]="nails().length === 0"
              (click)="setHoles(-1)"
            >
              −
            </button>
            {{ nails().length }} holes
            <button
              type="button"
              class="tap"
              [attr.aria-label]="'One hole more, ' + side().short"
              [disabled]="asked().holes >= mostHoles"
              (click)="setHoles(1)"
            >
              +
            </button>
          </span>
        }
      </header>
      <table>
        <thead>
          <tr>
            <th scope="col">Hole</th>
            <th scope="col">Lean</th>
            <th scope="col">Comes out</th>
            <th scope="col">Verdict</th>
            <td></td>
          </tr>
        </thead>
        <tbody>
          @for (nail of nails(); track nail.number) {
            <tr [class.empty]="!nail.driven">
              <td>
                <mat-checkbox
                  [checked]="nail.driven"
                  [aria-label]="'Drive ' + side().short + ' ' + nail.number"
                  (change)="drive(nail.number, $event.checked)"
                  >{{ nail.number }}</mat-checkbox
                >
              </td>
              <td>{{ text.figure(nail.lean, 'angle') }}</td>
              <td>{{ text.length(nail.exitHeight) }}</td>
              <td [class.doubtful]="nail.verdict !== 'sound'">
                @if (nail.verdict !== 'sound') {
                  <mat-icon
                    [svgIcon]="
                      nail.verdict === 'would-prick' || nail.verdict === 'ruled-out' ? 'stop' : 'caution'
                    "
                    aria-hidden="true"
                  />
                }
                {{ words[nail.verdict] }}
              </td>
              <td>
                <button
                  type="button"
                  class="tap open"
                  [attr.aria-expanded]="isOpen(nail)"
                  [attr.aria-label]="'More of ' + side().short + ' ' + nail.number"
                  (click)="open.set(isOpen(nail) ? undefined : nail.number)"
                >
                  <mat-icon svgIcon="more" />
                </button>
              </td>
            </tr>
            @if (nail.verdict !== 'sound' || nail.beyond) {
              <tr class="why">
                <td colspan="5">
                  {{ nail.verdict !== 'sound' ? text.told(nail.why) : '' }}
                  {{
                    nail.beyond === 'forward'
                      ? 'Ahead of the limit.'
                      : nail.beyond === 'rear'
                        ? 'Behind the limit.'
                        : ''
                  }}
                </td>
              </tr>
            }
            @if (isOpen(nail)) {
              <tr class="more">
                <td colspan="5">
                  <cr-hole-lines
                    [nail]="nail"
                    [plan]="plan()"
                    [said]="saidOf(nail)"
                    [problems]="problems()"
                    [entries]="entries()"
                    [turningRadius]="turningRadius()"
                    (changed)="setHole(nail, $event.key, $event.value)"
                    (unread)="unread.emit($event)"
                    (left)="left.emit()"
                  />
                </td>
              </tr>
            }
          }
        </tbody>
      </table>
      @for (end of made() ? [] : ends; track end.key) {
        <cr-figure-field
          [field]="endField(end.key)"
          [label]="end.label"
          kind="length"
          [where]="end.where"
          [value]="asked()[end.key]"
          [assumed]="endOf(end.key)"
          [entry]="entries()[endField(end.key)]"
          [problem]="problemOf(end.key)"
          (figure)="setEnd(end.key, $event)"
          (unread)="unread.emit({ field: endField(end.key), text: $event })"
          (left)="left.emit()"
        />
      }
    </section>
  `,
  styles: `
    :host {
      display: block;
      margin: 10px 0 14px;
    }
    header {
      display: flex;
      align-items: center;
      justify-content: space-between;
    }
    .count {
      display: flex;
      gap: 6px;
      align-items: center;
      font-size: 0.9rem;
      font-variant-numeric: tabular-nums;
    }
    .count .tap {
      min-width: 44px;
      font-size: 1.1rem;
    }
    table {
      width: 100%;
      margin-bottom: 6px;
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
    td:last-child {
      width: 44px;
      padding: 0;
    }
    .open {
      padding: 6px;
      background: none;
      border-color: transparent;
    }
    .empty td:not(:first-child) {
      color: var(--ink-soft);
    }
    .empty .doubtful,
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
    .more > td {
      padding: 4px 0 10px 0;
      font-weight: 400;
      border-top: 0;
    }
    p {
      margin: 6px 0;
      font-size: 0.85rem;
    }
  `,
})
export class NailBranch {
  readonly side = input.required<BranchWords>()
  readonly plan = input.required<Plan>()
  /** The holes were made in the factory. */
  protected readonly made = computed(() => this.plan().iron.size !== undefined && !this.plan().moulded)
  /** What was asked of this branch. */
  readonly asked = input.required<BranchNails>()
  readonly problems = input<readonly Problem[]>([])
  /** Texts that could not be read as figures, by field. */
  readonly entries = input<Record<string, string>>({})
  readonly turningRadius = input.required<number>()

  /** A change of this branch, to be made to it as it is by then. */
  readonly changed = output<{ edit: (now: BranchNails) => BranchNails; touched: string }>()
  readonly unread = output<{ field: string; text: string }>()
  readonly left = output()

  protected readonly text = inject(FigureText)
  protected readonly words = VERDICT_WORDS
  protected readonly mostHoles = MOST_HOLES
  protected readonly ends = ENDS
  /** As they are: a modification may have given up a hole that was asked for. */
  protected readonly nails = computed(() =>
    this.plan().nails.filter(({ branch }) => branch === this.side().branch),
  )

  private readonly footSide = computed(() => this.plan().foot.side)
  /** Number of the hole whose lines are unfolded. */
  protected readonly open = linkedSignal<string, number | undefined>({
    // A signal of its own: the plan changes with every figure, the foot does not.
    source: this.footSide,
    computation: () => undefined,
  })
  protected isOpen = ({ number }: Nail): boolean => this.open() === number

  protected saidOf = ({ number }: Nail): Partial<HoleChange> =>
    this.asked().each.find((hole) => hole.number === number) ?? {}
  protected endField = (end: End): string => `nails.${this.side().branch}.${end}`
  protected endOf = (end: End): number | undefined => this.nails().at(end === 'first' ? 0 : -1)?.fromToe
  protected problemOf(end: End): string | undefined {
    const number = end === 'first' ? 1 : this.asked().holes
    const path = `shoe.${holeField({ branch: this.side().branch, number }, 'fromToe')}`
    const problem = this.problems().find((one) => one.path === path)
    return problem && describeProblem(problem, this.text.style())
  }

  protected drive(number: number, driven: boolean): void {
    this.put((now) => withDriven(now, number, driven), `nail ${this.side().branch} ${number}`)
    this.left.emit()
  }

  protected setHoles(more: number): void {
    const count = (more < 0 ? this.nails().length : this.asked().holes) + more
    this.put((now) => withHoles(now, count), `holes ${this.side().branch}`)
    this.left.emit()
  }

  protected setHole(nail: Nail, key: HoleFigure, value: number | undefined): void {
    this.put((now) => withHole(now, nail.number, key, value), holeField(nail, key))
  }

  protected setEnd(end: End, value: number | undefined): void {
    this.put((now) => withEnd(now, end, value), this.endField(end))
  }

  private put(edit: (now: BranchNails) => BranchNails, touched: string): void {
    this.changed.emit({ edit, touched })
  }
}
