import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { MatIcon } from '@angular/material/icon'
import { kindsFor, placeNamed, type Finding, type FindingKind, type PlaceKey } from '@crescent/core'
import { HelpButton } from '../../../help/help-button'

export interface FindingDialogData {
  place: PlaceKey
  side: string
  /** What is found there already. */
  here: readonly Finding[]
}

/** A kind with its grade, or with none where it is taken back. */
export interface FindingChoice {
  kind: Finding['kind']
  grade: number | null
}

/** What is found in a place: one tap on a grade is a finding. */
@Component({
  selector: 'cr-finding-dialog',
  imports: [
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatIcon,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ data.side }}, {{ place.label }}</h2>
    <mat-dialog-content>
      <div class="kinds">
        @for (kind of kinds; track kind.key) {
          <div class="kind" role="group" [attr.aria-label]="kind.label">
            <p>
              <strong>{{ kind.label }}</strong> <span>{{ kind.what }}</span>
            </p>
            <div class="grades">
              @for (grade of kind.grades; track grade; let i = $index) {
                <button
                  class="tap"
                  type="button"
                  [attr.aria-pressed]="gradeOf(kind) === i + 1"
                  [class.vet]="kind.vetFrom !== undefined && i + 1 >= kind.vetFrom"
                  (click)="choose(kind, i + 1)"
                >
                  @if (kind.vetFrom !== undefined && i + 1 >= kind.vetFrom) {
                    <mat-icon svgIcon="stop" aria-label="calls for the vet" />
                  }
                  {{ grade }}
                </button>
              }
            </div>
          </div>
        }
      </div>
    </mat-dialog-content>
    <mat-dialog-actions>
      <cr-help-button topic="finding" />
      <button mat-stroked-button mat-dialog-close>Nothing here</button>
    </mat-dialog-actions>
  `,
  styles: `
    .kinds {
      display: grid;
      gap: 10px;
    }
    .kind {
      padding-bottom: 10px;
      border-bottom: 1px solid var(--rule);
    }
    .kind p {
      margin: 0 0 6px;
      color: var(--ink);
    }
    .kind span {
      margin-left: 6px;
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
    .grades {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
    }
    .grades .tap {
      display: inline-flex;
      gap: 4px;
      align-items: center;
    }
    .grades .vet {
      border-color: var(--stop);
    }
    mat-icon {
      width: 18px;
      height: 18px;
    }
  `,
})
export class FindingDialog {
  protected readonly data = inject<FindingDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<FindingDialog, FindingChoice>>(MatDialogRef)
  protected readonly place = placeNamed(this.data.place)
  protected readonly kinds = kindsFor(this.place.part)

  protected gradeOf = (kind: FindingKind): number | undefined =>
    this.data.here.find((finding) => finding.kind === kind.key)?.grade

  /** The same grade again takes the finding back. */
  protected choose(kind: FindingKind, grade: number): void {
    this.dialog.close({
      kind: kind.key as Finding['kind'],
      grade: this.gradeOf(kind) === grade ? null : grade,
    })
  }
}
