import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import type { Caution } from '@crescent/core'
import { Fold } from '../../common/fold'
import { FigureText } from '../../drawing/figure-text'
import { Worded } from '../../help/worded'

const WORD = { stop: 'Stop', caution: 'Caution', note: 'Note' } as const

/** Cautions with what may happen and what to do: icon, word and colour, never colour alone. */
@Component({
  selector: 'cr-cautions-list',
  imports: [Fold, MatIcon, Worded],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (caution of cautions(); track caution.code) {
      <details [class]="caution.severity" [crFold]="caution.severity === 'stop'">
        <summary>
          <mat-icon [svgIcon]="caution.severity" aria-hidden="true" />
          <span
            ><b>{{ word[caution.severity] }}:</b> {{ text.told(caution.title) }}</span
          >
        </summary>
        <p><cr-worded [text]="text.told(caution.text)" /></p>
        <p class="do">{{ text.told(caution.action) }}</p>
      </details>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 4px;
    }
    details {
      border-left: 4px solid var(--rule-strong);
      background: var(--sheet-sunk);
    }
    .caution {
      background: var(--caution-wash);
      border-color: var(--caution);
    }
    .stop {
      background: var(--stop-wash);
      border-color: var(--stop);
    }
    summary {
      display: flex;
      gap: 6px;
      align-items: center;
      min-height: 40px;
      padding: 4px 8px;
      font-size: 0.95rem;
      line-height: 1.2;
      list-style: none;
      cursor: pointer;
    }
    .caution summary {
      color: var(--caution);
    }
    .stop summary {
      color: var(--stop);
    }
    mat-icon {
      flex: none;
      width: 20px;
      height: 20px;
    }
    p {
      padding: 0 10px 6px 34px;
      font-size: 0.9rem;
    }
    .do {
      font-weight: 650;
    }
  `,
})
export class CautionsList {
  readonly cautions = input.required<readonly Caution[]>()
  protected readonly word = WORD
  protected readonly text = inject(FigureText)
}
