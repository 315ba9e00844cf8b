import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core'
import { MatButton, MatIconButton } from '@angular/material/button'
import { Tip } from '../common/tip'
import { MatIcon } from '@angular/material/icon'
import { Router, RouterLink } from '@angular/router'
import {
  commonName,
  currentPatterns,
  findingWords,
  modificationWords,
  stopsOf,
  workOf,
  workWords,
  SIDES,
  type StoredPattern,
  type Visit,
} from '@crescent/core'
import { ageOn } from '@crescent/core/text'
import { Store } from '@ngrx/store'
import { Dialogs } from '../common/dialogs'
import { ChangeChart } from '../change/change-chart'
import { ShoeAgain } from '../bench/keep/again/shoe-again'
import { AsyncState } from '../common/async-state'
import { StopLines } from '../common/stop-lines'
import { many } from '../common/many'
import { Phone } from '../common/phone'
import { shortDay, today } from '../common/today'
import { HorseCalls } from '../calls/horse-calls'
import { HorseForecast } from '../courses/horse-forecast'
import { HorseCourseList } from '../courses/horse-course-list'
import { FigureText } from '../drawing/figure-text'
import { SmallShoe } from '../drawing/small-shoe'
import type { VersionsDialogData } from '../bench/keep/versions-dialog'
import type { EraseDialogData } from '../erasing/erase-dialog'
import type { JoinDialogData } from './join-dialog'
import { recordsActions, recordsFeature } from '../state/records/records.feature'
import { Help } from '../help/help'

/** One horse: what its four feet wear, its visits, its pattern library. */
@Component({
  selector: 'cr-horse-page',
  imports: [
    AsyncState,
    ChangeChart,
    HorseCalls,
    HorseCourseList,
    HorseForecast,
    MatButton,
    MatIcon,
    MatIconButton,
    Phone,
    Tip,
    RouterLink,
    SmallShoe,
    StopLines,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './horse-page.html',
  styleUrl: './horse-page.scss',
})
export class HorsePageView {
  readonly horseId = input.required<string>()
  private readonly router = inject(Router)

  private readonly store = inject(Store)
  private readonly dialogs = inject(Dialogs)
  protected readonly asLastTime = inject(ShoeAgain)
  protected readonly text = inject(FigureText)
  protected readonly page = this.store.selectSignal(recordsFeature.selectPage)
  protected readonly loading = this.store.selectSignal(recordsFeature.selectLoading)
  protected readonly failure = this.store.selectSignal(recordsFeature.selectFailure)
  protected readonly shortDay = shortDay
  protected readonly showChange = signal(false)
  protected readonly showForecast = signal(false)
  protected readonly day = today()
  protected readonly showArchived = signal(false)

  protected readonly feet = computed(() => {
    const page = this.page()
    const wears = currentPatterns(page?.patterns ?? [], page?.visits)
    const bare = currentPatterns(page?.patterns ?? [])
    return SIDES.map((side) => ({
      side,
      pattern: wears[side],
      none: bare[side] && !wears[side] ? 'Left bare' : 'No pattern yet',
    }))
  })
  /** One visit a day: where there is one, it is gone on with, and the button says so. */
  protected readonly ofToday = computed(() => this.page()?.visits.find(({ date }) => date === this.day))
  protected readonly startWords = computed(() => {
    const state = this.ofToday()?.state
    if (!state) return 'Start visit'
    return state === 'done' ? 'Look at today’s visit' : 'Go on with the visit'
  })
  /** What stands in the way of the work on this horse, by its newest look. */
  protected readonly stops = computed(() => {
    const look = this.page()?.looks[0]
    return look ? stopsOf(look) : []
  })
  /** How old it is, where that is known. */
  protected readonly age = computed(() => {
    const born = this.page()?.horse.born ?? null
    return born === null ? '' : `, ${many(ageOn(born, this.day), 'year')}`
  })
  protected readonly library = computed(() =>
    (this.page()?.patterns ?? []).filter((pattern) => pattern.archived === this.showArchived()),
  )
  protected readonly archivedCount = computed(
    () => this.page()?.patterns.filter((one) => one.archived).length ?? 0,
  )

  constructor() {
    inject(Help).here.set('horse-page')
    effect(() => this.store.dispatch(recordsActions.openHorse({ id: this.horseId() })))
  }

  protected made = ({ shoe }: StoredPattern): string => modificationWords(shoe)
  protected again = (): void => this.store.dispatch(recordsActions.openHorse({ id: this.horseId() }))
  protected start = (): void =>
    this.store.dispatch(recordsActions.startVisit({ horseId: this.horseId(), date: today() }))

  /** What was measured at a visit, foot by foot: width by length. */
  protected measured(visit: Visit): string {
    const records = this.page()!.footRecords.filter((record) => record.visitId === visit.id)
    return SIDES.flatMap((side) => {
      const foot = records.find((record) => record.side === side)?.foot
      return foot ? [`${side} ${this.text.bare(foot.width)} x ${this.text.length(foot.length)}`] : []
    }).join(', ')
  }

  /** What was found at a visit, foot by foot, those first that call for the vet. */
  protected found(visit: Visit): string {
    const look = this.page()!.looks.find(({ visitId }) => visitId === visit.id)
    return look ? findingWords(look) : ''
  }

  /** What was done to the feet at a visit: shod, the same shoe again, left bare. */
  protected work(visit: Visit): string {
    const records = this.page()!.footRecords.filter((record) => record.visitId === visit.id)
    return workWords(workOf(visit.feet, records))
  }

  protected barOf({ shoe: { section, stock } }: StoredPattern): string {
    if (stock) return stock.facts.label
    const name = commonName(section)
    return name && this.text.style().unit === 'in'
      ? name
      : `${this.text.bare(section.width)} x ${this.text.length(section.thickness)}`
  }

  protected change(): void {
    void this.dialogs.ask<void, unknown>(() => import('./horse-dialog').then((m) => m.HorseDialog), {
      data: { horse: this.page()!.horse },
      width: '560px',
    })
  }

  protected changeOwner(): void {
    void this.dialogs.ask<void, unknown>(() => import('./owner-dialog').then((m) => m.OwnerDialog), {
      data: { owner: this.page()!.owner },
      width: '480px',
    })
  }

  /** Two records of the same horse, or of its owner, become one. */
  protected join(kind: 'horse' | 'owner'): void {
    const { horse, owner } = this.page()!
    const record = kind === 'horse' ? horse : owner
    if (!record) return
    void this.dialogs
      .ask<boolean, JoinDialogData>(() => import('./join-dialog').then((m) => m.JoinDialog), {
        data: { kind, id: record.id, version: record.version, name: record.name },
        width: '480px',
      })
      .then((joined) => {
        if (joined) this.again()
      })
  }

  /** Its owner goes with all horses, it alone with everything of its own: afterwards this page is about nothing. */
  protected erase(kind: 'horse' | 'owner'): void {
    const { horse, owner, visits } = this.page()!
    const record = kind === 'horse' ? horse : owner
    if (!record) return
    const { id, version, name } = record
    void this.dialogs
      .ask<boolean, EraseDialogData>(() => import('../erasing/erase-dialog').then((m) => m.EraseDialog), {
        data: {
          ...{ kind, id, version, name, visitIds: visits.map((visit) => visit.id) },
          ...(kind === 'horse' && { horseId: horse.id }),
        },
        width: '480px',
      })
      .then((erased) => {
        if (erased) void this.router.navigate(['/stable'])
      })
  }

  protected archiveHorse(archived: boolean): void {
    this.store.dispatch(recordsActions.saveHorse({ horse: { ...this.page()!.horse, archived } }))
  }

  /** Every state of a pattern; one that is brought back becomes its next version. */
  protected versions(pattern: StoredPattern): void {
    void this.dialogs
      .ask<StoredPattern, VersionsDialogData>(
        () => import('../bench/keep/versions-dialog').then((m) => m.VersionsDialog),
        {
          data: { pattern, act: 'Bring it back' },
          width: '560px',
        },
      )
      .then((then) => {
        if (!then) return
        const { result: _result, ...kept } = then
        this.store.dispatch(
          recordsActions.savePattern({ pattern: { ...kept, version: pattern.version, archived: false } }),
        )
      })
  }

  protected archivePattern({ result: _result, ...pattern }: StoredPattern, archived: boolean): void {
    this.store.dispatch(recordsActions.savePattern({ pattern: { ...pattern, archived } }))
  }
}
