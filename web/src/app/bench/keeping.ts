import { effect, inject, Injectable, untracked } from '@angular/core'
import { MatDialog } from '@angular/material/dialog'
import { commonName, FIT_PRESETS, type Plan } from '@crescent/core'
import { Store } from '@ngrx/store'
import { addWeeks, formatISO, parseISO } from 'date-fns'
import { longDay, shortDay } from '../common/today'
import { FigureText } from '../drawing/figure-text'
import { benchActions, benchFeature, selectFindings } from '../state/bench/bench.feature'
import { footInput, SIDES } from '../state/bench/draft'
import { ConflictDialog, type ConflictAnswer, type ConflictDialogData } from './conflict-dialog'
import { FinishDialog, type FinishAnswer, type FinishDialogData } from './finish-dialog'
import { Looking } from './look/looking'
import { PatternDialog, type PatternChoice } from './pattern-dialog'
import { SaveDialog, type SaveDialogAnswer, type SaveDialogData } from './save-dialog'
import { Shaping } from './shoe/shaping'

/** How the Bench keeps what is on it: saving a pattern, taking one up, ending the visit, and what was changed elsewhere. */
@Injectable()
export class Keeping {
  private readonly store = inject(Store)
  private readonly dialog = inject(MatDialog)
  private readonly text = inject(FigureText)
  private readonly looking = inject(Looking)
  private readonly shaping = inject(Shaping)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  private readonly drafts = this.store.selectSignal(benchFeature.selectDrafts)
  private readonly dirtySides = this.store.selectSignal(benchFeature.selectDirtySides)
  private readonly conflict = this.store.selectSignal(benchFeature.selectConflict)
  private readonly findings = this.store.selectSignal(selectFindings)

  readonly saving = this.store.selectSignal(benchFeature.selectSaving)

  constructor() {
    effect(() => {
      const conflict = this.conflict()
      if (conflict) untracked(() => this.askWhose(conflict))
    })
  }

  /** Saves the foot with its pattern; what calls for the vet is read first, what is a stop is told again. */
  save(plan: Plan): void {
    const draft = this.draft()
    if (!draft || this.saving()) return
    if (this.looking.closedGates().length > 0) return this.looking.readGates(() => this.save(plan))
    const stored = draft.base.pattern && draft.base.pattern.version > 0 ? draft.base.pattern.name : undefined
    const data: SaveDialogData = {
      loaded: stored,
      suggestedName: this.suggestedName(),
      stops: plan.cautions.filter(({ severity }) => severity === 'stop').map(({ title }) => title),
    }
    this.dialog
      .open<SaveDialog, SaveDialogData, SaveDialogAnswer>(SaveDialog, { data, width: '420px' })
      .afterClosed()
      .subscribe((answer) => {
        if (!answer) return
        const ids = { newPatternId: crypto.randomUUID(), newRecordId: crypto.randomUUID() }
        this.store.dispatch(benchActions.save({ request: { side: this.side(), ...answer, ...ids } }))
      })
  }

  private suggestedName(): string {
    const { fit, section } = this.draft()!.shoe
    const fitName = typeof fit === 'string' ? FIT_PRESETS.find((one) => one.name === fit)!.label : 'Own fit'
    const bar =
      commonName(section) ?? `${this.text.bare(section.width)} x ${this.text.bare(section.thickness)}`
    return `${fitName} ${bar}, ${shortDay(this.page()!.visit.date)}`
  }

  /** Takes up a pattern of this foot or its pair. */
  load(): void {
    this.dialog
      .open<PatternDialog, unknown, PatternChoice>(PatternDialog, {
        data: { patterns: this.shaping.patterns(), side: this.side() },
        width: '480px',
      })
      .afterClosed()
      .subscribe((choice) => choice && this.store.dispatch(benchActions.loadPattern(choice)))
  }

  /** Ends the visit: says what is open, goes through the close list, takes a note. */
  finish(): void {
    if (this.looking.closedGates().length > 0) return this.looking.readGates(() => this.finish())
    const { visit, horse, footRecords } = this.page()!
    const due = addWeeks(parseISO(visit.date), horse.cycleWeeks)
    const data: FinishDialogData = {
      notes: visit.notes,
      closeList: visit.closeList,
      shod: SIDES.filter((side) => footRecords.some((record) => record.side === side && record.patternId)),
      unsaved: this.dirtySides(),
      unmeasured: SIDES.filter((side) => !footRecords.some((record) => record.side === side)),
      nextDue: longDay(formatISO(due, { representation: 'date' })),
    }
    this.dialog
      .open<FinishDialog, FinishDialogData, FinishAnswer>(FinishDialog, { data, width: '520px' })
      .afterClosed()
      .subscribe((answer) => answer && this.store.dispatch(benchActions.finishVisit(answer)))
  }

  private askWhose(conflict: ConflictDialogData['conflict']): void {
    const { side } = conflict
    const mine = footInput(side, this.drafts()![side].foot, this.findings()[side])
    this.dialog
      .open<ConflictDialog, ConflictDialogData, ConflictAnswer>(ConflictDialog, {
        data: { conflict, mine },
        width: '480px',
      })
      .afterClosed()
      .subscribe((answer) => {
        if (answer === 'mine') this.store.dispatch(benchActions.keepMine())
        else if (answer === 'theirs') this.store.dispatch(benchActions.takeTheirs())
        else this.store.dispatch(benchActions.closeConflict())
      })
  }
}
