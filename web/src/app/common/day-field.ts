import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core'
import { DAY_RANGE } from '@crescent/core/text'
import { isValid, parseISO } from 'date-fns'

let count = 0

/** What is wrong with a day as it was typed; nothing where it can be. */
export function dayFault(day: string): string {
  if (!/^\d{4}-\d\d-\d\d$/.test(day) || !isValid(parseISO(day))) return 'This is no day of the calendar.'
  const [first, last] = DAY_RANGE
  return day < first || day > last
    ? `The year lies between ${first.slice(0, 4)} and ${last.slice(0, 4)}.`
    : ''
}

/** A day, typed or picked. What is no day stays in the field with what is wrong, and is not handed on. */
@Component({
  selector: 'cr-day-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [attr.for]="id">{{ label() }}</label>
    <input
      #box
      class="typed"
      type="date"
      [id]="id"
      [min]="range[0]"
      [max]="range[1]"
      [attr.aria-invalid]="fault() ? true : null"
      [attr.aria-describedby]="fault() ? id + '-fault' : null"
      (input)="typed(box)"
    />
    @if (fault()) {
      <p class="fault" role="alert" [id]="id + '-fault'">{{ fault() }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
      margin-bottom: 10px;
    }
    label {
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
    input[aria-invalid] {
      border-color: var(--stop);
    }
    .fault {
      color: var(--stop);
      font-size: 0.9rem;
      font-weight: 600;
    }
  `,
})
export class DayField {
  readonly label = input.required<string>()
  readonly day = input.required<string>()
  /** It may be left empty. */
  readonly optional = input(false)
  readonly changed = output<string>()
  /** Whether what stands in the field can be handed on. */
  readonly faulty = output<boolean>()

  protected readonly id = `day-${count++}`
  protected readonly range = DAY_RANGE
  private readonly wrong = signal('')
  protected readonly fault = computed(() => this.wrong())
  private readonly box = viewChild<ElementRef<HTMLInputElement>>('box')
  private handedOn: string | undefined

  constructor() {
    // Only what comes from elsewhere: a day written back while its year is still typed would take digits with it.
    effect(() => {
      const day = this.day()
      const box = this.box()?.nativeElement
      if (!box || day === this.handedOn) return
      this.handedOn = undefined
      box.value = day
    })
  }

  protected typed({ value, validity }: HTMLInputElement): void {
    const empty = value === '' && !validity.badInput
    if (empty) this.wrong.set(this.optional() ? '' : 'A day is needed.')
    else this.wrong.set(dayFault(value))
    this.faulty.emit(this.wrong() !== '')
    if (this.wrong() !== '') return
    this.handedOn = value
    this.changed.emit(value)
  }
}
