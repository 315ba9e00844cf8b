import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core'
import type { Vec } from '@crescent/core'
import { circle, drawLoupe, drawPart, LARGER } from './picture-canvas'

/** A place on a picture that can be taken hold of, pixels of the picture. */
export interface PictureMark {
  key: string
  /** Read to who cannot see it; written beside it where `named`. */
  label: string
  at: Vec
  named?: boolean
  /** Proposed, not set. */
  likely?: boolean
  /** A small one among many. */
  small?: boolean
}

/** A line on a picture, pixels. */
export interface PictureLine {
  points: readonly Vec[]
  kind: 'edge' | 'doubtful' | 'guide' | 'bone' | 'trim'
}

/** What a finger holds, where on the picture, and where on the screen it came down. */
interface Holding {
  key?: string
  at: Vec
  x: number
  y: number
  moved: boolean
}

/** A finger that moves less than this rests, screen pixels. */
const SHAKE = 2
/** A finger takes hold of a mark this near, screen pixels. */
const NEAR = 20
/** How wide half a mark is on the screen, pixels. */
const MARK = 7
/** How wide half the magnifier is as a share of the picture. */
const WIDE = 0.15
/** One arrow key moves by this share of the picture; with shift by eight times that. */
const STEP = 1 / 900

/** A picture on which places are tapped and pulled, under a magnifier, and by arrow keys. */
@Component({
  selector: 'cr-picture-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="sheet">
      @if (bitmap()) {
        <canvas #below aria-hidden="true" [style.aspect-ratio]="ratio()" [style.opacity]="opacity()"></canvas>
        @if (loupe()) {
          <canvas #larger aria-hidden="true" [style.aspect-ratio]="ratio()"></canvas>
        }
      }
      <svg
        #sheet
        [attr.tabindex]="still() ? null : 0"
        [attr.role]="still() ? 'img' : 'application'"
        [class.still]="still()"
        [class.over]="bitmap()"
        [attr.aria-label]="label()"
        [attr.aria-describedby]="still() ? null : 'keys'"
        [attr.viewBox]="shown().view"
        [style.aspect-ratio]="ratio()"
        data-testid="picture-sheet"
        (pointerdown)="down($event)"
        (pointermove)="move($event)"
        (pointerup)="up($event)"
        (pointercancel)="cancel()"
        (keydown)="key($event)"
      >
        <g [attr.clip-path]="bitmap() && loupe() ? 'url(#cr-around)' : null">
          @if (href()) {
            <image
              [attr.href]="href()"
              [attr.width]="size().width"
              [attr.height]="size().height"
              [style.opacity]="opacity()"
            />
          }
          @for (line of drawn(); track $index) {
            <path [attr.d]="line.d" [attr.class]="line.kind" />
          }
        </g>
        @for (mark of marks(); track mark.key) {
          <g
            class="mark"
            tabindex="0"
            role="button"
            [class.likely]="mark.likely"
            [class.small]="mark.small"
            [attr.aria-label]="mark.label"
            [attr.data-mark]="mark.key"
            [attr.transform]="'translate(' + mark.at[0] + ' ' + mark.at[1] + ')'"
            (keydown)="keyOn($event, mark)"
          >
            <circle [attr.r]="unit() * (mark.small ? 0.6 : 1)" />
            @if (mark.named) {
              <text
                [attr.x]="(mark.at[0] > shown().x + shown().width / 2 ? -1.5 : 1.5) * unit()"
                [attr.y]="-0.9 * unit()"
                [attr.font-size]="unit() * 2.2"
                [attr.text-anchor]="mark.at[0] > shown().x + shown().width / 2 ? 'end' : 'start'"
              >
                {{ mark.label }}
              </text>
            }
          </g>
        }
        @if (cursor(); as at) {
          <path class="cross" [attr.d]="cross(at)" />
        }
        @if (loupe(); as at) {
          <clipPath id="cr-loupe"><circle [attr.cx]="at.x" [attr.cy]="at.y" [attr.r]="at.r" /></clipPath>
          <clipPath id="cr-around"><path clip-rule="evenodd" [attr.d]="at.around" /></clipPath>
          <g clip-path="url(#cr-loupe)" pointer-events="none">
            @if (href()) {
              <rect
                class="paper"
                [attr.x]="at.x - at.r"
                [attr.y]="at.y - at.r"
                [attr.width]="2 * at.r"
                [attr.height]="2 * at.r"
              />
            }
            <g [attr.transform]="at.larger">
              @if (href()) {
                <image [attr.href]="href()" [attr.width]="size().width" [attr.height]="size().height" />
              }
              @for (line of drawn(); track $index) {
                <path [attr.d]="line.d" [attr.class]="line.kind" />
              }
            </g>
          </g>
          <g pointer-events="none">
            <circle class="rim" [attr.cx]="at.x" [attr.cy]="at.y" [attr.r]="at.r" />
            <path class="cross" [attr.d]="cross([at.x, at.y])" />
          </g>
        }
      </svg>
    </div>
    @if (!still()) {
      <p class="muted" id="keys">
        Hold and pull: the magnifier shows what is under the finger.
        <span>
          By keyboard: arrows move the cross, Enter sets the place; Tab goes to places that are set, arrows
          move them.</span
        >
      </p>
    }
  `,
  styleUrl: './picture-sheet.scss',
})
export class PictureSheet {
  /** The picture: an address, or what was drawn in a worker, which is there at once. */
  readonly href = input('')
  readonly bitmap = input<ImageBitmap | undefined>()
  readonly size = input.required<{ width: number; height: number }>()
  readonly label = input.required<string>()
  readonly marks = input<readonly PictureMark[]>([])
  readonly lines = input<readonly PictureLine[]>([])
  readonly opacity = input(1)
  /** It is only looked at. */
  readonly still = input(false)
  /** A drag is told as one, and sets nothing. */
  readonly drags = input(false)
  /** The part of it that is looked at, pixels; all of it where it is not said. */
  readonly window = input<{ x: number; y: number; width: number; height: number } | undefined>()
  /** A place that was tapped. */
  readonly tapped = output<Vec>()
  /** How far a drag went on since it was last told, as shares of the sheet's width: to the right, up. */
  readonly dragged = output<Vec>()
  /** A mark that is held, pulled, let go, taken away. */
  readonly held = output<string>()
  readonly pulled = output<{ key: string; at: Vec }>()
  readonly released = output<string>()
  /** A small one that was touched and not moved, and where: the tap may have been for what lies beside it. */
  readonly touched = output<{ key: string; at: Vec }>()
  readonly removed = output<string>()

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef)
  private readonly sheet = viewChild.required<ElementRef<SVGSVGElement>>('sheet')
  private readonly holding = signal<Holding | undefined>(undefined)
  /** Where a drag that is told as one was last, on the screen. */
  private from: Vec | undefined
  /** The cross that arrow keys move. */
  protected readonly cursor = signal<Vec | undefined>(undefined)

  protected readonly shown = computed(() => {
    const { x, y, width, height } = this.window() ?? { x: 0, y: 0, ...this.size() }
    return { x, y, width, height, view: `${x} ${y} ${width} ${height}` }
  })
  /** How wide the sheet is on the screen; what is drawn on the picture is as large there on every screen. */
  private readonly wide = signal(640)
  /** What a mark is as wide as, pixels of the picture. */
  protected readonly unit = computed(() => (MARK * this.shown().width) / this.wide())
  protected readonly drawn = computed(() =>
    this.lines().map(({ points, kind }) => ({
      kind,
      d: `M${points.map(([x, y]) => `${x} ${y}`).join('L')}`,
    })),
  )
  protected readonly loupe = computed(() => {
    const at = this.holding()?.at
    if (!at) return undefined
    const { x: left, y: top, width, height } = this.shown()
    const r = Math.min(width, height) * WIDE
    // Above the finger, or below it where there is no room; never off the picture.
    const y = at[1] - top > 2.4 * r ? at[1] - 1.5 * r : at[1] + 1.5 * r
    const x = Math.min(left + width - r, Math.max(left + r, at[0]))
    return {
      ...{ x, y, r, at },
      larger: `translate(${x} ${y}) scale(${LARGER}) translate(${-at[0]} ${-at[1]})`,
      around: `M${left} ${top}h${width}v${height}h${-width}Z${circle(x, y, r)}`,
    }
  })
  protected readonly ratio = computed(() => `${this.shown().width} / ${this.shown().height}`)
  private readonly below = viewChild<ElementRef<HTMLCanvasElement>>('below')
  private readonly larger = viewChild<ElementRef<HTMLCanvasElement>>('larger')

  constructor() {
    effect(() => {
      const [bitmap, canvas] = [this.bitmap(), this.below()?.nativeElement]
      if (bitmap && canvas) drawPart(canvas, bitmap, this.shown(), this.size().width)
    })
    effect(() => {
      const [bitmap, canvas, loupe] = [this.bitmap(), this.larger()?.nativeElement, this.loupe()]
      if (!bitmap || !canvas || !loupe) return
      const finest = (2 * this.wide()) / this.shown().width
      drawLoupe(canvas, bitmap, this.shown(), this.size().width, loupe, finest)
    })
    const look = new ResizeObserver(([entry]) => this.wide.set(Math.max(120, entry!.contentRect.width)))
    afterNextRender(() => look.observe(this.sheet().nativeElement))
    inject(DestroyRef).onDestroy(() => look.disconnect())
  }

  protected cross([x, y]: Vec): string {
    const long = this.unit() * 2
    return `M${x - long} ${y}h${2 * long}M${x} ${y - long}v${2 * long}`
  }

  protected down(event: PointerEvent): void {
    if (this.still() || event.button !== 0 || this.holding()) return
    const at = this.placeOf(event)
    if (!at) return
    event.preventDefault()
    this.sheet().nativeElement.setPointerCapture(event.pointerId)
    this.cursor.set(undefined)
    if (this.drags()) return void (this.from = [event.clientX, event.clientY])
    const key = this.markNear(event)
    const began = { x: event.clientX, y: event.clientY, moved: false }
    if (key === undefined) return this.holding.set({ ...began, at })
    this.held.emit(key)
    const mark = this.marks().find((each) => each.key === key)!
    this.holding.set({ ...began, key, at: mark.at })
    this.host.nativeElement.querySelector<SVGGElement>(`[data-mark="${key}"]`)?.focus({ preventScroll: true })
  }

  protected move(event: PointerEvent): void {
    if (this.from) return this.drag(event, this.from)
    const holding = this.holding()
    const at = holding && this.placeOf(event)
    if (!at) return
    const moved = holding.moved || Math.hypot(event.clientX - holding.x, event.clientY - holding.y) > SHAKE
    this.holding.set({ ...holding, at, moved })
    if (holding.key !== undefined && moved) this.pulled.emit({ key: holding.key, at })
  }

  private drag({ clientX, clientY }: PointerEvent, [x, y]: Vec): void {
    this.from = [clientX, clientY]
    const wide = this.wide()
    this.dragged.emit([(clientX - x) / wide, (y - clientY) / wide])
  }

  protected up(event: PointerEvent): void {
    this.from = undefined
    const holding = this.holding()
    this.holding.set(undefined)
    if (!holding) return
    const at = this.placeOf(event) ?? holding.at
    if (holding.key !== undefined) this.released.emit(holding.key)
    if (holding.key !== undefined && !holding.moved && this.isSmall(holding.key))
      this.touched.emit({ key: holding.key, at })
    // One that was touched and not moved was not meant, where places lie close: the tap was for the next.
    const still = holding.key !== undefined && !holding.moved && !this.isSmall(holding.key)
    if (holding.key === undefined || still) this.tapped.emit(at)
  }

  protected cancel(): void {
    this.from = undefined
    const holding = this.holding()
    this.holding.set(undefined)
    if (holding?.key !== undefined) this.released.emit(holding.key)
  }

  protected key(event: KeyboardEvent): void {
    if (event.target !== this.sheet().nativeElement) return
    const { x: left, y: top, width, height } = this.shown()
    const by = step(event)
    if (by) {
      event.preventDefault()
      const [x, y] = this.cursor() ?? [left + width / 2, top + height / 2]
      this.cursor.set(this.within([x + by[0] * width, y + by[1] * width]))
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault()
      const at = this.cursor()
      if (at) this.tapped.emit(at)
    }
  }

  protected keyOn(event: KeyboardEvent, mark: PictureMark): void {
    const by = step(event)
    const { key } = mark
    if (by) {
      event.preventDefault()
      const wide = this.shown().width
      this.held.emit(key)
      this.pulled.emit({ key, at: this.within([mark.at[0] + by[0] * wide, mark.at[1] + by[1] * wide]) })
      this.released.emit(key)
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault()
      this.removed.emit(key)
    }
  }

  private isSmall = (key: string): boolean => this.marks().some((mark) => mark.key === key && mark.small)

  private within([x, y]: Vec): Vec {
    const { width, height } = this.size()
    return [Math.min(width - 1, Math.max(0, x)), Math.min(height - 1, Math.max(0, y))]
  }

  /** Where a pointer is, pixels of the picture. */
  private placeOf({ clientX, clientY }: PointerEvent): Vec | undefined {
    const seen = this.sheet().nativeElement.getScreenCTM()
    if (!seen) return undefined
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(seen.inverse())
    return this.within([x, y])
  }

  private markNear({ clientX, clientY }: PointerEvent): string | undefined {
    const seen = this.sheet().nativeElement.getScreenCTM()
    if (!seen) return undefined
    let [nearest, best] = [NEAR, undefined as string | undefined]
    // A place that is only proposed does not catch a finger: it is set where the finger is.
    for (const { key, at, small } of this.marks().filter(({ likely }) => !likely)) {
      const { x, y } = new DOMPoint(at[0], at[1]).matrixTransform(seen)
      const off = Math.hypot(x - clientX, y - clientY) * (small ? 1.6 : 1)
      if (off < nearest) [nearest, best] = [off, key]
    }
    return best
  }
}

/** What an arrow key moves by, as shares of the picture. */
function step({ key, shiftKey }: KeyboardEvent): Vec | undefined {
  const by = STEP * (shiftKey ? 8 : 1)
  const ways: Record<string, Vec> = {
    ArrowLeft: [-by, 0],
    ArrowRight: [by, 0],
    ArrowUp: [0, -by],
    ArrowDown: [0, by],
  }
  return ways[key]
}
