import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { firstValueFrom } from 'rxjs'
import type { LengthUnit } from '@crescent/core'
import { FileButton } from '../common/file-button'
import { OneOf } from '../common/one-of'
import { textOfFile } from '../common/text-of-file'
import { FigureText } from '../drawing/figure-text'
import { HelpButton } from '../help/help-button'
import { Api, failureText, type SizesRead } from '../state/api'

/** A table of sizes out of a file: seen row by row, then kept as a whole or not at all. */
@Component({
  selector: 'cr-csv-dialog',
  imports: [
    FileButton,
    OneOf,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Table of sizes in</h2>
    <mat-dialog-content>
      <p>
        A line of headings first: label, kind, feet, web, thickness, and length, or width and toe to heels.
        With them, where you have them: range, outer holes, inner holes, clips, crease, weight, price, on van,
        keep on van. Copied out of a spreadsheet, or a file of comma separated values; “Table out” writes one
        to look at, in millimetres. A unit that is written counts, as in 3/4 in.
      </p>
      <cr-one-of
        heading="Bare numbers are"
        label="Bare numbers are"
        [choices]="units"
        [chosen]="unit()"
        (choose)="count($event)"
      />
      <label class="paste"
        >Paste it here
        <textarea
          #pasted
          class="typed"
          rows="4"
          spellcheck="false"
          [value]="csv()"
          (input)="paste(pasted.value)"
        ></textarea>
      </label>
      <cr-file-button
        label="Or take a file"
        accept=".csv,.tsv,.txt,.xlsx,.xls,.ods,text/csv,text/plain"
        (chosen)="choose($event)"
      />
      @if (failure()) {
        <p class="wrong" role="alert">{{ failure() }}</p>
      }
      @if (read(); as table) {
        @for (error of table.errors; track error.message) {
          <p class="wrong" role="alert">{{ error.message }}.</p>
        }
        @if (table.unread.length > 0) {
          <p class="left-out" role="status">
            Not known here, so not taken: {{ table.unread.join(', ') }}. Name the column as above to take it.
          </p>
        }
        @if (table.rows.length > 0) {
          <p role="status">
            {{ good() }} of {{ table.rows.length }} rows can be kept.
            @if (good() < table.rows.length) {
              Put the others right: a table is kept as a whole.
            }
          </p>
          <div class="rows" tabindex="0" role="region" aria-label="Rows of the file">
            <table>
              <thead>
                <tr>
                  <th scope="col">Line</th>
                  <th scope="col">Size</th>
                  <th scope="col">What it is, or what is wrong</th>
                </tr>
              </thead>
              <tbody>
                @for (row of table.rows; track row.line) {
                  <tr [class.bad]="row.errors.length > 0">
                    <td>{{ row.line }}</td>
                    <td>{{ row.name }}</td>
                    <td>
                      @if (row.size; as size) {
                        {{ text.bare(size.web) }} x {{ text.length(size.thickness) }},
                        {{ text.length(size.length) }} long{{ size.lengthDerived ? ' (derived)' : '' }}
                      }
                      @for (error of row.errors; track $index) {
                        <div>{{ error.path }}: {{ error.message }}</div>
                      }
                    </td>
                  </tr>
                }
              </tbody>
            </table>
          </div>
        }
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="rack" />
      <button mat-button mat-dialog-close>Not now</button>
      <button mat-flat-button [disabled]="!canKeep() || busy()" (click)="keep()">
        Keep {{ good() || '' }}
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    .paste {
      display: block;
      margin: 8px 0;
      font-weight: 600;
    }
    .paste textarea {
      display: block;
      width: 100%;
      min-height: 88px;
      font: inherit;
      font-weight: 400;
      white-space: pre;
    }
    .rows {
      max-height: 46vh;
      overflow: auto;
      border: 1px solid var(--rule);
    }
    table {
      width: 100%;
      border-collapse: collapse;
      font-variant-numeric: tabular-nums;
    }
    th,
    td {
      padding: 5px 8px;
      text-align: left;
      vertical-align: top;
      border-bottom: 1px solid var(--rule);
    }
    .bad td {
      background: var(--stop-wash);
    }
    .left-out {
      padding: 8px 12px;
      background: var(--caution-wash);
    }
    .wrong {
      padding: 8px 12px;
      color: var(--stop);
      background: var(--stop-wash);
    }
  `,
})
export class CsvDialog {
  private readonly api = inject(Api)
  private readonly dialog = inject<MatDialogRef<CsvDialog, boolean>>(MatDialogRef)
  protected readonly text = inject(FigureText)
  protected readonly read = signal<SizesRead | undefined>(undefined)
  protected readonly failure = signal('')
  protected readonly busy = signal(false)
  protected readonly units = [
    { key: 'in', label: 'inches' },
    { key: 'mm', label: 'millimetres' },
  ] as const
  protected readonly unit = signal<LengthUnit>(this.text.style().unit)
  protected readonly csv = signal('')

  protected readonly good = computed(() => (this.read()?.rows ?? []).filter(({ size }) => size).length)
  protected readonly canKeep = computed(() => {
    const table = this.read()
    return !!table && table.errors.length === 0 && table.rows.length > 0 && this.good() === table.rows.length
  })

  protected async choose(file: File): Promise<void> {
    const read = await textOfFile(file)
    if (!read.ok) return this.failure.set(read.problem)
    // A table that was written out is in millimetres.
    this.unit.set('mm')
    this.csv.set(read.text)
    await this.send(false)
  }

  protected async paste(text: string): Promise<void> {
    this.csv.set(text)
    if (text.trim() === '') this.read.set(undefined)
    else await this.send(false)
  }

  protected async count(unit: LengthUnit): Promise<void> {
    this.unit.set(unit)
    if (this.csv().trim() !== '') await this.send(false)
  }

  protected async keep(): Promise<void> {
    if (await this.send(true)) this.dialog.close(true)
  }

  private async send(keep: boolean): Promise<boolean> {
    this.busy.set(true)
    const [sent, unit] = [this.csv(), this.unit()]
    try {
      const answered = await firstValueFrom(this.api.readSizes(sent, unit, keep))
      // Typed on meanwhile: a later answer tells of it.
      if (sent === this.csv() && unit === this.unit()) this.read.set(answered)
      this.failure.set('')
      return true
    } catch (error) {
      this.failure.set(failureText(error))
      return false
    } finally {
      this.busy.set(false)
    }
  }
}
