import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import { courseKind, lineOfSign, type Course } from '@crescent/core/courses'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { shortDay } from '../common/today'

/** Width and height of a small line, and how much one answer moves it. */
const [WIDE, HIGH, UP] = [120, 36, 8]

/** What was answered over time, each sign as a small line: up is better. */
@Component({
  selector: 'cr-sign-lines',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (line of lines(); track line.key) {
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
  readonly course = input.required<Course>()

  protected readonly box = `0 0 ${WIDE} ${HIGH}`
  protected readonly level = `M0 ${HIGH / 2}H${WIDE}`

  protected readonly lines = computed(() => {
    const course = this.course()
    return courseKind(course.kind).signs.flatMap(({ key, asks }) => {
      const line = lineOfSign(course, key)
      if (line.length < 2) return []
      const from = parseISO(course.startedOn)
      const long = Math.max(1, differenceInCalendarDays(parseISO(line[line.length - 1]!.on), from))
      const most = Math.max(2, ...line.map(({ level }) => Math.abs(level)))
      const step = Math.min(UP, (HIGH / 2 - 4) / most)
      const dots = line.map(({ on, level }): [number, number] => [
        4 + ((WIDE - 8) * differenceInCalendarDays(parseISO(on), from)) / long,
        HIGH / 2 - level * step,
      ])
      const answers = course.answers.filter(({ sign }) => sign === key)
      const last = answers[answers.length - 1]!.answer
      return [
        {
          key,
          asks,
          dots,
          points: dots.map((dot) => dot.join(',')).join(' '),
          last: last === 'same' ? 'the same' : last,
          words: answers
            .map(({ on, answer }) => `${shortDay(on)} ${answer === 'same' ? 'the same' : answer}`)
            .join(', '),
        },
      ]
    })
  })
}
