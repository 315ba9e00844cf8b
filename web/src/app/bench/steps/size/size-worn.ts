import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { bends } from '@crescent/core'
import { resetOf, wornSince } from '@crescent/core/anvil'
import { OneOf } from '../../../common/one-of'
import { longDay } from '../../../common/today'
import { Desk } from '../../desk'
import { Sizing } from './sizing'

const CHOICES = [
  { key: 'new', label: 'A new one' },
  { key: 'reset', label: 'The same, reset' },
] as const

/** The size on the Bench: a new shoe off the van, or the one that came off this foot put on again. */
@Component({
  selector: 'cr-size-worn',
  imports: [OneOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <cr-one-of
      label="New or reset"
      [choices]="choices"
      [chosen]="resets() > 0 ? 'reset' : 'new'"
      (choose)="choose($event)"
    />
    @if (told(); as words) {
      <p [class.over]="words.over" data-testid="worn">{{ words.text }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
      margin: 8px 0;
    }
    p {
      margin: 6px 0 0;
      font-size: 0.92rem;
    }
    .over {
      font-weight: 650;
      color: var(--stop);
    }
  `,
})
export class SizeWorn {
  private readonly sizing = inject(Sizing)
  private readonly desk = inject(Desk)
  protected readonly choices = CHOICES
  private readonly fitted = computed(() => this.sizing.used()?.fitted)
  protected readonly resets = computed(() => this.fitted()?.resets ?? 0)
  private readonly day = computed(() => this.desk.page()?.visit.date ?? '')

  protected readonly told = computed(() => {
    const [stock, fitted, day] = [this.sizing.used(), this.fitted(), this.day()]
    if (!stock || !fitted || fitted.resets === 0 || day === '') return undefined
    const { days, resets, left } = wornSince(fitted, day)
    const times = resets === 1 ? 'once' : `${resets} times`
    const text = `Reset ${times}, new on ${longDay(fitted.since)}: ${Math.round(days / 7)} weeks.`
    if (bends(stock.facts.kind)) return { text: `${text} None is taken off the van.`, over: false }
    return left >= 0
      ? {
          text: `${text} A moulded shoe lasts up to a year: ${Math.floor(left / 7)} weeks are left.`,
          over: false,
        }
      : { text: `${text} It is past its year: take a new one.`, over: true }
  })

  protected choose(key: 'new' | 'reset'): void {
    if ((key === 'reset') === this.resets() > 0) return
    const day = this.day()
    const last = this.desk.page()?.previous?.visit.date ?? day
    const before = this.sizing.wornBefore()
    const fitted = key === 'reset' ? resetOf(before, last) : { since: day, resets: 0 }
    this.sizing.restock({ fitted }, 'fitted')
    this.sizing.settle()
  }
}
