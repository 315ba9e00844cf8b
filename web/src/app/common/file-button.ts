import { ChangeDetectionStrategy, Component, input, output } from '@angular/core'

/** A button that asks for a file, or for what a phone's camera takes. */
@Component({
  selector: 'cr-file-button',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="tap" [class.chief]="chief()"
      >{{ label() }}
      <input
        #field
        type="file"
        [accept]="accept()"
        [attr.capture]="capture() ? 'environment' : null"
        (change)="take(field)"
    /></label>
  `,
  styles: `
    :host {
      display: inline-flex;
    }
    label {
      position: relative;
      display: inline-flex;
      align-items: center;
    }
    /* The whole button opens the file; the field itself lies over it unseen, and takes the focus. */
    input {
      position: absolute;
      inset: 0;
      width: 100%;
      opacity: 0;
      cursor: pointer;
    }
    label:focus-within {
      outline: 3px solid var(--ember);
      outline-offset: 2px;
    }
  `,
})
export class FileButton {
  readonly label = input.required<string>()
  readonly accept = input.required<string>()
  /** A phone opens its camera. */
  readonly capture = input(false)
  /** What is wanted first here. */
  readonly chief = input(false)
  readonly chosen = output<File>()

  protected take(field: HTMLInputElement): void {
    const file = field.files?.[0]
    if (!file) return
    this.chosen.emit(file)
    // The same file can be chosen again.
    field.value = ''
  }
}
