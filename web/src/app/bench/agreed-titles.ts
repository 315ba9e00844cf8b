import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import type { AdviceChoice } from '@crescent/core'
import { adviceTitle } from '@crescent/core/advice'

/** What was agreed, in the farrier’s own words where he used some, else by its title. */
@Component({
  selector: 'cr-agreed-titles',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `{{ words() }}`,
})
export class AgreedTitles {
  readonly choices = input.required<readonly AdviceChoice[]>()
  protected readonly words = computed(() =>
    this.choices()
      .map(({ code, reason }) => reason || adviceTitle(code))
      .join('; '),
  )
}
