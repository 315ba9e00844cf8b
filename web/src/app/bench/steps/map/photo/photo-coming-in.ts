import { computed, inject, Injectable, type OnDestroy, signal } from '@angular/core'
import type { TracedFoot, Vec } from '@crescent/core'
import {
  asOnFoot,
  CARDS,
  knotsOf,
  lineThrough,
  middleOfWeb,
  PHOTO_TAPS,
  placeAt,
  PRINTED_LINE,
  withKnot,
  withoutKnot,
  type Card,
  type CardSeen,
  type PhotoTap,
  type PhotoTrace,
  type SevenTaps,
} from '@crescent/core/photographs'
import { firstValueFrom } from 'rxjs'
import { Api, failureText, type PlacedOutline } from '../../../../state/api'
import { HEAD_BYTES, photoHead } from './photo-head'
import { PhotoTracer } from './photo-tracer'

/** How the scale is known: by one of the printed cards, or by a length in the picture. */
export type ScaleBy = Card['key'] | 'length'

/** Both ends of a length that is known in the picture; then the seven places of the foot. */
export type PhotoPlace = 'from' | 'to' | PhotoTap
interface Asked {
  key: PhotoPlace
  label: string
  ask: string
}
const ENDS: readonly Asked[] = [
  { key: 'from', label: 'One end', ask: 'Tap one end of the length you know' },
  { key: 'to', label: 'Other end', ask: 'Tap its other end' },
]

/** Lines of a hand that can be taken back. */
const KEPT = 50

/** A photograph on its way to an outline, or to the shape of a shoe: its scale, its taps, the line that was followed, the hand that mends it. */
@Injectable()
export class PhotoComingIn implements OnDestroy {
  private readonly api = inject(Api)
  private readonly tracer = inject(PhotoTracer)
  private focal35: number | undefined
  private asked = 0

  /** What is photographed: a sole, or a shoe on the anvil. */
  readonly object = signal<'foot' | 'shoe'>('foot')
  readonly url = signal<string | undefined>(undefined)
  readonly size = signal<{ width: number; height: number } | undefined>(undefined)
  readonly by = signal<ScaleBy>('square')
  /** What the printed line measures, mm. */
  readonly line = signal(PRINTED_LINE)
  readonly known = signal<number | undefined>(undefined)
  readonly height = signal(0)
  readonly seen = signal<CardSeen | undefined>(undefined)
  readonly taps = signal<Partial<Record<PhotoPlace, Vec>>>({})
  readonly failure = signal('')
  readonly busy = signal('')
  readonly progress = this.tracer.progress
  private readonly traced = signal<Pick<PhotoTrace, 'view' | 'doubtful' | 'outline' | 'inner'> | undefined>(
    undefined,
  )
  private readonly past = signal<readonly (readonly Vec[])[]>([])
  /** Knots of the line from heel to heel, mm in the plane of the foot. */
  readonly knots = signal<readonly Vec[]>([])
  readonly placed = signal<PlacedOutline | undefined>(undefined)

  readonly places = computed((): readonly Asked[] => {
    const taps = PHOTO_TAPS.map(({ shoe, ...tap }) =>
      this.object() === 'shoe' ? { ...tap, ask: shoe } : tap,
    )
    return this.by() === 'length' ? [...ENDS, ...taps] : taps
  })
  /** What is tapped next; nothing when all are set. */
  readonly next = computed((): Asked | undefined => this.places().find(({ key }) => !this.taps()[key]))
  readonly scaled = computed(() =>
    this.by() === 'length' ? this.known() !== undefined : this.seen() !== undefined,
  )
  readonly view = computed(() => this.traced()?.view)
  readonly curve = computed(() => (this.knots().length > 0 ? lineThrough(this.knots()) : []))
  readonly doubtful = computed(() => this.traced()?.doubtful ?? [])
  readonly outline = computed(() => this.traced()?.outline ?? [])
  /** The inner rim of a shoe. */
  readonly inner = computed(() => this.traced()?.inner ?? [])
  /** The middle of a shoe's web as it lies on the foot, mm; nothing while it was not followed. */
  readonly shape = computed((): Vec[] => (this.object() === 'shoe' ? asOnFoot(this.curve()) : []))
  readonly canUndo = computed(() => this.past().length > 0)
  readonly foot = computed((): TracedFoot | undefined => this.placed()?.foot)

  ngOnDestroy(): void {
    this.forget()
  }

  /** Takes a photograph: looked at before it is unpacked, then opened, then its card is looked for. */
  async take(file: File): Promise<void> {
    this.forget()
    this.startOver()
    this.seen.set(undefined)
    this.size.set(undefined)
    await this.told('Reading the photograph', async () => {
      const head = await photoHead(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()))
      if (!head.ok) return head.problem
      this.focal35 = head.focal35
      const opened = await this.tracer.ask({ do: 'open', file })
      if (!opened.ok) return opened.problem
      this.url.set(URL.createObjectURL(file))
      this.size.set({ width: opened.width, height: opened.height })
      return this.lookForCard()
    })
  }

  /** A made-up one, to practise on. */
  async practise(): Promise<void> {
    const by = this.by()
    let file: File | undefined
    await this.told('Making a photograph up', async () => {
      const made = await this.tracer.ask({
        ...{ do: 'practise', object: this.object(), seed: Math.floor(Math.random() * 1e6) },
        card: by === 'length' ? 'square' : by,
      })
      if (!made.ok) return made.problem
      file = new File([made.file], 'made-up.jpg', { type: 'image/jpeg' })
      return ''
    })
    if (file) await this.take(file)
  }

  async scaleBy(by: ScaleBy): Promise<void> {
    this.by.set(by)
    this.startOver()
    await this.again()
  }

  async measuredLine(mm: number): Promise<void> {
    this.line.set(mm)
    await this.again()
  }

  async liesAbove(mm: number): Promise<void> {
    this.height.set(mm)
    if (!this.next()) await this.trace()
  }

  async knownLength(mm: number | undefined): Promise<void> {
    this.known.set(mm)
    if (!this.next()) await this.trace()
  }

  /** Sets the next place; when all are set the edge is followed. */
  async tap(at: Vec): Promise<void> {
    const key = this.next()?.key
    if (!key) return
    this.pullTap(key, at)
    await this.tapsSet()
  }

  /** Moves a place that was set; the edge is followed anew when it is let go. */
  pullTap(key: PhotoPlace, at: Vec): void {
    this.taps.update((taps) => ({ ...taps, [key]: at }))
  }

  async tapsSet(): Promise<void> {
    if (!this.next()) await this.trace()
  }

  startOver(): void {
    this.asked++
    this.taps.set({})
    this.clear()
  }

  /** Takes hold of a knot: what it was is kept once for the whole pull. */
  hold(): void {
    this.past.update((past) => [...past.slice(-KEPT), this.knots()])
  }

  pull(at: number, pixel: Vec): void {
    const view = this.view()
    if (!view) return
    const place = placeAt(view, pixel)
    this.knots.update((knots) => knots.map((knot, i) => (i === at ? place : knot)))
    this.lookedAt(at)
  }

  async letGo(): Promise<void> {
    await this.place()
  }

  /** Puts a knot in where the line is nearest to a place of the picture. */
  async add(pixel: Vec): Promise<void> {
    const view = this.view()
    if (!view) return
    this.hold()
    this.knots.set(withKnot(this.knots(), placeAt(view, pixel)).knots)
    await this.place()
  }

  async remove(at: number): Promise<void> {
    this.hold()
    this.knots.set(withoutKnot(this.knots(), at))
    await this.place()
  }

  async undo(): Promise<void> {
    const before = this.past().at(-1)
    if (!before) return
    this.past.update((past) => past.slice(0, -1))
    this.knots.set(before)
    await this.place()
  }

  /** A stretch through which a hand drew the line is not doubtful any more. */
  private lookedAt(at: number): void {
    const traced = this.traced()
    const knot = this.knots()[at]
    if (!traced || !knot || traced.doubtful.length === 0) return
    const share = at / (this.knots().length - 1)
    const { outline } = traced
    const heel = this.along(outline, this.tapped().medialHeel)
    const station = share * heel
    this.traced.set({
      ...traced,
      doubtful: traced.doubtful.filter(([from, to]) => station < from - 5 || station > to + 5),
    })
  }

  private along(outline: readonly Vec[], pixel: Vec): number {
    const place = placeAt(this.view()!, pixel)
    let [station, best, at] = [0, Infinity, 0]
    outline.forEach(([x, y], i) => {
      if (i > 0) station += Math.hypot(x - outline[i - 1]![0], y - outline[i - 1]![1])
      const off = Math.hypot(x - place[0], y - place[1])
      if (off < best) [best, at] = [off, station]
    })
    return at
  }

  private tapped(): SevenTaps {
    return this.taps() as unknown as SevenTaps
  }

  private async again(): Promise<void> {
    if (!this.size()) return
    await this.told('Looking for the card', () => this.lookForCard())
    if (!this.next() && !this.failure()) await this.trace()
  }

  private async lookForCard(): Promise<string> {
    const by = this.by()
    if (by === 'length') return ''
    const { across } = CARDS.find(({ key }) => key === by)!
    const seen = await this.tracer.ask({
      do: 'card',
      card: by,
      centreDistance: (across * this.line()) / PRINTED_LINE,
    })
    this.seen.set(seen.ok ? seen : undefined)
    return seen.ok ? '' : seen.problem
  }

  private async trace(): Promise<void> {
    const long = this.known()
    const length = this.by() === 'length'
    if (length ? long === undefined : !this.seen()) return
    const asked = ++this.asked
    this.clear()
    const taps = this.taps()
    await this.told('Following the edge', async () => {
      const traced = await this.tracer.ask({
        do: 'trace',
        work: {
          ...{ object: this.object(), height: length ? 0 : this.height(), taps: this.tapped() },
          ...(this.focal35 !== undefined && { focal35: this.focal35 }),
        },
        ...(length && { known: { from: taps.from!, to: taps.to!, long: long! } }),
      })
      if (asked !== this.asked) return ''
      if (!traced.ok) return traced.problem
      this.traced.set(traced)
      this.knots.set(
        traced.inner
          ? middleOfWeb(traced.outline, traced.inner)
          : knotsOf(traced.outline, placeAt(traced.view, this.tapped().medialHeel)),
      )
      return ''
    })
    if (this.traced()) await this.place()
  }

  /** Has the line placed in the foot's frame, and its measures read. */
  private async place(): Promise<void> {
    const view = this.view()
    const curve = this.curve()
    if (!view || curve.length === 0 || this.object() === 'shoe') return
    const asked = ++this.asked
    const { toe } = this.tapped()
    await this.told('', async () => {
      const taps = { toe: placeAt(view, toe), lateralHeel: curve[0]!, medialHeel: curve[curve.length - 1]! }
      const placed = await firstValueFrom(this.api.placeOutline({ points: curve, closed: false }, taps))
      if (asked === this.asked) this.placed.set(placed)
      return ''
    })
  }

  private clear(): void {
    this.traced.set(undefined)
    this.knots.set([])
    this.past.set([])
    this.placed.set(undefined)
    this.failure.set('')
  }

  private forget(): void {
    const url = this.url()
    if (url) URL.revokeObjectURL(url)
    this.url.set(undefined)
  }

  private async told(doing: string, work: () => Promise<string>): Promise<void> {
    this.busy.set(doing)
    this.failure.set('')
    try {
      this.failure.set(await work())
    } catch (error) {
      this.placed.set(undefined)
      this.failure.set(failureText(error))
    } finally {
      this.busy.set('')
    }
  }
}
