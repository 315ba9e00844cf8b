import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core'
import { MatIconButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { Help } from './help'

/**
 * Help with what it stands at. In the buttons of a dialog it keeps to the other end. Without a tooltip: that would take
 * the Escape which should close the dialog.
 */
@Component({
  selector: 'cr-help-button',
  imports: [MatIcon, MatIconButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button mat-icon-button type="button" aria-label="Help with this" (click)="help.open(topic())">
      <mat-icon svgIcon="help" />
    </button>
  `,
  styles: `
    :host {
      flex: none;
      margin-right: auto;
    }
  `,
})
export class HelpButton {
  readonly topic = input.required<string>()
  protected readonly help = inject(Help)
}
