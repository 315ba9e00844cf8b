import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { takeUntilDestroyed } from '@angular/core/rxjs-interop'
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { MatError, MatFormField, MatLabel } from '@angular/material/form-field'
import { MatInput } from '@angular/material/input'
import type { Owner } from '@crescent/core'
import { Actions, ofType } from '@ngrx/effects'
import { Store } from '@ngrx/store'
import { recordsActions } from '../state/records/records.feature'
import { OUTLINED_FIELDS } from '../common/outlined-fields'
import { HelpButton } from '../help/help-button'

/** Changes an owner. Closes only once it is stored. */
@Component({
  selector: 'cr-owner-dialog',
  imports: [
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatError,
    MatFormField,
    MatInput,
    MatLabel,
    ReactiveFormsModule,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ owner.name }}</h2>
    <form [formGroup]="form" (ngSubmit)="save()">
      <mat-dialog-content>
        <mat-form-field>
          <mat-label>Name</mat-label>
          <input matInput formControlName="name" maxlength="200" />
          @if (form.controls.name.invalid) {
            <mat-error>A name is needed</mat-error>
          }
        </mat-form-field>
        <mat-form-field>
          <mat-label>Phone</mat-label>
          <input matInput formControlName="phone" maxlength="200" />
        </mat-form-field>
        <mat-form-field>
          <mat-label>E-mail</mat-label>
          <input matInput formControlName="email" maxlength="200" />
          @if (form.controls.email.invalid) {
            <mat-error>An e-mail address looks like name&#64;place.example</mat-error>
          }
        </mat-form-field>
        <mat-form-field>
          <mat-label>Place</mat-label>
          <input matInput formControlName="place" maxlength="200" />
        </mat-form-field>
        <mat-form-field>
          <mat-label>Notes</mat-label>
          <textarea matInput formControlName="notes" rows="3" maxlength="20000"></textarea>
        </mat-form-field>
        @if (failure()) {
          <p role="alert">{{ failure() }}</p>
        }
      </mat-dialog-content>
      <mat-dialog-actions align="end">
        <cr-help-button topic="owner" />
        <button mat-button type="button" mat-dialog-close>Not now</button>
        <button mat-flat-button type="submit">Save</button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 4px;
    }
    p {
      padding: 8px 12px;
      color: var(--stop);
      background: var(--stop-wash);
    }
  `,
})
export class OwnerDialog {
  protected readonly owner = inject<{ owner: Owner }>(MAT_DIALOG_DATA).owner
  private readonly store = inject(Store)
  protected readonly failure = signal('')
  protected readonly form = new FormGroup({
    name: new FormControl(this.owner.name, { nonNullable: true, validators: Validators.required }),
    phone: new FormControl(this.owner.phone, { nonNullable: true }),
    email: new FormControl(this.owner.email, { nonNullable: true, validators: Validators.email }),
    place: new FormControl(this.owner.place, { nonNullable: true }),
    notes: new FormControl(this.owner.notes, { nonNullable: true }),
  })

  constructor() {
    const actions = inject(Actions)
    const dialog = inject<MatDialogRef<OwnerDialog, Owner>>(MatDialogRef)
    actions
      .pipe(ofType(recordsActions.ownerSaved), takeUntilDestroyed())
      .subscribe(({ owner }) => dialog.close(owner))
    actions
      .pipe(ofType(recordsActions.saveFailed), takeUntilDestroyed())
      .subscribe(({ failure }) => this.failure.set(failure))
  }

  protected save(): void {
    this.form.markAllAsTouched()
    if (this.form.invalid) return
    this.store.dispatch(recordsActions.saveOwner({ owner: { ...this.owner, ...this.form.getRawValue() } }))
  }
}
