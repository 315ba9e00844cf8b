import { computed, inject, Injectable, signal } from '@angular/core'
import { limitsInWords, type NailLimit, type Told, type Vec } from '@crescent/core'
import type { Window } from '@crescent/core/dicom'
import { CARRIED_OUT, handOver, type CarriedOut, type HandedOver } from '@crescent/core/handing-over'
import { FILE_WORDS } from '@crescent/core/photographs'
import {
  drawnLines,
  footFromRadiograph,
  LEAST_SOLE,
  limitsFromRadiograph,
  looksLikeDicom,
  markingProblems,
  trimPlan,
  type RadiographFigure,
  type DrawnKind,
  type RadiographPointKey,
  type Wanted,
} from '@crescent/core/radiographs'
import { Store } from '@ngrx/store'
import type { PictureLine } from '../../../../drawing/picture-sheet'
import { benchActions, benchFeature, selectSeen } from '../../../../state/bench/bench.feature'
import { footInput } from '../../../../state/bench/draft'
import { workshopFor } from '../../../../state/bench/workshop-for'
import { lookActions } from '../../../../state/look/look.feature'
import { photoHead } from '../photo/photo-head'
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
/** The head of a DICOM file, bytes. */
const DICOM_HEAD = 132
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
  private readonly seen = this.store.selectSignal(selectSeen)
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

  /** What of the marked places cannot be: nothing is planned on them. */
  readonly markingProblems = computed(() => {
    const [plate, scale] = [this.plate(), this.mmPerPixel()]
    return plate && scale !== undefined ? markingProblems(plate.points, scale) : []
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
    const head = new Uint8Array(await file.slice(0, DICOM_HEAD).arrayBuffer())
    const dicom = looksLikeDicom(head)
    if (!dicom) {
      const read = await photoHead(file)
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
      this.shown(key, picture)
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
    this.shown(key, answer.picture)
  }

  private shown(key: string, picture: ImageBitmap): void {
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
    this.takeOver(this.figures())
    this.store.dispatch(benchActions.settle())
  }

  private takeOver(read: readonly RadiographFigure[]): void {
    const figures = footFromRadiograph(read)
    for (const [key, value] of Object.entries(figures) as [keyof typeof figures, number][])
      this.store.dispatch(benchActions.setFigure({ key, value }))
    if (figures.tipFromToe !== undefined) this.store.dispatch(benchActions.setTipBy({ tipBy: 'radiograph' }))
    const limits = limitsFromRadiograph(this.figures())
    this.limit(limits, ({ by }) => by === 'radiograph')
  }

  /** Puts limits of the nails in place of those of the same source. */
  private limit(limits: readonly NailLimit[], replaced: (limit: NailLimit) => boolean): void {
    const kept = (this.draft()?.foot.limits ?? []).filter((one) => !replaced(one))
    this.store.dispatch(benchActions.setLimits({ limits: [...kept, ...limits] }))
  }

  /** The shoe that carries out the plan, and what it comes to as it is made; or why there is none. */
  handed(by: CarriedOut['key']): HandedOver | undefined {
    const [plan, draft, page] = [this.plan(), this.draft(), this.page()]
    if (!plan || !draft || !page) return undefined
    const { shoe } = draft
    const foot = {
      ...footInput(this.side(), draft.foot, this.seen()[this.side()]),
      ...footFromRadiograph(plan.trimmed),
      tipBy: 'radiograph' as const,
    }
    const way = CARRIED_OUT.find(({ key }) => key === by)!
    return handOver({ plan, way, foot, shoe, workshop: workshopFor(page, shoe) })
  }

  /** What was agreed with the vet is put on the shoe, and goes on record with who said it and when. */
  toShoe(by: CarriedOut['key'], words: string): void {
    const [plan, handed] = [this.plan(), this.handed(by)]
    if (!plan || !handed?.ok) return
    // The foot is the trimmed one from here on: that is what the shoe is made for.
    this.takeOver(plan.trimmed)
    const agreed = limitsInWords(words).flatMap(({ rule, why }): NailLimit[] =>
      rule === 'words' ? [] : [{ rule, by: 'vet', why }],
    )
    this.limit(agreed, (one) => one.by === 'vet')
    // Without the front wall nobody knows where the tip lies behind the toe: the school would find nothing.
    if (footFromRadiograph(plan.trimmed).tipFromToe !== undefined)
      this.store.dispatch(benchActions.setSchool({ school: 'radiographic', all: false }))
    this.store.dispatch(benchActions.setShoe({ shoe: handed.shoe, touched: by }))
    this.store.dispatch(benchActions.settle())
    const at = new Date().toISOString()
    const title = `Plan from the radiograph, ${this.side()}`
    this.store.dispatch(
      lookActions.acknowledge({ acknowledged: [{ gate: `radiograph ${this.side()}`, title, words, at }] }),
    )
  }

  private fails = (problem: string): void => this.failure.set(problem)
}
