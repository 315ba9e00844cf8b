import { effect, inject, Injectable, untracked } from '@angular/core'
import {
  SIDES,
  mirroredDesign,
  readFoot,
  refit,
  workWords,
  type FootInput,
  type FootWork,
  type Look,
  type Plan,
  type Side,
  type VisitFeet,
} from '@crescent/core'
import { Router } from '@angular/router'
import { Actions, ofType } from '@ngrx/effects'
import { Store } from '@ngrx/store'
import { filter, firstValueFrom, map } from 'rxjs'
import { Dialogs } from '../../common/dialogs'
import { Tells } from '../../common/tells'
import { untilKept } from '../../common/until-kept'
import { addWeeks, formatISO, parseISO } from 'date-fns'
import { shortDay } from '../../common/today'
import { FigureText } from '../../drawing/figure-text'
import { benchActions, benchFeature, selectSeen } from '../../state/bench/bench.feature'
import type { SaveRequest, VisitChanges } from '../../state/bench/bench.state'
import { footInput } from '../../state/bench/draft'
import { recordsActions } from '../../state/records/records.feature'
import { settingsActions } from '../../state/settings/settings.feature'
import type { EraseDialogData } from '../../erasing/erase-dialog'
import { Desk } from '../desk'
import type { ConflictAnswer, ConflictDialogData } from './conflict-dialog'
import type { FinishAnswer, FinishDialogData } from './finish-dialog'
import { Looking } from '../steps/look/looking'
import type { PatternChoice } from './pattern-dialog'
import { suggestedName } from './suggested-name'
import type { SaveDialogAnswer, SaveDialogData } from './save-dialog'
import { Shaping } from '../steps/shoe/shaping'
import type { VisitAnswer, VisitDialogData } from './visit-dialog'

const WORK_TOLD: Record<FootWork, string> = {
  shod: 'shod',
  reset: 'the same shoe put back',
  bare: 'left bare',
}

/** Something was found, said or agreed at this visit: it is not empty any more. */
function somethingSeen(look: Look | null, day: string): boolean {
  if (!look) return false
  const feet = Object.values(look.feet)
  return (
    look.advice.length > 0 ||
    // What was read at the visit before is carried along.
    look.acknowledged.some(({ at }) => at.slice(0, 10) >= day) ||
    look.ways.notes !== '' ||
    feet.some(
      ({ findings, oldShoe, untrimmed, landing, lost }) =>
        findings.length > 0 ||
        landing !== undefined ||
        lost === true ||
        Object.keys(oldShoe).length + Object.keys(untrimmed).length > 0,
    )
  )
}

/** How the Bench keeps what is on it: saving a pattern, taking one up, ending the visit, and what was changed elsewhere. */
@Injectable()
export class Keeping {
  private readonly store = inject(Store)
  private readonly actions = inject(Actions)
  private readonly dialogs = inject(Dialogs)
  private readonly router = inject(Router)
  private readonly text = inject(FigureText)
  private readonly tells = inject(Tells)
  private readonly desk = inject(Desk)
  private readonly looking = inject(Looking)
  private readonly shaping = inject(Shaping)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  private readonly drafts = this.store.selectSignal(benchFeature.selectDrafts)
  private readonly dirtySides = this.store.selectSignal(benchFeature.selectDirtySides)
  private readonly waiting = this.store.selectSignal(benchFeature.selectWaiting)
  private readonly conflict = this.store.selectSignal(benchFeature.selectConflict)
  private readonly seen = this.store.selectSignal(selectSeen)

  private readonly work = this.store.selectSignal(benchFeature.selectWork)
  private readonly paused = this.store.selectSignal(benchFeature.selectPaused)

  readonly saving = this.store.selectSignal(benchFeature.selectSaving)

  constructor() {
    effect(() => {
      const conflict = this.conflict()
      if (conflict) untracked(() => this.askWhose(conflict))
    })
  }

  /** Saved only as it is drawn: what cannot be made is put right first. */
  saveDrawn(): void {
    const plan = this.desk.plan()
    if (plan && !this.desk.stale()) this.save(plan)
  }

  /** Saves the foot with its pattern; what calls for the vet is read first, what is a stop is told again. */
  save(plan: Plan): void {
    const draft = this.draft()
    if (!draft || this.saving()) return
    if (this.looking.closedGates().length > 0) return this.looking.readGates(() => this.save(plan))
    const stored = draft.base.pattern && draft.base.pattern.version > 0 ? draft.base.pattern.name : undefined
    const data: SaveDialogData = {
      loaded: stored,
      suggestedName: suggestedName(draft.shoe, this.page()!.visit.date, this.text),
      tags: this.page()!.patterns.find(({ id }) => id === draft.base.pattern?.id)?.tags ?? [],
      stops: plan.cautions
        .filter(({ severity }) => severity === 'stop')
        .map(({ title }) => this.text.told(title)),
    }
    const ids = { newPatternId: crypto.randomUUID(), newRecordId: crypto.randomUUID() }
    const side = this.side()
    void untilKept<SaveDialogAnswer>(
      (before) =>
        this.dialogs.ask<SaveDialogAnswer, SaveDialogData>(
          () => import('./save-dialog').then((m) => m.SaveDialog),
          { data: { ...data, ...(before && { before }) }, width: '420px' },
        ),
      (answer) => this.saved({ side, ...answer, ...ids }),
    )
  }

  /** Saves a foot. @returns whether it is kept, or asked about elsewhere: where it is not, why has been said */
  private saved(request: SaveRequest): Promise<boolean> {
    const answered = firstValueFrom(
      this.actions.pipe(
        ofType(
          benchActions.saved,
          benchActions.saveFailed,
          benchActions.saveRefused,
          recordsActions.saveWaits,
        ),
        map(({ type }) => type !== benchActions.saveFailed.type),
      ),
      { defaultValue: true },
    )
    this.store.dispatch(benchActions.save({ request }))
    return answered
  }

  /** Takes up a pattern of this foot or its pair. */
  load(): void {
    void this.dialogs
      .ask<PatternChoice, unknown>(() => import('./pattern-dialog').then((m) => m.PatternDialog), {
        data: {
          patterns: this.shaping.patterns(),
          side: this.side(),
          horseId: this.page()!.horse.id,
          footWidth: this.draft()!.foot.figures.width,
          foot: this.measured(),
          shoe: this.draft()!.shoe,
        },
        width: '560px',
      })
      .then((choice) => {
        if (!choice) return
        const { horse = '', mirrored = false } = choice
        this.store.dispatch(benchActions.loadPattern({ ...this.refitted(choice), horse, mirrored }))
        this.tellLoaded(choice)
      })
  }

  /** What was taken up is shown, or what it still needs. */
  private tellLoaded({ pattern, mirrored = false }: PatternChoice): void {
    const measured = this.measured() !== undefined
    if (this.desk.step()?.key === 'look') this.desk.wanted.set(measured ? 'shoe' : 'map')
    // Outer and inner are the same on either side: from the other one it is the mirror image, unless it was found as one.
    const otherWay = (pattern.side[0] !== this.side()[0]) !== mirrored
    const taken = `Taken up for ${this.side()}${otherWay ? ', mirrored' : ''}: ${pattern.name}.`
    void this.tells.done(measured ? taken : `${taken} It shows when the foot is measured.`, 6_000)
  }

  /** A pattern of another horse is made to fit this one's measures; found in the mirror, its design is turned over. */
  private refitted({ pattern, withFoot, mirrored }: PatternChoice): PatternChoice {
    // With its own foot it fits already.
    if (withFoot || (pattern.horseId === this.page()!.horse.id && !mirrored)) return { pattern, withFoot }
    const design = mirrored ? mirroredDesign(pattern.shoe) : pattern.shoe
    // A foot that is not measured yet is most likely as it was last time.
    const last = this.page()!.previous?.footRecords.find(({ side }) => side === this.side())?.foot
    const shoe = refit(design, pattern.foot, this.measured() ?? last)
    return { pattern: { ...pattern, shoe }, withFoot }
  }

  /** The foot on the bench, where it can be read. */
  private measured(): FootInput | undefined {
    const input = footInput(this.side(), this.draft()!.foot)
    return readFoot(input).ok ? input : undefined
  }

  /** Ends the visit: says what is open, goes through the close list, takes a note and the day of the next one. */
  finish(): void {
    if (this.looking.closedGates().length > 0) return this.looking.readGates(() => this.finish())
    const { visit, footRecords } = this.page()!
    const work = this.work()
    const data: FinishDialogData = {
      horseId: visit.horseId,
      visitId: visit.id,
      date: visit.date,
      notes: visit.notes,
      closeList: visit.closeList,
      nailed: SIDES.filter((side) => work[side] === 'shod' || work[side] === 'reset'),
      worked: SIDES.filter((side) => work[side] !== undefined),
      put: putBefore(visit.feet),
      work: workWords(work),
      paused: SIDES.filter((side) => this.paused()[side] !== undefined),
      stops: SIDES.flatMap((side) => this.looking.stopsOf(side)).filter(
        (stop, i, all) => all.findIndex(({ key }) => key === stop.key) === i,
      ),
      unsaved: this.dirtySides().filter((side) => !this.waiting().includes(side)),
      waiting: this.waiting(),
      unmeasured: SIDES.filter(
        (side) =>
          !work[side] &&
          !this.waiting().includes(side) &&
          !footRecords.some((record) => record.side === side),
      ),
      nextDue: visit.nextDue,
      byCycle: this.byCycle(),
    }
    void untilKept<FinishAnswer>(
      (before) =>
        this.dialogs.ask<FinishAnswer, FinishDialogData>(
          () => import('./finish-dialog').then((m) => m.FinishDialog),
          { data: { ...data, ...(before && { before }) }, width: '520px' },
        ),
      (answer) => this.changed({ ...answer, state: 'done' }, 'Visit finished'),
    )
  }

  /** Changes the visit. @returns whether it is kept, or will be by itself: where it is refused, why has been said */
  private changed(changes: VisitChanges, told: string): Promise<boolean> {
    const answered = firstValueFrom(
      this.actions.pipe(
        ofType(benchActions.visitChanged, benchActions.visitWaits, benchActions.visitRefused),
        // Not of another change that was still on its way.
        filter((answer) => answer.changes === changes),
        map(({ type }) => type !== benchActions.visitRefused.type),
      ),
      // The Bench is left meanwhile: it is kept by itself.
      { defaultValue: true },
    )
    this.store.dispatch(benchActions.changeVisit({ changes, told }))
    return answered
  }

  /** When the cycle says the next visit is. */
  private byCycle(): string {
    const { visit, horse } = this.page()!
    return formatISO(addWeeks(parseISO(visit.date), horse.cycleWeeks), { representation: 'date' })
  }

  /** Day, next visit and note of the visit; one that was begun by mistake is taken back. */
  visit(): void {
    const { visit, footRecords } = this.page()!
    // The look as it is now, not as it was read with the visit: what was just tapped counts.
    const begun =
      footRecords.length > 0 ||
      Object.keys(visit.feet).length > 0 ||
      this.dirtySides().length > 0 ||
      somethingSeen(this.looking.look(), visit.date)
    void this.dialogs
      .ask<VisitAnswer, VisitDialogData>(() => import('./visit-dialog').then((m) => m.VisitDialog), {
        data: { visit, byCycle: this.byCycle(), begun },
        width: '460px',
      })
      .then((answer) => {
        if (!answer) return
        if (answer === 'erase') return this.eraseVisit()
        if (answer !== 'take back')
          return this.store.dispatch(benchActions.changeVisit({ changes: answer, told: 'Visit changed' }))
        const told = 'The visit was taken back'
        this.store.dispatch(benchActions.changeVisit({ changes: { archived: true }, told }))
      })
  }

  /** The visit goes for good, with what was measured and found at it; the patterns stay with their feet. */
  private eraseVisit(): void {
    const { visit, horse } = this.page()!
    const { id, version, date } = visit
    void this.dialogs
      .ask<boolean, EraseDialogData>(() => import('../../erasing/erase-dialog').then((m) => m.EraseDialog), {
        data: { kind: 'visit', id, version, name: shortDay(date), horseId: horse.id, visitIds: [id] },
        width: '480px',
      })
      .then((erased) => {
        if (!erased) return
        this.store.dispatch(settingsActions.change({ changes: { lastVisit: null } }))
        void this.router.navigate(['/stable', horse.id])
      })
  }

  /** What is done to a foot at this visit. A shoe goes on only past what stands in its way. */
  setWork(side: Side, work: FootWork): void {
    if (work === 'bare') return this.keepWork(side, work)
    this.looking.beforeShoe(side, () => this.keepWork(side, work))
  }

  private keepWork(side: Side, work: FootWork): void {
    const { foot, base } = this.drafts()![side]
    const unmeasured = work === 'shod' && base.record === null && Object.keys(foot.figures).length === 0
    const so = unmeasured ? ', and nothing of it was measured: no shoe is kept for it' : ''
    const told = `${side}: ${WORK_TOLD[work]}${so}`
    this.store.dispatch(benchActions.changeVisit({ changes: { feet: { [side]: { work } } }, told }))
  }

  /** Stops work on a foot half way, or goes on with it. */
  pause(side: Side, paused: string | undefined): void {
    const told = paused === undefined ? `${side}: going on` : `${side} paused: ${paused}`
    this.store.dispatch(benchActions.changeVisit({ changes: { feet: { [side]: { paused } } }, told }))
  }

  private askWhose(conflict: ConflictDialogData['conflict']): void {
    const { side } = conflict
    const draft = this.drafts()![side]
    const mine = { foot: footInput(side, draft.foot, this.seen()[side]), shoe: draft.shoe }
    void this.dialogs
      .insist<ConflictAnswer, ConflictDialogData>(
        () => import('./conflict-dialog').then((m) => m.ConflictDialog),
        {
          data: { conflict, mine },
          width: '480px',
        },
      )
      .then((answer) => {
        if (answer === 'mine') this.store.dispatch(benchActions.keepMine())
        else if (answer === 'theirs') this.store.dispatch(benchActions.takeTheirs())
        else this.store.dispatch(benchActions.closeConflict())
      })
  }
}

/** What was put in or on the feet so far. */
const putBefore = (feet: VisitFeet): FinishDialogData['put'] =>
  Object.fromEntries(SIDES.flatMap((side) => (feet[side]?.put ? [[side, feet[side].put]] : [])))
