import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core'
import {
  HALVES,
  asymmetry,
  compareOutlines,
  footOutline,
  readFoot,
  type Foot,
  type FootInput,
  type RegionDifference,
  type Side,
  type Vec,
} from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'
import { soleView, svgPath } from '../../../drawing/svg-path'

/** A foot to compare with. */
export interface OtherFoot {
  key: string
  label: string
  foot: FootInput
}

/** The key of the comparison of a foot with its own mirror image. */
const ITSELF = 'itself'
/** Differences smaller than this are drawn as none, mm: a sixteenth of an inch. */
const SEEN = 25.4 / 16

/** Two outlines laid over each other: where this one stands outside and inside, as a hatched band and in numbers. */
@Component({
  selector: 'cr-compare-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="drawing">
      <svg [attr.viewBox]="box()" role="img" [attr.aria-label]="summary()">
        <defs>
          <pattern
            id="outside"
            width="3"
            height="3"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="3" height="3" class="out-ground" />
            <path d="M0 1.5H3" class="out-line" />
          </pattern>
          <pattern id="inside" width="3" height="3" patternUnits="userSpaceOnUse">
            <rect width="3" height="3" class="in-ground" />
            <circle cx="1.5" cy="1.5" r="0.7" class="in-dot" />
          </pattern>
        </defs>
        <path class="axis" [attr.d]="'M0 ' + extent().top + 'V' + extent().bottom" />
        @for (band of bands(); track band.key) {
          <path [attr.d]="band.path" [attr.fill]="band.outside ? 'url(#outside)' : 'url(#inside)'" />
        }
        <path class="other" [attr.d]="lines().other" />
        <path class="mine" [attr.d]="lines().mine" />
        @for (label of labels(); track label.key) {
          <text class="number" [attr.x]="label.x" [attr.y]="label.y" [attr.text-anchor]="label.anchor">
            {{ label.text }}
          </text>
        }
      </svg>
    </div>
    <div class="side">
      <label>
        Against
        <select class="typed" [value]="chosen()" (change)="chosen.set(value($event))" data-testid="against">
          @for (other of others(); track other.key) {
            <option [value]="other.key" [selected]="other.key === chosen()">{{ other.label }}</option>
          }
          <option [value]="itself" [selected]="chosen() === itself">itself, inner against outer</option>
        </select>
      </label>
      <table>
        <caption>
          {{
            heading()
          }}
        </caption>
        <thead>
          <tr>
            <th scope="col">Place</th>
            @if (chosen() !== itself) {
              <th scope="col">Outer</th>
              <th scope="col">Inner</th>
            } @else {
              <th scope="col">Outer over inner</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.region) {
            <tr>
              <th scope="row">{{ row.region }}</th>
              @for (cell of row.cells; track $index) {
                <td>{{ cell }}</td>
              }
            </tr>
          }
        </tbody>
      </table>
      <p class="key">
        <span class="swatch out" aria-hidden="true"></span>+ stands outside
        <span class="swatch in" aria-hidden="true"></span>− stands inside
      </p>
      <p class="muted">Laid together on the widest-part line and the frog’s axis.</p>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 236px;
      min-height: 0;
      padding-top: 52px;
      background: var(--paper);
    }
    .drawing {
      min-height: 0;
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
    }
    .axis {
      stroke: var(--construct);
      stroke-width: 0.4;
      stroke-dasharray: 6 2 1 2;
    }
    .mine,
    .other {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.1;
    }
    .other {
      stroke: var(--construct);
      stroke-width: 0.8;
      stroke-dasharray: 3 1.6;
    }
    .out-ground {
      fill: color-mix(in srgb, var(--ember) 18%, transparent);
    }
    .out-line {
      stroke: var(--ember);
      stroke-width: 1;
    }
    .in-ground {
      fill: color-mix(in srgb, var(--construct) 12%, transparent);
    }
    .in-dot {
      fill: var(--construct);
    }
    .number {
      font-size: 6.5px;
      font-weight: 700;
      fill: var(--ink);
      paint-order: stroke;
      stroke: var(--paper);
      stroke-width: 2px;
    }
    .side {
      padding: 4px 12px;
      overflow-y: auto;
    }
    label {
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
    table {
      width: 100%;
      margin-top: 10px;
      border-collapse: collapse;
      font-size: 0.95rem;
    }
    caption {
      padding-bottom: 4px;
      font-weight: 650;
      text-align: left;
    }
    th,
    td {
      padding: 6px 2px;
      text-align: right;
      border-top: 1px solid var(--rule);
    }
    th {
      font-size: 0.88rem;
      font-weight: 500;
      text-align: left;
    }
    thead th {
      color: var(--ink-soft);
      text-align: right;
    }
    thead th:first-child {
      text-align: left;
    }
    td {
      font-weight: 650;
    }
    .key {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 6px;
      align-items: center;
      margin: 10px 0 4px;
      font-size: 0.85rem;
    }
    .swatch {
      width: 22px;
      height: 14px;
      border: 1px solid var(--rule-strong);
    }
    .swatch.out {
      background: repeating-linear-gradient(45deg, var(--ember) 0 2px, transparent 2px 5px);
    }
    .swatch.in {
      background: radial-gradient(var(--construct) 1.4px, transparent 1.6px) 0 0 / 5px 5px;
    }
    @media (max-width: 819px), (max-height: 519px) {
      :host {
        grid-template-columns: 1fr;
        grid-template-rows: 300px auto;
        padding: 8px 0 12px;
      }
    }
  `,
})
export class CompareView {
  readonly foot = input.required<Foot>()
  readonly side = input.required<Side>()
  readonly others = input.required<readonly OtherFoot[]>()

  private readonly text = inject(FigureText)
  protected readonly itself = ITSELF
  protected readonly chosen = linkedSignal({
    source: () => this.others().map(({ key }) => key),
    // Itself stays where a hand chose it, not where there was nothing else yet: earlier visits come a moment later.
    computation: (keys: string[], before?: { value: string; source: string[] }) =>
      before && (keys.includes(before.value) || (before.value === ITSELF && before.source.length > 0))
        ? before.value
        : (keys[0] ?? ITSELF),
  })

  private readonly mine = computed(() => footOutline(this.foot()))
  private readonly against = computed(() => {
    const other = this.others().find(({ key }) => key === this.chosen())
    const read = other && readFoot(other.foot)
    return read?.ok ? { label: other!.label, outline: footOutline(read.value.foot) } : undefined
  })
  private readonly view = computed(() => soleView(this.side(), this.foot().widestFromToe))

  private readonly differences = computed((): RegionDifference[] => {
    const against = this.against()
    return against ? compareOutlines(this.mine(), against.outline) : asymmetry(this.mine())
  })

  protected readonly heading = computed(() => {
    const against = this.against()
    return against
      ? `${this.side()} now against ${against.label}`
      : `${this.side()}, outer half against inner`
  })
  protected readonly rows = computed(() => {
    const halves = this.chosen() === ITSELF ? (['lateral'] as const) : HALVES
    return this.differences()
      .filter(({ half }) => half === 'lateral')
      .map(({ region }) => ({
        region,
        cells: halves.map((half) => this.told(this.of(region, half))),
      }))
  })
  private of = (region: string, half: string): number =>
    this.differences().find((one) => one.region === region && one.half === half)?.most ?? 0
  private told(mm: number): string {
    const text = this.text.difference(mm)
    return text === '0' ? 'same' : text
  }

  protected readonly lines = computed(() => {
    const mirrored = (points: readonly Vec[]) => points.map(([x, y]): Vec => [-x, y])
    const own = this.mine().track.points
    const other = this.against()?.outline.track.points ?? mirrored(own)
    return { mine: svgPath(own, this.view()), other: svgPath(other, this.view()) }
  })
  protected readonly bands = computed(() =>
    this.differences().map(({ region, half, band, most }) => ({
      key: `${half} ${region}`,
      outside: most > 0,
      path:
        Math.abs(most) < SEEN / 2
          ? ''
          : svgPath([...band.map(([a]) => a), ...band.map(([, b]) => b).reverse()], this.view(), true),
    })),
  )
  protected readonly labels = computed(() =>
    this.differences().flatMap(({ region, half, band, most }) => {
      if (Math.abs(most) < SEEN / 2) return []
      const [x, y] = band[Math.floor(band.length / 2)]![0]
      const right = x * this.view().mirror > 0
      return [
        {
          key: `${half} ${region}`,
          text: this.told(most),
          x: x * this.view().mirror + (right ? 5 : -5),
          y: this.view().toeY - y,
          anchor: right ? 'start' : 'end',
        },
      ]
    }),
  )

  protected readonly extent = computed(() => {
    const { foot } = this
    const { widestFromToe } = foot()
    const points = [...this.mine().track.points, ...(this.against()?.outline.track.points ?? [])]
    const most = Math.max(...points.map(([x]) => Math.abs(x)))
    const downs = points.map(([, y]) => widestFromToe - y)
    return {
      left: -most - 30,
      right: most + 30,
      top: Math.min(...downs) - 16,
      bottom: Math.max(...downs) + 12,
    }
  })
  protected readonly box = computed(() => {
    const { left, right, top, bottom } = this.extent()
    return `${left} ${top} ${right - left} ${bottom - top}`
  })
  protected readonly summary = computed(
    () =>
      `${this.heading()}: ${this.rows()
        .map(({ region, cells }) => `${region} ${cells.join(' and ')}`)
        .join(', ')}`,
  )
  protected value = (event: Event): string => (event.target as HTMLSelectElement).value
}
