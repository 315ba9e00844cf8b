import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
} from '@angular/core'
import type { Vec, DrawnOutline, Taps } from '@crescent/core'

/** The three places that are tapped, in the order they are asked for. */
export const TAPPED: readonly { key: keyof Taps; label: string; ask: string }[] = [
  { key: 'toe', label: 'Toe', ask: 'Tap the middle of the toe' },
  { key: 'lateralHeel', label: 'Outer heel', ask: 'Tap the outer heel, where it bears' },
  { key: 'medialHeel', label: 'Inner heel', ask: 'Tap the inner heel, where it bears' },
]

/** Room left round a drawing, as a share of its size. */
const MARGIN = 0.1

/** The lines of a drawing, one of them the foot, on which places are tapped. */
@Component({
  selector: 'cr-outline-taps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="box().view"
      role="img"
      [attr.aria-label]="'Outline; ' + placed() + ' of 3 places are set'"
      data-testid="outline-sheet"
      (pointerup)="tap($event)"
    >
      @for (path of paths(); track $index) {
        <path [attr.d]="path" [class.chosen]="$index === chosen()" />
      }
      @for (mark of marks(); track mark.key) {
        <g [class.likely]="!mark.set" [attr.transform]="mark.at">
          <circle [attr.r]="box().mark" />
          <text
            [attr.x]="mark.beside"
            [attr.y]="box().mark * -1.2"
            [attr.text-anchor]="mark.anchor"
            [attr.font-size]="box().mark * 2.1"
          >
            {{ mark.label }}
          </text>
        </g>
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      height: min(46vh, 420px);
      background: var(--paper);
      border: 1px solid var(--rule);
      border-radius: 6px;
      cursor: crosshair;
      touch-action: manipulation;
    }
    path {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 1.5;
      vector-effect: non-scaling-stroke;
    }
    .chosen {
      stroke: var(--ink);
      stroke-width: 3;
    }
    circle {
      fill: var(--ember);
      stroke: var(--paper);
      stroke-width: 2;
      vector-effect: non-scaling-stroke;
    }
    text {
      fill: var(--ink);
      font-weight: 650;
      paint-order: stroke;
      stroke: var(--paper);
      stroke-width: 4px;
      vector-effect: non-scaling-stroke;
    }
    .likely circle {
      fill: none;
      stroke: var(--ember);
      stroke-dasharray: 4 3;
    }
    .likely text {
      fill: var(--ink-soft);
      font-weight: 450;
    }
  `,
})
export class OutlineTaps {
  readonly lines = input.required<readonly DrawnOutline[]>()
  readonly chosen = input.required<number>()
  /** Where the places are likely to lie, and where they were set. */
  readonly likely = input<Taps | undefined>()
  readonly set = input.required<Partial<Taps>>()
  readonly tapped = output<Vec>()

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef)
  protected readonly placed = computed(() => Object.keys(this.set()).length)

  /** What is shown of the plane: y downward there, upward in the drawing. */
  protected readonly box = computed(() => {
    const all = this.lines().flatMap(({ points }) => points)
    const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => -y)]
    const [left, top] = [least(xs), least(ys)]
    const [wide, high] = [most(xs) - left, most(ys) - top]
    const room = Math.max(wide, high) * MARGIN
    const size = Math.max(wide, high) + 2 * room
    return {
      view: [left - room, top - room, wide + 2 * room, high + 2 * room].join(' '),
      mark: size * 0.018,
      middle: left + wide / 2,
    }
  })
  protected readonly paths = computed(() =>
    this.lines().map(
      ({ points, closed }) => `M${points.map(([x, y]) => `${x} ${-y}`).join('L')}${closed ? 'Z' : ''}`,
    ),
  )
  protected readonly marks = computed(() =>
    TAPPED.flatMap(({ key, label }) => {
      const set = this.set()[key]
      const at = set ?? this.likely()?.[key]
      if (!at) return []
      const { mark, middle } = this.box()
      const left = at[0] < middle
      return [
        {
          ...{ key, label, set: set !== undefined, at: `translate(${at[0]} ${-at[1]})` },
          // Written toward the middle of the drawing, where there is room.
          ...{ beside: (left ? 1.2 : -1.2) * mark, anchor: left ? 'start' : 'end' },
        },
      ]
    }),
  )

  protected tap({ clientX, clientY, button }: PointerEvent): void {
    if (button !== 0) return
    const svg = this.host.nativeElement.querySelector('svg')!
    const seen = svg.getScreenCTM()
    if (!seen) return
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(seen.inverse())
    this.tapped.emit([x, -y])
  }
}

const least = (values: readonly number[]): number => values.reduce((a, b) => Math.min(a, b), Infinity)
const most = (values: readonly number[]): number => values.reduce((a, b) => Math.max(a, b), -Infinity)
