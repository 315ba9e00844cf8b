import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  inject,
  input,
  output,
  viewChild,
} from '@angular/core'
import { sideView, type Plan, type Side, type Vec } from '@crescent/core'
import { elevation, footSeat } from '@crescent/core/solid'
import { FigureText } from '../../../../drawing/figure-text'
import { apartOf } from '../../../../drawing/joined'
import { boxOf, seen, soleView, svgPath, svgRings, unseen, uprightPath } from '../../../../drawing/svg-path'
import { sinkBands } from './sink-bands'
import type { Stood } from './stood'

let count = 0

/** A key moves the load by so much, mm. */
const NUDGE = 2

/** Of ground and limb so much is drawn below and above, mm. */
const GROUND_SHOWN = 34
const LIMB_SHOWN = 12

/** One design in the ground: from below with what sinks, and from its outer side with the foot that stands on it. */
@Component({
  selector: 'cr-stood-shoe',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      #sole
      class="sole"
      [attr.viewBox]="below().box"
      role="group"
      [attr.aria-label]="name() + ' from below, with what sinks'"
      (pointerdown)="put($event)"
    >
      <defs>
        <clipPath [attr.id]="id + '-shoe'">
          <path [attr.d]="below().whole" clip-rule="evenodd" />
          @for (part of below().parts; track $index) {
            <path [attr.d]="part" />
          }
        </clipPath>
        @for (hatch of hatches; track hatch.level) {
          <pattern
            [attr.id]="id + '-hatch-' + hatch.level"
            [attr.width]="hatch.gap"
            [attr.height]="hatch.gap"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <path [attr.d]="'M0 0V' + hatch.gap" class="stroke" />
          </pattern>
        }
      </defs>
      <path class="foot" [attr.d]="below().foot" />
      <path class="frog" [attr.d]="below().frog" />
      <path class="steel" [attr.d]="below().whole" fill-rule="evenodd" />
      @for (part of below().parts; track $index) {
        <path class="steel" [attr.d]="part" />
      }
      <g [attr.clip-path]="'url(#' + id + '-shoe)'">
        @for (band of bands(); track band.level) {
          <path [class]="'band band-' + band.level" [attr.d]="band.d" />
          @if (band.level > 0) {
            <path [attr.d]="band.d" [attr.fill]="'url(#' + id + '-hatch-' + band.level + ')'" />
          }
        }
      </g>
      <path class="edge" [attr.d]="below().whole" />
      @for (word of below().words; track word.key) {
        <text class="word" [attr.x]="word.at[0]" [attr.y]="word.at[1]" [attr.text-anchor]="word.anchor">
          {{ word.text }}
        </text>
      }
      <g
        class="load"
        role="button"
        tabindex="0"
        aria-label="Where the load stands. Arrow keys move it."
        [attr.transform]="below().load"
        (keydown)="nudge($event)"
      >
        <circle r="9" class="grip" />
        <circle r="4.2" />
        <path d="M-7 0H7M0 -7V7" />
      </g>
    </svg>
    <svg
      class="side"
      [attr.viewBox]="beside().box"
      role="img"
      [attr.aria-label]="name() + ' from the side, in the ground'"
    >
      <path class="earth" [attr.d]="beside().earth" />
      <g [attr.transform]="beside().tilted">
        <g [attr.transform]="beside().seat">
          <path class="limb" [attr.d]="beside().limb" />
          <path class="hoof" [attr.d]="beside().hoof" />
        </g>
        <path class="steel" [attr.d]="beside().shoe" />
      </g>
      <path class="level" [attr.d]="beside().level" />
    </svg>
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      align-items: center;
      justify-items: center;
    }
    :host(.alone) {
      grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
    }
    svg {
      width: 100%;
      touch-action: pan-y;
    }
    .sole {
      max-height: 38vh;
      cursor: crosshair;
    }
    .side {
      max-height: 22vh;
    }
    .foot {
      fill: var(--sole);
    }
    .frog {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 0.5;
    }
    .steel {
      fill: var(--steel);
      stroke: var(--steel-edge);
      stroke-width: 0.6;
    }
    .edge {
      fill: none;
      stroke: var(--ink);
      stroke-width: 0.8;
    }
    .band-0 {
      fill: color-mix(in srgb, var(--ember) 10%, var(--sheet));
    }
    .band-1 {
      fill: color-mix(in srgb, var(--ember) 32%, var(--sheet));
    }
    .band-2 {
      fill: color-mix(in srgb, var(--ember) 58%, var(--sheet));
    }
    .band-3 {
      fill: color-mix(in srgb, var(--ember) 88%, var(--ink));
    }
    .band--1 {
      fill: var(--paper);
    }
    .stroke {
      stroke: var(--ink);
      stroke-width: 0.8;
    }
    .word {
      font-size: 6.4px;
      font-weight: 700;
      fill: var(--ink);
      paint-order: stroke;
      stroke: var(--paper);
      stroke-width: 2px;
    }
    .load {
      cursor: move;
      outline: none;
    }
    .load circle {
      fill: var(--sheet);
      stroke: var(--ink);
      stroke-width: 1.1;
    }
    .load .grip {
      fill: transparent;
      stroke: none;
    }
    .load path {
      stroke: var(--ink);
      stroke-width: 1.1;
    }
    .load:focus-visible circle {
      stroke: var(--ember);
      stroke-width: 2.4;
    }
    .earth {
      fill: color-mix(in srgb, var(--horn) 34%, var(--paper));
    }
    .level {
      fill: none;
      stroke: var(--ink);
      stroke-width: 0.7;
      stroke-dasharray: 3 2;
    }
    .limb {
      fill: color-mix(in srgb, var(--horn) 40%, var(--paper));
      stroke: var(--horn-edge);
      stroke-width: 0.5;
    }
    .hoof {
      fill: var(--horn);
      stroke: var(--horn-edge);
      stroke-width: 0.7;
    }
  `,
  host: { '[class.alone]': 'alone()' },
})
export class StoodShoe {
  readonly name = input.required<string>()
  readonly plan = input.required<Plan>()
  readonly side = input.required<Side>()
  readonly stood = input.required<Stood>()
  readonly load = input.required<Vec>()
  /** No other design stands beside it: both pictures find room in one row. */
  readonly alone = input(false)
  readonly moved = output<Vec>()

  protected readonly id = `stood-${count++}`
  protected readonly hatches = [
    { level: 1, gap: 7 },
    { level: 2, gap: 4.5 },
    { level: 3, gap: 2.6 },
  ]
  private readonly text = inject(FigureText)
  private readonly sole = viewChild.required<ElementRef<SVGSVGElement>>('sole')
  private readonly view = computed(() => soleView(this.side(), this.plan().foot.widestFromToe))

  protected readonly bands = computed(() => {
    const { plane } = this.stood().going
    return sinkBands(plane, this.plan().outline.whole.flat()).map(({ level, strip }) => ({
      level,
      d: svgPath(strip, this.view(), true),
    }))
  })

  protected readonly below = computed(() => {
    const plan = this.plan()
    const view = this.view()
    const { outline, landmarks, cuts } = plan
    const { sink } = this.stood().going
    const ends = [cuts[0]!.place.point, cuts[cuts.length - 1]!.place.point] as const
    const [x, y] = seen(this.load(), view)
    const word = (key: string, point: Vec, mm: number, [dx, dy]: Vec, anchor: string) => {
      const [left, top] = seen(point, view)
      return { key, at: [left + dx, top + dy] as const, text: this.text.fine(mm), anchor }
    }
    const out = view.mirror * 5
    return {
      box: boxOf([...outline.foot, ...outline.whole.flat(), landmarks.toe], view, 20),
      foot: svgPath(outline.foot, view, true),
      frog: svgPath(landmarks.frog, view),
      whole: svgRings(outline.whole, view),
      parts: apartOf(plan)
        .filter(
          ({ layer, face }) => layer !== 'dressed' && layer !== 'clip' && layer !== 'pad' && face !== 'foot',
        )
        .map(({ edge }) => svgPath(edge, view, true)),
      words: [
        word('toe', landmarks.toe, sink.toe, [0, -6], 'middle'),
        word('lateral', ends[0], sink.lateralHeel, [out, 9], view.mirror > 0 ? 'start' : 'end'),
        word('medial', ends[1], sink.medialHeel, [-out, 9], view.mirror > 0 ? 'end' : 'start'),
      ],
      load: `translate(${x.toFixed(2)} ${y.toFixed(2)})`,
    }
  })

  protected readonly beside = computed(() => {
    const { foot, cuts, nailing, landmarks } = this.plan()
    const { plane } = this.stood().going
    const view = sideView(foot)
    const buttressY = foot.widestFromToe - foot.length
    const there = (points: readonly Vec[]) =>
      uprightPath(
        points.map(([x, z]): Vec => [x + buttressY, z]),
        true,
      )
    const { height, tilt } = footSeat(cuts, nailing.padding)
    const line = elevation(cuts, 'lateral')
    const ys = line.map(([y]) => y)
    const left = Math.min(...ys, landmarks.bulbY) - 26
    const right = Math.max(...ys) + 26
    const high = foot.dorsalLength * Math.sin((foot.toeAngle * Math.PI) / 180) + height + LIMB_SHOWN
    const sunk = (Math.atan(plane.q) * 180) / Math.PI
    return {
      box: `${left} ${-high} ${right - left} ${high + GROUND_SHOWN}`,
      earth: `M${left} 0H${right}V${GROUND_SHOWN}H${left}Z`,
      level: `M${left} 0H${right}`,
      tilted: `translate(0 ${plane.c.toFixed(2)}) rotate(${sunk.toFixed(3)})`,
      seat: `translate(0 ${(-height).toFixed(2)}) rotate(${tilt.toFixed(2)} ${buttressY.toFixed(2)} 0)`,
      hoof: there([view.toe, view.coronetFront, ...view.coronet, ...view.bulb]),
      limb: there(view.limb),
      shoe: uprightPath(line, true),
    }
  })

  /** A tap or a drag puts the load where the finger is. */
  protected put(event: PointerEvent): void {
    const svg = this.sole().nativeElement
    const move = ({ clientX, clientY }: PointerEvent) => {
      const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(svg.getScreenCTM()!.inverse())
      this.moved.emit(unseen([x, y], this.view()))
    }
    move(event)
    if (event.pointerType === 'touch') return
    const stop = () => {
      svg.removeEventListener('pointermove', move)
      svg.removeEventListener('pointerup', stop)
      svg.removeEventListener('pointercancel', stop)
    }
    svg.setPointerCapture(event.pointerId)
    svg.addEventListener('pointermove', move)
    svg.addEventListener('pointerup', stop)
    svg.addEventListener('pointercancel', stop)
  }

  protected nudge(event: KeyboardEvent): void {
    const ways: Record<string, Vec> = {
      ArrowUp: [0, NUDGE],
      ArrowDown: [0, -NUDGE],
      ArrowRight: [NUDGE * this.view().mirror, 0],
      ArrowLeft: [-NUDGE * this.view().mirror, 0],
    }
    const way = ways[event.key]
    if (!way) return
    event.preventDefault()
    const [x, y] = this.load()
    this.moved.emit([x + way[0], y + way[1]])
  }
}
