import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core'
import type { Plan, Side, Vec } from '@crescent/core'
import { OneOf } from '../../../common/one-of'
import { apartOf, weldsOf } from '../../../drawing/joined'
import { svgPath, svgRings, type View } from '../../../drawing/svg-path'

/** The shoe off the foot, toe up: its ground side, or turned over to its foot side. */
@Component({
  selector: 'cr-shoe-face',
  imports: [OneOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <cr-one-of label="Side of the shoe" [choices]="faces" [chosen]="face()" (choose)="face.set($event)" />
    <svg [attr.viewBox]="drawing().box" role="img" [attr.aria-label]="label()">
      @for (part of drawing().under; track $index) {
        <path [attr.class]="'steel ' + part.layer" [attr.d]="part.path" />
      }
      <path class="steel" [attr.d]="drawing().body" />
      @for (weld of drawing().welds; track $index) {
        <path class="weld" [attr.d]="weld.path" [attr.data-part]="weld.label" />
      }
      @for (part of drawing().over; track $index) {
        <path [attr.class]="'part ' + part.layer" [attr.d]="part.path" [attr.data-part]="part.label" />
      }
      @for (nail of drawing().nails; track $index) {
        <g [attr.transform]="nail.at">
          <rect class="hole" x="-3.2" y="-1.5" width="6.4" height="3" rx="0.5" />
        </g>
      }
      <text class="word" [attr.x]="drawing().left" [attr.y]="drawing().low" text-anchor="start">
        {{ drawing().leftName }}
      </text>
      <text class="word" [attr.x]="drawing().right" [attr.y]="drawing().low" text-anchor="end">
        {{ drawing().rightName }}
      </text>
    </svg>
    <p class="note">
      {{
        face() === 'ground'
          ? 'Ground side up, toe ahead: as it lies on the anvil before nailing.'
          : 'Foot side up, toe ahead: what the foot stands on.'
      }}
    </p>
  `,
  styleUrl: './views.scss',
  styles: `
    .weld {
      fill: none;
      stroke: var(--steel-edge);
      stroke-width: 0.4;
    }
    .part {
      fill: var(--steel-edge);
      fill-opacity: 0.3;
      stroke: var(--steel-edge);
      stroke-width: 0.5;
    }
    .part.plate,
    .part.bar {
      fill: var(--steel);
      fill-opacity: 1;
    }
    .part.fitting {
      fill-opacity: 0.8;
    }
    .pad {
      fill: var(--horn);
      fill-opacity: 0.5;
    }
    .hole {
      fill: var(--paper);
      stroke: var(--steel-edge);
      stroke-width: 0.5;
    }
  `,
})
export class ShoeFace {
  readonly plan = input.required<Plan>()
  readonly side = input.required<Side>()

  protected readonly face = signal<'ground' | 'foot'>('ground')
  protected readonly faces = [
    { key: 'ground', label: 'Ground side' },
    { key: 'foot', label: 'Foot side' },
  ] as const

  protected readonly drawing = computed(() => {
    const { outline, parts, nails, foot, cuts } = this.plan()
    const ground = this.face() === 'ground'
    // Ground side up the shoe lies as it is seen under the foot; turned over it is its mirror image.
    const sole = this.side().startsWith('L') ? 1 : -1
    const view: View = { mirror: (ground ? sole : -sole) as 1 | -1, toeY: foot.widestFromToe }
    const side = this.face()
    const thick = cuts[0]!.form.thickness
    const shown = apartOf({ parts }).filter(({ face }) => (face ?? side) === side)
    const drawn = shown.map(({ label, layer, edge, between = [0, thick] }) => ({
      label,
      layer,
      path: svgPath(edge, view, true),
      // What lies deep in the other half of the bar's height, or beyond it, lies behind the bar.
      behind: layer === 'clip' ? ground : ground ? between[0] >= thick : between[1] < thick / 2,
    }))
    const all: Vec[] = [...outline.whole.flat(), ...shown.flatMap(({ edge }) => edge)]
    const xs = all.map(([x]) => x * view.mirror)
    const ys = all.map(([, y]) => view.toeY - y)
    const [left, right] = [Math.min(...xs) - 6, Math.max(...xs) + 6]
    const [high, low] = [Math.min(...ys) - 6, Math.max(...ys) + 6]
    const lateralRight = view.mirror === 1
    return {
      box: `${left} ${high} ${right - left} ${low - high}`,
      left: left + 1,
      right: right - 1,
      low: low - 1,
      leftName: lateralRight ? 'inner' : 'outer',
      rightName: lateralRight ? 'outer' : 'inner',
      body: svgRings(outline.whole, view),
      welds: weldsOf({ parts }).map(({ label, line }) => ({ label, path: svgPath(line, view) })),
      under: drawn.filter(({ behind }) => behind),
      over: drawn.filter(({ behind }) => !behind),
      nails: nails.map(({ x, y }) => {
        const turn = (Math.atan2(view.toeY - y - view.toeY, x * view.mirror) * 180) / Math.PI + 90
        return {
          at: `translate(${(x * view.mirror).toFixed(2)} ${(view.toeY - y).toFixed(2)}) rotate(${turn.toFixed(1)})`,
        }
      }),
    }
  })

  protected readonly label = computed(
    () =>
      `${this.face() === 'ground' ? 'Ground' : 'Foot'} side of the shoe: ${this.plan().nails.length} holes${this.plan()
        .parts.map(({ label }) => `, ${label.toLowerCase()}`)
        .join('')}`,
  )
}
