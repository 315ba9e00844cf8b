import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core'
import {
  findingKind,
  placeNamed,
  type Finding,
  type FootMap,
  type PlaceKey,
  type Side,
  type Vec,
} from '@crescent/core'
import { seen, soleView, svgPath } from '../../../drawing/svg-path'

/** A finding as the drawing and the list beside it number it. */
export interface NumberedFinding {
  number: number
  finding: Finding
}

/** The sole to be touched where a finding lies: wall all round it, sole, frog and bulbs. */
@Component({
  selector: 'cr-look-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="box()"
      role="group"
      [attr.aria-label]="'Touch the ' + side() + ' foot where you find something'"
    >
      <path class="bulbs" [attr.d]="lines().bulbs" />
      <path class="wall" [attr.d]="lines().foot" />
      <path class="horn" [attr.d]="lines().horn" />
      <path class="frog" [attr.d]="lines().frog" />
      <path class="sulcus" [attr.d]="lines().sulcus" />
      @for (bar of lines().bars; track $index) {
        <path class="hoof-bar" [attr.d]="bar" />
      }
      @for (area of areas(); track area.place) {
        <path
          class="area"
          tabindex="0"
          role="button"
          [class.marked]="area.count > 0"
          [attr.data-place]="area.place"
          [attr.aria-label]="area.label"
          [attr.d]="area.path"
          (click)="touched.emit(area.place)"
          (keydown.enter)="touched.emit(area.place)"
          (keydown.space)="press($event, area.place)"
        />
      }
      <g class="marks" aria-hidden="true">
        @for (mark of asked(); track mark.id) {
          <g class="asked" [attr.transform]="'translate(' + mark.x + ' ' + mark.y + ')'">
            <circle r="5.4" />
            <text y="3.1">?</text>
          </g>
        }
        @for (mark of marks(); track mark.number) {
          <g [class.vet]="mark.vet" [attr.transform]="'translate(' + mark.x + ' ' + mark.y + ')'">
            @if (mark.vet) {
              <path d="M0 -7.4L7.2 5.4H-7.2Z" />
            } @else {
              <circle r="5.4" />
            }
            <text y="3.1">{{ mark.number }}</text>
          </g>
        }
      </g>
      <text class="side" [attr.x]="corner().x" [attr.y]="corner().y">
        {{ outerOnRight() ? 'outer' : 'inner' }}
      </text>
      <text class="side start" [attr.x]="corner().left" [attr.y]="corner().y">
        {{ outerOnRight() ? 'inner' : 'outer' }}
      </text>
    </svg>
    @if (standIn()) {
      <p class="stand-in">{{ standIn() }}</p>
    }
    <button type="button" class="whole" data-place="foot" (click)="touched.emit('foot')">Whole foot</button>
  `,
  styles: `
    :host {
      position: relative;
      display: block;
      min-height: 0;
      background: var(--paper);
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
      user-select: none;
    }
    .bulbs,
    .horn,
    .wall,
    .frog {
      stroke: var(--horn-edge);
      stroke-width: 0.5;
    }
    .bulbs {
      fill: color-mix(in srgb, var(--horn) 55%, var(--paper));
    }
    .wall {
      fill: var(--sole);
    }
    .horn {
      fill: var(--horn);
    }
    .frog {
      fill: var(--frog);
    }
    .sulcus,
    .hoof-bar {
      fill: none;
      stroke: var(--horn-edge);
      stroke-width: 0.9;
      stroke-linecap: round;
    }
    .area {
      fill: transparent;
      stroke: var(--construct);
      stroke-width: 0.35;
      stroke-dasharray: 1.6 1.6;
      stroke-opacity: 0.6;
      cursor: pointer;
      outline: none;
    }
    .area:hover,
    .area.marked {
      fill: color-mix(in srgb, var(--ember) 22%, transparent);
    }
    .area:focus-visible {
      fill: color-mix(in srgb, var(--ember) 30%, transparent);
      stroke: var(--ember);
      stroke-width: 1.2;
      stroke-dasharray: none;
      stroke-opacity: 1;
    }
    .marks {
      pointer-events: none;
    }
    .marks circle,
    .marks path {
      fill: var(--paper);
      stroke: var(--ink);
      stroke-width: 0.9;
    }
    .marks .asked circle {
      stroke: var(--ember);
      stroke-dasharray: 2 1.4;
    }
    .marks .vet path {
      fill: var(--stop-wash);
      stroke: var(--stop);
      stroke-width: 1.2;
    }
    .marks text {
      fill: var(--ink);
      font-size: 7.5px;
      font-weight: 750;
      text-anchor: middle;
    }
    .side {
      fill: var(--construct);
      font-size: 5.5px;
      font-weight: 600;
      text-anchor: end;
    }
    .side.start {
      text-anchor: start;
    }
    .whole {
      position: absolute;
      top: 8px;
      left: 8px;
      min-height: 44px;
      padding: 0 14px;
      color: inherit;
      font: inherit;
      font-weight: 650;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
      cursor: pointer;
    }
    .whole:hover {
      background: var(--ember-wash);
    }
    .stand-in {
      position: absolute;
      top: 12px;
      right: 12px;
      max-width: 48%;
      font-size: 0.85rem;
      text-align: right;
      color: var(--ink-soft);
    }
  `,
})
export class LookDrawing {
  readonly map = input.required<FootMap>()
  readonly side = input.required<Side>()
  readonly findings = input.required<readonly NumberedFinding[]>()
  /** Findings of the last visit that wait for an answer. */
  readonly questions = input<readonly Finding[]>([])
  /** Said where the foot drawn is not the one measured at this visit. */
  readonly standIn = input('')
  readonly touched = output<PlaceKey>()

  private readonly view = computed(() => soleView(this.side(), this.map().foot.widestFromToe))
  protected readonly outerOnRight = computed(() => this.view().mirror === 1)

  private readonly extent = computed(() => {
    const { areas, foot } = this.map()
    const points = areas.flatMap(({ edge }) => edge.map((point) => seen(point, this.view())))
    const xs = points.map(([x]) => x)
    const ys = points.map(([, y]) => y)
    const pad = foot.width * 0.03
    return {
      left: Math.min(...xs) - pad,
      right: Math.max(...xs) + pad,
      top: Math.min(...ys) - pad,
      bottom: Math.max(...ys) + pad,
    }
  })
  protected readonly box = computed(() => {
    const { left, right, top, bottom } = this.extent()
    return `${left} ${top} ${right - left} ${bottom - top}`
  })
  protected readonly corner = computed(() => {
    const { left, right, bottom } = this.extent()
    return { left: left + 2, x: right - 2, y: bottom - 2 }
  })

  protected readonly lines = computed(() => {
    const { outline, landmarks } = this.map()
    const view = this.view()
    const path = (points: readonly Vec[], closed = false) => svgPath(points, view, closed)
    const wall = path(outline)
    return {
      foot: wall + 'Z',
      horn: wall + path([...landmarks.whiteLineOuter].reverse()).replace('M', 'L') + 'Z',
      frog: path(landmarks.frog, true),
      sulcus: path(landmarks.centralSulcus),
      bars: landmarks.bars.map((bar) => path(bar)),
      bulbs: path(landmarks.bulbs, true),
    }
  })

  protected readonly areas = computed(() =>
    this.map().areas.map(({ place, edge }) => {
      const here = this.findings().filter(({ finding }) => finding.place === place)
      const told = here.map(({ finding }) => findingKind(finding.kind).label.toLowerCase()).join(', ')
      const { label } = placeNamed(place)
      return {
        place,
        path: svgPath(edge, this.view(), true),
        count: here.length,
        label: told ? `${label}: ${told}` : label,
      }
    }),
  )

  /** Marks of one place stand beside each other. */
  protected readonly marks = computed(() =>
    this.findings().flatMap(({ number, finding }) => {
      const area = this.map().areas.find(({ place }) => place === finding.place)
      if (!area) return []
      const here = this.findings().filter((other) => other.finding.place === finding.place)
      const [x, y] = seen(area.middle, this.view())
      const { vetFrom } = findingKind(finding.kind)
      return [
        {
          number,
          x: x + (here.findIndex((other) => other.number === number) - (here.length - 1) / 2) * 13,
          y,
          vet: vetFrom !== undefined && finding.grade >= vetFrom,
        },
      ]
    }),
  )

  /** Where nothing is marked yet at this visit, the question of the last one stands. */
  protected readonly asked = computed(() =>
    this.questions().flatMap(({ id, place }) => {
      const area = this.map().areas.find((one) => one.place === place)
      if (!area || this.findings().some(({ finding }) => finding.place === place)) return []
      const [x, y] = seen(area.middle, this.view())
      return [{ id, x, y }]
    }),
  )

  protected press(event: Event, place: PlaceKey): void {
    event.preventDefault()
    this.touched.emit(place)
  }
}
