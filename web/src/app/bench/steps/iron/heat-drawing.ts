import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import type { Heat, Plan } from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'
import { boxOf, seen, soleView, svgPath } from '../../../drawing/svg-path'

/** The shape when a step is done, over the finished shoe, with its punch marks and where the rule is laid. */
@Component({
  selector: 'cr-heat-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="drawn().box" role="img" [attr.aria-label]="label()">
      <path class="pattern" [attr.d]="drawn().pattern" [attr.stroke-width]="drawn().web" />
      <path class="shape" [attr.d]="drawn().shape" [attr.stroke-width]="drawn().web" />
      @for (rule of drawn().rules; track $index) {
        <path class="rule" [attr.d]="rule.line" />
        <g [attr.transform]="rule.at">
          <circle class="tag" r="6.5" />
          <text class="tag-text" text-anchor="middle" dy="3">{{ rule.letter }}</text>
        </g>
      }
      @for (mark of drawn().marks; track $index) {
        <g [attr.transform]="mark.at">
          <circle r="2" />
          @if (mark.label === 'Toe') {
            <text y="-5" text-anchor="middle">toe</text>
          }
        </g>
      }
    </svg>
  `,
  styles: `
    :host {
      display: grid;
      min-height: 0;
    }
    svg {
      width: 100%;
      height: 100%;
      min-height: 0;
    }
    path {
      fill: none;
      stroke-linejoin: round;
    }
    .pattern {
      stroke: color-mix(in srgb, var(--steel) 30%, transparent);
    }
    .shape {
      stroke: var(--steel);
    }
    .rule {
      stroke: var(--ember);
      stroke-width: 1;
      stroke-dasharray: 4 2.5;
    }
    circle {
      fill: var(--ink);
    }
    .tag {
      fill: var(--ember);
    }
    text {
      fill: var(--ink);
      font-size: 8px;
      font-weight: 700;
    }
    .tag-text {
      fill: var(--paper);
    }
  `,
})
export class HeatDrawing {
  readonly heat = input.required<Heat>()
  readonly plan = input.required<Plan>()
  private readonly text = inject(FigureText)

  protected readonly label = computed(() => {
    const { measures } = this.heat()
    const told = measures.map(({ what, value }) => `${what} ${this.text.length(value)}`)
    return `The shape when this is done: ${told.join(', ')}`
  })

  protected readonly drawn = computed(() => {
    const [{ shape, measures, marks, straight }, plan] = [this.heat(), this.plan()]
    const { iron, section, foot } = plan
    // What it comes to in the end, with what closes it behind.
    const finished = iron.heats[iron.heats.length - 1]!.shape
    const view = soleView(foot.side, foot.widestFromToe)
    const at = (point: readonly [number, number]) => {
      const [x, y] = seen(point, view)
      return `translate(${x.toFixed(1)} ${y.toFixed(1)})`
    }
    return {
      web: section.width,
      box: boxOf([...shape, ...(straight ? [] : finished)], view, section.width / 2 + 12),
      pattern: straight ? '' : svgPath(finished, view),
      shape: svgPath(shape, view),
      rules: measures.map(({ between: [from, to] }, i) => ({
        letter: LETTERS[i]!,
        line: svgPath([from, to], view),
        // Not one tag on another where rules cross in their middles.
        at: at([from[0] + (to[0] - from[0]) * ALONG[i]!, from[1] + (to[1] - from[1]) * ALONG[i]!]),
      })),
      marks: marks.map(({ label, at: place }) => ({ label, at: at(place) })),
    }
  })
}

/** The rules are told apart by letters, the same in drawing and list. */
export const LETTERS = ['A', 'B', 'C'] as const
const ALONG = [0.5, 0.62, 0.62]
