import { computed, inject, Injectable, type OnDestroy, signal } from '@angular/core'
import type { TracedFoot, Vec } from '@crescent/core'
import {
  aboveOf,
  asOnFoot,
  CARDS,
  fromToe,
  inAbove,
  knotsOf,
  lineThrough,
  middleOfWeb,
  nearestAlong,
  placeAt,
  PRINTED_LINE,
  seenAt,
  type Card,
  type CardSeen,
  type PhotoTrace,
  type SevenTaps,
} from '@crescent/core/photographs'
import { firstValueFrom } from 'rxjs'
import { Api, failureText, type PlacedOutline } from '../../../../state/api'
import type { NewPicture } from '../pictures/kept-pictures'
import { isDoubtfulAt, isSureOfNone, withoutDoubtAt } from './doubtful-edge'
import { HandLine } from './hand-line'
import { photoHead } from './photo-head'
import {
  placesAsked,
  type AskedPlace,
  type PhotoPlace,
  type SoleFigures,
  type SolePlace,
} from './photo-places'
import { PhotoTracer } from './photo-tracer'

/** How the scale is known: by one of the printed cards, or by a length in the picture. */
export type ScaleBy = Card['key'] | 'length'

/** What is said and marked of a photograph, so that it can be gone on with. */
export interface MarkedPhoto {
  by: ScaleBy
  height: number
  known: number | undefined
  taps: Partial<Record<PhotoPlace, Vec>>
  sole: Partial<Record<SolePlace, Vec>>
  /** Places of the edge that were tapped besides, pixels. */
  more?: readonly Vec[]
  /** The line as a hand drew it, mm in the plane of the foot; none where it is as it was followed. */
  drawn: readonly Vec[]
}

/** A photograph on its way to an outline, or to the shape of a shoe: its scale, its taps, the line that was followed, the hand that mends it. */
@Injectable()
export class PhotoComingIn implements OnDestroy {
  private readonly api = inject(Api)
  private readonly tracer = inject(PhotoTracer)
  private focal35: number | undefined
  private asked = 0

  /** What is photographed: a sole, or a shoe on the anvil. */
  readonly object = signal<'foot' | 'shoe'>('foot')
  /** The photograph that was taken; none while there is only one to practise on. */
  readonly file = signal<File | undefined>(undefined)
  readonly url = signal<string | undefined>(undefined)
  readonly size = signal<{ width: number; height: number } | undefined>(undefined)
  readonly by = signal<ScaleBy>('square')
  /** What the printed line measures, mm. */
  readonly line = signal(PRINTED_LINE)
  readonly known = signal<number | undefined>(undefined)
  readonly height = signal(0)
  readonly seen = signal<CardSeen | undefined>(undefined)
  readonly taps = signal<Partial<Record<PhotoPlace, Vec>>>({})
  /** Places of the sole beside its edge, pixels. */
  readonly sole = signal<Partial<Record<SolePlace, Vec>>>({})
  /** Places of the edge that were tapped besides, where it was doubtful, pixels. */
  private readonly more = signal<readonly Vec[]>([])
  /** The wall of the foot as it was measured before, from the outer to the inner heel, mm: what is looked for. */
  readonly wall = signal<readonly Vec[] | undefined>(undefined)
  readonly failure = signal('')
  readonly busy = signal('')
  readonly progress = this.tracer.progress
  private readonly traced = signal<Pick<PhotoTrace, 'view' | 'doubtful' | 'outline' | 'inner'> | undefined>(
    undefined,
  )
  private readonly hand = new HandLine()
  /** Knots of the line from heel to heel, mm in the plane of the foot. */
  readonly knots = this.hand.knots.asReadonly()
  readonly canUndo = computed(() => this.hand.canUndo() || this.more().length > 0)
  readonly placed = signal<PlacedOutline | undefined>(undefined)

  readonly marked = computed((): MarkedPhoto => ({
    ...{ by: this.by(), height: this.height(), known: this.known(), taps: this.taps(), sole: this.sole() },
    ...(this.more().length > 0 && { more: this.more() }),
    drawn: this.hand.canUndo() ? this.knots() : [],
  }))
  readonly places = computed(() => placesAsked(this.object(), this.by() === 'length'))
  /** What is tapped next; nothing when all are set. */
  readonly next = computed((): AskedPlace | undefined => this.places().find(({ key }) => !this.taps()[key]))
  readonly scaled = computed(() =>
    this.by() === 'length' ? this.known() !== undefined : this.seen() !== undefined,
  )
  readonly view = computed(() => this.traced()?.view)
  readonly curve = computed(() => (this.knots().length > 0 ? lineThrough(this.knots()) : []))
  readonly doubtful = computed(() => this.traced()?.doubtful ?? [])
  /** All of the line is doubtful. */
  readonly sureOfNone = computed(() => {
    const traced = this.traced()
    if (!traced) return false
    const heel = this.object() === 'foot' ? placeAt(traced.view, this.tapped().medialHeel) : undefined
    return isSureOfNone(traced, heel)
  })
  readonly outline = computed(() => this.traced()?.outline ?? [])
  /** The inner rim of a shoe. */
  readonly inner = computed(() => this.traced()?.inner ?? [])
  /** The middle of a shoe's web as it lies on the foot, mm; nothing while it was not followed. */
  readonly shape = computed((): Vec[] => (this.object() === 'shoe' ? asOnFoot(this.curve()) : []))
  /** What the places of the sole say, mm behind the toe. */
  readonly soleFigures = computed((): SoleFigures => {
    const view = this.view()
    const toe = this.taps().toe
    if (!view || !toe || this.curve().length === 0) return {}
    return Object.fromEntries(
      Object.entries(this.sole()).flatMap(([key, at]) => {
        const mm = fromToe(this.curve(), placeAt(view, toe), placeAt(view, at))
        return mm === undefined ? [] : [[key, mm]]
      }),
    )
  })
  readonly foot = computed((): TracedFoot | undefined => this.placed()?.foot)

  ngOnDestroy(): void {
    this.forget()
  }

  async take(file: File, practised = false): Promise<void> {
    this.startOver()
    await this.open(file, practised)
  }

  /** Goes on with one that was begun before: its marks stand again, and its edge is followed anew. */
  async resume(file: File, { by, height, known, taps, sole, more = [], drawn }: MarkedPhoto): Promise<void> {
    this.startOver()
    this.by.set(by)
    this.height.set(height)
    this.known.set(known)
    this.taps.set(taps)
    this.sole.set(sole)
    this.more.set(more)
    await this.open(file)
    if (this.url() && !this.next()) await this.trace(false, drawn)
  }

  /** Looked at before it is unpacked, then opened, then its card is looked for. */
  private async open(file: File, practised = false): Promise<void> {
    this.forget()
    this.seen.set(undefined)
    this.size.set(undefined)
    await this.told('Reading the photograph', async () => {
      const head = await photoHead(file)
      if (!head.ok) return head.problem
      this.focal35 = head.focal35
      const opened = await this.tracer.ask({ do: 'open', file })
      if (!opened.ok) return opened.problem
      this.file.set(practised ? undefined : file)
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
    if (file) await this.take(file, true)
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
    if (!this.next()) await this.trace(true)
  }

  async knownLength(mm: number | undefined): Promise<void> {
    this.known.set(mm)
    if (!this.next()) await this.trace(true)
  }

  /** Sets or moves a place of the sole. */
  setSole = (key: SolePlace, at: Vec): void => this.sole.update((sole) => ({ ...sole, [key]: at }))
  takeSole = (key: SolePlace): void =>
    this.sole.update((sole) => Object.fromEntries(Object.entries(sole).filter(([each]) => each !== key)))

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
    this.more.set([])
    if (!this.next()) await this.trace()
  }

  /**
   * A place of the picture where the edge runs: at a doubtful stretch that no hand has drawn yet the edge is followed anew by it,
   * else the line gets a knot there.
   */
  async tapLine(pixel: Vec): Promise<void> {
    if (!this.asks(pixel)) return this.add(pixel)
    this.more.update((more) => [...more, pixel])
    await this.trace()
  }

  /** The same where a knot lies: elsewhere than where the edge is doubtful it was the knot that was meant. */
  async tapNearKnot(pixel: Vec): Promise<void> {
    if (this.asks(pixel)) await this.tapLine(pixel)
  }

  private asks(pixel: Vec): boolean {
    const traced = this.traced()
    if (!traced || this.object() !== 'foot' || this.hand.canUndo()) return false
    return isDoubtfulAt(traced, placeAt(traced.view, pixel))
  }

  startOver(): void {
    this.asked++
    this.taps.set({})
    this.sole.set({})
    this.more.set([])
    this.clear()
  }

  hold = (): void => this.hand.hold()

  pull(at: number, pixel: Vec): void {
    const view = this.view()
    if (!view) return
    this.hand.pull(at, placeAt(view, pixel))
    this.lookedAt(at)
  }

  letGo = (): Promise<void> => this.place()

  /** Puts a knot in where the line is nearest to a place of the picture. */
  private async add(pixel: Vec): Promise<void> {
    const view = this.view()
    if (!view) return
    this.hand.add(placeAt(view, pixel))
    await this.place()
  }

  async remove(at: number): Promise<void> {
    this.hand.remove(at)
    await this.place()
  }

  async undo(): Promise<void> {
    if (this.hand.undo()) return this.place()
    if (this.more().length === 0) return
    this.more.update((more) => more.slice(0, -1))
    await this.trace()
  }

  /** A stretch through which a hand drew the line is not doubtful any more. */
  private lookedAt(at: number): void {
    const traced = this.traced()
    const knot = this.knots()[at]
    if (!traced || !knot || traced.doubtful.length === 0) return
    const share = at / (this.knots().length - 1)
    const heel = placeAt(traced.view, this.tapped().medialHeel)
    const station = share * nearestAlong(traced.outline, heel).station
    this.traced.set({ ...traced, doubtful: withoutDoubtAt(traced.doubtful, station) })
  }

  private tapped(): SevenTaps {
    return this.taps() as unknown as SevenTaps
  }

  private async again(): Promise<void> {
    if (!this.size()) return
    await this.told('Looking for the card', () => this.lookForCard())
    if (!this.next() && !this.failure()) await this.trace(true)
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

  /**
   * @param scaled only scale or height changed: what a hand drew stays where it was seen
   * @param drawn what a hand drew before, in the same plane
   */
  private async trace(scaled = false, drawn: readonly Vec[] = []): Promise<void> {
    const long = this.known()
    const length = this.by() === 'length'
    if (length ? long === undefined : !this.seen()) return
    const asked = ++this.asked
    const before = scaled && this.hand.canUndo() ? this.traced() : undefined
    if (!before) this.clear()
    const taps = this.taps()
    await this.told('Following the edge', async () => {
      const traced = await this.tracer.ask({
        do: 'trace',
        work: {
          ...{ object: this.object(), height: length ? 0 : this.height(), taps: this.tapped() },
          ...(this.focal35 !== undefined && { focal35: this.focal35 }),
          ...(this.object() === 'foot' && { more: this.more(), wall: this.wall() }),
        },
        ...(length && { known: { from: taps.from!, to: taps.to!, long: long! } }),
      })
      if (asked !== this.asked) return ''
      if (!traced.ok) return traced.problem
      this.traced.set(traced)
      if (before) {
        this.hand.carry((place) => placeAt(traced.view, seenAt(before.view, place)))
        return ''
      }
      this.hand.start(
        traced.inner
          ? middleOfWeb(traced.outline, traced.inner)
          : knotsOf(traced.outline, placeAt(traced.view, this.tapped().medialHeel)),
      )
      if (drawn.length > 0) this.hand.draw(drawn)
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

  /** The photograph to be kept, as from straight above, with the places that were tapped; nothing of one to practise on. */
  async kept(): Promise<NewPicture | undefined> {
    const traced = this.traced()
    const taken = this.file()
    if (!traced || !taken) return undefined
    const { view, outline } = traced
    const heel = (key: 'lateralHeel' | 'medialHeel'): Vec => placeAt(view, this.tapped()[key])
    const heels = [heel('lateralHeel'), heel('medialHeel')] as const
    const frame = aboveOf(outline, placeAt(view, this.tapped().toe), heels, view)
    let picture: NewPicture | undefined
    await this.told('Keeping the photograph', async () => {
      const packed = await this.tracer.ask({ do: 'keep', above: { view, frame } })
      if (!packed.ok) return packed.problem
      const { file, width, height } = packed
      const marks = Object.entries({ ...this.tapped(), ...this.sole() }).map(([key, at]) => [
        key,
        [...inAbove(frame, placeAt(view, at))].map((pixel) => Math.max(0, pixel)),
      ])
      picture = {
        ...{ file, width, height, name: taken.name, mmPerPixel: frame.mmPerPixel },
        kind: this.object() === 'shoe' ? 'shoe' : 'sole',
        marks: Object.fromEntries(marks) as NewPicture['marks'],
      }
      return ''
    })
    return picture
  }

  private clear(): void {
    this.traced.set(undefined)
    this.hand.start([])
    this.placed.set(undefined)
    this.failure.set('')
  }

  private forget(): void {
    const url = this.url()
    if (url) URL.revokeObjectURL(url)
    this.url.set(undefined)
    this.file.set(undefined)
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
