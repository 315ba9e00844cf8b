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
import {
  bends,
  lightUnit,
  SIZE_CLIPS,
  SIZE_FEET,
  SIZE_FEET_LABELS,
  SIZE_KIND_LABELS,
  SIZE_KINDS,
  type Size,
} from '@crescent/core'
import { FigureText } from '../drawing/figure-text'
import { HelpButton } from '../help/help-button'
import { failureText } from '../state/api'
import { SizeTable } from '../state/size-table'
import { SIZE_LENGTHS, SIZE_NUMBERS, type SizeLength, type SizeNumber } from './size-fields'
import { NEW_SIZE, readTypedSize, typeSize, type SizeFigures, type TypedSize } from './typed-size'

/** A size to change, or one that a new one is like; a new one where there is neither. */
export interface SizeDialogData {
  size?: Size
  like?: Size
}

/** One size, typed; closes only once it is stored. */
@Component({
  selector: 'cr-size-dialog',
  imports: [HelpButton, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ data.size ? data.size.range + ' ' + data.size.label : 'New size' }}</h2>
    <form (submit)="save($event)">
      <mat-dialog-content>
        <div class="pair">
          <label
            >Range
            <input
              class="typed"
              #range
              [value]="typed().range"
              maxlength="60"
              (input)="type('range', range.value)"
            />
          </label>
          <label
            >Size
            <input
              class="typed"
              #label
              [value]="typed().label"
              maxlength="60"
              (input)="type('label', label.value)"
            />
          </label>
          <label
            >Made of
            <select #kind (change)="type('kind', kind.value)">
              @for (one of kinds; track one) {
                <option [value]="one" [selected]="one === typed().kind">{{ kindLabels[one] }}</option>
              }
            </select>
          </label>
          <label
            >For
            <select #feet (change)="type('feet', feet.value)">
              @for (one of feetKinds; track one) {
                <option [value]="one" [selected]="one === typed().feet">{{ feetLabels[one] }}</option>
              }
            </select>
          </label>
          <label
            >Clips
            <select #clips (change)="type('clips', clips.value)">
              @for (one of clipKinds; track one) {
                <option [value]="one" [selected]="one === typed().clips">{{ one }}</option>
              }
            </select>
          </label>
          @for (one of lengths(); track one) {
            <label
              >{{ fields[one].label }}, {{ style.unit }}
              <input
                class="typed"
                #box
                inputmode="text"
                [value]="typed()[one]"
                (input)="type(one, box.value)"
              />
              <small>{{ fields[one].where }}</small>
            </label>
          }
        </div>
        <label
          >Outer holes, from the toe : from the rim
          <input class="typed" #outer [value]="typed().lateral" (input)="type('lateral', outer.value)" />
        </label>
        <label
          >Inner holes
          <input class="typed" #inner [value]="typed().medial" (input)="type('medial', inner.value)" />
          <small>{{ example }}</small>
        </label>
        <button type="button" class="tap" (click)="type('medial', typed().lateral)">Inner as outer</button>
        <div class="pair">
          @for (one of numbers; track one) {
            <label
              >{{ numberFields[one].label }}{{ one === 'weight' ? ', ' + weightUnit : '' }}
              <input
                class="typed"
                #box
                inputmode="decimal"
                [value]="typed()[one]"
                (input)="type(one, box.value)"
              />
              <small>{{ numberFields[one].where }}</small>
            </label>
          }
        </div>
        @if (problems().length > 0) {
          <ul class="wrong" role="alert">
            @for (problem of problems(); track problem) {
              <li>{{ problem }}</li>
            }
          </ul>
        }
      </mat-dialog-content>
      <mat-dialog-actions align="end">
        <cr-help-button topic="rack" />
        @if (data.size) {
          <button mat-button type="button" (click)="archive()">Take out of the table</button>
        }
        <button mat-button type="button" mat-dialog-close>Not now</button>
        <button mat-flat-button type="submit" [disabled]="saving()">Save</button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    .pair {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
      gap: 8px 14px;
      margin: 6px 0 10px;
    }
    label {
      display: block;
      font-size: 0.92rem;
      font-weight: 600;
    }
    small {
      display: block;
      font-weight: 400;
      color: var(--ink-soft);
    }
    .typed,
    select {
      display: block;
      width: 100%;
      min-height: 44px;
      margin-top: 2px;
      padding: 0 8px;
      font: inherit;
      font-size: 1.05rem;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
    .wrong {
      padding: 8px 12px 8px 28px;
      color: var(--stop);
      background: var(--stop-wash);
    }
  `,
})
export class SizeDialog {
  protected readonly data = inject<SizeDialogData>(MAT_DIALOG_DATA)
  private readonly text = inject(FigureText)
  private readonly table = inject(SizeTable)
  private readonly dialog = inject<MatDialogRef<SizeDialog, Size>>(MatDialogRef)
  protected readonly kinds = SIZE_KINDS
  protected readonly kindLabels = SIZE_KIND_LABELS
  protected readonly feetKinds = SIZE_FEET
  protected readonly feetLabels = SIZE_FEET_LABELS
  protected readonly clipKinds = SIZE_CLIPS
  protected readonly fields = SIZE_LENGTHS
  protected readonly numberFields = SIZE_NUMBERS
  protected readonly numbers = Object.keys(SIZE_NUMBERS) as SizeNumber[]
  protected readonly saving = signal(false)
  protected readonly problems = signal<readonly string[]>([])

  private readonly start: SizeFigures = this.data.size ?? {
    ...(this.data.like ?? NEW_SIZE),
    ...(this.data.like && { label: '', onVan: 0 }),
  }
  /** The unit in which this dialog was opened: what is typed is read in it. */
  protected readonly style = this.text.style()
  protected readonly weightUnit = lightUnit(this.style.unit)
  protected readonly typed = signal(typeSize(this.start, this.style))
  /** Only of a shoe that is sawn is it asked where its crease begins. */
  protected readonly lengths = computed(() =>
    (Object.keys(SIZE_LENGTHS) as SizeLength[]).filter(
      (key) => key !== 'crease' || !bends(this.typed().kind),
    ),
  )
  /** One place made up once: a record sent twice is stored once. */
  private readonly id = this.data.size?.id ?? crypto.randomUUID()

  protected readonly example =
    this.style.unit === 'in' ? 'As 1 3/8 : 5/16; 2 1/8 : 5/16' : 'As 36 : 8.5; 54 : 8.5'

  protected type(key: keyof TypedSize, value: string): void {
    this.typed.update((now) => ({ ...now, [key]: value }))
  }

  protected archive(): void {
    if (this.data.size) void this.store({ ...this.data.size, archived: true })
  }

  protected save(event: Event): void {
    event.preventDefault()
    const read = readTypedSize(this.typed(), this.start, this.style)
    this.problems.set('wrong' in read ? read.wrong : [])
    if ('size' in read) void this.store({ ...read.size, id: this.id, version: this.data.size?.version ?? 0 })
  }

  private async store(size: Size): Promise<void> {
    if (this.saving()) return
    this.saving.set(true)
    try {
      this.dialog.close(await this.table.put(size))
    } catch (error) {
      this.problems.set([failureText(error)])
    } finally {
      this.saving.set(false)
    }
  }
}
