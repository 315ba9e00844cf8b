import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import type { Snapshot, Side } from '@crescent/core'
import { soleView, svgPath } from './svg-path'

/** A foot with its shoe, drawn small from a pattern's snapshot. */
@Component({
  selector: 'cr-small-shoe',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="shape().box"
      [attr.role]="label() ? 'img' : null"
      [attr.aria-label]="label() || null"
      [attr.aria-hidden]="label() ? null : true"
    >
      <path class="foot" [attr.d]="shape().foot" />
      @for (part of shape().behind; track $index) {
        <path class="pad" [attr.d]="part" />
      }
      <path class="shoe" [attr.d]="shape().shoe" />
      @for (part of shape().parts; track $index) {
        <path class="shoe" [attr.d]="part" />
      }
      @for (nail of shape().nails; track $index) {
        <circle class="nail" [class.empty]="!nail.driven" [attr.cx]="nail.x" [attr.cy]="nail.y" r="2.4" />
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
    }
    .foot {
      fill: var(--sole);
      stroke: var(--horn-edge);
      stroke-width: 1.2;
    }
    .shoe {
      fill: var(--steel);
      stroke: var(--steel-edge);
      stroke-width: 1.4;
    }
    .pad {
      fill: var(--horn);
      stroke: var(--horn-edge);
      stroke-width: 1.2;
    }
    .nail {
      fill: var(--steel-edge);
    }
    .nail.empty {
      fill: var(--sole);
    }
  `,
})
export class SmallShoe {
  readonly snapshot = input.required<Pick<Snapshot, 'outline' | 'nails'>>()
  readonly side = input.required<Side>()
  readonly label = input('')

  protected readonly shape = computed(() => {
    const { outline, nails } = this.snapshot()
    const view = soleView(this.side(), 0)
    const { parts = [], behind = [] } = outline
    const all = [...outline.foot, ...outline.body, ...parts.flat(), ...behind.flat()]
    const xs = all.map(([x]) => x * view.mirror)
    const ys = all.map(([, y]) => -y)
    const left = Math.min(...xs) - 4
    const top = Math.min(...ys) - 4
    return {
      box: `${left} ${top} ${Math.max(...xs) + 4 - left} ${Math.max(...ys) + 4 - top}`,
      foot: svgPath(outline.foot, view, true),
      shoe: svgPath(outline.body, view, true),
      parts: parts.map((part) => svgPath(part, view, true)),
      behind: behind.map((part) => svgPath(part, view, true)),
      nails: nails.map(({ x, y, driven }) => ({ x: x * view.mirror, y: -y, driven })),
    }
  })
}
