import { computed, inject, Injectable, linkedSignal } from '@angular/core'
import { ProblemError, type Problem } from '@crescent/core'
import {
  centrelineOfPlan,
  measuresOf,
  planBends,
  soldCentreline,
  tappedShape,
  type SeenOff,
  type ToldBendPlan,
} from '@crescent/core/anvil'
import { Store } from '@ngrx/store'
import { benchActions, benchFeature, selectFindings } from '../../../state/bench/bench.feature'
import { footInput, type AnvilDraft } from '../../../state/bench/draft'

/** Nothing was measured or seen of the shoe yet. */
const UNTRIED: AnvilDraft = { by: 'tape', seen: [] }

/** What is planned for the shoe on the anvil, or why it is not. */
interface Tried {
  plan?: ToldBendPlan
  problems: readonly Problem[]
}

/** The shape on the anvil as it was told, and the bends that bring it to its pattern. */
@Injectable({ providedIn: 'root' })
export class Trying {
  private readonly store = inject(Store)
  private readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  private readonly planning = this.store.selectSignal(benchFeature.selectPlanning)
  private readonly findings = this.store.selectSignal(selectFindings)
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
    return draft && footInput(this.side(), draft.foot, this.findings()[this.side()])
  })
  readonly heelMeasure = computed(() => this.draft()?.foot.heelMeasure ?? 'outside')

  /** What a tape would read of the shoe once it is right. */
  readonly right = computed(() => {
    const [pattern, plan] = [this.pattern(), this.plan()]
    return pattern && plan && measuresOf(pattern, plan.section.width, this.heelMeasure())
  })

  /** A factory shoe lies on the Bench: it can be shaped as it comes from the box. */
  readonly fromBox = computed(() => this.draft()?.shoe.stock !== undefined)

  /** Enough was told to plan by. */
  readonly told = computed(() => {
    const { by, seen } = this.anvil()
    const { width, heelWidth, length } = this.anvil()
    if (by === 'box') return this.fromBox()
    return by === 'eye' ? seen.length > 0 : [width, heelWidth, length].some((value) => value !== undefined)
  })

  readonly tried = computed((): Tried => {
    const [foot, draft, pattern, right] = [this.foot(), this.draft(), this.pattern(), this.right()]
    if (!foot || !draft || !pattern || !right || !this.told()) return { problems: [] }
    const { by, seen, width, heelWidth, length } = this.anvil()
    // A measure nobody took is as it should be.
    const { stock } = draft.shoe
    const shape =
      by === 'box' && stock
        ? { points: soldCentreline(stock.facts).points }
        : by === 'eye'
          ? { points: tappedShape(pattern, seen as SeenOff[]) }
          : {
              width: width ?? right.width,
              heelWidth: heelWidth ?? right.heelWidth,
              heelMeasure: this.heelMeasure(),
              length: length ?? right.length,
            }
    try {
      return { plan: planBends({ foot, shoe: draft.shoe }, shape), problems: [] }
    } catch (error) {
      if (error instanceof ProblemError) return { problems: error.problems }
      throw error
    }
  })

  /** How many of the bends are made in the drawing. */
  readonly made = linkedSignal<unknown, number>({ source: this.tried, computation: () => 0 })

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

  clear(): void {
    this.store.dispatch(
      benchActions.setAnvil({ anvil: { by: this.anvil().by, seen: [] }, touched: 'anvil.seen' }),
    )
    this.settle()
  }

  keep = (field: string, text: string): void => this.store.dispatch(benchActions.setEntry({ field, text }))
  settle = (): void => this.store.dispatch(benchActions.settle())
}
