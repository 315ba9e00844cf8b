import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import { MODEL_FOOT, MODEL_SIDE, MODEL_VIEW } from '../drawing/model-foot'
import { svgPath, type View } from '../drawing/svg-path'

/** What is shown of how a scale card is laid for a photograph. */
export type CardShown = 'beside' | 'level' | 'lower' | 'above' | 'askew' | 'shadow'

const TOLD: Readonly<Record<CardShown, { right: boolean; words: string }>> = {
  beside: { right: true, words: 'All four marks and the whole foot' },
  level: { right: true, words: 'Level with the sole' },
  lower: { right: false, words: 'Lower: say by how much' },
  above: { right: true, words: 'Camera straight above' },
  askew: { right: false, words: 'Askew: the far side is lost' },
  shadow: { right: false, words: 'Shadow across the edge' },
}

/** The foot is held up, its sole to the sky: the side of the model foot upside down, its toe to the left. */
const SOLE_UP: View = { mirror: -1, toeY: 0 }
/** The camera: over the middle, and where it stands askew. */
const CAMERA = { above: 'translate(5 -112)', askew: 'translate(118 -96) rotate(48)' }

/** How the scale card is laid, and how it is not. The words beneath say it too. */
@Component({
  selector: 'cr-card-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <figure [class.wrong]="!told().right">
      <svg [attr.viewBox]="fromAbove() ? '-84 -22 300 190' : '-150 -132 300 190'" aria-hidden="true">
        @if (fromAbove()) {
          <path class="horn" [attr.d]="wall" />
          <path class="sole" [attr.d]="sole" />
          <path class="frog" [attr.d]="frog" />
          <rect class="card" x="84" y="4" width="124" height="124" />
          @for (at of marks; track $index) {
            <rect class="mark" [attr.x]="at[0]" [attr.y]="at[1]" width="26" height="26" />
          }
          <path class="line" d="M100 116H192M100 111V121M192 111V121" />
          @if (shows() === 'shadow') {
            <path class="shadow" d="M-84 60L216 -12V40L-84 130Z" />
          }
        } @else {
          <g transform="scale(1 -1) translate(24 0)">
            <path class="soft" [attr.d]="limb" />
            <path class="horn" [attr.d]="hoof" />
          </g>
          <path class="level" d="M-140 0H144" />
          <rect class="card" x="62" [attr.y]="shows() === 'lower' ? 22 : 0" width="80" height="4" />
          @if (shows() === 'lower') {
            <path class="rule" d="M102 2V20M97 6L102 1L107 6M97 16L102 21L107 16" />
          }
          @if (camera(); as stands) {
            <path class="sight" [attr.d]="sight()" />
            <g [attr.transform]="stands">
              <rect class="camera" x="-20" y="-9" width="40" height="15" rx="3" />
              <circle class="camera" cy="8" r="5" />
            </g>
          }
        }
      </svg>
      <figcaption>
        <b aria-hidden="true">{{ told().right ? '✓' : '✗' }}</b> {{ told().words }}
      </figcaption>
    </figure>
  `,
  styles: `
    :host {
      display: grid;
    }
    figure {
      margin: 0;
      overflow: hidden;
      background: var(--paper);
      border: 1px solid var(--rule);
      border-radius: 6px;
    }
    svg {
      display: block;
      width: 100%;
    }
    figcaption {
      padding: 4px 8px;
      font-size: 0.88rem;
    }
    figcaption b {
      color: var(--good);
    }
    .wrong figcaption b {
      color: var(--stop);
    }
    .horn {
      fill: var(--horn);
    }
    .soft {
      fill: color-mix(in srgb, var(--horn) 45%, var(--paper));
    }
    .sole {
      fill: var(--sole);
    }
    .frog {
      fill: var(--frog);
    }
    .horn,
    .soft,
    .sole,
    .frog {
      stroke: var(--horn-edge);
      stroke-width: 1.2;
    }
    .card {
      fill: var(--sheet);
      stroke: var(--ink);
      stroke-width: 1.2;
    }
    .mark,
    .camera {
      fill: var(--ink);
    }
    .line,
    .rule,
    .level,
    .sight {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.5;
    }
    .rule {
      stroke: var(--ember);
      stroke-width: 2.4;
    }
    .level,
    .sight {
      stroke: var(--construct);
      stroke-dasharray: 5 4;
    }
    .shadow {
      fill: var(--ink);
      opacity: 0.45;
    }
  `,
})
export class CardPicture {
  readonly shows = input.required<CardShown>()

  protected readonly told = computed(() => TOLD[this.shows()])
  protected readonly fromAbove = computed(() => this.shows() === 'beside' || this.shows() === 'shadow')
  protected readonly camera = computed(() =>
    this.shows() === 'above' ? CAMERA.above : this.shows() === 'askew' ? CAMERA.askew : undefined,
  )
  protected readonly sight = computed(() =>
    this.shows() === 'above' ? 'M5 -99L-110 0M5 -99L142 0' : 'M108 -90L-110 0M108 -90L142 0',
  )
  protected readonly wall = svgPath(MODEL_FOOT.outline, MODEL_VIEW, true)
  protected readonly sole = svgPath(MODEL_FOOT.landmarks.whiteLineOuter, MODEL_VIEW, true)
  protected readonly frog = svgPath(MODEL_FOOT.landmarks.frog, MODEL_VIEW, true)
  protected readonly limb = svgPath(MODEL_SIDE.limb, SOLE_UP, true)
  protected readonly hoof = svgPath(
    [MODEL_SIDE.toe, MODEL_SIDE.coronetFront, ...MODEL_SIDE.coronet, ...MODEL_SIDE.bulb],
    SOLE_UP,
    true,
  )
  protected readonly marks = [
    [88, 8],
    [178, 8],
    [88, 82],
    [178, 82],
  ] as const
}
