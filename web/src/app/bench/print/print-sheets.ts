import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { Desk } from '../desk'
import { PrintSheet, WORK_PRINTED } from './print-sheet'
import { Printing } from './printing'

/** What goes to paper, foot by foot. Fetched a moment after the Bench stands, and not when it is printed: the browser takes its picture at once. */
@Component({
  selector: 'cr-print-sheets',
  imports: [PrintSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (sheet of printing.sheets(); track sheet.side) {
      @if (sheet.plan; as plan) {
        <cr-print-sheet
          [plan]="plan"
          [page]="desk.page()!"
          [side]="sheet.side"
          [section]="sheet.section"
          [work]="sheet.work"
        />
      } @else if (sheet.work === 'bare' || sheet.work === 'reset') {
        <p class="print-only">{{ name() }}, {{ sheet.side }}: {{ workPrinted[sheet.work] }}.</p>
      } @else {
        <p class="print-only">
          {{ name() }}, {{ sheet.side }}: nothing is printed, what stands on the bench cannot be made as it
          is.
        </p>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
  `,
})
export class PrintSheets {
  protected readonly desk = inject(Desk)
  protected readonly printing = inject(Printing)
  protected readonly workPrinted = WORK_PRINTED
  protected name = (): string => this.desk.page()!.horse.name
}
