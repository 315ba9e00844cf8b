import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import {
  COMMON_SECTIONS,
  MODIFICATION_GROUPS,
  MODIFICATIONS,
  PLAIN_SHOE,
  planShoe,
  snapshotOf,
  type FootInput,
  type Plan,
  type ShoeInput,
  type Side,
} from '@crescent/core'
import { SmallShoe } from '../../../drawing/small-shoe'
import { tryPlan, type Planning } from '../../../state/bench/planning'
import { HelpButton } from '../../../help/help-button'

export interface GalleryData {
  foot: FootInput
  shoe: ShoeInput
  side: Side
}

const ALUMINIUM = COMMON_SECTIONS.find((one) => one.section.material === 'aluminium')!

/** Every modification as it would look on this foot, or why it cannot be made. Closes with the kind that was chosen. */
@Component({
  selector: 'cr-gallery-dialog',
  imports: [
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
    <h2 mat-dialog-title>What is made of the bar</h2>
    <mat-dialog-content>
      @for (group of groups(); track group.key) {
        <h3>{{ group.label }}</h3>
        <div class="pictures">
          @for (one of group.pictures; track one.kind) {
            <button
              type="button"
              [disabled]="one.on || one.why"
              [attr.data-kind]="one.kind"
              (click)="dialog.close(one.kind)"
            >
              @if (one.snapshot; as snapshot) {
                <cr-small-shoe [snapshot]="snapshot" [side]="data.side" />
              }
              <strong>{{ one.label }}</strong>
              @if (one.why) {
                <small class="why">{{ one.why }}</small>
              }
              @if (one.on) {
                <small>on this shoe</small>
              }
            </button>
          }
        </div>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="gallery" />
      <button mat-button type="button" mat-dialog-close>Close</button>
    </mat-dialog-actions>
  `,
  styles: `
    h3 {
      margin: 10px 0 6px;
      font-size: 0.95rem;
      color: var(--ink-soft);
    }
    .pictures {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(138px, 1fr));
      gap: 8px;
    }
    button {
      display: grid;
      gap: 4px;
      justify-items: center;
      min-height: 44px;
      padding: 8px;
      color: inherit;
      font: inherit;
      font-size: 0.9rem;
      line-height: 1.2;
      text-align: center;
      background: var(--paper);
      border: 1.5px solid var(--rule);
      border-radius: 6px;
      cursor: pointer;
    }
    button:hover:enabled,
    button:focus-visible {
      border-color: var(--ember);
    }
    button:disabled {
      color: var(--ink-soft);
      cursor: default;
    }
    cr-small-shoe {
      width: 104px;
      height: 116px;
    }
    .why {
      font-size: 0.76rem;
    }
    .mat-mdc-dialog-content.mat-mdc-dialog-content {
      max-height: 82vh;
    }
    mat-dialog-actions button,
    small {
      border: 0;
    }
  `,
})
export class GalleryDialog {
  protected readonly data = inject<GalleryData>(MAT_DIALOG_DATA)
  protected readonly dialog = inject<MatDialogRef<GalleryDialog, string>>(MatDialogRef)

  protected readonly groups = computed(() =>
    MODIFICATION_GROUPS.map(({ key, label }) => ({
      key,
      label,
      pictures: MODIFICATIONS.filter(({ group }) => group === key).map(({ kind, label: name }) => {
        const there = this.data.shoe.modifications ?? []
        const on = there.some((one) => one.kind === kind)
        const { plan, problems } = this.try({ modifications: on ? there : [...there, { kind }] })
        // What cannot be made on this shoe is shown as it would be on one that it can be made on.
        const shown = plan ?? this.try({ modifications: [{ kind }] }).plan ?? this.onBar(kind)
        return {
          kind,
          label: name,
          on,
          snapshot: shown && snapshotOf(shown),
          why: plan ? '' : (problems[0]?.message ?? ''),
        }
      }),
    })),
  )

  private try(shoe: Partial<ShoeInput>): Planning {
    return tryPlan(() => planShoe(this.data.foot, { ...this.data.shoe, ...shoe }))
  }

  /** On a bar of steel or else of aluminium, where the shoe at hand cannot have it. */
  private onBar(kind: string): Plan | undefined {
    const { stock: _size, nails: _holes, ...shoe } = this.data.shoe
    const metals = [PLAIN_SHOE.section, ALUMINIUM.section]
    return metals
      .map((section) =>
        tryPlan(() => planShoe(this.data.foot, { ...shoe, section, modifications: [{ kind }] })),
      )
      .find(({ plan }) => plan)?.plan
  }
}
