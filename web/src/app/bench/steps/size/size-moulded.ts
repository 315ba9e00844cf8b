import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { SOLE_REST_LABELS, SOLE_RESTS, type Moved, type SoleRest } from '@crescent/core/anvil'
import { OneOf } from '../../../common/one-of'
import { FigureText } from '../../../drawing/figure-text'
import { FigureField } from '../../figure-field'
import { Sizing } from './sizing'

const MOVES = [
  { key: 'across', label: 'Shift outward', kind: 'length', where: 'From where it lies flush; minus inward.' },
  { key: 'forward', label: 'Shift forward', kind: 'length', where: 'Minus back.' },
  { key: 'turn', label: 'Turn', kind: 'angle', where: 'Plus brings the toe to the inner side.' },
] as const

const RESTS = SOLE_RESTS.map((key) => ({ key, label: SOLE_REST_LABELS[key] }))

/** A shoe that cannot be bent: where it lies, how it meets the sole, and how it is sawn and drilled. */
@Component({
  selector: 'cr-size-moulded',
  imports: [FigureField, OneOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { 'data-fields': '' },
  template: `
    @for (one of moves; track one.key) {
      <cr-figure-field
        [field]="'stock.moved.' + one.key"
        [label]="one.label"
        [kind]="one.kind"
        [where]="one.where"
        [value]="moved()[one.key]"
        [assumed]="0"
        [entry]="sizing.draft()?.foot?.entries?.['stock.moved.' + one.key]"
        [problem]="problemOf(one.key)"
        (figure)="move(one.key, $event)"
        (unread)="sizing.keep('stock.moved.' + one.key, $event)"
        (left)="sizing.settle()"
      />
    }
    <cr-one-of
      label="How it meets the sole"
      heading="How it meets the sole"
      [choices]="rests"
      [chosen]="rest()"
      (choose)="setRest($event)"
    />
    @if (moulded(); as plan) {
      <ol data-testid="moulded">
        @for (word of plan.words; track $index) {
          <li>{{ text.told(word) }}</li>
        }
      </ol>
      <details class="fold">
        <summary>Drill, hole by hole</summary>
        <table>
          <thead>
            <tr>
              <th scope="col">Hole</th>
              <th scope="col">from the toe</th>
              <th scope="col">from the rim</th>
              <th scope="col">lean</th>
            </tr>
          </thead>
          <tbody>
            @for (hole of plan.drilled; track hole.branch + hole.number) {
              <tr>
                <th scope="row">{{ hole.branch === 'lateral' ? 'Outer' : 'Inner' }} {{ hole.number }}</th>
                <td>{{ text.length(hole.fromToe) }}</td>
                <td>{{ text.length(hole.inset) }}</td>
                <td>
                  {{ text.figure(hole.lean, 'angle') }}
                  @if (hole.leansMore > 0.5) {
                    <small>{{ text.figure(hole.leansMore, 'angle') }} more than the wall</small>
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
        <p class="muted">Along and from the trimmed rim, on the ground face.</p>
      </details>
    }
  `,
  styles: `
    ol {
      margin: 10px 0;
      padding-left: 1.3em;
      font-size: 0.95rem;
      line-height: 1.4;
    }
    table {
      width: 100%;
      font-variant-numeric: tabular-nums;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 4px;
      font-weight: 500;
      text-align: left;
      border-bottom: 1px solid var(--rule);
    }
    small {
      display: block;
      color: var(--ink-soft);
    }
  `,
})
export class SizeMoulded {
  protected readonly sizing = inject(Sizing)
  protected readonly text = inject(FigureText)
  protected readonly moves = MOVES
  protected readonly rests = RESTS
  protected readonly moved = computed(() => this.sizing.used()?.moved ?? {})
  protected readonly rest = computed((): SoleRest => this.sizing.used()?.rest ?? 'flat rim')
  protected readonly moulded = computed(() => this.sizing.onBench()?.moulded)

  protected problemOf(key: keyof Moved): string | undefined {
    const found = this.sizing.problems().find(({ path }) => path === `shoe.stock.moved.${key}`)
    return found && this.text.problem(found)
  }

  protected move(key: keyof Moved, value: number | undefined): void {
    const { [key]: _old, ...rest } = this.moved()
    this.sizing.restock({ moved: value === undefined ? rest : { ...rest, [key]: value } }, `moved.${key}`)
  }

  protected setRest(rest: SoleRest): void {
    this.sizing.restock({ rest }, 'rest')
    this.sizing.settle()
  }
}
