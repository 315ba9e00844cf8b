import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import { betweenMarks, isRounded, parseAngle, parseLength, type FigureKind, type Told } from '@crescent/core'
import { Press } from '../common/press'
import { FigureText } from '../drawing/figure-text'
import { RulePicture } from '../help/rule-picture'
import { Worded } from '../help/worded'

let count = 0

/** A template's `?.` gives null where there is nothing. */
const orUndefined = (value: number | null | undefined): number | undefined => value ?? undefined

/**
 * One figure that is typed as it is read in the workshop. What cannot be read stays in the field and is told to the
 * parent as text; a field that is emptied goes back to its default.
 */
@Component({
  selector: 'cr-figure-field',
  imports: [MatIcon, RulePicture, Worded],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [attr.for]="id"
      >{{ label() }}
      @if (note()) {
        <small>{{ note() }}</small>
      }
    </label>
    <div
      class="box"
      [class.wrong]="error()"
      [class.assumed]="value() === undefined && assumed() !== undefined"
    >
      @if (rounded()) {
        <span class="about" aria-hidden="true">≈</span>
      }
      <input
        #box
        [id]="id"
        [attr.data-field]="field()"
        type="text"
        [attr.inputmode]="kind() === 'length' && text.style().unit === 'in' ? 'text' : 'decimal'"
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        enterkeyhint="next"
        [placeholder]="placeholder()"
        [value]="shown()"
        [attr.aria-invalid]="error() ? true : null"
        [attr.aria-describedby]="id + '-help'"
        (input)="typed(box.value)"
        (focus)="start(box)"
        (blur)="end()"
        (keydown)="key($event)"
      />
      @if (value() !== undefined && assumed() !== undefined) {
        <!-- No stop of Tab: an emptied field goes back to its default too, and who types goes from figure to figure. -->
        <button
          type="button"
          tabindex="-1"
          [attr.aria-label]="'Back to the default of ' + label()"
          (click)="figure.emit(undefined)"
        >
          <mat-icon svgIcon="reset" />
        </button>
      }
    </div>
    <p class="help" [id]="id + '-help'" [class.wrong]="error()" [attr.role]="error() ? 'alert' : null">
      @if (error(); as message) {
        <mat-icon svgIcon="caution" aria-hidden="true" />{{ message }}
        @for (text of meant(); track text) {
          <button
            type="button"
            class="tap meant"
            (mousedown)="$event.preventDefault()"
            (click)="typed(text); left.emit()"
          >
            {{ text }}
          </button>
        }
      } @else {
        @if (rounded()) {
          Kept as {{ exactly() }}{{ focused() ? ', shown to the nearest that a rule has.' : '' }}
        }
        @if (focused()) {
          <cr-worded [text]="text.told(where())" [beside]="true" />
        }
      }
    </p>
    @if (focused()) {
      @defer (on immediate) {
        <cr-rule-picture [figure]="field()" />
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 1fr 8.4rem;
      align-items: center;
      column-gap: 10px;
    }
    label {
      font-size: 0.95rem;
      line-height: 1.2;
    }
    small {
      display: block;
      font-size: 0.82rem;
      color: var(--ink-soft);
    }
    .box {
      display: flex;
      height: 44px;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 5px;
    }
    .box:focus-within {
      border-color: var(--ember);
      box-shadow: 0 0 0 2px var(--ember);
    }
    .box.assumed {
      border-style: dashed;
    }
    .box.wrong {
      border-color: var(--stop);
      box-shadow: 0 0 0 1px var(--stop);
    }
    input {
      flex: 1;
      width: 0;
      padding: 0 10px;
      color: inherit;
      font: inherit;
      font-size: 1.2rem;
      font-weight: 650;
      text-align: right;
      background: none;
      border: 0;
      outline: none;
    }
    input::placeholder {
      color: var(--ink-soft);
      font-weight: 450;
      opacity: 1;
    }
    .about {
      align-self: center;
      padding-left: 8px;
      color: var(--ink-soft);
    }
    .box button {
      display: grid;
      place-items: center;
      width: 34px;
      padding: 0;
      color: var(--ink-soft);
      background: none;
      border: 0;
      cursor: pointer;
    }
    .box button mat-icon {
      width: 20px;
      height: 20px;
    }
    .help {
      grid-column: 1 / -1;
      min-height: 0.4rem;
      padding: 2px 0 4px;
      font-size: 0.85rem;
      line-height: 1.3;
      color: var(--ink-soft);
    }
    .meant {
      margin-left: 6px;
      font-weight: 700;
    }
    cr-rule-picture {
      grid-column: 1 / -1;
    }
    .help.wrong {
      color: var(--stop);
      font-weight: 600;
    }
    .help mat-icon {
      width: 16px;
      height: 16px;
      margin-right: 4px;
      vertical-align: -3px;
    }
  `,
})
export class FigureField {
  readonly field = input.required<string>()
  readonly label = input.required<string>()
  readonly kind = input.required<FigureKind>()
  readonly where = input<Told>('')
  readonly note = input('')
  /** What was given, mm or degrees. */
  readonly value = input(undefined, { transform: orUndefined })
  /** What stands in for it while it is not given. */
  readonly assumed = input(undefined, { transform: orUndefined })
  /** Text that was typed and is no figure. */
  readonly entry = input<string | undefined>()
  /** Why the figure is refused. */
  readonly problem = input<string | undefined>()

  readonly figure = output<number | undefined>()
  readonly unread = output<string>()
  readonly left = output()

  protected readonly id = `figure-${count++}`
  protected readonly text = inject(FigureText)
  private readonly press = inject(Press)
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box')
  protected readonly focused = signal(false)
  /** What is being typed; none while the field shows its figure. */
  private readonly typing = signal<string | undefined>(undefined)

  /** Where keys have moved the figure to, as long as it has not come back as the value: a held key is ahead of the screen. */
  private ahead: number | undefined

  protected readonly shown = computed(() => this.typing() ?? this.entry() ?? this.written(this.value()))
  protected readonly placeholder = computed(() => {
    const assumed = this.assumed()
    return assumed === undefined ? '' : this.written(assumed)
  })
  /** What is shown is not all that is kept. */
  protected readonly rounded = computed(() => {
    const value = this.value()
    const shown = this.typing() === undefined && this.entry() === undefined
    return shown && this.kind() === 'length' && value !== undefined && isRounded(value, this.text.style())
  })
  protected readonly exactly = computed(() => betweenMarks(this.value() ?? 0, this.text.style()))
  /** What was probably meant by what cannot be read. */
  protected readonly meant = computed((): readonly string[] => {
    const entry = this.entry()
    const parsed = entry === undefined || this.kind() !== 'length' ? undefined : this.parse(entry)
    return parsed && !parsed.ok ? (parsed.meant ?? []) : []
  })
  protected readonly error = computed(() => {
    const entry = this.entry()
    if (entry !== undefined) {
      const parsed = this.parse(entry)
      return parsed.ok ? this.problem() : parsed.message
    }
    return this.problem()
  })

  constructor() {
    // A handle, an undo or a change of unit moves the figure under the typed text: show the figure then.
    effect(() => {
      const value = this.value()
      this.text.style()
      this.ahead = undefined
      untracked(() => {
        const typing = this.typing()
        if (typing === undefined) return
        const parsed = this.parse(typing)
        const same = parsed.ok ? value !== undefined && Math.abs(parsed.value - value) < 1e-9 : true
        if (!same && !(typing.trim() === '' && value === undefined)) this.typing.set(undefined)
      })
    })
  }

  focus(): void {
    this.box().nativeElement.focus()
  }

  protected start(box: HTMLInputElement): void {
    this.focused.set(true)
    box.select()
  }

  /** Help and picture fold away only once what was pressed instead is released: everything below them moves. */
  protected end(): void {
    this.ahead = undefined
    this.left.emit()
    this.press.after(() => {
      const element = this.box().nativeElement
      if (element === element.ownerDocument.activeElement) return
      this.focused.set(false)
      this.typing.set(undefined)
    })
  }

  protected typed(text: string): void {
    this.ahead = undefined
    this.typing.set(text)
    if (text.trim() === '') return this.figure.emit(undefined)
    const parsed = this.parse(text)
    if (parsed.ok) this.figure.emit(parsed.value)
    else this.unread.emit(text)
  }

  protected key(event: KeyboardEvent): void {
    if (event.key === 'Enter') {
      event.preventDefault()
      focusNextField(this.box().nativeElement)
      return
    }
    const way = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0
    const from = this.ahead ?? this.value() ?? this.assumed()
    if (way === 0 || from === undefined) return
    event.preventDefault()
    this.typing.set(undefined)
    this.ahead = from + way * this.text.step(this.kind())
    this.figure.emit(this.ahead)
  }

  private written(value: number | undefined): string {
    if (value === undefined) return ''
    return this.kind() === 'length' ? this.text.length(value) : this.text.figure(value, this.kind())
  }

  private parse(
    text: string,
  ): { ok: true; value: number } | { ok: false; message: string; meant?: readonly string[] } {
    if (this.kind() === 'length') {
      const parsed = parseLength(text, this.text.style().unit)
      return parsed.ok ? { ok: true, value: parsed.mm } : parsed
    }
    if (this.kind() === 'angle') {
      const parsed = parseAngle(text)
      return parsed.ok ? { ok: true, value: parsed.degrees } : parsed
    }
    const value = Number(text.replace(',', '.'))
    return Number.isFinite(value) ? { ok: true, value } : { ok: false, message: `“${text}” is not a number` }
  }
}

/** The next figure in the order of the work, within the same panel. */
function focusNextField(from: HTMLInputElement): void {
  const fields = [
    ...(from.closest('[data-fields]')?.querySelectorAll<HTMLInputElement>('input[data-field]') ?? []),
  ]
  const next = fields[fields.indexOf(from) + 1]
  // A group that is folded opens for the figure in it.
  // What it lies in, fold within fold.
  for (let fold = next?.closest('details'); fold; fold = fold.parentElement?.closest('details'))
    fold.setAttribute('open', '')
  if (next) next.focus()
  else from.blur()
}
