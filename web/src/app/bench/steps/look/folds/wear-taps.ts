import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { leftOf, shareLeft, WEAR_SHARES, type Side, type WearShare } from '@crescent/core'
import { Store } from '@ngrx/store'
import { FigureText } from '../../../../drawing/figure-text'
import { benchFeature } from '../../../../state/bench/bench.feature'
import { LookEdits, type WornPlace } from './look-edits'

/** What is left of the old shoe, by a tap each: a share of the bar it was made from. Nothing where that bar is not known. */
@Component({
  selector: 'cr-wear-taps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (thickness(); as bar) {
      <p>Left of the {{ text.length(bar) }} it began with</p>
      @for (place of places; track place.key) {
        <div role="group" [attr.aria-label]="'Left at the ' + place.label">
          <span>{{ place.label }}</span>
          @for (one of shares; track one.key) {
            <button
              type="button"
              class="tap"
              [attr.aria-pressed]="chosen(place.key) === one.key"
              (click)="tap(place.key, one.key, bar)"
            >
              {{ one.key }}
            </button>
          }
        </div>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      margin-bottom: 10px;
    }
    p {
      margin-bottom: 4px;
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
    div {
      display: grid;
      grid-template-columns: 4.9rem repeat(5, minmax(0, 1fr));
      gap: 4px;
      align-items: center;
      margin-bottom: 4px;
    }
    .tap {
      padding: 0;
      font-size: 0.88rem;
    }
  `,
})
export class WearTaps {
  readonly side = input.required<Side>()

  private readonly edits = inject(LookEdits)
  private readonly page = inject(Store).selectSignal(benchFeature.selectPage)
  protected readonly text = inject(FigureText)
  protected readonly shares = WEAR_SHARES
  protected readonly places: readonly { key: WornPlace; label: string }[] = [
    { key: 'leftToe', label: 'toe' },
    { key: 'leftQuarters', label: 'quarters' },
    { key: 'leftOuterHeel', label: 'outer heel' },
    { key: 'leftInnerHeel', label: 'inner heel' },
  ]

  /** Of the bar that the foot wears since the last visit. */
  protected readonly thickness = computed(() => {
    const page = this.page()
    const record = page?.previous?.footRecords.find(({ side }) => side === this.side())
    return page?.patterns.find(({ id }) => id === record?.patternId)?.shoe.section.thickness
  })

  protected chosen(key: WornPlace): WearShare | undefined {
    const bar = this.thickness()
    return bar === undefined ? undefined : shareLeft(this.edits.foot(this.side()).oldShoe[key], bar)
  }

  protected tap(key: WornPlace, share: WearShare, bar: number): void {
    this.edits.setLeft(this.side(), key, this.chosen(key) === share ? undefined : leftOf(bar, share))
  }
}
