import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { markName, shownIron, spreadLabels, type BarMark, type Iron } from '@crescent/core'
import { FigureText } from '../../drawing/figure-text'

/** Sheet units a millimetre of bar is drawn with, and the room beside it. */
const MARGIN = 14

/** Widths of a letter, and the shift of a label from its mark that needs a line to it. */
const NAME_LETTER = 1.65
const FIGURE_LETTER = 2.1
const SEEN = 1.5

const ZERO = { whole: '0', fraction: '', sign: '' }
const NOTHING = { whole: '', fraction: '', sign: '' }

/** The straight bar to scale, with every mark and its distance from the middle of the toe and from the end. */
@Component({
  selector: 'cr-bar-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll" tabindex="0" role="region" aria-label="The straight bar with its marks">
      <svg
        [attr.viewBox]="'0 0 ' + drawing().width + ' 34'"
        preserveAspectRatio="xMidYMid meet"
        aria-hidden="true"
      >
        <rect
          class="bar"
          [attr.x]="drawing().from"
          y="12"
          [attr.width]="drawing().length"
          height="7"
          rx="0.4"
        />
        @for (mark of drawing().marks; track mark.key) {
          <g [class]="mark.kind" [attr.transform]="mark.at">
            <path
              [attr.d]="
                'M0 ' + (mark.kind === 'hole' ? 12.8 : 10.6) + 'V' + (mark.kind === 'hole' ? 18.2 : 21)
              "
            />
            @if (mark.leader) {
              <path class="leader" [attr.d]="mark.leader" />
            }
            <text class="name" y="4.4" [attr.x]="mark.aside" text-anchor="middle">{{ mark.name }}</text>
            <text class="middle" y="9.2" [attr.x]="mark.aside" text-anchor="middle">
              <tspan [textContent]="mark.middle.whole"></tspan>
              <tspan
                class="fraction"
                [attr.dx]="mark.middle.whole && mark.middle.fraction ? 0.7 : 0"
                [textContent]="mark.middle.fraction"
              ></tspan>
              <tspan [textContent]="mark.middle.sign"></tspan>
            </text>
            <text class="end" y="25.2" [attr.x]="mark.aside" text-anchor="middle">
              <tspan [textContent]="mark.end.whole"></tspan>
              <tspan
                class="fraction"
                [attr.dx]="mark.end.whole && mark.end.fraction ? 0.7 : 0"
                [textContent]="mark.end.fraction"
              ></tspan>
              <tspan [textContent]="mark.end.sign"></tspan>
            </text>
          </g>
        }
        <text class="side" [attr.x]="drawing().from" y="31.6">outer branch</text>
        <text class="side" [attr.x]="drawing().toe" y="31.6" text-anchor="middle">
          above: from the toe mark · below: from the nearer end
        </text>
        <text class="side" [attr.x]="drawing().from + drawing().length" y="31.6" text-anchor="end">
          inner branch
        </text>
      </svg>
    </div>
    <details>
      <summary>Marks as a list</summary>
      <div class="list">
        <table>
          <thead>
            <tr>
              <th scope="col">Mark</th>
              <th scope="col">From the toe mark</th>
              <th scope="col">From its end</th>
              <th scope="col">From the other end</th>
            </tr>
          </thead>
          <tbody>
            @for (mark of shown().marks; track $index) {
              <tr>
                <th scope="row">{{ fullName(mark) }}</th>
                <td>{{ text.length(mark.fromMiddle) }}</td>
                <td>{{ text.length(mark.fromEnd) }}</td>
                <td>{{ text.length(shown().cutLength - mark.fromEnd) }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
    </details>
  `,
  styles: `
    :host {
      display: block;
      background: var(--paper);
      border-top: 1px solid var(--rule);
    }
    .scroll {
      overflow-x: auto;
    }
    svg {
      display: block;
      width: 100%;
      min-width: 780px;
      max-height: 132px;
      font-family: inherit;
    }
    .bar {
      fill: var(--steel);
      stroke: var(--steel-edge);
      stroke-width: 0.4;
    }
    path {
      stroke: var(--steel-edge);
      stroke-width: 0.6;
    }
    .toe path {
      stroke: var(--ember);
      stroke-width: 0.9;
    }
    text {
      fill: var(--ink);
      font-size: 3.9px;
    }
    .fraction {
      font-feature-settings: 'frac';
    }
    .name,
    .side {
      fill: var(--ink-soft);
      font-size: 3.1px;
    }
    .middle {
      font-size: 4.5px;
      font-weight: 700;
    }
    .toe .middle,
    .toe .name {
      fill: var(--ember);
    }
    .leader {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 0.25;
    }
    details {
      position: relative;
      padding: 0 16px;
      font-size: 0.9rem;
    }
    summary {
      min-height: 32px;
      padding: 4px 0;
      cursor: pointer;
    }
    /* Over what is above it: the fields keep their room. */
    .list {
      position: absolute;
      bottom: 100%;
      left: 8px;
      z-index: 6;
      max-width: calc(100vw - 16px);
      max-height: 50vh;
      padding: 8px 14px;
      overflow: auto;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
      box-shadow: 0 6px 24px rgb(0 0 0 / 25%);
    }
    table {
      border-collapse: collapse;
    }
    th,
    td {
      padding: 3px 16px 3px 0;
      text-align: left;
      border-bottom: 1px solid var(--rule);
    }
    thead th {
      font-weight: 500;
      color: var(--ink-soft);
    }
  `,
})
export class BarStrip {
  readonly iron = input.required<Iron>()
  protected readonly text = inject(FigureText)
  /** As it is written: what is read off it adds up. */
  protected readonly shown = computed(() => shownIron(this.iron(), this.text.style()))

  protected readonly drawing = computed(() => {
    const { cutLength, marks, branches } = this.shown()
    // Half a bar's length is drawn with as many units, whatever the bar: the letters keep their size.
    const unit = 300 / cutLength
    const toe = MARGIN + branches.lateral * unit
    const places = marks.map(
      ({ branch, fromMiddle }) => toe + (branch === 'lateral' ? -1 : 1) * fromMiddle * unit,
    )
    const labels = spreadLabels(
      marks.map((mark, i) => ({ at: places[i]!, width: this.widthOf(mark) })),
      0,
      300 + 2 * MARGIN,
    )
    return {
      width: 300 + 2 * MARGIN,
      from: MARGIN,
      length: 300,
      toe,
      marks: marks.map((mark, i) => {
        const x = places[i]!
        const isEnd = mark.kind === 'heel-end'
        const aside = labels[i]! - x
        return {
          key: `${mark.branch}${mark.label}`,
          kind: mark.kind,
          // Moved as a whole: its letters are not laid out anew while a handle is dragged.
          at: `translate(${x.toFixed(2)} 0)`,
          aside: aside.toFixed(2),
          leader: Math.abs(aside) > SEEN ? `M0 10.6L${aside.toFixed(2)} 9.9M0 21L${aside.toFixed(2)} 22` : '',
          name: markName(mark),
          middle: mark.kind === 'toe' ? ZERO : this.text.parts(mark.fromMiddle),
          end: isEnd ? NOTHING : this.text.parts(mark.fromEnd),
        }
      }),
    }
  })

  /** About how wide the letters over a mark are, in units of the sheet. */
  private widthOf(mark: BarMark): number {
    const figure = this.text.length(mark.fromMiddle)
    return Math.max(markName(mark).length * NAME_LETTER, figure.length * FIGURE_LETTER)
  }

  protected fullName(mark: BarMark): string {
    if (mark.branch === null) return mark.label
    return `${mark.label}, ${mark.branch === 'lateral' ? 'outer' : 'inner'} branch`
  }
}
