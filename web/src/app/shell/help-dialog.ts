import { ChangeDetectionStrategy, Component } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog'

const KEYS: [string, string][] = [
  ['Enter', 'next figure, in the order of the work'],
  ['Up, Down', 'a sixteenth (or half a millimetre) more or less, in a field or on a handle'],
  ['1 2 3 4', 'LF, RF, LH, RH'],
  ['L, M, S, N', 'Look, Map, Shoe, Nail'],
  ['F, T', 'fit the drawing, true size'],
  ['H', 'handles of frog, bars, wall and bone while mapping'],
  ['Ctrl S', 'save the pattern'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['U', 'inches or millimetres'],
  ['?', 'this page'],
]

const WORDS: [string, string][] = [
  ['Buttress', 'the hindmost ground bearing of each heel'],
  ['Length', 'from the toe to the line across the two buttresses'],
  ['Widest part', 'about an inch behind the true apex of the frog; the drawing is laid out from it'],
  ['Sole plane', 'where chalky dead sole turns smooth: trim to it, never below'],
  ['Breakover', 'the foremost place the shoe rolls off; each school puts it somewhere else'],
  ['Toe lever', 'from the widest part to the breakover'],
  ['Bulb line', 'the plumb line from the bulbs; heel ends support back to it, not beyond'],
  ['White line', 'the seam inside the wall; everything inside it is alive'],
  ['Web', 'the width of the bar as it lies under the foot'],
  ['Outer, inner', 'lateral, medial: the drawing shows the sole with the toe up'],
  ['Coarse, fine', 'a hole nearer the inner rim, or nearer the outer rim'],
  ['Boxing', 'the foot-surface edge bevelled where the shoe stands wider than the foot'],
  ['Safeing', 'the ground edge softened, above all inside, so that a step on the other leg does not cut'],
  ['Seating out', 'the inner foot surface relieved, so that steel cannot press on the sole'],
  ['Crease', 'the groove in the ground surface that holds the nail heads'],
  ['Rule of thumb', 'width + length + 2 in, and twice the width + 2 in, beside the worked-out cut'],
]

/** How it is used, what the words mean, and what it is not. */
@Component({
  selector: 'cr-help-dialog',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Help</h2>
    <mat-dialog-content tabindex="0">
      <p>
        Pick a horse on the Round or in the Stable and start its visit. Look first: touch the drawing where
        you find something, answer what the last visit left open, decide on the advice. What calls for the vet
        stops the work until you have read it. Then choose a foot and type the five measurements. The bar and
        where to cut it stand at the right, the marks along the bottom. Lengths are read as you write them: 4
        7/8, 4-7/8", 4.875 in, 124 mm, 12.4 cm.
      </p>
      <p>
        In Shoe begin from a design or choose by picture what is made of the bar. The diamonds on the drawing
        are pulled, or moved with the arrow keys; each is also a number in its field. Look at the shoe off the
        foot, from the side, cut anywhere, in the round, and against another pattern. In Nail each hole has
        its place, lean and verdict; write down how high the nails came out, and Crescent learns how yours
        turn.
      </p>
      <h3>Keys</h3>
      <dl>
        @for (row of keys; track row[0]) {
          <div>
            <dt>{{ row[0] }}</dt>
            <dd>{{ row[1] }}</dd>
          </div>
        }
      </dl>
      <h3>Words</h3>
      <dl>
        @for (row of words; track row[0]) {
          <div>
            <dt>{{ row[0] }}</dt>
            <dd>{{ row[1] }}</dd>
          </div>
        }
      </dl>
      <h3>What it is not</h3>
      <p>
        The figures inform a trained hand; they do not replace it. Disease, lameness and founder are the vet's
        to diagnose and lead; in some places the law keeps shoeing for registered farriers. Pain at any step:
        stop.
      </p>
    </mat-dialog-content>
    <mat-dialog-actions align="end"
      ><button mat-flat-button mat-dialog-close>Close</button></mat-dialog-actions
    >
  `,
  styles: `
    h3 {
      margin: 16px 0 4px;
      font-size: 1rem;
    }
    dl {
      margin: 0;
    }
    dl div {
      display: grid;
      grid-template-columns: 10rem 1fr;
      gap: 12px;
      padding: 4px 0;
      border-bottom: 1px solid var(--rule);
    }
    dt {
      font-weight: 650;
    }
    dd {
      margin: 0;
    }
  `,
})
export class HelpDialog {
  protected readonly keys = KEYS
  protected readonly words = WORDS
}
