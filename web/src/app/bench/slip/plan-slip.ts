import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import type { Section } from '@crescent/core'
import { Store } from '@ngrx/store'
import { benchActions, benchFeature } from '../../state/bench/bench.feature'
import { Brought } from '../brought'
import { Desk } from '../desk'
import { Keeping } from '../keep/keeping'
import { SavingAll } from '../keep/saving-all'
import { Looking } from '../steps/look/looking'
import { AgreedList } from './agreed-list'
import { IronSlip } from './iron-slip'

/** Beside the drawing of every step that has a plan: bar, cut, cautions, what was agreed, and saving. */
@Component({
  selector: 'cr-plan-slip',
  imports: [AgreedList, Brought, IronSlip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.told().plan; as plan) {
      @if (desk.told().draft; as draft) {
        <cr-iron-slip
          [plan]="plan"
          [day]="desk.page()!.visit.date"
          [section]="draft.shoe.section"
          [wears]="desk.wears()"
          [stale]="desk.stale()"
          [dirty]="draft.dirty || !draft.base.record"
          [saving]="keeping.saving()"
          [waits]="waiting().includes(desk.side())"
          [unsaved]="all.sides().length"
          (save)="keeping.saveDrawn()"
          (saveAll)="all.ask()"
          (take)="takeSection($event)"
        >
          @if (desk.step()?.inSlip; as part) {
            <cr-brought [part]="part" />
          }
          @if (looking.agreedSomething()) {
            @defer (on immediate) {
              <cr-agreed-list />
            }
          }
        </cr-iron-slip>
      }
    }
  `,
  host: { class: 'through' },
})
export class PlanSlip {
  protected readonly desk = inject(Desk)
  protected readonly keeping = inject(Keeping)
  protected readonly all = inject(SavingAll)
  protected readonly looking = inject(Looking)
  private readonly store = inject(Store)
  protected readonly waiting = this.store.selectSignal(benchFeature.selectWaiting)

  protected takeSection(section: Section): void {
    const { shoe } = this.desk.draft()!
    const taken = { ...shoe, section: { ...section, material: shoe.section.material } }
    this.store.dispatch(benchActions.setShoe({ shoe: taken, touched: 'section' }))
    this.desk.settle()
  }
}
