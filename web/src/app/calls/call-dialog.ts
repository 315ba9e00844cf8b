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
import type { PromisedCall } from '@crescent/core'
import { DayField } from '../common/day-field'

export interface CallDialogData {
  /** The horse it is about. */
  horse: string
  /** Who is called where nobody else is named. */
  owner: string
  day: string
  /** The call that is changed; a new one where there is none. */
  call?: PromisedCall
  /** What was typed and could not be kept yet. */
  before?: Promised
}

/** What is promised. */
export type Promised = Pick<PromisedCall, 'date' | 'whom' | 'phone' | 'about'>

/** Promises a call: about what, whom, on which day. */
@Component({
  selector: 'cr-call-dialog',
  imports: [DayField, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ data.call ? 'The call' : 'Promise a call' }} about {{ data.horse }}</h2>
    <mat-dialog-content>
      <label
        >What it is about
        <input
          #what
          class="typed"
          maxlength="500"
          cdkFocusInitial
          [value]="about()"
          [attr.aria-invalid]="wrong() ? true : null"
          (input)="about.set(what.value); wrong.set('')"
          (keydown.enter)="$event.preventDefault(); keep()"
        />
      </label>
      @if (wrong()) {
        <p class="wrong" role="alert">{{ wrong() }}</p>
      }
      <cr-day-field label="On" [day]="on()" (changed)="on.set($event)" (faulty)="faulty.set($event)" />
      <div class="pair">
        <label
          >Whom
          <input
            #who
            class="typed"
            maxlength="200"
            [placeholder]="data.owner"
            [value]="whom()"
            (input)="whom.set(who.value)"
          />
        </label>
        <label
          >Number
          <input
            #number
            class="typed"
            type="tel"
            maxlength="200"
            [value]="phone()"
            (input)="phone.set(number.value)"
          />
        </label>
      </div>
      @if (data.owner) {
        <p class="muted">Left empty it goes to {{ data.owner }}.</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button mat-button mat-dialog-close>Not now</button>
      <button mat-flat-button [disabled]="faulty()" (click)="keep()">
        {{ data.call ? 'Keep it so' : 'Promise it' }}
      </button>
    </mat-dialog-actions>
  `,
  styleUrl: '../common/asking.scss',
})
export class CallDialog {
  protected readonly data = inject<CallDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<CallDialog, Promised>>(MatDialogRef)
  /** What the fields begin with. */
  private readonly first = this.data.before ?? this.data.call
  protected readonly about = signal(this.first?.about ?? '')
  protected readonly on = signal(this.first?.date ?? this.data.day)
  protected readonly whom = signal(this.first?.whom ?? '')
  protected readonly phone = signal(this.first?.phone ?? '')
  protected readonly faulty = signal(false)
  protected readonly wrong = signal('')

  // Enter is used up by whoever asks for this: once the dialog is gone it would press what has the focus then.
  protected keep(): void {
    if (this.faulty()) return
    const about = this.about().trim()
    if (about === '') return this.wrong.set('A few words: what is the call about?')
    this.dialog.close({ date: this.on(), whom: this.whom().trim(), phone: this.phone().trim(), about })
  }
}
