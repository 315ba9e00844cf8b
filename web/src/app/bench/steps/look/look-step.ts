import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import {
  DIAGNOSES,
  FRONT_LINES,
  GOINGS,
  INTERFERENCES,
  LANDINGS,
  LIVINGS,
  lookProblem,
  OLD_SHOE_FIGURES,
  parseAngle,
  parseLength,
  SIDE_LINES,
  SIDES,
  UNTRIMMED_FIGURES,
  WEARS,
  WORKS,
  describeProblem,
  type FootLook,
  type Look,
  type LookFigure,
  type Side,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { DayField } from '../../../common/day-field'
import { Fold } from '../../../common/fold'
import { FigureText } from '../../../drawing/figure-text'
import { lookActions, lookFeature } from '../../../state/look/look.feature'
import { FigureField } from '../../figure-field'
import { ChoiceRow } from './choice-row'

/** Look: history, the vet's word, how the horse stands and moves, the old shoe and the foot before the trim. */
@Component({
  selector: 'cr-look-step',
  imports: [DayField, ChoiceRow, FigureField, Fold],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="since">{{ sinceText() }}</p>

    <details class="fold" [crFold]="true">
      <summary>
        How it stands and moves <span class="muted">{{ side() }}</span>
      </summary>
      <cr-choice-row
        label="Lands"
        [choices]="landings"
        [chosen]="one(foot().landing)"
        (choose)="setFoot('landing', $event)"
      />
      <cr-choice-row
        label="From in front"
        [choices]="frontLines"
        [chosen]="one(foot().frontLine)"
        (choose)="setFoot('frontLine', $event)"
      />
      <cr-choice-row
        label="From the side"
        [choices]="sideLines"
        [chosen]="one(foot().sideLine)"
        (choose)="setFoot('sideLine', $event)"
      />
      <cr-choice-row
        label="Interference (the whole horse)"
        [choices]="interferences"
        [chosen]="look().ways.interference"
        (tapped)="flip($event)"
      />
    </details>

    <details class="fold">
      <summary>
        Work and going <span class="muted">{{ waysText() }}</span>
      </summary>
      <cr-choice-row
        label="Work"
        [choices]="works"
        [chosen]="one(look().ways.work)"
        (choose)="setWays('work', $event)"
      />
      <cr-choice-row
        label="Going"
        [choices]="goings"
        [chosen]="one(look().ways.going)"
        (choose)="setWays('going', $event)"
      />
      <cr-choice-row
        label="Lives"
        [choices]="livings"
        [chosen]="one(look().ways.living)"
        (choose)="setWays('living', $event)"
      />
      <label class="text">
        Note on this visit
        <textarea
          class="typed"
          rows="2"
          maxlength="5000"
          [value]="look().ways.notes"
          (input)="setWays('notes', value($event))"
        ></textarea>
      </label>
    </details>

    <details class="fold" [crFold]="look().vet.diagnosis !== 'none'">
      <summary>
        The vet’s word
        <span class="muted">{{ look().vet.diagnosis }} {{ (look().vet.legs ?? []).join(' ') }}</span>
      </summary>
      <cr-choice-row
        label="Diagnosis"
        [choices]="diagnoses"
        [chosen]="one(look().vet.diagnosis)"
        (choose)="setVet('diagnosis', $event ?? 'none')"
      />
      @if (look().vet.diagnosis !== 'none') {
        <cr-choice-row
          label="In which leg or legs"
          [choices]="sides"
          [chosen]="look().vet.legs ?? []"
          (tapped)="flipLeg($event)"
        />
      }
      <label class="text">
        Who said so
        <input
          class="typed"
          type="text"
          maxlength="200"
          [value]="look().vet.who"
          (input)="setVet('who', value($event))"
        />
      </label>
      <cr-day-field label="On" [day]="look().vet.on" [optional]="true" (changed)="setVet('on', $event)" />
      <label class="text">
        In the vet’s words
        <textarea
          class="typed"
          rows="2"
          maxlength="5000"
          [value]="look().vet.words"
          (input)="setVet('words', value($event))"
        ></textarea>
      </label>
      <label class="text">
        Limits set
        <textarea
          class="typed"
          rows="2"
          maxlength="5000"
          [value]="look().vet.limits"
          (input)="setVet('limits', value($event))"
        ></textarea>
      </label>
    </details>

    <details class="fold" data-fields>
      <summary>
        The old shoe, before pulling <span class="muted">{{ side() }}</span>
      </summary>
      <cr-choice-row
        label="Lost since the last visit"
        [choices]="['lost']"
        [chosen]="foot().lost ? ['lost'] : []"
        (choose)="setFoot('lost', $event ? true : undefined)"
      />
      <cr-choice-row
        label="Worn"
        [choices]="wears"
        [chosen]="one(foot().oldShoe.wear)"
        (choose)="setOldShoe('wear', $event)"
      />
      @for (figure of oldShoeFigures; track figure.key) {
        <cr-figure-field
          [field]="'old-' + figure.key"
          [label]="figure.label"
          [kind]="figure.kind"
          [where]="figure.where"
          [value]="foot().oldShoe[figure.key]"
          [entry]="entries()[key('old-' + figure.key)]"
          [problem]="problemOf(figure, 'old-' + figure.key)"
          (figure)="setFigure(figure, 'old-' + figure.key, $event)"
          (unread)="keep('old-' + figure.key, $event)"
          (left)="settle()"
        />
      }
    </details>

    <details class="fold" data-fields>
      <summary>
        The foot before the trim <span class="muted">{{ side() }}</span>
      </summary>
      @for (figure of untrimmedFigures; track figure.key) {
        <cr-figure-field
          [field]="'untrimmed-' + figure.key"
          [label]="figure.label"
          [kind]="figure.kind"
          [where]="figure.where"
          [value]="foot().untrimmed[figure.key]"
          [entry]="entries()[key('untrimmed-' + figure.key)]"
          [problem]="problemOf(figure, 'untrimmed-' + figure.key)"
          (figure)="setFigure(figure, 'untrimmed-' + figure.key, $event)"
          (unread)="keep('untrimmed-' + figure.key, $event)"
          (left)="settle()"
        />
      }
      <label class="text">
        Sole plane
        <textarea
          class="typed"
          rows="2"
          maxlength="5000"
          [value]="foot().solePlane"
          (input)="setFoot('solePlane', value($event))"
        ></textarea>
      </label>
    </details>
  `,
  styles: `
    .since {
      margin-bottom: 8px;
      font-weight: 600;
    }
    .text {
      display: block;
      margin-bottom: 10px;
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
  `,
})
export class LookStep {
  readonly look = input.required<Look>()
  readonly side = input.required<Side>()
  /** Weeks since the last shoeing; unknown at a first visit. */
  readonly weeksSince = input<number | undefined>()
  readonly cycleWeeks = input.required<number>()

  private readonly store = inject(Store)
  private readonly text = inject(FigureText)
  protected readonly entries = this.store.selectSignal(lookFeature.selectEntries)
  protected readonly foot = computed(() => this.look().feet[this.side()])
  /** As it stands now, not as it was drawn last: a quick hand is ahead of the screen. */
  private readonly stored = this.store.selectSignal(lookFeature.selectLook)
  private readonly standing = (): Look => this.stored() ?? this.look()
  private readonly standingFoot = (): FootLook => this.standing().feet[this.side()]

  protected readonly landings = LANDINGS
  protected readonly frontLines = FRONT_LINES
  protected readonly sideLines = SIDE_LINES
  protected readonly interferences = INTERFERENCES
  protected readonly works = WORKS
  protected readonly goings = GOINGS
  protected readonly livings = LIVINGS
  protected readonly diagnoses = DIAGNOSES
  protected readonly sides = SIDES
  protected readonly wears = WEARS
  protected readonly oldShoeFigures = OLD_SHOE_FIGURES
  protected readonly untrimmedFigures = UNTRIMMED_FIGURES

  protected readonly sinceText = computed(() => {
    const weeks = this.weeksSince()
    if (weeks === undefined) return 'First visit: nothing to compare with yet.'
    const late = Math.round(weeks - this.cycleWeeks())
    const since = `${Math.round(weeks)} weeks since the last shoeing`
    if (late > 0) return `${since}, ${late} over its cycle of ${this.cycleWeeks()}.`
    return `${since}, cycle of ${this.cycleWeeks()}.`
  })
  protected readonly waysText = computed(() => {
    const { work, going, living } = this.look().ways
    return [work, going, living].filter(Boolean).join(', ') || 'not said'
  })

  protected one = (choice: string | undefined): string[] => (choice === undefined ? [] : [choice])
  protected value = (event: Event): string => (event.target as HTMLInputElement).value
  /** Fields of the four feet are told apart. */
  protected key = (field: string): string => `${this.side()} ${field}`

  protected setFoot(field: keyof FootLook, value: string | boolean | undefined): void {
    const foot = { ...this.standingFoot(), [field]: value }
    if (value === undefined) delete foot[field]
    this.store.dispatch(lookActions.setFoot({ side: this.side(), foot, touched: this.key(field) }))
    if (field !== 'solePlane') this.settle()
  }

  protected setOldShoe(field: 'wear', value: string | undefined): void {
    const oldShoe = { ...this.standingFoot().oldShoe, [field]: value } as FootLook['oldShoe']
    if (value === undefined) delete oldShoe[field]
    this.putFoot({ ...this.standingFoot(), oldShoe }, field)
    this.settle()
  }

  /** A figure that cannot be is kept as it was typed, not stored. */
  protected setFigure(figure: LookFigure, field: string, value: number | undefined): void {
    if (value !== undefined && lookProblem(figure, value)) {
      this.keep(field, this.text.figure(value, figure.kind))
      return
    }
    const group = field.startsWith('old-') ? 'oldShoe' : 'untrimmed'
    const figures = { ...this.standingFoot()[group], [figure.key]: value } as Record<string, unknown>
    if (value === undefined) delete figures[figure.key]
    this.putFoot({ ...this.standingFoot(), [group]: figures }, field)
  }

  protected problemOf(figure: LookFigure, field: string): string | undefined {
    const entry = this.entries()[this.key(field)]
    if (entry === undefined) return undefined
    const { unit } = this.text.style()
    const parsed = figure.kind === 'length' ? parseLength(entry, unit) : parseAngle(entry)
    if (!parsed.ok) return undefined
    const problem = lookProblem(figure, 'mm' in parsed ? parsed.mm : parsed.degrees)
    return problem && describeProblem(problem, this.text.style())
  }

  private putFoot(foot: FootLook, field: string): void {
    this.store.dispatch(lookActions.setFoot({ side: this.side(), foot, touched: this.key(field) }))
  }

  protected keep = (field: string, text: string): void =>
    this.store.dispatch(lookActions.setEntry({ field: this.key(field), text }))
  protected settle = (): void => this.store.dispatch(lookActions.settle())

  protected flip(tapped: string): void {
    const choice = tapped as (typeof INTERFERENCES)[number]
    const { ways } = this.standing()
    const { interference } = ways
    const next = interference.includes(choice)
      ? interference.filter((one) => one !== choice)
      : [...interference, choice]
    this.store.dispatch(
      lookActions.setWays({ ways: { ...ways, interference: next }, touched: 'interference' }),
    )
    this.settle()
  }

  protected setWays(field: 'work' | 'going' | 'living' | 'notes', value: string | undefined): void {
    const ways = { ...this.standing().ways, [field]: value }
    if (value === undefined) delete (ways as Record<string, unknown>)[field]
    this.store.dispatch(lookActions.setWays({ ways, touched: field }))
    if (field !== 'notes') this.settle()
  }

  protected setVet(field: Exclude<keyof Look['vet'], 'legs'>, value: string): void {
    const vet = { ...this.standing().vet, [field]: value }
    // Another disease may sit in another leg.
    if (field === 'diagnosis') delete vet.legs
    this.store.dispatch(lookActions.setVet({ vet, touched: `vet ${field}` }))
    if (field === 'diagnosis') this.settle()
  }

  protected flipLeg(tapped: string): void {
    const { vet } = this.standing()
    const legs = SIDES.filter((side) => (vet.legs ?? []).includes(side) !== (side === tapped))
    this.store.dispatch(lookActions.setVet({ vet: { ...vet, legs }, touched: 'vet legs' }))
    this.settle()
  }
}
