import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { CourseOffers } from '../../../courses/course-offers'
import { Desk } from '../../desk'
import { Advising } from '../look/advising'
import { CutView } from './cut-view'
import { Shaping } from './shaping'
import { ShoeFace } from './shoe-face'
import { ShoeSide } from './shoe-side'
import { ShoeStep } from './shoe-step'

/** Bar, fit and modifications. */
@Component({
  selector: 'cr-shoe-inputs',
  imports: [CourseOffers, ShoeStep],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.told().draft; as draft) {
      <cr-shoe-step
        [draft]="draft"
        [plan]="desk.told().plan"
        [problems]="desk.planning().problems"
        [advice]="advising.standingAdvice()"
        (pictures)="shaping.pictures()"
      />
      @if (desk.page(); as page) {
        @defer (on idle) {
          <cr-course-offers
            [horseId]="page.horse.id"
            [side]="desk.side()"
            [day]="page.visit.date"
            [modifications]="shaping.kinds()"
            [advice]="advising.agreedCodes()"
          />
        }
      }
    }
  `,
  host: { class: 'through' },
})
export class ShoeInputs {
  protected readonly desk = inject(Desk)
  protected readonly advising = inject(Advising)
  protected readonly shaping = inject(Shaping)
}

/** The shoe off the foot, as it lies on the anvil. */
@Component({
  selector: 'cr-shoe-off',
  imports: [ShoeFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.plan(); as plan) {
      <cr-shoe-face [plan]="plan" [side]="desk.side()" />
    }
  `,
  host: { class: 'through' },
})
export class ShoeOff {
  protected readonly desk = inject(Desk)
}

/** The shoe from its side, under the foot; in the step of the shoe with its handles. */
@Component({
  selector: 'cr-shoe-from-side',
  imports: [ShoeSide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.plan(); as plan) {
      <cr-shoe-side
        [plan]="plan"
        [shaping]="desk.step()?.key === 'shoe'"
        (pulled)="desk.pull($event)"
        (settled)="desk.settle()"
      />
    }
  `,
  host: { class: 'through' },
})
export class ShoeFromSide {
  protected readonly desk = inject(Desk)
}

/** The bar cut through. */
@Component({
  selector: 'cr-shoe-cut',
  imports: [CutView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.plan(); as plan) {
      <cr-cut-view [plan]="plan" />
    }
  `,
  host: { class: 'through' },
})
export class ShoeCut {
  protected readonly desk = inject(Desk)
}
