import { computed, inject, Injectable } from '@angular/core'
import { planShoe, type Side } from '@crescent/core'
import { Actions, ofType } from '@ngrx/effects'
import { Store } from '@ngrx/store'
import { firstValueFrom, map } from 'rxjs'
import { Dialogs } from '../../common/dialogs'
import { untilKept } from '../../common/until-kept'
import { FigureText } from '../../drawing/figure-text'
import { benchActions, benchFeature, selectSeen } from '../../state/bench/bench.feature'
import type { SaveRequest } from '../../state/bench/bench.state'
import { footInput } from '../../state/bench/draft'
import { tryPlan } from '../../state/bench/planning'
import { workshopFor } from '../../state/bench/workshop-for'
import { recordsActions } from '../../state/records/records.feature'
import { Looking } from '../steps/look/looking'
import type { SaveAllAnswer, SaveAllData } from './save-all-dialog'
import { suggestedName } from './suggested-name'

/** Saves every foot of the visit that has unsaved work, in one go. */
@Injectable()
export class SavingAll {
  private readonly store = inject(Store)
  private readonly actions = inject(Actions)
  private readonly dialogs = inject(Dialogs)
  private readonly text = inject(FigureText)
  private readonly looking = inject(Looking)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly drafts = this.store.selectSignal(benchFeature.selectDrafts)
  private readonly seen = this.store.selectSignal(selectSeen)
  private readonly saving = this.store.selectSignal(benchFeature.selectSaving)

  /** The feet that wait to be saved. */
  readonly sides = this.store.selectSignal(benchFeature.selectDirtySides)
  /** Worth a button of its own beside the one that saves this foot. */
  readonly several = computed(() => this.sides().length > 1)

  /** Asks once, for all of them; what cannot be made yet stays as it is and is told. */
  ask(): void {
    if (this.saving()) return
    if (this.looking.closedGates().length > 0) return this.looking.readGates(() => this.ask())
    const data: SaveAllData = { feet: this.sides().map((side) => this.footOf(side)) }
    const ids = Object.fromEntries(
      data.feet.map(({ side }) => [
        side,
        { newPatternId: crypto.randomUUID(), newRecordId: crypto.randomUUID() },
      ]),
    ) as Record<Side, Pick<SaveRequest, 'newPatternId' | 'newRecordId'>>
    void untilKept<SaveAllAnswer>(
      (before) =>
        this.dialogs.ask<SaveAllAnswer, SaveAllData>(
          () => import('./save-all-dialog').then((m) => m.SaveAllDialog),
          { data: { ...data, ...(before && { before }) }, width: '520px' },
        ),
      ({ names, why }) =>
        this.kept(
          data.feet.flatMap(({ side, loaded, tags }) => {
            const name = names[side]
            if (name === undefined) return []
            return [{ side, name, asNew: loaded === undefined, tags, ...(loaded && { why }), ...ids[side] }]
          }),
        ),
    )
  }

  private footOf(side: Side): SaveAllData['feet'][number] {
    const [page, draft] = [this.page()!, this.drafts()![side]]
    const { pattern } = draft.base
    const stored = pattern && pattern.version > 0 ? pattern : undefined
    const foot = footInput(side, draft.foot, this.seen()[side])
    const typed = Object.keys(draft.foot.entries).length > 0
    const { plan } = typed
      ? { plan: undefined }
      : tryPlan(() => planShoe(foot, draft.shoe, workshopFor(page, draft.shoe)))
    return {
      side,
      ...(stored && { loaded: stored.name }),
      name: stored?.name ?? suggestedName(draft.shoe, page.visit.date, this.text),
      tags: page.patterns.find(({ id }) => id === stored?.id)?.tags ?? [],
      stops: (plan?.cautions ?? [])
        .filter(({ severity }) => severity === 'stop')
        .map(({ title }) => this.text.told(title)),
      made: plan !== undefined,
    }
  }

  /** @returns whether they are kept, or one is asked about: where they are not, why has been said */
  private kept(requests: SaveRequest[]): Promise<boolean> {
    const answered = firstValueFrom(
      this.actions.pipe(
        ofType(
          benchActions.severalSaved,
          benchActions.saveFailed,
          benchActions.saveRefused,
          recordsActions.saveWaits,
        ),
        map(({ type }) => type !== benchActions.saveFailed.type),
      ),
      { defaultValue: true },
    )
    this.store.dispatch(benchActions.saveSeveral({ requests }))
    return answered
  }
}
