import { ChangeDetectionStrategy, Component, input, output } from '@angular/core'
import { MatIconButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { findingKind, placeNamed, type Answer, type Finding } from '@crescent/core'
import { shortDay } from '../../../common/today'
import type { NumberedFinding } from './look-drawing'

/** An answer to a finding of the visit before. */
export interface GivenAnswer {
  finding: Finding
  answer: Exclude<Answer, 'new'>
}

/** What was found on this foot, and the questions the visits before left open. */
@Component({
  selector: 'cr-look-findings',
  imports: [MatIcon, MatIconButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (questions().length > 0) {
      <section class="questions" aria-label="From the visits before">
        <h3>From the visits before</h3>
        @for (question of questions(); track question.id) {
          <div class="question" role="group" [attr.aria-label]="name(question)">
            <p>
              <strong>{{ name(question) }}</strong> {{ grade(question) }}, since
              {{ shortDay(question.since) }}
              @if (question.note) {
                <span class="muted">{{ question.note }}</span>
              }
            </p>
            <div class="answers">
              @for (answer of answers; track answer) {
                <button class="tap" type="button" (click)="answered.emit({ finding: question, answer })">
                  {{ answer }}
                </button>
              }
            </div>
          </div>
        }
      </section>
    }
    <section aria-label="Findings">
      <h3>Found on this foot</h3>
      @for (one of findings(); track one.finding.id) {
        <div class="finding" [class.gone]="one.finding.answer === 'gone'">
          <span class="number" aria-hidden="true">{{ one.number }}</span>
          <div>
            <p>
              <strong>{{ name(one.finding) }}</strong> {{ grade(one.finding) }}
              @if (one.finding.answer !== 'new') {
                <em>{{ one.finding.answer }}</em>
              }
            </p>
            <input
              class="typed"
              type="text"
              maxlength="500"
              placeholder="Note"
              [attr.aria-label]="'Note on ' + name(one.finding)"
              [value]="one.finding.note"
              (input)="noted.emit({ id: one.finding.id, note: value($event) })"
              (blur)="left.emit()"
            />
          </div>
          <button
            mat-icon-button
            [attr.aria-label]="'Take back ' + name(one.finding)"
            (click)="removed.emit(one.finding.id)"
          >
            <mat-icon svgIcon="close" />
          </button>
        </div>
      } @empty {
        <p class="none">Nothing yet. Touch the drawing where you find something.</p>
      }
    </section>
  `,
  styles: `
    h3 {
      margin: 10px 0 6px;
      font-size: 0.95rem;
    }
    p {
      font-size: 0.92rem;
      line-height: 1.3;
    }
    .questions {
      padding: 2px 10px 8px;
      background: var(--ember-wash);
      border-radius: 6px;
    }
    .question + .question {
      margin-top: 10px;
    }
    .answers {
      display: grid;
      grid-template-columns: repeat(4, 1fr);
      gap: 4px;
      margin-top: 4px;
    }
    .finding {
      display: grid;
      grid-template-columns: auto 1fr auto;
      gap: 8px;
      align-items: start;
      padding: 6px 0;
      border-bottom: 1px solid var(--rule);
    }
    .finding.gone p {
      text-decoration: line-through;
    }
    .number {
      display: grid;
      place-items: center;
      width: 24px;
      height: 24px;
      font-size: 0.85rem;
      font-weight: 750;
      border: 1.5px solid var(--ink);
      border-radius: 50%;
    }
    em {
      padding: 0 6px;
      font-style: normal;
      font-weight: 650;
      background: var(--sheet-sunk);
      border-radius: 4px;
    }
    .answers .tap {
      padding: 0;
    }
    .finding .typed {
      min-height: 36px;
      margin-top: 2px;
      font-size: 0.9rem;
    }
    .none {
      color: var(--ink-soft);
    }
  `,
})
export class LookFindings {
  readonly findings = input.required<readonly NumberedFinding[]>()
  readonly questions = input.required<readonly Finding[]>()
  readonly answered = output<GivenAnswer>()
  readonly noted = output<{ id: string; note: string }>()
  readonly removed = output<string>()
  readonly left = output()

  protected readonly answers = ['better', 'same', 'worse', 'gone'] as const
  protected readonly shortDay = shortDay

  protected name({ kind, place }: Finding): string {
    const { label } = findingKind(kind)
    return place === 'foot' ? label : `${label}, ${placeNamed(place).label}`
  }
  protected grade = ({ kind, grade }: Finding): string => findingKind(kind).grades[grade - 1] ?? ''
  protected value = (event: Event): string => (event.target as HTMLInputElement).value
}
