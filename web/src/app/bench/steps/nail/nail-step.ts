import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core'
import {
  askedNails,
  bySchool,
  describeProblem,
  heldToLimits,
  keptNails,
  limitWords,
  overrulable,
  overruling,
  ruling,
  SCHOOLS_OF_NAILING,
  type Half,
  type BranchNails,
  type KeepClear,
  type NailPlan,
  type NailSchoolName,
  type NailSize,
  type Plan,
  type Problem,
  withHole,
  type Nail,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { Dialogs } from '../../../common/dialogs'
import { OneOf } from '../../../common/one-of'
import type { ReasonAsked } from '../../../common/reason-dialog'
import { FigureText } from '../../../drawing/figure-text'
import { benchActions, benchFeature } from '../../../state/bench/bench.feature'
import type { Draft } from '../../../state/bench/draft'
import { KeepClearList } from './keep-clear-list'
import { LimitList } from './limit-list'
import { NailBranch } from './nail-branch'
import { ExitList } from './exit-list'
import { holeField } from './hole-lines'
import { BRANCHES } from '../../../drawing/nail-words'
import { Worded } from '../../../help/worded'

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** Nails: school, size, which holes are driven, where each lies and leans, and what is to be thought of it. */
@Component({
  selector: 'cr-nail-step',
  imports: [ExitList, KeepClearList, LimitList, NailBranch, OneOf, Worded],
  changeDetection: ChangeDetectionStrategy.OnPush,
  // Enter goes on from field to field through the whole step.
  host: { 'data-fields': '' },
  template: `
    @if (limits().length > 0) {
      <cr-limit-list [limits]="limits()" (overrule)="overrule()" (hold)="hold()" />
    }
    <cr-one-of
      label="Limits of the nails"
      [choices]="schools"
      [chosen]="plan().nailing.school"
      (choose)="setSchool($event)"
    />
    <p class="muted"><cr-worded [text]="school().rule" /></p>

    <div class="size">
      <label
        >Nail
        <select #size aria-label="Nail to drive" (change)="setSize(size.value)">
          <option value="" [selected]="asked().size === undefined">
            as suggested{{ plan().nailing.suggested ? ': ' + plan().nailing.suggested!.name : '' }}
          </option>
          @for (one of sizes(); track one.name) {
            <option [value]="one.name" [selected]="asked().size === one.name">
              {{ one.name }}, {{ text.length(one.length) }}
            </option>
          }
        </select>
      </label>
      <button type="button" class="tap" (click)="shelf.emit()">Shelf</button>
    </div>
    @if (plan().nailing.need; as need) {
      <p class="muted">
        Must reach {{ text.length(need.length) }} and be no thicker than {{ text.fine(need.shank) }} for this
        wall.
      </p>
    }

    @for (side of branches; track side.branch) {
      <cr-nail-branch
        [side]="side"
        [plan]="plan()"
        [asked]="asked()[side.branch]"
        [problems]="problems()"
        [entries]="draft().foot.entries"
        [turningRadius]="turningRadius()"
        (changed)="putBranch(side.branch, $event.edit, $event.touched)"
        (unread)="keep($event.field, $event.text)"
        (left)="settle()"
      />
    }
    @for (problem of misplaced(); track problem.path) {
      <p class="doubtful" role="alert">{{ tell(problem) }}</p>
    }
    <details class="fold" (toggle)="exitsOpen.set(exits.open)" #exits>
      <summary>How high the nails came out</summary>
      @if (exitsOpen()) {
        <cr-exit-list
          [nails]="plan().nails"
          [asked]="asked()"
          [entries]="draft().foot.entries"
          (changed)="setSeen($event.nail, $event.value)"
          (unread)="keep($event.field, $event.text)"
          (left)="settle()"
        />
      }
    </details>
    <details class="fold">
      <summary>Keep nails clear of ({{ plan().keepClear.length }})</summary>
      <cr-keep-clear-list
        [plan]="plan()"
        [marked]="draft().foot.keepClear ?? []"
        [lastHoles]="lastHoles()"
        (changed)="setKeepClear($event)"
      />
    </details>
    <p class="muted">
      Exits spread over {{ text.length(spread()) }}. Never a nail inside the white line. If a horse is
      pricked: pull the nail, say so, call the vet.
    </p>
  `,
  styles: `
    .size {
      display: flex;
      gap: 8px;
      align-items: end;
      margin-bottom: 4px;
    }
    .size label {
      flex: 1;
      font-size: 0.9rem;
    }
    select {
      display: block;
      width: 100%;
      min-height: 44px;
      padding: 0 6px;
      font: inherit;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
    .doubtful {
      color: var(--stop);
      font-weight: 650;
    }
    p {
      margin: 6px 0;
      font-size: 0.85rem;
    }
  `,
})
export class NailStep {
  readonly draft = input.required<Draft>()
  readonly plan = input.required<Plan>()
  readonly problems = input<readonly Problem[]>([])
  /** The nails on the shelf. */
  readonly sizes = input.required<readonly NailSize[]>()
  readonly turningRadius = input.required<number>()
  readonly lastHoles = input<readonly KeepClear[]>([])
  /** The farrier wants to see the shelf. */
  readonly shelf = output()

  private readonly store = inject(Store)
  private readonly standing = this.store.selectSignal(benchFeature.selectDraft)
  protected readonly text = inject(FigureText)
  protected readonly branches = BRANCHES
  protected readonly schools = SCHOOLS_OF_NAILING.map(({ name, label }) => ({ key: name, label }))

  private readonly dialogs = inject(Dialogs)
  protected readonly limits = computed(() => this.plan().nailing.limits ?? [])
  /** The nails as they were asked for, within what limits this foot. */
  protected readonly asked = computed(() => this.nailsOf(this.draft()))
  protected readonly school = computed(() =>
    SCHOOLS_OF_NAILING.find(({ name }) => name === this.plan().nailing.school)!,
  )
  protected tell = (problem: Problem): string => describeProblem(problem, this.text.style())
  /** Every problem of the holes, whether their lines are unfolded or not. */
  protected readonly misplaced = computed(() =>
    this.problems().filter(({ path }) => path.startsWith('shoe.nails')),
  )

  protected readonly spread = computed(() => {
    const { exits } = this.plan().nailing
    return exits ? exits.high - exits.low : 0
  })

  /** A school that a limit of this foot speaks against is chosen with a reason only. */
  protected setSchool(school: NailSchoolName): void {
    const limited = ruling(this.limits()).some(({ rule }) => rule === 'behind the widest part')
    if (limited && school !== 'laminitic') return this.overrule(school)
    this.put((now) => bySchool(now, school), 'nails.school')
    this.settle()
  }

  /** Asks for the reason; without one the limits stand. */
  protected overrule(school?: NailSchoolName): void {
    const data: ReasonAsked = {
      title: 'Overrule what limits these nails?',
      against: overrulable(this.limits()).map((limit) => `${capital(limitWords(limit))}. ${limit.why}`),
      label: 'Why, and who agreed to it',
      yes: 'Overrule',
      no: 'Hold to the limit',
    }
    void this.dialogs
      .ask<string, ReasonAsked>(() => import('../../../common/reason-dialog').then((m) => m.ReasonDialog), {
        data,
        width: '460px',
      })
      .then((reason) => {
        if (!reason) return
        this.put((now) => {
          const overruled = overruling(now, reason)
          return school ? bySchool(overruled, school) : overruled
        }, 'nails.overruled')
        this.settle()
      })
  }

  protected hold(): void {
    this.put(heldToLimits, 'nails.overruled')
    this.settle()
  }

  protected setSize(name: string): void {
    this.put(({ size: _old, ...rest }) => (name ? { ...rest, size: name } : rest), 'nails.size')
    this.settle()
  }

  /** Drawn only while it is open: the lines of a hole hold the same field. */
  protected readonly exitsOpen = signal(false)

  protected setSeen(nail: Nail, value: number | undefined): void {
    this.putBranch(nail.branch, (now) => withHole(now, nail.number, 'seen', value), holeField(nail, 'seen'))
  }

  protected setKeepClear(keepClear: KeepClear[]): void {
    this.store.dispatch(benchActions.setKeepClear({ keepClear }))
    this.settle()
  }

  protected keep = (field: string, entry: string): void =>
    this.store.dispatch(benchActions.setEntry({ field, text: entry }))
  protected settle = (): void => this.store.dispatch(benchActions.settle())

  protected putBranch(branch: Half, edit: (now: BranchNails) => BranchNails, touched: string): void {
    this.put((now) => ({ ...now, [branch]: edit(now[branch]) }), touched)
  }

  private nailsOf({ shoe }: Draft): NailPlan {
    const { width } = this.plan().foot
    return askedNails(shoe, { width, limits: [...this.limits()] })
  }

  /** What is changed is the shoe as it stands now, not as it was drawn last: a quick hand is ahead of the screen. */
  private put(edit: (now: NailPlan) => NailPlan, touched: string): void {
    const draft = this.standing() ?? this.draft()
    const { shoe } = draft
    const nails = keptNails(edit(this.nailsOf(draft)))
    this.store.dispatch(benchActions.setShoe({ shoe: { ...shoe, nails }, touched }))
  }
}
