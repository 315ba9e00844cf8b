import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { describeProblem } from '@crescent/core'
import { CARRIED_OUT, proposedWay, type CarriedOut } from '@crescent/core/handing-over'
import { LEAST_SOLE, type Wanted } from '@crescent/core/radiographs'
import { OneOf } from '../../../../common/one-of'
import { Tells } from '../../../../common/tells'
import { FigureText } from '../../../../drawing/figure-text'
import { FigureField } from '../../../figure-field'
import { Radiograph } from './radiograph'

/** What each wanted figure can be, degrees and mm. */
const POSSIBLE: Readonly<Record<keyof Wanted, readonly [least: number, most: number]>> = {
  palmarAngle: [-5, 20],
  soleDepth: [LEAST_SOLE, 40],
  behindTip: [0, 25],
}
const FIELDS = [
  {
    key: 'palmarAngle',
    label: 'Palmar angle wanted',
    kind: 'angle',
    where: 'Underside of P3 against the ground, with trim and shoe. Agree it with the vet.',
  },
  {
    key: 'soleDepth',
    label: 'Sole to keep',
    kind: 'length',
    where: 'Under the tip of P3: what the rasp never goes below.',
  },
  {
    key: 'behindTip',
    label: 'Break over behind the tip',
    kind: 'length',
    where: 'How far behind the tip of P3 the shoe rolls over; nothing is straight beneath it.',
  },
] as const

/** A made shoe is as it was planned within this, degrees. */
const CLAIMED = 0.1

/** Trim and shoe planned on the radiograph, and handed on once the vet has agreed. */
@Component({
  selector: 'cr-plate-plan',
  imports: [FigureField, MatButton, OneOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Trim and shoe</h3>
    @if (radiograph.plan(); as plan) {
      @for (field of fields; track field.key) {
        <cr-figure-field
          [field]="'plate-' + field.key"
          [label]="field.label"
          [kind]="field.kind"
          [where]="field.where"
          [value]="figure(field.key)"
          [entry]="entries()[field.key]"
          [problem]="problem(field.key)"
          (figure)="type(field.key, $event)"
          (unread)="keep(field.key, $event)"
        />
      }
      <dl data-testid="plate-plan">
        <dt>Take at the toe</dt>
        <dd>{{ text.fine(plan.trimToe) }}</dd>
        <dt>Take at the heel</dt>
        <dd>{{ text.fine(plan.trimHeel) }}</dd>
        <dt>Sole left under the tip</dt>
        <dd [class.low]="plan.soleAfterTrim < least">{{ text.fine(plan.soleAfterTrim) }}</dd>
        @if (plan.soleUnderWing !== undefined) {
          <dt>Sole left under the wing</dt>
          <dd [class.low]="plan.soleUnderWing < least">{{ text.fine(plan.soleUnderWing) }}</dd>
        }
        <dt>Raise by the shoe</dt>
        <dd>{{ plan.raise.toFixed(1) }}°</dd>
        <dt>Palmar angle then</dt>
        <dd>
          {{ plan.palmarAfterShoe.toFixed(1) }}°, {{ plan.palmarAfterTrim.toFixed(1) }}° by the trim alone
        </dd>
        @if (plan.breakoverFromToe !== undefined) {
          <dt>Breakover behind the toe, trimmed</dt>
          <dd>{{ text.fine(plan.breakoverFromToe) }}: mark it on the sole</dd>
        }
        @if (plan.leverAfter !== undefined) {
          <dt>Breakover to coffin joint then</dt>
          <dd>{{ text.fine(plan.leverAfter) }}</dd>
        }
      </dl>
      @for (note of plan.notes; track $index) {
        <p class="note">{{ text.told(note) }}</p>
      }
      <p class="muted">
        Heels go back to the widest part of the frog and no further; the rasp stops at the sole’s own mark,
        whatever stands here.
      </p>
      <cr-one-of
        label="Carried out by"
        heading="Carried out by"
        [choices]="ways"
        [chosen]="way()"
        (choose)="chosen.set($event)"
      />
      @if (made(); as made) {
        <h4>The shoe as it will be made</h4>
        <dl data-testid="plate-made">
          <dt>Palmar angle on it</dt>
          <dd>{{ made.palmarAngle.toFixed(1) }}°</dd>
          <dt>Breaks over behind the toe</dt>
          <dd>{{ text.fine(made.breakoverFromToe) }}</dd>
          @if (made.rise !== undefined) {
            <dt>Rise at its heels</dt>
            <dd>{{ text.fine(made.rise) }}</dd>
          }
        </dl>
        @if (short(); as by) {
          <p class="low" role="alert">
            This way falls {{ by.toFixed(1) }}° short of the angle that is wanted: choose one that raises.
          </p>
        }
      }
      @for (why of clash(); track why) {
        <p class="low" role="alert">{{ why }}</p>
      }
      <label class="agreed"
        >Agreed with the vet: who, and what
        <textarea
          #words
          rows="2"
          maxlength="2000"
          [value]="agreed()"
          (input)="agreed.set(words.value)"
        ></textarea>
      </label>
      <button mat-flat-button [disabled]="agreed().trim() === '' || faulty()" (click)="hand()">
        Hand it to the shoe
      </button>
      <p class="muted">
        The vet reads the radiograph and leads. What was agreed is kept with the visit, with the time.
      </p>
    } @else if (radiograph.markingProblems().length > 0) {
      @for (problem of radiograph.markingProblems(); track $index) {
        <p class="low" role="alert">{{ text.told(problem) }}</p>
      }
    } @else {
      <p class="muted">
        The plan stands here once ground, breakover, heel, both places of P3’s underside and the sole under
        its tip are marked, and the scale is known.
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
    }
    h3,
    h4 {
      margin: 8px 0 0;
      font-size: 1rem;
    }
    dl {
      display: grid;
      grid-template-columns: auto 1fr;
      gap: 2px 12px;
      margin: 4px 0;
    }
    dd {
      margin: 0;
      font-weight: 650;
    }
    .low {
      color: var(--stop);
    }
    .agreed {
      display: grid;
      gap: 2px;
    }
    textarea {
      padding: 8px;
      color: inherit;
      font: inherit;
      background: var(--sheet);
      border: 1px solid var(--rule);
      border-radius: 6px;
    }
    p {
      margin: 2px 0;
    }
  `,
})
export class PlatePlan {
  protected readonly radiograph = inject(Radiograph)
  protected readonly text = inject(FigureText)
  private readonly tells = inject(Tells)
  protected readonly fields = FIELDS
  protected readonly ways = CARRIED_OUT
  protected readonly least = LEAST_SOLE
  /** Another foot: what was typed and agreed for this one does not go with it. */
  private readonly whose = this.radiograph.key
  protected readonly chosen = linkedSignal<string, CarriedOut['key'] | undefined>({
    source: this.whose,
    computation: () => undefined,
  })
  /** As it was chosen; until then one that raises where the plan raises. */
  protected readonly way = computed(() => this.chosen() ?? proposedWay(this.radiograph.plan()?.raise ?? 0))
  private readonly handed = computed(() => this.radiograph.handed(this.way()))
  protected readonly made = computed(() => {
    const handed = this.handed()
    return handed?.ok ? handed.made : undefined
  })
  /** Degrees by which the made shoe falls short of what the plan claims; nothing where it does not. */
  protected readonly short = computed(() => {
    const [made, plan] = [this.made(), this.radiograph.plan()]
    const by = made && plan ? plan.palmarAfterShoe - made.palmarAngle : 0
    return by > CLAIMED ? by : undefined
  })
  protected readonly agreed = linkedSignal({ source: this.whose, computation: () => '' })
  protected readonly entries = linkedSignal<string, Partial<Record<keyof Wanted, string | undefined>>>({
    source: this.whose,
    computation: () => ({}),
  })
  /** Why no such shoe can be made, line by line. */
  protected readonly clash = computed(() => {
    const handed = this.handed()
    if (!handed || handed.ok) return []
    return [...new Set(handed.problems.map((one) => describeProblem(one, this.text.style())))]
  })
  /** What was typed and cannot be; it stands as it was typed. */
  private readonly wrong = linkedSignal<string, Partial<Record<keyof Wanted, number | undefined>>>({
    source: this.whose,
    computation: () => ({}),
  })
  protected readonly faulty = computed(
    () =>
      this.clash().length > 0 ||
      FIELDS.some(({ key }) => this.problem(key) !== undefined || this.entries()[key] !== undefined),
  )

  protected figure = (key: keyof Wanted): number => this.wrong()[key] ?? this.radiograph.wanted()[key]

  protected type(key: keyof Wanted, value: number | undefined): void {
    this.keep(key, undefined)
    const [least, most] = POSSIBLE[key]
    const fits = value !== undefined && value >= least && value <= most
    this.wrong.update((wrong) => ({ ...wrong, [key]: fits ? undefined : value }))
    if (fits) this.radiograph.want({ [key]: value })
  }

  protected keep(key: keyof Wanted, text: string | undefined): void {
    this.entries.update((entries) => ({ ...entries, [key]: text }))
  }

  protected problem(key: keyof Wanted): string | undefined {
    if (this.wrong()[key] === undefined) return undefined
    const { label, kind } = FIELDS.find((one) => one.key === key)!
    const [least, most] = POSSIBLE[key].map((value) => this.text.figure(value, kind))
    return `${label}: from ${least} to ${most}`
  }

  protected hand(): void {
    this.radiograph.toShoe(this.way(), this.agreed().trim())
    this.agreed.set('')
    const made = this.made()
    void this.tells.done(
      made
        ? `Handed to foot and shoe: palmar angle ${made.palmarAngle.toFixed(1)}° on it, breakover ${this.text.fine(made.breakoverFromToe)} behind the toe.`
        : 'Handed to foot and shoe.',
    )
  }
}
