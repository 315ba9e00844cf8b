import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core'
import { elevation, shoeHandles, sideView, type Branch, type Plan, type Vec } from '@crescent/core'
import { PullHandles, type Pulled } from './pull-handles'

const path = (points: readonly Vec[], closed = true): string =>
  points.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(2)} ${(-y).toFixed(2)}`).join('') +
  (closed ? 'Z' : '')

/** The shoe from its side under the foot: thickness, wedge, rocker, clips, studs, and where the nails come out. */
@Component({
  selector: 'cr-shoe-side',
  imports: [PullHandles],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="turn" role="radiogroup" aria-label="Branch">
      @for (one of branches; track one.branch) {
        <button
          type="button"
          class="tap"
          role="radio"
          [attr.aria-checked]="branch() === one.branch"
          (click)="branch.set(one.branch)"
        >
          {{ one.label }}
        </button>
      }
    </div>
    <svg #svg [attr.viewBox]="box().text" role="group" [attr.aria-label]="label()">
      <path class="ground" [attr.d]="'M' + box().left + ' 0H' + (box().left + box().width)" />
      <g [attr.transform]="foot().at">
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
  `,
  styleUrl: './views.scss',
  styles: `
    .turn {
      display: flex;
      gap: 6px;
      justify-content: center;
    }
    .ground {
      stroke: var(--ink);
      stroke-width: 0.7;
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
  readonly plan = input.required<Plan>()
  /** Handles of the shoe are offered: not while nails are looked at. */
  readonly shaping = input(true)
  readonly pulled = output<Pulled>()
  readonly settled = output()

  protected readonly branch = signal<Branch>('lateral')
  protected readonly branches = [
    { branch: 'lateral', label: 'Outer branch' },
    { branch: 'medial', label: 'Inner branch' },
  ] as const
  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg')

  private readonly line = computed(() => elevation(this.plan().cuts, this.branch()))
  protected readonly shoe = computed(() => path(this.line()))

  /** The foot stands on the shoe: level on its toe, tilted where the heels are raised. */
  protected readonly foot = computed(() => {
    const { foot, cuts, nailing } = this.plan()
    const view = sideView(foot)
    const buttressY = foot.widestFromToe - foot.length
    const top = (share: number) =>
      cuts.reduce((near, one) =>
        Math.abs(one.place.share - share) < Math.abs(near.place.share - share) ? one : near,
      ).form
    const toe = top(0.35).thickness
    const heel = top(0.97).thickness
    const tilt = (Math.atan((heel - toe) / (foot.length * 0.8)) * 180) / Math.PI
    const hoof = [view.toe, view.coronetFront, ...view.coronet, ...view.bulb].map(([x, z]): Vec => [
      x + buttressY,
      z,
    ])
    return {
      hoof: path(hoof),
      buttressY,
      at: `translate(0 ${(-heel - nailing.padding).toFixed(2)}) rotate(${tilt.toFixed(2)} ${buttressY.toFixed(2)} 0)`,
    }
  })

  /** Where each nail of this branch comes out of the wall, seen from the side. */
  protected readonly exits = computed(() => {
    const { nails, outline } = this.plan()
    return nails
      .filter((nail) => nail.branch === this.branch())
      .map(({ number, driven, verdict, exitHeight, wallAngle, y, insideWall, x }) => {
        const near = outline.foot.reduce(
          (best, point, i) =>
            Math.hypot(point[0] - x, point[1] - y) <
            Math.hypot(outline.foot[best]![0] - x, outline.foot[best]![1] - y)
              ? i
              : best,
          0,
        )
        const wall = outline.foot[near]!
        const gap = Math.max(0.1, insideWall)
        const inward = (y - wall[1]) / gap
        const lean = exitHeight / Math.tan((wallAngle * Math.PI) / 180)
        const out = wall[1] + inward * lean
        return {
          number,
          driven,
          verdict,
          x: out,
          z: exitHeight,
          way: `M${y.toFixed(2)} 0Q${(y + (out - y) * 0.35).toFixed(2)} ${(-exitHeight * 0.6).toFixed(2)} ${out.toFixed(2)} ${(-exitHeight).toFixed(2)}`,
        }
      })
  })
  protected readonly exitLine = computed(() => {
    const driven = this.exits().filter((nail) => nail.driven)
    return driven.length < 2
      ? undefined
      : path(
          driven.map(({ x, z }): Vec => [x, z]),
          false,
        )
  })

  /** Clips, studs, pads and plates from their side. */
  protected readonly parts = computed(() => {
    const { parts, cuts } = this.plan()
    const thick = cuts[0]!.form.thickness
    return parts.flatMap(({ label, layer, edge, between, tongue }) => {
      if (layer === 'dressed' && !between) return []
      if (edge.length < 3 || (layer === 'bar' && !between)) return []
      const ys = edge.map(([, y]) => y)
      const [back, front] = [Math.min(...ys), Math.max(...ys)]
      if (tongue) {
        const inward = tongue.height * Math.cos((tongue.lean * Math.PI) / 180)
        const up = tongue.height * Math.sin((tongue.lean * Math.PI) / 180)
        const middle = (back + front) / 2
        // Toe clips lean back over the foot; clips at the quarters lean away from the eye.
        const lean = edge.every(([x]) => Math.abs(x) < 40) && middle > 0 ? -inward : -inward * 0.15
        const outline: Vec[] = [
          [back, thick],
          [front, thick],
          [middle + lean + 2, thick + up],
          [middle + lean - 2, thick + up],
        ]
        return [{ label, layer, path: path(outline) }]
      }
      const [low, high] = between ?? [0, thick]
      return [
        {
          label,
          layer,
          path: path([
            [back, low],
            [front, low],
            [front, high],
            [back, high],
          ]),
        },
      ]
    })
  })

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
    const high = foot.dorsalLength * Math.sin((foot.toeAngle * Math.PI) / 180) + cuts[0]!.form.thickness + 14
    return { left, width: right - left, text: `${left} ${-high} ${right - left} ${high + 22}` }
  })

  protected readonly told = computed(() => {
    const { nailing } = this.plan()
    if (this.shaping())
      return 'The branch as it stands on the ground; what is beyond the hairline is left out.'
    if (!nailing.exits) return 'No nail is driven.'
    const { low, high } = nailing.exits
    return `Exits between ${Math.round(low)} and ${Math.round(high)} mm up the wall: they spread over ${Math.round(high - low)} mm.`
  })
  protected readonly label = computed(
    () => `The shoe from the side, ${this.branch() === 'lateral' ? 'outer' : 'inner'} branch. ${this.told()}`,
  )
}
