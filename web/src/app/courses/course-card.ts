import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { sentence, SIDE_NAMES } from '@crescent/core'
import {
  answersSay,
  answeredOn,
  courseKind,
  openSteps,
  signLines,
  signsToAsk,
  stepState,
  type Course,
  type CourseEntry,
} from '@crescent/core/courses'
import { dueText, shortDay } from '../common/today'
import { FigureText } from '../drawing/figure-text'
import { CourseActs } from './course-acts'
import { SignLines } from './sign-lines'
import { SignsAsked } from './signs-asked'

/** A course: what comes next, what is asked, what was done, and what goes home with the owner. */
@Component({
  selector: 'cr-course-card',
  imports: [MatButton, MatIcon, SignLines, SignsAsked],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <h3>{{ kind().label }}, {{ sideName() }}</h3>
      <span class="muted">{{ since() }}</span>
    </header>
    @if (course().why) {
      <p>{{ course().why }}</p>
    }
    @for (word of says(); track word) {
      <p class="says" role="alert"><mat-icon svgIcon="caution" aria-hidden="true" />{{ word }}</p>
    }
    @if (asksSigns()) {
      <cr-signs-asked
        [asked]="asked()"
        [given]="given()"
        (answered)="acts.answer(course(), day(), $event.key, $event.answer)"
      />
    }
    <ol>
      @for (step of shown(); track step.id) {
        <li [class]="step.state">
          <span class="when">
            @if (step.state === 'overdue') {
              <mat-icon svgIcon="caution" aria-hidden="true" />
            }
            {{ shortDay(step.date) }}<small>{{ step.due }}</small>
          </span>
          <span class="what">
            <strong>{{ text.told(step.label) }}</strong>
            <small>{{ step.who }}{{ step.measure ? ' · ' + step.measure.label.toLowerCase() : '' }}</small>
          </span>
          <button
            type="button"
            class="tap"
            [class.chief]="$first"
            (click)="acts.step(course(), step.entry, day())"
          >
            {{ $first ? 'Do it' : 'Open' }}
          </button>
        </li>
      }
    </ol>
    @if (open().length > shown().length) {
      <p class="muted">
        {{ open().length - shown().length }} more to come, the last on {{ shortDay(lastDay()) }}.
      </p>
    }
    <div class="acts">
      <a mat-stroked-button [href]="listAddress()" download><mat-icon svgIcon="print" />List for the owner</a>
      @if (course().ended?.how !== 'stopped') {
        <button mat-button (click)="acts.add(course(), day())">Add a step</button>
      }
      @if (course().ended === null) {
        <button mat-button class="stop" (click)="acts.stop(course(), day())">Stop the course</button>
      } @else if (course().ended?.how === 'stopped') {
        <button mat-button (click)="acts.resume(course())">Go on with it after all</button>
      }
    </div>
    @if (behind().length > 0 || course().answers.length > 0) {
      <details class="fold">
        <summary>
          What was done <span class="muted">{{ behind().length }}</span>
        </summary>
        <ul>
          @for (step of behind(); track step.id) {
            <li class="behind">
              <span>
                {{ step.done ? shortDay(step.done) : 'left out' }}: {{ text.told(step.label)
                }}{{ measured(step) }}{{ step.note ? ' · ' + step.note : '' }}
              </span>
              <button type="button" class="link" (click)="acts.reopen(course(), step)">open again</button>
            </li>
          }
        </ul>
        <cr-sign-lines [lines]="lines()" />
      </details>
    }
  `,
  styles: `
    :host {
      display: block;
      container-type: inline-size;
      padding: 12px 16px;
      background: var(--sheet);
      border: 1px solid var(--rule);
      border-left: 5px solid var(--ember);
      border-radius: 6px;
    }
    :host(.ended) {
      border-left-color: var(--rule-strong);
    }
    header {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 12px;
      align-items: baseline;
    }
    h3 {
      margin: 0;
      font-size: 1.15rem;
    }
    p {
      margin: 4px 0;
    }
    ol,
    ul {
      padding: 0;
      margin: 8px 0;
      list-style: none;
    }
    ol li {
      display: grid;
      grid-template-columns: 8.5rem minmax(0, 1fr) auto;
      gap: 4px 12px;
      align-items: center;
      min-height: 52px;
      border-top: 1px solid var(--rule);
    }
    small {
      display: block;
      font-weight: 450;
      color: var(--ink-soft);
    }
    .overdue .when,
    .overdue .when small {
      font-weight: 700;
      color: var(--stop);
    }
    .today .when {
      font-weight: 700;
    }
    mat-icon {
      width: 18px;
      height: 18px;
      vertical-align: -3px;
    }
    .says {
      padding: 8px 12px;
      font-weight: 600;
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    .stop {
      color: var(--stop);
    }
    .behind {
      display: flex;
      gap: 12px;
      justify-content: space-between;
      padding: 3px 0;
    }
    @container (max-width: 560px) {
      ol li {
        grid-template-columns: minmax(0, 1fr) auto;
        padding: 6px 0;
      }
      .what {
        grid-row: 2;
      }
      ol li button {
        grid-row: 1 / span 2;
        grid-column: 2;
      }
    }
  `,
  host: { '[class.ended]': 'course().ended !== null' },
})
export class CourseCard {
  readonly course = input.required<Course>()
  readonly day = input.required<string>()
  /** It is looked at during a visit: what should have come is asked. */
  readonly asksSigns = input(false)

  protected readonly acts = inject(CourseActs)
  protected readonly text = inject(FigureText)
  protected readonly shortDay = shortDay
  protected readonly kind = computed(() => courseKind(this.course().kind))
  protected readonly sideName = computed(() => SIDE_NAMES[this.course().side])
  protected readonly says = computed(() => (this.course().ended ? [] : answersSay(this.course())))

  protected readonly since = computed(() => {
    const { startedOn, ended, who } = this.course()
    const led = who ? `, led by ${who}` : ''
    return ended
      ? `begun ${shortDay(startedOn)}, ${ended.how} ${shortDay(ended.on)}${ended.reason ? `: ${sentence(ended.reason)}` : ''}${ended.settled ? ` What came of it: ${ended.settled}` : ''}`
      : `since ${shortDay(startedOn)}${led}`
  })

  protected readonly asked = computed(() => signsToAsk(this.course(), this.day()))
  protected readonly given = computed(() => answeredOn(this.course(), this.day()))

  protected readonly lines = computed(() => signLines(this.course()))

  /** What comes, the next ones first. */
  protected readonly open = computed(() =>
    openSteps(this.course()).map((entry) => ({
      ...entry,
      entry,
      state: stepState(entry, this.day()),
      due: dueText(entry.date, this.day()),
    })),
  )
  /** During a visit what is due and what comes next; else all of it. */
  protected readonly shown = computed(() => {
    const due = this.open().filter(({ state }) => state !== 'coming').length
    return this.asksSigns() ? this.open().slice(0, due + 1) : this.open()
  })
  protected readonly lastDay = computed(() => this.open().at(-1)?.date ?? this.course().startedOn)
  protected readonly behind = computed(() =>
    this.course().steps.filter(({ done, skipped }) => done !== null || skipped),
  )

  protected readonly listAddress = computed(() => {
    const { unit, denominator } = this.text.style()
    return `/api/courses/${this.course().id}/list?unit=${unit}&parts=${denominator}`
  })

  protected measured({ measure, value }: CourseEntry): string {
    if (!measure || value === null) return ''
    const written =
      measure.kind === 'length' ? this.text.length(value) : this.text.figure(value, measure.kind)
    return `, ${measure.label.toLowerCase()} ${written}`
  }
}
