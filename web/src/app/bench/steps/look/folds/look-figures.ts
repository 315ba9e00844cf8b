import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import {
  describeProblem,
  lookProblem,
  parseAngle,
  parseLength,
  type LookFigure,
  type Side,
} from '@crescent/core'
import { FigureText } from '../../../../drawing/figure-text'
import { FigureField } from '../../../figure-field'
import { LookEdits } from './look-edits'

/** How the fields of a group begin. */
const PREFIX = { oldShoe: 'old-', untrimmed: 'untrimmed-' } as const

/** The figures of the old shoe, or of the foot before the trim; what cannot be is kept as it was typed, not stored. */
@Component({
  selector: 'cr-look-figures',
  imports: [FigureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'through' },
  template: `
    @for (figure of figures(); track figure.key) {
      <cr-figure-field
        [field]="field(figure)"
        [label]="figure.label"
        [kind]="figure.kind"
        [where]="figure.where"
        [value]="values()[figure.key]"
        [entry]="entry(figure)"
        [problem]="problemOf(figure)"
        (figure)="set(figure, $event)"
        (unread)="edits.keep(side(), field(figure), $event)"
        (left)="edits.settle()"
      />
    }
  `,
})
export class LookFigures {
  readonly figures = input.required<readonly LookFigure[]>()
  readonly group = input.required<keyof typeof PREFIX>()
  readonly side = input.required<Side>()

  protected readonly edits = inject(LookEdits)
  private readonly text = inject(FigureText)
  protected readonly values = computed(
    () => this.edits.foot(this.side())[this.group()] as Readonly<Record<string, number | undefined>>,
  )

  protected field = ({ key }: LookFigure): string => PREFIX[this.group()] + key
  protected entry = (figure: LookFigure): string | undefined =>
    this.edits.entries()[this.edits.key(this.side(), this.field(figure))]

  protected problemOf(figure: LookFigure): string | undefined {
    const entry = this.entry(figure)
    if (entry === undefined) return undefined
    const { unit } = this.text.style()
    const parsed = figure.kind === 'length' ? parseLength(entry, unit) : parseAngle(entry)
    if (!parsed.ok) return undefined
    const problem = lookProblem(figure, 'mm' in parsed ? parsed.mm : parsed.degrees)
    return problem && describeProblem(problem, this.text.style())
  }

  protected set(figure: LookFigure, value: number | undefined): void {
    const field = this.field(figure)
    if (value !== undefined && lookProblem(figure, value)) {
      this.edits.keep(this.side(), field, this.text.figure(value, figure.kind))
      return
    }
    const { [figure.key]: _old, ...rest } = this.values()
    const figures = value === undefined ? rest : { ...rest, [figure.key]: value }
    this.edits.putFoot(this.side(), { ...this.edits.foot(this.side()), [this.group()]: figures }, field)
  }
}
