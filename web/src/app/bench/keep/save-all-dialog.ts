import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
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
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field'
import { MatInput } from '@angular/material/input'
import { SIDE_NAMES, type Side } from '@crescent/core/text'
import { OUTLINED_FIELDS } from '../../common/outlined-fields'
import { HelpButton } from '../../help/help-button'

export interface SaveAllData {
  feet: {
    side: Side
    /** The pattern the work began from, where there is one: this becomes its next version. */
    loaded?: string
    name: string
    tags: string[]
    /** Stops among the cautions: the farrier is told once more. */
    stops: string[]
    /** It can be made as it is. */
    made: boolean
  }[]
  /** What was answered and could not be kept. */
  before?: SaveAllAnswer
}

/** The names of the feet that are saved, and why they were changed. */
export interface SaveAllAnswer {
  names: Partial<Record<Side, string>>
  why: string
}

/** All feet with unsaved work, under the names they have or get: one confirmation. */
@Component({
  selector: 'cr-save-all-dialog',
  imports: [
    FormsModule,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatHint,
    MatInput,
    MatLabel,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Save all</h2>
    <form (ngSubmit)="done()">
      <mat-dialog-content>
        @for (foot of data.feet; track foot.side) {
          @for (stop of foot.stops; track stop) {
            <p class="stop" role="alert">
              {{ foot.side }}: {{ stop }}. It is saved with the pattern as a stop.
            </p>
          }
          @if (foot.made) {
            <mat-form-field subscriptSizing="dynamic">
              <mat-label>{{ foot.side }}, name</mat-label>
              <input
                matInput
                [name]="foot.side"
                maxlength="200"
                required
                [attr.aria-label]="sideNames[foot.side] + ', name'"
                [ngModel]="names()[foot.side]"
                (ngModelChange)="name(foot.side, $event)"
              />
              <mat-hint>{{
                foot.loaded ? 'The next version of “' + foot.loaded + '”' : 'A new pattern'
              }}</mat-hint>
            </mat-form-field>
          } @else {
            <p class="stop" role="alert">
              {{ foot.side }} cannot be made as it is: it stays here, and the others are saved.
            </p>
          }
        }
        @if (again()) {
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
        <button mat-flat-button type="submit" cdkFocusInitial [disabled]="!ready()">
          Save {{ made.length }}
        </button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 10px;
    }
    .stop {
      margin-top: 10px;
      padding: 8px 10px;
      color: var(--stop);
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
  `,
})
export class SaveAllDialog {
  protected readonly data = inject<SaveAllData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<SaveAllDialog, SaveAllAnswer>>(MatDialogRef)
  protected readonly sideNames = SIDE_NAMES
  protected readonly made = this.data.feet.filter(({ made }) => made)
  protected readonly again = computed(() => this.made.some(({ loaded }) => loaded !== undefined))
  protected readonly why = signal(this.data.before?.why ?? '')
  protected readonly names = signal<SaveAllAnswer['names']>(
    this.data.before?.names ?? Object.fromEntries(this.made.map(({ side, name }) => [side, name])),
  )
  protected readonly ready = computed(
    () => this.made.length > 0 && this.made.every(({ side }) => this.names()[side]?.trim()),
  )

  protected name = (side: Side, name: string): void => this.names.update((all) => ({ ...all, [side]: name }))

  protected done(): void {
    if (!this.ready()) return
    const names = Object.fromEntries(this.made.map(({ side }) => [side, this.names()[side]!.trim()]))
    this.dialog.close({ names, why: this.why().trim() })
  }
}
