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
  type SizeWeights,
} from '@crescent/core/anvil'
import { Store } from '@ngrx/store'
import { benchActions, benchFeature, selectFindings } from '../../../state/bench/bench.feature'
import { footInput, isMeasured, type Draft } from '../../../state/bench/draft'
import { tryPlan } from '../../../state/bench/planning'
import { lookFeature } from '../../../state/look/look.feature'
import { SizeTable } from '../../../state/size-table'

/** A size of the table as it is ranked: its facts are the row's. */
export type RankedRow = RankedSize & { facts: Size }

/** The facts of a row by themselves, as they are copied into a pattern. */
export function factsOf(row: Size): SizeFacts {
  const { range, label: own, kind, feet, web, thickness, length, width, holes, clips, weight } = row
  // In a record it stands by itself: there its range is part of its name.
  const label = `${range} ${own}`.trim().slice(0, 60)
  return {
    ...{ label, kind, feet, web, thickness, length, holes },
    ...(width !== undefined && { width }),
    ...(clips !== undefined && { clips }),
    ...(weight !== undefined && { weight }),
  }
}

/** The factory sizes of the table as they stand to the foot on the Bench. */
@Injectable({ providedIn: 'root' })
export class Sizing {
  private readonly store = inject(Store)
  readonly table = inject(SizeTable)
  readonly side = this.store.selectSignal(benchFeature.selectSide)
  readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  private readonly drafts = this.store.selectSignal(benchFeature.selectDrafts)
  private readonly findings = this.store.selectSignal(selectFindings)
  private readonly look = this.store.selectSignal(lookFeature.selectLook)

  /** What the farrier has set, over what is usual for this horse. */
  readonly weights = signal<Partial<SizeWeights>>({})
  readonly use = computed(() => {
    const { work, going, living } = this.look()?.ways ?? {}
    return { work, going, living, weights: this.weights() }
  })
  readonly weighed = computed(() => weighed(this.use()))

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

  readonly plan = computed(() => this.planOf(this.shown()))
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
    this.store.dispatch(benchActions.setShoe({ shoe: taken, touched: 'size' }))
    this.store.dispatch(benchActions.settle())
  }

  /** Back to a shoe turned from a bar. */
  makeByHand(): void {
    const now = this.draft()
    if (!now?.shoe.stock) return
    this.store.dispatch(benchActions.setShoe({ shoe: madeByHand(now.shoe), touched: 'size' }))
    this.store.dispatch(benchActions.settle())
  }

  private footOf(side: Side): FootInput | undefined {
    const draft: Draft | undefined = this.drafts()?.[side]
    return draft && footInput(side, draft.foot, this.findings()[side])
  }

  private rankFor(side: Side): readonly RankedRow[] {
    const [foot, draft, rows] = [this.footOf(side), this.drafts()?.[side], this.table.rows()]
    if (!foot || !draft || !rows || rows.length === 0) return []
    try {
      return rankSizes(foot, draft.shoe.fit, rows, this.use()) as RankedRow[]
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
