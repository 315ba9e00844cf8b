import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { FormsModule } from '@angular/forms'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialog,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { MatFormField, MatLabel } from '@angular/material/form-field'
import { MatIcon } from '@angular/material/icon'
import { MatInput } from '@angular/material/input'
import type { Erasure } from '@crescent/core'
import { filter, switchMap } from 'rxjs'
import { ask } from '../common/ask-dialog'
import { OUTLINED_FIELDS } from '../common/outlined-fields'
import { HelpButton } from '../help/help-button'
import { Api, failureText } from '../state/api'
import { browserStore } from '../state/browser-store'
import { backupsText, goesText, tracesText } from './erasure-text'

export interface EraseDialogData {
  kind: 'owner' | 'horse' | 'visit'
  id: string
  version: number
  /** What has to be typed before it goes: its name, or the day of a visit. */
  name: string
  /** Of the horse it is about: it can be taken out as a file first. */
  horseId?: string
  /** What this browser keeps of these visits goes too. */
  visitIds: readonly string[]
}

/** Takes an owner, a horse or a visit out for good: what goes with it is named, and it is asked twice. */
@Component({
  selector: 'cr-erase-dialog',
  imports: [
    FormsModule,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatIcon,
    MatInput,
    MatLabel,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Erase {{ data.name }} for good</h2>
    <mat-dialog-content>
      @if (traces()) {
        <p role="alert">{{ tracesText(data.name) }}</p>
      } @else if (goes(); as goes) {
        <p>
          <strong>{{ goesText(goes) }}</strong> It cannot be undone.
        </p>
        <p>{{ backupsText(goes) }}</p>
      } @else if (!failure()) {
        <p role="status">Looking what goes with it …</p>
      }
      @if (!traces()) {
        <a mat-stroked-button [href]="file()" download
          ><mat-icon svgIcon="download" />Take it out as a file first</a
        >
        <mat-form-field>
          <mat-label>Type “{{ data.name }}” to go on</mat-label>
          <input matInput name="typed" autocomplete="off" cdkFocusInitial [(ngModel)]="typed" />
        </mat-form-field>
      }
      @if (failure()) {
        <p class="failure" role="alert">{{ failure() }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="erase" />
      @if (traces()) {
        <button mat-flat-button [mat-dialog-close]="true">Close</button>
      } @else {
        <button mat-button mat-dialog-close>Keep it</button>
        <button mat-flat-button [disabled]="!goes() || !same() || sending()" (click)="erase()">Erase</button>
      }
    </mat-dialog-actions>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 14px;
    }
    .failure {
      padding: 8px 12px;
      color: var(--stop);
      background: var(--stop-wash);
    }
  `,
})
export class EraseDialog {
  protected readonly data = inject<EraseDialogData>(MAT_DIALOG_DATA)
  private readonly api = inject(Api)
  private readonly dialogs = inject(MatDialog)
  private readonly dialog = inject<MatDialogRef<EraseDialog, boolean>>(MatDialogRef)
  protected readonly goes = signal<Erasure | undefined>(undefined)
  protected readonly typed = signal('')
  protected readonly failure = signal('')
  protected readonly sending = signal(false)
  /** Erased, but the file still holds what can be read of it. */
  protected readonly traces = signal(false)
  protected readonly same = computed(
    () => this.typed().trim().toLowerCase() === this.data.name.trim().toLowerCase(),
  )
  protected readonly file = computed(() =>
    this.data.horseId ? `/api/horses/${this.data.horseId}/library` : '/api/library',
  )
  protected readonly goesText = goesText
  protected readonly backupsText = backupsText
  protected readonly tracesText = tracesText

  constructor() {
    this.api.whatGoes(this.data.kind, this.data.id).subscribe({
      next: (goes) => this.goes.set(goes),
      error: (error: unknown) => this.failure.set(failureText(error)),
    })
  }

  protected erase(): void {
    const { kind, id, version, name, visitIds } = this.data
    this.sending.set(true)
    ask(this.dialogs, {
      title: `Erase ${name}?`,
      question: 'Once more: it goes for good, and nobody can bring it back.',
      yes: 'Erase for good',
      no: 'Keep it',
    })
      .pipe(
        filter((yes) => yes || (this.sending.set(false), false)),
        switchMap(() => this.api.erase(kind, id, version)),
      )
      .subscribe({
        next: ({ traces }) => {
          for (const visitId of visitIds)
            for (const what of ['bench', 'look']) browserStore.remove(`${what}.${visitId}`)
          if (!traces) return this.dialog.close(true)
          // It cannot be kept any more: whichever way the dialog is closed now, it is erased.
          this.dialog.disableClose = true
          this.traces.set(true)
        },
        error: (error: unknown) => {
          this.sending.set(false)
          this.failure.set(failureText(error))
        },
      })
  }
}
