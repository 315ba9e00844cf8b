import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  input,
  output,
  signal,
  viewChild,
  inject,
} from '@angular/core'
import { shoeHandles, sideView, type Half, type Plan, type Vec } from '@crescent/core'
import { elevation, footSeat, silhouette, solidOf } from '@crescent/core/solid'
import { OneOf } from '../../../common/one-of'
import { uprightPath } from '../../../drawing/svg-path'
import { TouchBar } from '../../../drawing/touch-bar'
import { TouchGuard } from '../../../drawing/touch-guard'
import { PullHandles, type Pulled } from '../../sole/pull-handles'
import { FigureText } from '../../../drawing/figure-text'

/** What is seen from the side are mostly outlines. */
const path = (points: readonly Vec[], closed = true): string => uprightPath(points, closed)

/** Of the limb so much is seen above the hairline, mm. */
const LIMB_SHOWN = 42

/** The shoe from its side under the foot: thickness, wedge, rocker, clips, studs, and where the nails come out. */
@Component({
  selector: 'cr-shoe-side',
  imports: [OneOf, PullHandles, TouchBar],
  hostDirectives: [TouchGuard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <cr-one-of label="Branch" [choices]="branches" [chosen]="branch()" (choose)="branch.set($event)" />
    <svg #svg [attr.viewBox]="box().text" role="group" [attr.aria-label]="label()">
      <path class="ground" [attr.d]="'M' + box().left + ' 0H' + (box().left + box().width)" />
      <g [attr.transform]="foot().at">
        <path class="limb" [attr.d]="foot().limb" />
        <path class="hoof" [attr.d]="foot().hoof" />
        @for (nail of exits(); track nail.number) {
          <path class="way" [class.empty]="!nail.driven" [attr.d]="nail.way" />
          <circle
            class="exit"
            [class.doubtful]="nail.verdict !== 'sound'"
            [class.empty]="!nail.driven"
            [attr.cx]="nail.x"
            [attr.cy]="-nail.z"
            r="1.5"
          />
          <text class="word" [attr.x]="nail.x" [attr.y]="-nail.z - 3" text-anchor="middle">
            {{ nail.number }}
          </text>
        }
        @if (exitLine(); as line) {
          <path class="exit-line" [attr.d]="line" />
        }
      </g>
      <path class="steel" [attr.d]="shoe()" data-testid="elevation" />
      @for (part of parts(); track $index) {
        <path [attr.class]="'steel ' + part.layer" [attr.d]="part.path" [attr.data-part]="part.label" />
      }
      @if (handles().length > 0) {
        <g
          crPullHandles
          [handles]="handles()"
          [place]="place"
          [onSheet]="onSheet"
          [k]="scale()"
          (pulled)="pulled.emit($event)"
          (settled)="settled.emit()"
        />
      }
    </svg>
    <p class="note">{{ told() }}</p>
    <cr-touch-bar class="no-print" />
  `,
  styleUrl: './views.scss',
  styles: `
    .ground {
      stroke: var(--ink);
      stroke-width: 0.7;
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
    .clip,
    .fitting {
      fill: var(--steel-edge);
    }
    .pad {
      fill: var(--horn-edge);
    }
    .way {
      fill: none;
      stroke: var(--steel-edge);
      stroke-width: 0.9;
    }
    .way.empty {
      stroke-dasharray: 1.4 1.4;
    }
    .exit {
      fill: var(--steel-edge);
    }
    .exit.empty {
      fill: var(--paper);
      stroke: var(--steel-edge);
      stroke-width: 0.5;
    }
    .exit.doubtful {
      fill: var(--stop);
    }
    .exit-line {
      fill: none;
      stroke: var(--ember);
      stroke-width: 0.9;
      stroke-dasharray: 3 1.6;
    }
  `,
})
export class ShoeSide {
  protected readonly text = inject(FigureText)
  readonly plan = input.required<Plan>()
  /** Handles of the shoe are offered: not while nails are looked at. */
  readonly shaping = input(true)
  readonly pulled = output<Pulled>()
  readonly settled = output()

  protected readonly branch = signal<Half>('lateral')
  protected readonly branches = [
    { key: 'lateral', label: 'Outer branch' },
    { key: 'medial', label: 'Inner branch' },
  ] as const
  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg')

  private readonly line = computed(() => elevation(this.plan().cuts, this.branch()))
  protected readonly shoe = computed(() => path(this.line()))

  /** The foot stands on the shoe: tilted about its buttress where the heels are raised. */
  protected readonly foot = computed(() => {
    const { foot, cuts, nailing } = this.plan()
    const view = sideView(foot)
    const buttressY = foot.widestFromToe - foot.length
    const hoof = [view.toe, view.coronetFront, ...view.coronet, ...view.bulb]
    const { height, tilt } = footSeat(cuts, nailing.padding)
    const beside = (points: readonly Vec[]) => path(points.map(([x, z]): Vec => [x + buttressY, z]))
    return {
      hoof: beside(hoof),
      limb: beside(view.limb),
      at: `translate(0 ${(-height).toFixed(2)}) rotate(${tilt.toFixed(2)} ${buttressY.toFixed(2)} 0)`,
    }
  })

  /** Where each nail of this branch goes in and comes out of the wall, seen from the side. */
  protected readonly exits = computed(() =>
    this.plan()
      .nails.filter((nail) => nail.branch === this.branch())
      .map(({ number, driven, verdict, exitHeight, exit, y }) => {
        const [, out] = exit
        // Straight at first, then out: as the bevel turns it.
        const bend = `${(y + (out - y) * 0.35).toFixed(2)} ${(-exitHeight * 0.6).toFixed(2)}`
        return {
          number,
          driven,
          verdict,
          x: out,
          z: exitHeight,
          way: `M${y.toFixed(2)} 0Q${bend} ${out.toFixed(2)} ${(-exitHeight).toFixed(2)}`,
        }
      }),
  )
  protected readonly exitLine = computed(() => {
    const driven = this.exits().filter((nail) => nail.driven)
    return driven.length < 2
      ? undefined
      : path(
          driven.map(({ x, z }): Vec => [x, z]),
          false,
        )
  })

  /** Everything beside the bar from its side: clips, studs, rails, pads, plates. Bars lie behind the branch. */
  protected readonly parts = computed(() =>
    solidOf(this.plan())
      .filter(({ layer }) => layer !== 'shoe' && layer !== 'bar')
      .map(({ label, layer, mesh }) => ({ label, layer, path: path(silhouette(mesh)) })),
  )

  protected readonly handles = computed(() =>
    this.shaping() ? shoeHandles(this.plan()).filter(({ view }) => view === 'side') : [],
  )
  protected readonly place = ([y, z]: Vec): Vec => [y, -z]
  protected readonly onSheet = (event: PointerEvent): Vec => {
    const svg = this.svg().nativeElement
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()!.inverse())
    return [point.x, point.y]
  }
  protected readonly scale = computed(() => 640 / this.box().width)

  protected readonly box = computed(() => {
    const { foot, landmarks, cuts } = this.plan()
    const ys = this.line().map(([y]) => y)
    const left = Math.min(...ys, landmarks.bulbY) - 14
    const right = Math.max(...ys) + 14
    const coronet = foot.dorsalLength * Math.sin((foot.toeAngle * Math.PI) / 180)
    const high = coronet + cuts[0]!.form.thickness + LIMB_SHOWN
    return { left, width: right - left, text: `${left} ${-high} ${right - left} ${high + 22}` }
  })

  protected readonly told = computed(() => {
    const { nailing } = this.plan()
    if (this.shaping()) return 'The branch as it stands on the ground; above the hairline for its look only.'
    if (!nailing.exits) return 'No nail is driven.'
    const { low, high } = nailing.exits
    const { length } = this.text
    return `Exits between ${length(low)} and ${length(high)} up the wall: they spread over ${length(high - low)}.`
  })
  protected readonly label = computed(
    () => `The shoe from the side, ${this.branch() === 'lateral' ? 'outer' : 'inner'} branch. ${this.told()}`,
  )
}
