import { computed, inject, Injectable } from '@angular/core'
import type { FootLook, SignAnswer } from '@crescent/core'
import {
  accepted,
  advise,
  contradictions,
  seenAt,
  seenOver,
  stillAsked,
  withAgreed,
  withoutAgreed,
  withSeen,
  type Advice,
} from '@crescent/core/advice'
import { Store } from '@ngrx/store'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { Tells } from '../../../common/tells'
import { FigureText } from '../../../drawing/figure-text'
import { benchActions, benchFeature, selectSeen } from '../../../state/bench/bench.feature'
import { footInput } from '../../../state/bench/draft'
import { lookActions, lookFeature } from '../../../state/look/look.feature'
import type { Decision } from './advice-list'

/** What follows from what was looked at: advice, what was decided of it, and what of it is looked for at the next visit. */
@Injectable({ providedIn: 'root' })
export class Advising {
  private readonly store = inject(Store)
  private readonly tells = inject(Tells)
  private readonly text = inject(FigureText)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly draft = this.store.selectSignal(benchFeature.selectDraft)
  private readonly planning = this.store.selectSignal(benchFeature.selectPlanning)
  private readonly look = this.store.selectSignal(lookFeature.selectLook)
  private readonly looked = this.store.selectSignal(selectSeen)

  readonly weeksSince = computed(() => {
    const page = this.page()
    if (!page?.lastVisit) return undefined
    return differenceInCalendarDays(parseISO(page.visit.date), parseISO(page.lastVisit.date)) / 7
  })

  /** What was agreed at visits before and should have come by now: still to be asked, and what was said. */
  readonly signs = computed(() => {
    const look = this.look()
    const page = this.page()
    if (!look || page?.visit.state !== 'open') return { asked: [], given: [], lines: [] }
    const side = this.side()
    const on = page.visit.date
    return {
      asked: stillAsked(look.feet[side], on),
      given: seenAt(look.feet[side], on),
      lines: seenOver(look.feet[side]),
    }
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

  /** What was looked for is better, the same or worse; or it is not to be asked any more. */
  seen(key: string, answer: SignAnswer | 'never mind'): void {
    const asked = this.signs().asked.find((one) => one.key === key)
    if (!asked) return
    const side = this.side()
    const foot = withSeen(this.look()!.feet[side], asked, this.page()!.visit.date, answer)
    this.store.dispatch(lookActions.setFoot({ side, foot, touched: '' }))
    this.store.dispatch(lookActions.settle())
  }

  /** Accepting changes the shoe where it can be changed at once, and goes on record. */
  decide({ advice, choice, reason }: Decision): void {
    const side = this.side()
    const at = new Date().toISOString()
    const choices = advice.codes.map((code) => ({ code, side, choice, reason, at }))
    // Whatever was agreed to before is no longer, but for what is agreed to now.
    const bare = this.withoutAgreed(advice.codes)
    const foot = choice === 'accepted' ? withAgreed(bare, advice.codes, this.page()!.visit.date) : bare
    this.store.dispatch(lookActions.choose({ choices, side, foot }))
    if (choice === 'accepted') this.apply(advice)
  }

  /** As if nothing had been decided about it. */
  reconsider({ codes }: Advice): void {
    const foot = this.withoutAgreed(codes)
    this.store.dispatch(lookActions.unchoose({ codes, side: this.side(), foot }))
  }

  private withoutAgreed = (codes: readonly string[]): FootLook =>
    withoutAgreed(this.look()!.feet[this.side()], codes, this.page()!.visit.date)

  /** Puts what was accepted on the shoe once more. */
  again(code: string): void {
    const advice = this.advice().find((one) => one.code === code)
    if (advice) this.apply(advice)
  }

  private apply({ change }: Advice): void {
    const draft = this.draft()
    if (!change || !draft) return
    const foot = footInput(this.side(), draft.foot, this.looked()[this.side()])
    const { shoe, clash, refused } = accepted(draft.shoe, change, foot)
    if (shoe !== draft.shoe) this.store.dispatch(benchActions.setShoe({ shoe, touched: 'advice' }))
    const { breakoverSchool } = change
    if (breakoverSchool) this.store.dispatch(benchActions.setSchool({ school: breakoverSchool, all: false }))
    this.store.dispatch(benchActions.settle())
    const why = clash ?? refused?.map(this.text.problem).join('; ')
    if (why) void this.tells.warn(`Agreed, but not put on the shoe. ${why}.`, 'Understood', 9_000)
  }
}
