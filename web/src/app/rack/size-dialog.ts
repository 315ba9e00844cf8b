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
  checkSize,
  describeProblem,
  lengthFromSold,
  parseLength,
  bends,
  SIZE_CLIPS,
  SIZE_FEET,
  SIZE_FEET_LABELS,
  SIZE_KIND_LABELS,
  SIZE_KINDS,
  type Size,
  type SizeClips,
  type SizeFeet,
  type SizeKind,
} from '@crescent/core'
import { FigureText } from '../drawing/figure-text'
import { HelpButton } from '../help/help-button'
import { failureText } from '../state/api'
import { SizeTable } from '../state/size-table'
import { holeText, readHoleText } from './hole-text'

/** A size to change, or one that a new one is like; a new one where there is neither. */
export interface SizeDialogData {
  size?: Size
  like?: Size
}

/** What a size begins with where nothing is known of it. */
const NEW: Omit<Size, 'id' | 'version'> = {
  ...{ range: '', label: '', kind: 'creased-steel', feet: 'front', web: 20, thickness: 8, length: 305 },
  ...{ lengthDerived: false, holes: { lateral: [], medial: [] }, price: null, onVan: 0, keepOnVan: 0 },
  archived: false,
}

type LengthKey = 'web' | 'thickness' | 'length' | 'width' | 'toeToHeels' | 'crease'
type NumberKey = 'weight' | 'price' | 'onVan' | 'keepOnVan'

const LENGTHS: readonly { key: LengthKey; label: string; where: string }[] = [
  { key: 'web', label: 'Web', where: 'Width of the steel.' },
  { key: 'thickness', label: 'Thickness', where: 'From the foot to the ground.' },
  { key: 'length', label: 'Length', where: 'Along the middle of the web, heel to heel round the toe.' },
  { key: 'width', label: 'Width', where: 'Outside, at its widest, as it comes. May stay empty.' },
  {
    key: 'toeToHeels',
    label: 'Toe to heels',
    where: 'As it comes. With the width it stands in for a length nobody measured.',
  },
  {
    key: 'crease',
    label: 'Crease from the rim',
    where: 'Where it begins: no saw goes further in. May stay empty.',
  },
]

const NUMBERS: readonly { key: NumberKey; label: string; where: string }[] = [
  { key: 'onVan', label: 'On the van', where: 'How many hang there now.' },
  { key: 'keepOnVan', label: 'Keep on the van', where: 'With fewer it is to be ordered.' },
  { key: 'weight', label: 'Weight, g', where: 'Of one. May stay empty.' },
  { key: 'price', label: 'Price', where: 'Of one. May stay empty.' },
]

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
            <select #kind (change)="kindOf.set($any(kind.value))">
              @for (one of kinds; track one) {
                <option [value]="one" [selected]="one === kindOf()">{{ kindLabels[one] }}</option>
              }
            </select>
          </label>
          <label
            >For
            <select #feet (change)="feetOf.set($any(feet.value))">
              @for (one of feetKinds; track one) {
                <option [value]="one" [selected]="one === feetOf()">{{ feetLabels[one] }}</option>
              }
            </select>
          </label>
          <label
            >Clips
            <select #clips (change)="clipsOf.set($any(clips.value))">
              @for (one of clipKinds; track one) {
                <option [value]="one" [selected]="one === clipsOf()">{{ one }}</option>
              }
            </select>
          </label>
          @for (one of lengths(); track one.key) {
            <label
              >{{ one.label }}, {{ text.style().unit }}
              <input
                class="typed"
                #box
                inputmode="text"
                [value]="typed()[one.key]"
                (input)="type(one.key, box.value)"
              />
              <small>{{ one.where }}</small>
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
          <small>{{ example() }}</small>
        </label>
        <button type="button" class="tap" (click)="type('medial', typed().lateral)">Inner as outer</button>
        <div class="pair">
          @for (one of numbers; track one.key) {
            <label
              >{{ one.label }}
              <input
                class="typed"
                #box
                inputmode="decimal"
                [value]="typed()[one.key]"
                (input)="type(one.key, box.value)"
              />
              <small>{{ one.where }}</small>
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
  protected readonly text = inject(FigureText)
  private readonly table = inject(SizeTable)
  private readonly dialog = inject<MatDialogRef<SizeDialog, Size>>(MatDialogRef)
  protected readonly kinds = SIZE_KINDS
  protected readonly kindLabels = SIZE_KIND_LABELS
  protected readonly feetKinds = SIZE_FEET
  protected readonly feetLabels = SIZE_FEET_LABELS
  protected readonly clipKinds = SIZE_CLIPS
  protected readonly numbers = NUMBERS
  protected readonly saving = signal(false)
  protected readonly problems = signal<readonly string[]>([])

  private readonly start: Omit<Size, 'id' | 'version'> = this.data.size ?? {
    ...(this.data.like ?? NEW),
    ...(this.data.like && { label: '', onVan: 0 }),
  }
  protected readonly kindOf = signal<SizeKind>(this.start.kind)
  protected readonly feetOf = signal<SizeFeet>(this.start.feet)
  protected readonly clipsOf = signal<SizeClips>(this.start.clips ?? 'none')
  /** Only of a shoe that is sawn is it asked where its crease begins. */
  protected readonly lengths = computed(() =>
    LENGTHS.filter(({ key }) => key !== 'crease' || !bends(this.kindOf())),
  )
  private readonly before = this.asTyped()
  protected readonly typed = signal(this.before)
  /** One place made up once: a record sent twice is stored once. */
  private readonly id = this.data.size?.id ?? crypto.randomUUID()

  protected readonly example = computed(() =>
    this.text.style().unit === 'in' ? 'As 1 3/8 : 5/16; 2 1/8 : 5/16' : 'As 36 : 8.5; 54 : 8.5',
  )

  private asTyped(): Record<LengthKey | NumberKey | 'range' | 'label' | 'lateral' | 'medial', string> {
    const { range, label, web, thickness, length, width, crease, holes, weight, price, onVan, keepOnVan } =
      this.start
    const style = this.text.style()
    return {
      ...{ range, label, web: this.text.bare(web), thickness: this.text.bare(thickness) },
      ...{ length: this.text.bare(length), width: width === undefined ? '' : this.text.bare(width) },
      crease: crease === undefined ? '' : this.text.bare(crease),
      toeToHeels: '',
      ...{ lateral: holeText(holes.lateral, style), medial: holeText(holes.medial, style) },
      ...{
        weight: String(weight ?? ''),
        price: String(price ?? ''),
        onVan: String(onVan),
        keepOnVan: String(keepOnVan),
      },
    }
  }

  protected type(key: keyof ReturnType<SizeDialog['asTyped']>, value: string): void {
    this.typed.update((now) => ({ ...now, [key]: value }))
  }

  protected archive(): void {
    if (this.data.size) void this.store({ ...this.data.size, archived: true })
  }

  protected save(event: Event): void {
    event.preventDefault()
    const { size, wrong } = this.read()
    const problems = wrong.length > 0 ? [] : checkSize(size, '')
    this.problems.set([...wrong, ...problems.map((problem) => describeProblem(problem, this.text.style()))])
    if (this.problems().length === 0) void this.store(size)
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

  /** What was typed as a size; what was not touched stays as exact as it was. */
  private read(): { size: Size; wrong: string[] } {
    const [typed, wrong] = [this.typed(), [] as string[]]
    const length = (key: LengthKey): number | undefined => {
      if (key !== 'toeToHeels' && typed[key] === this.before[key]) return this.start[key]
      if (typed[key].trim() === '') return undefined
      const read = parseLength(typed[key], this.text.style().unit)
      if (read.ok) return Number(read.mm.toFixed(3))
      wrong.push(`${LENGTHS.find((one) => one.key === key)!.label}: ${read.message}`)
      return undefined
    }
    const number = (key: NumberKey): number | undefined => {
      if (typed[key].trim() === '') return undefined
      const value = Number(typed[key].replace(',', '.'))
      if (Number.isFinite(value) && value >= 0) return value
      wrong.push(`${NUMBERS.find((one) => one.key === key)!.label}: ${typed[key]} is no number`)
      return undefined
    }
    const holes = (branch: 'lateral' | 'medial') => {
      if (typed[branch] === this.before[branch]) return this.start.holes[branch]
      const read = readHoleText(typed[branch], this.text.style())
      if ('holes' in read) return read.holes
      wrong.push(read.wrong)
      return []
    }
    if (typed.label.trim() === '') wrong.push('Size: a name or number is needed')
    const [web, thickness, long, width, crease, weight] = [
      length('web'),
      length('thickness'),
      length('length'),
      length('width'),
      bends(this.kindOf()) ? undefined : length('crease'),
      number('weight'),
    ]
    const feet = this.feetOf()
    const toeToHeels = length('toeToHeels')
    // What was measured stands before what is worked out.
    const derived =
      long === undefined && width !== undefined && web !== undefined && toeToHeels !== undefined
        ? Number(lengthFromSold({ feet, web, width, toeToHeels }).toFixed(3))
        : undefined
    for (const [label, value] of [
      ['Web', web],
      ['Thickness', thickness],
      ['Length, or width and toe to heels,', long ?? derived],
    ] as const)
      if (value === undefined && wrong.length === 0) wrong.push(`${label} is needed`)
    const size: Size = {
      ...{ id: this.id, version: this.data.size?.version ?? 0, archived: false },
      ...{ range: typed.range.trim(), label: typed.label.trim(), kind: this.kindOf(), feet: this.feetOf() },
      ...{ web: web ?? 0, thickness: thickness ?? 0, length: long ?? derived ?? 0 },
      lengthDerived:
        derived !== undefined || (this.start.lengthDerived && typed.length === this.before.length),
      holes: { lateral: holes('lateral'), medial: holes('medial') },
      ...(width !== undefined && { width }),
      ...(weight !== undefined && { weight }),
      ...(crease !== undefined && { crease }),
      ...(this.clipsOf() !== 'none' && { clips: this.clipsOf() }),
      price: number('price') ?? null,
      onVan: Math.round(number('onVan') ?? 0),
      keepOnVan: Math.round(number('keepOnVan') ?? 0),
    }
    return { size, wrong }
  }
}
