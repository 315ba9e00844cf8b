import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core'
import { DayField } from '../../common/day-field'
import { longDay } from '../../common/today'

/** When the horse is due next: as its cycle says, or on a day of its own. */
@Component({
  selector: 'cr-next-due',
  imports: [DayField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>
      Next due <strong>{{ told() }}</strong>, {{ set() === null ? 'by its cycle.' : 'set for this visit.' }}
      @if (set() === null) {
        <button type="button" class="tap" (click)="changed.emit(byCycle())">Another day</button>
      } @else {
        <button type="button" class="tap" (click)="back()">By the cycle again</button>
      }
    </p>
    @if (set() !== null) {
      <cr-day-field
        label="Next visit"
        [day]="set()!"
        (changed)="changed.emit($event)"
        (faulty)="fault.emit($event)"
      />
    }
  `,
  styles: `
    p {
      margin: 8px 0;
    }
    .tap {
      margin-left: 6px;
    }
  `,
})
export class NextDue {
  readonly byCycle = input.required<string>()
  readonly set = input.required<string | null>()
  readonly changed = output<string | null>()
  /** What is typed is no day. */
  readonly fault = output<boolean>()
  protected readonly told = computed(() => longDay(this.set() ?? this.byCycle()))

  protected back(): void {
    this.fault.emit(false)
    this.changed.emit(null)
  }
}
