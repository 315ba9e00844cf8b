import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import type { Plan, Vec } from '@crescent/core'
import { MATCHED } from '@crescent/core/anvil'
import { FigureText } from '../../../drawing/figure-text'
import { boxOf, seen, soleView, svgPath, svgRings } from '../../../drawing/svg-path'
import { Sizing } from './sizing'

/** A size on the foot with its holes, another laid over it, and what to measure before either is carried. */
@Component({
  selector: 'cr-size-over',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawing(); as drawn) {
      <div class="two">
        <svg [attr.viewBox]="drawn.box" role="img" [attr.aria-label]="drawn.label">
          <path class="foot" [attr.d]="drawn.foot" />
          <path class="line" [attr.d]="drawn.whiteLine" />
          <path class="frog" [attr.d]="drawn.frog" />
          @if (drawn.sold) {
            <path class="sold" [attr.d]="drawn.sold" />
          }
          <path class="mine" [attr.d]="drawn.mine" />
          @if (drawn.crease) {
            <path class="crease" [attr.d]="drawn.crease" />
          }
          @if (drawn.saw) {
            <path class="saw" [attr.d]="drawn.saw" />
          }
          @for (seat of drawn.seats; track $index) {
            <circle class="seat" r="4" [attr.cx]="seat[0]" [attr.cy]="seat[1]" />
          }
          @for (clip of drawn.clips; track $index) {
            <path class="clip" [attr.d]="clip" />
          }
          @if (drawn.theirs) {
            <path class="theirs" [attr.d]="drawn.theirs" />
          }
          <path class="mark" [attr.d]="drawn.buttress" />
          <path class="mark bulbs" [attr.d]="drawn.bulbs" />
          @for (hole of drawn.holes; track $index) {
            <g [attr.transform]="hole.at" [class.bad]="hole.bad">
              <rect x="-3.2" y="-1.5" width="6.4" height="3" rx="0.5" [attr.transform]="hole.turn" />
              @if (hole.bad) {
                <path class="cross" d="M-4 -4L4 4M-4 4L4 -4" />
              }
            </g>
          }
        </svg>
        <div class="words">
          <table>
            <thead>
              <tr>
                <th scope="col">Measure</th>
                <th scope="col">as sold</th>
                <th scope="col">{{ drawn.sold ? 'here' : 'shaped' }}</th>
              </tr>
            </thead>
            <tbody>
              @for (row of measures(); track row.label) {
                <tr>
                  <th scope="row">{{ row.label }}</th>
                  <td>{{ row.sold }}</td>
                  <td>
                    <b>{{ row.shaped }}</b>
                  </td>
                </tr>
              }
            </tbody>
          </table>
          <p>
            <b>{{ name() }}</b>: {{ heels() }}
          </p>
          @if (other(); as theirs) {
            <p class="their">Dashed, {{ theirs.label }}: {{ theirs.heels }}</p>
          }
          @if (drawn.sold) {
            <p class="muted">
              Thin: as it is sold. Heavy line: the saw. Dotted: its crease. Lines: buttress, and plumb of the
              bulbs.
            </p>
          } @else {
            <p class="muted">
              Chalk the shaped measures on the anvil. Cross: a hole inside the white line. Lines: buttress,
              and plumb of the bulbs.
            </p>
          }
        </div>
      </div>
    } @else {
      <p class="note">Measure the foot, and the sizes are laid on it here.</p>
    }
  `,
  styleUrls: ['../shoe/views.scss', '../two.scss'],
  styles: `
    .words {
      align-self: center;
    }
    .mine {
      fill: color-mix(in srgb, var(--steel) 55%, transparent);
      stroke: var(--ember);
      stroke-width: 1.2;
      stroke-linejoin: round;
    }
    .sold {
      fill: color-mix(in srgb, var(--steel) 16%, transparent);
      stroke: var(--ink-soft);
      stroke-width: 0.5;
    }
    .saw {
      fill: none;
      stroke: var(--stop);
      stroke-width: 1.8;
      stroke-linecap: round;
    }
    .crease {
      fill: none;
      stroke: var(--ink);
      stroke-width: 0.5;
      stroke-dasharray: 0.8 1.6;
    }
    .seat {
      fill: none;
      stroke: var(--ember);
      stroke-width: 1.2;
    }
    .clip {
      fill: color-mix(in srgb, var(--ink) 14%, transparent);
      stroke: var(--ink-soft);
      stroke-width: 0.4;
    }
    .theirs {
      fill: none;
      stroke: var(--ink);
      stroke-width: 0.8;
      stroke-dasharray: 3 3;
    }
    .mark {
      fill: none;
      stroke: var(--ink);
      stroke-width: 0.7;
    }
    .bulbs {
      stroke-dasharray: 5 2 1 2;
    }
    rect {
      fill: var(--ink);
    }
    .bad rect {
      fill: var(--stop);
    }
    .cross {
      fill: none;
      stroke: var(--stop);
      stroke-width: 1.4;
    }
    table {
      width: 100%;
      border-collapse: collapse;
      font-variant-numeric: tabular-nums;
    }
    th,
    td {
      padding: 5px 4px;
      text-align: left;
      border-bottom: 1px solid var(--rule);
    }
    tbody th {
      font-weight: 500;
    }
    td b {
      font-size: 1.1rem;
      white-space: nowrap;
    }
  `,
})
export class SizeOver {
  private readonly sizing = inject(Sizing)
  private readonly text = inject(FigureText)

  protected readonly name = computed(() => this.sizing.shown()?.label ?? '')
  protected readonly heels = computed(() => {
    const plan = this.sizing.plan()
    return plan ? this.heelWords(plan) : ''
  })
  protected readonly other = computed(() => {
    const [row, plan] = [this.sizing.over(), this.sizing.overPlan()]
    return row && plan && { label: row.label, heels: this.heelWords(plan) }
  })

  protected readonly measures = computed(() => {
    const plan = this.sizing.plan()
    const sold = plan?.iron.asSold
    if (!plan || !sold) return []
    const width = sold.width + plan.iron.openBy!
    if (plan.moulded) {
      const { deepest, standsOut, onSole } = plan.moulded
      return [
        { label: 'Width, outside', sold: this.text.length(sold.width), shaped: this.text.length(width) },
        { label: 'Sawn off outside, most', sold: '', shaped: this.text.length(deepest) },
        { label: 'Still stands out', sold: '', shaped: this.text.length(standsOut) },
        { label: 'Sole under it, least', sold: '', shaped: this.text.length(Math.max(0, onSole.least)) },
      ]
    }
    return [
      { label: 'Width, outside', sold: this.text.length(sold.width), shaped: this.text.length(width) },
      {
        label: 'Heels, outside',
        sold: this.text.length(sold.heelsOutside),
        shaped: this.text.length(plan.heels.outside),
      },
      {
        label: 'Heels, middle of web',
        sold: this.text.length(sold.heelsMiddle),
        shaped: this.text.length(plan.heels.middleOfWeb),
      },
    ]
  })

  protected readonly drawing = computed(() => {
    const [plan, over] = [this.sizing.plan(), this.sizing.overPlan()]
    if (!plan) return undefined
    const view = soleView(this.sizing.side(), plan.foot.widestFromToe)
    const { landmarks, outline } = plan
    const { moulded } = plan
    const lines = (list: readonly (readonly Vec[])[]) => list.map((line) => svgPath(line, view)).join('')
    const all = [
      outline.foot,
      outline.body,
      landmarks.bulbs,
      moulded?.sold ?? [],
      ...(over ? [over.outline.body] : []),
    ].flat()
    const across = (y: number) =>
      svgPath(
        [
          [-plan.foot.heelWidth * 0.62, y],
          [plan.foot.heelWidth * 0.62, y],
        ],
        view,
      )
    return {
      label: `${this.name()} on the ${this.sizing.side()} foot${this.other() ? `, ${this.other()!.label} laid over it` : ''}`,
      box: boxOf(all, view, 5),
      foot: svgPath(outline.foot, view, true),
      frog: svgPath(landmarks.frog, view, true),
      whiteLine: svgPath(landmarks.whiteLineOuter, view),
      sold: moulded ? svgPath(moulded.sold, view, true) : '',
      saw: moulded ? lines(moulded.saw) : '',
      crease: moulded ? lines(moulded.crease) : '',
      seats: (moulded?.clipSeats ?? []).map(({ at }) => seen(at, view)),
      mine: svgRings(outline.whole, view),
      clips: plan.parts.filter(({ layer }) => layer === 'clip').map(({ edge }) => svgPath(edge, view, true)),
      theirs: over ? svgRings(over.outline.whole, view) : '',
      buttress: across(landmarks.lateralButtress[1]),
      bulbs: across(landmarks.bulbY),
      holes: plan.nails.map((nail) => {
        const [x, y] = seen([nail.x, nail.y], view)
        const turn = (Math.atan2(y - plan.foot.widestFromToe, x) * 180) / Math.PI + 90
        return {
          at: `translate(${x.toFixed(2)} ${y.toFixed(2)})`,
          turn: `rotate(${turn.toFixed(1)})`,
          bad: nail.verdict === 'would-prick',
        }
      }),
    }
  })

  private heelWords({ iron }: Plan): string {
    const left = iron.heelLeft!
    const say = (whose: string, value: number) =>
      Math.abs(value) < MATCHED
        ? `${whose} heel ends where it should`
        : `${whose} heel ${this.text.heelLeft(value)}`
    return Math.abs(left.lateral - left.medial) < MATCHED
      ? `${say('each', (left.lateral + left.medial) / 2)}.`
      : `${say('outer', left.lateral)}, ${say('inner', left.medial)}.`
  }
}
