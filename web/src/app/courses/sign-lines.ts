import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import { SAID, type SignLine } from '@crescent/core'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { shortDay } from '../common/today'

/** Width and height of a small line, and how much one answer moves it. */
const [WIDE, HIGH, UP] = [120, 36, 8]

/** What was answered over time, each sign as a small line: up is better. */
@Component({
  selector: 'cr-sign-lines',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (line of drawn(); track line.asks) {
      <div>
        <span>{{ line.asks }}</span>
        <svg [attr.viewBox]="box" role="img" [attr.aria-label]="line.words">
          <path class="level" [attr.d]="level" />
          <polyline [attr.points]="line.points" />
          @for (dot of line.dots; track $index) {
            <circle [attr.cx]="dot[0]" [attr.cy]="dot[1]" r="2.6" />
          }
        </svg>
        <strong>{{ line.last }}</strong>
      </div>
    }
  `,
  styles: `
    div {
      display: grid;
      grid-template-columns: minmax(9rem, 1fr) 120px 4.5rem;
      gap: 10px;
      align-items: center;
    }
    svg {
      width: 120px;
      height: 36px;
    }
    .level {
      stroke: var(--rule-strong);
      stroke-dasharray: 3 3;
    }
    polyline {
      fill: none;
      stroke: var(--ember);
      stroke-width: 2;
    }
    circle {
      fill: var(--ember);
    }
  `,
})
export class SignLines {
  readonly lines = input.required<readonly SignLine[]>()

  protected readonly box = `0 0 ${WIDE} ${HIGH}`
  protected readonly level = `M0 ${HIGH / 2}H${WIDE}`

  protected readonly drawn = computed(() =>
    this.lines().map(({ asks, answers, points }) => {
      const from = parseISO(points[0]!.on)
      const after = (on: string): number => differenceInCalendarDays(parseISO(on), from)
      const long = Math.max(1, after(points[points.length - 1]!.on))
      const most = Math.max(2, ...points.map(({ level }) => Math.abs(level)))
      const step = Math.min(UP, (HIGH / 2 - 4) / most)
      const dots = points.map(({ on, level }): [number, number] => [
        4 + ((WIDE - 8) * after(on)) / long,
        HIGH / 2 - level * step,
      ])
      return {
        asks,
        dots,
        points: dots.map((dot) => dot.join(',')).join(' '),
        last: SAID[answers[answers.length - 1]!.answer],
        words: answers.map(({ on, answer }) => `${shortDay(on)} ${SAID[answer]}`).join(', '),
      }
    }),
  )
}
