import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  model,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core'
import { MatIconButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import type { Handle, Plan, Side, Vec } from '@crescent/core'
import { Tip } from '../../common/tip'
import { FigureText } from '../../drawing/figure-text'
import { apartOf, weldsOf } from '../../drawing/joined'
import { seen, soleView, svgPath, svgRings } from '../../drawing/svg-path'
import { TouchBar } from '../../drawing/touch-bar'
import { TouchGuard } from '../../drawing/touch-guard'
import { REST } from '../rest'
import { BalanceLines } from './balance-lines'
import { PullHandles, type Pulled } from './pull-handles'
import type { letHandsMove, SheetHands } from './sheet-hands'
import { fromScreen, sheetTransform, UNPLACED } from './sheet-place'

/** The sole with the shoe on it, toe up, true in proportion and at true size on request, with handles. */
@Component({
  selector: 'cr-foot-drawing',
  imports: [BalanceLines, MatIcon, MatIconButton, PullHandles, Tip, TouchBar],
  hostDirectives: [TouchGuard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './foot-drawing.html',
  styleUrl: './foot-drawing.scss',
  host: {
    '(document:keydown.f)': 'unlessTyping($event, false)',
    '(document:keydown.t)': 'unlessTyping($event, true)',
    '(document:keydown.h)': 'toggleLandmarks($event)',
  },
})
export class FootDrawing {
  readonly plan = input.required<Plan>()
  readonly side = input.required<Side>()
  /** Outline of the same foot at the visit before, counted in its own frame with its toe. */
  readonly before = input<{ outline: readonly Vec[]; toeY: number } | undefined>()
  /** Outline of the foot as it was found before the trim, counted in its own frame with its toe. */
  readonly untrimmed = input<{ outline: readonly Vec[]; toeY: number } | undefined>()
  /** Widest part and breakover are drawn: the step in which they are judged. */
  readonly mapping = input(false)
  /** Views and tools lie over the top of the drawing: the foot keeps clear of them. */
  readonly room = input(false)
  /** The drawing shows the last possible figures, not the ones that are typed now. */
  readonly stale = input(false)
  readonly pixelsPerMm = input.required<number>()
  /** What can be taken hold of. */
  readonly handles = input.required<readonly Handle[]>()
  /** Handles of the landmarks stand instead of those of the measures. */
  readonly landmarks = model(false)

  readonly pulled = output<Pulled>()
  /** A hand was lifted. */
  readonly settled = output()

  protected readonly text = inject(FigureText)
  private readonly touch = inject(TouchGuard)
  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg')
  private readonly size = signal({ width: 600, height: 560 })
  private readonly transform = signal(UNPLACED)
  /** The farrier moved or sized the sheet: it is left alone until fitted again. */
  private readonly placed = signal(false)
  /** Until they are there the sheet lies still. */
  private hands: SheetHands | undefined

  protected readonly view = computed(() => soleView(this.side(), this.plan().foot.widestFromToe))
  protected readonly k = computed(() => this.transform().k)
  protected readonly sheet = computed(() => sheetTransform(this.transform()))
  /** Ten-millimetre squares behind the sheet. A layer of their own: a drag does not paint them anew. */
  protected readonly squares = computed(() => {
    const { k, x, y } = this.transform()
    return { size: `${10 * k}px ${10 * k}px`, at: `${x}px ${y}px` }
  })
  protected readonly percent = computed(() => Math.round((this.k() / this.pixelsPerMm()) * 100))
  protected readonly trueSize = computed(() => this.percent() === 100)

  protected readonly lines = computed(() => {
    const { outline, landmarks } = this.plan()
    const view = this.view()
    const path = (points: readonly Vec[], closed = false) => svgPath(points, view, closed)
    const wall = path(outline.foot)
    const drawn = apartOf(this.plan()).map(({ label, layer, edge }) => ({
      label,
      layer,
      path: path(edge, true),
    }))
    return {
      foot: wall + 'Z',
      wall,
      horn: wall + path([...landmarks.whiteLineOuter].reverse()).replace('M', 'L') + 'Z',
      whiteLine:
        path(landmarks.whiteLineOuter) +
        path([...landmarks.whiteLineInner].reverse()).replace('M', 'L') +
        'Z',
      frog: path(landmarks.frog, true),
      sulcus: path(landmarks.centralSulcus),
      bars: landmarks.bars.map((bar) => path(bar)),
      bulbs: path(landmarks.bulbs, true),
      shoe: svgRings(outline.whole, view),
      welds: weldsOf(this.plan()).map(({ label, line }) => ({ label, path: path(line) })),
      parts: drawn.filter(({ layer }) => layer !== 'pad'),
      // A pad lies between shoe and foot.
      behind: drawn.filter(({ layer }) => layer === 'pad'),
    }
  })

  /** Lines that show a rule of a modification. */
  protected readonly guides = computed(() =>
    this.plan().modifications.flatMap(({ guides }) =>
      guides.map(({ label, line }) => ({ label, path: svgPath(line, this.view()) })),
    ),
  )

  /** Places of the wall no nail may go into, as short thick lines along it. */
  protected readonly clear = computed(() =>
    this.plan().keepClear.map(({ why, line }) => ({ why, path: svgPath(line, this.view()) })),
  )

  protected readonly onPaper = computed(() => {
    const view = this.view()
    return (point: Vec): Vec => seen(point, view)
  })
  protected readonly onSheet = (event: PointerEvent): Vec => {
    const box = this.svg().nativeElement.getBoundingClientRect()
    return fromScreen(this.transform(), [event.clientX - box.left, event.clientY - box.top])
  }

  protected readonly untrimmedGhost = computed(() => {
    const untrimmed = this.untrimmed()
    return untrimmed && svgPath(untrimmed.outline, soleView(this.side(), untrimmed.toeY))
  })

  protected readonly ghost = computed(() => {
    const before = this.before()
    return before && svgPath(before.outline, soleView(this.side(), before.toeY))
  })

  protected readonly nails = computed(() =>
    this.plan().nails.map((nail) => {
      const [x, y] = seen([nail.x, nail.y], this.view())
      // A hole lies along the rim; its slot is drawn square to the line from the frog's axis.
      const turn = (Math.atan2(y - this.plan().foot.widestFromToe, x) * 180) / Math.PI + 90
      return { ...nail, sx: x, sy: y, turn }
    }),
  )

  /** Measures written at the drawing, as on a workshop sheet. */
  protected readonly dimensions = computed(() => {
    const { foot } = this.plan()
    const { mirror } = this.view()
    const outer = foot.lateralHalfWidth * mirror
    const inner = (foot.lateralHalfWidth - foot.width) * mirror
    return {
      left: Math.min(outer, inner),
      right: Math.max(outer, inner),
      widest: foot.widestFromToe,
      length: foot.length,
      heel: foot.heelWidth / 2,
      bulbs: foot.length + foot.bulbLine,
      apex: foot.frogApex,
      outerOnRight: mirror === 1,
    }
  })

  constructor() {
    const destroy = inject(DestroyRef)
    afterNextRender(() => {
      const element = this.svg().nativeElement
      const waits = setTimeout(() => void this.bringHands(), REST)
      destroy.onDestroy(() => clearTimeout(waits))
      const watcher = new ResizeObserver(([entry]) => {
        if (entry) this.size.set({ width: entry.contentRect.width, height: entry.contentRect.height })
      })
      watcher.observe(element)
      destroy.onDestroy(() => watcher.disconnect())
    })
    // The sheet keeps the foot in its middle as long as nobody moved it; a hand that drags must not chase it.
    effect(() => {
      const side = this.side()
      const size = this.size()
      this.mapping()
      untracked(() => {
        if (side !== this.fittedSide) this.placed.set(false)
        this.fittedSide = side
        if (!this.placed() && size.width > 0 && size.height > 0) this.fit()
      })
    })
  }
  private fittedSide: Side | undefined

  protected fit(): void {
    const { width, height } = this.size()
    const { foot, outline, parts } = this.plan()
    // Views and tools lie over the top while mapping, and the widest part is lettered beside the foot.
    const top = this.mapping() || this.room() ? 52 : 0
    const margin = 13
    const wide = foot.width + 2 * margin + (this.mapping() ? 34 : 12)
    const body = [...outline.body, ...parts.flatMap(({ edge }) => edge)]
    const back = Math.max(foot.length + foot.bulbLine, ...body.map(([, y]) => foot.widestFromToe - y))
    const tall = back + 2 * margin
    const k = Math.min(width / wide, (height - top) / tall)
    this.place(
      k,
      width / 2 - k * (foot.lateralHalfWidth - foot.width / 2) * this.view().mirror,
      top + (height - top - k * back) / 2,
    )
    this.placed.set(false)
  }

  /** One millimetre of the drawing becomes one of the screen, about the middle of the foot. */
  protected showTrueSize(): void {
    const { width, height } = this.size()
    const { foot } = this.plan()
    const k = this.pixelsPerMm()
    this.place(k, width / 2, Math.max(16, (height - k * foot.length) / 2))
    this.placed.set(true)
  }

  protected toggleLandmarks(event: Event): void {
    if (this.mapping() && !isTyping(event)) this.landmarks.set(!this.landmarks())
  }

  protected unlessTyping(event: Event, trueSize: boolean): void {
    if (isTyping(event)) return
    if (trueSize) this.showTrueSize()
    else this.fit()
  }

  private place(k: number, x: number, y: number): void {
    if (this.hands) this.hands.lay({ k, x, y })
    else this.transform.set({ k, x, y })
  }

  /** What lets hands move the sheet is fetched once the drawing stands, or when one reaches for it. */
  protected async bringHands(): Promise<void> {
    this.handsAsked ??= import('./sheet-hands')
    try {
      const brought = await this.handsAsked
      if (this.hands) return
      this.hands = brought.letHandsMove(
        this.svg().nativeElement,
        (event) => !(event.target as Element).closest('.handle') && this.touch.mayMoveSheet(event),
        (place, byHand) => {
          if (byHand) this.placed.set(true)
          this.transform.set({ k: place.k, x: place.x, y: place.y })
        },
      )
      this.hands.lay(this.transform())
    } catch {
      // Out of reach: the sheet lies still, and the next hand asks again.
      this.handsAsked = undefined
    }
  }
  private handsAsked: Promise<{ letHandsMove: typeof letHandsMove }> | undefined
}

const isTyping = (event: Event): boolean =>
  (event.target as Element).closest(
    'input, select, textarea, [role=combobox], [role=dialog], [role=listbox]',
  ) !== null
