import { computed, inject, Injectable, signal } from '@angular/core'
import {
  planShoe,
  ProblemError,
  sectionOf,
  SIDES,
  type FootInput,
  type Plan,
  type ShoeInput,
  type Side,
  type Size,
  type SizeFacts,
} from '@crescent/core'
import {
  madeByHand,
  rankSizes,
  takenSize,
  weighed,
  type RankedSize,
  type SizeUse,
  type SizeWeights,
} from '@crescent/core/anvil'
import { Store } from '@ngrx/store'
import { benchActions, benchFeature, selectSeen } from '../../../state/bench/bench.feature'
import { today } from '../../../common/today'
import { footInput, isMeasured, type Draft } from '../../../state/bench/draft'
import { tryPlan } from '../../../state/bench/planning'
import { browserStore } from '../../../state/browser-store'
import { lookFeature } from '../../../state/look/look.feature'
import { SizeTable } from '../../../state/size-table'

/** A size of the table as it is ranked: its facts are the row's. */
export type RankedRow = RankedSize & { facts: Size }

/** The facts of a row by themselves, as they are copied into a pattern. */
export function factsOf(row: Size): SizeFacts {
  const { range, label: own, kind, feet, web, thickness, length, width, holes, clips, crease, weight } = row
  // In a record it stands by itself: there its range is part of its name.
  const label = `${range} ${own}`.trim().slice(0, 60)
  return {
    ...{ label, kind, feet, web, thickness, length, holes },
    ...(width !== undefined && { width }),
    ...(clips !== undefined && { clips }),
    ...(crease !== undefined && { crease }),
    ...(weight !== undefined && { weight }),
  }
}

/** Where this browser keeps what counts for its farrier. */
const WEIGHTS = 'size-weights'

/** The factory sizes of the table as they stand to the foot on the Bench. */
@Injectable({ providedIn: 'root' })
export class Sizing {
  private readonly store = inject(Store)
  readonly table = inject(SizeTable)
  readonly side = this.store.selectSignal(benchFeature.selectSide)
  readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  private readonly drafts = this.store.selectSignal(benchFeature.selectDrafts)
  private readonly seen = this.store.selectSignal(selectSeen)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly look = this.store.selectSignal(lookFeature.selectLook)

  /** What the farrier has set, over what is usual for this horse. */
  readonly weights = signal<Partial<SizeWeights>>(browserStore.read(WEIGHTS) ?? {})
  readonly weighed = computed(() => weighed(this.useFor(this.side())))

  readonly foot = computed(() => this.footOf(this.side()))
  readonly ranked = computed((): readonly RankedRow[] => this.rankFor(this.side()))
  readonly possible = computed(() => this.ranked().filter(({ possible }) => possible))
  /** The first choice for each foot that is measured. */
  readonly wholeHorse = computed(() =>
    SIDES.flatMap((side) => {
      const draft = this.drafts()?.[side]
      const first = draft && isMeasured(draft) ? this.rankFor(side)[0] : undefined
      return first ? [{ side, first: first.possible ? first : undefined }] : []
    }),
  )

  /** The size that lies on the Bench. */
  readonly used = computed(() => this.draft()?.shoe.stock)
  private readonly chosen = signal<string | undefined>(undefined)
  /** The one laid over: as chosen, else the next that can be laid. */
  readonly over = computed(() => {
    const rows = this.ranked()
    const own = this.shown()?.facts.id
    return rows.find(({ facts }) => facts.id === this.chosen() && facts.id !== own)
  })
  /** The one in question: what lies on the Bench, else the first choice. */
  readonly shown = computed(() => {
    const id = this.used()?.sizeId
    return this.ranked().find(({ facts }) => facts.id === id) ?? this.ranked()[0]
  })

  private readonly planning = this.store.selectSignal(benchFeature.selectPlanning)
  /** The shoe as it lies on the Bench, with all that is made of it; and why there is none. */
  readonly onBench = computed(() => this.planning().plan)
  readonly problems = computed(() => this.planning().problems)
  /** How the shoe that came off this foot was worn, where it was the same size. */
  readonly wornBefore = computed(() => {
    const page = this.page()
    const last = page?.previous?.footRecords.find(({ side }) => side === this.side())
    const pattern = page?.patterns.find(({ id }) => id === last?.patternId)
    const stock = pattern?.shoe.stock
    const fitted = stock?.facts.label === this.used()?.facts.label ? stock?.fitted : undefined
    // A pattern that was stored at this visit already has this reset in its count.
    if (!fitted || pattern?.visitId !== page?.visit.id) return fitted
    return fitted.resets > 0 ? { ...fitted, resets: fitted.resets - 1 } : undefined
  })

  /** What is shown of the size in question: as it lies on the Bench where it does, else as it would. */
  readonly plan = computed(() => {
    const used = this.used()
    const plan = this.onBench()
    return used && plan?.iron.size === used.facts.label && this.shown()?.facts.id === used.sizeId
      ? plan
      : this.planOf(this.shown())
  })
  readonly overPlan = computed(() => this.planOf(this.over()))
  /** What a shoe made by hand would take, where nothing in the table can be laid. */
  readonly byHand = computed(() => {
    const [foot, draft] = [this.foot(), this.draft()]
    return foot && draft ? tryPlan(() => planShoe(foot, madeByHand(draft.shoe))).plan : undefined
  })

  layOver = (row: RankedRow | undefined): void => this.chosen.set(row?.facts.id)

  /** A size taken from the table lies on the Bench; holes that would prick are left empty. */
  take({ facts, holes }: RankedRow): void {
    const now = this.draft()
    if (!now) return
    const taken = takenSize(now.shoe, factsOf(facts), holes, facts.id)
    const fitted = { since: this.page()?.visit.date ?? today(), resets: 0 }
    this.store.dispatch(
      benchActions.setShoe({ shoe: { ...taken, stock: { ...taken.stock!, fitted } }, touched: 'size' }),
    )
    this.store.dispatch(benchActions.settle())
  }

  /** Something else is said of the size on the Bench: where it lies, how it is worn. */
  restock(change: Partial<NonNullable<ShoeInput['stock']>>, touched: string): void {
    const now = this.draft()
    if (!now?.shoe.stock) return
    const shoe = { ...now.shoe, stock: { ...now.shoe.stock, ...change } }
    this.store.dispatch(benchActions.setShoe({ shoe, touched: `stock.${touched}` }))
  }

  keep = (field: string, text: string): void => this.store.dispatch(benchActions.setEntry({ field, text }))
  settle = (): void => this.store.dispatch(benchActions.settle())

  setWeight(key: keyof SizeWeights, value: number | undefined): void {
    this.weights.update(({ [key]: _old, ...rest }) =>
      value === undefined ? rest : { ...rest, [key]: value },
    )
    browserStore.write(WEIGHTS, this.weights())
  }

  /** Back to a shoe turned from a bar. */
  makeByHand(): void {
    const now = this.draft()
    if (!now?.shoe.stock) return
    this.store.dispatch(benchActions.setShoe({ shoe: madeByHand(now.shoe), touched: 'size' }))
    this.store.dispatch(benchActions.settle())
  }

  /** What the horse does, where, and what was agreed for this foot. */
  private useFor(side: Side): SizeUse {
    const look = this.look()
    const { work, going, living } = look?.ways ?? {}
    const advice = (look?.advice ?? [])
      .filter((one) => one.side === side && one.choice === 'accepted')
      .map(({ code }) => code)
    return { work, going, living, advice, weights: this.weights() }
  }

  private footOf(side: Side): FootInput | undefined {
    const draft: Draft | undefined = this.drafts()?.[side]
    return draft && footInput(side, draft.foot, this.seen()[side])
  }

  private rankFor(side: Side): readonly RankedRow[] {
    const [foot, draft, rows] = [this.footOf(side), this.drafts()?.[side], this.table.rows()]
    if (!foot || !draft || !rows || rows.length === 0) return []
    try {
      return rankSizes(foot, draft.shoe.fit, rows, this.useFor(side)) as RankedRow[]
    } catch (error) {
      // A foot that cannot be read is told of in its own step.
      if (error instanceof ProblemError) return []
      throw error
    }
  }

  private planOf(row: RankedRow | undefined): Plan | undefined {
    const [foot, draft] = [this.foot(), this.draft()]
    if (!foot || !draft || !row) return undefined
    const facts = factsOf(row.facts)
    const plain: ShoeInput = {
      section: sectionOf(facts),
      stock: { kind: 'size', facts },
      fit: draft.shoe.fit,
    }
    return tryPlan(() => planShoe(foot, plain)).plan
  }
}
