import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core'
import { MatButton, MatIconButton } from '@angular/material/button'
import { MatDialog } from '@angular/material/dialog'
import { MatIcon } from '@angular/material/icon'
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu'
import { MatTooltip } from '@angular/material/tooltip'
import { Router, RouterLink } from '@angular/router'
import {
  currentPatterns,
  FOOT_FIGURES,
  footOutline,
  readFoot,
  type Foot,
  type FootFigureKey,
  type Plan,
  type Section,
  type Side,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { AsyncState } from '../common/async-state'
import { Roving } from '../common/roving'
import { longDay } from '../common/today'
import { ChangeChart } from '../change/change-chart'
import { FigureText } from '../drawing/figure-text'
import { Help } from '../help/help'
import { HelpButton } from '../help/help-button'
import { benchActions, benchFeature } from '../state/bench/bench.feature'
import { footInput, OPPOSITE, SIDES } from '../state/bench/draft'
import { browserStore } from '../state/browser-store'
import { settingsFeature } from '../state/settings/settings.feature'
import { BarStrip } from './bar-strip'
import { FootDrawing, type FigureChange } from './foot-drawing'
import { FootWorkBar } from './foot-work'
import { IronSlip } from './iron-slip'
import { Keeping } from './keeping'
import { LastTime } from './last-time'
import { LookDrawing } from './look/look-drawing'
import { Looking } from './look/looking'
import { LookPanel } from './look/look-panel'
import { LookStep } from './look/look-step'
import { BalancePanel } from './map/balance-panel'
import { CompareView } from './map/compare-view'
import { Mapping } from './map/mapping'
import { SideDrawing } from './map/side-drawing'
import { MapStep } from './map-step'
import { NailStep } from './nail/nail-step'
import { PrintSheet, WORK_PRINTED } from './print-sheet'
import { Printing } from './printing'
import { ProblemList } from './problem-list'
import { AgainstView } from './shoe/against-view'
import { CutView } from './shoe/cut-view'
import { ShoeFace } from './shoe/shoe-face'
import { ShoeSide } from './shoe/shoe-side'
import { Shaping } from './shoe/shaping'
import { SolidView } from './shoe/solid-view'
import { ShoeStep } from './shoe-step'
import { Undoing } from './undoing'

type Step = 'look' | 'map' | 'shoe' | 'nail'
/** What is seen of foot and shoe: each step has its own choice. */
type View = 'sole' | 'side' | 'compare' | 'time' | 'off' | 'cut' | 'solid' | 'against'

const VIEWS: Record<Step, { view: View; label: string }[]> = {
  look: [],
  map: [
    { view: 'sole', label: 'Sole' },
    { view: 'side', label: 'Side' },
    { view: 'compare', label: 'Compare' },
    { view: 'time', label: 'Over time' },
  ],
  shoe: [
    { view: 'sole', label: 'Sole' },
    { view: 'off', label: 'Off the foot' },
    { view: 'side', label: 'Side' },
    { view: 'cut', label: 'Cut' },
    { view: 'solid', label: 'In the round' },
    { view: 'against', label: 'Against' },
  ],
  nail: [
    { view: 'sole', label: 'Sole' },
    { view: 'side', label: 'Side' },
  ],
}

const SIDE_NAMES: Record<Side, string> = {
  LF: 'left fore',
  RF: 'right fore',
  LH: 'left hind',
  RH: 'right hind',
}

const STEP_KEY = 'bench.step'

/** The step this browser was at in a visit, where it was the last one on the Bench. */
function keptStep(visitId: string | undefined): Step | undefined {
  const kept = browserStore.read<{ visitId: string; step: Step }>(STEP_KEY)
  return kept?.visitId === visitId ? kept?.step : undefined
}

/** The Bench: one foot at a time, the drawing in the middle and the numbers around it. */
@Component({
  selector: 'cr-bench-page',
  imports: [
    AgainstView,
    AsyncState,
    BalancePanel,
    BarStrip,
    ChangeChart,
    CompareView,
    CutView,
    FootDrawing,
    FootWorkBar,
    HelpButton,
    IronSlip,
    LastTime,
    LookDrawing,
    LookPanel,
    LookStep,
    MapStep,
    MatButton,
    MatIcon,
    MatIconButton,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    MatTooltip,
    NailStep,
    PrintSheet,
    ProblemList,
    Roving,
    RouterLink,
    ShoeFace,
    ShoeSide,
    ShoeStep,
    SideDrawing,
    SolidView,
  ],
  providers: [Keeping, Looking, Mapping, Shaping, Undoing, Printing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-page.html',
  styleUrl: './bench-page.scss',
  host: { '(document:keydown)': 'shortcut($event)' },
})
export class BenchPage {
  /** From the address. */
  readonly visitId = input.required<string>()
  readonly side = input.required<string>()

  protected readonly store = inject(Store)
  private readonly router = inject(Router)
  private readonly dialog = inject(MatDialog)
  protected readonly looking = inject(Looking)
  protected readonly mapping = inject(Mapping)
  protected readonly shaping = inject(Shaping)
  protected readonly keeping = inject(Keeping)
  protected readonly printing = inject(Printing)
  protected readonly undoing = inject(Undoing)
  protected readonly text = inject(FigureText)

  protected readonly sides = SIDES
  protected readonly sideNames = SIDE_NAMES
  protected readonly page = this.store.selectSignal(benchFeature.selectPage)
  protected readonly failure = this.store.selectSignal(benchFeature.selectFailure)
  protected readonly foot = this.store.selectSignal(benchFeature.selectSide)
  protected readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  protected readonly previous = this.store.selectSignal(benchFeature.selectPreviousFoot)
  protected readonly canMirror = this.store.selectSignal(benchFeature.selectCanMirror)
  protected readonly work = this.store.selectSignal(benchFeature.selectWork)
  protected readonly paused = this.store.selectSignal(benchFeature.selectPaused)
  /** What undo and redo would do, for the step that is open. */
  protected readonly steppable = computed(() =>
    this.step() === 'look' ? this.undoing.look : this.undoing.bench,
  )
  protected readonly dirtySides = this.store.selectSignal(benchFeature.selectDirtySides)
  protected readonly pixelsPerMm = this.store.selectSignal(settingsFeature.selectPixelsPerMm)
  protected readonly planning = this.store.selectSignal(benchFeature.selectPlanning)

  private readonly visitOnBench = computed(() => this.page()?.visit.id)
  /** A visit begins with looking, until something was measured at it; after a reload it goes on where it was. */
  protected readonly step = linkedSignal<string | undefined, Step>({
    // A signal of its own: the page changes with every save, the visit does not.
    source: this.visitOnBench,
    computation: (visitId) => keptStep(visitId) ?? (this.page()?.footRecords.length ? 'map' : 'look'),
  })
  /** The view of each step as it was left. */
  private readonly chosenViews = signal<Partial<Record<Step, View>>>({})
  protected readonly view = computed((): View => this.chosenViews()[this.step()] ?? 'sole')
  protected readonly views = computed(() => VIEWS[this.step()])
  protected look(view: View): void {
    this.chosenViews.update((views) => ({ ...views, [this.step()]: view }))
  }
  /** The handles of the step: those of the foot while it is mapped. */
  protected readonly pullHandles = computed(() => {
    const plan = this.plan()
    if (!plan || this.step() === 'map') return undefined
    return this.shaping.handlesOf(plan, this.step() === 'nail' ? 'nails' : 'shoe')
  })
  protected readonly steps: { step: Step; label: string }[] = [
    { step: 'look', label: 'Look' },
    { step: 'map', label: 'Map' },
    { step: 'shoe', label: 'Shoe' },
    { step: 'nail', label: 'Nail' },
  ]

  /** The newest plan of this foot that could be made: it stays in view while a figure is being put right. */
  protected readonly shownPlan = linkedSignal<
    { plan: Plan | undefined; key: string },
    { plan: Plan | undefined; key: string }
  >({
    source: () => ({ plan: this.planning().plan, key: `${this.page()?.visit.id} ${this.foot()}` }),
    computation: (now, before) =>
      now.plan === undefined && before?.value.key === now.key ? before.value : now,
  })
  protected readonly plan = computed(() => this.shownPlan().plan)
  protected readonly stale = computed(() => this.planning().plan === undefined || this.unread())
  private readonly unread = computed(() => Object.keys(this.draft()?.foot.entries ?? {}).length > 0)
  /** The needed figures that are not there yet: until they are, nothing is wrong, something is only missing. */
  protected readonly missing = computed(() =>
    FOOT_FIGURES.filter(({ key, needed }) => needed && this.draft()?.foot.figures[key] === undefined),
  )
  protected readonly missingWords = computed(() =>
    this.missing()
      .map(({ label }) => label.toLowerCase())
      .join(', '),
  )
  /** Why there is no plan, where it is not for want of a figure. */
  protected readonly problems = computed(() => {
    const missing = this.missing().map(({ key }) => `foot.${key}`)
    return this.planning().problems.filter(({ path }) => !missing.includes(path))
  })

  /** What the work began from, else what the foot wears. */
  protected readonly wears = computed(() => {
    const patterns = this.page()?.patterns ?? []
    const base = this.draft()?.base.pattern
    return patterns.find((pattern) => pattern.id === base?.id) ?? currentPatterns(patterns)[this.foot()]
  })

  /** A foot as the switcher names it: what is done to it, and what is still open. */
  protected footWords(side: Side): string {
    const work = this.work()[side]
    const open = this.dirtySides().includes(side)
    const measured = this.page()?.footRecords.some((record) => record.side === side)
    return [
      SIDE_NAMES[side],
      work ?? (measured ? 'measured' : open ? '' : 'not begun'),
      open ? 'not saved' : '',
      this.paused()[side] !== undefined ? 'paused' : '',
    ]
      .filter(Boolean)
      .join(', ')
  }

  /** The outline of the same foot at the visit before. */
  protected readonly before = computed(() => {
    const record = this.previous()
    const read = record && readFoot(record.foot)
    if (!read?.ok) return undefined
    const { foot } = read.value
    return { outline: footOutline(foot).track.points, toeY: foot.widestFromToe }
  })

  protected readonly visitDay = computed(() => longDay(this.page()!.visit.date))

  constructor() {
    effect(() => this.store.dispatch(benchActions.open({ visitId: this.visitId() })))
    effect(() => {
      const side = this.side() as Side
      if (SIDES.includes(side)) this.store.dispatch(benchActions.chooseSide({ side }))
      else void this.router.navigate(['/bench', this.visitId(), 'LF'], { replaceUrl: true })
    })
    const help = inject(Help)
    effect(() => help.here.set(this.step()))
    effect(() => {
      const step = this.step()
      const visitId = this.page()?.visit.id
      if (visitId) browserStore.write(STEP_KEY, { visitId, step })
    })
    effect(() => {
      if (this.view() === 'compare' || this.view() === 'time') untracked(() => this.mapping.readHistory())
    })
  }

  /** A foot with one figure changed, as the drawing asks for it while a handle is dragged. */
  protected readonly complete = (key: FootFigureKey, value: number): Foot | undefined => {
    const draft = this.draft()
    if (!draft) return undefined
    const read = readFoot({ ...footInput(this.foot(), draft.foot), [key]: this.asTaken(key, value) })
    return read.ok ? read.value.foot : undefined
  }

  protected again = (): void => this.store.dispatch(benchActions.open({ visitId: this.visitId() }))
  protected change = ({ key, value }: FigureChange): void =>
    this.store.dispatch(benchActions.setFigure({ key, value: this.asTaken(key, value) }))

  /** Handles stand at the outside of the heels; a width that is taken to the middle of the web is a web less. */
  private asTaken(key: FootFigureKey, value: number): number {
    const foot = this.draft()?.foot
    if (key !== 'heelWidth' || foot?.heelMeasure !== 'middle of web') return value
    return value - (foot.figures.heelWeb ?? this.plan()?.foot.heelWeb ?? 0)
  }

  protected settle = (): void => this.store.dispatch(benchActions.settle())
  /** Nothing goes on past what calls for the vet until it was acknowledged. */
  protected choose(step: Step): void {
    if (step !== 'look' && this.looking.closedGates().length > 0)
      return this.looking.readGates(() => this.step.set(step))
    this.step.set(step)
  }

  protected readonly workPrinted = WORK_PRINTED
  protected undo = (): void => this.undoing.undo(this.step() === 'look')
  protected redo = (): void => this.undoing.redo(this.step() === 'look')
  protected copyLast = (): void => this.store.dispatch(benchActions.copyLast())
  protected mirror = (): void => this.store.dispatch(benchActions.mirror())
  protected discard = (): void => this.store.dispatch(benchActions.discard())
  protected other = computed(() => OPPOSITE[this.foot()])

  protected takeSection(section: Section): void {
    const draft = this.draft()!
    const shoe = { ...draft.shoe, section: { ...section, material: draft.shoe.section.material } }
    this.store.dispatch(benchActions.setShoe({ shoe, touched: 'section' }))
    this.settle()
  }

  protected go(side: Side): void {
    void this.router.navigate(['/bench', this.visitId(), side], { replaceUrl: true })
  }

  /** Saved only as it is drawn: what cannot be made is put right first. */
  protected save(): void {
    const plan = this.plan()
    if (plan && !this.stale()) this.keeping.save(plan)
  }

  /** Keys of the whole Bench. Single letters only where nothing is being typed. */
  protected shortcut(event: KeyboardEvent): void {
    if (this.dialog.openDialogs.length > 0 || !this.page()) return
    const command = event.ctrlKey || event.metaKey
    const key = event.key.toLowerCase()
    if (command && key === 's') return this.take(event, () => this.save())
    if (command && key === 'z') return this.take(event, () => (event.shiftKey ? this.redo() : this.undo()))
    if (command && key === 'y') return this.take(event, () => this.redo())
    const typing = (event.target as Element).closest(
      'input, textarea, select, [role=combobox], [role=listbox]',
    )
    if (command || event.altKey || typing) return
    const side = SIDES[Number(key) - 1]
    if (side) return this.take(event, () => this.go(side))
    const step = { l: 'look', m: 'map', s: 'shoe', n: 'nail' }[key] as Step | undefined
    if (step) return this.take(event, () => this.choose(step))
  }

  private take(event: Event, act: () => void): void {
    event.preventDefault()
    act()
  }
}
