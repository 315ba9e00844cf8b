import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import {
  closedGates,
  modificationWords,
  SIDES,
  stopsOf,
  workWords,
  type Side,
  type VisitPage,
} from '@crescent/core'
import { firstValueFrom } from 'rxjs'
import { AsyncState } from '../../../common/async-state'
import { OneOf } from '../../../common/one-of'
import { StopLines } from '../../../common/stop-lines'
import { longDay } from '../../../common/today'
import { CourseDue } from '../../../courses/course-due'
import { HorseCourses } from '../../../courses/horse-courses'
import { PainStrip } from '../../../courses/pain-strip'
import { FigureText } from '../../../drawing/figure-text'
import { HelpButton } from '../../../help/help-button'
import { Api, conflictOf, failureText, type StoredFeet } from '../../../state/api'
import { unsavedSides } from '../../../state/bench/kept-drafts'
import { LastTime } from '../../last-time'
import { feetAgain, lookOf, storedAgain, type Again, type FootAgain } from './feet-again'

export interface AgainDialogData {
  horse: { id: string; name: string }
  day: string
}

/** What was stored, or that the visit is to be looked at first. */
export type AgainAnswer = (StoredFeet & { told: string }) | 'look'

const LABELS: Record<Again, string> = {
  shod: 'New',
  reset: 'Put back',
  bare: 'Bare',
  nothing: 'Not yet',
}

/** All four feet as last time, in one go: new shoes of the same, the old ones put back, or foot by foot. */
@Component({
  selector: 'cr-again-dialog',
  imports: [
    AsyncState,
    CourseDue,
    HelpButton,
    LastTime,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    OneOf,
    PainStrip,
    StopLines,
  ],
  providers: [HorseCourses],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './again-dialog.html',
  styleUrl: './again-dialog.scss',
})
export class AgainDialog {
  protected readonly data = inject<AgainDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<AgainDialog, AgainAnswer>>(MatDialogRef)
  private readonly api = inject(Api)
  protected readonly text = inject(FigureText)
  protected readonly sides = SIDES
  protected readonly longDay = longDay

  /** Made once: a repeat after a lost answer stores nothing twice. */
  private readonly ids = {
    LF: crypto.randomUUID(),
    RF: crypto.randomUUID(),
    LH: crypto.randomUUID(),
    RH: crypto.randomUUID(),
  }
  protected readonly page = signal<VisitPage | undefined>(undefined)
  protected readonly failure = signal('')
  /** Why it could not be kept. */
  protected readonly refused = signal('')
  protected readonly keeping = signal(false)
  protected readonly chosen = signal<Partial<Record<Side, Again>>>({})

  protected readonly feet = computed((): FootAgain[] => {
    const page = this.page()
    return page ? feetAgain(page, unsavedSides(page.visit.id), this.ids) : []
  })
  protected readonly stops = computed(() => (this.page() ? stopsOf(lookOf(this.page()!)) : []))
  /** Something calls for the vet and nobody has answered it: nothing is done past it. */
  protected readonly closed = computed(() => !!this.page() && closedGates(lookOf(this.page()!)).length > 0)
  protected readonly shoeable = computed(() => this.feet().some(({ can }) => can.includes('reset')))
  protected readonly every = [
    { key: 'shod', label: 'New of the same' },
    { key: 'reset', label: 'Put back' },
  ] as const
  /** What is chosen for every foot that can be shod alike. */
  protected readonly alike = computed(() => {
    const works = this.feet()
      .filter(({ can }) => can.includes('reset'))
      .map(({ side }) => this.chosen()[side])
    const [first] = works
    return works.every((work) => work === first) && (first === 'shod' || first === 'reset')
      ? first
      : undefined
  })
  protected readonly works = computed(() =>
    Object.fromEntries(
      Object.entries(this.chosen()).filter(([, work]) => work !== undefined && work !== 'nothing'),
    ),
  )
  protected readonly told = computed(() => workWords(this.works()))

  constructor() {
    void this.read()
  }

  protected async read(): Promise<void> {
    this.failure.set('')
    try {
      const page = await firstValueFrom(this.api.nextVisit(this.data.horse.id, this.data.day))
      this.page.set(page)
      this.chosen.set(Object.fromEntries(this.feet().map(({ side, proposed }) => [side, proposed])))
    } catch (error) {
      this.failure.set(failureText(error))
    }
  }

  protected choices = ({ can }: FootAgain): { key: Again; label: string }[] =>
    can.map((key) => ({ key, label: LABELS[key] }))

  protected choose = (side: Side, work: Again): void =>
    this.chosen.update((all) => ({ ...all, [side]: work }))

  /** The same for every foot of which it can be done; the others stay. */
  protected chooseAll(work: 'shod' | 'reset'): void {
    const all = this.feet().flatMap(({ side, can }) => (can.includes(work) ? [[side, work] as const] : []))
    this.chosen.update((before) => ({ ...before, ...Object.fromEntries(all) }))
  }

  /** What a new shoe takes, and what of it asks for a decision. */
  protected takes({ made }: FootAgain): string {
    if (!made) return ''
    const { iron } = made.plan
    const { width, thickness } = made.pattern.shoe.section
    return (
      iron.size ??
      `${this.text.bare(width)} x ${this.text.length(thickness)}, cut ${this.text.length(iron.cutLength)}`
    )
  }
  /** What is made of the bar. */
  protected made = ({ made }: FootAgain): string => (made ? modificationWords(made.pattern.shoe) : '')
  protected stopsIn = ({ made }: FootAgain): string[] =>
    (made?.plan.cautions ?? [])
      .filter(({ severity }) => severity === 'stop')
      .map(({ title }) => this.text.told(title))

  protected look = (): void => this.dialog.close('look')

  protected async keep(): Promise<void> {
    const page = this.page()
    if (!page || this.keeping() || this.told() === '') return
    this.keeping.set(true)
    this.refused.set('')
    try {
      const sent = storedAgain(page, this.feet(), this.chosen())
      const stored = await firstValueFrom(this.api.putSeveralFeet(page.visit.id, sent))
      this.dialog.close({ ...stored, told: this.told() })
    } catch (error) {
      if (conflictOf(error)) {
        await this.read()
        this.refused.set('Not kept: this visit was changed elsewhere meanwhile. This is how it stands now.')
      } else this.refused.set(`Not kept. ${failureText(error)}`)
    } finally {
      this.keeping.set(false)
    }
  }
}
