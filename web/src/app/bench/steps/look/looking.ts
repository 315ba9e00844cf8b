import { computed, effect, inject, Injectable, untracked } from '@angular/core'
import {
  beforeShoe,
  footMap,
  leftOpen,
  standingGates,
  usualFoot,
  withTap,
  type PlaceKey,
  type Side,
  type StandingGate,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { Dialogs } from '../../../common/dialogs'
import type { Question } from '../../../common/ask-dialog'
import { benchFeature } from '../../../state/bench/bench.feature'
import { lookActions, lookFeature } from '../../../state/look/look.feature'
import type { FindingChoice, FindingDialogData } from './finding-dialog'
import type { GateAnswer, GateDialogData } from './gate-dialog'
import type { NumberedFinding } from './look-drawing'

/** A line of a record holds so many characters. */
const LONGEST_LINE = 200

/** What the Bench needs while it is looked: findings, questions, gates, and what is done with them. */
@Injectable()
export class Looking {
  private readonly store = inject(Store)
  private readonly dialogs = inject(Dialogs)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly planning = this.store.selectSignal(benchFeature.selectPlanning)
  private readonly previous = this.store.selectSignal(benchFeature.selectPreviousFoot)
  private readonly conflict = this.store.selectSignal(lookFeature.selectConflict)
  private readonly before = this.store.selectSignal(lookFeature.selectBefore)
  private readonly allQuestions = this.store.selectSignal(lookFeature.selectQuestions)

  readonly look = this.store.selectSignal(lookFeature.selectLook)
  readonly unsaved = this.store.selectSignal(lookFeature.selectUnsaved)
  readonly failure = this.store.selectSignal(lookFeature.selectFailure)
  readonly closedGates = this.store.selectSignal(lookFeature.selectClosedGates)
  readonly canUndo = this.store.selectSignal(lookFeature.selectCanUndoLook)
  readonly canRedo = this.store.selectSignal(lookFeature.selectCanRedoLook)

  constructor() {
    effect(() => {
      if (this.conflict()) untracked(() => this.askWhose())
    })
  }

  /** The foot to be touched: as measured, else as it was at the last visit, else one of the usual size. */
  readonly map = computed(() => {
    const side = this.side()
    return footMap(
      this.planning().plan?.foot,
      this.previous()?.foot,
      usualFoot(side, this.page()!.horse.animal),
    )!
  })
  readonly standIn = computed(() => {
    if (this.planning().plan) return ''
    return this.previous()
      ? 'Drawn as at the last visit.'
      : 'A foot of the usual size: this one is not measured yet.'
  })
  readonly findings = computed((): NumberedFinding[] =>
    (this.look()?.feet[this.side()].findings ?? []).map((finding, i) => ({ number: i + 1, finding })),
  )
  readonly marked = computed(() => this.findings().filter(({ finding }) => finding.answer !== 'gone'))
  readonly questions = computed(
    () => this.allQuestions().find(({ side }) => side === this.side())?.questions ?? [],
  )
  /** Something was agreed for this foot. What it is known by is fetched only then. */
  readonly agreedSomething = computed(
    () =>
      this.look()?.advice.some(({ side, choice }) => side === this.side() && choice !== 'dismissed') ?? false,
  )

  find(place: PlaceKey): void {
    const side = this.side()
    const look = this.look()!
    const here = look.feet[side].findings.filter((finding) => finding.place === place)
    void this.dialogs
      .ask<FindingChoice, FindingDialogData>(() => import('./finding-dialog').then((m) => m.FindingDialog), {
        data: { place, side, here: here.filter(({ answer }) => answer !== 'gone') },
        width: '520px',
      })
      .then((choice) => choice && this.record(side, place, choice))
  }

  private record(side: Side, place: PlaceKey, { kind, grade }: FindingChoice): void {
    const foot = this.look()!.feet[side]
    const last = this.before()?.feet[side]
    const before = last && leftOpen(last).find((one) => one.kind === kind && one.place === place)
    const tap = { kind, place, grade }
    const findings = withTap(foot.findings, tap, before, crypto.randomUUID(), this.page()!.visit.date)
    this.store.dispatch(lookActions.setFoot({ side, foot: { ...foot, findings }, touched: '' }))
    if (grade !== null && this.closedGates().some((gate) => gate.key === `${side} ${kind} ${place} ${grade}`))
      this.readGates()
  }

  /** What of this foot, or of the horse as a whole, nobody has answered, or lets no shoe be put on. */
  stopsOf(side: Side): StandingGate[] {
    const look = this.look()
    return look
      ? standingGates(look).filter(
          (gate) => gate.state !== 'answered' && (gate.side === undefined || gate.side === side),
        )
      : []
  }

  /** Nothing goes on past a finding that calls for the vet until it was read and something was said to it. */
  readGates(then: () => void = () => undefined): void {
    this.ask({ gates: this.closedGates() }, then)
  }

  /** What stands open of a foot is answered, or answered anew: the vet has called back. */
  answerGates(side: Side): void {
    this.ask({ gates: this.stopsOf(side) }, () => undefined)
  }

  /** A shoe is to be put on a foot: first what stands in its way is answered. */
  beforeShoe(side: Side, then: () => void): void {
    const look = this.look()
    const gates = look ? beforeShoe(look, side) : []
    if (gates.length === 0) return then()
    this.ask({ gates, shoeOn: side }, then)
  }

  private ask(data: GateDialogData, then: () => void): void {
    void this.dialogs
      .ask<GateAnswer, GateDialogData>(() => import('./gate-dialog').then((m) => m.GateDialog), {
        data,
        width: '520px',
      })
      .then((answer) => {
        if (!answer) return
        const at = new Date().toISOString()
        this.store.dispatch(
          lookActions.acknowledge({
            acknowledged: data.gates.map(({ key, title, forbids }) => ({
              ...{ gate: key, title: title.slice(0, LONGEST_LINE), words: answer.words, at },
              ...(forbids && answer.allows && { allows: answer.allows }),
            })),
          }),
        )
        then()
      })
  }

  private askWhose(): void {
    const data: Question = {
      title: 'Changed elsewhere',
      question:
        'This look was changed in another window. Keep what is here and write it over the other, or take the other?',
      yes: 'Keep mine',
      no: 'Take the other',
    }
    void this.dialogs
      .insist<boolean, Question>(() => import('../../../common/ask-dialog').then((m) => m.AskDialog), {
        ...{ data, width: '460px', disableClose: true },
      })
      .then((mine) => this.store.dispatch(mine ? lookActions.keepMine() : lookActions.takeTheirs()))
  }
}
