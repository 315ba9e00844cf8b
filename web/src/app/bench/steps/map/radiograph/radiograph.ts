import { computed, inject, Injectable, signal } from '@angular/core'
import { clashWith, withModification, withValue, type Told, type Vec } from '@crescent/core'
import type { Window } from '@crescent/core/dicom'
import { FILE_WORDS, isHeic } from '@crescent/core/photographs'
import {
  CARRIED_OUT,
  drawnLines,
  footFromRadiograph,
  LEAST_SOLE,
  trimPlan,
  type CarriedOut,
  type DrawnKind,
  type RadiographPointKey,
  type Wanted,
} from '@crescent/core/radiographs'
import { Store } from '@ngrx/store'
import type { PictureLine } from '../../../../drawing/picture-sheet'
import { benchActions, benchFeature } from '../../../../state/bench/bench.feature'
import { lookActions } from '../../../../state/look/look.feature'
import { HEAD_BYTES, photoHead } from '../photo/photo-head'
import {
  aboutMm,
  askedNext,
  figuresOf,
  freshPlate,
  mmPerPixel,
  withPoint,
  type Plate,
  type ScaleBy,
} from './plate'
import { PlateReader } from './plate-reader'
import type { OpenedPlate } from './plate-work'

/** Lines as the sheet draws them. */
const LOOKS: Readonly<Record<DrawnKind, PictureLine['kind']>> = {
  ...{ wall: 'guide', bone: 'bone', ground: 'guide', distance: 'guide', trim: 'trim' },
}
/** Larger files than this are no single radiograph. */
const MOST_BYTES = 200 * 1024 * 1024
/** What is usually aimed at, until somebody says otherwise. */
const USUALLY: Wanted = { palmarAngle: 5, soleDepth: LEAST_SOLE, behindTip: 0 }

/** The radiograph of the foot that lies on the Bench; each foot of each visit has its own, as long as the page is open. */
@Injectable({ providedIn: 'root' })
export class Radiograph {
  private readonly store = inject(Store)
  private readonly reader = inject(PlateReader)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  /** Whose radiograph this is: the foot of a visit. */
  readonly key = computed(() => `${this.page()?.visit.id} ${this.side()}`)
  private readonly plates = signal<Readonly<Record<string, Plate>>>({})
  private readonly pictures = signal<Readonly<Record<string, ImageBitmap>>>({})
  private readonly wants = signal<Readonly<Record<string, Wanted>>>({})
  /** Whose radiograph the worker holds. */
  private held = ''
  private drawing = false
  private wanting: string | undefined

  readonly busy = signal(false)
  readonly failure = signal<Told>('')
  readonly plate = computed((): Plate | undefined => this.plates()[this.key()])
  /** Its picture as it is shown. */
  readonly picture = computed((): ImageBitmap | undefined => this.pictures()[this.key()])
  readonly next = computed(() => {
    const plate = this.plate()
    return plate && askedNext(plate)
  })
  readonly figures = computed(() => {
    const plate = this.plate()
    return plate ? figuresOf(plate) : []
  })
  readonly mmPerPixel = computed(() => {
    const plate = this.plate()
    return plate && mmPerPixel(plate)
  })
  readonly wanted = computed((): Wanted => this.wants()[this.key()] ?? USUALLY)
  readonly plan = computed(() => {
    const [plate, scale] = [this.plate(), this.mmPerPixel()]
    return plate && scale !== undefined ? trimPlan(plate.points, scale, this.wanted()) : undefined
  })

  /** What is seen of the figures on the picture; those of the one that is pointed at stand out. */
  lines(lit = ''): PictureLine[] {
    const plate = this.plate()
    if (!plate) return []
    const { from, to } = plate.marker
    const marker: PictureLine[] =
      plate.scaleBy === 'marker' && from && to ? [{ points: [from, to], kind: 'edge' }] : []
    const drawn = drawnLines(plate.points, aboutMm(plate), this.plan())
    return [
      ...marker,
      ...drawn.map(({ kind, shows, points }): PictureLine => ({
        points,
        kind: lit !== '' && shows.includes(lit) ? 'edge' : LOOKS[kind],
      })),
    ]
  }

  /**
   * Opens a file: DICOM, or a picture of a radiograph.
   *
   * @param begun called once it looks like one, before it is read
   */
  async take(file: File, begun: () => void = () => undefined): Promise<void> {
    if (file.size > MOST_BYTES) return this.fails('This file is larger than any radiograph: 200 MB are read.')
    const mark = new Uint8Array(await file.slice(128, 132).arrayBuffer())
    const dicom = String.fromCharCode(...mark) === 'DICM'
    if (!dicom) {
      const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer())
      if (isHeic(head)) return this.fails(FILE_WORDS.heic)
      const read = await photoHead(head)
      if (!read.ok)
        return this.fails(
          read.problem === FILE_WORDS.other
            ? 'This is no radiograph: a DICOM file, or a picture of one (PNG, JPEG), is read.'
            : read.problem,
        )
    }
    const opened = this.open(file.name, { file, dicom })
    begun()
    await opened
  }

  /** A made-up one, to practise on. */
  async practise(): Promise<void> {
    await this.open('Made up, to practise on', { seed: Math.floor(Math.random() * 1e6) })
  }

  /** Opens what was fetched from wherever; nothing is marked on it yet. */
  async open(name: string, source: Plate['source'], marked: Partial<Plate> = {}): Promise<void> {
    const key = this.key()
    this.busy.set(true)
    this.failure.set('')
    const opened = await this.fetched(key, source)
    this.busy.set(false)
    if (!opened) return
    this.plates.update((plates) => ({ ...plates, [key]: { ...freshPlate(name, source, opened), ...marked } }))
  }

  private async fetched(key: string, source: Plate['source']): Promise<OpenedPlate | undefined> {
    // From here on the worker holds what comes, whatever is drawn meanwhile.
    this.held = ''
    const answer = await ('seed' in source
      ? this.reader.ask({ do: 'practise', seed: source.seed })
      : this.reader.ask({ do: 'open', ...source }))
    this.held = answer.ok ? key : ''
    if (answer.ok) {
      const { picture, ...opened } = answer
      this.seen(key, picture)
      return opened
    }
    this.failure.set(answer.problem)
    return undefined
  }

  /** Shows it in another window; of many that are asked for while one is drawn only the last is. */
  async show(window: Window, inverted: boolean): Promise<void> {
    this.change((plate) => ({ ...plate, window, inverted }))
    await this.draw(this.key())
  }

  /** Draws what is wanted; what is wanted while it draws is drawn after it, and of several only the last. */
  private async draw(key: string): Promise<void> {
    this.wanting = key
    if (this.drawing) return
    this.drawing = true
    while (this.wanting !== undefined) {
      const next: string = this.wanting
      this.wanting = undefined
      await this.drawn(next)
    }
    this.drawing = false
  }

  private async drawn(key: string): Promise<void> {
    const plate = this.plates()[key]
    if (!plate || (this.held !== key && !(await this.fetched(key, plate.source)))) return
    const { window, inverted } = plate
    const answer = await this.reader.ask({ do: 'show', window, inverted })
    if (!answer.ok) return this.failure.set(answer.problem)
    this.seen(key, answer.picture)
  }

  private seen(key: string, picture: ImageBitmap): void {
    const before = this.pictures()[key]
    this.pictures.update((pictures) => ({ ...pictures, [key]: picture }))
    before?.close()
  }

  /** The picture as it is shown, packed to be stored; nothing where it cannot be. */
  async packed(): Promise<{ file: string; width: number; height: number } | undefined> {
    const [key, plate] = [this.key(), this.plate()]
    if (!plate || (this.held !== key && !(await this.fetched(key, plate.source)))) return undefined
    const { window, inverted } = plate
    const answer = await this.reader.ask({ do: 'keep', window, inverted })
    if (answer.ok) return { file: answer.file, width: answer.width, height: answer.height }
    this.failure.set(answer.problem)
    return undefined
  }

  /** A tap on the picture: the end of the marker or the place that is asked for. */
  tap(at: Vec): void {
    const next = this.next()
    if (!next) return
    if ('end' in next) this.change((plate) => ({ ...plate, marker: { ...plate.marker, [next.end]: at } }))
    else this.set(next.key, at)
  }

  set = (key: RadiographPointKey, at: Vec): void => this.change((plate) => withPoint(plate, key, at))
  scaleBy = (scaleBy: ScaleBy): void => this.change((plate) => ({ ...plate, scaleBy }))
  want = (changes: Partial<Wanted>): void =>
    this.wants.update((wants) => ({ ...wants, [this.key()]: { ...this.wanted(), ...changes } }))

  /** Something of the plate changes. */
  change(by: (plate: Plate) => Plate, key = this.key()): void {
    const plate = this.plates()[key]
    if (plate) this.plates.update((plates) => ({ ...plates, [key]: by(plate) }))
  }

  close(): void {
    const key = this.key()
    const { [key]: _gone, ...plates } = this.plates()
    const { [key]: picture, ...pictures } = this.pictures()
    picture?.close()
    this.plates.set(plates)
    this.pictures.set(pictures)
    this.failure.set('')
  }

  /** What the foot takes over: angle, sole and the tip's place, as they were read. */
  toFoot(): void {
    const figures = footFromRadiograph(this.figures())
    for (const [key, value] of Object.entries(figures) as [keyof typeof figures, number][])
      this.store.dispatch(benchActions.setFigure({ key, value }))
    if (figures.tipFromToe !== undefined) this.store.dispatch(benchActions.setTipBy({ tipBy: 'radiograph' }))
    this.store.dispatch(benchActions.settle())
  }

  /** Why what would carry the plan out cannot stand beside what is on the shoe; nothing where it can. */
  clash(by: CarriedOut['key']): string | undefined {
    const list = this.draft()?.shoe.modifications ?? []
    const kind = this.carriedOut(by)?.kind
    return kind === undefined || list.some((given) => given.kind === kind) ? undefined : clashWith(list, kind)
  }

  private carriedOut(by: CarriedOut['key']): ReturnType<CarriedOut['put']> {
    const plan = this.plan()
    return plan && CARRIED_OUT.find(({ key }) => key === by)!.put(plan)
  }

  /** What was agreed with the vet is put on the shoe, and goes on record with who said it and when. */
  toShoe(by: CarriedOut['key'], words: string): void {
    const shoe = this.draft()?.shoe
    if (!this.plan() || !shoe || this.clash(by) !== undefined) return
    const put = this.carriedOut(by)
    this.toFoot()
    // Without the front wall nobody knows where the tip lies behind the toe: the school would find nothing.
    if (footFromRadiograph(this.figures()).tipFromToe !== undefined)
      this.store.dispatch(benchActions.setSchool({ school: 'radiographic', all: false }))
    if (put) {
      const list = withModification(shoe.modifications ?? [], put.kind)
      const at = list.findIndex(({ kind }) => kind === put.kind)
      const modifications = Object.entries(put.values).reduce(
        (changed, [key, value]) => withValue(changed, at, key, value),
        list,
      )
      this.store.dispatch(benchActions.setShoe({ shoe: { ...shoe, modifications }, touched: put.kind }))
    }
    this.store.dispatch(benchActions.settle())
    const at = new Date().toISOString()
    const title = `Plan from the radiograph, ${this.side()}`
    this.store.dispatch(
      lookActions.acknowledge({ acknowledged: [{ gate: `radiograph ${this.side()}`, title, words, at }] }),
    )
  }

  private fails = (problem: string): void => this.failure.set(problem)
}
