import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core'
import { describeProblem, type HoleChange, type Nail, type Plan, type Problem } from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'
import { FigureField } from '../../figure-field'
import { WallPicture } from '../../../drawing/wall-picture'

/** A figure of a hole that can be said. */
export type HoleFigure = keyof Omit<HoleChange, 'number'>

const FIGURES = [
  {
    key: 'fromToe',
    label: 'Along the rim',
    kind: 'length',
    where: 'From the middle of the toe along the outer rim to the hole.',
  },
  {
    key: 'inset',
    label: 'From the outer rim',
    kind: 'length',
    where: 'To the middle of the hole: fine near the outer rim, coarse near the inner.',
  },
  {
    key: 'lean',
    label: 'Lean',
    kind: 'angle',
    where: 'From the ground; as the wall leans there unless you say otherwise.',
  },
  {
    key: 'seen',
    label: 'Came out at',
    kind: 'length',
    where: 'Measured afterwards, up the wall. It tells how your nails turn.',
  },
] as const

/** Where a hole's figures are kept while they are no figures yet. */
export const holeField = ({ branch, number }: Pick<Nail, 'branch' | 'number'>, key: string): string =>
  `nails.${branch}.${number}.${key}`

/** One hole in full: the cut through the wall, why it is judged so, and everything that can be said of it. */
@Component({
  selector: 'cr-hole-lines',
  imports: [FigureField, WallPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <cr-wall-picture [nail]="nail()" [plan]="plan()" [turningRadius]="turningRadius()" />
    <p>{{ text.told(nail().why) }}</p>
    @for (figure of figures(); track figure.key) {
      <cr-figure-field
        [field]="figure.field"
        [label]="figure.label"
        [kind]="figure.kind"
        [where]="figure.where"
        [value]="said()[figure.key]"
        [assumed]="figure.assumed"
        [entry]="entries()[figure.field]"
        [problem]="figure.problem"
        (figure)="changed.emit({ key: figure.key, value: $event })"
        (unread)="unread.emit({ field: figure.field, text: $event })"
        (left)="left.emit()"
      />
    }
  `,
  styles: `
    p {
      margin: 6px 0;
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
  `,
})
export class HoleLines {
  readonly nail = input.required<Nail>()
  readonly plan = input.required<Plan>()
  /** What was said of this hole apart from the others. */
  readonly said = input.required<Partial<HoleChange>>()
  readonly problems = input<readonly Problem[]>([])
  /** Texts that could not be read as figures, by field. */
  readonly entries = input<Record<string, string>>({})
  readonly turningRadius = input.required<number>()

  readonly changed = output<{ key: HoleFigure; value: number | undefined }>()
  readonly unread = output<{ field: string; text: string }>()
  readonly left = output()

  protected readonly text = inject(FigureText)
  private readonly punched = computed(() => this.plan().iron.size !== undefined && !this.plan().moulded)
  /** A factory shoe's holes are where they are: only how a nail leans in them is chosen. */
  private readonly figuresOfHole = computed(() =>
    FIGURES.filter(({ key }) => !this.punched() || (key !== 'fromToe' && key !== 'inset')),
  )
  protected readonly figures = computed(() => {
    const nail = this.nail()
    return this.figuresOfHole().map((figure) => {
      const path = `shoe.${holeField(nail, figure.key)}`
      const problem = this.problems().find((one) => one.path === path)
      return {
        ...figure,
        field: holeField(nail, figure.key),
        // What came out is only ever measured.
        assumed: figure.key === 'seen' ? undefined : nail[figure.key],
        problem: problem && describeProblem(problem, this.text.style()),
      }
    })
  })
}
