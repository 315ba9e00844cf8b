import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core'
import {
  branchLines,
  centrelineOf,
  centrelineOfPlan,
  readPoints,
  rightMeasures,
  soldCentreline,
  straightBar,
  tappedShape,
  type AnvilShape,
  type SeenOff,
  type TryPlace,
} from '@crescent/core/anvil'
import type { Half } from '@crescent/core'
import { Store } from '@ngrx/store'
import { benchActions, benchFeature, selectSeen } from '../../../state/bench/bench.feature'
import { footInput, type AnvilDraft } from '../../../state/bench/draft'
import { FigureText } from '../../../drawing/figure-text'
import { BendPlanner } from './bend-planner'
import type { AskedBends, Tried } from './tried-bends'

/** Nothing was measured or seen of the shoe yet. */
const UNTRIED: AnvilDraft = { by: 'tape', seen: [] }

/** Further off than this it is another shoe, mm. */
const MOST_OFF = 30

/** The shape on the anvil as it was told, and the bends that bring it to its pattern. */
@Injectable({ providedIn: 'root' })
export class Trying {
  private readonly store = inject(Store)
  private readonly planner = inject(BendPlanner)
  private readonly text = inject(FigureText)
  private readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  private readonly planning = this.store.selectSignal(benchFeature.selectPlanning)
  private readonly looked = this.store.selectSignal(selectSeen)
  readonly side = this.store.selectSignal(benchFeature.selectSide)

  readonly plan = computed(() => this.planning().plan)
  readonly anvil = computed((): AnvilDraft => this.draft()?.anvil ?? UNTRIED)
  readonly entries = computed(() => this.draft()?.foot.entries ?? {})
  readonly pattern = computed(() => {
    const plan = this.plan()
    return plan && centrelineOfPlan(plan)
  })
  private readonly foot = computed(() => {
    const draft = this.draft()
    return draft && footInput(this.side(), draft.foot, this.looked()[this.side()])
  })
  readonly heelMeasure = computed(() => this.draft()?.foot.heelMeasure ?? 'outside')

  /** What a tape would read of the shoe once it is right. */
  readonly right = computed(() => {
    const plan = this.plan()
    return plan && rightMeasures(plan, this.heelMeasure())
  })

  /** A factory shoe lies on the Bench: it can be shaped as it comes from the box. */
  readonly ofSize = computed(() => this.draft()?.shoe.stock !== undefined)

  /** It cannot be bent: what does not fit is shifted, sawn or left. */
  readonly moulded = computed(() => this.plan()?.moulded)

  /** Enough was told to plan by. */
  readonly told = computed(() => {
    const { by, seen } = this.anvil()
    const { width, heelWidth, length } = this.anvil()
    if (by === 'box') return true
    if (by === 'points') return (this.anvil().points ?? '').trim() !== ''
    return by === 'eye' ? seen.length > 0 : [width, heelWidth, length].some((value) => value !== undefined)
  })

  /** The shape on the anvil as it was told; undefined where nothing was, or what is wrong with it. */
  private readonly shape = computed((): AnvilShape | { wrong: string } | undefined => {
    const [pattern, right] = [this.pattern(), this.right()]
    if (!pattern || !right || !this.told() || this.moulded()) return undefined
    const { by, seen, points = '', width, heelWidth, length } = this.anvil()
    const stock = this.draft()?.shoe.stock
    if (by === 'box') return { points: stock ? soldCentreline(stock.facts).points : straightBar(pattern) }
    if (by === 'points') return readPoints(points, this.text.style().unit)
    if (by === 'eye') return { points: tappedShape(pattern, seen as SeenOff[]) }
    return {
      // A measure nobody took is as it should be.
      width: width ?? right.width,
      heelWidth: heelWidth ?? right.heelWidth,
      heelMeasure: this.heelMeasure(),
      length: length ?? right.length,
    }
  })

  private readonly asked = computed(
    (): AskedBends | Tried => {
      const [foot, draft, shape] = [this.foot(), this.draft(), this.shape()]
      if (!foot || !draft || !shape) return { problems: [] }
      if ('wrong' in shape) return { problems: [{ path: 'shape.points', message: shape.wrong }] }
      const { by, seen } = this.anvil()
      const off = [...new Set(seen.map(({ branch }) => branch))]
      return {
        target: { foot, shoe: draft.shoe },
        shape,
        ...(by === 'eye' && off.length === 1 && { branches: off }),
      }
    },
    // What is said beside the shape asks for no other bends, and takes back none that were made.
    { equal: (a, b) => JSON.stringify(a) === JSON.stringify(b) },
  )

  /** The newest plan that was asked for; the one before stays in view while it is worked out. */
  readonly tried = signal<Tried>({ problems: [] })
  /** How many screens look at it: where nobody does, nothing is planned. */
  private readonly lookers = signal(0)

  constructor() {
    effect(() => {
      if (this.lookers() === 0) return
      const asked = this.asked()
      // Looked at again after another step it is what it was, with the bends that were made.
      if (asked === this.answered) return
      if (!('target' in asked)) return untracked(() => this.settleOn(asked, asked))
      void this.planner.ask(asked).then((tried) => {
        if (untracked(this.asked) === asked) this.settleOn(asked, tried)
      })
    })
  }

  private answered: AskedBends | Tried | undefined
  private settleOn(asked: AskedBends | Tried, tried: Tried): void {
    this.answered = asked
    this.tried.set(tried)
  }

  /** A screen looks at what is planned; told again when it looks away. */
  look(): () => void {
    this.lookers.update((n) => n + 1)
    return () => this.lookers.update((n) => n - 1)
  }

  /** Where the lines of the branches meet: of the shape on the anvil where it is known, after the bends that were made. */
  readonly lines = computed(() => {
    const [plan, pattern] = [this.plan(), this.pattern()]
    if (!plan || !pattern) return undefined
    const laid = this.tried().plan?.laid[this.made()]
    return branchLines(laid ? { ...pattern, ...centrelineOf(laid) } : pattern, plan.landmarks.bulbY)
  })

  /** Which bends these are: where others are planned, those that were made are not among them. */
  private readonly bends = computed(() =>
    (this.tried().plan?.bends ?? [])
      .map(({ branch, fromToe, angle }) => `${branch} ${fromToe.toFixed(1)} ${angle.toFixed(1)}`)
      .join(),
  )
  /** How many of the bends are made: ticked as they were before a reload. */
  readonly made = computed(() => {
    const { bent } = this.anvil()
    return bent && bent.of === this.bends() ? bent.count : 0
  })

  /** So many of the bends are made, from the first on. */
  make(count: number): void {
    this.put({ bent: { count, of: this.bends() } }, 'bent')
    this.settle()
  }

  put(change: Partial<AnvilDraft>, touched: string): void {
    this.store.dispatch(
      benchActions.setAnvil({ anvil: { ...this.anvil(), ...change }, touched: `anvil.${touched}` }),
    )
  }

  seen(off: SeenOff): void {
    const others = this.anvil().seen.filter(
      ({ branch, place }) => branch !== off.branch || place !== off.place,
    )
    this.put({ seen: Math.abs(off.by) < 0.01 ? others : [...others, off] }, 'seen')
    this.settle()
  }

  offAt = (branch: Half, place: TryPlace): number =>
    this.anvil().seen.find((one) => one.branch === branch && one.place === place)?.by ?? 0

  offWords(branch: Half, place: TryPlace): string {
    const by = this.offAt(branch, place)
    return by === 0 ? 'right' : `${this.text.length(Math.abs(by))} ${by > 0 ? 'wide' : 'tight'}`
  }

  /** Two divisions of the rule wider or tighter at a place. */
  nudge(branch: Half, place: TryPlace, way: 1 | -1): void {
    const by = this.offAt(branch, place) + way * this.text.step('length') * 2
    if (Math.abs(by) <= MOST_OFF) this.seen({ branch, place, by })
  }

  clear(): void {
    this.store.dispatch(
      benchActions.setAnvil({ anvil: { by: this.anvil().by, seen: [] }, touched: 'anvil.seen' }),
    )
    this.settle()
  }

  keep = (field: string, text: string): void => this.store.dispatch(benchActions.setEntry({ field, text }))
  settle = (): void => this.store.dispatch(benchActions.settle())
}
