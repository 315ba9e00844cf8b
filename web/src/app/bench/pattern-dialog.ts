import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatCheckbox } from '@angular/material/checkbox'
import {
  MAT_DIALOG_DATA,
  MatDialog,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import type { Side, StoredPattern } from '@crescent/core'
import { shortDay } from '../common/today'
import { FigureText } from '../drawing/figure-text'
import { SmallShoe } from '../drawing/small-shoe'
import { VersionsDialog, type VersionsDialogData } from './versions-dialog'

export interface PatternChoice {
  pattern: StoredPattern
  withFoot: boolean
}

/** The patterns of this foot and of its pair, to work on from. */
@Component({
  selector: 'cr-pattern-dialog',
  imports: [
    MatButton,
    MatCheckbox,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    SmallShoe,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Load a pattern</h2>
    <mat-dialog-content>
      <mat-checkbox [checked]="withFoot()" (change)="withFoot.set($event.checked)"
        >Take its measurements too</mat-checkbox
      >
      <ul>
        @for (pattern of data.patterns; track pattern.id) {
          <li>
            <button type="button" (click)="take(pattern)">
              <cr-small-shoe [snapshot]="pattern.result" [side]="pattern.side" />
              <span>
                <strong>{{ pattern.name }}</strong>
                <span class="muted"
                  >{{ pattern.side }}, {{ day(pattern) }}, cut
                  {{ text.length(pattern.result.cutLength) }}</span
                >
              </span>
            </button>
            @if (pattern.version > 1) {
              <button type="button" class="tap" (click)="earlier(pattern)">
                {{ pattern.version }} versions
              </button>
            }
          </li>
        } @empty {
          <li>No pattern of this foot is kept yet: save one and it will be here.</li>
        }
      </ul>
    </mat-dialog-content>
    <mat-dialog-actions align="end"><button mat-button mat-dialog-close>Close</button></mat-dialog-actions>
  `,
  styles: `
    ul {
      display: grid;
      gap: 6px;
      margin: 8px 0 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      gap: 6px;
      align-items: center;
    }
    li button:first-child {
      flex: 1;
      display: grid;
      grid-template-columns: 56px 1fr;
      gap: 12px;
      align-items: center;
      width: 100%;
      padding: 6px;
      color: inherit;
      font: inherit;
      text-align: left;
      background: var(--sheet);
      border: 1px solid var(--rule);
      border-radius: 6px;
      cursor: pointer;
    }
    li button:first-child:hover {
      border-color: var(--ember);
    }
    li span {
      display: grid;
    }
    .muted {
      font-size: 0.9rem;
    }
  `,
})
export class PatternDialog {
  protected readonly data = inject<{ patterns: StoredPattern[]; side: Side }>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<PatternDialog, PatternChoice>>(MatDialogRef)
  private readonly dialogs = inject(MatDialog)
  protected readonly text = inject(FigureText)
  protected readonly withFoot = signal(false)
  protected day = (pattern: StoredPattern): string => shortDay((pattern.updatedAt ?? '').slice(0, 10))
  /** An earlier state is taken up as work on the pattern of now: saved, it is its next version. */
  protected earlier(pattern: StoredPattern): void {
    this.dialogs
      .open<VersionsDialog, VersionsDialogData, StoredPattern>(VersionsDialog, {
        data: { pattern, act: 'Take it up' },
        width: '560px',
      })
      .afterClosed()
      .subscribe((then) => {
        if (then) this.take({ ...then, version: pattern.version, name: pattern.name })
      })
  }
  protected take = (pattern: StoredPattern): void => this.dialog.close({ pattern, withFoot: this.withFoot() })
}
