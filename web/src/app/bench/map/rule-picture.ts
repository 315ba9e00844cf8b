import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import { footMap, sideView, type FootFigureKey, type FootInput, type Vec } from '@crescent/core'
import { svgPath } from '../../drawing/svg-path'
import { RULES, type RulePlace } from './rule-places'

/** A foot like any other, to show the rule on: the figure asked for matters here, not this foot's own. */
const MODEL: FootInput = {
  side: 'LF',
  width: 127,
  length: 130,
  heelWidth: 90,
  toeAngle: 52,
  wallThickness: 10,
  bulbLine: 16,
  frogApex: 36,
}
const FOOT = footMap(MODEL)!
const SIDE = sideView({ ...FOOT.foot, pasternAngle: 52 })
const VIEW = { mirror: 1, toeY: FOOT.foot.widestFromToe } as const

/** A small picture of where to lay the rule for a figure. */
@Component({
  selector: 'cr-rule-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rule(); as rule) {
      <svg [attr.viewBox]="rule.view === 'sole' ? '-78 -14 156 176' : '-52 -152 206 164'" aria-hidden="true">
        @if (rule.view === 'sole') {
          <path class="bulbs" [attr.d]="sole.bulbs" />
          <path class="horn" [attr.d]="sole.outline" />
          <path class="sole" [attr.d]="sole.inner" />
          <path class="frog" [attr.d]="sole.frog" />
          @for (bar of sole.bars; track $index) {
            <path class="bar" [attr.d]="bar" />
          }
        } @else {
          <path class="ground" d="M-48 0H150" />
          <path class="limb" [attr.d]="side.limb" />
          <path class="horn" [attr.d]="side.hoof" />
        }
        @for (line of rule.lines; track $index) {
          <path class="rule" [attr.d]="line" />
        }
        @for (end of rule.ends; track $index) {
          <circle class="end" [attr.cx]="end[0]" [attr.cy]="end[1]" r="3.2" />
        }
      </svg>
    }
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      height: 128px;
      margin: 2px 0;
      background: var(--paper);
      border-radius: 5px;
    }
    path {
      stroke-linejoin: round;
    }
    .bulbs,
    .horn,
    .sole,
    .frog,
    .limb {
      stroke: var(--horn-edge);
      stroke-width: 1.2;
    }
    .horn {
      fill: var(--horn);
    }
    .bulbs,
    .limb {
      fill: color-mix(in srgb, var(--horn) 45%, var(--paper));
    }
    .sole {
      fill: var(--sole);
    }
    .frog {
      fill: var(--frog);
    }
    .bar {
      fill: none;
      stroke: var(--horn-edge);
      stroke-width: 2;
    }
    .ground {
      stroke: var(--ink);
      stroke-width: 1.5;
    }
    .rule {
      fill: none;
      stroke: var(--ember);
      stroke-width: 3.2;
    }
    .end {
      fill: var(--ember);
    }
  `,
})
export class RulePicture {
  readonly figure = input.required<string>()

  protected readonly rule = computed(() => {
    const place: RulePlace | undefined = RULES[this.figure() as FootFigureKey]
    if (!place) return undefined
    const lines = place.lines(FOOT, SIDE)
    const seen = ([x, y]: Vec): Vec => (place.view === 'sole' ? [x, VIEW.toeY - y] : [x, -y])
    const points = lines.map((line) => line.map(seen))
    return {
      view: place.view,
      lines: points.map((line) => line.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${y}`).join('')),
      ends: points.flatMap((line) => [line[0]!, line.at(-1)!]),
    }
  })

  protected readonly sole = {
    outline: svgPath(FOOT.outline, VIEW, true),
    inner: svgPath(FOOT.landmarks.whiteLineOuter, VIEW, true),
    frog: svgPath(FOOT.landmarks.frog, VIEW, true),
    bulbs: svgPath(FOOT.landmarks.bulbs, VIEW, true),
    bars: FOOT.landmarks.bars.map((bar) => svgPath(bar, VIEW)),
  }
  protected readonly side = {
    hoof: svgPath([SIDE.toe, SIDE.coronetFront, ...SIDE.coronet, ...SIDE.bulb], { mirror: 1, toeY: 0 }, true),
    limb: svgPath(
      [
        SIDE.pastern[0],
        SIDE.pastern[1],
        [SIDE.pastern[1][0] - 52, SIDE.pastern[1][1] - 8],
        [SIDE.coronetBack[0] + 8, SIDE.coronetBack[1] + 12],
      ],
      { mirror: 1, toeY: 0 },
      true,
    ),
  }
}
