import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton, MatIconButton } from '@angular/material/button'
import {
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { MatIcon } from '@angular/material/icon'
import {
  NAIL_RANGES,
  USUAL_NAIL_SIZES,
  USUAL_WORKSHOP,
  type NailSize,
  type NailTurning,
  type WorkshopRecord,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { forkJoin } from 'rxjs'
import { Api, conflictOf, failureText } from '../../../state/api'
import { benchActions } from '../../../state/bench/bench.feature'
import { FigureText } from '../../../drawing/figure-text'
import { HelpButton } from '../../../help/help-button'

/** A row of the table as it is typed; nothing typed is lost while it is no number yet. */
type Row = Record<keyof NailSize, string>

const FIGURES = [
  { key: 'length', label: 'Blade mm', range: NAIL_RANGES.length },
  { key: 'shank', label: 'Shank mm', range: NAIL_RANGES.shank },
  { key: 'head', label: 'Head mm', range: NAIL_RANGES.head },
] as const

const rowOf = ({ name, length, shank, head }: NailSize): Row => ({
  name,
  length: String(length),
  shank: String(shank),
  head: String(head),
})

/** The nails on the shelf, and how they turn: a table of one's own, and a radius from exits that were written down. */
@Component({
  selector: 'cr-nails-dialog',
  imports: [
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatIcon,
    MatIconButton,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Nails on the shelf</h2>
    <mat-dialog-content>
      <section class="turning">
        <h3>How your nails turn</h3>
        @if (turning(); as known) {
          @if (known.turning; as found) {
            <p>
              {{ found.count }} nails of which the exit was written down turn along
              {{ text.fine(found.radius) }}; half of them between {{ text.fine(found.low) }} and
              {{ text.fine(found.high) }}. In use: {{ text.fine(radius()) }}.
            </p>
            <button
              type="button"
              class="tap"
              [disabled]="radius() === rounded(found.radius)"
              (click)="take(found.radius)"
            >
              Reckon with {{ text.fine(rounded(found.radius)) }}
            </button>
          } @else {
            <p>
              {{ known.seen }} exits written down; from three on they say how your nails turn. Type how high
              each came out in the nail’s own lines and save the foot. In use: {{ text.fine(radius()) }}.
            </p>
          }
        }
      </section>
      <h3>Table</h3>
      <p class="muted">Names are your own; figures from the box. They start from memory: put them right.</p>
      <table>
        <thead>
          <tr>
            <th scope="col">Name</th>
            @for (figure of figures; track figure.key) {
              <th scope="col">{{ figure.label }}</th>
            }
            <td></td>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track $index; let i = $index) {
            <tr>
              <td>
                <input
                  class="typed"
                  #name
                  [value]="row.name"
                  [attr.aria-label]="'Name of nail ' + (i + 1)"
                  (input)="type(i, 'name', name.value)"
                />
              </td>
              @for (figure of figures; track figure.key) {
                <td>
                  <input
                    class="typed short"
                    inputmode="decimal"
                    #box
                    [value]="row[figure.key]"
                    [attr.aria-label]="figure.label + ' of ' + (row.name || 'nail ' + (i + 1))"
                    [attr.aria-invalid]="wrong(row, figure) ? true : null"
                    (input)="type(i, figure.key, box.value)"
                  />
                </td>
              }
              <td>
                <button mat-icon-button [attr.aria-label]="'Take away ' + row.name" (click)="drop(i)">
                  <mat-icon svgIcon="close" />
                </button>
              </td>
            </tr>
          }
        </tbody>
      </table>
      <button type="button" class="tap" (click)="add()">Another nail</button>
      <button type="button" class="tap" (click)="reset()">The usual table</button>
      @if (said()) {
        <p class="said" role="alert">{{ said() }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="shelf" />
      <button mat-button type="button" mat-dialog-close>Leave it</button>
      <button mat-flat-button type="button" [disabled]="!stored()" (click)="save()">Save</button>
    </mat-dialog-actions>
  `,
  styles: `
    table {
      width: 100%;
      margin-bottom: 10px;
      border-collapse: collapse;
    }
    th {
      padding: 2px 6px 2px 0;
      font-size: 0.82rem;
      font-weight: 500;
      text-align: left;
      color: var(--ink-soft);
    }
    td {
      padding: 2px 6px 2px 0;
    }
    .short {
      width: 74px;
    }
    .typed[aria-invalid='true'] {
      border-color: var(--stop);
    }
    .turning {
      margin-bottom: 14px;
      padding: 8px 12px;
      background: var(--sheet-sunk);
      border-left: 4px solid var(--ember);
    }
    h3 {
      margin: 4px 0;
    }
    .said {
      margin-top: 10px;
      font-weight: 600;
      color: var(--stop);
    }
  `,
})
export class NailsDialog {
  protected readonly text = inject(FigureText)
  private readonly api = inject(Api)
  private readonly store = inject(Store)
  private readonly dialog = inject<MatDialogRef<NailsDialog>>(MatDialogRef)
  protected readonly figures = FIGURES
  protected readonly stored = signal<WorkshopRecord | undefined>(undefined)
  protected readonly turning = signal<NailTurning | undefined>(undefined)
  protected readonly rows = signal<Row[]>([])
  protected readonly radius = signal(USUAL_WORKSHOP.turningRadius)
  protected readonly said = signal('')
  private readonly problems = computed(() =>
    this.rows().flatMap((row, i) => [
      ...(row.name.trim() ? [] : [`Nail ${i + 1} needs a name`]),
      ...FIGURES.filter((figure) => this.wrong(row, figure)).map(
        ({ label, range }) =>
          `${label} of ${row.name || `nail ${i + 1}`}: it lies between ${range[0]} and ${range[1]}`,
      ),
    ]),
  )

  constructor() {
    forkJoin({ workshop: this.api.workshop(), turning: this.api.nailTurning() }).subscribe({
      next: ({ workshop, turning }) => {
        this.stored.set(workshop)
        this.turning.set(turning)
        this.radius.set(workshop.figures.turningRadius ?? USUAL_WORKSHOP.turningRadius)
        this.rows.set((workshop.figures.nailSizes ?? USUAL_NAIL_SIZES).map(rowOf))
      },
      error: (error: unknown) => this.said.set(failureText(error)),
    })
  }

  protected rounded = (radius: number): number => Math.round(radius * 10) / 10
  protected take = (radius: number): void => this.radius.set(this.rounded(radius))
  protected wrong(row: Row, { key, range }: (typeof FIGURES)[number]): boolean {
    const value = Number(row[key].replace(',', '.'))
    return row[key].trim() === '' || !(value >= range[0] && value <= range[1])
  }
  protected type(at: number, key: keyof NailSize, text: string): void {
    this.rows.update((rows) => rows.map((row, i) => (i === at ? { ...row, [key]: text } : row)))
  }
  protected add = (): void =>
    this.rows.update((rows) => [...rows, { name: '', length: '', shank: '', head: '' }])
  protected drop = (at: number): void => this.rows.update((rows) => rows.filter((_, i) => i !== at))
  protected reset = (): void => this.rows.set(USUAL_NAIL_SIZES.map(rowOf))

  protected save(): void {
    const [problem] = this.problems()
    if (problem) return this.said.set(problem)
    if (this.rows().length === 0) return this.said.set('The table needs at least one nail')
    const number = (text: string) => Number(text.replace(',', '.'))
    const nailSizes = this.rows().map((row) => ({
      name: row.name.trim(),
      length: number(row.length),
      shank: number(row.shank),
      head: number(row.head),
    }))
    const record = this.stored()!
    const figures = { ...record.figures, nailSizes, turningRadius: this.radius() }
    this.api.putWorkshop({ ...record, figures }).subscribe({
      next: (workshop) => {
        this.store.dispatch(benchActions.workshopSaved({ workshop }))
        this.dialog.close()
      },
      error: (error: unknown) => {
        const current = conflictOf<WorkshopRecord>(error)
        if (current) this.stored.set(current)
        this.said.set(
          current
            ? 'Changed in another window meanwhile. Your table is still here: save again.'
            : failureText(error),
        )
      },
    })
  }
}
