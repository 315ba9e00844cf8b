import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core'
import { MatFormField, MatLabel } from '@angular/material/form-field'
import { MatOption, MatSelect } from '@angular/material/select'
import {
  commonName,
  COMMON_SECTIONS,
  describeProblem,
  FIT_FIGURES,
  FIT_PRESETS,
  WAYS_BACK,
  type FitFigure,
  type FitName,
  type FitNumbers,
  type Plan,
  type Problem,
  type Section,
  type ShoeInput,
  type WayBack,
} from '@crescent/core'
import { templatesFor, type Template } from '@crescent/core/designs'
import { Store } from '@ngrx/store'
import { OneOf } from '../../../common/one-of'
import { FigureText } from '../../../drawing/figure-text'
import { benchActions, benchFeature } from '../../../state/bench/bench.feature'
import type { Draft } from '../../../state/bench/draft'
import { Fold } from '../../../common/fold'
import { FigureField } from '../../figure-field'
import { ModificationList } from './modification-list'
import { OUTLINED_FIELDS } from '../../../common/outlined-fields'
import { Roving } from '../../../common/roving'

type Modifications = NonNullable<ShoeInput['modifications']>

/** Shoe: bar and fit. */
@Component({
  selector: 'cr-shoe-step',
  imports: [FigureField, Fold, MatFormField, MatLabel, MatOption, MatSelect, ModificationList, OneOf, Roving],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div data-fields>
      <details class="fold templates">
        <summary>
          Begin from a design
          @if (called() > 0) {
            <span class="muted">{{ called() }} fit what was agreed while looking</span>
          }
        </summary>
        <div class="fits">
          @for (one of templates(); track one.template.key) {
            <button type="button" (click)="begin(one.template)">
              <strong
                >{{ one.template.label }}
                @if (one.because.length > 0) {
                  <em>called for</em>
                }
              </strong>
              <span>{{ one.template.use }}{{ one.template.vetLeads ? ' The vet leads.' : '' }}</span>
            </button>
          }
        </div>
      </details>
      @if (shoe().stock; as stock) {
        <h2>Factory size</h2>
        <p class="size">
          <strong>{{ stock.facts.label }}</strong>, web and thickness {{ sizeWords() }}. Its steel is as it
          came; what can be made of it is below.
        </p>
      } @else {
        <h2>Bar</h2>
        <mat-form-field class="whole" subscriptSizing="dynamic">
          <mat-label>Common sections</mat-label>
          <mat-select [value]="common()" (valueChange)="takeCommon($event)">
            @if (!common()) {
              <mat-option [value]="undefined">own section</mat-option>
            }
            @for (one of sections; track one.name) {
              <mat-option [value]="one.name">{{ one.name }} · {{ one.use }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <cr-figure-field
          field="section.width"
          label="Width of the bar"
          kind="length"
          where="The web, as it lies under the foot."
          [value]="shoe().section.width"
          [entry]="entry('section.width')"
          [problem]="problemOf('shoe.section.width')"
          (figure)="setSection('width', $event)"
          (unread)="keep('section.width', $event)"
          (left)="settle()"
        />
        <cr-figure-field
          field="section.thickness"
          label="Thickness"
          kind="length"
          where="Its height from the foot to the ground."
          [value]="shoe().section.thickness"
          [entry]="entry('section.thickness')"
          [problem]="problemOf('shoe.section.thickness')"
          (figure)="setSection('thickness', $event)"
          (unread)="keep('section.thickness', $event)"
          (left)="settle()"
        />
        <div class="pair">
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>Shape</mat-label>
            <mat-select [value]="shoe().section.shape" (valueChange)="change({ shape: $event })">
              <mat-option value="flat">flat</mat-option>
              <mat-option value="concave">concave</mat-option>
              <mat-option value="half-round">half-round</mat-option>
            </mat-select>
          </mat-form-field>
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>Metal</mat-label>
            <mat-select [value]="shoe().section.material" (valueChange)="change({ material: $event })">
              <mat-option value="steel">steel</mat-option>
              <mat-option value="aluminium">aluminium</mat-option>
            </mat-select>
          </mat-form-field>
        </div>
      }

      <h2>Fit</h2>
      <div class="fits" role="radiogroup" aria-label="Fit">
        @for (preset of presets; track preset.name) {
          <button
            type="button"
            role="radio"
            [attr.aria-checked]="fitName() === preset.name"
            (click)="setFit(preset.name)"
          >
            <strong>{{ preset.label }}</strong><span>{{ preset.use }}</span>
          </button>
        }
      </div>
      <details class="fold" [crFold]="fitFaulty()">
        <summary>
          Fit in figures <span class="muted">{{ fitWords() }}</span>
        </summary>
        @for (figure of fitFigures; track figure.key) {
          <cr-figure-field
            [field]="'fit.' + figure.key"
            [label]="figure.label"
            kind="length"
            [where]="figure.where"
            [value]="fitNumbers()?.[figure.key]"
            [assumed]="plan()?.fit?.[figure.key]"
            [entry]="entry('fit.' + figure.key)"
            [problem]="problemOf('shoe.fit.' + figure.key)"
            (figure)="setFitFigure(figure.key, $event)"
            (unread)="keep('fit.' + figure.key, $event)"
            (left)="settle()"
          />
        }

        @if (plan(); as plan) {
          <cr-one-of
            heading="Behind the buttress"
            label="Behind the buttress"
            [choices]="waysBack"
            [chosen]="plan.fit.behind"
            (choose)="setBehind($event)"
          />
        }
      </details>

      <h2>Modifications</h2>
      <cr-modification-list
        [modifications]="shoe().modifications ?? []"
        [plan]="plan()"
        [problems]="problems()"
        [entries]="draft().foot.entries"
        (changed)="setModifications($event.edit, $event.touched)"
        (unread)="keep($event.field, $event.text)"
        (left)="settle()"
        (pictures)="pictures.emit()"
      />
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    h2 {
      margin: 4px 0 8px;
    }
    em {
      margin-left: 6px;
      padding: 1px 6px;
      font-size: 0.8rem;
      font-style: normal;
      color: var(--ember-ink);
      background: var(--ember);
      border-radius: 4px;
    }
    .templates {
      margin-bottom: 8px;
      border-top: 0;
    }
    .whole {
      width: 100%;
      margin-bottom: 8px;
    }
    .pair {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 8px;
      margin: 4px 0 14px;
    }
    .pair mat-form-field {
      min-width: 0;
      width: 100%;
    }
    .fits {
      display: grid;
      gap: 6px;
      margin-bottom: 12px;
    }
    .fits button {
      display: grid;
      gap: 1px;
      min-height: 44px;
      padding: 6px 10px;
      color: inherit;
      font: inherit;
      text-align: left;
      background: var(--sheet);
      border: 1.5px solid var(--rule);
      border-radius: 6px;
      cursor: pointer;
    }
    .fits button span {
      font-size: 0.85rem;
      line-height: 1.25;
      color: var(--ink-soft);
    }
    .fits button[aria-checked='true'] {
      background: var(--ember-wash);
      border-color: var(--ember);
    }
  `,
})
export class ShoeStep {
  readonly draft = input.required<Draft>()
  readonly plan = input<Plan | undefined>()
  readonly problems = input<readonly Problem[]>([])

  /** Codes of the advice that stands for this foot. */
  readonly advice = input<readonly string[]>([])
  readonly pictures = output()

  /** Designs to begin from, those that the advice calls for first. */
  protected readonly templates = computed(() => templatesFor(this.advice()))
  protected readonly called = computed(
    () => this.templates().filter(({ because }) => because.length > 0).length,
  )

  private readonly store = inject(Store)
  private readonly standing = this.store.selectSignal(benchFeature.selectDraft)
  private readonly text = inject(FigureText)
  protected readonly sections = COMMON_SECTIONS
  protected readonly presets = FIT_PRESETS
  protected readonly fitFigures = FIT_FIGURES
  protected readonly waysBack = WAYS_BACK.map((key) => ({ key, label: key }))
  protected readonly shoe = computed(() => this.draft().shoe)
  /** A fault in a figure must be seen. */
  protected readonly fitFaulty = computed(() =>
    FIT_FIGURES.some(
      ({ key }) => this.entry(`fit.${key}`) !== undefined || this.problemOf(`shoe.fit.${key}`) !== undefined,
    ),
  )
  protected readonly fitWords = computed(() => {
    const fit = this.plan()?.fit
    return fit ? FIT_FIGURES.map(({ key }) => this.text.length(fit[key])).join(', ') + `, ${fit.behind}` : ''
  })
  protected readonly sizeWords = computed(() => {
    const { width, thickness } = this.shoe().section
    return `${this.text.bare(width)} x ${this.text.length(thickness)}`
  })
  protected readonly common = computed(() => commonName(this.shoe().section))
  protected readonly fitName = computed(() => {
    const { fit } = this.shoe()
    return typeof fit === 'string' ? fit : undefined
  })
  protected readonly fitNumbers = computed(() => {
    const { fit } = this.shoe()
    return typeof fit === 'string' ? undefined : fit
  })

  /** The design is laid on this shoe; the bar stays where the design names none. */
  protected begin({ key, shoe }: Template): void {
    this.put(shoe, `template.${key}`)
    this.settle()
  }

  protected takeCommon(name: string | undefined): void {
    const found = COMMON_SECTIONS.find((one) => one.name === name)
    if (found) this.put({ section: found.section }, 'section')
  }

  /** A bar has both its measures: an emptied field keeps the last one until another is typed. */
  protected setSection(key: 'width' | 'thickness', value: number | undefined): void {
    if (value === undefined) return this.keep(`section.${key}`, '')
    this.put({ section: { ...this.standingShoe().section, [key]: value } }, `section.${key}`)
  }

  protected change(part: Partial<Section>): void {
    this.put({ section: { ...this.standingShoe().section, ...part } }, 'section')
  }

  protected setFit = (fit: FitName): void => this.put({ fit }, 'fit')

  /** Typing one number makes the fit one of its own; the others stay as the preset had them. */
  protected setFitFigure(key: FitFigure, value: number | undefined): void {
    const now: FitNumbers = this.standingFit()
    const { [key]: _old, ...rest } = now
    this.put({ fit: value === undefined ? rest : { ...rest, [key]: value } }, `fit.${key}`)
  }

  protected setBehind(behind: WayBack): void {
    this.put({ fit: { ...this.standingFit(), behind } }, 'fit.behind')
    this.settle()
  }

  protected setModifications(edit: (now: Modifications) => Modifications, touched: string): void {
    this.put({ modifications: edit(this.standingShoe().modifications ?? []) }, touched)
  }

  private standingFit(): FitNumbers {
    const { fit } = this.standingShoe()
    return typeof fit === 'string' ? this.presetNumbers() : fit
  }

  private presetNumbers(): FitNumbers {
    const fit = this.plan()?.fit
    if (!fit) return {}
    const { spread, heelLength, toeSetBack, behind } = fit
    return { spread, heelLength, toeSetBack, behind }
  }

  protected entry = (field: string): string | undefined => this.draft().foot.entries[field]
  protected keep = (field: string, text: string): void =>
    this.store.dispatch(benchActions.setEntry({ field, text }))
  protected settle = (): void => this.store.dispatch(benchActions.settle())

  protected problemOf(path: string): string | undefined {
    const problem = this.problems().find((one) => one.path === path)
    return problem && describeProblem(problem, this.text.style())
  }

  private put(part: Partial<ShoeInput>, touched: string): void {
    this.store.dispatch(benchActions.setShoe({ shoe: { ...this.standingShoe(), ...part }, touched }))
  }

  /** What is changed is the shoe as it stands now, not as it was drawn last: a quick hand is ahead of the screen. */
  private standingShoe = (): ShoeInput => (this.standing() ?? this.draft()).shoe
}
