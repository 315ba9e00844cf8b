import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { FormsModule } from '@angular/forms'
import { MatButton } from '@angular/material/button'
import { MatDialogActions, MatDialogContent, MatDialogRef, MatDialogTitle } from '@angular/material/dialog'
import { MatFormField, MatLabel } from '@angular/material/form-field'
import { MatInput } from '@angular/material/input'
import { OUTLINED_FIELDS } from '../common/outlined-fields'
import { Api, failureText } from '../state/api'

/** The password of the practice. Closes once it is right; nothing behind it is lost meanwhile. */
@Component({
  selector: 'cr-sign-in-dialog',
  imports: [
    FormsModule,
    MatButton,
    MatDialogActions,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatInput,
    MatLabel,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Sign in</h2>
    <form (ngSubmit)="send()">
      <mat-dialog-content>
        <p>This practice is kept with a password. What you have typed stays here.</p>
        <mat-form-field>
          <mat-label>Password of the practice</mat-label>
          <input
            matInput
            type="password"
            name="password"
            autocomplete="current-password"
            cdkFocusInitial
            [(ngModel)]="password"
          />
        </mat-form-field>
        @if (failure()) {
          <p class="failure" role="alert">{{ failure() }}</p>
        }
      </mat-dialog-content>
      <mat-dialog-actions align="end">
        <button mat-flat-button type="submit" [disabled]="password() === '' || sending()">Sign in</button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 8px;
    }
    .failure {
      padding: 8px 12px;
      color: var(--stop);
      background: var(--stop-wash);
    }
  `,
})
export class SignInDialog {
  private readonly api = inject(Api)
  private readonly dialog = inject<MatDialogRef<SignInDialog>>(MatDialogRef)
  protected readonly password = signal('')
  protected readonly failure = signal('')
  protected readonly sending = signal(false)

  protected send(): void {
    this.sending.set(true)
    this.api.signIn(this.password()).subscribe({
      next: () => this.dialog.close(),
      error: (error: unknown) => {
        this.sending.set(false)
        this.failure.set(failureText(error))
      },
    })
  }
}
