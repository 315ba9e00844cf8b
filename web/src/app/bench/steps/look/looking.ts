import { computed, effect, inject, Injectable, untracked } from '@angular/core'
import {
  accepted,
  advise,
  contradictions,
  footMap,
  usualFoot,
  withTap,
  type Advice,
  type PlaceKey,
  type Side,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { Dialogs } from '../../../common/dialogs'
import { Tells } from '../../../common/tells'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import type { Question } from '../../../common/ask-dialog'
import { benchActions, benchFeature } from '../../../state/bench/bench.feature'
import { lookActions, lookFeature } from '../../../state/look/look.feature'
import type { Decision } from './advice-list'
import type { FindingChoice, FindingDialogData } from './finding-dialog'
import type { NumberedFinding } from './look-drawing'

/** What the Bench needs while it is looked: findings, questions, advice, gates, and what is done with them. */
@Injectable()
export class Looking {
  private readonly store = inject(Store)
  private readonly dialogs = inject(Dialogs)
  private readonly tells = inject(Tells)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly draft = this.store.selectSignal(benchFeature.selectDraft)
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
  readonly weeksSince = computed(() => {
    const page = this.page()
    if (!page?.lastVisit) return undefined
    return differenceInCalendarDays(parseISO(page.visit.date), parseISO(page.lastVisit.date)) / 7
  })
  readonly advice = computed(() => {
    const look = this.look()
    const page = this.page()
    if (!look || !page) return []
    const foot = this.planning().plan?.foot
    const weeksSince = this.weeksSince()
    return advise({
      side: this.side(),
      look,
      cycleWeeks: page.horse.cycleWeeks,
      ...(foot && { foot }),
      ...(weeksSince !== undefined && { weeksSince }),
    })
  })
  /** Codes of the advice that nobody dismissed. */
  readonly standingAdvice = computed(() => {
    const dismissed =
      this.look()?.advice.filter(({ side, choice }) => side === this.side() && choice === 'dismissed') ?? []
    return this.advice()
      .filter(({ codes }) => !dismissed.some(({ code }) => codes.includes(code)))
      .flatMap(({ codes }) => codes)
  })
  /** What was decided about the advice of this foot, dismissed apart. */
  private readonly taken = computed(() => {
    const chosen =
      this.look()?.advice.filter(({ side, choice }) => side === this.side() && choice !== 'dismissed') ?? []
    return this.advice().flatMap((advice) => {
      const choice = chosen.find(({ code }) => advice.codes.includes(code))
      return choice ? [{ advice, choice }] : []
    })
  })
  /** What was accepted and the shoe on the Bench does not do, or goes against. */
  readonly contradictions = computed(() => {
    const { plan } = this.planning()
    const draft = this.draft()
    if (!plan || !draft) return []
    const accepted = this.taken().filter(({ choice }) => choice.choice === 'accepted')
    return contradictions(
      accepted.map(({ advice }) => advice),
      draft.shoe,
      plan,
    )
  })
  /** Codes of what was agreed, by whom it is known to other parts. */
  readonly agreedCodes = computed(() => this.taken().flatMap(({ advice }) => advice.codes))
  /** What was agreed stands beside the shoe while it is chosen, with what of it the shoe does not do. */
  readonly agreed = computed(() =>
    this.taken().map(({ advice: { code, title, change }, choice: { reason } }) => ({
      code,
      text: reason || title,
      not: this.contradictions().find((one) => one.code === code)?.why ?? [],
      changes: change !== undefined,
    })),
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
    const before = this.before()?.feet[side].findings.find(
      (one) => one.kind === kind && one.place === place && one.answer !== 'gone',
    )
    const tap = { kind, place, grade }
    const findings = withTap(foot.findings, tap, before, crypto.randomUUID(), this.page()!.visit.date)
    this.store.dispatch(lookActions.setFoot({ side, foot: { ...foot, findings }, touched: '' }))
    if (grade !== null && this.closedGates().some((gate) => gate.key === `${side} ${kind} ${place} ${grade}`))
      this.readGates()
  }

  /** Nothing goes on past a finding that calls for the vet until it was read and something was said to it. */
  readGates(then: () => void = () => undefined): void {
    const gates = this.closedGates()
    void this.dialogs
      .ask<string, unknown>(() => import('./gate-dialog').then((m) => m.GateDialog), {
        data: gates,
        width: '520px',
      })
      .then((words) => {
        if (!words) return
        const at = new Date().toISOString()
        this.store.dispatch(
          lookActions.acknowledge({
            acknowledged: gates.map(({ key, title }) => ({ gate: key, title, words, at })),
          }),
        )
        then()
      })
  }

  /** Accepting changes the shoe where it can be changed at once, and goes on record. */
  decide({ advice, choice, reason }: Decision): void {
    const side = this.side()
    const at = new Date().toISOString()
    this.store.dispatch(
      lookActions.choose({ choices: advice.codes.map((code) => ({ code, side, choice, reason, at })) }),
    )
    if (choice === 'accepted') this.apply(advice)
  }

  /** Puts what was accepted on the shoe once more. */
  again(code: string): void {
    const advice = this.advice().find((one) => one.code === code)
    if (advice) this.apply(advice)
  }

  private apply({ change }: Advice): void {
    const draft = this.draft()
    if (!change || !draft) return
    const { shoe, clash } = accepted(draft.shoe, change)
    if (shoe !== draft.shoe) this.store.dispatch(benchActions.setShoe({ shoe, touched: 'advice' }))
    const { breakoverSchool } = change
    if (breakoverSchool) this.store.dispatch(benchActions.setSchool({ school: breakoverSchool, all: false }))
    this.store.dispatch(benchActions.settle())
    if (clash) void this.tells.warn(`Agreed, but not put on the shoe. ${clash}.`, 'Understood', 9_000)
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
