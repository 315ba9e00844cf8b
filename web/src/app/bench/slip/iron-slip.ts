import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import {
  commonName,
  RULES_ADD,
  shownDifference,
  shownIron,
  type Plan,
  type Section,
  type PagePattern,
} from '@crescent/core'
import { addDays, formatISO, parseISO } from 'date-fns'
import { shortDay } from '../../common/today'
import { FigureText } from '../../drawing/figure-text'
import { CautionsList } from './cautions-list'

/** The iron slip: the bar and how long to cut it, largest on the screen, then what follows from it. */
@Component({
  selector: 'cr-iron-slip',
  imports: [CautionsList, MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="pinned">
      <div class="figures" aria-live="polite">
        <p class="bar">
          @if (plan().iron.size; as size) {
            <span class="caption">Factory size</span>
            <strong class="size" data-testid="section">{{ size }}</strong>
          } @else {
            <span class="caption">Bar, {{ metal() }}</span>
            <strong data-testid="section">{{ name() }}</strong>
          }
        </p>
        <p class="cut" [class.stale]="stale()">
          <span class="caption">{{ headline().caption }}</span>
          <strong data-testid="cut" [attr.aria-label]="text.length(headline().mm)">
            <span [textContent]="cut().whole"></span>
            <span class="fraction" [textContent]="cut().fraction"></span>
            <span [textContent]="cut().sign"></span>
          </strong>
        </p>
      </div>
      <div class="save">
        <button mat-flat-button [disabled]="stale() || saving()" (click)="save.emit()">
          <mat-icon svgIcon="save" />{{ saving() ? 'Saving' : 'Save'
          }}<span class="wide" [hidden]="saving()">&nbsp;pattern</span>
        </button>
        @if (unsaved() > 1) {
          <button
            mat-stroked-button
            [attr.aria-label]="'Save all ' + unsaved()"
            [disabled]="saving()"
            (click)="saveAll.emit()"
          >
            <span class="wide">Save all</span><span class="narrow">All</span> {{ unsaved() }}
          </button>
        }
        <span class="state">{{
          waits() ? 'waits for the server' : dirty() ? 'not saved yet' : 'saved'
        }}</span>
      </div>
    </div>
    <div class="rest">
      <ng-content />
      <cr-cautions-list [cautions]="warnings()" />
      @if (told().length > 0) {
        <ul class="told">
          @for (line of told(); track line) {
            <li>{{ line }}</li>
          }
        </ul>
      }
      <dl>
        <div>
          <dt>Weight</dt>
          <dd>{{ text.weight(plan().iron.weight) }}</dd>
        </div>
        <div>
          <dt>Nails</dt>
          <dd>
            {{ driven() }} of {{ plan().nails.length }} holes
            @if (plan().nailing.size; as nail) {
              <small>{{ nail.name }}</small>
            }
          </dd>
        </div>
        @if (corrected(); as line) {
          <div data-testid="corrected">
            <dt>By geometry</dt>
            <dd>{{ line }}</dd>
          </div>
        }
        @if (iron().closing > 0) {
          <div data-testid="closing">
            <dt>Run across behind, in the cut</dt>
            <dd>{{ text.length(iron().closing) }}</dd>
          </div>
        }
        @for (part of plan().iron.parts; track part.label) {
          <div class="part" data-testid="part">
            <dt>{{ part.label }}</dt>
            <dd>
              {{ text.bare(part.width) }} x {{ text.bare(part.thickness) }}, {{ text.length(part.length) }}
              <small>({{ text.weight(part.weight) }})</small>
            </dd>
          </div>
        }
        @if (uneven()) {
          <div>
            <dt>Outer, inner branch</dt>
            <dd>{{ text.length(iron().branches.lateral) }}, {{ text.length(iron().branches.medial) }}</dd>
          </div>
        }
        @if (iron().heelLeft; as left) {
          <div data-testid="heel-left">
            <dt>Heels, outer, inner</dt>
            <dd>{{ text.heelLeft(left.lateral) }}, {{ text.heelLeft(left.medial) }}</dd>
          </div>
          @if (heelToCut()) {
            <div>
              <dt>To cut, outer, inner</dt>
              <dd>
                {{ text.length(iron().heelToCut!.lateral) }},
                {{ text.length(iron().heelToCut!.medial) }}
              </dd>
            </div>
          }
          <div>
            <dt>Width as sold, {{ plan().moulded ? 'wanted' : 'shaped' }}</dt>
            <dd>{{ text.length(plan().iron.asSold!.width) }}, {{ text.length(shapedWidth()) }}</dd>
          </div>
        } @else {
          <div>
            <dt>Plain shoe</dt>
            <dd>
              {{ text.length(iron().plainCut) }}
              @if (text.difference(iron().cutLength - iron().plainCut); as more) {
                @if (more !== '0') {
                  <small>(this one {{ more }})</small>
                }
              }
            </dd>
          </div>
          @for (rule of iron().rules; track rule.name) {
            <div>
              <dt>{{ rule.name }} + {{ text.length(rulesAdd) }}</dt>
              <dd>
                {{ text.length(rule.length) }} <small>({{ text.difference(rule.difference) }})</small>
              </dd>
            </div>
          }
        }
        @if (against(); as last) {
          <div>
            <dt>Against “{{ last.name }}”</dt>
            <dd>{{ last.change }}</dd>
          </div>
        }
        @if (plan().iron.size === undefined) {
          <div class="suggest">
            <dt>Usual bar: {{ plan().suggestion.name }}</dt>
            <dd>
              @if (plan().suggestion.name === name()) {
                this one
              } @else {
                <button type="button" (click)="take.emit(plan().suggestion.section)">Take it</button>
              }
            </dd>
            <dd class="reason">{{ text.told(plan().suggestion.reason) }}</dd>
          </div>
        }
      </dl>
      <cr-cautions-list [cautions]="notes()" />
      @if (courses().length > 0) {
        <details class="fold" open>
          <summary>What follows</summary>
          <ul class="told">
            @for (one of courses(); track one.label) {
              <li>{{ one.label }}: {{ one.days }}</li>
            }
          </ul>
        </details>
      }
      <details class="fold">
        <summary>Order of the work</summary>
        <ol class="told">
          @for (step of plan().forging; track $index) {
            <li>{{ text.told(step.text) }}</li>
          }
        </ol>
      </details>
    </div>
  `,
  styleUrl: './iron-slip.scss',
})
export class IronSlip {
  protected readonly rulesAdd = RULES_ADD
  readonly plan = input.required<Plan>()
  readonly section = input.required<Section>()
  /** What the foot wears now, to compare with. */
  readonly wears = input<PagePattern | undefined>()
  /** Of the visit: what follows is counted from it. */
  readonly day = input('')
  readonly stale = input(false)
  readonly dirty = input(false)
  readonly saving = input(false)
  /** It was saved while the server was away, and is sent by itself. */
  readonly waits = input(false)
  /** So many feet of the visit wait to be saved. */
  readonly unsaved = input(0)
  readonly save = output()
  readonly saveAll = output()
  readonly take = output<Section>()

  protected readonly text = inject(FigureText)
  /** As it is written: what stands here adds up. */
  protected readonly iron = computed(() => shownIron(this.plan().iron, this.text.style()))
  /** What the cut was before logged jobs corrected it. */
  protected readonly corrected = computed(() => {
    const { cutLength, learned, size } = this.iron()
    if (learned === 0 || size !== undefined) return undefined
    return `${this.text.length(cutLength - learned)}; logged jobs: ${this.text.difference(learned)}`
  })
  /** What is done first: how long to cut the bar, or how far to open or close a factory shoe. */
  protected readonly headline = computed(() => {
    const { moulded } = this.plan()
    const { openBy, cutLength } = this.plan().iron
    if (openBy === undefined) return { caption: 'Cut', mm: cutLength }
    if (moulded) return { caption: 'Saw off outside', mm: moulded.deepest }
    return { caption: openBy >= 0 ? 'Open by' : 'Close by', mm: Math.abs(openBy) }
  })
  protected readonly cut = computed(() => this.text.parts(this.headline().mm))
  protected readonly name = computed(() => {
    const section = this.section()
    const inches = this.text.style().unit === 'in'
    if (inches)
      return commonName(section) ?? `${this.text.bare(section.width)} x ${this.text.bare(section.thickness)}`
    return `${this.text.bare(section.width)} x ${this.text.length(section.thickness)}`
  })
  protected readonly metal = computed(() => {
    const { shape, material } = this.section()
    return shape === 'flat' ? material : `${shape} ${material}`
  })
  /** What asks for a decision stands above the figures, what is good to know below them. */
  protected readonly warnings = computed(() =>
    this.plan().cautions.filter(({ severity }) => severity !== 'note'),
  )
  protected readonly notes = computed(() =>
    this.plan().cautions.filter(({ severity }) => severity === 'note'),
  )
  /** What the modifications come to, in words. */
  protected readonly told = computed(() =>
    this.plan().modifications.flatMap((one) => one.told.map(this.text.told)),
  )
  /** What is due in the days after, with its dates where the day of the visit is known. */
  protected readonly courses = computed(() =>
    this.plan().modifications.flatMap(({ course }) =>
      course.map(({ label, fromDay, toDay }) => ({ label, days: this.days(fromDay, toDay) })),
    ),
  )

  private days(from: number, to: number): string {
    if (!this.day()) return from === to ? `day ${from}` : `day ${from} to ${to}`
    const on = (day: number) =>
      shortDay(formatISO(addDays(parseISO(this.day()), day), { representation: 'date' }))
    return from === to ? on(from) : `${on(from)} to ${on(to)}`
  }

  protected readonly heelToCut = computed(() => {
    const { lateral = 0, medial = 0 } = this.plan().iron.heelToCut ?? {}
    return lateral + medial > 0
  })
  protected readonly shapedWidth = computed(() => {
    const { asSold, openBy } = this.plan().iron
    return (asSold?.width ?? 0) + (openBy ?? 0)
  })
  protected readonly driven = computed(() => this.plan().nails.filter((nail) => nail.driven).length)
  protected readonly uneven = computed(
    () => Math.abs(this.iron().branches.lateral - this.iron().branches.medial) > 25.4 / 16,
  )
  protected readonly against = computed(() => {
    const wears = this.wears()
    if (!wears || this.plan().iron.size !== undefined) return undefined
    const change = this.text.difference(
      shownDifference(this.plan().iron.cutLength, wears.result.cutLength, this.text.style()),
    )
    return { name: wears.name, change: change === '0' ? 'same cut' : change }
  })
}
