import { computed, inject, Injectable } from '@angular/core'
import {
  aheadShare,
  OPPOSITE,
  endProportion,
  footOutline,
  planShoe,
  readFoot,
  type BreakoverSchoolName,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { longDay } from '../../../common/today'
import { benchActions, benchFeature } from '../../../state/bench/bench.feature'
import { footInput } from '../../../state/bench/draft'
import { lookFeature } from '../../../state/look/look.feature'
import { recordsActions, recordsFeature } from '../../../state/records/records.feature'
import type { OtherFoot } from './compare-view'

/** What the Bench needs while a foot is mapped: what it is compared with, and the school of its breakover. */
@Injectable()
export class Mapping {
  private readonly store = inject(Store)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  private readonly drafts = this.store.selectSignal(benchFeature.selectDrafts)
  private readonly planning = this.store.selectSignal(benchFeature.selectPlanning)
  private readonly look = this.store.selectSignal(lookFeature.selectLook)
  private readonly plan = computed(() => this.planning().plan)
  private readonly horsePage = this.store.selectSignal(recordsFeature.selectPage)

  private readonly loading = this.store.selectSignal(recordsFeature.selectLoading)
  private readonly failure = this.store.selectSignal(recordsFeature.selectFailure)
  /** Why the earlier visits could not be read, where they could not. */
  readonly historyFailure = computed(() => (this.loading() === 'failed' ? this.failure() : ''))

  /** Every visit of this horse, once it was asked for. */
  readonly history = computed(() => {
    const page = this.horsePage()
    return page && page.horse.id === this.page()?.horse.id ? page : undefined
  })
  /** Feet this one can be laid over: the other of its pair as it is here, then its own earlier visits. */
  readonly others = computed((): OtherFoot[] => {
    const side = this.side()
    const pair = this.drafts()?.[OPPOSITE[side]].foot
    const across =
      pair && Object.keys(pair.figures).length > 0
        ? [{ key: 'pair', label: `${OPPOSITE[side]} at this visit`, foot: footInput(OPPOSITE[side], pair) }]
        : []
    const history = this.history()
    const earlier = (history?.visits ?? [])
      .filter(({ id }) => id !== this.page()!.visit.id)
      .flatMap(({ id, date }) => {
        const record = history!.footRecords.find((one) => one.visitId === id && one.side === side)
        return record ? [{ key: id, label: `${side} ${longDay(date)}`, foot: record.foot }] : []
      })
    return [...earlier.slice(0, 1), ...across, ...earlier.slice(1)]
  })

  readonly untrimmed = computed(() => this.look()?.feet[this.side()].untrimmed)
  /** The outline as it was found, where enough of it was read. */
  readonly untrimmedOutline = computed(() => {
    const { width, length, heelWidth } = this.untrimmed() ?? {}
    const draft = this.draft()
    if (!draft || (width === undefined && length === undefined)) return undefined
    const now = footInput(this.side(), draft.foot)
    const read = readFoot({
      ...now,
      ...(width !== undefined && { width }),
      ...(length !== undefined && { length }),
      // Before the trim heels are read outside to outside, however they are measured after it.
      ...(heelWidth !== undefined && { heelWidth, heelMeasure: 'outside' as const }),
    })
    if (!read.ok) return undefined
    return { outline: footOutline(read.value.foot).track.points, toeY: read.value.foot.widestFromToe }
  })

  /** The pattern of the shoe it wears. A signal of its own: the draft changes with every figure, the pattern does not. */
  private readonly worn = computed(() => {
    const base = this.draft()?.base.pattern
    return this.page()?.patterns.find(({ id }) => id === base?.id)
  })
  /** The balance of the shoe it wears, worked out from its pattern. */
  readonly wornBalance = computed(() => {
    const worn = this.worn()
    if (!worn) return undefined
    try {
      return planShoe(worn.foot, worn.shoe, worn.workshop).balance
    } catch {
      return undefined
    }
  })

  /** Proportion at the end of the cycle, from the old shoe as it lay, against that of the shoe now. */
  readonly oldShoeText = computed(() => {
    const old = this.look()?.feet[this.side()].oldShoe
    const length = this.untrimmed()?.length ?? this.plan()?.foot.length
    const ended = old && length !== undefined ? endProportion(old, length) : undefined
    if (ended === undefined) return ''
    const began = this.wornBalance()?.ratio
    return [
      'Ahead of the widest part:',
      began === undefined ? '' : `the old shoe began its cycle with ${aheadShare(began)},`,
      `${began === undefined ? 'the old shoe ' : ''}ended it with ${aheadShare(ended)};`,
      `this one starts with ${aheadShare(this.plan()?.balance.ratio ?? 0)}.`,
    ]
      .filter(Boolean)
      .join(' ')
  })

  useSchool({ school, all }: { school: BreakoverSchoolName; all: boolean }): void {
    this.store.dispatch(benchActions.setSchool({ school, all }))
    this.store.dispatch(benchActions.settle())
    const { horse } = this.page()!
    if (all && horse.breakoverSchool !== school)
      this.store.dispatch(recordsActions.saveHorse({ horse: { ...horse, breakoverSchool: school } }))
  }

  setToeBack(toeSetBack: number): void {
    const draft = this.draft()!
    const { spread, heelLength, behind } = this.plan()!.fit
    const shoe = { ...draft.shoe, fit: { spread, heelLength, toeSetBack, behind } }
    this.store.dispatch(benchActions.setShoe({ shoe, touched: 'fit' }))
    this.store.dispatch(benchActions.settle())
  }

  /** Earlier visits are read when they are first asked for, and anew each time: something may have been saved since. */
  readHistory(): void {
    const id = this.page()?.horse.id
    if (id) this.store.dispatch(recordsActions.openHorse({ id }))
  }
}
