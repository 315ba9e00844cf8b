import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core'
import type { DatedTry, Try } from '@crescent/core'
import { correctionsOf } from '@crescent/core/anvil'
import { firstValueFrom } from 'rxjs'
import { FigureText } from '../../../drawing/figure-text'
import { Api, failureText } from '../../../state/api'
import { Desk } from '../../desk'
import { Forging } from '../iron/forging'
import { Trying } from './trying'

const COUNTS = [
  { key: 'walks', label: 'Walks to the horse', most: 40 },
  { key: 'heats', label: 'Heats', most: 40 },
] as const

/** No shoe takes longer, minutes. */
const MOST_MINUTES = 600

/** What a try took, logged with the bends that were made. */
@Component({
  selector: 'cr-log-try',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of counts; track one.key) {
      <div class="count">
        <span>{{ one.label }}</span>
        <button
          type="button"
          class="tap"
          [attr.aria-label]="'Fewer: ' + one.label"
          [disabled]="took()[one.key] === 0"
          (click)="count(one.key, -1)"
        >
          −
        </button>
        <b>{{ took()[one.key] }}</b>
        <button
          type="button"
          class="tap"
          [attr.aria-label]="'More: ' + one.label"
          [disabled]="took()[one.key] === one.most"
          (click)="count(one.key, 1)"
        >
          +
        </button>
      </div>
    }
    <label class="count">
      <span>Minutes</span>
      <input
        #box
        inputmode="numeric"
        [value]="took().minutes ?? ''"
        (input)="minutes(box.value)"
        (blur)="trying.settle()"
      />
    </label>
    @if (!trying.moulded()) {
      <p class="muted">{{ bent() }}</p>
    }
    @if (failure()) {
      <p class="wrong" role="alert">{{ failure() }}</p>
    }
    <div class="acts">
      <button type="button" class="tap" [disabled]="saving()" (click)="log(false)">Log it, try again</button>
      <button type="button" class="tap main" [disabled]="saving()" (click)="log(true)">
        It fits: log it
      </button>
    </div>
    @if (logged().length > 0) {
      <ol data-testid="tries">
        @for (one of logged(); track one.id) {
          <li>{{ inWords(one) }}</li>
        }
      </ol>
    }
  `,
  styles: `
    .count {
      display: grid;
      grid-template-columns: 1fr 48px 3.4rem 48px;
      gap: 6px;
      align-items: center;
      min-height: 50px;
    }
    .count b {
      text-align: center;
      font-variant-numeric: tabular-nums;
    }
    .count input {
      grid-column: 2 / 5;
      min-height: 44px;
      padding: 0 8px;
      font: inherit;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin-top: 8px;
    }
    .main {
      font-weight: 700;
    }
    .wrong {
      font-weight: 650;
      color: var(--stop);
    }
    ol {
      padding-left: 1.4em;
    }
  `,
})
export class LogTry {
  protected readonly trying = inject(Trying)
  private readonly api = inject(Api)
  private readonly desk = inject(Desk)
  private readonly forging = inject(Forging)
  private readonly text = inject(FigureText)
  protected readonly counts = COUNTS
  protected readonly saving = signal(false)
  protected readonly failure = signal('')
  private readonly all = signal<readonly DatedTry[]>([])
  protected readonly logged = computed(() => this.all().filter(({ side }) => side === this.desk.side()))
  protected readonly took = computed(() => ({
    walks: 1,
    ...this.trying.anvil().took,
    // One count of them, in Iron as here.
    heats: this.forging.heatsOfTry(),
  }))
  /** Made up once for each try: sent twice it is stored once. */
  private id = crypto.randomUUID()

  private readonly corrections = computed(() => {
    const [tried, pattern] = [this.trying.tried().plan, this.trying.pattern()]
    return tried && pattern ? correctionsOf(tried.bends.slice(0, this.trying.made()), pattern) : []
  })
  protected readonly bent = computed(() => {
    const count = this.corrections().length
    if (count > 0) return `${count === 1 ? 'One bend' : `${count} bends`} made, as ticked beside the drawing.`
    return 'No bend is ticked as made beside the drawing.'
  })

  constructor() {
    effect(() => {
      const visit = this.desk.page()?.visit.id
      untracked(() => void (visit && this.read(visit)))
    })
  }

  private async read(visit: string): Promise<void> {
    try {
      this.all.set(await firstValueFrom(this.api.tries(visit)))
    } catch {
      // What was logged before is only looked at: a try can be logged without it.
      this.all.set([])
    }
  }

  protected count(key: 'walks' | 'heats', by: 1 | -1): void {
    if (key === 'heats') return this.forging.tookHeat(by)
    this.trying.put({ took: { ...this.trying.anvil().took, walks: this.took().walks + by } }, 'took')
    this.trying.settle()
  }

  protected minutes(typed: string): void {
    const { minutes: _old, ...took } = { walks: 1, ...this.trying.anvil().took }
    const read = Number(typed.replace(',', '.'))
    const wrong = typed.trim() !== '' && !(read >= 0 && read <= MOST_MINUTES)
    this.failure.set(wrong ? `Minutes: ${typed} is not possible; between 0 and ${MOST_MINUTES}` : '')
    if (!wrong) this.trying.put({ took: typed.trim() === '' ? took : { ...took, minutes: read } }, 'took')
  }

  protected async log(fits: boolean): Promise<void> {
    const [page, plan] = [this.desk.page(), this.trying.plan()]
    if (!page || !plan || this.saving()) return
    const { twist, cup, contacts = {} } = this.trying.anvil()
    const { walks, heats, minutes = null } = this.took()
    const one: Try = {
      ...{ id: this.id, version: 0, visitId: page.visit.id, side: this.desk.side() },
      shoe:
        plan.iron.size ??
        `${this.text.bare(plan.section.width)} x ${this.text.length(plan.section.thickness)}`,
      ...{ handmade: plan.iron.size === undefined, walks, heats, minutes, fits, contacts },
      before: this.trying.tried().plan?.before ?? null,
      corrections: this.corrections(),
      ...(twist && { twist }),
      ...(cup && { cup }),
    }
    this.saving.set(true)
    this.failure.set('')
    try {
      const stored = await firstValueFrom(this.api.putTry(one))
      this.all.update((all) => [...all, { ...stored, date: page.visit.date, horse: page.horse.name }])
      this.id = crypto.randomUUID()
      this.forging.loggedTry()
      this.trying.clear()
    } catch (error) {
      this.failure.set(failureText(error))
    } finally {
      this.saving.set(false)
    }
  }

  protected inWords({ walks, heats, minutes, corrections, fits, before }: DatedTry): string {
    const parts = [
      `${walks} ${walks === 1 ? 'walk' : 'walks'}`,
      ...(heats > 0 ? [`${heats} ${heats === 1 ? 'heat' : 'heats'}`] : []),
      ...(minutes === null ? [] : [`${minutes} min`]),
      ...(before === null ? [] : [`${this.text.length(before)} off`]),
      corrections.length === 0
        ? 'nothing bent'
        : `${corrections.length} ${corrections.length === 1 ? 'bend' : 'bends'}`,
    ]
    return `${parts.join(', ')}${fits ? '; it fits' : ''}.`
  }
}
