import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { CourseOffers } from '../../../courses/course-offers'
import { FootCourses } from '../../../courses/foot-courses'
import { SignLines } from '../../../courses/sign-lines'
import { SignsAsked } from '../../../courses/signs-asked'
import { Desk } from '../../desk'
import { Advising } from './advising'
import { LookDrawing } from './look-drawing'
import { LookPanel } from './look-panel'
import { LookStep } from './look-step'
import { Looking } from './looking'

/** What is asked while it is looked. */
@Component({
  selector: 'cr-look-inputs',
  imports: [LookStep],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (looking.look()) {
      <cr-look-step
        [side]="desk.side()"
        [weeksSince]="advising.weeksSince()"
        [cycleWeeks]="desk.page()!.horse.cycleWeeks"
      />
    }
  `,
  host: { class: 'through' },
})
export class LookInputs {
  protected readonly desk = inject(Desk)
  protected readonly advising = inject(Advising)
  protected readonly looking = inject(Looking)
}

/** The foot to be touched where something is found. */
@Component({
  selector: 'cr-look-sole',
  imports: [LookDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (looking.look()) {
      <cr-look-drawing
        [map]="looking.map()"
        [side]="desk.side()"
        [findings]="looking.marked()"
        [questions]="looking.questions()"
        [standIn]="looking.standIn()"
        (touched)="looking.find($event)"
      />
    }
  `,
  host: { class: 'through' },
})
export class LookSole {
  protected readonly desk = inject(Desk)
  protected readonly looking = inject(Looking)
}

/** What was found, what is asked again, what calls for the vet, and what is advised. */
@Component({
  selector: 'cr-look-beside',
  imports: [CourseOffers, FootCourses, LookPanel, SignLines, SignsAsked],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (looking.look(); as look) {
      <cr-look-panel
        [look]="look"
        [side]="desk.side()"
        [findings]="looking.findings()"
        [questions]="looking.questions()"
        [gates]="looking.closedGates()"
        [advice]="advising.advice()"
        [unsaved]="looking.unsaved()"
        [failure]="looking.failure()"
        [contradictions]="advising.contradictions()"
        (read)="looking.readGates()"
        (decide)="advising.decide($event)"
        (undecided)="advising.reconsider($event)"
        (again)="advising.again($event)"
      >
        @if (advising.signs().asked.length + advising.signs().given.length > 0) {
          <section class="looked-for" aria-label="Looked for since last time">
            <h3>Looked for since last time</h3>
            <cr-signs-asked
              [asked]="advising.signs().asked"
              [given]="advising.signs().given"
              [canBeLeft]="true"
              (answered)="advising.seen($event.key, $event.answer)"
              (leave)="advising.seen($event, 'never mind')"
            />
            <cr-sign-lines [lines]="advising.signs().lines" />
          </section>
        }
        @if (desk.page(); as page) {
          @defer (on immediate) {
            <cr-foot-courses
              [horseId]="page.horse.id"
              [side]="desk.side()"
              [day]="page.visit.date"
              [asksSigns]="page.visit.state === 'open'"
            />
            <cr-course-offers
              [horseId]="page.horse.id"
              [side]="desk.side()"
              [day]="page.visit.date"
              [advice]="advising.agreedCodes()"
            />
          }
        }
      </cr-look-panel>
    }
  `,
  styles: `
    .looked-for h3 {
      margin: 8px 0 2px;
      font-size: 1rem;
    }
  `,
  host: { class: 'through' },
})
export class LookBeside {
  protected readonly desk = inject(Desk)
  protected readonly advising = inject(Advising)
  protected readonly looking = inject(Looking)
}
