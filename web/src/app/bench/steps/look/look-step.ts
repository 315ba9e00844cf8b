import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import type { Side } from '@crescent/core'
import { MovesFold } from './folds/moves-fold'
import { OldShoeFold } from './folds/old-shoe-fold'
import { UntrimmedFold } from './folds/untrimmed-fold'
import { VetFold } from './folds/vet-fold'
import { WaysFold } from './folds/ways-fold'

/** Look: history, the vet's word, how the horse stands and moves, the old shoe and the foot before the trim. */
@Component({
  selector: 'cr-look-step',
  imports: [MovesFold, OldShoeFold, UntrimmedFold, VetFold, WaysFold],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="since">{{ sinceText() }}</p>
    <cr-moves-fold [side]="side()" />
    <cr-ways-fold />
    <cr-vet-fold />
    <cr-old-shoe-fold [side]="side()" />
    <cr-untrimmed-fold [side]="side()" />
  `,
  styles: `
    .since {
      margin-bottom: 8px;
      font-weight: 600;
    }
  `,
})
export class LookStep {
  readonly side = input.required<Side>()
  /** Weeks since the last shoeing; unknown at a first visit. */
  readonly weeksSince = input<number | undefined>()
  readonly cycleWeeks = input.required<number>()

  protected readonly sinceText = computed(() => {
    const weeks = this.weeksSince()
    if (weeks === undefined) return 'First visit: nothing to compare with yet.'
    const late = Math.round(weeks - this.cycleWeeks())
    const since = `${Math.round(weeks)} weeks since the last shoeing`
    if (late > 0) return `${since}, ${late} over its cycle of ${this.cycleWeeks()}.`
    return `${since}, cycle of ${this.cycleWeeks()}.`
  })
}
