import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { planShoe, type PagePattern, type StoredPattern } from '@crescent/core'
import { differences } from '@crescent/core/designs'
import { format, parseISO } from 'date-fns'
import { AsyncState } from '../../common/async-state'
import { FigureText } from '../../drawing/figure-text'
import { SmallShoe } from '../../drawing/small-shoe'
import { Api, failureText } from '../../state/api'
import { tryPlan } from '../../state/bench/planning'
import { DifferenceTable } from '../steps/shoe/difference-table'
import { HelpButton } from '../../help/help-button'

export interface VersionsDialogData {
  pattern: PagePattern
  /** What bringing one back does, on its button. */
  act: string
}

/** Every state a pattern ever had: seen, compared with the one of now, brought back. Closes with the one chosen. */
@Component({
  selector: 'cr-versions-dialog',
  imports: [
    AsyncState,
    DifferenceTable,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    SmallShoe,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Versions of “{{ data.pattern.name }}”</h2>
    <mat-dialog-content>
      @if (versions(); as all) {
        <ul aria-label="Versions">
          @for (one of all; track one.version) {
            <li>
              <button
                type="button"
                class="tap"
                [attr.aria-pressed]="chosen()?.version === one.version"
                (click)="chosen.set(one)"
              >
                <strong>{{ one.version }}{{ one.version === data.pattern.version ? ', now' : '' }}</strong>
                {{ day(one) }}, {{ one.name }}, cut {{ text.length(one.result.cutLength) }}
                @if (one.why) {
                  <span class="why">{{ one.why }}</span>
                }
              </button>
            </li>
          }
        </ul>
        @if (chosen(); as then) {
          <div class="two">
            <figure>
              @if (now(); as one) {
                <cr-small-shoe [snapshot]="one.result" [side]="one.side" label="as it is now" />
              }
              <figcaption>now</figcaption>
            </figure>
            <figure>
              <cr-small-shoe
                [snapshot]="then.result"
                [side]="then.side"
                [label]="'version ' + then.version"
              />
              <figcaption>version {{ then.version }}</figcaption>
            </figure>
          </div>
          @if (list(); as rows) {
            <cr-difference-table
              [list]="rows"
              one="now"
              [other]="'version ' + then.version"
              none="Nothing: it comes to the same shoe on the same foot."
            />
          } @else {
            <p>It cannot be worked out anew by today’s figures; the drawing is as it was saved.</p>
          }
        }
      } @else {
        <cr-async-state [failure]="failure()" (again)="read()" />
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="versions" />
      <button mat-button mat-dialog-close>Close</button>
      <button
        mat-flat-button
        [disabled]="!chosen() || chosen()!.version === data.pattern.version"
        (click)="bringBack()"
      >
        {{ data.act }}
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    ul {
      display: grid;
      gap: 6px;
      margin: 0 0 10px;
      padding: 0;
      list-style: none;
    }
    .tap {
      width: 100%;
      text-align: left;
    }
    .why {
      display: block;
      white-space: pre-line;
    }
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 12px;
      max-width: 320px;
    }
    figure {
      margin: 0;
      text-align: center;
    }
  `,
})
export class VersionsDialog {
  protected readonly data = inject<VersionsDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<VersionsDialog, StoredPattern>>(MatDialogRef)
  private readonly api = inject(Api)
  protected readonly text = inject(FigureText)
  protected readonly versions = signal<readonly StoredPattern[] | undefined>(undefined)
  protected readonly failure = signal('')
  protected readonly chosen = signal<StoredPattern | undefined>(undefined)

  /** As it is now, with the lines it is drawn with. */
  protected readonly now = computed(() =>
    this.versions()?.find(({ version }) => version === this.data.pattern.version),
  )

  /** What differs from now, each design on the foot it was made for; undefined where one cannot be planned any more. */
  protected readonly list = computed(() => {
    const then = this.chosen()
    if (!then) return undefined
    const plan = (one: PagePattern) => tryPlan(() => planShoe(one.foot, one.shoe, one.workshop)).plan
    const [a, b] = [plan(this.data.pattern), plan(then)]
    return a && b && differences({ shoe: this.data.pattern.shoe, plan: a }, { shoe: then.shoe, plan: b })
  })

  constructor() {
    this.read()
  }

  protected read(): void {
    this.failure.set('')
    this.api.patternVersions(this.data.pattern.id).subscribe({
      next: (versions) => this.versions.set(versions),
      error: (error: unknown) => this.failure.set(failureText(error)),
    })
  }

  protected day = ({ updatedAt }: StoredPattern): string =>
    updatedAt ? format(parseISO(updatedAt), 'd MMM yyyy HH:mm') : ''
  protected bringBack = (): void => this.dialog.close(this.chosen())
}
