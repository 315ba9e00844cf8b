import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
} from '@angular/core'
import { jobWithin, JOB_RANGES, learnedFor, styleOfShoe, type DatedJob, type Job } from '@crescent/core'
import { Store } from '@ngrx/store'
import { firstValueFrom } from 'rxjs'
import { shortDay } from '../../../common/today'
import { FigureText } from '../../../drawing/figure-text'
import { Api, failureText } from '../../../state/api'
import { benchActions } from '../../../state/bench/bench.feature'
import { Desk } from '../../desk'
import { FigureField } from '../../figure-field'
import { Forging } from './forging'

/** Nobody reads a bar closer than to a sixteenth of an inch: jobs that agree to the hair say no more than this, mm. */
const READ_TO = 1.6

/** What was really cut and what was left over, logged so that the next cut of this bar and style is nearer. */
@Component({
  selector: 'cr-log-cut',
  imports: [FigureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Log the cut</h3>
    <p class="learned" data-testid="learned">{{ told() }}</p>
    @if (odd() > 0) {
      <p class="muted">
        {{ odd() === 1 ? 'One job lies' : odd() + ' jobs lie' }} too far off to be of the same kind: not
        learned from.
      </p>
      <ul data-testid="odd">
        @for (one of oddOnes(); track one.id) {
          <li>
            {{ one.horse }} {{ one.side }}, {{ day(one.date) }}: cut {{ text.length(one.used) }},
            {{ text.length(one.left) }} left over
            <button type="button" class="link" [disabled]="saving()" (click)="strike(one)">
              Strike it out
            </button>
          </li>
        }
      </ul>
    }
    <label class="check"
      ><input type="checkbox" [checked]="learns()" (change)="switch()" /> Logged jobs correct the cut</label
    >
    <cr-figure-field
      field="job.used"
      label="Cut"
      kind="length"
      where="What was really cut off the bar."
      [value]="used().value"
      [assumed]="planned()"
      [entry]="used().entry"
      [problem]="wrongOf('used')"
      (figure)="used.set({ value: $event })"
      (unread)="used.set({ entry: $event })"
    />
    <cr-figure-field
      field="job.left"
      label="Left over"
      kind="length"
      where="What was cut off both finished heels together; minus where the bar was too short by so much."
      [value]="left().value"
      [assumed]="0"
      [entry]="left().entry"
      [problem]="wrongOf('left')"
      (figure)="left.set({ value: $event })"
      (unread)="left.set({ entry: $event })"
    />
    @if (failure()) {
      <p class="wrong" role="alert">{{ failure() }}</p>
    }
    <button type="button" class="tap" [disabled]="saving()" (click)="log()">Log it</button>
    @if (logged(); as one) {
      <p role="status">
        {{ one }}
        @if (last(); as job) {
          <button type="button" class="link" [disabled]="saving()" (click)="strike(job)">
            Strike it out again
          </button>
        }
      </p>
    }
  `,
  styles: `
    h3 {
      margin: 14px 0 6px;
      font-size: 1rem;
    }
    p {
      margin: 4px 0;
      font-size: 0.9rem;
    }
    .learned {
      font-size: 0.96rem;
    }
    .tap {
      width: 100%;
      margin-top: 6px;
    }
    .wrong {
      font-weight: 650;
      color: var(--stop);
    }
  `,
})
export class LogCut {
  private readonly desk = inject(Desk)
  private readonly forging = inject(Forging)
  private readonly api = inject(Api)
  private readonly store = inject(Store)
  protected readonly text = inject(FigureText)
  protected readonly day = shortDay
  protected readonly saving = signal(false)
  protected readonly failure = signal('')
  protected readonly logged = signal('')
  /** The job that was logged last, as it is stored. */
  protected readonly last = signal<Job | undefined>(undefined)

  /** Another foot, another bar: what was typed for it. */
  private readonly whose = computed(() => `${this.desk.page()?.visit.id} ${this.desk.side()}`)
  protected readonly used = linkedSignal<string, Typed>({ source: this.whose, computation: () => ({}) })
  protected readonly left = linkedSignal<string, Typed>({ source: this.whose, computation: () => ({}) })
  /** Made up once for each job: sent twice it is stored once. */
  private id = crypto.randomUUID()

  protected readonly planned = computed(() => this.forging.plan()?.iron.cutLength)
  private readonly draft = computed(() => this.desk.told().draft)
  private readonly known = computed(() => {
    const [page, draft] = [this.desk.page(), this.draft()]
    return page && draft ? learnedFor(page.learned ?? [], draft.shoe) : undefined
  })
  protected readonly learns = computed(() => this.desk.page()?.workshop.figures.learn !== false)
  protected readonly odd = computed(() => this.known()?.outliers.length ?? 0)
  private readonly jobs = signal<readonly DatedJob[]>([])
  /** Those that are not learned from, by name: whether one was a slip or a shoe of its own kind only the farrier knows. */
  protected readonly oddOnes = computed(() => {
    const odd = this.known()?.outliers ?? []
    return this.jobs().filter(({ id }) => odd.includes(id))
  })

  constructor() {
    // Asked for once there is something to name, and again when that changes.
    effect(() => {
      if (this.odd() > 0) void this.readJobs()
    })
  }

  private async readJobs(): Promise<void> {
    try {
      this.jobs.set(await firstValueFrom(this.api.jobs()))
    } catch (error) {
      this.failure.set(failureText(error))
    }
  }

  /** What is known of this bar and style, and what it does to the cut. */
  protected readonly told = computed(() => {
    const [known, plan] = [this.known(), this.forging.plan()]
    if (!known || !plan) return 'No job of this bar and style is logged yet: the cut is geometry alone.'
    if (known.jobs === 0) return 'Nothing is learned yet: what is logged lies too far off.'
    const jobs = known.jobs === 1 ? 'one job' : `${known.jobs} jobs`
    const within = jobWithin(known)
    const scatter =
      within === undefined
        ? ''
        : `; of ten jobs nine lie within ${this.text.fine(Math.max(within * plan.iron.cutLength, READ_TO))} of it${known.jobs === 1 ? ', as most workshops scatter' : ''}`
    if (!this.learns()) return `From ${jobs}: switched off.`
    const by = plan.iron.learned
    const change =
      Math.abs(by) < 0.2
        ? 'nothing to correct'
        : `${this.text.fine(Math.abs(by))} ${by > 0 ? 'more' : 'less'}`
    return `From ${jobs}: ${change}${scatter}.`
  })

  protected wrongOf(key: 'used' | 'left'): string | undefined {
    const { value } = this[key]()
    const [least, most] = JOB_RANGES[key]
    return value !== undefined && (value < least || value > most)
      ? `It lies between ${this.text.length(least)} and ${this.text.length(most)}`
      : undefined
  }

  protected async log(): Promise<void> {
    const [page, plan, draft] = [this.desk.page(), this.forging.plan(), this.draft()]
    if (!page || !plan || !draft || this.saving()) return
    const [used, left] = [this.used(), this.left()]
    if (
      used.entry !== undefined ||
      left.entry !== undefined ||
      this.wrongOf('used') ||
      this.wrongOf('left')
    ) {
      this.failure.set('Put right what is marked first: nothing was logged.')
      return
    }
    const { cutLength, learned } = plan.iron
    const job: Job = {
      ...{ id: this.id, version: 0, visitId: page.visit.id, side: this.desk.side() },
      ...{ section: plan.section, style: styleOfShoe(draft.shoe), predicted: cutLength - learned },
      ...{
        used: used.value ?? cutLength,
        left: left.value ?? 0,
        heats: this.forging.heatsTaken(),
        counted: true,
      },
    }
    this.saving.set(true)
    this.failure.set('')
    try {
      this.last.set(await firstValueFrom(this.api.putJob(job)))
      const learnedNow = await firstValueFrom(this.api.learned())
      this.id = crypto.randomUUID()
      this.used.set({})
      this.left.set({})
      this.logged.set(`Logged: cut ${this.text.length(job.used)}, ${this.text.length(job.left)} left over.`)
      this.store.dispatch(benchActions.cutsLearned({ learned: learnedNow }))
    } catch (error) {
      this.failure.set(failureText(error))
    } finally {
      this.saving.set(false)
    }
  }

  /** A job is not counted any more: a figure was mistyped, or the shoe was of its own kind. It stays on record. */
  protected async strike({
    id,
    version,
    visitId,
    side,
    section,
    style,
    predicted,
    used,
    left,
    heats,
  }: Job): Promise<void> {
    if (this.saving()) return
    this.saving.set(true)
    this.failure.set('')
    try {
      const figures = { section, style, predicted, used, left, heats }
      await firstValueFrom(this.api.putJob({ id, version, visitId, side, ...figures, counted: false }))
      const learned = await firstValueFrom(this.api.learned())
      this.store.dispatch(benchActions.cutsLearned({ learned }))
      this.last.set(undefined)
      this.logged.set('Struck out: it is not learned from.')
    } catch (error) {
      this.failure.set(failureText(error))
    } finally {
      this.saving.set(false)
    }
  }

  /** Logged jobs correct the cut, or they do not: a figure of the workshop. */
  protected async switch(): Promise<void> {
    const page = this.desk.page()
    if (!page || this.saving()) return
    this.saving.set(true)
    try {
      const record = await firstValueFrom(this.api.workshop())
      const figures = { ...record.figures, learn: !this.learns() }
      const workshop = await firstValueFrom(this.api.putWorkshop({ ...record, figures }))
      this.store.dispatch(benchActions.workshopSaved({ workshop }))
    } catch (error) {
      this.failure.set(failureText(error))
    } finally {
      this.saving.set(false)
    }
  }
}

/** A figure as it was typed: its value, or what could not be read. */
interface Typed {
  value?: number | undefined
  entry?: string
}
