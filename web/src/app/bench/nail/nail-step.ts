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
  resolveNails,
  SCHOOLS_OF_NAILING,
  withHole,
  type Branch,
  type BranchNails,
  type HoleChange,
  type KeepClear,
  type Nail,
  type NailPlan,
  type NailSchoolName,
  type NailSize,
  type Plan,
  type Problem,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { FigureText } from '../../drawing/figure-text'
import { benchActions } from '../../state/bench/bench.feature'
import type { Draft } from '../../state/bench/draft'
import { FigureField } from '../figure-field'
import { KeepClearList } from './keep-clear-list'
import { WallPicture } from './wall-picture'
import { BRANCHES, VERDICT_WORDS } from './words'

const HOLE_FIGURES = [
  {
    key: 'fromToe',
    label: 'Along the rim',
    kind: 'length',
    where: 'From the middle of the toe along the outer rim to the hole.',
  },
  {
    key: 'inset',
    label: 'From the outer rim',
    kind: 'length',
    where: 'To the middle of the hole: fine near the outer rim, coarse near the inner.',
  },
  {
    key: 'lean',
    label: 'Lean',
    kind: 'angle',
    where: 'From the ground; as the wall leans there unless you say otherwise.',
  },
] as const

/** Nails: school, size, which holes are driven, where each lies and leans, and what is to be thought of it. */
@Component({
  selector: 'cr-nail-step',
  imports: [FigureField, KeepClearList, MatCheckbox, MatIcon, WallPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="schools" role="radiogroup" aria-label="Limits of the nails">
      @for (one of schools; track one.name) {
        <button
          type="button"
          class="tap"
          role="radio"
          [attr.aria-checked]="plan().nailing.school === one.name"
          (click)="setSchool(one.name)"
        >
          {{ one.label }}
        </button>
      }
    </div>
    <p class="muted">{{ school().rule }}</p>

    <div class="size">
      <label
        >Nail
        <select #size aria-label="Nail to drive" (change)="setSize(size.value)">
          <option value="" [selected]="asked().size === undefined">
            as suggested{{ plan().nailing.suggested ? ': ' + plan().nailing.suggested!.name : '' }}
          </option>
          @for (one of sizes(); track one.name) {
            <option [value]="one.name" [selected]="asked().size === one.name">
              {{ one.name }}, {{ one.length }} mm
            </option>
          }
        </select>
      </label>
      <button type="button" class="tap" (click)="shelf.emit()">Shelf</button>
    </div>
    @if (plan().nailing.need; as need) {
      <p class="muted">
        Must reach {{ text.length(need.length) }} and be no thicker than {{ need.shank.toFixed(1) }} mm for
        this wall.
      </p>
    }

    @for (side of branches; track side.branch) {
      <section>
        <header>
          <h2>{{ side.title }}</h2>
          <span class="count">
            <button
              type="button"
              class="tap"
              [attr.aria-label]="'One hole less, ' + side.short"
              [disabled]="holesOf(side.branch) === 0"
              (click)="setHoles(side.branch, -1)"
            >
              −
            </button>
            {{ holesOf(side.branch) }} holes
            <button
              type="button"
              class="tap"
              [attr.aria-label]="'One hole more, ' + side.short"
              [disabled]="holesOf(side.branch) >= 6"
              (click)="setHoles(side.branch, 1)"
            >
              +
            </button>
          </span>
        </header>
        <table>
          <thead>
            <tr>
              <th scope="col">Hole</th>
              <th scope="col">Lean</th>
              <th scope="col">Comes out</th>
              <th scope="col">Verdict</th>
              <th></th>
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
                <td>
                  <button
                    type="button"
                    class="tap open"
                    [attr.aria-expanded]="isOpen(nail)"
                    [attr.aria-label]="'More of ' + side.short + ' ' + nail.number"
                    (click)="open.set(isOpen(nail) ? undefined : keyOf(nail))"
                  >
                    <mat-icon svgIcon="more" />
                  </button>
                </td>
              </tr>
              @if (nail.verdict !== 'sound' || nail.beyond) {
                <tr class="why">
                  <td colspan="5">
                    {{ nail.verdict !== 'sound' ? nail.why : '' }}
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
                    <cr-wall-picture [nail]="nail" [plan]="plan()" [turningRadius]="turningRadius()" />
                    <p class="muted">{{ nail.why }}</p>
                    @for (figure of figures; track figure.key) {
                      <cr-figure-field
                        [field]="fieldOf(nail, figure.key)"
                        [label]="figure.label"
                        [kind]="figure.kind"
                        [where]="figure.where"
                        [value]="saidOf(nail)[figure.key]"
                        [assumed]="nail[figure.key]"
                        [entry]="draft().foot.entries[fieldOf(nail, figure.key)]"
                        [problem]="problemOf(nail, figure.key)"
                        (figure)="setHole(nail, figure.key, $event)"
                        (unread)="keep(fieldOf(nail, figure.key), $event)"
                        (left)="settle()"
                      />
                    }
                    <cr-figure-field
                      [field]="fieldOf(nail, 'seen')"
                      label="Came out at"
                      kind="length"
                      where="Measured afterwards, up the wall. It tells how your nails turn."
                      [value]="saidOf(nail).seen"
                      [entry]="draft().foot.entries[fieldOf(nail, 'seen')]"
                      [problem]="problemOf(nail, 'seen')"
                      (figure)="setHole(nail, 'seen', $event)"
                      (unread)="keep(fieldOf(nail, 'seen'), $event)"
                      (left)="settle()"
                    />
                  </td>
                </tr>
              }
            }
          </tbody>
        </table>
        @for (end of ends; track end.key) {
          <cr-figure-field
            [field]="'nails.' + side.branch + '.' + end.key"
            [label]="end.label"
            kind="length"
            [where]="end.where"
            [value]="asked()[side.branch][end.key]"
            [assumed]="endOf(side.branch, end.key)"
            [entry]="draft().foot.entries['nails.' + side.branch + '.' + end.key]"
            [problem]="problemAt(side.branch, end.key === 'first' ? 1 : holesOf(side.branch), 'fromToe')"
            (figure)="setEnd(side.branch, end.key, $event)"
            (unread)="keep('nails.' + side.branch + '.' + end.key, $event)"
            (left)="settle()"
          />
        }
      </section>
    }
    @for (problem of misplaced(); track problem.path) {
      <p class="doubtful" role="alert">{{ tell(problem) }}</p>
    }
    <details class="fold">
      <summary>Keep nails clear of ({{ plan().keepClear.length }})</summary>
      <cr-keep-clear-list
        [plan]="plan()"
        [marked]="draft().foot.keepClear ?? []"
        [lastHoles]="lastHoles()"
        (changed)="setKeepClear($event)"
      />
    </details>
    <p class="muted">
      Exits spread over {{ text.length(spread()) }}. Never a nail inside the white line. If a horse is
      pricked: pull the nail, say so, call the vet.
    </p>
  `,
  styles: `
    .schools {
      display: flex;
      gap: 6px;
    }
    .size {
      display: flex;
      gap: 8px;
      align-items: end;
      margin-bottom: 4px;
    }
    .size label {
      flex: 1;
      font-size: 0.9rem;
    }
    select {
      display: block;
      width: 100%;
      min-height: 44px;
      padding: 0 6px;
      font: inherit;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
    section {
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
export class NailStep {
  readonly draft = input.required<Draft>()
  readonly plan = input.required<Plan>()
  readonly problems = input<readonly Problem[]>([])
  /** The nails on the shelf. */
  readonly sizes = input.required<readonly NailSize[]>()
  readonly turningRadius = input.required<number>()
  readonly lastHoles = input<readonly KeepClear[]>([])
  /** The farrier wants to see the shelf. */
  readonly shelf = output()

  private readonly store = inject(Store)
  protected readonly text = inject(FigureText)
  protected readonly words = VERDICT_WORDS
  protected readonly branches = BRANCHES
  protected readonly schools = SCHOOLS_OF_NAILING
  protected readonly figures = HOLE_FIGURES
  protected readonly ends = [
    { key: 'first', label: 'First hole', where: 'From the middle of the toe along the outer rim.' },
    {
      key: 'last',
      label: 'Last hole',
      where: 'From the middle of the toe along the outer rim; the others lie evenly between.',
    },
  ] as const
  private readonly footSide = computed(() => this.plan().foot.side)
  /** The hole whose lines are unfolded. */
  protected readonly open = linkedSignal<string, string | undefined>({
    // A signal of its own: the plan changes with every figure, the foot does not.
    source: this.footSide,
    computation: () => undefined,
  })

  protected readonly asked = computed(() => resolveNails(this.draft().shoe.nails))
  protected readonly school = computed(() =>
    SCHOOLS_OF_NAILING.find(({ name }) => name === this.plan().nailing.school)!,
  )
  protected nailsOf = (branch: Branch) => this.plan().nails.filter((nail) => nail.branch === branch)
  protected holesOf = (branch: Branch): number => this.asked()[branch].holes
  protected keyOf = ({ branch, number }: Nail): string => `${branch} ${number}`
  protected isOpen = (nail: Nail): boolean => this.open() === this.keyOf(nail)
  protected fieldOf = ({ branch, number }: Nail, key: string): string => `nails.${branch}.${number}.${key}`
  protected saidOf = ({ branch, number }: Nail): Partial<HoleChange> =>
    this.asked()[branch].each.find((hole) => hole.number === number) ?? {}
  protected endOf(branch: Branch, end: 'first' | 'last'): number | undefined {
    const nails = this.nailsOf(branch)
    return (end === 'first' ? nails[0] : nails[nails.length - 1])?.fromToe
  }

  protected problemAt(branch: Branch, number: number, key: string): string | undefined {
    const problem = this.problems().find(({ path }) => path === `shoe.nails.${branch}.${number}.${key}`)
    return problem && this.tell(problem)
  }
  protected problemOf = ({ branch, number }: Nail, key: string): string | undefined =>
    this.problemAt(branch, number, key)
  protected tell = (problem: Problem): string => describeProblem(problem, this.text.style())
  /** Problems of holes whose lines are not unfolded. */
  protected readonly misplaced = computed(() =>
    this.problems().filter(({ path }) => path.startsWith('shoe.nails')),
  )

  protected readonly spread = computed(() => {
    const { exits } = this.plan().nailing
    return exits ? exits.high - exits.low : 0
  })

  protected drive(branch: Branch, number: number, driven: boolean): void {
    const kept = this.asked()[branch].driven.filter((one) => one !== number)
    this.putBranch(branch, { driven: (driven ? [...kept, number] : kept).sort() }, `nail ${branch} ${number}`)
    this.settle()
  }

  protected setHoles(branch: Branch, more: number): void {
    const { holes, driven, each } = this.asked()[branch]
    const count = Math.min(6, Math.max(0, holes + more))
    this.putBranch(
      branch,
      {
        holes: count,
        driven: driven.filter((number) => number <= count),
        each: each.filter(({ number }) => number <= count),
      },
      `holes ${branch}`,
    )
    this.settle()
  }

  protected setHole(nail: Nail, key: keyof Omit<HoleChange, 'number'>, value: number | undefined): void {
    const changed = withHole(this.asked()[nail.branch], nail.number, key, value)
    this.putBranch(nail.branch, changed, this.fieldOf(nail, key))
  }

  protected setEnd(branch: Branch, end: 'first' | 'last', value: number | undefined): void {
    const { [end]: _old, ...rest } = this.asked()[branch]
    const changed: BranchNails = value === undefined ? rest : { ...rest, [end]: value }
    this.put({ ...this.asked(), [branch]: changed }, `nails.${branch}.${end}`)
  }

  /** Holes that were put somewhere by hand belong to the school they were put for. */
  protected setSchool(school: NailSchoolName): void {
    if (school === this.asked().school) return
    const free = (branch: Branch): BranchNails => {
      const { first: _first, last: _last, each, ...rest } = this.asked()[branch]
      return { ...rest, each: each.map(({ fromToe: _place, ...said }) => said) }
    }
    this.put({ ...this.asked(), lateral: free('lateral'), medial: free('medial'), school }, 'nails.school')
    this.settle()
  }

  protected setSize(name: string): void {
    const { size: _old, ...rest } = this.asked()
    this.put(name ? { ...rest, size: name } : rest, 'nails.size')
    this.settle()
  }

  protected setKeepClear(keepClear: KeepClear[]): void {
    this.store.dispatch(benchActions.setKeepClear({ keepClear }))
    this.settle()
  }

  protected keep = (field: string, entry: string): void =>
    this.store.dispatch(benchActions.setEntry({ field, text: entry }))
  protected settle = (): void => this.store.dispatch(benchActions.settle())

  private putBranch(branch: Branch, changes: Partial<BranchNails>, touched: string): void {
    this.put({ ...this.asked(), [branch]: { ...this.asked()[branch], ...changes } }, touched)
  }

  private put(nails: NailPlan, touched: string): void {
    this.store.dispatch(benchActions.setShoe({ shoe: { ...this.draft().shoe, nails }, touched }))
  }
}
