import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { shownIron, type FootWork, type Plan, type Section, type VisitPage, type Side } from '@crescent/core'
import { longDay } from '../../common/today'
import { FigureText } from '../../drawing/figure-text'
import { apartOf, weldsOf } from '../../drawing/joined'
import { soleView, svgPath, svgRings } from '../../drawing/svg-path'
import { VERDICT_WORDS } from '../../drawing/nail-words'

/** What is done to a foot, as the sheet says it. */
export const WORK_PRINTED: Record<FootWork, string> = {
  shod: 'Shod',
  reset: 'Reset with the same shoe: nothing is forged',
  bare: 'Trimmed and left bare: nothing is forged',
}

/** The sheet that is printed: the shoe as it looks, what to cut, and every mark. At true size it comes from the server. */
@Component({
  selector: 'cr-print-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <article class="print-only">
      <h1>{{ page().horse.name }}, {{ side() }}</h1>
      <p>{{ day() }}. {{ iron() }}.</p>
      @if (work(); as done) {
        @if (done !== 'shod') {
          <p class="stop">{{ printed[done] }}.</p>
        }
      }
      <p>
        Shoe {{ text.length(across().width) }} wide, {{ text.length(across().long) }} long; heels
        {{ text.length(plan().heels.outside) }} outside, {{ text.length(plan().heels.middleOfWeb) }} from
        middle to middle of the web. Foot {{ text.length(plan().foot.width) }} x
        {{ text.length(plan().foot.length) }}, heels {{ text.length(plan().foot.heelWidth) }}.
      </p>
      @if (stops().length > 0) {
        <p class="stop">STOP: {{ stops().join('; ') }}.</p>
      }
      @if (cautions().length > 0) {
        <ul>
          @for (one of cautions(); track $index) {
            <li>
              <strong>{{ text.told(one.title) }}.</strong> {{ text.told(one.text) }}
              {{ text.told(one.action) }}
            </li>
          }
        </ul>
      }
      <p class="scale">Not to scale: the shoe at true size is a PDF of its own.</p>
      <svg [attr.viewBox]="sheet().box">
        <path [attr.d]="sheet().shoe" fill="#ddd" stroke="#000" stroke-width="0.4" />
        @for (weld of sheet().welds; track $index) {
          <path [attr.d]="weld" fill="none" stroke="#000" stroke-width="0.25" />
        }
        @for (part of sheet().parts; track $index) {
          <path [attr.d]="part" fill="#ccc" stroke="#000" stroke-width="0.35" />
        }
        <path [attr.d]="sheet().foot" fill="none" stroke="#000" stroke-width="0.35" stroke-dasharray="2 1" />
        <path
          [attr.d]="sheet().whiteLine"
          fill="none"
          stroke="#000"
          stroke-width="0.25"
          stroke-dasharray="0.6 0.8"
        />
        @for (nail of sheet().nails; track $index) {
          <circle
            [attr.cx]="nail.x"
            [attr.cy]="nail.y"
            r="1.6"
            [attr.fill]="nail.driven ? '#000' : '#fff'"
            stroke="#000"
            stroke-width="0.3"
          />
        }
      </svg>
      @if (plan().iron.size === undefined) {
        <table>
          <thead>
            <tr>
              <th>Mark</th>
              <th>From the toe mark</th>
              <th>From its end</th>
            </tr>
          </thead>
          <tbody>
            @for (mark of shown().marks; track $index) {
              <tr>
                <td>
                  {{ mark.label
                  }}{{ mark.branch === 'lateral' ? ', outer' : mark.branch === 'medial' ? ', inner' : '' }}
                </td>
                <td>{{ text.length(mark.fromMiddle) }}</td>
                <td>{{ text.length(mark.fromEnd) }}</td>
              </tr>
            }
          </tbody>
        </table>
      }
      <table>
        <thead>
          <tr>
            <th>Nail</th>
            <th>From the toe</th>
            <th>From the rim</th>
            <th>Lean</th>
            <th>Comes out</th>
            <th>Verdict</th>
          </tr>
        </thead>
        <tbody>
          @for (nail of plan().nails; track $index) {
            @if (nail.driven) {
              <tr>
                <td>{{ nail.branch === 'lateral' ? 'outer' : 'inner' }} {{ nail.number }}</td>
                <td>{{ text.length(nail.fromToe) }}</td>
                <td>{{ text.length(nail.inset) }}</td>
                <td>{{ text.figure(nail.lean, 'angle') }}</td>
                <td>{{ text.length(nail.exitHeight) }}</td>
                <td>{{ words[nail.verdict] }}</td>
              </tr>
            }
          }
        </tbody>
      </table>
      <ol>
        @for (step of plan().forging; track $index) {
          <li>{{ text.told(step.text) }}</li>
        }
      </ol>
      <p>These figures inform a trained hand; they do not replace it.</p>
    </article>
  `,
  styles: `
    /* Each foot on a page of its own; nothing is cut in two at a page's end. */
    :host {
      display: block;
    }
    :host(:not(:first-child)) article {
      break-before: page;
    }
    svg,
    tr,
    li,
    p {
      break-inside: avoid;
    }
    thead {
      display: table-header-group;
    }
    h1,
    h1 + p {
      break-after: avoid;
    }
    svg {
      display: block;
      width: 90mm;
      margin: 4mm 0;
    }
    .scale {
      font-weight: 700;
    }
    table {
      border-collapse: collapse;
      font-size: 10pt;
    }
    th,
    td {
      padding: 0.6mm 6mm 0.6mm 0;
      text-align: left;
      border-bottom: 0.2mm solid #999;
    }
    .stop {
      font-weight: 700;
      border: 0.6mm solid #000;
      padding: 2mm;
    }
  `,
})
export class PrintSheet {
  readonly plan = input.required<Plan>()
  readonly page = input.required<VisitPage>()
  readonly side = input.required<Side>()
  readonly section = input.required<Section>()
  readonly work = input<FootWork | undefined>()

  /** As it is written: what is read off it adds up. */
  protected readonly shown = computed(() => shownIron(this.plan().iron, this.text.style()))
  protected readonly text = inject(FigureText)
  protected readonly words = VERDICT_WORDS
  protected readonly printed = WORK_PRINTED
  /** The shoe from side to side and from its toe to its hindmost end, mm. */
  protected readonly across = computed(() => {
    const { outline, parts } = this.plan()
    const bars = parts.filter(({ layer }) => layer === 'bar').flatMap(({ edge }) => edge)
    const points = [...outline.outer, ...bars]
    const span = (axis: 0 | 1) => {
      const all = points.map((point) => point[axis])
      return Math.max(...all) - Math.min(...all)
    }
    return { width: span(0), long: span(1) }
  })
  protected readonly day = computed(() => longDay(this.page().visit.date))
  protected readonly bar = computed(
    () =>
      `${this.text.bare(this.section().width)} x ${this.text.length(this.section().thickness)} ${this.section().material}`,
  )
  /** What it is made of, and what is done first. */
  protected readonly iron = computed(() => {
    const { size, openBy = 0, cutLength } = this.plan().iron
    if (size === undefined) return `Bar ${this.bar()}, cut ${this.text.length(cutLength)}`
    const { moulded } = this.plan()
    if (moulded)
      return `Factory size ${size}, not bent: saw off ${this.text.length(moulded.deepest)} at the most outside`
    return `Factory size ${size}, ${openBy >= 0 ? 'open' : 'close'} by ${this.text.length(Math.abs(openBy))}`
  })
  protected readonly stops = computed(() =>
    this.plan()
      .cautions.filter((caution) => caution.severity === 'stop')
      .map((caution) => this.text.told(caution.title)),
  )

  /** What to think of before it is made: what protects the horse goes to the anvil with it. */
  protected readonly cautions = computed(() =>
    this.plan().cautions.filter(({ severity }) => severity !== 'note'),
  )

  protected readonly sheet = computed(() => {
    const { foot, outline, landmarks, nails, parts } = this.plan()
    const edges = parts.flatMap(({ edge }) => edge)
    const view = soleView(this.side(), foot.widestFromToe)
    const xs = [...outline.body, ...outline.foot, ...edges].map(([x]) => x * view.mirror)
    const ys = [...outline.body, ...edges].map(([, y]) => foot.widestFromToe - y)
    const left = Math.min(...xs) - 3
    const top = -4
    const bottom = Math.max(...ys, foot.length) + 3
    const width = Math.max(...xs) + 3 - left
    return {
      box: `${left} ${top} ${width} ${bottom - top}`,
      shoe: svgRings(outline.whole, view),
      parts: apartOf({ parts }).map(({ edge }) => svgPath(edge, view, true)),
      welds: weldsOf({ parts }).map(({ line }) => svgPath(line, view)),
      foot: svgPath(outline.foot, view),
      whiteLine: svgPath(landmarks.whiteLineOuter, view),
      nails: nails.map(({ x, y, driven }) => ({ x: x * view.mirror, y: foot.widestFromToe - y, driven })),
    }
  })
}
