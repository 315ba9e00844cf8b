import { computed, inject, Injectable } from '@angular/core'
import { MatDialog } from '@angular/material/dialog'
import {
  nailHandles,
  oldHoles,
  resolveWorkshop,
  shoeHandles,
  withFigure,
  type KeepClear,
  type Plan,
  type ShoeHandle,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { benchActions, benchFeature, selectFindings } from '../../state/bench/bench.feature'
import { footInput, OPPOSITE } from '../../state/bench/draft'
import { NailsDialog } from '../nail/nails-dialog'
import { GalleryDialog, type GalleryData } from './gallery-dialog'
import type { Pulled } from './pull-handles'

/** What the Bench needs while the shoe is shaped and nailed: handles, other patterns, old holes, the shelf. */
@Injectable()
export class Shaping {
  private readonly store = inject(Store)
  private readonly dialog = inject(MatDialog)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  private readonly findings = this.store.selectSignal(selectFindings)

  readonly foot = computed(() => {
    const draft = this.draft()
    return draft && footInput(this.side(), draft.foot, this.findings()[this.side()])
  })
  readonly workshop = computed(() => resolveWorkshop(this.page()?.workshop.figures ?? {}))

  /** Patterns of this foot and its pair, this foot's first. */
  readonly patterns = computed(() => {
    const pair = [this.side(), OPPOSITE[this.side()]]
    return (this.page()?.patterns ?? [])
      .filter(({ side, archived }) => pair.includes(side) && !archived)
      .sort((a, b) => pair.indexOf(a.side) - pair.indexOf(b.side))
  })

  /** Holes of the newest pattern kept before this visit, as marks on the wall. */
  readonly lastHoles = computed((): KeepClear[] => {
    const visitId = this.page()?.visit.id
    const last = this.patterns().find(({ side, visitId: made }) => side === this.side() && made !== visitId)
    return last ? oldHoles(last.result.nails) : []
  })

  /** Handles of the shoe, or of its holes, as they are seen on the sole. */
  handlesOf(plan: Plan, what: 'shoe' | 'nails'): readonly ShoeHandle[] {
    return (what === 'shoe' ? shoeHandles(plan) : nailHandles(plan)).filter(({ view }) => view === 'sole')
  }

  /** The shoe with a handle pulled; the plan is the one the handle was seen on. */
  pull({ path, value }: Pulled, plan: Plan): void {
    const draft = this.draft()
    if (!draft) return
    this.store.dispatch(
      benchActions.setShoe({ shoe: withFigure(draft.shoe, path, value, plan), touched: path }),
    )
  }

  /** Every modification as it would look on this foot. */
  pictures(): void {
    const draft = this.draft()
    const foot = this.foot()
    if (!draft || !foot) return
    this.dialog
      .open<GalleryDialog, GalleryData, string>(GalleryDialog, {
        data: { foot, shoe: draft.shoe, side: this.side() },
        width: '1180px',
        maxWidth: '96vw',
      })
      .afterClosed()
      .subscribe((kind) => {
        if (!kind) return
        const { shoe } = this.draft()!
        const modifications = [...(shoe.modifications ?? []), { kind }]
        this.store.dispatch(
          benchActions.setShoe({ shoe: { ...shoe, modifications }, touched: `mod.${kind}` }),
        )
        this.store.dispatch(benchActions.settle())
      })
  }

  shelf(): void {
    this.dialog.open(NailsDialog, { width: '640px' })
  }
}
