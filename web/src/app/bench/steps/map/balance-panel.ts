import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core'
import {
  aheadShare,
  setBackBy,
  type Balance,
  type BreakoverSchoolName,
  type Plan,
  type SchoolResult,
} from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'
import { Worded } from '../../../help/worded'

/** Breakover by every school, proportion, toe lever, heel ends and the line of the limb, in numbers. */
@Component({
  selector: 'cr-balance-panel',
  imports: [Worded],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <caption>
        <cr-worded text="Breakover" />&ngsp;
        <small>ahead of the widest part</small>
      </caption>
      <thead>
        <tr>
          <th scope="col">School</th>
          <th scope="col">Ahead</th>
          <th scope="col">From the toe</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.key) {
          <tr [class.used]="row.used" [attr.data-school]="row.key">
            <th scope="row">
              <label>
                <input
                  type="radio"
                  name="school"
                  [checked]="row.used"
                  (change)="use.emit({ school: row.key, all: false })"
                />
                <span>{{ row.label }}</span>
              </label>
            </th>
            @if (row.lacks) {
              <td colspan="2" class="lacks">lacks {{ row.lacks }}</td>
            } @else {
              <td>{{ row.ahead }}</td>
              <td>{{ row.change }}</td>
            }
          </tr>
        }
      </tbody>
    </table>
    @if (inUse(); as school) {
      <p class="rule">
        <cr-worded [text]="text.told(school.rule)" /> {{ school.use }}
        @if (school.answer.found) {
          <span class="muted">From: {{ school.answer.used.join(', ') }}. {{ school.answer.note }}</span>
        }
        @if (school.vetLeads) {
          <b>The vet leads.</b>
        }
      </p>
    }
    <div class="acts">
      <button class="tap" type="button" (click)="use.emit({ school: balance().breakover.inUse, all: true })">
        Use for the whole horse
      </button>
      @if (setBack() !== undefined) {
        <button class="tap" type="button" (click)="setToe.emit(setBack()!)">
          Set the shoe’s toe back to it
        </button>
      }
    </div>
    <dl>
      <div>
        <dt><cr-worded text="Widest part" /></dt>
        <dd>{{ widest() }}</dd>
      </div>
      <div>
        <dt>Ahead of the widest part, behind it</dt>
        <dd>
          {{ text.length(balance().ahead) }}, {{ text.length(balance().behind) }}
          <small>({{ share() }} ahead)</small>
        </dd>
      </div>
      <div>
        <dt><cr-worded text="Breakover of this shoe" /></dt>
        <dd>
          {{ text.length(balance().toeLever) }} ahead
          <small>({{ leverChange() }} against the trimmed toe{{ leverAgainst() }})</small>
        </dd>
      </div>
      @for (heel of balance().heels; track heel.branch) {
        <div>
          <dt>{{ heel.branch === 'lateral' ? 'Outer' : 'Inner' }} heel end</dt>
          <dd>
            {{ short(heel.shortOfBulbs) }} the bulb line
            @if (heel.shortOfPlumb !== undefined) {
              <br />{{ short(heel.shortOfPlumb) }} the plumb line
            }
          </dd>
        </div>
      }
      <div>
        <dt><cr-worded text="Hoof-pastern axis" /></dt>
        <dd>{{ axis() }}</dd>
      </div>
      <div>
        <dt>Shoe across the heels</dt>
        <dd>
          {{ text.length(plan().heels.outside) }} outside
          <small>{{ text.length(plan().heels.middleOfWeb) }} middle of web</small>
        </dd>
      </div>
    </dl>
  `,
  styles: `
    /* Its numbers change with every move of a handle: nothing outside is laid out anew for that. */
    :host {
      display: block;
      margin-bottom: 10px;
      contain: content;
    }
    table {
      width: 100%;
      table-layout: fixed;
      border-collapse: collapse;
      font-size: 0.9rem;
    }
    caption {
      padding: 4px 0;
      font-weight: 650;
      text-align: left;
    }
    caption small {
      font-weight: 400;
      color: var(--ink-soft);
    }
    th,
    td {
      padding: 0 4px;
      font-weight: 500;
      text-align: right;
      border-top: 1px solid var(--rule);
    }
    thead th {
      font-size: 0.8rem;
      color: var(--ink-soft);
    }
    /* A stretch breaks between its two figures, never within one. */
    td {
      line-height: 1.15;
    }
    td.lacks {
      white-space: normal;
    }
    th:first-child {
      padding-left: 0;
      text-align: left;
    }
    label {
      display: flex;
      gap: 6px;
      align-items: center;
      min-height: 40px;
      cursor: pointer;
    }
    input {
      width: 20px;
      height: 20px;
      accent-color: var(--ember);
    }
    .used th,
    .used td {
      font-weight: 700;
      background: var(--ember-wash);
    }
    .lacks {
      font-size: 0.8rem;
      line-height: 1.15;
      color: var(--ink-soft);
    }
    .rule {
      padding: 6px 0;
      font-size: 0.85rem;
      line-height: 1.3;
    }
    .acts {
      display: grid;
      gap: 4px;
      margin-bottom: 8px;
    }
    thead th:first-child {
      width: 50%;
    }
    dl {
      margin: 0;
      content-visibility: auto;
      contain-intrinsic-size: auto 340px;
    }
    dl div {
      display: flex;
      flex-wrap: wrap;
      justify-content: space-between;
      gap: 2px 10px;
      padding: 5px 0;
      font-size: 0.92rem;
      border-top: 1px solid var(--rule);
    }
    dt {
      color: var(--ink-soft);
    }
    dd {
      margin: 0 0 0 auto;
      font-weight: 600;
      text-align: right;
    }
    dd small {
      font-weight: 400;
      color: var(--ink-soft);
    }
  `,
})
export class BalancePanel {
  readonly plan = input.required<Plan>()
  /** The balance of the shoe it wears, to compare the lever with. */
  readonly worn = input<Balance | undefined>()
  readonly use = output<{ school: BreakoverSchoolName; all: boolean }>()
  /** How far the toe of the shoe is to be set back, mm. */
  readonly setToe = output<number>()

  protected readonly text = inject(FigureText)
  protected readonly balance = computed(() => this.plan().balance)
  protected readonly inUse = computed(() =>
    this.balance().breakover.schools.find(({ key }) => key === this.balance().breakover.inUse),
  )
  protected readonly rows = computed(() =>
    this.balance().breakover.schools.map((school) => ({
      key: school.key,
      label: school.label,
      used: school.key === this.balance().breakover.inUse,
      lacks: school.answer.found ? '' : school.answer.lacks.map(this.text.told).join('; '),
      ahead: this.aheadText(school),
      change: school.lever === undefined ? '' : this.change(school.lever - this.plan().foot.widestFromToe),
    })),
  )
  protected readonly widest = computed(() => {
    const { widest, foot } = this.plan()
    return `${this.text.length(foot.widestFromToe)} behind the toe. ${widest.verdict}`
  })
  protected readonly share = computed(() => aheadShare(this.balance().ratio))
  protected readonly leverChange = computed(() => this.change(-this.balance().leverSaved))
  protected readonly leverAgainst = computed(() => {
    const worn = this.worn()
    return worn ? `, ${this.change(this.balance().toeLever - worn.toeLever)} against the last` : ''
  })
  protected readonly axis = computed(() => {
    const axis = this.balance().hoofPastern
    if (!axis) return 'pastern not measured'
    return axis.verdict === 'straight' ? 'straight' : `${axis.verdict} ${Math.abs(axis.broken).toFixed(1)}°`
  })

  /** A plain shoe can be set back to a breakover that lies behind its toe, as far as a fit allows. */
  protected readonly setBack = computed(() => {
    const { foot, balance, fit } = this.plan()
    return balance.aheadOfSchool === undefined ? undefined : setBackBy(fit, foot, balance.aheadOfSchool)
  })

  private aheadText({ answer }: SchoolResult): string {
    if (!answer.found) return ''
    const whole = (mm: number) => this.text.length(mm).replace(/ /g, '\u00a0')
    const foremost = whole(answer.y)
    return answer.rearY === undefined || answer.rearY >= answer.y - 0.5
      ? foremost
      : `${this.text.bare(answer.rearY).replace(/ /g, '\u00a0')} – ${foremost}`
  }
  private change(mm: number): string {
    const text = this.text.difference(mm)
    return text === '0' ? 'same' : text
  }
  protected short(mm: number): string {
    const text = this.text.length(Math.abs(mm))
    if (Math.abs(mm) < 0.8) return 'on'
    return mm > 0 ? `${text} short of` : `${text} beyond`
  }
}
