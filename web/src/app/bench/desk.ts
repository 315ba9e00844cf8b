import { computed, inject, Injectable, linkedSignal, signal } from '@angular/core'
import { toObservable, toSignal } from '@angular/core/rxjs-interop'
import {
  asTaken,
  currentPatterns,
  FOOT_FIGURES,
  footOutline,
  readFoot,
  withFigure,
  type FootFigureKey,
  type Plan,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { throttleTime } from 'rxjs'
import { benchActions, benchFeature, selectSeen } from '../state/bench/bench.feature'
import { footInput } from '../state/bench/draft'
import { workshopFor } from '../state/bench/workshop-for'
import type { BenchStep } from './bench-step'
import type { Pulled } from './sole/pull-handles'

/** ms between two renewals of what is told of a plan while a hand moves it. */
const TOLD_REST = 120

/** What lies on the Bench: the visit, the foot with its draft, the newest plan that could be made of it. */
@Injectable()
export class Desk {
  private readonly store = inject(Store)
  readonly page = this.store.selectSignal(benchFeature.selectPage)
  readonly side = this.store.selectSignal(benchFeature.selectSide)
  readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  readonly planning = this.store.selectSignal(benchFeature.selectPlanning)
  /** This foot at the visit before. */
  readonly previous = this.store.selectSignal(benchFeature.selectPreviousFoot)
  readonly canMirror = this.store.selectSignal(benchFeature.selectCanMirror)
  private readonly seen = this.store.selectSignal(selectSeen)

  /** The step that is open. */
  readonly step = signal<BenchStep | undefined>(undefined)
  /** The key of the step that was asked for from inside another one. */
  readonly wanted = signal<string | undefined>(undefined)
  /** Handles of the landmarks stand on the sole instead of those of the measures. */
  readonly landmarks = signal(false)

  /** The foot as it was taken so far, with what was found on it. */
  readonly foot = computed(() => {
    const draft = this.draft()
    return draft && footInput(this.side(), draft.foot, this.seen()[this.side()])
  })

  private readonly newest = linkedSignal<
    { plan: Plan | undefined; key: string },
    { plan: Plan | undefined; key: string }
  >({
    source: () => ({ plan: this.planning().plan, key: `${this.page()?.visit.id} ${this.side()}` }),
    computation: (now, before) =>
      now.plan === undefined && before?.value.key === now.key ? before.value : now,
  })
  /** The newest plan of this foot that could be made: it stays in view while a figure is being put right. */
  readonly plan = computed(() => this.newest().plan)
  private readonly now = computed(() => ({ plan: this.plan(), draft: this.draft() }))
  private readonly rested = toSignal(
    toObservable(this.now).pipe(throttleTime(TOLD_REST, undefined, { leading: true, trailing: true })),
  )
  /** A hand holds a handle. */
  private readonly pulling = signal(false)
  /** Plan and draft as they are told in words and figures: a drawing that follows a hand need not wait for tables. */
  readonly told = computed(() => (this.pulling() ? (this.rested() ?? this.now()) : this.now()))

  /** What is in view are not the figures that are typed now. */
  readonly stale = computed(
    () => this.planning().plan === undefined || Object.keys(this.draft()?.foot.entries ?? {}).length > 0,
  )

  /** The needed figures that are not there yet: until they are, nothing is wrong, something is only missing. */
  readonly missing = computed(() =>
    FOOT_FIGURES.filter(({ key, needed }) => needed && this.draft()?.foot.figures[key] === undefined),
  )
  /** Why there is no plan, where it is not for want of a figure. */
  readonly problems = computed(() => {
    const missing = this.missing().map(({ key }) => `foot.${key}`)
    return this.planning().problems.filter(({ path }) => !missing.includes(path))
  })

  /** What the work began from, else what the foot wears. */
  readonly wears = computed(() => {
    const patterns = this.page()?.patterns ?? []
    const base = this.draft()?.base.pattern
    return patterns.find((pattern) => pattern.id === base?.id) ?? currentPatterns(patterns)[this.side()]
  })

  /** The outline of the same foot at the visit before. */
  readonly before = computed(() => {
    const record = this.previous()
    const read = record && readFoot(record.foot)
    if (!read?.ok) return undefined
    const { foot } = read.value
    return { outline: footOutline(foot).track.points, toeY: foot.widestFromToe }
  })

  /** Foot and shoe as they are asked for from the server, headed by the horse's name. */
  readonly asked = computed(() => {
    const [foot, draft, page] = [this.foot(), this.draft(), this.page()]
    if (!foot || !draft || !page) return undefined
    return { foot, shoe: draft.shoe, workshop: workshopFor(page, draft.shoe), title: page.horse.name }
  })

  /** What can be taken hold of on the sole in the step that is open. */
  readonly handles = computed(() => {
    const [plan, foot, step] = [this.plan(), this.foot(), this.step()]
    return plan && foot && step ? step.handles(plan, foot, this.landmarks()) : []
  })

  /** A figure pulled on a drawing; the plan is the one its handle was seen on. */
  pull({ path, value }: Pulled): void {
    const [draft, plan] = [this.draft(), this.plan()]
    if (!draft || !plan) return
    this.pulling.set(true)
    if (!path.startsWith('foot.')) {
      const shoe = withFigure(draft.shoe, path, value, plan)
      return this.store.dispatch(benchActions.setShoe({ shoe, touched: path }))
    }
    const key = path.slice('foot.'.length) as FootFigureKey
    const taken = asTaken(key, value, this.foot()!, plan.foot)
    this.store.dispatch(benchActions.setFigure({ key, value: taken }))
  }

  /** A hand was lifted: what was changed till now is one step. */
  settle = (): void => {
    this.pulling.set(false)
    this.store.dispatch(benchActions.settle())
  }
  copyLast = (): void => this.store.dispatch(benchActions.copyLast())
}
