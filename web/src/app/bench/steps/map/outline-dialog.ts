import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import type { Vec, Taps, TracedFoot } from '@crescent/core'
import { OneOf } from '../../../common/one-of'
import { FigureText } from '../../../drawing/figure-text'
import { HelpButton } from '../../../help/help-button'
import { FigureField } from '../../figure-field'
import { DRAWN_IN, OutlineComingIn, sizeOf, type DrawnIn } from './outline-coming-in'
import { OutlineMeasures } from './outline-measures'
import { OutlineTaps, TAPPED } from './outline-taps'

/** An outline out of a file: its line, its scale and three taps make it the outline of this foot. Closes with it. */
@Component({
  selector: 'cr-outline-dialog',
  imports: [
    FigureField,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    OneOf,
    OutlineMeasures,
    OutlineTaps,
  ],
  providers: [OutlineComingIn],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Outline from a file</h2>
    <mat-dialog-content>
      @if (coming.lines().length === 0) {
        <p>
          A drawing of the foot’s edge (SVG, DXF), or a list of points along it (CSV: x and y in two columns).
          Three taps say how it lies; width, length and heels are read from it.
        </p>
      }
      <input
        #file
        type="file"
        accept=".svg,.dxf,.csv,.txt"
        aria-label="File with the outline"
        (change)="choose(file.files)"
      />
      @if (coming.unitUnknown()) {
        <cr-one-of
          label="The file does not say in which unit it was drawn"
          heading="The file does not say in which unit it was drawn:"
          [choices]="units"
          [chosen]="coming.drawnIn()"
          (choose)="drawn($event)"
        />
      }
      @if (coming.lines().length > 1) {
        <label class="lines"
          >Which line is the foot?
          <select #which class="typed" (change)="coming.choose(+which.value)">
            @for (line of coming.lines(); track $index) {
              <option [value]="$index" [selected]="$index === coming.chosen()">{{ named($index) }}</option>
            }
          </select></label
        >
      }
      @if (coming.line()) {
        <p class="ask" role="status" data-testid="outline-ask">
          {{ coming.next()?.ask ?? 'Tap nearer to move a place, or take the outline.' }}
        </p>
        @if (coming.foot(); as foot) {
          <cr-outline-measures [foot]="foot" />
        }
        <cr-outline-taps
          [lines]="coming.lines()"
          [chosen]="coming.chosen()"
          [likely]="coming.likely()"
          [set]="coming.set()"
          (tapped)="coming.tap($event)"
        />
        <div class="acts">
          @if (coming.next() && coming.likely()) {
            <button type="button" class="tap" (click)="coming.agree()">The dashed places are right</button>
          }
          @if (coming.set().lateralHeel || coming.set().medialHeel) {
            <button type="button" class="tap" (click)="coming.swap()">Change outer and inner</button>
          }
          @if (begun()) {
            <button type="button" class="tap" (click)="again()">Tap all again</button>
          }
        </div>
      }
      @if (begun() && coming.line(); as line) {
        <details>
          <summary>Move a place along the line</summary>
          @for (place of places; track place.key) {
            @if (coming.set()[place.key]) {
              <label class="along"
                >{{ place.label }}
                <input
                  #along
                  type="range"
                  min="0"
                  [max]="line.points.length - 1"
                  [value]="pointOf(place.key)"
                  (input)="coming.move(place.key, +along.value)"
              /></label>
            }
          }
        </details>
      }
      @if (coming.failure()) {
        <p class="wrong" role="alert">{{ coming.failure() }}</p>
      }
      @if (coming.placed(); as placed) {
        @for (note of placed.notes; track $index) {
          <p class="muted">{{ text.told(note) }}</p>
        }
        <cr-figure-field
          field="outline-width"
          label="Width as measured"
          kind="length"
          where="Where the drawing is not at true size: the whole outline is drawn larger or smaller to it."
          [value]="undefined"
          [assumed]="placed.foot.width"
          [entry]="entry()"
          (figure)="wide.set($event); entry.set(undefined)"
          (unread)="entry.set($event)"
          (left)="asWide()"
        />
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="traced" />
      <button mat-button mat-dialog-close>Not now</button>
      <button mat-flat-button [disabled]="!coming.foot() || coming.busy()" (click)="take()">
        Take this outline
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    input[type='file'] {
      min-height: 44px;
      font: inherit;
    }
    .lines {
      display: grid;
      gap: 4px;
      margin: 8px 0;
    }
    .ask {
      margin: 8px 0;
      font-size: 1.15rem;
      font-weight: 650;
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      margin: 8px 0;
    }
    .along {
      display: grid;
      grid-template-columns: 7rem 1fr;
      align-items: center;
    }
    .along input {
      height: 44px;
      accent-color: var(--ember);
    }
    .wrong {
      padding: 8px 12px;
      color: var(--stop);
      background: var(--stop-wash);
    }
  `,
})
export class OutlineDialog {
  protected readonly coming = inject(OutlineComingIn)
  protected readonly text = inject(FigureText)
  private readonly dialog = inject<MatDialogRef<OutlineDialog, TracedFoot>>(MatDialogRef)
  protected readonly places = TAPPED
  protected readonly units = DRAWN_IN
  protected readonly wide = signal<number | undefined>(undefined)
  protected readonly entry = signal<string | undefined>(undefined)
  protected readonly begun = computed(() => Object.keys(this.coming.set()).length > 0)

  protected async choose(files: FileList | null): Promise<void> {
    const file = files?.[0]
    if (file) await this.coming.take(file)
  }

  protected drawn = (unit: DrawnIn): Promise<void> => this.coming.drawn(unit)

  protected again(): void {
    const likely = this.coming.likely()
    this.coming.startOver()
    this.coming.likely.set(likely)
  }

  protected async asWide(): Promise<void> {
    const wide = this.wide()
    if (wide === undefined) return
    this.wide.set(undefined)
    await this.coming.asWide(wide)
  }

  /** A line by its size: what else tells it from others. */
  protected named(index: number): string {
    const line = this.coming.lines()[index]!
    const [wide, high] = sizeOf(line)
    const size = `${this.text.bare(wide)} x ${this.text.length(high)}`
    return [line.layer, size, line.closed ? 'closed' : 'open'].filter(Boolean).join(', ')
  }

  /** Where a set place lies along the line: its nearest point. */
  protected pointOf(key: keyof Taps): number {
    const [x, y] = this.coming.set()[key]!
    const { points } = this.coming.line()!
    const off = ([px, py]: Vec) => Math.hypot(px - x, py - y)
    return points.reduce((best, point, i) => (off(point) < off(points[best]!) ? i : best), 0)
  }

  protected take = (): void => this.dialog.close(this.coming.foot())
}
