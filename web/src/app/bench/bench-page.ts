import {
  afterNextRender,
  ChangeDetectionStrategy,
  DestroyRef,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
  viewChild,
  type ElementRef,
} from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { Router } from '@angular/router'
import { OPPOSITE, SIDES, type Side } from '@crescent/core'
import { Store } from '@ngrx/store'
import { AsyncState } from '../common/async-state'
import { Dialogs } from '../common/dialogs'
import { today } from '../common/today'
import { Roving } from '../common/roving'
import { CourseDue } from '../courses/course-due'
import { HorseCourses } from '../courses/horse-courses'
import { PainStrip } from '../courses/pain-strip'
import { Help } from '../help/help'
import { benchActions, benchFeature } from '../state/bench/bench.feature'
import { browserStore } from '../state/browser-store'
import { BenchHead } from './bench-head'
import type { BenchStep, BenchView } from './bench-step'
import { fetchAhead } from './ahead'
import { Brought } from './brought'
import { Desk } from './desk'
import { FootWorkBar } from './foot-work'
import { Keeping } from './keep/keeping'
import { NextHorse } from './keep/next-horse'
import { SavingAll } from './keep/saving-all'
import { LastTime } from './last-time'
import { PrintSheets } from './print/print-sheets'
import { Printing } from './print/printing'
import { ProblemList } from './problem-list'
import { SIDE_NAMES } from '@crescent/core/text'
import { BarStrip } from './slip/bar-strip'
import { STEPS } from './steps'
import { StopStrip } from './stop-strip'
import { Forging } from './steps/iron/forging'
import { Looking } from './steps/look/looking'
import { Mapping } from './steps/map/mapping'
import { Shaping } from './steps/shoe/shaping'
import { Undoing } from './undoing'

const STEP_KEY = 'bench.step'

/** The step this browser was at in a visit, where it was the last one on the Bench. */
function keptStep(visitId: string | undefined): BenchStep | undefined {
  const kept = browserStore.read<{ visitId: string; step: string }>(STEP_KEY)
  return kept?.visitId === visitId ? STEPS.find(({ key }) => key === kept?.step) : undefined
}

/** The Bench: one foot at a time, the drawing in the middle and the numbers around it. */
@Component({
  selector: 'cr-bench-page',
  imports: [
    AsyncState,
    BarStrip,
    BenchHead,
    Brought,
    CourseDue,
    FootWorkBar,
    LastTime,
    MatButton,
    MatIcon,
    NextHorse,
    PainStrip,
    PrintSheets,
    ProblemList,
    Roving,
    StopStrip,
  ],
  providers: [Desk, Forging, HorseCourses, Keeping, Looking, Mapping, Printing, SavingAll, Shaping, Undoing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-page.html',
  styleUrl: './bench-page.scss',
  host: { '(document:keydown)': 'shortcut($event)' },
})
export class BenchPage {
  /** From the address. */
  readonly visitId = input.required<string>()
  readonly side = input.required<string>()
  /** The step, from the address too: Back goes to the one before. */
  readonly at = input<string | undefined>()

  private readonly panel = viewChild<ElementRef<HTMLElement>>('panel')
  private readonly store = inject(Store)
  private readonly router = inject(Router)
  private readonly dialogs = inject(Dialogs)
  private readonly undoing = inject(Undoing)
  protected readonly desk = inject(Desk)
  protected readonly looking = inject(Looking)
  protected readonly keeping = inject(Keeping)

  protected readonly steps = STEPS
  protected readonly today = today()
  protected readonly failure = this.store.selectSignal(benchFeature.selectFailure)
  protected readonly work = this.store.selectSignal(benchFeature.selectWork)
  protected readonly paused = this.store.selectSignal(benchFeature.selectPaused)

  private readonly visitOnBench = computed(() => this.desk.page()?.visit.id)
  /** A visit begins with its first step, until something was measured at it, or goes on where this browser was. */
  private readonly first = linkedSignal<string | undefined, BenchStep>({
    // A signal of its own: the page changes with every save, the visit does not.
    source: this.visitOnBench,
    computation: (visitId) =>
      keptStep(visitId) ??
      (this.desk.page()?.footRecords.length ? STEPS.find(({ needsPlan }) => needsPlan) : undefined) ??
      STEPS[0],
  })
  protected readonly step = computed(() => STEPS.find(({ key }) => key === this.at()) ?? this.first())
  /** The bar is unfolded where it is no part of the step. */
  protected readonly barOpen = signal(false)
  /** The view of each step as it was left. */
  private readonly chosenViews = signal<Partial<Record<BenchStep['key'], BenchView>>>({})
  protected readonly view = computed(() => this.chosenViews()[this.step().key] ?? this.step().views[0])
  protected look(view: BenchView): void {
    this.chosenViews.update((views) => ({ ...views, [this.step().key]: view }))
  }

  /** The step needs a plan that could not be made yet. */
  protected readonly waiting = computed(() => this.step().needsPlan && !this.desk.plan())
  protected readonly otherSide = computed(() => OPPOSITE[this.desk.side()])
  protected readonly sideName = computed(() => SIDE_NAMES[this.desk.side()])
  protected readonly missingWords = computed(() =>
    this.desk
      .missing()
      .map(({ label }) => label.toLowerCase())
      .join(', '),
  )

  constructor() {
    effect(() => this.store.dispatch(benchActions.open({ visitId: this.visitId() })))
    effect(() => {
      const side = this.side() as Side
      if (SIDES.includes(side)) this.store.dispatch(benchActions.chooseSide({ side }))
      else void this.router.navigate(['/bench', this.visitId(), 'LF'], { replaceUrl: true })
    })
    const help = inject(Help)
    const destroy = inject(DestroyRef)
    effect(() => {
      this.desk.step.set(this.step())
      help.here.set(this.step().key)
    })
    // A step is read from its top, however far down the one before was left.
    effect(() => {
      this.step()
      this.panel()?.nativeElement.scrollTo({ top: 0 })
    })
    effect(() => {
      const wanted = STEPS.find(({ key }) => key === this.desk.wanted())
      if (!wanted) return
      untracked(() => {
        this.desk.wanted.set(undefined)
        this.choose(wanted)
      })
    })
    effect(() => {
      const step = this.step().key
      const visitId = this.visitOnBench()
      if (visitId) browserStore.write(STEP_KEY, { visitId, step })
    })
    afterNextRender(() => {
      const ahead = fetchAhead()
      destroy.onDestroy(() => clearTimeout(ahead))
    })
  }

  protected again = (): void => this.store.dispatch(benchActions.open({ visitId: this.visitId() }))

  /** Nothing goes on past what calls for the vet until it was acknowledged. */
  protected choose(step: BenchStep): void {
    if (!step.beforeGates && this.looking.closedGates().length > 0)
      return this.looking.readGates(() => this.show(step))
    this.show(step)
  }

  private show(step: BenchStep): void {
    if (step === this.step()) return
    void this.router.navigate([], { queryParams: { at: step.key }, queryParamsHandling: 'merge' })
  }

  /** A foot that is not measured begins from its pair or from last time, and is gone through in Map. */
  protected begin(from?: 'mirror' | 'copy'): void {
    if (from === 'mirror') this.store.dispatch(benchActions.mirror())
    if (from === 'copy') this.desk.copyLast()
    this.choose(STEPS.find(({ key }) => key === 'map')!)
  }

  /** A course asks for something: it stands where it is looked, on its foot. */
  protected lookAt(side: Side): void {
    this.go(side)
    this.choose(STEPS[0])
  }

  protected go(side: Side): void {
    void this.router.navigate(['/bench', this.visitId(), side], {
      replaceUrl: true,
      queryParamsHandling: 'preserve',
    })
  }

  /** The next foot, or the one before. */
  private besideSide(by: 1 | -1): Side {
    const at = SIDES.indexOf(this.desk.side())
    return SIDES[(at + by + SIDES.length) % SIDES.length]!
  }

  /** Keys of the whole Bench. Single letters only where nothing is being typed. */
  protected shortcut(event: KeyboardEvent): void {
    if (this.dialogs.open || !this.desk.page()) return
    const command = event.ctrlKey || event.metaKey
    const key = event.key.toLowerCase()
    if (command && key === 's') return take(event, () => this.keeping.saveDrawn())
    if (command && key === 'z')
      return take(event, () => (event.shiftKey ? this.undoing.redo() : this.undoing.undo()))
    if (command && key === 'y') return take(event, () => this.undoing.redo())
    const typing = (event.target as Element).closest(
      'input, textarea, select, [role=combobox], [role=listbox]',
    )
    if (command || event.altKey || typing) return
    // A letter of its own: a digit that was meant for a figure must not lead to another foot.
    if (key === 'g') return take(event, () => this.go(this.besideSide(event.shiftKey ? -1 : 1)))
    const step = STEPS.find(({ letter }) => letter === key)
    if (step) return take(event, () => this.choose(step))
  }
}

function take(event: Event, act: () => void): void {
  event.preventDefault()
  act()
}
