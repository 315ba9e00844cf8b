import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { cutAt, wallSection, type Nail, type Plan, type Vec } from '@crescent/core'
import { FigureText } from './figure-text'
import { VERDICT_WORDS } from './nail-words'
import { uprightPath } from './svg-path'

/** A cut through the wall at one hole: wall, white line, what is alive behind it, and the way of the nail. */
@Component({
  selector: 'cr-wall-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="drawing().box" role="img" [attr.aria-label]="label()">
      <path class="alive" [attr.d]="drawing().alive" />
      <path class="line" [attr.d]="drawing().whiteLine" />
      <path class="wall" [attr.d]="drawing().wall" />
      <path class="steel" [attr.d]="drawing().shoe" />
      <path class="way" [class.pricks]="nail().verdict === 'would-prick'" [attr.d]="drawing().way" />
      <text class="word" [attr.x]="drawing().exit[0] - 1.5" [attr.y]="drawing().exit[1]" text-anchor="end">
        {{ text.length(nail().exitHeight) }}
      </text>
      @if (drawing().seen; as seen) {
        <path class="seen" [attr.d]="seen" />
      }
    </svg>
    <p>
      <span class="key wall"></span>wall <span class="key line"></span>white line
      <span class="key alive"></span>alive
    </p>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      max-height: 220px;
      background: var(--paper);
      border: 1px solid var(--rule);
    }
    .alive {
      fill: color-mix(in srgb, var(--stop) 28%, var(--paper));
    }
    .line {
      fill: color-mix(in srgb, var(--sole) 70%, white);
    }
    .wall {
      fill: var(--horn);
      stroke: var(--horn-edge);
      stroke-width: 0.4;
    }
    .steel {
      fill: var(--steel);
      stroke: var(--steel-edge);
      stroke-width: 0.4;
    }
    .way {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.3;
      stroke-linecap: round;
    }
    .way.pricks {
      stroke: var(--stop);
    }
    .seen {
      stroke: var(--ember);
      stroke-width: 0.8;
    }
    .word {
      font-size: 3.6px;
      font-weight: 700;
      fill: var(--ink);
    }
    p {
      margin: 4px 0 0;
      font-size: 0.8rem;
      color: var(--ink-soft);
    }
    .key {
      display: inline-block;
      width: 12px;
      height: 12px;
      margin: 0 4px 0 10px;
      vertical-align: -1px;
      border: 1px solid var(--rule-strong);
    }
    .key.wall {
      background: var(--horn);
    }
    .key.line {
      background: color-mix(in srgb, var(--sole) 70%, white);
    }
    .key.alive {
      background: color-mix(in srgb, var(--stop) 28%, var(--paper));
    }
  `,
})
export class WallPicture {
  readonly nail = input.required<Nail>()
  readonly plan = input.required<Plan>()
  readonly turningRadius = input.required<number>()
  protected readonly text = inject(FigureText)

  protected readonly drawing = computed(() => {
    const nail = this.nail()
    const { foot, cuts } = this.plan()
    const section = wallSection(nail, foot, this.turningRadius())
    const { face, lineOuter, lineInner, way, rimStands, height } = section
    const { form } = cutAt(cuts, nail.branch, nail.fromToe)
    const right = Math.max(lineInner[1][0] + 16, form.width - rimStands + 4)
    const left = Math.min(-rimStands, 0) - 16
    const band = (a: readonly [Vec, Vec], b: readonly [Vec, Vec]) =>
      `${uprightPath([a[0], a[1], b[1], b[0]])}Z`
    const exit = way[way.length - 1]!
    const entry: Vec = [way[0]![0] + form.thickness * 0.2, -form.thickness]
    const seen = nail.seen
    return {
      box: `${left} ${-height - 3} ${right - left} ${height + form.thickness + 6}`,
      wall: band(face, lineOuter),
      whiteLine: band(lineOuter, lineInner),
      alive: `${uprightPath([lineInner[0], lineInner[1], [right, height], [right, 0]])}Z`,
      shoe: `M${-rimStands} 0H${-rimStands + form.width}V${form.thickness}H${-rimStands}Z`,
      way: uprightPath([[way[0]![0], entry[1]], ...way]),
      exit: [exit[0], -exit[1]] as const,
      seen: seen === undefined ? undefined : `M${left + 2} ${-seen}H${exit[0] + 4}`,
    }
  })

  protected readonly label = computed(() => {
    const { branch, number, exitHeight, verdict, why } = this.nail()
    return `Cut through the wall at ${branch === 'lateral' ? 'outer' : 'inner'} hole ${number}: comes out at ${this.text.length(exitHeight)}, ${VERDICT_WORDS[verdict]}. ${this.text.told(why)}`
  })
}
