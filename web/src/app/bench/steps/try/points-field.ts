import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { exactLength } from '@crescent/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { FigureText } from '../../../drawing/figure-text'
import { Photos } from '../map/photo/photos'
import { Trying } from './trying'

/** The shape on the anvil as a list of points along the middle of its web. */
@Component({
  selector: 'cr-points-field',
  imports: [MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label>
      Points along the middle of the web, outer heel to inner heel, in
      {{ text.style().unit === 'in' ? 'inches' : 'mm' }}
      <textarea
        #box
        rows="8"
        spellcheck="false"
        [value]="trying.anvil().points ?? ''"
        [placeholder]="example()"
        (input)="trying.put({ points: box.value }, 'points')"
        (blur)="trying.settle()"
      ></textarea>
    </label>
    <button mat-stroked-button type="button" (click)="photograph()">
      <mat-icon svgIcon="camera" />From a photograph of the shoe
    </button>
    <small>One a line: across and forward, from any place, told apart by a semicolon or a blank.</small>
  `,
  styles: `
    label {
      display: block;
      margin-top: 8px;
      font-weight: 600;
    }
    textarea {
      display: block;
      width: 100%;
      margin: 4px 0;
      padding: 8px;
      font: inherit;
      font-variant-numeric: tabular-nums;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
    small {
      display: block;
      margin-top: 6px;
      color: var(--ink-soft);
    }
  `,
})
export class PointsField {
  protected readonly trying = inject(Trying)
  protected readonly text = inject(FigureText)
  protected readonly example = computed(() =>
    this.text.style().unit === 'in' ? '1 3/4; -2 1/2\n2; -1 3/4' : '44; -62\n50; -44',
  )
  private readonly photos = inject(Photos)

  /** The points as the photograph has them, written as they would be typed: each can be mended. */
  protected async photograph(): Promise<void> {
    const shape = await this.photos.shoe()
    if (!shape) return
    const written = (mm: number) => exactLength(mm, this.text.style()).replace(/[^\d.-]/g, '')
    const points = shape.map(([x, y]) => `${written(x)}; ${written(y)}`).join('\n')
    this.trying.put({ points }, 'points')
    this.trying.settle()
  }
}
