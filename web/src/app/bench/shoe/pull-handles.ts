import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core'
import type { ShoeHandle, Vec } from '@crescent/core'
import { FigureText } from '../../drawing/figure-text'
import { TouchGuard } from '../../drawing/touch-guard'

/** A figure pulled to a value. */
export interface Pulled {
  path: string
  value: number
}

/** Handles of the shoe on a drawing, each also a slider for the keyboard. Sits in the drawing's own sheet. */
@Component({
  selector: 'g[crPullHandles]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (handle of placed(); track handle.path) {
      <svg:g
        class="handle pull"
        tabindex="0"
        role="slider"
        [class.held]="held()?.path === handle.path"
        [class.hole]="handle.path.startsWith('nails.')"
        [attr.data-handle]="handle.path"
        [attr.aria-label]="handle.label"
        [attr.aria-valuemin]="handle.range[0].toFixed(2)"
        [attr.aria-valuemax]="handle.range[1].toFixed(2)"
        [attr.aria-valuenow]="handle.value.toFixed(2)"
        [attr.aria-valuetext]="text.figure(handle.value, handle.kind)"
        [attr.transform]="
          'translate(' + handle.at[0].toFixed(2) + ' ' + handle.at[1].toFixed(2) + ') scale(' + 1 / k() + ')'
        "
        (pointerdown)="grab($event, handle)"
        (pointermove)="drag($event)"
        (pointerup)="release()"
        (pointercancel)="release()"
        (keydown)="nudge($event, handle)"
        (keyup)="settled.emit()"
      >
        <svg:circle class="reach" r="20" />
        <svg:rect class="knob" x="-6.5" y="-6.5" width="13" height="13" transform="rotate(45)" />
        <svg:path
          class="arrows"
          d="M0 -14l-4 -4h8zM0 14l-4 4h8z"
          [attr.transform]="'rotate(' + handle.turn.toFixed(1) + ')'"
        />
        <svg:text class="measure" y="-18" text-anchor="middle">
          {{ text.figure(handle.value, handle.kind) }}
        </svg:text>
      </svg:g>
    }
  `,
  styles: `
    .handle {
      cursor: grab;
      outline: none;
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
    .hole .knob {
      fill: transparent;
      stroke-width: 2;
      transform: rotate(45deg) scale(1.35);
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
    .held .measure,
    .handle:hover .measure,
    .handle:focus-visible .measure {
      opacity: 1;
    }
  `,
})
export class PullHandles {
  readonly handles = input.required<readonly ShoeHandle[]>()
  /** From the shoe's frame to the sheet, and the other way for a direction. */
  readonly place = input.required<(point: Vec) => Vec>()
  /** From a place on the screen to the sheet. */
  readonly onSheet = input.required<(event: PointerEvent) => Vec>()
  /** Pixels for a millimetre of the sheet. */
  readonly k = input.required<number>()
  readonly pulled = output<Pulled>()
  readonly settled = output()

  protected readonly text = inject(FigureText)
  private readonly touch = inject(TouchGuard)
  protected readonly held = signal<
    { path: string; from: Vec; value: number; way: Vec; handle: ShoeHandle } | undefined
  >(undefined)

  protected readonly placed = computed(() =>
    this.handles().map((handle) => {
      const way = this.wayOf(handle)
      return {
        ...handle,
        at: this.place()(handle.point),
        turn: (Math.atan2(way[1], way[0]) * 180) / Math.PI + 90,
      }
    }),
  )

  private wayOf({ point, along }: ShoeHandle): Vec {
    const [x0, y0] = this.place()(point)
    const [x1, y1] = this.place()([point[0] + along[0], point[1] + along[1]])
    return [x1 - x0, y1 - y0]
  }

  protected grab(event: PointerEvent, handle: ShoeHandle): void {
    const knob = event.currentTarget as Element
    this.touch.take(event, () => {
      knob.setPointerCapture(event.pointerId)
      this.held.set({
        path: handle.path,
        from: this.onSheet()(event),
        value: handle.value,
        way: this.wayOf(handle),
        handle,
      })
    })
  }

  protected drag(event: PointerEvent): void {
    const held = this.held()
    if (!held) return
    const at = this.onSheet()(event)
    const pull = (at[0] - held.from[0]) * held.way[0] + (at[1] - held.from[1]) * held.way[1]
    this.give(held.handle, held.value + pull * held.handle.per)
  }

  protected release(): void {
    if (!this.held()) return
    this.held.set(undefined)
    this.settled.emit()
  }

  protected nudge(event: KeyboardEvent, handle: ShoeHandle): void {
    const way = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 4, PageDown: -4 }[
      event.key
    ]
    if (way === undefined) return
    event.preventDefault()
    const style = this.text.style()
    const [low, high] = handle.range
    const step =
      handle.kind === 'length' ? (style.unit === 'mm' ? 0.5 : 25.4 / style.denominator) : (high - low) / 40
    this.give(handle, handle.value + way * step)
  }

  private give({ path, range }: ShoeHandle, value: number): void {
    this.pulled.emit({ path, value: Math.round(Math.min(range[1], Math.max(range[0], value)) * 100) / 100 })
  }
}
