import { computed, inject, Injectable } from '@angular/core'
import { OPPOSITE, oldHoles, resolveWorkshop, withModification, type KeepClear } from '@crescent/core'
import { Store } from '@ngrx/store'
import { Dialogs } from '../../../common/dialogs'
import { benchActions, benchFeature } from '../../../state/bench/bench.feature'
import { Desk } from '../../desk'
import type { GalleryData } from './gallery-dialog'

/** What the Bench needs while the shoe is shaped and nailed: other patterns, old holes, the gallery, the shelf. */
@Injectable()
export class Shaping {
  private readonly store = inject(Store)
  private readonly dialogs = inject(Dialogs)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  private readonly desk = inject(Desk)

  readonly workshop = computed(() => resolveWorkshop(this.page()?.workshop.figures ?? {}))

  /** Patterns of this foot and its pair, this foot's first. */
  readonly patterns = computed(() => {
    const pair = [this.side(), OPPOSITE[this.side()]]
    return (this.page()?.patterns ?? [])
      .filter(({ side, archived }) => pair.includes(side) && !archived)
      .sort((a, b) => pair.indexOf(a.side) - pair.indexOf(b.side))
  })

  /** Kinds of what is made of the shoe. */
  readonly kinds = computed(() => (this.draft()?.shoe.modifications ?? []).map(({ kind }) => kind))

  /** Holes of the newest pattern kept before this visit, as marks on the wall. */
  readonly lastHoles = computed((): KeepClear[] => {
    const visitId = this.page()?.visit.id
    const last = this.patterns().find(({ side, visitId: made }) => side === this.side() && made !== visitId)
    return last ? oldHoles(last.result.nails) : []
  })

  /** Every modification as it would look on this foot. */
  pictures(): void {
    const draft = this.draft()
    const foot = this.desk.foot()
    if (!draft || !foot) return
    void this.dialogs
      .ask<string, GalleryData>(() => import('./gallery-dialog').then((m) => m.GalleryDialog), {
        data: { foot, shoe: draft.shoe, side: this.side() },
        width: '1180px',
        maxWidth: '96vw',
      })
      .then((kind) => {
        if (!kind) return
        const { shoe } = this.draft()!
        const modifications = withModification(shoe.modifications ?? [], kind)
        this.store.dispatch(
          benchActions.setShoe({ shoe: { ...shoe, modifications }, touched: `mod.${kind}` }),
        )
        this.store.dispatch(benchActions.settle())
      })
  }

  shelf(): void {
    void this.dialogs.ask<void, unknown>(() => import('../nail/nails-dialog').then((m) => m.NailsDialog), {
      width: '640px',
    })
  }
}
