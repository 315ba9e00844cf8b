import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { RouterLink } from '@angular/router'
import { bends } from '@crescent/core'
import type { SizeWeights } from '@crescent/core/anvil'
import { AsyncState } from '../../../common/async-state'
import { FigureText } from '../../../drawing/figure-text'
import { SizeCard } from './size-card'
import { SizeMoulded } from './size-moulded'
import { SizeWorn } from './size-worn'
import { Sizing } from './sizing'

/** How many are listed before somebody asks for all. */
const FIRST = 4

/** How much something counts, as it is chosen. */
const COUNTS = [
  { label: 'not at all', value: 0 },
  { label: 'half', value: 0.5 },
  { label: 'as usual', value: 1 },
  { label: 'twice', value: 2 },
  { label: 'four times', value: 4 },
] as const

const WEIGHTS: readonly { key: keyof SizeWeights; label: string }[] = [
  { key: 'bending', label: 'Bending it' },
  { key: 'longHeels', label: 'Heel left over' },
  { key: 'shortHeels', label: 'Heel too short' },
  { key: 'nails', label: 'Nails lost' },
  { key: 'moulded', label: 'Moulded, not bent' },
]

/** The factory sizes for this foot, the best first, with why; and the shoe made by hand beside them. */
@Component({
  selector: 'cr-size-panel',
  imports: [AsyncState, RouterLink, SizeCard, SizeMoulded, SizeWorn],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (sizing.table.rows() === undefined) {
      <cr-async-state [failure]="sizing.table.failure()" (again)="sizing.table.read()" />
    } @else if (sizing.table.rows()!.length === 0) {
      <p>No factory sizes are in your table yet.</p>
      <p><a routerLink="/rack">Put them into the Rack</a>: typed, copied from a size, or out of a file.</p>
    } @else if (sizing.ranked().length === 0) {
      <p>The sizes follow from the foot: measure it first.</p>
    } @else {
      @if (sizing.possible().length === 0) {
        <div class="none" role="status">
          <p>
            <strong>None of your sizes can be laid on this foot.</strong> The nearest is below, with what is
            wrong.
          </p>
          @if (sizing.byHand(); as plan) {
            <p>
              Made by hand of {{ text.bare(plan.section.width) }} x {{ text.length(plan.section.thickness) }}:
              cut {{ text.length(plan.iron.cutLength) }}.
            </p>
          }
        </div>
      }
      @if (sizing.used(); as stock) {
        <section class="mine">
          <h3>{{ stock.facts.label }} <small>on the Bench</small></h3>
          <cr-size-worn />
          @if (moulded()) {
            <cr-size-moulded />
          }
        </section>
      }
      <div class="cards" data-testid="sizes">
        @for (row of listed(); track row.facts.id) {
          <cr-size-card
            [class.shown]="row === sizing.shown()"
            [row]="row"
            [used]="row.facts.id === sizing.used()?.sizeId"
            [shown]="row === sizing.shown()"
            [over]="row === sizing.over()"
            (take)="sizing.take(row)"
            (lay)="sizing.layOver(row === sizing.over() ? undefined : row)"
          />
        }
      </div>
      <div class="more">
        @if (sizing.ranked().length > first) {
          <button type="button" class="tap" (click)="all.set(!all())">
            {{ all() ? 'Only the first' : 'All ' + sizing.ranked().length + ' sizes' }}
          </button>
        }
        @if (sizing.used()) {
          <button type="button" class="tap" (click)="sizing.makeByHand()">Make it by hand instead</button>
        }
        <a class="tap" routerLink="/rack">Table of sizes</a>
      </div>
      @if (sizing.wholeHorse().length > 1) {
        <h3>The whole horse</h3>
        <ul class="feet" data-testid="whole-horse">
          @for (foot of sizing.wholeHorse(); track foot.side) {
            <li>
              <b>{{ foot.side }}</b>
              {{ foot.first ? foot.first.label + ', ' + foot.first.facts.range : 'none fits' }}
            </li>
          }
        </ul>
        @if (pairs()) {
          <p class="muted">{{ pairs() }}</p>
        }
      }
      <details class="fold">
        <summary>What counts</summary>
        @if (leanings()) {
          <p class="muted">{{ leanings() }}</p>
        }
        @for (one of weights; track one.key) {
          <label
            >{{ one.label }}
            <select #chosen [attr.aria-label]="one.label" (change)="setWeight(one.key, chosen.value)">
              <option value="" [selected]="sizing.weights()[one.key] === undefined">by its work</option>
              @for (count of counts; track count.value) {
                <option [value]="count.value" [selected]="sizing.weights()[one.key] === count.value">
                  {{ count.label }}
                </option>
              }
            </select>
          </label>
        }
      </details>
    }
  `,
  styles: `
    .cards {
      display: grid;
      gap: 8px;
    }
    .mine {
      margin-bottom: 12px;
      padding-bottom: 8px;
      border-bottom: 1px solid var(--rule);
    }
    h3 small {
      font-weight: 500;
      color: var(--ink-soft);
    }
    .none {
      padding: 8px 10px;
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
    .more {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 10px 0;
    }
    a.tap {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
    }
    h3 {
      margin: 12px 0 4px;
      font-size: 1rem;
    }
    .feet {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    .feet li {
      padding: 4px 0;
      border-bottom: 1px solid var(--rule);
    }
    details label {
      display: flex;
      gap: 8px;
      align-items: center;
      justify-content: space-between;
      margin: 6px 0;
    }
    select {
      min-height: 44px;
      padding: 0 6px;
      font: inherit;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
  `,
})
export class SizePanel {
  protected readonly sizing = inject(Sizing)
  protected readonly text = inject(FigureText)
  protected readonly first = FIRST
  protected readonly counts = COUNTS
  protected readonly weights = WEIGHTS
  protected readonly all = signal(false)
  protected readonly listed = computed(() => {
    const rows = this.sizing.ranked()
    if (this.all()) return rows
    const used = rows.find((row) => row.facts.id === this.sizing.used()?.sizeId)
    const top = rows.slice(0, FIRST)
    return used && !top.includes(used) ? [used, ...top] : top
  })

  protected readonly moulded = computed(() => {
    const stock = this.sizing.used()
    return stock !== undefined && !bends(stock.facts.kind)
  })

  /** Left and right need different sizes where they do. */
  protected readonly pairs = computed(() => {
    const first = Object.fromEntries(
      this.sizing.wholeHorse().map(({ side, first }) => [side, first?.facts.id]),
    )
    return [
      ['LF', 'RF', 'fore'],
      ['LH', 'RH', 'hind'],
    ]
      .filter(([left, right]) => first[left!] && first[right!] && first[left!] !== first[right!])
      .map(([, , which]) => `Left and right ${which} need different sizes.`)
      .join(' ')
  })

  protected readonly leanings = computed(() => {
    const { againstLong, againstShort, forNails, forMoulded } = this.sizing.weighed()
    return [
      ...(againstLong.length > 0 ? [`Long heels count more: ${againstLong.join(', ')}.`] : []),
      ...(forNails.length > 0 ? [`Each hole counts more: ${forNails.join(', ')}.`] : []),
      ...(forMoulded.length > 0 ? [`Moulded shoes are asked for: ${forMoulded.join(', ')}.`] : []),
      ...(againstShort.length > 0 ? [`Short heels count more: ${againstShort.join(', ')}.`] : []),
    ].join(' ')
  })

  constructor() {
    void this.sizing.table.read()
  }

  protected setWeight(key: keyof SizeWeights, value: string): void {
    this.sizing.setWeight(key, value === '' ? undefined : Number(value))
  }
}
