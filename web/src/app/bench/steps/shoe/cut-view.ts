import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core'
import { sectionOutline, type Plan, type SectionCut } from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'
import { uprightPath } from '../../../drawing/svg-path'

/** A cut through the shoe at any place along either branch, ground down, outer rim on the left. */
@Component({
  selector: 'cr-cut-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="where">
      <span>inner heel</span>
      <input
        type="range"
        min="-100"
        max="100"
        step="1"
        aria-label="Place of the cut, from the inner heel over the toe to the outer heel"
        [attr.aria-valuetext]="placeText()"
        [value]="at()"
        (input)="at.set(+slider.value)"
        #slider
      />
      <span>outer heel</span>
    </div>
    <svg [attr.viewBox]="drawing().box" role="img" [attr.aria-label]="'Cut through the shoe, ' + placeText()">
      <path class="ground" [attr.d]="'M-6 0H' + (drawing().width + 6)" />
      <path class="steel" [attr.d]="drawing().path" data-testid="cut-drawing" />
      <path class="measure" [attr.d]="'M0 5H' + drawing().width" />
      <text class="word" [attr.x]="drawing().width / 2" y="10.5" text-anchor="middle">
        {{ text.length(cut().form.width) }}
      </text>
      <text class="word" [attr.x]="drawing().width + 3" [attr.y]="-drawing().height / 2">
        {{ text.length(cut().form.thickness) }}
      </text>
      <text
        class="word small"
        [attr.x]="drawing().width / 2 - 1.5"
        [attr.y]="-drawing().height - 3"
        text-anchor="end"
      >
        outer rim
      </text>
      <text class="word small" [attr.x]="drawing().width / 2 + 1.5" [attr.y]="-drawing().height - 3">
        inner rim
      </text>
    </svg>
    <p class="note">{{ placeText() }}. Foot above, ground below.</p>
  `,
  styleUrl: './views.scss',
  styles: `
    .where {
      display: flex;
      gap: 10px;
      align-items: center;
      justify-content: center;
      min-height: 48px;
      font-size: 0.9rem;
    }
    input {
      flex: 1;
      max-width: 420px;
      min-height: 44px;
      accent-color: var(--ember);
    }
    .ground {
      stroke: var(--ink);
      stroke-width: 0.25;
    }
    .steel {
      stroke-width: 0.3;
    }
    .measure {
      stroke: var(--construct);
      stroke-width: 0.25;
    }
    .word {
      font-size: 2.6px;
      stroke-width: 0.8px;
    }
    .small {
      font-size: 2.2px;
      fill: var(--construct);
    }
  `,
})
export class CutView {
  readonly plan = input.required<Plan>()
  protected readonly text = inject(FigureText)
  /** Per cent of the branch: minus on the inner, plus on the outer one. */
  protected readonly at = signal(45)

  protected readonly cut = computed(() => {
    // From the inner heel over the toe to the outer one, as the slider runs.
    const off = ({ place }: SectionCut) =>
      Math.abs(place.share * (place.branch === 'lateral' ? 1 : -1) - this.at() / 100)
    return this.plan().cuts.reduce((near, one) => (off(one) < off(near) ? one : near))
  })

  protected readonly drawing = computed(() => {
    const { form } = this.cut()
    const outline = sectionOutline(form)
    const height = Math.max(...outline.map(([, z]) => z))
    return {
      path: uprightPath(outline, true),
      width: form.width,
      height,
      box: `-12 ${-height - 9} ${form.width + 28} ${height + 22}`,
    }
  })

  protected readonly placeText = computed(() => {
    const { place } = this.cut()
    const branch = place.branch === 'lateral' ? 'outer' : 'inner'
    if (place.fromToe < 1) return 'Middle of the toe'
    return `${this.text.length(place.fromToe)} from the toe on the ${branch} branch`
  })
}
