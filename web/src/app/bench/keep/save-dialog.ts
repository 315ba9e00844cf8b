import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { FormsModule } from '@angular/forms'
import { MatButton } from '@angular/material/button'
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
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio'
import { OUTLINED_FIELDS } from '../../common/outlined-fields'
import { HelpButton } from '../../help/help-button'

export interface SaveDialogData {
  /** The pattern the work began from, where there is one. */
  loaded: string | undefined
  suggestedName: string
  /** Tags of the pattern the work began from. */
  tags: readonly string[]
  /** Stops among the cautions: the farrier is told once more. */
  stops: string[]
  /** What was answered and could not be kept. */
  before?: SaveDialogAnswer
}

export interface SaveDialogAnswer {
  name: string
  asNew: boolean
  tags: string[]
  why: string
}

/** More tags, and longer ones, are not kept. */
const MOST_TAGS = 20
const LONGEST_TAG = 40

/** Words between commas, each once. */
function tagsIn(text: string): string[] {
  const tags = text.split(',').map((tag) => tag.trim().slice(0, LONGEST_TAG))
  return [...new Set(tags.filter((tag) => tag !== ''))].slice(0, MOST_TAGS)
}

/** Asks under what name a pattern is kept, and whether it is the next version of the one it began from. */
@Component({
  selector: 'cr-save-dialog',
  imports: [
    FormsModule,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatInput,
    MatLabel,
    MatRadioButton,
    MatRadioGroup,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Save pattern</h2>
    <form (ngSubmit)="done()">
      <mat-dialog-content>
        @for (stop of data.stops; track stop) {
          <p class="stop" role="alert">{{ stop }}. It is saved with the pattern as a stop.</p>
        }
        @if (data.loaded; as loaded) {
          <mat-radio-group
            name="asNew"
            aria-label="What to save"
            [ngModel]="asNew()"
            (ngModelChange)="choose($event)"
          >
            <mat-radio-button [value]="false">Next version of “{{ loaded }}”</mat-radio-button>
            <mat-radio-button [value]="true">A new pattern beside it</mat-radio-button>
          </mat-radio-group>
        }
        <mat-form-field>
          <mat-label>Name</mat-label>
          <input
            matInput
            name="name"
            maxlength="200"
            required
            cdkFocusInitial
            [ngModel]="name()"
            (ngModelChange)="name.set($event)"
          />
        </mat-form-field>
        <mat-form-field>
          <mat-label>Tags, separated by commas</mat-label>
          <input
            matInput
            name="tags"
            maxlength="400"
            placeholder="winter, road work"
            [ngModel]="tags()"
            (ngModelChange)="tags.set($event)"
          />
        </mat-form-field>
        @if (data.loaded && !asNew()) {
          <mat-form-field>
            <mat-label>What changed, and why</mat-label>
            <textarea
              matInput
              name="why"
              rows="2"
              maxlength="2000"
              [ngModel]="why()"
              (ngModelChange)="why.set($event)"
            ></textarea>
          </mat-form-field>
        }
      </mat-dialog-content>
      <mat-dialog-actions align="end">
        <cr-help-button topic="save" />
        <button mat-button type="button" mat-dialog-close>Not now</button>
        <button mat-flat-button type="submit" [disabled]="name().trim() === ''">Save</button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    mat-radio-group {
      display: grid;
      margin-bottom: 12px;
    }
    mat-form-field {
      width: 100%;
      margin-top: 6px;
    }
    .stop {
      margin-bottom: 10px;
      padding: 8px 10px;
      color: var(--stop);
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
  `,
})
export class SaveDialog {
  protected readonly data = inject<SaveDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<SaveDialog, SaveDialogAnswer>>(MatDialogRef)
  protected readonly asNew = signal(this.data.before?.asNew ?? this.data.loaded === undefined)
  protected readonly tags = signal((this.data.before?.tags ?? this.data.tags).join(', '))
  protected readonly why = signal(this.data.before?.why ?? '')
  protected readonly name = signal(this.data.before?.name ?? this.data.loaded ?? this.data.suggestedName)

  protected choose(asNew: boolean): void {
    this.asNew.set(asNew)
    if (this.name() === this.data.loaded || this.name() === this.data.suggestedName) {
      this.name.set(asNew ? this.data.suggestedName : this.data.loaded!)
    }
  }

  protected done(): void {
    const name = this.name().trim()
    if (name === '') return
    const why = this.asNew() ? '' : this.why().trim()
    this.dialog.close({ name, asNew: this.asNew(), tags: tagsIn(this.tags()), why })
  }
}
