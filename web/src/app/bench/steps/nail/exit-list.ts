import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core'
import type { Half, HoleChange, Nail, NailPlan } from '@crescent/core'
import { FigureField } from '../../figure-field'
import { holeField } from './hole-lines'
import { BRANCHES } from '../../../drawing/nail-words'

/** How high each driven nail came out, down the line of nails in one go: Enter goes to the next. */
@Component({
  selector: 'cr-exit-list',
  imports: [FigureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (row of rows(); track row.field) {
      <cr-figure-field
        [field]="row.field"
        [label]="row.label"
        kind="length"
        where="Up the wall from its ground edge to where the nail came out."
        [value]="row.seen"
        [entry]="entries()[row.field]"
        (figure)="changed.emit({ nail: row.nail, value: $event })"
        (unread)="unread.emit({ field: row.field, text: $event })"
        (left)="left.emit()"
      />
    } @empty {
      <p class="muted">No nail is driven.</p>
    }
  `,
})
export class ExitList {
  readonly nails = input.required<readonly Nail[]>()
  readonly asked = input.required<NailPlan>()
  readonly entries = input<Record<string, string>>({})
  readonly changed = output<{ nail: Nail; value: number | undefined }>()
  readonly unread = output<{ field: string; text: string }>()
  readonly left = output()

  protected readonly rows = computed(() =>
    this.nails()
      .filter(({ driven }) => driven)
      .map((nail) => ({
        nail,
        field: holeField(nail, 'seen'),
        label: `${this.wordOf(nail.branch)} ${nail.number} came out at`,
        seen: this.saidOf(nail)?.seen,
      })),
  )

  private wordOf = (branch: Half): string =>
    branch === BRANCHES[0]!.branch ? BRANCHES[0]!.short : BRANCHES[1]!.short
  private saidOf = ({ branch, number }: Nail): HoleChange | undefined =>
    this.asked()[branch].each.find((hole) => hole.number === number)
}
