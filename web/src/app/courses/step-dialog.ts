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
import { parseAngle, parseLength } from '@crescent/core'
import type { CourseEntry } from '@crescent/core/courses'
import { DayField } from '../common/day-field'
import { FigureText } from '../drawing/figure-text'
import { HelpButton } from '../help/help-button'

export interface StepDialogData {
  step: CourseEntry
  day: string
  /** What was answered and could not be kept yet. */
  before?: StepAnswer
}

/** What comes of a step: done with what was measured, left out, put on another day, or pain. */
export type StepAnswer =
  | { act: 'done'; on: string; value: number | null; typed: string; note: string }
  | { act: 'skip'; note: string }
  | { act: 'write' }
  | { act: 'move'; to: string }
  | { act: 'pain'; note: string }

/** A step of a course: what is done at it, what is measured, what stops it. */
@Component({
  selector: 'cr-step-dialog',
  imports: [
    DayField,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ text.told(step.label) }}</h2>
    <mat-dialog-content>
      <p>
        {{ text.told(step.text) }}
        <button type="button" class="link" (click)="close({ act: 'write' })">Say it otherwise</button>
      </p>
      @if (step.stops) {
        <p class="heeded"><strong>Stops it:</strong> {{ step.stops }}</p>
      }
      <cr-day-field label="Done on" [day]="on()" (changed)="on.set($event)" (faulty)="faulty.set($event)" />
      @if (step.measure; as measure) {
        <label
          >{{ measure.label }}{{ unit() }}
          <input
            #box
            class="typed"
            autocomplete="off"
            cdkFocusInitial
            [value]="typed()"
            [attr.aria-invalid]="wrong() ? true : null"
            (input)="typed.set(box.value); wrong.set('')"
          />
        </label>
        @if (wrong()) {
          <p class="wrong" role="alert">{{ wrong() }}</p>
        }
      }
      <label
        >Note
        <textarea
          #words
          class="typed"
          rows="2"
          maxlength="4000"
          [value]="note()"
          (input)="note.set(words.value)"
        ></textarea>
      </label>
    </mat-dialog-content>
    <mat-dialog-actions>
      <cr-help-button topic="course" />
      <button mat-button mat-dialog-close>Not now</button>
      <button mat-stroked-button (click)="close({ act: 'skip', note: note() })">Leave it out</button>
      <button
        mat-stroked-button
        [disabled]="faulty() || on() === step.date"
        (click)="close({ act: 'move', to: on() })"
      >
        Put it on that day
      </button>
      <button mat-stroked-button class="pain" (click)="close({ act: 'pain', note: note() })">
        Pain: stop
      </button>
      <button mat-flat-button [disabled]="faulty()" (click)="done()">Done</button>
    </mat-dialog-actions>
  `,
  styleUrl: '../common/asking.scss',
})
export class StepDialog {
  private readonly data = inject<StepDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<StepDialog, StepAnswer>>(MatDialogRef)
  protected readonly text = inject(FigureText)
  protected readonly step = this.data.step
  protected readonly on = signal(dayOf(this.data.before) ?? this.data.day)
  protected readonly faulty = signal(false)
  protected readonly typed = signal(this.data.before?.act === 'done' ? this.data.before.typed : '')
  protected readonly wrong = signal('')
  protected readonly note = signal(noteOf(this.data.before) ?? this.step.note)

  protected unit = (): string => (this.step.measure?.kind === 'angle' ? ', degrees' : '')

  protected close = (answer: StepAnswer): void => this.dialog.close(answer)

  protected done(): void {
    const read = this.read()
    if (!read.ok) return this.wrong.set(read.message)
    this.close({ act: 'done', on: this.on(), value: read.value, typed: this.typed(), note: this.note() })
  }

  private read(): { ok: true; value: number | null } | { ok: false; message: string } {
    const typed = this.typed().trim()
    const kind = this.step.measure?.kind
    if (typed === '' || !kind) return { ok: true, value: null }
    if (kind === 'length') {
      const length = parseLength(typed, this.text.style().unit)
      if (!length.ok) return length
      return within(length.mm, [0, 400], (mm) => this.text.length(mm), this.step.measure!.label)
    }
    if (kind === 'angle') {
      const angle = parseAngle(typed)
      if (!angle.ok) return angle
      return within(angle.degrees, [-90, 120], (value) => `${value}°`, this.step.measure!.label)
    }
    const value = Number(typed.replace(',', '.'))
    return Number.isFinite(value) ? { ok: true, value } : { ok: false, message: `“${typed}” is not a number` }
  }
}

const dayOf = (answer: StepAnswer | undefined): string | undefined =>
  answer?.act === 'done' ? answer.on : answer?.act === 'move' ? answer.to : undefined

const noteOf = (answer: StepAnswer | undefined): string | undefined =>
  answer && 'note' in answer ? answer.note : undefined

const within = (
  value: number,
  [low, high]: readonly [number, number],
  written: (value: number) => string,
  label: string,
): { ok: true; value: number } | { ok: false; message: string } =>
  value >= low && value <= high
    ? { ok: true, value }
    : { ok: false, message: `${label}: from ${written(low)} to ${written(high)}` }
