import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { BREAKOVER_SCHOOLS, type Plan, type WidestWay } from '@crescent/core'
import { FigureText } from '../../drawing/figure-text'

/** Each school by its own dash, so that colour is not needed to tell them. */
/** Lines of the schools in their order, each told from the others by its dashes; another school takes the next. */
const DASHES = ['10 3', '4 3', '10 3 2 3', '2 3', '6 2 2 2 2 2', '1 2']
const LETTERS: Record<WidestWay, string> = { apex: 'a', bars: 'b', arc: 'c' }

/** On the sole: where each school breaks over, and the widest part as it was seen three ways. */
@Component({
  selector: 'g[crBalanceLines]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (line of schools(); track line.key) {
      <svg:g class="school" [class.used]="line.used" [attr.data-school-line]="line.key">
        @if (line.rear !== undefined) {
          <svg:rect
            [attr.x]="left()"
            [attr.y]="line.y"
            [attr.width]="right() - left()"
            [attr.height]="line.rear - line.y"
          />
        }
        <svg:path
          [attr.d]="'M' + left() + ' ' + line.y + 'H' + right()"
          [attr.stroke-width]="(line.used ? 3 : 1.4) / k()"
          [attr.stroke-dasharray]="line.dash"
        />
        <svg:text [attr.x]="right() + 4 / k()" [attr.y]="line.textY" [attr.font-size]="12 / k()">
          {{ line.label }}
        </svg:text>
      </svg:g>
    }
    @for (seen of estimates(); track seen.letter) {
      <svg:g class="estimate" [class.odd]="seen.odd" [attr.data-estimate]="seen.letter">
        <svg:path
          [attr.d]="'M' + (left() - 46 / k()) + ' ' + seen.y + 'h' + 16 / k()"
          [attr.stroke-width]="2.2 / k()"
        />
        <svg:text [attr.x]="left() - 50 / k()" [attr.y]="seen.textY" [attr.font-size]="13 / k()">
          {{ seen.letter }}{{ seen.odd ? ' odd' : '' }}
        </svg:text>
      </svg:g>
    }
    @if (solePlane(); as told) {
      <svg:text class="sole-plane" x="0" [attr.y]="plan().foot.frogApex * 0.72" [attr.font-size]="12 / k()">
        {{ told }}
      </svg:text>
    }
    @if (plumbY() !== undefined) {
      <svg:path
        class="plumb"
        [attr.d]="'M' + left() + ' ' + plumbY() + 'H' + right()"
        [attr.stroke-width]="1.4 / k()"
        [attr.stroke-dasharray]="8 / k() + ' ' + 2 / k() + ' ' + 2 / k() + ' ' + 2 / k()"
      />
      <svg:text
        class="plumb-word"
        [attr.x]="right()"
        [attr.y]="plumbY()! - 3 / k()"
        [attr.font-size]="12 / k()"
      >
        plumb line
      </svg:text>
    }
  `,
  styles: `
    .school path {
      fill: none;
      stroke: var(--construct);
    }
    .school text {
      fill: var(--construct);
      font-weight: 600;
    }
    .school rect {
      fill: var(--construct);
      opacity: 0.14;
    }
    .school.used path {
      stroke: var(--ember);
    }
    .school.used text {
      fill: var(--ember);
      font-weight: 750;
    }
    .school.used rect {
      fill: var(--ember);
    }
    .estimate path {
      stroke: var(--ink);
    }
    .estimate text {
      fill: var(--ink);
      font-weight: 750;
      text-anchor: end;
    }
    .estimate.odd path,
    .plumb {
      stroke: var(--caution);
    }
    .estimate.odd text {
      fill: var(--caution);
    }
    .sole-plane {
      fill: var(--ink);
      font-weight: 600;
      text-anchor: middle;
    }
    .plumb-word {
      fill: var(--caution);
      font-weight: 600;
      text-anchor: end;
    }
  `,
})
export class BalanceLines {
  readonly plan = input.required<Plan>()
  readonly mirror = input.required<1 | -1>()
  /** Screen pixels in a millimetre: strokes and words keep their size on the screen. */
  readonly k = input.required<number>()

  private readonly text = inject(FigureText)

  private readonly reach = computed(() => {
    const { foot } = this.plan()
    const outer = foot.lateralHalfWidth * this.mirror()
    const inner = (foot.lateralHalfWidth - foot.width) * this.mirror()
    return { left: Math.min(outer, inner), right: Math.max(outer, inner) }
  })
  protected readonly left = computed(() => this.reach().left)
  protected readonly right = computed(() => this.reach().right * 0.8)

  protected readonly schools = computed(() => {
    const { balance, foot } = this.plan()
    const lines = balance.breakover.schools.flatMap(({ key, label, answer }) =>
      answer.found
        ? [
            {
              key,
              label,
              used: key === balance.breakover.inUse,
              y: foot.widestFromToe - answer.y,
              ...(answer.rearY !== undefined && { rear: foot.widestFromToe - answer.rearY }),
              dash: DASHES[
                BREAKOVER_SCHOOLS.findIndex((school) => school.key === key) % DASHES.length
              ]!.split(' ')
                .map((n) => Number(n) / this.k())
                .join(' '),
            },
          ]
        : [],
    )
    // Words of lines that lie close to each other are moved apart.
    const gap = 14 / this.k()
    let last = -Infinity
    return [...lines]
      .sort((a, b) => a.y - b.y)
      .map((line) => {
        last = Math.max(line.y + 4 / this.k(), last + gap)
        return { ...line, textY: last }
      })
  })

  protected readonly estimates = computed(() => {
    const { widest } = this.plan()
    const gap = 14 / this.k()
    let last = -Infinity
    return [...widest.estimates]
      .sort((a, b) => a.fromToe - b.fromToe)
      .map(({ way, fromToe }) => {
        last = Math.max(fromToe + 4 / this.k(), last + gap)
        return { letter: LETTERS[way], y: fromToe, textY: last, odd: widest.odd?.way === way }
      })
  })

  protected readonly solePlane = computed(() => {
    const { solePlane } = this.plan().foot
    if (solePlane === undefined) return ''
    return solePlane < 0.5 ? 'on the sole plane' : `${this.text.length(solePlane)} above the sole plane`
  })

  protected readonly plumbY = computed(() => {
    const { plumbBehind, length } = this.plan().foot
    return plumbBehind === undefined ? undefined : length + plumbBehind
  })
}
