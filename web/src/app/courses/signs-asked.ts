import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core'
import { courseKind, signsToAsk, type Course, type SignAnswer } from '@crescent/core/courses'

/** What should have come by now, asked one by one: better, the same or worse. */
@Component({
  selector: 'cr-signs-asked',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (sign of asked(); track sign.key) {
      <div class="sign" role="group" [attr.aria-label]="sign.asks">
        <span>{{ sign.asks }}?</span>
        @for (one of answers; track one.key) {
          <button type="button" class="tap" (click)="answered.emit({ sign: sign.key, answer: one.key })">
            {{ one.label }}
          </button>
        }
      </div>
    }
    @for (said of given(); track said.sign) {
      <p class="given">
        {{ said.asks }}: <strong>{{ said.label }}</strong>
      </p>
    }
  `,
  styles: `
    .sign {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      align-items: center;
      padding: 6px 0;
    }
    .sign span {
      flex: 1 1 12rem;
      font-weight: 600;
    }
    .given {
      margin: 2px 0;
      font-size: 0.92rem;
      color: var(--ink-soft);
    }
  `,
})
export class SignsAsked {
  readonly course = input.required<Course>()
  /** Of the visit they are asked at. */
  readonly day = input.required<string>()
  readonly answered = output<{ sign: string; answer: SignAnswer }>()

  protected readonly answers = [
    { key: 'better', label: 'Better' },
    { key: 'same', label: 'The same' },
    { key: 'worse', label: 'Worse' },
  ] as const
  protected readonly asked = computed(() => signsToAsk(this.course(), this.day()))
  protected readonly given = computed(() => {
    const { signs } = courseKind(this.course().kind)
    return this.course()
      .answers.filter(({ on }) => on === this.day())
      .map(({ sign, answer }) => ({
        sign,
        asks: signs.find(({ key }) => key === sign)?.asks ?? sign,
        label: this.answers.find(({ key }) => key === answer)!.label.toLowerCase(),
      }))
  })
}
