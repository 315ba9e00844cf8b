import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core'
import { heldWithin, type Handle, type Vec } from '@crescent/core'
import { FigureText } from '../../drawing/figure-text'
import { TouchGuard } from '../../drawing/touch-guard'

/** A figure pulled to a value. */
export interface Pulled {
  path: string
  value: number
}

/** Handles of foot, shoe or nails on a drawing, each also a slider for the keyboard. Sits in the drawing's own sheet. */
@Component({
  selector: 'g[crPullHandles]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of placed(); track one.handle.id) {
      <svg:g
        [attr.class]="'handle ' + one.look"
        tabindex="0"
        role="slider"
        [class.held]="held()?.handle?.id === one.handle.id"
        [class.across]="one.across"
        [class.unset]="one.handle.unset"
        [attr.data-handle]="one.handle.id"
        [attr.aria-label]="one.handle.label"
        [attr.aria-orientation]="one.across ? 'horizontal' : 'vertical'"
        [attr.aria-valuemin]="one.handle.range[0].toFixed(2)"
        [attr.aria-valuemax]="one.handle.range[1].toFixed(2)"
        [attr.aria-valuenow]="one.handle.value.toFixed(2)"
        [attr.aria-valuetext]="one.handle.unset ? 'not measured' : one.text"
        [attr.transform]="one.transform"
        (pointerdown)="grab($event, one.handle)"
        (pointermove)="drag($event)"
        (pointerup)="release()"
        (pointercancel)="release()"
        (keydown)="nudge($event, one.handle)"
        (keyup)="settled.emit()"
      >
        <svg:circle class="reach" r="21" />
        @if (one.look === 'foot') {
          <svg:circle class="knob" r="8" />
        } @else {
          <svg:rect class="knob" x="-6.5" y="-6.5" width="13" height="13" transform="rotate(45)" />
        }
        <svg:path
          class="arrows"
          d="M0 -14l-4 -4h8zM0 14l-4 4h8z"
          [attr.transform]="'rotate(' + one.turn.toFixed(1) + ')'"
        />
        <svg:text
          class="measure"
          [attr.x]="one.word.x"
          [attr.y]="one.word.y"
          [attr.text-anchor]="one.word.x === 0 ? 'middle' : 'start'"
        >
          {{ one.handle.unset ? '?' : one.text }}
        </svg:text>
      </svg:g>
    }
  `,
  styles: `
    .handle {
      cursor: grab;
      outline: none;
    }
    .foot {
      cursor: ns-resize;
    }
    .foot.across {
      cursor: ew-resize;
    }
    .reach {
      fill: transparent;
    }
    .knob {
      fill: var(--paper);
      stroke: var(--ember);
      stroke-width: 3;
    }
    /* The hole itself stays in view. */
    .nails .knob {
      fill: transparent;
      stroke-width: 2;
      transform: rotate(45deg) scale(1.35);
    }
    .unset .knob {
      stroke-dasharray: 3 3;
    }
    .arrows {
      fill: var(--ember);
      opacity: 0;
    }
    .handle:hover .arrows,
    .handle:focus-visible .arrows,
    .held .arrows {
      opacity: 1;
    }
    .held .knob,
    .handle:focus-visible .knob {
      fill: var(--ember);
    }
    .handle:focus-visible .reach {
      stroke: var(--ember);
      stroke-width: 2;
    }
    .measure {
      fill: var(--ink);
      font-size: 14px;
      font-weight: 700;
      paint-order: stroke;
      stroke: var(--paper);
      stroke-width: 4px;
      stroke-linejoin: round;
      opacity: 0;
    }
    /* What is measured is read from the drawing; what is chosen only while it is changed. */
    .foot .measure,
    .held .measure,
    .handle:hover .measure,
    .handle:focus-visible .measure {
      opacity: 1;
    }
  `,
})
export class PullHandles {
  readonly handles = input.required<readonly Handle[]>()
  /** From the handles' frame to the sheet. */
  readonly place = input.required<(point: Vec) => Vec>()
  /** From a place on the screen to the sheet. */
  readonly onSheet = input.required<(event: PointerEvent) => Vec>()
  /** Pixels for a millimetre of the sheet. */
  readonly k = input.required<number>()
  readonly pulled = output<Pulled>()
  readonly settled = output()

  protected readonly text = inject(FigureText)
  private readonly touch = inject(TouchGuard)
  /** The handle in a hand, as it was when it was taken hold of. */
  protected readonly held = signal<{ handle: Handle; from: Vec; way: Vec } | undefined>(undefined)

  protected readonly placed = computed(() =>
    this.handles().map((handle) => {
      const [x, y] = this.place()(handle.point)
      const way = this.wayOf(handle)
      const look = handle.path.split('.')[0]!
      const across = Math.abs(way[0]) > Math.abs(way[1])
      return {
        handle,
        look,
        across,
        text: this.text.figure(handle.value, handle.kind),
        transform: `translate(${x.toFixed(2)} ${y.toFixed(2)}) scale(${1 / this.k()})`,
        turn: (Math.atan2(way[1], way[0]) * 180) / Math.PI + 90,
        word: wordOf(look, across, handle.id),
      }
    }),
  )

  private wayOf({ point, along }: Handle): Vec {
    const [x0, y0] = this.place()(point)
    const [x1, y1] = this.place()([point[0] + along[0], point[1] + along[1]])
    return [x1 - x0, y1 - y0]
  }

  protected grab(event: PointerEvent, handle: Handle): void {
    const knob = event.currentTarget as Element
    this.touch.take(event, () => {
      knob.setPointerCapture(event.pointerId)
      this.held.set({ handle, from: this.onSheet()(event), way: this.wayOf(handle) })
    })
  }

  protected drag(event: PointerEvent): void {
    const held = this.held()
    if (!held) return
    const { handle, from, way } = held
    const at = this.onSheet()(event)
    const pull = (at[0] - from[0]) * way[0] + (at[1] - from[1]) * way[1]
    this.give(handle, handle.value + pull * handle.per)
  }

  protected release(): void {
    if (!this.held()) return
    this.held.set(undefined)
    this.settled.emit()
  }

  protected nudge(event: KeyboardEvent, handle: Handle): void {
    const way = STEPS[event.key]
    if (way === undefined) return
    event.preventDefault()
    this.give(handle, handle.value + way * this.text.step(handle.kind))
  }

  private give(handle: Handle, value: number): void {
    this.pulled.emit({ path: handle.path, value: heldWithin(handle, value) })
  }
}

/** Steps that a key moves a handle by. */
const STEPS: Record<string, number> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 4,
  PageDown: -4,
}

/** Where the figure is written beside its handle, px: clear of the foot's lines where it always stands there. */
function wordOf(look: string, across: boolean, id: string): { x: number; y: number } {
  if (look !== 'foot') return { x: 0, y: -18 }
  if (across) return { x: 0, y: -14 }
  return { x: 16, y: id === 'length' ? 26 : -12 }
}
