import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { DOERS, type CourseEntry, type Doer, type StepWords } from '@crescent/core/courses'
import { DayField } from '../common/day-field'
import { FigureText } from '../drawing/figure-text'

export interface StepWordsData {
  day: string
  /** The first day of its course: none lies before it. */
  first: string
  /** The step that is written otherwise; a new one where there is none. */
  step?: CourseEntry
  /** What was written and could not be kept yet. */
  before?: StepWords
}

/** A step of a course in one's own words: what, who, when, what would stop it. */
@Component({
  selector: 'cr-step-words-dialog',
  imports: [DayField, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ data.step ? 'The step in other words' : 'A step of your own' }}</h2>
    <mat-dialog-content>
      <label
        >What is to be done
        <input
          #what
          class="typed"
          maxlength="200"
          cdkFocusInitial
          [value]="label()"
          [attr.aria-invalid]="wrong() ? true : null"
          (input)="label.set(what.value); wrong.set('')"
          (keydown.enter)="$event.preventDefault(); keep()"
        />
      </label>
      @if (wrong()) {
        <p class="wrong" role="alert">{{ wrong() }}</p>
      }
      <label
        >How, in a sentence or two
        <textarea
          #how
          class="typed"
          rows="2"
          maxlength="2000"
          [value]="more()"
          (input)="more.set(how.value)"
        ></textarea>
      </label>
      <div class="pair">
        <label
          >Who does it
          <select #doer (change)="who.set(asDoer(doer.value))">
            @for (one of doers; track one) {
              <option [value]="one" [selected]="one === who()">{{ one }}</option>
            }
          </select>
        </label>
        <cr-day-field label="On" [day]="on()" (changed)="on.set($event)" (faulty)="faulty.set($event)" />
      </div>
      <label
        >What would stop it
        <input #halt class="typed" maxlength="500" [value]="stops()" (input)="stops.set(halt.value)" />
      </label>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button mat-button mat-dialog-close>Not now</button>
      <button mat-flat-button [disabled]="faulty()" (click)="keep()">
        {{ data.step ? 'Keep it so' : 'Add it' }}
      </button>
    </mat-dialog-actions>
  `,
  styleUrl: '../common/asking.scss',
})
export class StepWordsDialog {
  protected readonly data = inject<StepWordsData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<StepWordsDialog, StepWords>>(MatDialogRef)
  private readonly text = inject(FigureText)
  private readonly step = this.data.step
  /** What the fields begin with. */
  private readonly first = this.data.before ?? this.step
  /** The rules' own words as they are read here: kept as they are, with their lengths open, where nobody changes them. */
  private readonly asRead = {
    label: this.step ? this.text.told(this.step.label) : '',
    text: this.step ? this.text.told(this.step.text) : '',
  }
  protected readonly doers = DOERS
  protected readonly label = signal(
    this.data.before ? this.text.told(this.data.before.label) : this.asRead.label,
  )
  protected readonly more = signal(
    this.data.before ? this.text.told(this.data.before.text) : this.asRead.text,
  )
  protected readonly who = signal<Doer>(this.first?.who ?? 'farrier')
  protected readonly on = signal(this.first?.date ?? this.data.day)
  protected readonly stops = signal(this.first?.stops ?? '')
  protected readonly faulty = signal(false)
  protected readonly wrong = signal('')

  protected asDoer = (value: string): Doer => value as Doer

  // Enter is used up by whoever asks for this: once the dialog is gone it would press what has the focus then.
  protected keep(): void {
    const label = this.label().trim()
    if (this.faulty()) return
    if (label === '') return this.wrong.set('A few words: what is to be done?')
    if (this.on() < this.data.first)
      return this.wrong.set('It cannot lie before the first day of the course.')
    this.dialog.close({
      date: this.on(),
      who: this.who(),
      label: this.step && label === this.asRead.label ? this.step.label : label,
      text: this.step && this.more() === this.asRead.text ? this.step.text : this.more().trim(),
      stops: this.stops().trim(),
    })
  }
}
