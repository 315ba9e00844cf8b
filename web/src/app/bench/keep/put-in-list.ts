import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core'
import { PUT_IN, type PutIn, type Side, type VisitFeet } from '@crescent/core'

/** What was put in or on a foot. */
export type Put = NonNullable<NonNullable<VisitFeet[Side]>['put']>

/** What was put in or on a foot beside its shoe: tapped, and why. */
@Component({
  selector: 'cr-put-in-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="all" role="group" [attr.aria-label]="side() + ': put in or on'">
      @for (what of all; track what) {
        <button type="button" class="tap" [attr.aria-pressed]="has(what)" (click)="toggle(what)">
          {{ what }}
        </button>
      }
    </div>
    @for (one of put(); track one.what) {
      <label
        >{{ one.what }}, why
        <input #why class="typed" maxlength="200" [value]="one.why" (input)="write(one.what, why.value)" />
      </label>
    }
  `,
  styles: `
    .all {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      margin-bottom: 6px;
    }
    label {
      display: grid;
      grid-template-columns: 10rem 1fr;
      gap: 8px;
      align-items: center;
      margin-bottom: 4px;
    }
  `,
})
export class PutInList {
  readonly side = input.required<Side>()
  readonly put = input.required<Put>()
  readonly changed = output<Put>()

  protected readonly all = PUT_IN
  private readonly kinds = computed(() => new Set(this.put().map(({ what }) => what)))
  protected has = (what: PutIn): boolean => this.kinds().has(what)

  /** A second tap takes it back. In the order they are told, whatever was tapped first. */
  protected toggle(what: PutIn): void {
    const others = this.put().filter((one) => one.what !== what)
    const now = this.has(what) ? others : [...others, { what, why: '' }]
    this.changed.emit(now.sort((a, b) => PUT_IN.indexOf(a.what) - PUT_IN.indexOf(b.what)))
  }

  protected write = (what: PutIn, why: string): void =>
    this.changed.emit(this.put().map((one) => (one.what === what ? { ...one, why } : one)))
}
