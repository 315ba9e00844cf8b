import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { FormsModule } from '@angular/forms'
import { MatButton } from '@angular/material/button'
import { MatCheckbox } from '@angular/material/checkbox'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { MatFormField, MatLabel } from '@angular/material/form-field'
import { MatInput } from '@angular/material/input'
import { CLOSE_LIST, type CloseCheck, type CloseList, type Side, type Stop } from '@crescent/core'
import { Fold } from '../../common/fold'
import { OUTLINED_FIELDS } from '../../common/outlined-fields'
import { StopLines } from '../../common/stop-lines'
import { ProposedCycle } from '../../courses/proposed-cycle'
import { NextDue } from './next-due'
import { PutInList, type Put } from './put-in-list'
import { FigureText } from '../../drawing/figure-text'
import { HelpButton } from '../../help/help-button'

export interface FinishDialogData {
  horseId: string
  visitId: string
  /** The day of the visit. */
  date: string
  notes: string
  /** What was ticked off so far, and the feet that were nailed. */
  closeList: CloseList | undefined
  nailed: readonly Side[]
  /** The feet that were worked on, and what was put in or on each. */
  worked: readonly Side[]
  put: Partial<Record<Side, Put>>
  /** What was done to the feet, in words, and those on which work stopped half way. */
  work: string
  paused: readonly Side[]
  /** What calls for the vet and lets no shoe be put on yet. */
  stops: readonly Stop[]
  unsaved: readonly string[]
  /** Saved by hand, and waiting for the server: they go out by themselves. */
  waiting: readonly string[]
  unmeasured: readonly string[]
  /** As it was set by hand, and as the cycle says. */
  nextDue: string | null
  byCycle: string
  /** What was answered and could not be kept. */
  before?: FinishAnswer
}

/** What the visit ends with. */
export interface FinishAnswer {
  notes: string
  closeList: CloseList
  nextDue: string | null
  feet: Partial<Record<Side, { put: Put }>>
}

/** Ends a visit: says what is still open, takes a note, tells when the next one is due. */
@Component({
  selector: 'cr-finish-dialog',
  imports: [
    Fold,
    FormsModule,
    HelpButton,
    MatButton,
    MatCheckbox,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatInput,
    MatLabel,
    NextDue,
    ProposedCycle,
    PutInList,
    StopLines,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Finish the visit</h2>
    <form (ngSubmit)="done()">
      <mat-dialog-content>
        <cr-stop-lines [stops]="data.stops" />
        @if (data.unsaved.length > 0) {
          <p class="warn" role="alert">
            Not saved yet: {{ data.unsaved.join(', ') }}. It stays in this browser; save it to keep it with
            the horse.
          </p>
        }
        @if (data.waiting.length > 0) {
          <p>
            Waiting for the server: {{ data.waiting.join(', ') }}. What was saved goes out by itself; what was
            changed since is to be saved again.
          </p>
        }
        @if (data.paused.length > 0) {
          <p class="warn" role="alert">Still paused: {{ data.paused.join(', ') }}.</p>
        }
        @if (data.work) {
          <p>{{ data.work }}.</p>
        }
        @if (data.unmeasured.length > 0) {
          <p>Nothing recorded for {{ data.unmeasured.join(', ') }}.</p>
        }
        @if (data.nailed.length > 0) {
          <h3>Close list</h3>
          @for (side of data.nailed; track side) {
            <details class="fold" [crFold]="$first">
              <summary>
                {{ side }} <span class="muted">{{ checkedOf(side).length }} of {{ steps.length }}</span>
              </summary>
              @for (step of steps; track step.check) {
                <mat-checkbox
                  [checked]="checkedOf(side).includes(step.check)"
                  [aria-label]="side + ': ' + step.label"
                  (change)="tick(side, step.check, $event.checked)"
                >
                  <strong>{{ step.label }}</strong> {{ text.told(step.what) }}
                </mat-checkbox>
              }
              <input
                class="typed"
                #note
                maxlength="2000"
                placeholder="Clinch note, what to look at next time"
                [attr.aria-label]="side + ': note'"
                [value]="closeList()[side]?.note ?? ''"
                (input)="write(side, note.value)"
              />
            </details>
          }
        }
        @if (data.worked.length > 0) {
          <details class="fold" [crFold]="putCount() > 0">
            <summary>
              Put in or on <span class="muted">{{ putCount() || 'nothing' }}</span>
            </summary>
            @for (side of data.worked; track side) {
              <h3>{{ side }}</h3>
              <cr-put-in-list [side]="side" [put]="putOf(side)" (changed)="setPut(side, $event)" />
            }
          </details>
        }
        <cr-proposed-cycle
          [horseId]="data.horseId"
          [visitId]="data.visitId"
          [from]="data.date"
          [set]="nextDue() ?? data.byCycle"
          (taken)="nextDue.set($event)"
        />
        <cr-next-due
          [byCycle]="data.byCycle"
          [set]="nextDue()"
          (changed)="nextDue.set($event)"
          (fault)="faulty.set($event)"
        />
        <mat-form-field>
          <mat-label>Note for next time</mat-label>
          <textarea
            matInput
            name="notes"
            rows="4"
            maxlength="20000"
            [ngModel]="notes()"
            (ngModelChange)="notes.set($event)"
          ></textarea>
        </mat-form-field>
      </mat-dialog-content>
      <mat-dialog-actions align="end">
        <cr-help-button topic="finish" />
        <button mat-button type="button" mat-dialog-close>Not yet</button>
        <button mat-flat-button type="submit" [disabled]="faulty()">Finish</button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 12px;
    }
    p {
      margin-bottom: 8px;
    }
    h3 {
      margin: 0;
    }
    mat-checkbox {
      display: block;
      font-size: 0.92rem;
      line-height: 1.25;
    }
    .warn {
      padding: 8px 10px;
      color: var(--caution);
      background: var(--caution-wash);
    }
  `,
})
export class FinishDialog {
  protected readonly text = inject(FigureText)
  protected readonly data = inject<FinishDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<FinishDialog, FinishAnswer>>(MatDialogRef)
  protected readonly notes = signal(this.data.before?.notes ?? this.data.notes)
  protected readonly nextDue = signal(this.data.before ? this.data.before.nextDue : this.data.nextDue)
  protected readonly faulty = signal(false)
  protected readonly steps = CLOSE_LIST
  protected readonly closeList = signal<CloseList>(this.data.before?.closeList ?? this.data.closeList ?? {})

  private readonly materials = signal(putOf(this.data))
  protected readonly putCount = computed(() =>
    Object.values(this.materials()).reduce((sum, put) => sum + put.length, 0),
  )
  protected putOf = (side: Side): Put => this.materials()[side] ?? []
  protected setPut = (side: Side, put: Put): void => this.materials.update((all) => ({ ...all, [side]: put }))

  protected checkedOf = (side: Side): readonly CloseCheck[] => this.closeList()[side]?.checked ?? []

  protected tick(side: Side, check: CloseCheck, on: boolean): void {
    const others = this.checkedOf(side).filter((one) => one !== check)
    this.put(side, { checked: on ? [...others, check] : others })
  }

  protected write = (side: Side, note: string): void => this.put(side, { note })

  private put(side: Side, change: Partial<NonNullable<CloseList[Side]>>): void {
    const now = this.closeList()[side] ?? { checked: [], note: '' }
    this.closeList.update((list) => ({ ...list, [side]: { ...now, ...change } }))
  }

  protected done(): void {
    if (this.faulty()) return
    const put = Object.entries(this.materials()) as [Side, Put][]
    this.dialog.close({
      ...{ notes: this.notes(), closeList: this.closeList(), nextDue: this.nextDue() },
      feet: Object.fromEntries(put.map(([side, list]) => [side, { put: list }])),
    })
  }
}

/** What was put in or on the feet, as it was answered last. */
const putOf = ({ before, put }: FinishDialogData): FinishDialogData['put'] =>
  before ? Object.fromEntries(Object.entries(before.feet).map(([side, foot]) => [side, foot.put])) : put
