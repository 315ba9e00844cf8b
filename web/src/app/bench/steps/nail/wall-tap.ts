import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  input,
  output,
  viewChild,
} from '@angular/core'
import { wallPlace, type Plan, type WallPlace } from '@crescent/core'
import { seen, soleView, svgPath, unseen } from '../../../drawing/svg-path'

/** The wall of the foot, to be touched where it is broken, cracked or was nailed before: anywhere, not only at holes. */
@Component({
  selector: 'cr-wall-tap',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg #sheet [attr.viewBox]="drawing().box" aria-hidden="true" (click)="touch($event)">
      <path class="wall" [attr.d]="drawing().wall" />
      <path class="reach" [attr.d]="drawing().wall" />
      @for (mark of drawing().marks; track $index) {
        <path class="mark" [attr.d]="mark" />
      }
      @for (hole of drawing().holes; track $index) {
        <circle [attr.cx]="hole[0]" [attr.cy]="hole[1]" r="1.6" />
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-height: 240px;
      cursor: crosshair;
      touch-action: manipulation;
    }
    .wall {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.2;
    }
    /* A thumb is wider than the wall. */
    .reach {
      fill: none;
      stroke: transparent;
      stroke-width: 22;
      pointer-events: stroke;
    }
    .mark {
      fill: none;
      stroke: var(--stop);
      stroke-width: 5;
      pointer-events: none;
    }
    circle {
      fill: var(--ink-soft);
      pointer-events: none;
    }
  `,
})
export class WallTap {
  readonly plan = input.required<Plan>()
  readonly touched = output<WallPlace>()
  private readonly sheet = viewChild.required<ElementRef<SVGSVGElement>>('sheet')

  private readonly view = computed(() => soleView(this.plan().foot.side, this.plan().foot.widestFromToe))
  protected readonly drawing = computed(() => {
    const { outline, keepClear, nails } = this.plan()
    const view = this.view()
    const points = outline.foot.map((point) => seen(point, view))
    const xs = points.map(([x]) => x)
    const ys = points.map(([, y]) => y)
    const left = Math.min(...xs) - 12
    const top = Math.min(...ys) - 12
    return {
      box: `${left} ${top} ${Math.max(...xs) + 12 - left} ${Math.max(...ys) + 12 - top}`,
      wall: svgPath(outline.foot, view),
      marks: keepClear.map(({ line }) => svgPath(line, view)),
      holes: nails.map(({ x, y }) => seen([x, y], view)),
    }
  })

  protected touch(event: MouseEvent): void {
    const matrix = this.sheet().nativeElement.getScreenCTM()
    if (!matrix) return
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
    this.touched.emit(wallPlace(this.plan().foot, unseen([x, y], this.view())))
  }
}
