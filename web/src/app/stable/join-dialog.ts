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
import { Api, conflictOf, failureText } from '../state/api'
import { HelpButton } from '../help/help-button'

/** The record that is kept, and what kind it is. */
export interface JoinDialogData {
  kind: 'horse' | 'owner'
  id: string
  version: number
  name: string
}

interface Candidate {
  id: string
  version: number
  name: string
  about: string
}

/** Finds the other record of the same horse or owner and takes it into this one. Answers true once they are joined. */
@Component({
  selector: 'cr-join-dialog',
  imports: [HelpButton, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Join with {{ data.name }}</h2>
    <mat-dialog-content>
      <p>
        {{
          data.kind === 'horse'
            ? 'Visits, feet and patterns of the other record come here; it is archived.'
            : 'The horses of the other record come to this owner; it is archived.'
        }}
      </p>
      <label
        >The other record
        <input
          #box
          class="typed"
          type="search"
          placeholder="Find by name"
          (input)="find(box.value)"
          cdkFocusInitial
        />
      </label>
      <div role="radiogroup" aria-label="The other record">
        @for (one of found(); track one.id) {
          <label class="one">
            <input type="radio" name="other" [checked]="chosen()?.id === one.id" (change)="chosen.set(one)" />
            <span
              ><strong>{{ one.name }}</strong> {{ one.about }}</span
            >
          </label>
        } @empty {
          <p class="muted">No other record is found.</p>
        }
      </div>
      @if (failure()) {
        <p class="failure" role="alert">{{ failure() }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="join" />
      <button mat-button type="button" mat-dialog-close>Not now</button>
      <button mat-flat-button type="button" [disabled]="!chosen() || sending()" (click)="join()">
        {{ chosen() ? 'Take ' + chosen()!.name + ' into ' + data.name : 'Join' }}
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    .one {
      display: flex;
      gap: 10px;
      align-items: center;
      min-height: 44px;
      border-bottom: 1px solid var(--rule);
    }
    .one input {
      width: 20px;
      height: 20px;
      accent-color: var(--ember);
    }
    .failure {
      padding: 8px 12px;
      color: var(--stop);
      background: var(--stop-wash);
    }
  `,
})
export class JoinDialog {
  protected readonly data = inject<JoinDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<JoinDialog, boolean>>(MatDialogRef)
  private readonly api = inject(Api)
  protected readonly found = signal<Candidate[]>([])
  protected readonly chosen = signal<Candidate | undefined>(undefined)
  protected readonly failure = signal('')
  protected readonly sending = signal(false)

  constructor() {
    this.find('')
  }

  protected find(search: string): void {
    const show = (all: Candidate[]) => this.found.set(all.filter(({ id }) => id !== this.data.id))
    const fail = (error: unknown) => this.failure.set(failureText(error))
    if (this.data.kind === 'horse')
      this.api.horses(search, false).subscribe({
        next: (all) =>
          show(
            all.map(({ id, version, name, ownerName, place }) => ({
              ...{ id, version },
              name,
              about: [ownerName, place].filter(Boolean).join(', '),
            })),
          ),
        error: fail,
      })
    else
      this.api.owners(search).subscribe({
        next: (all) =>
          show(
            all.map(({ id, version, name, place, phone }) => ({
              ...{ id, version },
              name,
              about: [place, phone].filter(Boolean).join(', '),
            })),
          ),
        error: fail,
      })
  }

  protected join(): void {
    this.sending.set(true)
    const { kind, id, version } = this.data
    const { id: other, version: otherVersion } = this.chosen()!
    this.api.join(kind, id, { other, version, otherVersion }).subscribe({
      next: () => this.dialog.close(true),
      error: (error: unknown) => {
        this.sending.set(false)
        this.failure.set(
          conflictOf(error)
            ? 'One of the two was changed in another window since you opened it. Look at both again.'
            : failureText(error),
        )
      },
    })
  }
}
