import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import { cutAt, sectionOutline, USUAL_WORKSHOP, type Plan, type Vec } from '@crescent/core'
import { WallPicture } from '../drawing/wall-picture'
import { MODEL_FOOT, MODEL_SIDE, MODEL_VIEW, modelPlan } from '../drawing/model-foot'
import { apartOf } from '../drawing/joined'
import { svgPath, svgRings, type View } from '../drawing/svg-path'
import { CardPicture } from './card-picture'
import type { HelpPicture, Marks } from './help-picture'

/** Where a cut is made that explains a section: on the outer branch, this far from the toe, mm. */
const CUT_FROM_TOE = 75
const UPRIGHT: View = { mirror: 1, toeY: 0 }

/** What a picture is drawn of, back to front. */
interface Drawing {
  box: string
  shapes: { kind: string; path: string }[]
  nails: readonly Vec[]
  marks: Marks
  view: View
  /** Sheet units of a stroke: cuts are drawn some ten times as large. */
  stroke: number
}

const sole = (): Drawing['shapes'] => {
  const { outline, landmarks } = MODEL_FOOT
  return [
    { kind: 'soft', path: svgPath(landmarks.bulbs, MODEL_VIEW, true) },
    { kind: 'horn', path: svgPath(outline, MODEL_VIEW, true) },
    { kind: 'sole', path: svgPath(landmarks.whiteLineOuter, MODEL_VIEW, true) },
    { kind: 'frog', path: svgPath(landmarks.frog, MODEL_VIEW, true) },
    ...landmarks.bars.map((bar) => ({ kind: 'bar', path: svgPath(bar, MODEL_VIEW) })),
  ]
}

const side = (): Drawing['shapes'] => {
  const { toe, coronetFront, coronet, bulb, limb } = MODEL_SIDE
  return [
    { kind: 'ground', path: 'M-48 0H150' },
    { kind: 'soft', path: svgPath(limb, UPRIGHT, true) },
    { kind: 'horn', path: svgPath([toe, coronetFront, ...coronet, ...bulb], UPRIGHT, true) },
  ]
}

const shod = ({ outline, parts }: Plan): Drawing['shapes'] => {
  const path = (points: readonly Vec[]) => svgPath(points, MODEL_VIEW, true)
  const drawn = apartOf({ parts })
  return [
    ...sole(),
    ...drawn.filter(({ layer }) => layer === 'pad').map(({ edge }) => ({ kind: 'pad', path: path(edge) })),
    { kind: 'steel', path: svgRings(outline.whole, MODEL_VIEW) },
    ...drawn.filter(({ layer }) => layer !== 'pad').map(({ edge }) => ({ kind: 'steel', path: path(edge) })),
  ]
}

/** The frame round everything that is drawn of a shod foot. */
function frame({ outline, parts }: Plan): string {
  const all = [
    ...outline.foot,
    ...outline.body,
    ...MODEL_FOOT.landmarks.bulbs,
    ...parts.flatMap(({ edge }) => edge),
  ]
  const xs = all.map(([x]) => x)
  const ys = all.map(([, y]) => MODEL_VIEW.toeY - y)
  const left = Math.min(...xs) - 8
  const top = Math.min(...ys) - 8
  return `${left} ${top} ${Math.max(...xs) + 8 - left} ${Math.max(...ys) + 8 - top}`
}

function drawingOf(picture: Exclude<HelpPicture, { view: 'nail' | 'card' }>): Drawing {
  const common = { nails: [], stroke: 1 }
  switch (picture.view) {
    case 'sole':
      return {
        ...common,
        box: '-78 -14 156 176',
        shapes: sole(),
        marks: picture.marks(MODEL_FOOT),
        view: MODEL_VIEW,
      }
    case 'side':
      return {
        ...common,
        box: '-52 -152 206 164',
        shapes: side(),
        marks: picture.marks(MODEL_SIDE),
        view: UPRIGHT,
      }
    case 'shod': {
      const plan = modelPlan(picture.shoe)
      const nails = plan.nails.map(({ x, y }): Vec => [x, MODEL_VIEW.toeY - y])
      return {
        ...common,
        box: frame(plan),
        shapes: shod(plan),
        nails,
        marks: picture.marks?.(plan) ?? {},
        view: MODEL_VIEW,
      }
    }
    case 'bar': {
      const plan = modelPlan()
      return { ...common, ...bar(plan), marks: picture.marks(plan.iron), view: UPRIGHT }
    }
    case 'cut': {
      const { form } = cutAt(modelPlan(picture.shoe).cuts, 'lateral', CUT_FROM_TOE)
      return {
        ...common,
        stroke: 0.13,
        box: `-5 ${-form.thickness - 7} ${form.width + 10} ${form.thickness + 11}`,
        shapes: [
          { kind: 'ground', path: `M-4 0H${form.width + 4}` },
          { kind: 'steel', path: svgPath(sectionOutline(form), UPRIGHT, true) },
        ],
        marks: picture.marks?.(form) ?? {},
        view: UPRIGHT,
      }
    }
  }
}

/** The bar with a stroke across it at each hole. */
function bar({ iron, section }: Plan): Pick<Drawing, 'box' | 'shapes'> {
  const half = section.width / 2
  const { cutLength, branches, marks } = iron
  const holes = marks
    .filter(({ kind }) => kind === 'hole')
    .map(({ branch, fromMiddle }) => branches.lateral + (branch === 'lateral' ? -fromMiddle : fromMiddle))
  return {
    box: `-8 ${-half - 20} ${cutLength + 16} ${2 * half + 40}`,
    shapes: [
      { kind: 'steel', path: `M0 ${-half}H${cutLength}V${half}H0Z` },
      ...holes.map((x) => ({ kind: 'steel', path: `M${x.toFixed(1)} ${-half * 0.6}V${half * 0.6}` })),
    ],
  }
}

/** A picture that explains something, from the drawings of the Bench. The words beside it say the same. */
@Component({
  selector: 'cr-model-picture',
  imports: [CardPicture, WallPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (nail(); as shown) {
      <cr-wall-picture [nail]="shown.nail" [plan]="shown.plan" [turningRadius]="turningRadius" />
    }
    @if (card(); as shows) {
      <cr-card-picture [shows]="shows" />
    }
    @if (drawn(); as drawn) {
      <svg [attr.viewBox]="drawn.box" aria-hidden="true" [style.--stroke]="drawn.stroke">
        @for (shape of drawn.shapes; track $index) {
          <path [attr.class]="shape.kind" [attr.d]="shape.path" />
        }
        @for (hole of drawn.nails; track $index) {
          <circle class="hole" [attr.cx]="hole[0]" [attr.cy]="hole[1]" r="2.2" />
        }
        @for (area of drawn.areas; track $index) {
          <path class="area" [attr.d]="area" />
        }
        @for (line of drawn.lines; track $index) {
          <path class="rule" [attr.d]="line" />
        }
        @for (end of drawn.ends; track $index) {
          <circle class="end" [attr.cx]="end[0]" [attr.cy]="end[1]" [attr.r]="3.2 * drawn.stroke" />
        }
      </svg>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      height: var(--picture-height, 128px);
      margin: 2px 0;
      background: var(--paper);
      border-radius: 5px;
    }
    path {
      stroke-linejoin: round;
    }
    .horn,
    .sole,
    .frog,
    .soft,
    .pad {
      stroke: var(--horn-edge);
      stroke-width: 1.2;
    }
    .horn,
    .pad {
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
    .bar {
      fill: none;
      stroke: var(--horn-edge);
      stroke-width: 2;
    }
    .steel {
      fill: var(--steel);
      stroke: var(--steel-edge);
      stroke-width: calc(1.3 * var(--stroke));
    }
    .hole {
      fill: var(--steel-edge);
    }
    .ground {
      stroke: var(--ink);
      stroke-width: calc(1.5 * var(--stroke));
    }
    .rule,
    .area {
      fill: none;
      stroke: var(--ember);
      stroke-width: calc(3.2 * var(--stroke));
    }
    .area {
      fill: color-mix(in srgb, var(--ember) 45%, transparent);
      stroke-width: calc(2 * var(--stroke));
    }
    .end {
      fill: var(--ember);
    }
  `,
})
export class ModelPicture {
  readonly picture = input.required<HelpPicture>()
  protected readonly turningRadius = USUAL_WORKSHOP.turningRadius

  protected readonly drawn = computed(() => {
    const picture = this.picture()
    if (picture.view === 'nail' || picture.view === 'card') return undefined
    const { marks, view, ...drawing } = drawingOf(picture)
    const { lines = [], areas = [], spots = [] } = marks
    const seen = ([x, y]: Vec): Vec => [x, view.toeY - y]
    return {
      ...drawing,
      areas: areas.map((area) => svgPath(area, view, true)),
      lines: lines.map((line) => svgPath(line, view)),
      ends: [...lines.flatMap((line) => [line[0]!, line[line.length - 1]!]), ...spots].map(seen),
    }
  })

  protected readonly card = computed(() => {
    const picture = this.picture()
    return picture.view === 'card' ? picture.shows : undefined
  })

  protected readonly nail = computed(() => {
    const picture = this.picture()
    if (picture.view !== 'nail') return undefined
    const { hole, inset } = picture
    const plan = modelPlan(
      inset === undefined ? {} : { nails: { lateral: { each: [{ number: hole, inset }] } } },
    )
    return { plan, nail: plan.nails.find(({ branch, number }) => branch === 'lateral' && number === hole)! }
  })
}
