import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { sideView, type Foot, type SideView, type Untrimmed, type Vec } from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'
import { uprightPath } from '../../../drawing/svg-path'

/** The limb's end from the side, from its figures; the foot as it was before the trim laid under it. */
@Component({
  selector: 'cr-side-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="box()" role="img" [attr.aria-label]="label()">
      <path class="ground" [attr.d]="'M' + extent().left + ' 0H' + extent().right" />
      <path class="pastern" [attr.d]="lines().limb" />
      <path class="hoof" [attr.d]="lines().hoof" />
      <path class="coronet" [attr.d]="lines().coronet" />
      @if (beforeLines(); as before) {
        <path class="before" [attr.d]="before.hoof" [attr.transform]="'translate(' + beforeShift() + ' 0)'" />
      }
      @if (lines().bone; as bone) {
        <path class="bone" [attr.d]="bone" />
      }
      <path class="axis" [class.unknown]="!view().pasternKnown" [attr.d]="lines().pasternLine" />
      <path class="axis" [attr.d]="lines().wallLine" />
      <path class="plumb" [attr.d]="'M' + view().bulbX + ' 8V' + -view().coronetBack[1]" />
      <text class="word" [attr.x]="view().bulbX" y="16" text-anchor="middle">bulb line</text>
      @if (view().plumbX !== undefined) {
        <path class="plumb limb" [attr.d]="'M' + view().plumbX + ' 14V' + extent().top" />
        <text class="word" [attr.x]="view().plumbX" y="23" text-anchor="middle">plumb line</text>
      }
      <g class="figures">
        <text [attr.x]="foot().length - 6" y="-4" text-anchor="end">{{ foot().toeAngle.toFixed(1) }}°</text>
        <text [attr.x]="6" y="-4">{{ foot().heelAngle.toFixed(1) }}°</text>
        <text [attr.x]="wallMiddle()[0] + 5" [attr.y]="-wallMiddle()[1]">
          {{ text.length(foot().dorsalLength) }}
        </text>
        <text [attr.x]="pasternMiddle()[0] + 5" [attr.y]="-pasternMiddle()[1]">
          {{ view().pasternKnown ? foot().pasternAngle!.toFixed(1) + '°' : 'pastern not measured' }}
        </text>
        <text [attr.x]="view().coronetBack[0] - 4" [attr.y]="-view().coronetBack[1] / 2" text-anchor="end">
          {{ text.length(foot().heelHeight) }}
        </text>
      </g>
    </svg>
    <p class="verdict" role="status">{{ verdict() }}</p>
    <p class="note">
      Drawn from the figures; above the hairline for its line only.
      @if (before()) {
        Dashed: before the trim.
      }
    </p>
  `,
  styles: `
    :host {
      position: relative;
      display: flex;
      flex-direction: column;
      min-height: 0;
      padding: 56px 12px 10px;
      background: var(--paper);
    }
    svg {
      flex: 1;
      min-height: 0;
      width: 100%;
    }
    @media (max-width: 819px), (max-height: 519px) {
      :host {
        padding-top: 8px;
      }
    }
    .ground {
      stroke: var(--ink);
      stroke-width: 0.8;
    }
    .hoof {
      fill: var(--horn);
      stroke: var(--horn-edge);
      stroke-width: 0.9;
      stroke-linejoin: round;
    }
    .before {
      fill: none;
      stroke: var(--construct);
      stroke-width: 0.8;
      stroke-dasharray: 3 2;
    }
    .pastern {
      fill: color-mix(in srgb, var(--horn) 40%, var(--paper));
      stroke: var(--horn-edge);
      stroke-width: 0.5;
    }
    .coronet {
      fill: none;
      stroke: var(--horn-edge);
      stroke-width: 2.2;
    }
    .bone {
      fill: none;
      stroke: var(--stop);
      stroke-width: 1.4;
    }
    .axis {
      fill: none;
      stroke: var(--ember);
      stroke-width: 1.4;
    }
    .axis.unknown {
      stroke-dasharray: 2 2;
      opacity: 0.6;
    }
    .plumb {
      stroke: var(--construct);
      stroke-width: 0.6;
      stroke-dasharray: 2 1.6;
    }
    .plumb.limb {
      stroke-dasharray: 6 1.5 1 1.5;
    }
    .word,
    .figures text {
      font-size: 6.5px;
      font-weight: 650;
      fill: var(--ink);
      paint-order: stroke;
      stroke: var(--paper);
      stroke-width: 2px;
      stroke-linejoin: round;
    }
    .word {
      font-size: 5px;
      fill: var(--construct);
    }
    .verdict {
      font-size: 1.05rem;
      font-weight: 650;
      text-align: center;
    }
    .note {
      font-size: 0.82rem;
      color: var(--ink-soft);
      text-align: center;
    }
  `,
})
export class SideDrawing {
  readonly foot = input.required<Foot>()
  /** What was read before the trim; drawn where toe angle or toe length was. */
  readonly untrimmed = input<Untrimmed | undefined>()

  protected readonly text = inject(FigureText)
  protected readonly view = computed(() => sideView(this.foot()))

  protected readonly before = computed((): SideView | undefined => {
    const { width: _width, heelWidth: _heelWidth, ...figures } = this.untrimmed() ?? {}
    if (figures.toeAngle === undefined && figures.dorsalLength === undefined) return undefined
    return sideView({ ...this.foot(), ...figures })
  })

  protected readonly lines = computed(() => this.draw(this.view()))
  protected readonly beforeLines = computed(() => {
    const before = this.before()
    return before && this.draw(before)
  })

  /** The hairline does not move when the foot is trimmed: both are laid together there. */
  protected readonly beforeShift = computed(
    () => this.view().coronetFront[0] - (this.before()?.coronetFront[0] ?? 0),
  )

  protected readonly extent = computed(() => {
    const views = [this.view(), this.before()].filter((view) => view !== undefined)
    const before = this.before()
    const xs = views.flatMap((v) => [v.toe[0], v.bulbX, v.plumbX ?? 0, ...v.limb.map(([x]) => x)])
    if (before) xs.push(before.toe[0] + this.beforeShift())
    const ys = views.map((v) => v.pastern[1][1])
    return { left: Math.min(...xs) - 22, right: Math.max(...xs) + 16, top: -Math.max(...ys) - 8 }
  })
  protected readonly box = computed(() => {
    const { left, right, top } = this.extent()
    return `${left} ${top} ${right - left} ${28 - top}`
  })

  protected readonly wallMiddle = computed(() => middle(this.view().toe, this.view().coronetFront))
  protected readonly pasternMiddle = computed(() => middle(...this.view().pastern))

  protected readonly verdict = computed(() => {
    const { axis } = this.view()
    if (!axis) return 'Measure the pastern angle to judge the axis.'
    if (axis.verdict === 'straight') return 'Hoof-pastern axis straight.'
    return `Hoof-pastern axis ${axis.verdict} by ${Math.abs(axis.broken).toFixed(1)}°.`
  })
  protected readonly label = computed(
    () =>
      `The foot from its side: toe angle ${this.foot().toeAngle.toFixed(1)} degrees, heel angle ${this.foot().heelAngle.toFixed(1)} degrees. ${this.verdict()}`,
  )

  private draw(view: SideView) {
    return {
      hoof: `${uprightPath([view.toe, view.coronetFront, ...view.coronet, ...view.bulb])}Z`,
      coronet: uprightPath(view.coronet),
      limb: `${uprightPath(view.limb)}Z`,
      pasternLine: uprightPath(view.pastern),
      wallLine: uprightPath([view.toe, view.coronetFront]),
      bone: view.bone && uprightPath(view.bone),
    }
  }
}

const middle = (a: Vec, b: Vec): Vec => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
