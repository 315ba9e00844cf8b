import { computed, inject, Injectable, signal } from '@angular/core'
import type { Vec, DrawnOutline, ReadOutlines, Taps, TracedFoot } from '@crescent/core'
import { firstValueFrom } from 'rxjs'
import { textOfFile } from '../../../common/text-of-file'
import { Api, failureText, type PlacedOutline } from '../../../state/api'
import { TAPPED } from './outline-taps'

/** Units a drawing may have been made in, and mm in each. */
export const DRAWN_IN = [
  { key: 'mm', label: 'mm', mm: 1 },
  { key: 'cm', label: 'cm', mm: 10 },
  { key: 'in', label: 'inches', mm: 25.4 },
  { key: 'pt', label: 'points', mm: 25.4 / 72 },
  { key: 'px', label: 'pixels', mm: 25.4 / 96 },
] as const
export type DrawnIn = (typeof DRAWN_IN)[number]['key']

/** More points than these in one line are read at even steps: finer than any pen. */
const MOST_POINTS = 4000

/** A line of the drawing, and the layer it lies on. */
export interface NamedOutline extends DrawnOutline {
  layer: string
}

/** A layer of this name is the foot, whatever is larger beside it. */
const FOOT_LAYER = /foot|hoof/i

/** An outline on its way in: the file, its unit, the line in it, three taps, and what comes of them. One per dialog. */
@Injectable()
export class OutlineComingIn {
  private readonly api = inject(Api)
  private readonly read = signal<ReadOutlines | undefined>(undefined)
  private readonly unit = signal<DrawnIn | undefined>(undefined)
  private readonly bySize = signal<number>(1)
  readonly failure = signal('')
  readonly busy = signal(false)
  readonly chosen = signal(0)
  readonly likely = signal<Taps | undefined>(undefined)
  readonly set = signal<Partial<Taps>>({})
  readonly placed = signal<PlacedOutline | undefined>(undefined)
  /** Asked for again meanwhile: an answer that comes late is of yesterday. */
  private asked = 0

  readonly questions = computed(() => this.read()?.questions ?? [])
  readonly unitUnknown = computed(() => this.read()?.unit === null)
  readonly drawnIn = this.unit.asReadonly()
  /** mm in what the points are written in; none while nobody said it. */
  private readonly scale = computed(() => {
    if (!this.unitUnknown()) return this.bySize()
    const unit = DRAWN_IN.find(({ key }) => key === this.unit())
    return unit && unit.mm * this.bySize()
  })
  /** The lines, mm, the longest first. */
  readonly lines = computed((): NamedOutline[] => {
    const scale = this.scale()
    if (scale === undefined) return []
    return (this.read()?.curves ?? [])
      .filter(({ points }) => points.length > 4)
      .map(({ points, closed, layer }) => ({
        closed,
        layer,
        points: thinned(points).map(([x, y]): Vec => [x * scale, y * scale]),
      }))
      .sort((a, b) => spread(b) - spread(a))
  })
  readonly line = computed(() => this.lines()[this.chosen()])
  /** What is asked for next; nothing when all three are set. */
  readonly next = computed(() => TAPPED.find(({ key }) => !this.set()[key]))

  async take(file: File): Promise<void> {
    this.read.set(undefined)
    this.startOver()
    await this.told(async () => {
      const content = await textOfFile(file)
      if (!content.ok) return this.failure.set(content.problem)
      this.read.set(await firstValueFrom(this.api.readOutlines(file.name, content.text)))
      this.unit.set(undefined)
      this.bySize.set(1)
      this.pickLine()
      if (this.lines().length === 0 && !this.unitUnknown())
        this.failure.set('There is no line in it long enough to be an outline.')
    })
    await this.lookFor()
  }

  async choose(line: number): Promise<void> {
    this.chosen.set(line)
    this.startOver()
    await this.lookFor()
  }

  async drawn(unit: DrawnIn): Promise<void> {
    this.unit.set(unit)
    this.pickLine()
    this.startOver()
    await this.lookFor()
  }

  /** A tap sets the next place, or when all are set moves the one nearest to it. */
  async tap(at: Vec): Promise<void> {
    const key = this.next()?.key ?? nearestOf(this.set() as Taps, at)
    this.set.update((set) => ({ ...set, [key]: at }))
    await this.place()
  }

  startOver(): void {
    this.asked++
    this.set.set({})
    this.likely.set(undefined)
    this.placed.set(undefined)
    this.failure.set('')
  }

  /** The places as they are proposed, for who looked and agrees. */
  async agree(): Promise<void> {
    this.set.update((set) => ({ ...this.likely(), ...set }))
    await this.place()
  }

  /** Outer and inner heel changed about: the drawing was seen from the other side. */
  async swap(): Promise<void> {
    this.set.update(({ lateralHeel, medialHeel, ...set }) => ({
      ...set,
      ...(medialHeel && { lateralHeel: medialHeel }),
      ...(lateralHeel && { medialHeel: lateralHeel }),
    }))
    await this.place()
  }

  /** The drawing drawn larger or smaller, so that the foot is as wide as it was measured, mm. */
  async asWide(width: number): Promise<void> {
    const now = this.placed()?.foot.width
    if (!now || !(width > 0)) return
    const by = width / now
    const scaled = ([x, y]: Vec): Vec => [x * by, y * by]
    this.bySize.update((scale) => scale * by)
    this.set.update((set) => Object.fromEntries(Object.entries(set).map(([key, at]) => [key, scaled(at)])))
    this.likely.set(undefined)
    await this.place()
  }

  readonly foot = computed((): TracedFoot | undefined => this.placed()?.foot)

  /** Moves a place to a point of the line. */
  async move(key: keyof Taps, point: number): Promise<void> {
    const at = this.line()?.points[point]
    if (!at) return
    this.set.update((set) => ({ ...set, [key]: at }))
    await this.place()
  }

  /** The line that is called the foot, else the longest. */
  private pickLine(): void {
    this.chosen.set(
      Math.max(
        0,
        this.lines().findIndex(({ layer }) => FOOT_LAYER.test(layer)),
      ),
    )
  }

  private sent(): DrawnOutline | undefined {
    const line = this.line()
    return line && { points: line.points, closed: line.closed }
  }

  private async lookFor(): Promise<void> {
    const line = this.sent()
    if (!line) return
    const asked = this.asked
    await this.told(async () => {
      const likely = await firstValueFrom(this.api.likelyTaps(line))
      if (asked === this.asked) this.likely.set(likely)
    })
  }

  private async place(): Promise<void> {
    const line = this.sent()
    if (this.next() || !line) return
    const asked = ++this.asked
    await this.told(async () => {
      const placed = await firstValueFrom(this.api.placeOutline(line, this.set() as Taps))
      if (asked === this.asked) this.placed.set(placed)
    })
  }

  private async told(work: () => Promise<void>): Promise<void> {
    this.busy.set(true)
    this.failure.set('')
    try {
      await work()
    } catch (error) {
      this.placed.set(undefined)
      this.failure.set(failureText(error))
    } finally {
      this.busy.set(false)
    }
  }
}

/** Every so many of very many points. */
function thinned(points: readonly Vec[]): readonly Vec[] {
  const every = Math.ceil(points.length / MOST_POINTS)
  return every > 1 ? points.filter((_, i) => i % every === 0 || i === points.length - 1) : points
}

/** How wide and how high a line is drawn, mm. */
export function sizeOf({ points }: DrawnOutline): readonly [number, number] {
  const wide = (axis: 0 | 1) => {
    const values = points.map((point) => point[axis])
    return values.reduce((a, b) => Math.max(a, b)) - values.reduce((a, b) => Math.min(a, b))
  }
  return [wide(0), wide(1)]
}

const spread = (line: DrawnOutline): number => Math.hypot(...sizeOf(line))

function nearestOf(set: Taps, [x, y]: Vec): keyof Taps {
  const off = (key: keyof Taps) => Math.hypot(set[key][0] - x, set[key][1] - y)
  return TAPPED.reduce((best, { key }) => (off(key) < off(best) ? key : best), TAPPED[0]!.key)
}
